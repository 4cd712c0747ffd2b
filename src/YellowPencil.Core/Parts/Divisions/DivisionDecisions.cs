using System.Numerics;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Products;

namespace YellowPencil.Core.Parts.Divisions;

/// <summary>The decisions of long division.</summary>
internal static class DivisionDecisions
{
    private static readonly Kind<CycleContext>[] Kinds =
    [
        new("always", "in every cycle", _ => true),
        new("first", "in the first cycle", c => c.Cycle == 0),
        new("later", "after the first cycle", c => c.Cycle > 0),
        new("inside", "inside the number", c => !c.IsLast),
        new("last", "at the last digit", c => c.IsLast),
        new("before-last", "before the last digit", c => c.DigitsLeft == 1),
        new("before-last-of-four", "before the last digit of four or more", c => c.DigitsLeft == 1 && c.Taken > 2),
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
        new("comes-out", "when the divisor goes in without a rest", c => c.Part % c.Divisor == 0),
        new("comes-out-last", "at the last digit when the divisor goes in without a rest", c => c.IsLast && c.Part % c.Divisor == 0),
    ];

    private static readonly Property<CycleContext>[] Properties =
    [
        new("part", "the number at hand", c => Small(c.Part), 10, 20, 100), new("brought", "the digit brought down", c => c.Brought, 1, 5, 9), new(
            "digit", "the digit of the quotient", c => Small(c.Part / c.Divisor), 1, 5, 9),
        new(
            "cycle", "the number of digits before", c =>
                c.Cycle, 1, 2, 3), new("left", "the number of digits left", c => c.DigitsLeft, 1, 2), new("rest", "what is left", c => Small(c.Rest), 1, 5),
    ];

    private static readonly Property<CycleContext>[] Numbers =
    [
        new("part", "the number at hand", c => Small(c.Part)), new("divisor", "the divisor", c => Small(c.Divisor)), new(
            "brought", "the digit brought down", c => c.Brought),
        new("exact", "the right digit", c => Small(c.Part / c.Divisor)), new("over", "what is over the multiple", c => Small(c.Part % c.Divisor)),
    ];

    private static readonly Kind<CycleContext>[] FewKinds = [
        .. Kinds.Where(k => k.Id is "always" or "first" or "last" or "brought-zero" or "long-divisor" or "after-point" or "closer-above")];

    public static readonly ValueDecision<CycleContext> DigitIs = new("division.digit-is", "Which digit goes into the quotient?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n} into the quotient",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Cycles.Quotient,
        Idea = Ideas.ProductFits,
    };

    public static readonly ValueDecision<CycleContext> RestIs = new("division.rest-is", "What is left?")
    {
        Numbers = Numbers,
        Does = n => $"goes on with {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Cycles.Difference,
        Idea = Ideas.RestStays,
    };

    private static readonly Property<CycleContext>[] NextNumbers = [
        new("rest", "what is left", c => Small(c.Rest)), new("next", "the next digit", c => c.NextDigit), new("divisor", "the divisor", c => Small(c.Divisor)),
        new("part", "the number divided before", c => Small(c.Part)),
    ];

    public static readonly ValueDecision<CycleContext> NextIs = new("division.next-is", "Which number is divided next?")
    {
        Numbers = NextNumbers,
        Does = n => $"divides {n} next",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Cycles.BroughtDown,
        Idea = Ideas.EveryDigitBroughtDownCounts,
    };

    private static int Small(long value) => (int)Math.Min(value, 1_000_000);

    private static readonly Kind<DivisionContext>[] WholeKinds = [
        new("always", "always", _ => true), new("long-divisor", "with a divisor of two digits", c => c.DivisorLength > 1),
    ];

