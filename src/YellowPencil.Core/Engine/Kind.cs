using System.Numerics;
namespace YellowPencil.Core.Engine;

/// <summary>A kind of context that a student could tell apart from others.</summary>
/// <param name="Id">A short name, for example <c>top-is-zero</c>.</param>
/// <param name="Text">In words, after "when".</param>
/// <param name="Holds">Whether a context is of this kind.</param>
/// <param name="Length">How much it takes to say it.</param>
public sealed record Kind<TContext>(string Id, string Text, Func<TContext, bool> Holds, RuleLength Length = RuleLength.Named)
{
    /// <summary>All other contexts in words, where there is a better way to say it than "except …".</summary>
    public string? Otherwise { get; init; }
}

/// <summary>A number that a student can see where a decision is made.</summary>
/// <param name="Id">A short name, for example <c>top</c>.</param>
/// <param name="Text">In words, for example "the top digit".</param>
/// <param name="Of">The number; less than 0 where there is none.</param>
/// <param name="Values">The numbers it is compared with.</param>
public sealed record Property<TContext>(string Id, string Text, Func<TContext, int> Of, params IReadOnlyList<int> Values);

/// <summary>Something that can be done at a decision point.</summary>
/// <param name="Id">As ids spell it.</param>
/// <param name="Text">What somebody does who does so, for example "writes the top digit".</param>
/// <param name="Result">What comes of it.</param>
/// <param name="Length">How much it takes to say it.</param>
public sealed record ChoiceOrValue<TContext>(string Id, string Text, ChoiceResult<TContext> Result, RuleLength Length = RuleLength.Named);

/// <summary>
/// The number of a choice, or a value, that is come to in a context; less than 0 where it cannot be done, and <see cref="Nothing.Else"/> where it is done and
/// the same comes of it as of what is taught.
/// </summary>
/// <param name="context">What can be seen there.</param>
/// <param name="taught">What the taught method comes to.</param>
public delegate int ChoiceResult<TContext>(in TContext context, int taught);

/// <summary>How much it takes to say a rule.</summary>
public enum RuleLength
{
    /// <summary>A choice and a kind of context that has a name.</summary>
    Named,

    /// <summary>The opposite of a named kind.</summary>
    Opposite,

    /// <summary>A kind by a number that can be seen.</summary>
    Comparison,

    /// <summary>Two kinds together.</summary>
    Pair,

    /// <summary>A number put together from others.</summary>
    Expression,
}

/// <summary>A deviation put together from a kind of context and a choice, without a catalogue entry.</summary>
/// <param name="Id">For example <c>subtraction.lender-value/lender-is-1/unchanged</c>.</param>
/// <param name="Text">In words: what is done, and when.</param>
/// <param name="Deviation">The deviation itself.</param>
/// <param name="Length">How much it takes to say it.</param>
public sealed record UnlistedDeviation(string Id, string Text, Deviation Deviation, RuleLength Length = RuleLength.Named);

/// <summary>
/// A kind of context as a test on what is known of one: which of the point's named kinds hold and which do not, and a comparison of a number that can be
/// seen.
/// </summary>
/// <param name="Holding">Named kinds that hold, as bits.</param>
/// <param name="Failing">Named kinds that do not hold, as bits.</param>
/// <param name="Comparison">The number of a comparison that holds; -1 for none.</param>
/// <param name="Length">How much it takes to say it.</param>
internal readonly record struct KindTest(ulong Holding, ulong Failing, int Comparison, RuleLength Length)
{
    /// <summary>Whether the named kinds are as they should be.</summary>
    public bool FitsNamed(ulong named) => (named & Holding) == Holding && (named & Failing) == 0;
}

/// <summary>
/// Kinds of context that have no name of their own: the opposite of a named kind, a number that is, is at least or is less than another, and two kinds
/// together.
/// </summary>
/// <param name="named">The named kinds.</param>
/// <param name="properties">The numbers that can be seen.</param>
internal sealed class LearntKinds<TContext>(IReadOnlyList<Kind<TContext>> named, IReadOnlyList<Property<TContext>> properties)
{
    private const string Opposite = "except-";
    private const string Except = "except ";
    private const string Together = "-and-";

    private readonly Kind<TContext>[] comparisons = [.. properties.SelectMany(p => p.Values.SelectMany(v => Compare(p, v)))];

    private readonly IReadOnlyList<Kind<TContext>> named = named.Count <= 64
        ? named
        : throw new ArgumentException("a decision point has at most 64 named kinds", nameof(named));

    private readonly KindTest[]?[] tests = new KindTest[]?[Enum.GetValues<RuleLength>().Length];

