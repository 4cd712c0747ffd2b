using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.SignRules;

/// <summary>Which operation is done.</summary>
internal enum SignedChoice { AsSet, Add, Subtract, Multiply, SizesAdded, SizesApart, ZeroChangesNothing }

/// <summary>How the first number is read.</summary>
internal enum FirstSign { Kept, Dropped, Turned }

/// <summary>What two signs that meet become.</summary>
internal enum MeetingSigns { Joined, OperationOnly }

/// <summary>What is done with the numbers without their signs.</summary>
internal enum Magnitudes { BySigns, Add, Subtract }

/// <summary>Which sign a sum gets.</summary>
internal enum SumSign { ByRule, Positive, Negative, AsFirst, AsSecond, OfSmaller, ByProductRule, Opposite, NegativeIfAny }

/// <summary>An operation on numbers with signs as the student sees it.</summary>
internal readonly record struct SignedContext : IDecisionContext
{
    public required PairOperation Operation { get; init; }

    /// <summary>Whether the first number was set with a minus sign.</summary>
    public required bool FirstIsNegative { get; init; }

    /// <summary>Whether the second number was set with a minus sign.</summary>
    public required bool SecondIsNegative { get; init; }

    /// <summary>Whether the first is the larger without its sign.</summary>
    public required bool FirstIsLarger { get; init; }

    /// <summary>Whether the two are now to be added with the same sign: both positive or both negative.</summary>
    public bool HaveSameSign { get; init; }

    /// <summary>Whether the first counts as negative now.</summary>
    public bool FirstCountsNegative { get; init; }

    /// <summary>Whether the second counts as negative now, a minus before it included.</summary>
    public bool SecondCountsNegative { get; init; }

    /// <summary>The first number without its sign.</summary>
    public int FirstSize { get; init; }

    /// <summary>The second number without its sign.</summary>
    public int SecondSize { get; init; }

    /// <summary>Whether nothing is left of them.</summary>
    public bool ComesToNothing { get; init; }

    /// <summary>The sign of the larger without its sign, and of both where they have the same.</summary>
    public bool SignOfLarger => HaveSameSign || FirstIsLarger ? FirstCountsNegative : SecondCountsNegative;

    public bool SignOfSmaller => HaveSameSign || !FirstIsLarger ? FirstCountsNegative : SecondCountsNegative;

    /// <summary>Whether something is taken away.</summary>
    public bool IsMinus => Operation == PairOperation.Minus;

    /// <summary>Whether both count as negative now.</summary>
    public bool AreBothNegative => FirstCountsNegative && SecondCountsNegative;
}

/// <summary>The decisions about numbers with signs.</summary>
internal static class IntegerDecisions
{
    private static readonly Property<SignedContext>[] SeenSizes =
    [
        new("first", "the first number without its sign", c => c.FirstSize, 1, 5, 10),
        new("second", "the second number without its sign", c => c.SecondSize, 1, 5, 10),
    ];

