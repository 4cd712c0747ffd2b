using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Division;

/// <summary>The decisions of long division.</summary>
public static class DivisionPoints
{
    private static readonly Kind<CycleContext>[] Kinds =
    [
        new("always", "in every cycle", _ => true),
        new("first", "in the first cycle", c => c.Cycle == 0),
        new("later", "after the first cycle", c => c.Cycle > 0),
        new("inside", "inside the number", c => !c.IsLast),
        new("last", "at the last digit", c => c.IsLast),
        new("brought-zero", "when a 0 was brought down", c => c.Brought == 0),
        new("brought-digit", "when a digit other than 0 was brought down", c => c.Brought > 0),
        new("nothing-at-hand", "when the number at hand is 0", c => c.Part == 0),
        new("something-at-hand", "when the number at hand is less than the divisor but not 0", c => c.IsTooSmall && c.Part > 0),
        new("no-rest", "when nothing is left", c => c.Rest == 0),
        new("some-rest", "when something is left", c => c.Rest > 0),
        new("large-digit", "when the digit of the quotient is 6 or more", c => c.Part / c.Divisor >= 6),
        new("long-divisor", "with a divisor of two digits", c => c.HasLongDivisor),
        new("after-point", "after the point", c => c.IsAfterPoint),
        new("before-point", "before the point", c => !c.IsAfterPoint),
        new("leading-zero", "before the first digit other than 0", c => !c.HasDigit),
        new("very-first-digit", "at the first digit of the number", c => c.Taken == 1),
        new("two-at-hand", "when the number at hand has two digits", c => c.Part > 9),
        new("short-divisor", "with a divisor of one digit", c => !c.HasLongDivisor),
        new("asks-decimal", "where a decimal is asked for", c => c.AsksDecimal),
        new("appended", "when a zero was appended", c => c.Appended > 0),
        new("zero-next", "when the next digit is 0", c => c.NextDigit == 0),
        new("digit-as-divisor", "when the number at hand is the divisor", c => c.Part == c.Divisor),
        new("closer-above", "when the next multiple is closer", c => 2 * (c.Part % c.Divisor) >= c.Divisor),
    ];

    private static readonly Property<CycleContext>[] Properties =
    [
        new("part", "the number at hand", c => Small(c.Part), 10, 20, 100), new("brought", "the digit brought down", c => c.Brought, 1, 5, 9), new("digit", "the digit of the quotient", c => Small(c.Part / c.Divisor), 1, 5, 9),
        new("cycle", "the count of digits before", c => c.Cycle, 1, 2, 3), new("left", "the count of digits left", c => c.DigitsLeft, 1, 2), new("rest", "what is left", c => Small(c.Rest), 1, 5),
    ];

    private static readonly Property<CycleContext>[] Numbers =
    [
        new("part", "the number at hand", c => Small(c.Part)), new("divisor", "the divisor", c => Small(c.Divisor)), new("brought", "the digit brought down", c => c.Brought),
        new("exact", "the right digit", c => Small(c.Part / c.Divisor)), new("over", "what is over the multiple", c => Small(c.Part % c.Divisor)),
    ];

    private static readonly Kind<CycleContext>[] FewKinds = [.. Kinds.Where(k => k.Id is "always" or "first" or "last" or "brought-zero" or "long-divisor" or "after-point" or "closer-above")];

    /// <summary>Which number goes into the quotient?</summary>
    public static readonly ValuePoint<CycleContext> DigitIs = new("division.digit-is", "Which digit goes into the quotient?") { Numbers = Numbers, Does = n => $"writes {n} into the quotient", Kinds = FewKinds, ShowsIn = WorkFields.Cycles.Quotient };

    /// <summary>What is left in a cycle?</summary>
    public static readonly ValuePoint<CycleContext> RestIs = new("division.rest-is", "What is left?") { Numbers = Numbers, Does = n => $"goes on with {n}", Kinds = FewKinds, ShowsIn = WorkFields.Cycles.Difference };

    private static readonly Property<CycleContext>[] NextNumbers = [new("rest", "what is left", c => Small(c.Rest)), new("next", "the next digit", c => c.NextDigit), new("divisor", "the divisor", c => Small(c.Divisor)), new("part", "the number divided before", c => Small(c.Part))];

    /// <summary>What is divided next?</summary>
    public static readonly ValuePoint<CycleContext> NextIs = new("division.next-is", "Which number is divided next?") { Numbers = NextNumbers, Does = n => $"divides {n} next", Kinds = FewKinds, ShowsIn = WorkFields.Cycles.BroughtDown };

    private static int Small(long value) => (int)Math.Min(value, 1_000_000);

    private static readonly Kind<DivisionContext>[] WholeKinds = [new("always", "always", _ => true), new("long-divisor", "with a divisor of two digits", c => c.DivisorLength > 1)];

