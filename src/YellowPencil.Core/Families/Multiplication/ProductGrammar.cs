namespace YellowPencil.Core.Families.Multiplication;

/// <summary><c>47 * 36</c></summary>
internal sealed class ProductGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '*' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        Parsed<ItemTask>.Of(new ColumnProduct(calculation.Whole(0), calculation.Whole(1)));
}
