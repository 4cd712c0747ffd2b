namespace YellowPencil.Core.Families.Integers;

/// <summary>
/// <c>-7 - -4</c>, <c>-6 * 9</c>, <c>-24 / 6</c>: one operation on two whole numbers, at least one of them with a minus sign; and <c>8 - 15</c>, which has one in
/// its answer.
/// </summary>
internal sealed class IntegerGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { HasSigns: true, HasPoint: false } || calculation.IsBelowZero;

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked)
    {
        if (calculation.Terms.Count > 2) return Parsed<ItemTask>.Failed("with signs, an item has two numbers", calculation.Terms[2].At);
        return SignedPair.TryMake(calculation.First.Unscaled, SignedPair.Operations[calculation.Sign], calculation.Second.Unscaled).At(calculation.SecondAt);
    }
}
