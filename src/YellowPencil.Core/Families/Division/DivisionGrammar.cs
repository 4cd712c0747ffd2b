using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Families.Division;

/// <summary><c>958 / 4</c></summary>
internal sealed class DivisionGrammar : CalculationGrammar
{
    public override IReadOnlyList<string> Forms => ["remainder", "fraction", "decimal"];

    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '/' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked)
    {
        var form = asked.Form switch { "fraction" => QuotientForm.WithFraction, "decimal" => QuotientForm.AsDecimal, _ => QuotientForm.WithRemainder };
        return LongDivision.TryMake(calculation.Whole(0), calculation.Whole(1), form).At(calculation.SecondAt);
    }
}
