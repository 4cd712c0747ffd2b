using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Teaching;

/// <summary>A way to reach a number fact.</summary>
/// <param name="Text">The way, in sums that are said aloud.</param>
/// <param name="From">The fact that it begins from; null where it begins from ten.</param>
/// <param name="IsKnown">Whether that fact came out right on the student's page.</param>
public sealed record FactWay(string Text, NumberFact? From, bool IsKnown);

/// <summary>One of the spaced checks of a fact.</summary>
/// <param name="Day">How many days after the teaching.</param>
/// <param name="Questions">Questions with their answers; the fact itself is among them.</param>
public sealed record FactCheck(int Day, IReadOnlyList<(string Question, string Answer)> Questions);

/// <summary>A short plan for one number fact that a student holds wrongly.</summary>
public sealed class FactPlan
{
    private static readonly int[] Days = [0, 1, 3, 7, 14, 28];

    /// <summary>Makes the plan.</summary>
    /// <param name="reading">The reading in which the fact was found.</param>
    /// <param name="found">The fact, with what the student takes it to be.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    public FactPlan(Reading reading, FactReading found, School? school = null)
    {
        (Fact, Written, Items) = (found.Fact.Ordered, found.Written, found.Items);
        var known = Known(reading);
        known.Remove(Fact);
        Ways = [.. WaysTo(Fact).Select(w => w with { IsKnown = w.From is { } from && known.Contains(from.Ordered) }).OrderByDescending(w => w.IsKnown)];
        if ((school ?? School.Usual).Of(School.Facts) == FactSchool.Counted) Ways = [.. Counted(Fact), .. Ways];
        KnownNeighbours = [.. Neighbours(Fact).Where(known.Contains)];
        Checks = [.. Days.Select(Check)];
    }

    /// <summary>The fact.</summary>
    public NumberFact Fact { get; }

    /// <summary>What the student takes it to be.</summary>
    public int Written { get; }

    /// <summary>The items where it shows.</summary>
    public IReadOnlyList<string> Items { get; }

    /// <summary>Ways to reach it, those from a fact that the student has first.</summary>
    public IReadOnlyList<FactWay> Ways { get; }

    /// <summary>Neighbours of the fact that came out right on the page.</summary>
    public IReadOnlyList<NumberFact> KnownNeighbours { get; }

    /// <summary>When it is checked, and by what.</summary>
    public IReadOnlyList<FactCheck> Checks { get; }

    /// <summary>A fact as it is said, such as "7 × 8 = 56".</summary>
    public static string Say(NumberFact fact) => $"{Signs.Printed(fact.ToString())} = {fact.Value}";

    /// <summary>Ways to a fact from easier ones.</summary>
    public static IReadOnlyList<FactWay> WaysTo(NumberFact fact)
    {
        var (a, b) = (fact.First, fact.Second);
        var ways = new List<FactWay>();
        switch (fact.Kind)
        {
            case FactKind.Times:
                foreach (var (one, other) in new[] { (a, b), (b, a) }.Distinct())
                {
                    if (one == 9) Add(new NumberFact(FactKind.Times, 10, other), $"10 × {other} = {10 * other}, and {10 * other} − {other} = {9 * other}.");
                    if (one > 5 && one < 9)
                        Add(
                            new NumberFact(FactKind.Times, 5, other),
                            $"5 × {other} = {5 * other}, {one - 5} × {other} = {(one - 5) * other}, and {5 * other} + {(one - 5) * other} = {one * other}.");
                    if (one > 2 && one % 2 == 0)
                        Add(
                            new NumberFact(FactKind.Times, one / 2, other),
                            $"{one / 2} × {other} = {one / 2 * other}, and twice that: {one / 2 * other} + {one / 2 * other} = {one * other}.");
                    if (one > 1)
                        Add(
                            new NumberFact(FactKind.Times, one - 1, other),
                            $"{one - 1} × {other} = {(one - 1) * other}, and {(one - 1) * other} + {other} = {one * other}.");
                }

                break;
            case FactKind.Plus:
                if (a + b > 10 && a <= 10 && b <= 10)
                {
                    var (large, small) = (Math.Max(a, b), Math.Min(a, b));
                    Add(null, $"{large} + {10 - large} = 10, {small} − {10 - large} = {small - (10 - large)}, and 10 + {small - (10 - large)} = {a + b}.");
                }

                if (a != b)
                    Add(
                        new NumberFact(FactKind.Plus, Math.Min(a, b), Math.Min(a, b)),
                        $"{Math.Min(a, b)} + {Math.Min(a, b)} = {2 * Math.Min(a, b)}, and {2 * Math.Min(a, b)} + {Math.Abs(a - b)} = {a + b}.");
                if (b > 0) Add(new NumberFact(FactKind.Plus, a, b - 1), $"{a} + {b - 1} = {a + b - 1}, and {a + b - 1} + 1 = {a + b}.");
                break;
            case FactKind.Minus:
                if (a > 10 && b < 10) Add(null, $"{b} + {10 - b} = 10, 10 + {a - 10} = {a}, and {10 - b} + {a - 10} = {a - b}.");
                Add(new NumberFact(FactKind.Plus, b, a - b), $"{b} + {a - b} = {a}, so {a} − {b} = {a - b}.");
                break;
            default:
                Add(new NumberFact(FactKind.Times, b, fact.Value), $"{b} × {fact.Value} = {b * fact.Value}, so that often {b} goes into {a}.");
                break;
        }

        return ways;

        void Add(NumberFact? from, string text) => ways.Add(new FactWay(text, from?.Ordered, false));
    }

