namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary><c>-2.4 * 0.15</c></summary>
internal sealed class DecimalProductGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '*' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        Parsed<ItemTask>.Of(new DecimalProduct(calculation.First, calculation.Second));
}