    /// <summary>Divide, or something else?</summary>
    public static readonly DecisionPoint<DivisionContext, DivisionWay> Way = new("division.way", "What is to be done with the numbers?")
    {
        Does = Phrases.InOrder<DivisionWay>("divides", "multiplies the numbers", "takes the divisor away", "divides the last digit by the last digit and the rest by the rest"),
        Taught = (_, _) => DivisionWay.Divide,
        Kinds = WholeKinds,
    };

    /// <summary>Where does the work begin?</summary>
    public static readonly DecisionPoint<DivisionContext, DivisionDirection> Direction = new("division.direction", "Which digit is divided first?")
    {
        Does = Phrases.InOrder<DivisionDirection>("starts at the left", "starts with the ones"),
        Taught = (_, _) => DivisionDirection.FromLeft,
        Kinds = WholeKinds,
    };

    /// <summary>Which number is divided by?</summary>
    public static readonly DecisionPoint<DivisionContext, DivisorRead> Divisor = new("division.divisor", "What is divided by?")
    {
        Does = Phrases.InOrder<DivisorRead>("divides by the whole divisor", "divides by the first digit of the divisor", "divides by the last digit of the divisor", "divides by the nearest ten"),
        Taught = (_, _) => DivisorRead.Whole,
        Kinds = WholeKinds,
    };

    /// <summary>What if the first digits are too small?</summary>
    public static readonly DecisionPoint<CycleContext, FirstPart> First = new("division.first-part", "How many digits are divided first?")
    {
        Does = Phrases.InOrder<FirstPart>("takes one more digit", "divides the divisor by the digit", "leaves the digit out", "writes 1", "takes it for enough, writing 1 and nothing left"),
        Taught = (_, _) => FirstPart.TakeMore,
        Say = (c, choice) => choice == FirstPart.TakeMore ? $"{c.Part} is less than {c.Divisor}: take one more digit." : $"{c.Part} is less than {c.Divisor}: {First!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
    };

    /// <summary>What if the number at hand is too small?</summary>
    public static readonly DecisionPoint<CycleContext, TooSmall> Fits = new("division.too-small", "What is written where the divisor does not go in?")
    {
        Does = Phrases.InOrder<TooSmall>("writes 0 in the quotient", "writes nothing in the quotient", "divides the divisor by the number at hand", "stops", "writes 1", "writes the number at hand into the quotient", "writes 0 and forgets the number at hand", "writes the digit brought down into the quotient", "writes 1 and what is missing to the divisor", "writes the 0 behind the next digit", "writes two zeros", "writes 9"),
        Taught = (_, _) => TooSmall.WriteZero,
        Slips = _ => [(TooSmall.WriteNothing, 2)],
        Say = (c, choice) => $"{c.Part} is less than {c.Divisor}: {Fits!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
    };

    /// <summary>Which digit goes into the quotient?</summary>
    public static readonly DecisionPoint<CycleContext, QuotientDigit> Digit = new("division.digit", "How many times does the divisor go in?")
    {
        Does = Phrases.InOrder<QuotientDigit>("takes the right digit", "takes the digit one too small", "takes the digit one too large", "takes the digit of the nearest multiple", "divides the first digits only", "writes 1", "takes the digit two too small",
            "takes the right multiple and counts one step more", "takes the right multiple and counts one step fewer", "divides by the ten next to the divisor and does not test the digit", "divides by the ten next to the divisor, also where that gives more than 9"),
        Taught = (_, _) => QuotientDigit.Exact,
        Can = (c, digit) => digit switch
        {
            QuotientDigit.Nearest => 2 * (c.Part % c.Divisor) >= c.Divisor,
            QuotientDigit.One => c.Part / c.Divisor != 1,
            QuotientDigit.ByFirstDigits => CycleArithmetic.ByFirstDigits(c.Part, c.Divisor, c.Part / c.Divisor) != c.Part / c.Divisor,
            QuotientDigit.ByNearestTen => CycleArithmetic.ByNearestTen(c.Part, c.Divisor, c.Part / c.Divisor) != c.Part / c.Divisor,
            QuotientDigit.ByNearestTenUncapped => CycleArithmetic.ByNearestTen(c.Part, c.Divisor, c.Part / c.Divisor, most: 99) != c.Part / c.Divisor,
            _ => true,
        },
        Slips = c => c.Part / c.Divisor > 1 ? [(QuotientDigit.OneTooSmall, 0.7), (QuotientDigit.OneTooLarge, 0.7), (QuotientDigit.CountedOneMore, 0.4), (QuotientDigit.CountedOneFewer, 0.4)] : [],
        Say = (c, choice) => choice == QuotientDigit.Exact ? $"{c.Part} ÷ {c.Divisor}: it goes {(c.Part / c.Divisor == 1 ? "once" : $"{c.Part / c.Divisor} times")}." : $"{c.Part} ÷ {c.Divisor}: {Digit!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
    };

