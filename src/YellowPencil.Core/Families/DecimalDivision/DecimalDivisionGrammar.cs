namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary><c>8.164 / 0.26</c></summary>
internal sealed class DecimalDivisionGrammar : CalculationGrammar
{
    public override IReadOnlyList<string> Forms => ["decimal"];

    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '/' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        DecimalQuotient.TryMake(calculation.First, calculation.Second).At(calculation.SecondAt);
}
