namespace YellowPencil.Core.Families.DecimalSums;

/// <summary><c>36.5 + 4.08 + 120</c></summary>
internal sealed class DecimalSumGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '+' or '-' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => calculation.Terms.FirstOrDefault(t => t.Number.IsNegative) is { } negative
        ? Parsed<ItemTask>.Failed(
            "sums of decimals with signs are not read, for columns have no signs and numbers with signs no points: decimals with signs come in products and "
                + "quotients",
            negative.At)
        : Parsed<ItemTask>.Of(new DecimalSum([.. calculation.Terms.Select(t => t.Number)], calculation.Sign == '-'));
}
