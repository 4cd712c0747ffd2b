using System.Text;

namespace YellowPencil.Core.Families;

/// <summary>Writes the catalogue for people, as Markdown: what stands in docs/bugs.md.</summary>
public static class CatalogueText
{
    /// <summary>The catalogue, family by family, each bug with one worked example.</summary>
    public static string Markdown()
    {
        var text = new StringBuilder(
            "# The bugs that Yellow Pencil knows\n\nMade from the catalogue by `dotnet run --project bench/YellowPencil.Bench catalogue`; a test holds it "
                + "to the code.\n");
        foreach (var family in Catalogue.All.GroupBy(b => b.Family))
        {
            text.Append($"\n## {family.Key.Name}: {family.Count()}\n");
            foreach (var bug in family)
            {
                var example = BugExample.Of(bug);
                text.Append($"\n### {bug.Name.In(ClassroomWord.Rename)}\n\n`{bug.Id}` · decision `{bug.Decision.Id}` · {bug.Commonness}\n\n");
                text.Append($"{bug.Text.In(ClassroomWord.Rename)} *{bug.Reason.In(ClassroomWord.Rename)}*\n\n");
                text.Append($"Missing idea: {bug.Idea.Statement.In(ClassroomWord.Rename)}\n\n");
                text.Append($"Example: {Signs.Printed(example.Task.Text)} = {Signs.Printed(example.Answer)}, right is {Signs.Printed(example.Task.RightAnswer)}.\n");
            }
        }

        return text.ToString();
    }
}
