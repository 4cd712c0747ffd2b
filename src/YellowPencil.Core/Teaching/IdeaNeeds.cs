using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>
/// The ideas that the items of a family need: an item needs an idea when a rule behind which it is missing makes it come out wrong. Not to be shared between
/// threads.
/// </summary>
/// <param name="family">The family.</param>
public sealed class IdeaNeeds(Family family)
{
    private readonly List<(MissingIdea Idea, DeviationSet Set)> rules = [.. Catalogue.DeclaredFor(family).Select(b => (b.Idea, b.Alone))];
    private readonly MethodRun run = new();

    /// <summary>The ideas that a task needs.</summary>
    public IReadOnlySet<MissingIdea> Of(ItemTask task)
    {
        var needed = new HashSet<MissingIdea>();
        foreach (var (idea, set) in rules)
        {
            if (needed.Contains(idea)) continue;
            Method.Run(task, run, set);
            if (!run.Page.Answer.SequenceEqual(task.RightAnswer)) needed.Add(idea);
        }

        return needed;
    }
}
