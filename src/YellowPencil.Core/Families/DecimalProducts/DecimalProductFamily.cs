using System.Numerics;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.DecimalColumns;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>Products of decimals with signs: multiplied as whole numbers, then the places counted.</summary>
internal sealed class DecimalProductFamily() : TaughtFamily("decimal-products", "products of decimals")
{
    public static readonly DecimalProductFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => DecimalProductBugs.All;

    internal override TaskGrammar Grammar { get; } = new DecimalProductGrammar();

    internal override FamilyLayout Layout { get; } = new DecimalProductLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        AreaModel.Of(task.Numbers[0], task.Numbers[1], marks, answer);

    public override string Check => "Round both numbers: the answer must be near their product; count the places of both.";

    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    public override IReadOnlyList<Part> Parts { get; } =
    [
        new("multiplication", "in the digits multiplied under the points"),
        new("addition", "where the rows are added"),
        new("integers", "in the sign"),
    ];

    protected override IReadOnlyList<Decision> OwnDecisions => DecimalProductDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Carries, WorkFields.Rows, WorkFields.Sign, WorkFields.Places];

    public override IReadOnlyList<string> ConfusedWith { get; } = ["decimal-sums", "integers"];

    public override Func<ItemTask> Items(int seed) => new DecimalProductItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var product = (DecimalProduct)task;
        var (first, second) = (product.First, product.Second);
        var context = new PlacesContext(first.Places, second.Places, HasBareZero(first) || HasBareZero(second), 0, EndsInZero: false)
        {
            FirstWhole = first.Length - first.Places,
            SecondWhole = second.Length - second.Places,
            BareZeros = (HasBareZero(first) ? 1 : 0) + (HasBareZero(second) ? 1 : 0),
        };
        var signs = new SignsContext(first.IsNegative, second.IsNegative, IsLarger(first, second), IsQuotient: false);
        var signFirst = SignDecisions.ComesFirst(run);
        var isNegative = signFirst && SignDecisions.IsNegative(run, signs);
        if (run.Ask(DecimalProductDecisions.Procedure, context) == ProductChoice.Add)
        {
            Add(run, first, second);
            return;
        }

        var split = first.Places + second.Places > 0 ? run.Ask(DecimalProductDecisions.Split, context) : FactorSplit.OneNumber;
        if (split == FactorSplit.TwoNumbers || (split == FactorSplit.DecimalPartOnly && context.HasWhole))
        {
            var decimals = Product(run, first, second, isWhole: false);
            var whole = split == FactorSplit.TwoNumbers
                ? Product(run, first, second, isWhole: true)
                : Digits.Text(Part(run, first.Places > 0 ? first : second, isWhole: true));
            if (!signFirst) isNegative = SignDecisions.IsNegative(run, signs);
            run.Page.Append(DecimalNumber.Canonical($"{(isNegative ? "-" : "")}{whole}.{decimals}"));
            return;
        }

        var answer = ProductWork.Multiply(run, DigitsOf(run, first), DigitsOf(run, second));
        if (!signFirst) isNegative = SignDecisions.IsNegative(run, signs);
        Place(run, context with { Digits = Digits.LengthWithoutZeros(answer), EndsInZero = answer.Length > 1 && answer[0] == 0 }, answer, isNegative);
    }

    /// <summary>
    /// The parts of both factors before their points, or behind them, multiplied as whole numbers beside the task; nothing written counts as 0.
    /// </summary>
    private static string Product(MethodRun run, DecimalNumber first, DecimalNumber second, bool isWhole)
    {
        run.Page.IsAside = true;
        var digits = ProductWork.Multiply(run, Part(run, first, isWhole), Part(run, second, isWhole));
        run.Page.IsAside = false;
        return digits.IsEmpty ? "0" : Digits.Text(digits[..Digits.LengthWithoutZeros(digits)]);
    }

    /// <summary>The digits of a factor before or after its point, without zeros in front.</summary>
    private static Span<int> Part(MethodRun run, DecimalNumber number, bool isWhole)
    {
        // A whole number has only one part, that meets both parts of the other.
        isWhole |= number.Places == 0;
        var digits = run.Take(Math.Max(1, isWhole ? number.Length - number.Places : number.Places), filledWith: 0);
        for (var i = 0; i < (isWhole ? number.Length - number.Places : number.Places); i++) digits[i] = number.Digit(isWhole ? i : i - number.Places);
        return digits[..Digits.LengthWithoutZeros(digits)];
    }

    /// <summary>The sum instead of the product: in columns, or by the rules of signs where there are any.</summary>
    private static void Add(MethodRun run, DecimalNumber first, DecimalNumber second)
    {
        if (!first.IsNegative && !second.IsNegative)
        {
            DecimalColumns.InColumns(run, new DecimalsSet([first, second], IsDifference: false));
            return;
        }

        var places = Math.Max(first.Places, second.Places);
        var digits = SignedSum.Of(run, Scaled(first, places), Scaled(second, places), out var isNegative);
        run.Page.AppendDecimal(digits, places, isNegative);
    }

    /// <summary>Puts the point into the product.</summary>
    private static void Place(MethodRun run, PlacesContext context, Span<int> answer, bool isNegative)
    {
        if (Digits.AreZero(answer))
        {
            run.Page.Append(answer.IsEmpty ? "" : "0");
            return;
        }

        answer = answer[..Digits.LengthWithoutZeros(answer)];
        if (context.EndsInZero && run.Ask(DecimalProductDecisions.Zeros, context) == EndZeros.BeforeCounting)
        {
            while (answer[0] == 0) answer = answer[1..];
        }

        context = context with { Digits = answer.Length };
        var places = run.Value(DecimalProductDecisions.Places, context, run.Do(DecimalProductDecisions.Count, context), most: 30);
        run.Page.Write(WorkFields.Places, null, places);
        if (answer.Length < places)
        {
            places = run.Ask(DecimalProductDecisions.TooFew, context) switch
            {
                TooFewDigits.PointInFront => answer.Length,
                TooFewDigits.OneZeroInFront => answer.Length + 1,
                TooFewDigits.OneZeroTooMany => places + 1,
                TooFewDigits.NoPoint => 0,
                TooFewDigits.PointAfterFirst => answer.Length - 1,
                _ => places,
            };
        }

        run.Page.AppendDecimal(answer, places, isNegative);
    }

    /// <summary>The digits of a factor as a whole number: no point, no zeros in front.</summary>
    private static Span<int> DigitsOf(MethodRun run, DecimalNumber number)
    {
        var digits = run.Take(number.Length);
        for (var i = 0; i < digits.Length; i++) digits[i] = number.Digit(i - number.Places);
        return digits[..Digits.LengthWithoutZeros(digits)];
    }

    private static bool HasBareZero(DecimalNumber number) => number.Places > 0 && number.Length - number.Places == 1 && number.Digit(0) == 0;

    private static bool IsLarger(DecimalNumber first, DecimalNumber second)
    {
        var places = Math.Max(first.Places, second.Places);
        return BigInteger.Abs(Scaled(first, places)) > BigInteger.Abs(Scaled(second, places));
    }

    private static BigInteger Scaled(DecimalNumber number, int places) => number.Unscaled * BigInteger.Pow(10, places - number.Places);
}