    /// <summary>What is done with the product?</summary>
    public static readonly DecisionPoint<CycleContext, TakingProduct> Taking = new("division.subtract", "What is done with the product?")
    {
        Does = Phrases.InOrder<TakingProduct>("takes the product away", "throws away what is left", "adds the product", "goes on with the product itself", "throws away what is left at the end", "multiplies the tens of the divisor only"),
        Taught = (_, _) => TakingProduct.Subtract,
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Difference,
    };

    /// <summary>What if the rest is not less than the divisor?</summary>
    public static readonly DecisionPoint<CycleContext, LargeRest> Rest = new("division.large-rest", "Is what is left less than the divisor?")
    {
        Does = Phrases.InOrder<LargeRest>("goes on", "divides what is left again and writes one more digit"),
        Taught = (_, _) => LargeRest.GoOn,
        Kinds = [Kinds[0]],
        ShowsIn = WorkFields.Cycles.Quotient,
    };

    /// <summary>What is brought down?</summary>
    public static readonly DecisionPoint<CycleContext, BringDown> Bring = new("division.bring-down", "What is brought down?")
    {
        Does = Phrases.InOrder<BringDown>("brings down one digit", "brings nothing down and stops", "puts the digit brought down in front", "brings down the last digit", "goes on with the digit brought down alone", "brings down the digit after the next", "adds the next digit to what is left", "keeps only the ones of what is left before the next digit", "leaves out the last digit but goes on", "brings two digits down at once"),
        Taught = (_, _) => BringDown.One,
        Slips = _ => [(BringDown.Stop, 0.3)],
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.BroughtDown,
    };

    /// <summary>Is a zero appended?</summary>
    public static readonly DecisionPoint<CycleContext, Extension> Extend = new("division.append-zero", "Is a zero appended when all digits are used?")
    {
        Does = Phrases.InOrder<Extension>("appends a zero and goes on", "finishes", "appends a zero and writes a 0 for it in the quotient", "appends one zero only"),
        Taught = (c, _) => c.AsksDecimal ? Extension.AppendZero : Extension.Finish,
        Slips = c => c.AsksDecimal ? [(Extension.Finish, 0.5)] : [],
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.BroughtDown,
    };

    /// <summary>Where does the point go?</summary>
    public static readonly DecisionPoint<CycleContext, QuotientPoint> Point = new("division.point", "Where does the point of the quotient go?")
    {
        Does = Phrases.InOrder<QuotientPoint>("puts the point straight above", "forgets the point", "puts the point after the first digit"),
        Taught = (_, _) => QuotientPoint.Put,
        Slips = _ => [(QuotientPoint.Forget, 1)],
        Kinds = [Kinds[0]],
    };

    /// <summary>What is left at the end?</summary>
    public static readonly ValuePoint<RestContext> Left = new("division.left", "How much is left?")
    {
        Numbers = [new("rest", "what is left", c => Small(c.Rest)), new("divisor", "the divisor", c => Small(c.Divisor)), new("last", "the last digit of the number", c => c.LastDigit)],
        Does = n => $"gives what is left as {n}",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>How is the rest written?</summary>
    public static readonly DecisionPoint<RestContext, RestWritten> Written = new("division.remainder", "How is what is left written?")
    {
        Does = Phrases.InOrder<RestWritten>("writes it as the remainder", "writes it over the divisor in lowest terms", "writes it over the divisor as it stands", "drops it", "writes it as one more digit of the quotient", "writes it after a point",
            "makes the quotient one more", "writes it over ten", "writes the divisor over it", "writes it over the dividend", "writes it over the quotient", "writes what is missing to the divisor", "goes on to a decimal", "writes the divisor as the remainder"),
        Taught = (c, _) => c.Form switch { QuotientForm.WithFraction => RestWritten.OverDivisor, QuotientForm.AsDecimal => RestWritten.Drop, _ => RestWritten.AsRemainder },
        Slips = _ => [(RestWritten.Drop, 1)],
        Say = (c, choice) => $"{c.Rest} is left: {Written!.Does(choice)}.",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Those of the cycles, also where they are part of another method, with those of the products and differences in them.</summary>
    public static IReadOnlyList<DecisionPoint> InCycles { get; } =
    [
        Divisor, First, Fits, Digit, DigitIs, Taking, RestIs, Rest, Bring, NextIs, Extend, Point, .. SubtractionPoints.InColumns,
        MultiplicationPoints.Onward, MultiplicationPoints.Product, MultiplicationPoints.Count, MultiplicationPoints.Carry, MultiplicationPoints.Ten, MultiplicationPoints.Last,
    ];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, Direction, .. InCycles, Left, Written];
}
