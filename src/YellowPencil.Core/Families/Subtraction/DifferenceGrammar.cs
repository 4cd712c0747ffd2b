namespace YellowPencil.Core.Families.Subtraction;

/// <summary><c>604 - 278</c></summary>
internal sealed class DifferenceGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '-', IsBelowZero: false };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        Parsed<ItemTask>.Of(new ColumnDifference(calculation.Whole(0), calculation.Whole(1)));
}
