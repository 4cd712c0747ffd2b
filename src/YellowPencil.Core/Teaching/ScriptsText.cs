using System.Text;
using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Teaching;

/// <summary>Writes down how the ideas of every family are taught.</summary>
public static class ScriptsText
{
    /// <summary>The ideas behind the bugs of each family with their scripts, as Markdown.</summary>
    public static string Markdown()
    {
        var text = new StringBuilder("# How the ideas are taught\n\n");
        text.Append("Written by `dotnet run --project bench/YellowPencil.Bench -c Release scripts`. For each family the ideas that its bugs point at, in the order of learning, in the words of a classroom that says *rename*.\n");
        foreach (var family in FamilyList.All)
        {
            text.Append($"\n## {char.ToUpperInvariant(family.Title[0])}{family.Title[1..]}\n\n**Check:** {TaughtFamily.Of(family).Check}\n");
            foreach (var ideas in Catalogue.DeclaredFor(family).GroupBy(b => b.Idea).OrderBy(g => IdeaMap.OrderOf(g.Key)))
            {
                var script = TeachingScripts.For(ideas.Key, family);
                text.Append($"\n### {Said(ideas.Key.Name)}\n\n{Said(ideas.Key.Statement)}\n\n");
                text.Append($"- **The student holds:** {Said(script.Aim)}\n- **First:** {Said(script.First)}\n- **Why:** {Said(script.Why)}\n- **With:** {Said(script.Material)}\n");
                text.Append($"- **Say:** {Said(script.Say)}\n- **Stop at:** {Said(script.StopAt)}\n- **Behind:** {string.Join(", ", ideas.Select(b => $"`{b.Id}`"))}\n");
            }
        }

        return text.ToString();
    }

    private static string Said(string text) => text.In(ClassroomWord.Rename);
}
