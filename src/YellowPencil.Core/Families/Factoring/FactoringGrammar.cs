using System.Numerics;

namespace YellowPencil.Core.Families.Factoring;

/// <summary><c>factor 6x^2 + x - 12</c></summary>
internal sealed class FactoringGrammar : TaskGrammar
{
    public override string Word => "factor";

    public override IReadOnlyList<string> Overs => ["integers", "reals", "complex"];

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        char? letter = null;
        var at = from;
        if (PolynomialText.TryRead(text, ref at, ref letter, out var fault) is not { } terms) return Parsed<ItemTask>.Failed(fault.Message, fault.Position);
        if (at < text.Length) return Parsed<ItemTask>.Failed($"'{text[at]}' does not belong in a quadratic", at);
        var numbers = PolynomialText.Collected(terms);
        if (numbers.Count != terms.Count) return Parsed<ItemTask>.Failed("like terms are put together before a quadratic is factored", from);
        if (numbers[0].Power != 2) return Parsed<ItemTask>.Failed("only quadratics are factored: the highest power is 2", from);
        if (numbers.Count == 1) return Parsed<ItemTask>.Failed("a quadratic with one term has nothing to factor", from);
        if (numbers.Exists(t => BigInteger.Abs(t.Number) > FactoringTask.Most))
            return Parsed<ItemTask>.Failed($"numbers go up to {FactoringTask.Most} here", from);
        int Of(int power) => (int)numbers.FirstOrDefault(t => t.Power == power).Number;
        return Parsed<ItemTask>.Of(
            new FactoringTask(
                Of(2), Of(1), Of(0), letter!.Value,
                asked.Over switch { "reals" => FactorsOver.Reals, "complex" => FactorsOver.Complex, _ => FactorsOver.Integers }));
    }
}