    public KindTest[] Of(RuleLength length) => tests[(int)length] ??= length switch
    {
        RuleLength.Named => [.. named.Select((_, i) => new KindTest(1UL << i, 0, -1, length))],
        RuleLength.Opposite => [.. Others.Select(i => new KindTest(0, 1UL << i, -1, length))],
        RuleLength.Comparison => [.. comparisons.Select((_, i) => new KindTest(0, 0, i, length))],
        RuleLength.Pair => [.. Pairs()],
        _ => [],
    };

    /// <summary>Which of some named kinds hold in a context, as bits.</summary>
    public ulong NamedIn(in TContext context, ulong asked)
    {
        var holding = 0UL;
        for (; asked != 0; asked &= asked - 1)
        {
            var i = BitOperations.TrailingZeroCount(asked);
            if (named[i].Holds(context)) holding |= 1UL << i;
        }

        return holding;
    }

    /// <summary>Whether a comparison holds in a context.</summary>
    public bool Compares(in TContext context, int comparison) => comparisons[comparison].Holds(context);

    public Kind<TContext> KindOf(KindTest test)
    {
        if (test.Comparison >= 0) return comparisons[test.Comparison];
        Kind<TContext>? kind = null;
        for (var i = 0; i < named.Count; i++)
        {
            if ((test.Holding >> i & 1) == 1) kind = Both(kind, named[i]);
            if ((test.Failing >> i & 1) == 1) kind = Both(kind, Not(named[i]));
        }

        return kind!;
    }

    /// <summary>The kind of an id; null where there is none.</summary>
    public Kind<TContext>? Find(string id)
    {
        if (id.Split(Together) is [var first, var second]) return Find(first) is { } one && Find(second) is { } other ? Both(one, other) : null;
        if (named.FirstOrDefault(k => k.Id == id) is { } known) return known;
        if (id.StartsWith(Opposite, StringComparison.Ordinal) && named.FirstOrDefault(k => k.Id == id[Opposite.Length..]) is { } opposite) return Not(opposite);
        return comparisons.FirstOrDefault(k => k.Id == id);
    }

    // The kind that always holds has no opposite and narrows nothing.
    private IEnumerable<int> Others => Enumerable.Range(0, named.Count).Where(i => named[i].Id != "always");

    private IEnumerable<KindTest> Pairs()
    {
        foreach (var i in Others)
            foreach (var j in Others)
            {
                if (i < j) yield return new KindTest(1UL << i | 1UL << j, 0, -1, RuleLength.Pair);
                if (i != j) yield return new KindTest(1UL << i, 1UL << j, -1, RuleLength.Pair);
            }
    }

    private static Kind<TContext> Not(Kind<TContext> kind)
    {
        var holds = kind.Holds;
        return new Kind<TContext>(Opposite + kind.Id, kind.Otherwise ?? Except + kind.Text, c => !holds(c), RuleLength.Opposite);
    }

    private static Kind<TContext> Both(Kind<TContext>? one, Kind<TContext> other)
    {
        if (one is null) return other;
        var (first, second) = (one.Holds, other.Holds);
        return new Kind<TContext>($"{one.Id}{Together}{other.Id}", InWords(one.Text, other.Text), c => first(c) && second(c), RuleLength.Pair);
    }

    // What is left out comes last: "when the next digit is 0, but not in the first cycle", "except in sums or when both are negative".
    private static string InWords(string one, string other) => (one.StartsWith(Except, StringComparison.Ordinal), other.StartsWith(Except, StringComparison.Ordinal)) switch
    {
        (true, true) => $"{one} or {other[Except.Length..]}",
        (true, false) => $"{other}, but not {one[Except.Length..]}",
        (false, true) => $"{one}, but not {other[Except.Length..]}",
        _ => $"{one} and {other}",
    };

    private static IEnumerable<Kind<TContext>> Compare(Property<TContext> property, int value)
    {
        var of = property.Of;
        yield return new Kind<TContext>($"{property.Id}-equals-{value}", $"when {property.Text} is {value}", c => of(c) == value, RuleLength.Comparison);
        yield return new Kind<TContext>($"{property.Id}-from-{value}", $"when {property.Text} is {value} or more", c => of(c) >= value, RuleLength.Comparison);
        yield return new Kind<TContext>(
            $"{property.Id}-below-{value}", $"when {property.Text} is less than {value}", c => of(c) >= 0 && of(c) < value, RuleLength.Comparison);
    }
}

/// <summary>What is come to where no chance is.</summary>
internal static class Nothing
{
    /// <summary>It cannot be done there.</summary>
    public const int Done = -1;

    /// <summary>It is done, and the same comes of it as of what is taught: no chance, and no other rule has its way there.</summary>
    public const int Else = -2;
}