    private static readonly Kind<SignedContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("minus", "when something is taken away", c => c.IsMinus),
        new("plus", "when something is added", c => !c.IsMinus),
        new("first-negative", "when the first number is negative", c => c.FirstIsNegative),
        new("second-negative", "when the second number is negative", c => c.SecondIsNegative),
        new("both-set-negative", "when both numbers have a minus sign", c => c.FirstIsNegative && c.SecondIsNegative),
        new("both-negative", "when two negative numbers come together", c => c.AreBothNegative),
        new("different", "when numbers of different signs come together", c => !c.HaveSameSign),
        new("same", "when numbers of the same sign come together", c => c.HaveSameSign),
        new("equal-taken-away", "when both are the same but for their signs", c => c.IsMinus && c.FirstSize == c.SecondSize),
        new("equal-sizes", "when both are the same without their signs", c => c.FirstSize == c.SecondSize),
        new("first-positive", "when the first number is positive", c => !c.FirstIsNegative),
        new("second-positive", "when the second number is positive", c => !c.SecondIsNegative),
        new("first-larger", "when the first number is the larger without its sign", c => c.FirstIsLarger),
        new("second-larger", "when the second number is the larger without its sign", c => !c.FirstIsLarger),
    ];

    private static readonly Property<SignedContext>[] Numbers = [
        new("first", "the first number without its sign", c => c.FirstSize), new("second", "the second number without its sign", c => c.SecondSize),
    ];

    public static readonly ValueDecision<SignedContext> Size = new("integers.size", "What do the numbers come to?")
    {
        Numbers = Numbers,
        Does = n => $"comes to {n}",
        Kinds = Kinds,
        Idea = Ideas.OppositesCancel,
        OtherIdea = (c => c.HaveSameSign, Ideas.SameSignsGoOn),
    };

    public static readonly Decision<SignedContext, SignedChoice> Procedure = new("integers.way", "What is to be done with the two numbers?", SignedChoice.AsSet)
    {
        [SignedChoice.AsSet] = new("as-set", "does what the sign says"),
        [SignedChoice.Add] = new("add", "adds") { Needs = c => c.Operation != PairOperation.Plus },
        [SignedChoice.Subtract] = new("subtract", "takes away") { Needs = c => c.Operation != PairOperation.Minus },
        [SignedChoice.Multiply] = new("multiply", "multiplies") { Needs = c => c.Operation != PairOperation.Times },
        [SignedChoice.SizesAdded] = new("sizes-added", "adds the numbers without their signs and gives the sign by the rule of products") { Needs = IsScaling },
        [SignedChoice.SizesApart] = new("sizes-apart", "takes the smaller from the larger without their signs and gives the sign by the rule of products")
        { Needs = IsScaling },
        [SignedChoice.ZeroChangesNothing] = new("zero-changes-nothing", "leaves a number as it is beside a 0")
        { Needs = c => c.Operation == PairOperation.Times && c.FirstSize == 0 != (c.SecondSize == 0) },
        Kinds = [
            .. Kinds, new("product", "in products", c => c.Operation == PairOperation.Times),
            new("quotient", "in divisions", c => c.Operation == PairOperation.DividedBy),
        ],
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<SignedContext, FirstSign> First = new("integers.first-sign", "Is the first number negative?", FirstSign.Kept)
    {
        [FirstSign.Kept] = new("kept", "reads the sign of the first number"),
        [FirstSign.Dropped] = new("dropped", "drops the sign of the first number") { SlipIn = c => c.FirstIsNegative ? 0.7 : 0, Needs = c => c.FirstIsNegative },
        [FirstSign.Turned] = new("turned", "turns the sign of the first number") { Needs = c => c.FirstSize > 0 },
        Kinds = Kinds,
        Properties = SeenSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SignBelongsToNumber,
        IsTold = true,
    };

    public static readonly Decision<SignedContext, MeetingSigns> Meeting = new(
        "integers.meeting-signs", "What do the two signs between the numbers become?", MeetingSigns.Joined)
    {
        [MeetingSigns.Joined] = new("joined", "joins the two signs")
        { Says = c => c.IsMinus ? "Taking away a negative number is adding." : "Adding a negative number is taking away." },
        [MeetingSigns.OperationOnly] = new("operation-only", "keeps the sign of the operation only") { Slip = 2 },
        Head = _ => "Between the numbers",
        Kinds = Kinds,
        Properties = SeenSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SignBelongsToNumber,
        IsTold = true,
    };

    public static readonly Decision<SignedContext, Magnitudes, bool> Sizes = new(
        "integers.magnitudes", "Are the numbers put together or taken from each other?", Magnitudes.BySigns)
    {
        [Magnitudes.BySigns] = new("by-signs", "puts equal signs together and lets different ones cancel", c => c.HaveSameSign),
        [Magnitudes.Add] = new("add", "adds the numbers without their signs", _ => true)
        { SlipIn = c => c.HaveSameSign ? 0 : 0.7, Needs = c => c.FirstSize > 0 && c.SecondSize > 0 },
        [Magnitudes.Subtract] = new("subtract", "takes the smaller from the larger without their signs", _ => false)
        { SlipIn = c => c.HaveSameSign ? 0.7 : 0, Needs = c => c.FirstSize > 0 && c.SecondSize > 0 },
        Kinds = Kinds,
        Properties = SeenSizes,
        Idea = Ideas.OppositesCancel,
        OtherIdea = (c => c.HaveSameSign, Ideas.SameSignsGoOn),
        IsTold = true,
    };

    public static readonly Decision<SignedContext, SumSign, bool> OfSum = new("integers.sum-sign", "Which sign does the answer get?", SumSign.ByRule)
    {
        [SumSign.ByRule] = new("by-rule", "gives the sign of those that are left", c => c.SignOfLarger),
        [SumSign.Positive] = new("positive", "writes no minus sign", c => Signed(c, false)),
        [SumSign.Negative] = new("negative", "writes a minus sign", c => Signed(c, true)),
        [SumSign.AsFirst] = new("as-first", "keeps the sign of the first number", c => Signed(c, c.FirstCountsNegative)),
        [SumSign.AsSecond] = new("as-second", "keeps the sign of the second number", c => Signed(c, c.SecondCountsNegative)),
        [SumSign.OfSmaller] = new("of-smaller", "takes the sign of the smaller number", c => Signed(c, c.SignOfSmaller)),
        [SumSign.ByProductRule] = new("by-product-rule", "takes the rule of signs of products", c => Signed(c, !c.HaveSameSign)),
        [SumSign.Opposite] = new("opposite", "takes the opposite sign", c => Signed(c, !c.SignOfLarger)) { Slip = 2 },
        [SumSign.NegativeIfAny] = new(
            "negative-if-any", "writes a minus sign if there is any", c => Signed(c, c.FirstCountsNegative || c.SecondCountsNegative)),
        Kinds = Kinds,
        Properties = SeenSizes,
        Idea = Ideas.OppositesCancel,
        OtherIdea = (c => c.HaveSameSign, Ideas.SameSignsGoOn),
        IsTold = true,
    };

    // Nothing has no sign.
    private static bool? Signed(SignedContext c, bool isNegative) => c.ComesToNothing ? null : isNegative;

    private static bool IsScaling(SignedContext c) => c.Operation is PairOperation.Times or PairOperation.DividedBy;

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Procedure, SignDecisions.OfProduct, First, Meeting, Sizes, OfSum, Size];
}