    /// <summary>The way of a classroom that counts: in steps up to a product or quotient, by ones up or back where there are few.</summary>
    public static IEnumerable<FactWay> Counted(NumberFact fact)
    {
        const int MostCounted = 12;
        var (a, b) = (fact.First, fact.Second);
        IEnumerable<int> Steps(int from, int by, int count) => Enumerable.Range(1, count).Select(i => from + i * by);
        var text = fact.Kind switch
        {
            FactKind.Times when a is > 0 and <= MostCounted && b > 0 => $"Count in steps of {b}: {string.Join(", ", Steps(0, b, a))}. That is {Counts(a)}.",
            FactKind.DividedBy when fact.Value is > 0 and <= MostCounted =>
                $"Count in steps of {b}: {string.Join(", ", Steps(0, b, fact.Value))}. That is {Counts(fact.Value)}, and "
                    + $"{(a == b * fact.Value ? "it is reached" : $"one more is above {a}")}.",
            FactKind.Plus when Math.Min(a, b) is > 0 and <= MostCounted =>
                $"Start at {Math.Max(a, b)} and count {Math.Min(a, b)} on: {string.Join(", ", Steps(Math.Max(a, b), 1, Math.Min(a, b)))}.",
            FactKind.Minus when b is > 0 and <= MostCounted => $"Start at {a} and count {b} back: {string.Join(", ", Steps(a, -1, b))}.",
            _ => null,
        };
        return text is null ? [] : [new FactWay(text, null, false)];

        static string Counts(int count) => count == 1 ? "one count" : $"{count} counts";
    }

    private static IEnumerable<NumberFact> Neighbours(NumberFact fact) => new[] { (-1, 0), (1, 0), (0, -1), (0, 1) }
        .Where(step => fact.First + step.Item1 >= 0 && fact.Second + step.Item2 >= (fact.Kind == FactKind.DividedBy ? 1 : 0))
        .Select(step => new NumberFact(fact.Kind, fact.First + step.Item1, fact.Second + step.Item2).Ordered)
        .Where(n => n.Kind != FactKind.Minus || n.Value >= 0).Distinct();

    /// <summary>The facts that right items need.</summary>
    private static HashSet<NumberFact> Known(Reading reading)
    {
        var known = new HashSet<NumberFact>();
        var run = new MethodRun { Recording = true };
        foreach (var item in reading.Items.Where(i => i.Verdict == Verdict.Right))
        {
            Method.Run(item.Item.Task, run, DeviationSet.Taught);
            known.UnionWith(run.Steps.Select(s => s.Fact?.Ordered).OfType<NumberFact>());
        }

        return known;
    }

    private FactCheck Check(int day, int number) => new(day, Questions(Fact, number));

    /// <summary>What is asked in a check of a fact: the fact itself, both ways round, between two of its neighbours.</summary>
    /// <param name="fact">The fact.</param>
    /// <param name="number">Which check it is, from 0; they take turns.</param>
    public static IReadOnlyList<(string Question, string Answer)> Questions(NumberFact fact, int number)
    {
        var turned = fact.Kind is FactKind.Plus or FactKind.Times ? new NumberFact(fact.Kind, fact.Second, fact.First) : fact;
        List<NumberFact> asked = [number % 2 == 0 ? fact : turned, .. Neighbours(fact).Skip(number % 2).Take(2), number % 2 == 0 ? turned : fact];
        return [.. asked.Distinct().Select(f => ($"{Signs.Printed(f.ToString())} =", f.Value.ToString()))];
    }
}