    public static readonly Decision<DivisionContext, DivisionChoice> Procedure = new(
        "division.way", "What is to be done with the numbers?", DivisionChoice.Divide)
    {
        [DivisionChoice.Divide] = new("divide", "divides"),
        [DivisionChoice.Multiply] = new("multiply", "multiplies the numbers"),
        [DivisionChoice.Subtract] = new("subtract", "takes the divisor away"),
        [DivisionChoice.DigitsApart] = new("digits-apart", "divides the last digit by the last digit and the rest by the rest"),
        [DivisionChoice.DigitsLargerBySmaller] = new("digits-larger-by-smaller", "divides digit by digit, the larger by the smaller")
        { Needs = c => c.DivisorLength == 1 },
        [DivisionChoice.DigitsRestsAdded] = new("digits-rests-added", "divides each digit alone and adds up what is left of each")
        { Needs = c => c.DivisorLength == 1 && c.Form != QuotientForm.AsDecimal },
        Kinds = WholeKinds,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<DivisionContext, DivisionDirection> Direction = new(
        "division.direction", "Which digit is divided first?", DivisionDirection.FromLeft)
    {
        [DivisionDirection.FromLeft] = new("from-left", "starts at the left"),
        [DivisionDirection.FromRight] = new("from-right", "starts with the ones") { Needs = c => !c.IsSymmetric },
        Kinds = WholeKinds,
        Idea = Ideas.LargestPlaceFirst,
    };

    public static readonly Decision<DivisionContext, DivisorRead> Divisor = new("division.divisor", "What is divided by?", DivisorRead.Whole)
    {
        [DivisorRead.Whole] = new("whole", "divides by the whole divisor"),
        [DivisorRead.FirstDigit] = new("first-digit", "divides by the first digit of the divisor"),
        [DivisorRead.LastDigit] = new("last-digit", "divides by the last digit of the divisor"),
        [DivisorRead.NearestTen] = new("nearest-ten", "divides by the nearest ten"),
        [DivisorRead.TensOnly] = new("tens-only", "divides by the tens of the divisor"),
        [DivisorRead.NextTen] = new("next-ten", "divides by the next ten above the divisor"),
        Kinds = WholeKinds,
        Idea = Ideas.WholeDivisor,
    };

    public static readonly Decision<CycleContext, FirstPart> First = new("division.first-part", "How many digits are divided first?", FirstPart.TakeMore)
    {
        [FirstPart.TakeMore] = new("take-more", "takes one more digit") { Says = c => $"{c.Part} is less than {c.Divisor}: take one more digit." },
        [FirstPart.Swap] = new("swap", "divides the divisor by the digit") { Needs = c => c.Part > 0 },
        [FirstPart.LeaveDigitOut] = new("leave-digit-out", "leaves the digit out") { Needs = c => c.Part > 0 },
        [FirstPart.WriteOne] = new("write-one", "writes 1"),
        [FirstPart.RoundUpToDivisor] = new("round-up-to-divisor", "takes it for enough, writing 1 and nothing left"),
        Head = c => $"{c.Part} is less than {c.Divisor}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
        Idea = Ideas.RestStays,
        IsTold = true,
    };

    public static readonly Decision<CycleContext, TooSmall> Fits = new(
        "division.too-small", "What is written where the divisor does not go in?", TooSmall.WriteZero)
    {
        [TooSmall.WriteZero] = new("write-zero", "writes 0 in the quotient"),
        [TooSmall.WriteNothing] = new("write-nothing", "writes nothing in the quotient") { Slip = 2 },
        [TooSmall.Swap] = new("swap", "divides the divisor by the number at hand") { Needs = c => c.Part > 0 },
        [TooSmall.Stop] = new("stop", "stops"),
        [TooSmall.WriteOne] = new("write-one", "writes 1"),
        [TooSmall.WriteNumberItself] = new("write-number-itself", "writes the number at hand into the quotient") { Needs = c => c.Part > 0 },
        [TooSmall.WriteZeroForgetNumber] = new("write-zero-forget-number", "writes 0 and forgets the number at hand") { Needs = c => c.Part > 0 },
        [TooSmall.WriteDigitItself] = new("write-digit-itself", "writes the digit brought down into the quotient") { Needs = c => c.Brought > 0 || c.Part > 0 },
        [TooSmall.WriteOneAndMissing] = new("write-one-and-missing", "writes 1 and what is missing to the divisor"),
        [TooSmall.ZeroAfterNext] = new("zero-after-next", "writes the 0 behind the next digit"),
        [TooSmall.WriteTwoZeros] = new("write-two-zeros", "writes two zeros"),
        [TooSmall.WriteNine] = new("write-nine", "writes 9"),
        Head = c => $"{c.Part} is less than {c.Divisor}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
        Idea = Ideas.EveryDigitBroughtDownCounts,
        IsTold = true,
    };

    public static readonly Decision<CycleContext, QuotientDigit> Digit = new("division.digit", "How many times does the divisor go in?", QuotientDigit.Exact)
    {
        [QuotientDigit.Exact] = new("exact", "takes the right digit")
        { Says = c => $"{c.Part} ÷ {c.Divisor}: it goes {(c.Part / c.Divisor == 1 ? "once" : $"{c.Part / c.Divisor} times")}." },
        [QuotientDigit.OneTooSmall] = new("one-too-small", "takes the digit one too small") { SlipIn = c => c.Part / c.Divisor > 1 ? 0.7 : 0 },
        [QuotientDigit.OneTooLarge] = new("one-too-large", "takes the digit one too large") { SlipIn = c => c.Part / c.Divisor > 1 ? 0.7 : 0 },
        [QuotientDigit.Nearest] = new("nearest", "takes the digit of the nearest multiple") { Needs = c => 2 * (c.Part % c.Divisor) >= c.Divisor },
        [QuotientDigit.ByFirstDigits] = new("by-first-digits", "divides the first digits only")
        { Needs = c => CycleArithmetic.ByFirstDigits(c.Part, c.Divisor, c.Part / c.Divisor) != c.Part / c.Divisor },
        [QuotientDigit.One] = new("one", "writes 1") { Needs = c => c.Part / c.Divisor != 1 },
        [QuotientDigit.TwoTooSmall] = new("two-too-small", "takes the digit two too small"),
        [QuotientDigit.CountedOneMore] = new("counted-one-more", "takes the right multiple and counts one step more")
        { SlipIn = c => c.Part / c.Divisor > 1 ? 0.4 : 0 },
        [QuotientDigit.CountedOneFewer] = new("counted-one-fewer", "takes the right multiple and counts one step fewer")
        { SlipIn = c => c.Part / c.Divisor > 1 ? 0.4 : 0 },
        [QuotientDigit.ByNearestTen] = new("by-nearest-ten", "divides by the ten next to the divisor and does not test the digit")
        { Needs = c => CycleArithmetic.ByNearestTen(c.Part, c.Divisor, c.Part / c.Divisor) != c.Part / c.Divisor },
        [QuotientDigit.ByNearestTenUncapped] = new("by-nearest-ten-uncapped", "divides by the ten next to the divisor, also where that gives more than 9")
        { Needs = c => CycleArithmetic.ByNearestTen(c.Part, c.Divisor, c.Part / c.Divisor, most: 99) != c.Part / c.Divisor },
        Head = c => $"{c.Part} ÷ {c.Divisor}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Quotient,
        Idea = Ideas.ProductFits,
        IsTold = true,
        BeginsPart = true,
    };

    public static readonly Decision<CycleContext, TakingProduct> Taking = new("division.subtract", "What is done with the product?", TakingProduct.Subtract)
    {
        [TakingProduct.Subtract] = new("subtract", "takes the product away"),
        [TakingProduct.ThrowRestAway] = new("throw-rest-away", "throws away what is left") { Needs = c => c.Part != c.Product },
        [TakingProduct.Add] = new("add", "adds the product") { Needs = c => c.Product > 0 },
        [TakingProduct.KeepProduct] = new("keep-product", "goes on with the product itself") { Needs = c => c.Part != 2 * c.Product },
        [TakingProduct.ThrowRestAwayIfLast] = new("throw-rest-away-if-last", "throws away what is left at the end")
        { Needs = c => c.IsLast && c.Part != c.Product },
        [TakingProduct.TensOfDivisorOnly] = new("tens-of-divisor-only", "multiplies the tens of the divisor only")
        { Needs = c => c.HasLongDivisor && c.Divisor % 10 > 0 && c.Product > 0 },
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.Difference,
        Idea = Ideas.RestStays,
        IsTold = true,
    };

    public static readonly Decision<CycleContext, LargeRest> Rest = new("division.large-rest", "Is what is left less than the divisor?", LargeRest.GoOn)
    {
        [LargeRest.GoOn] = new("go-on", "goes on"),
        [LargeRest.DivideAgain] = new("divide-again", "divides what is left again and writes one more digit"),
        Kinds = [Kinds[0]],
        ShowsIn = WorkFields.Cycles.Quotient,
        Idea = Ideas.RestLessThanDivisor,
    };

    public static readonly Decision<CycleContext, BringDown> Bring = new("division.bring-down", "What is brought down?", BringDown.One)
    {
        [BringDown.One] = new("one", "brings down one digit"),
        [BringDown.Stop] = new("stop", "brings nothing down and stops") { Slip = 0.3 },
        [BringDown.InFront] = new("in-front", "puts the digit brought down in front") { Needs = c => c.Rest > 0 && !IsSame(c) },
        [BringDown.LastDigit] = new("last-digit", "brings down the last digit") { Needs = c => c.DigitsLeft > 1 && c.LastDigit != c.NextDigit },
        [BringDown.DigitOnly] = new("digit-only", "goes on with the digit brought down alone") { Needs = c => c.Rest > 0 },
        [BringDown.OneAndSkip] = new("one-and-skip", "brings down the digit after the next") { Needs = c => c.DigitsLeft > 1 },
        [BringDown.AddedToRest] = new("added-to-rest", "adds the next digit to what is left") { Needs = c => c.Rest > 0 },
        [BringDown.OnesOfRestOnly] = new("ones-of-rest-only", "keeps only the ones of what is left before the next digit") { Needs = c => c.Rest >= 10 },
        [BringDown.SkipLast] = new("skip-last", "leaves out the last digit but goes on") { Needs = c => c.DigitsLeft == 1 },
        [BringDown.Two] = new("two", "brings two digits down at once") { Needs = c => c.DigitsLeft > 1 },
        [BringDown.LastIsRest] = new("last-is-rest", "leaves the last digit over undivided") { Needs = c => c.DigitsLeft == 1 },
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.BroughtDown,
        Idea = Ideas.EveryDigitBroughtDownCounts,
        IsTold = true,
    };

    public static readonly Decision<CycleContext, Extension> Extend = new(
        "division.append-zero", "Is a zero appended when all digits are used?", Extension.AppendZero)
    {
        [Extension.AppendZero] = new("append-zero", "appends a zero and goes on"),
        [Extension.Finish] = new("finish", "finishes") { SlipIn = c => c.AsksDecimal ? 0.5 : 0 },
        [Extension.AppendZeroWriteZero] = new("append-zero-write-zero", "appends a zero and writes a 0 for it in the quotient"),
        [Extension.OneZeroOnly] = new("one-zero-only", "appends one zero only"),
        TaughtIn = (c, _) => c.AsksDecimal ? Extension.AppendZero : Extension.Finish,
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Cycles.BroughtDown,
        Idea = Ideas.ZerosGoOn,
        IsTold = true,
    };

    public static readonly Decision<CycleContext, QuotientPoint> Point = new("division.point", "Where does the point of the quotient go?", QuotientPoint.Put)
    {
        [QuotientPoint.Put] = new("put", "puts the point straight above"),
        [QuotientPoint.Forget] = new("forget", "forgets the point") { Slip = 1 },
        [QuotientPoint.AfterFirstDigit] = new("after-first-digit", "puts the point after the first digit"),
        Kinds = [Kinds[0]],
        Idea = Ideas.ZerosGoOn,
        IsTold = true,
    };

    public static readonly ValueDecision<RestContext> Left = new("division.left", "How much is left?")
    {
        Numbers = [
            new("rest", "what is left", c => Small(c.Rest)), new("divisor", "the divisor", c => Small(c.Divisor)),
            new("last", "the last digit of the number", c => c.LastDigit),
        ],
        Does = n => $"gives what is left as {n}",
        Kinds = [new("always", "always", _ => true)],
        Idea = Ideas.RemainderBelongs,
    };

    public static readonly Decision<RestContext, RestWritten> Written = new("division.remainder", "How is what is left written?", RestWritten.AsRemainder)
    {
        [RestWritten.AsRemainder] = new("as-remainder", "writes it as the remainder"),
        [RestWritten.OverDivisor] = new("over-divisor", "writes it over the divisor in lowest terms"),
        [RestWritten.OverDivisorAsItStands] = new("over-divisor-as-it-stands", "writes it over the divisor as it stands")
        { Needs = c => c.Form != QuotientForm.WithFraction || BigInteger.GreatestCommonDivisor(c.Rest, c.Divisor) > 1 },
        [RestWritten.Drop] = new("drop", "drops it") { Slip = 1 },
        [RestWritten.AsNextDigit] = new("as-next-digit", "writes it as one more digit of the quotient"),
        [RestWritten.AsDecimal] = new("as-decimal", "writes it after a point"),
        [RestWritten.RoundUp] = new("round-up", "makes the quotient one more"),
        [RestWritten.ToNearest] = new("to-nearest", "rounds the quotient to the nearest whole number"),
        [RestWritten.OverTen] = new("over-ten", "writes it over ten"),
        [RestWritten.OverTenReduced] = new("over-ten-reduced", "writes what is left over ten, in lowest terms") { Needs = c => c.Divisor != 10 },
        [RestWritten.OverHundred] = new("over-hundred", "writes what is left over a hundred") { Needs = c => c.Divisor != 100 },
        [RestWritten.DivisorOverRest] = new("divisor-over-rest", "writes the divisor over it"),
        [RestWritten.OverDividend] = new("over-dividend", "writes it over the dividend"),
        [RestWritten.OverQuotient] = new("over-quotient", "writes it over the quotient"),
        [RestWritten.WhatIsMissing] = new("what-is-missing", "writes what is missing to the divisor"),
        [RestWritten.AsExactDecimal] = new("as-exact-decimal", "goes on to a decimal"),
        [RestWritten.RemainderIsDivisor] = new("remainder-is-divisor", "writes the divisor as the remainder"),
        TaughtIn = (c, _) =>
            c.Form switch { QuotientForm.WithFraction => RestWritten.OverDivisor, QuotientForm.AsDecimal => RestWritten.Drop, _ => RestWritten.AsRemainder },
        Head = c => $"{c.Rest} is left",
        Kinds =
        [
            new("always", "always", _ => true),
            new("half", "when half of the divisor or more is left", c => 2 * c.Rest >= c.Divisor) { Otherwise = "when less than half of the divisor is left" },
            new("one-short", "when only one is missing to the divisor", c => c.Rest == c.Divisor - 1),
            new("divides", "when what is left goes into the divisor", c => c.Rest > 1 && c.Divisor % c.Rest == 0),
            new("long-divisor", "when the divisor has two digits or more", c => c.Divisor > 9),
            new("even", "when the number to be divided is even", c => c.LastDigit is 0 or 2 or 4 or 6 or 8),
        ],
        Properties = [new("rest", "what is left", c => Small(c.Rest), 1, 2, 5, 10)],
        Idea = Ideas.RemainderIsOfDivisor,
        IsTold = true,
    };

    // 5 before 55 is 55 before 5.
    private static bool IsSame(CycleContext c) => $"{c.NextDigit}{c.Rest}" == $"{c.Rest}{c.NextDigit}";

    /// <summary>Those of the cycles, also where they are part of another method, with those of the products and differences in them.</summary>
    public static IReadOnlyList<Decision> InCycles { get; } =
    [
        Divisor, First, Fits, Digit, DigitIs, Taking, RestIs, Rest, Bring, NextIs, Extend, Point, .. SubtractionDecisions.InColumns,
        MultiplicationDecisions.Onward, MultiplicationDecisions.Product, MultiplicationDecisions.Count, MultiplicationDecisions.Carry, MultiplicationDecisions.Ten, MultiplicationDecisions.Last,
    ];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Procedure, Direction, .. InCycles, Left, Written];
}
