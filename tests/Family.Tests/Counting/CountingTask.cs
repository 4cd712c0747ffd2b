namespace YellowPencil.Core.Families.Counting;

/// <summary><c>count 47 on 4</c>: so many tens on from a number; the answer is the number at which that ends.</summary>
public sealed class CountingTask(int from, int tens) : ItemTask($"count {from} on {tens}", CountingFamily.Instance)
{
    public int From => from;

    public override int Steps => tens;

    public override PairOperation? SetOperation => null;

    public override IReadOnlyList<DecimalNumber> Numbers { get; } = [DecimalNumber.Of(from, 0)];

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => numbers is [{ Places: 0, IsNegative: false } only] && only.Unscaled < 1_000 ? new CountingTask((int)only.Unscaled, tens) : null;

    public override string RightAnswer { get; } = (from + 10 * tens).ToString();

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}

/// <summary>How tasks of counting are written.</summary>
internal sealed class CountingGrammar : TaskGrammar
{
    public override string Word => "count";

    public override Parsed<ItemTask> Read(string text, int from, Asked asked) =>
        text[from..].Split(' ', StringSplitOptions.RemoveEmptyEntries) is [var start, "on", var tens] && int.TryParse(start, out var first) && int.TryParse(tens, out var count) && first is >= 0 and < 1_000 && count is > 0 and < 20
            ? Parsed<ItemTask>.Of(new CountingTask(first, count))
            : Parsed<ItemTask>.Failed("counting on is written with a number and how many tens: count 47 on 4", from);
}
