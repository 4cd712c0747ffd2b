using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Asking;

/// <summary>A wrong answer to an item, with the rules that lead to it.</summary>
public sealed record TellingAnswer(string Answer, IReadOnlyList<Bug> Bugs);

/// <summary>What a sheet can tell: which rules of its families show on it, on how many items, and which of them give the same on every item.</summary>
public sealed class SheetCoverage
{
    /// <summary>Looks through a sheet.</summary>
    /// <param name="tasks">Its items.</param>
    public SheetCoverage(IReadOnlyList<ItemTask> tasks)
    {
        var run = new MethodRun();
        Tasks = tasks;
        Bugs = [.. FamilyList.Of(tasks).SelectMany(family => Catalogue.Of(family).Where(b => b.Family == family))];
        var sets = Bugs.ToDictionary(bug => bug, bug => bug.Alone);
        var answers = Bugs.ToDictionary(
            bug => bug, bug => tasks.Select(task => Catalogue.Of(task.Family).Contains(bug) ? WrongAnswer(task, sets[bug], run) : null).ToArray());
        Often = [.. Bugs.Where(b => answers[b].Count(a => a is not null) >= SheetDiagnosis.ShowingsNeeded)];
        Once = [.. Bugs.Where(b => answers[b].Count(a => a is not null) is > 0 and < SheetDiagnosis.ShowingsNeeded)];
        Never = [.. Bugs.Where(b => answers[b].All(a => a is null))];
        PartsThatShow = PartsShowing(tasks, run);
        Together = [
            .. Often.Concat(Once)
                .GroupBy(b => string.Join('|', answers[b])).Where(g => g.Count() > 1).Select(g => (IReadOnlyList<Bug>)[.. g.OrderByDescending(Commonness)])];
        Telling = [.. tasks.Select((_, at) => (IReadOnlyList<TellingAnswer>)[.. Bugs.Where(b => answers[b][at] is not null).GroupBy(b => answers[b][at]!)
            .Select(g => new TellingAnswer(g.Key, [.. g.OrderByDescending(Commonness)]))
                .OrderByDescending(a => a.Bugs.Sum(Commonness)).ThenBy(a => a.Answer, StringComparer.Ordinal)])];
    }

    /// <summary>The items.</summary>
    public IReadOnlyList<ItemTask> Tasks { get; }

    /// <summary>The rules of the sheet's families.</summary>
    public IReadOnlyList<Bug> Bugs { get; }

    /// <summary>Those that show on as many items as it takes to hold one.</summary>
    public IReadOnlyList<Bug> Often { get; }

    /// <summary>The families that the sheet's methods use as parts and of which at least one rule shows on it.</summary>
    public IReadOnlySet<Family> PartsThatShow { get; }

    /// <summary>Those that show on fewer.</summary>
    public IReadOnlyList<Bug> Once { get; }

    /// <summary>Those that show on none.</summary>
    public IReadOnlyList<Bug> Never { get; }

    /// <summary>Rules that give the same answer on every item, so that the answers alone do not tell them apart; the commonest first.</summary>
    public IReadOnlyList<IReadOnlyList<Bug>> Together { get; }

    /// <summary>For each item the wrong answers that rules lead to, those of the commonest rules first.</summary>
    public IReadOnlyList<IReadOnlyList<TellingAnswer>> Telling { get; }

    /// <summary>The rules of a task's own family that give a wrong answer to it.</summary>
    internal static HashSet<string> Showing(ItemTask task, MethodRun run) =>
        [.. Catalogue.Of(task.Family).Where(b => b.Family == task.Family && WrongAnswer(task, b.Alone, run) is not null).Select(b => b.Id)];

    private static HashSet<Family> PartsShowing(IReadOnlyList<ItemTask> tasks, MethodRun run)
    {
        var showing = new HashSet<Family>();
        foreach (var task in tasks)
            foreach (var bug in Catalogue.Of(task.Family).Where(b => b.Family != task.Family && !showing.Contains(b.Family)))
                if (WrongAnswer(task, bug.Alone, run) is not null) showing.Add(bug.Family);
        return showing;
    }

    private static double Commonness(Bug bug) => Priors.Weight(bug.Commonness);

    private static string? WrongAnswer(ItemTask task, DeviationSet set, MethodRun run)
    {
        Method.Run(task, run, set);
        var answer = run.Page.Answer.ToString();
        return answer == task.RightAnswer ? null : answer;
    }
}
