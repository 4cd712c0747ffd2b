namespace YellowPencil.Core.Notation.Grammars;

/// <summary><c>36 + 27 + 5</c></summary>
internal sealed class SumGrammar() : CalculationGrammar(Family.Addition)
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '+' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) =>
        Parsed<ItemTask>.Of(new ColumnSum([.. Enumerable.Range(0, calculation.Terms.Count).Select(calculation.Whole)]));
}

/// <summary><c>604 - 278</c></summary>
internal sealed class DifferenceGrammar() : CalculationGrammar(Family.Subtraction)
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '-' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => Parsed<ItemTask>.Of(new ColumnDifference(calculation.Whole(0), calculation.Whole(1)));
}

/// <summary><c>47 * 36</c></summary>
internal sealed class ProductGrammar() : CalculationGrammar(Family.Multiplication)
{
    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '*' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => Parsed<ItemTask>.Of(new ColumnProduct(calculation.Whole(0), calculation.Whole(1)));
}

/// <summary><c>958 / 4</c></summary>
internal sealed class DivisionGrammar() : CalculationGrammar(Family.Division)
{
    public override IReadOnlyList<string> Forms => ["remainder", "fraction", "decimal"];

    public override bool Claims(Calculation calculation) => calculation is { IsPlain: true, Sign: '/' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked)
    {
        var form = asked.Form switch { "fraction" => QuotientForm.WithFraction, "decimal" => QuotientForm.AsDecimal, _ => QuotientForm.WithRemainder };
        return LongDivision.TryMake(calculation.Whole(0), calculation.Whole(1), form).At(calculation.SecondAt);
    }
}
