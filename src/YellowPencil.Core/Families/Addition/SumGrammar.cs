namespace YellowPencil.Core.Families.Addition;

/// <summary><c>36 + 27 + 5</c></summary>
internal sealed class SumGrammar : CalculationGrammar
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '+' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        Parsed<ItemTask>.Of(new ColumnSum([.. Enumerable.Range(0, calculation.Terms.Count).Select(calculation.Whole)]));
}
