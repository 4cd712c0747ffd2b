namespace YellowPencil.Core.Notation.Grammars;

/// <summary><c>36.5 + 4.08 + 120</c></summary>
internal sealed class DecimalSumGrammar() : CalculationGrammar(Family.DecimalSums)
{
    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '+' or '-' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => calculation.Terms.FirstOrDefault(t => t.Number.IsNegative) is { } negative
        ? Parsed<ItemTask>.Failed("sums of decimals with signs are not read, for columns have no signs and numbers with signs no points: decimals with signs come in products and quotients", negative.At)
        : Parsed<ItemTask>.Of(new DecimalSum([.. calculation.Terms.Select(t => t.Number)], calculation.Sign == '-'));
}

/// <summary><c>-2.4 * 0.15</c></summary>
internal sealed class DecimalProductGrammar() : CalculationGrammar(Family.DecimalProducts)
{
    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '*' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => Parsed<ItemTask>.Of(new DecimalProduct(calculation.First, calculation.Second));
}

/// <summary><c>8.164 / 0.26</c></summary>
internal sealed class DecimalDivisionGrammar() : CalculationGrammar(Family.DecimalDivision)
{
    public override IReadOnlyList<string> Forms => ["decimal"];

    public override bool Claims(Calculation calculation) => calculation is { HasPoint: true, Sign: '/' };

    public override Parsed<ItemTask> Read(Calculation calculation, Asked asked) => DecimalQuotient.TryMake(calculation.First, calculation.Second).At(calculation.SecondAt);
}
