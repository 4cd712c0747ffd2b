namespace YellowPencil.Core.Engine;

/// <summary>
/// A place in a taught method at which a number comes about. What a student does there instead is an expression in the numbers that can be seen: one of
/// them, its ones, one more, two of them together, and so on.
/// </summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
public sealed class ValueDecision<TContext>(string id, string question) : Decision<TContext>(id, question)
    where TContext : struct, IDecisionContext
{
    /// <summary>The numbers that can be seen.</summary>
    public required IReadOnlyList<Property<TContext>> Numbers { get; init; }

    /// <summary>What somebody does who comes to a number, for example "writes 7".</summary>
    public required Func<string, string> Does { get; init; }

    /// <inheritdoc/>
    public override int ChoiceCount => 0;

    internal override IReadOnlyList<ChoiceOrValue<TContext>> Options =>
        options ??= [.. Expressions.Of(Numbers).Select(e => e with { Text = Does(e.Text), Length = RuleLength.Expression })];

    private IReadOnlyList<ChoiceOrValue<TContext>>? options;

    /// <summary>Of the many, only those that hold in every context.</summary>
    public override IEnumerable<UnlistedDeviation> AllDeviations() => Options.Select(option => Unlisted(Kinds[0], option));

    internal override int CountOf(RuleLength length) => length == RuleLength.Expression ? Kinds.Count * Options.Count : 0;

    internal override IReadOnlyList<(int Chosen, double Weight)> SlipsIn(in TContext context) => [];

    internal override string Tell(in TContext context, int made) => Capitalised(Does(made.ToString())) + ".";
}

/// <summary>Small expressions in numbers that can be seen. One that leads below nothing cannot be made.</summary>
internal static class Expressions
{
    private static readonly int[] Constants = [0, 1, 9, 10];

    private static readonly int[] Bounds = [1, 2, 9];

    /// <summary>All of them: constants, each number, one more, one less, twice, squared, a bound, its ones and tens, and two numbers together.</summary>
    public static IEnumerable<ChoiceOrValue<TContext>> Of<TContext>(IReadOnlyList<Property<TContext>> numbers)
    {
        foreach (var constant in Constants) yield return new ChoiceOrValue<TContext>($"is-{constant}", constant.ToString(), (in TContext _, int _) => constant);
        foreach (var number in numbers)
        {
            var of = number.Of;
            yield return new ChoiceOrValue<TContext>(number.Id, number.Text, (in TContext c, int _) => of(c));
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-plus-1", $"one more than {number.Text}", (in TContext c, int _) => of(c) is >= 0 and var n ? n + 1 : -1);
            yield return new ChoiceOrValue<TContext>($"{number.Id}-minus-1", $"one less than {number.Text}", (in TContext c, int _) => of(c) - 1);
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-ones", $"the ones of {number.Text}", (in TContext c, int _) => of(c) is >= 0 and var n ? n % 10 : -1);
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-tens", $"the tens of {number.Text}", (in TContext c, int _) => of(c) is >= 0 and var n ? n / 10 : -1);
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-twice", $"twice {number.Text}", (in TContext c, int _) => of(c) is >= 0 and < 100_000 and var n ? 2 * n : -1);
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-squared", $"{number.Text} times itself", (in TContext c, int _) => of(c) is >= 0 and < 10_000 and var n ? n * n : -1);
            foreach (var most in Bounds)
                yield return new ChoiceOrValue<TContext>(
                    $"{number.Id}-at-most-{most}", $"{number.Text}, but at most {most}",
                    (in TContext c, int _) => of(c) is >= 0 and var n ? Math.Min(n, most) : -1);
            yield return new ChoiceOrValue<TContext>(
                $"{number.Id}-to-ten", $"what is missing from {number.Text} to ten", (in TContext c, int _) => of(c) is >= 0 and <= 10 and var n ? 10 - n : -1);
        }

        for (var i = 0; i < numbers.Count; i++)
            for (var j = i + 1; j < numbers.Count; j++)
                foreach (var pair in Of(numbers[i], numbers[j])) yield return pair;
    }

    private static IEnumerable<ChoiceOrValue<TContext>> Of<TContext>(Property<TContext> one, Property<TContext> other)
    {
        yield return Two("plus", $"{one.Text} and {other.Text} together", (a, b) => a + b);
        yield return Two("plus-ones", $"the ones of {one.Text} and {other.Text} together", (a, b) => (a + b) % 10);
        yield return Two("times-ones", $"the ones of {one.Text} times {other.Text}", (a, b) => (int)((long)a * b % 10));
        yield return Two("apart", $"what {one.Text} and {other.Text} are apart", (a, b) => Math.Abs(a - b));
        yield return Two("larger", $"the larger of {one.Text} and {other.Text}", Math.Max);
        yield return Two("smaller", $"the smaller of {one.Text} and {other.Text}", Math.Min);
        yield return Two("times", $"{one.Text} times {other.Text}", (a, b) => a * b);
        yield return Two("before", $"{one.Text} and {other.Text} side by side", (a, b) => 10 * a + b);
        yield return Two("behind", $"{other.Text} and {one.Text} side by side", (a, b) => 10 * b + a);

        ChoiceOrValue<TContext> Two(string name, string text, Func<int, int, int> of)
        {
            var (first, second) = (one.Of, other.Of);
            return new ChoiceOrValue<TContext>(
                $"{one.Id}-{name}-{other.Id}", text,
                (in TContext c, int _) => first(c) is >= 0 and < 100_000 and var a && second(c) is >= 0 and < 10_000 and var b ? of(a, b) : -1);
        }
    }
}
