using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Parts.SignRules.IntegerDecisions;

namespace YellowPencil.Core.Families.Integers;

/// <summary>The bugs of numbers with signs; those of products and quotients are also found where decimals have signs.</summary>
internal static class IntegerBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. ReadingSigns, .. Sums, .. Products];

    /// <summary>How the signs of a task are read.</summary>
    private static IEnumerable<Bug> ReadingSigns =>
    [
        Declare("minus-minus-stays-minus", "− − is read as −", VeryCommon, Ideas.TakingAwayDebt,
            "Reads taking away a negative number as taking away: − −3 as −3.",
            "Two signs of one kind look like one sign written twice.",
            At.Meeting.When(c => c.IsMinus).Instead(MeetingSigns.OperationOnly)),
        Declare("plus-minus-read-as-plus", "+ − is read as +", Common, Ideas.SignBelongsToNumber,
            "Reads adding a negative number as adding: + −3 as +3.",
            "The first of the two signs is read, the second passed over.",
            At.Meeting.When(c => !c.IsMinus).Instead(MeetingSigns.OperationOnly)),
        Declare("second-sign-passed-over", "The sign of the second number is passed over", Common, Ideas.SignBelongsToNumber,
            "Reads only the sign of the operation between the numbers, whatever sign the second number has.",
            "One sign stands between two numbers in all that was met before.",
            At.Meeting.Instead(MeetingSigns.OperationOnly)),
        Declare("first-sign-passed-over", "The sign of the first number is passed over", Common, Ideas.SignBelongsToNumber,
            "In sums and differences, works as if the first number had no minus sign.",
            "A sign in front, with nothing before it, does not look like a sign.",
            At.First.Instead(FirstSign.Dropped)),
        Declare("all-signs-passed-over", "All signs of numbers are passed over", Common, Ideas.SignBelongsToNumber,
            "Works as if no number had a minus sign of its own.",
            "A minus is known as the sign for taking away only.",
            At.First.Instead(FirstSign.Dropped), At.Meeting.Instead(MeetingSigns.OperationOnly), SignDecisions.OfProduct.Instead(ProductSign.Positive)),
        Declare("first-sign-changed-too", "The first sign is changed too", Common, Ideas.TakingAwayDebt,
            "Where two minus signs meet, makes a plus of them and drops the minus of the first number as well.",
            "“Two minuses make a plus” is used on whichever minus signs are in sight.",
            At.First.When(c => c.IsMinus && c.SecondIsNegative).Instead(FirstSign.Dropped)),
    ];

    /// <summary>Sums and differences.</summary>
    private static IEnumerable<Bug> Sums =>
    [
        Declare("keeps-first-sign", "Keeps the sign of the first number", VeryCommon, Ideas.OppositesCancel,
            "Gives the answer the sign of the first number.",
            "The first number is where one starts, and its sign is written down first.",
            At.OfSum.When(c => !c.HaveSameSign).Instead(SumSign.AsFirst)),
        Declare("takes-second-sign", "Takes the sign of the second number", Rare, Ideas.OppositesCancel,
            "Gives the answer the sign of the second number.",
            "The sign read last is written.",
            At.OfSum.When(c => !c.HaveSameSign).Instead(SumSign.AsSecond)),
        Declare("takes-smaller-sign", "Takes the sign of the smaller number", Uncommon, Ideas.OppositesCancel,
            "Gives the answer the sign of the number that is smaller without its sign.",
            "That one of the two signs is taken is known; which, is not.",
            At.OfSum.When(c => !c.HaveSameSign).Instead(SumSign.OfSmaller)),
        Declare("sum-sign-dropped", "No minus sign in sums", VeryCommon, Ideas.SignBelongsToNumber,
            "Finds the number and writes it without a minus sign.",
            "Answers have always been positive.",
            At.OfSum.Instead(SumSign.Positive)),
        Declare("sum-sign-dropped-where-different", "No minus sign where signs are different", Uncommon, Ideas.OppositesCancel,
            "Writes no minus sign where a positive and a negative number come together.",
            "Taking the smaller from the larger leaves a positive number, as always.",
            At.OfSum.When(c => !c.HaveSameSign).Instead(SumSign.Positive)),
        Declare("negative-where-different", "Always negative where signs are different", Uncommon, Ideas.OppositesCancel,
            "Writes a minus sign wherever a positive and a negative number come together.",
            "One minus is thought to be enough to make the answer negative.",
            At.OfSum.When(c => !c.HaveSameSign).Instead(SumSign.Negative)),
        Declare("any-minus-makes-negative", "Any minus makes the answer negative", Common, Ideas.OppositesCancel,
            "Writes a minus sign before every answer of a task with a minus sign of a number.",
            "A negative number in the task is thought to make the answer negative.",
            At.OfSum.Instead(SumSign.Negative)),
        Declare("product-rule-in-sums", "The rule of products in sums", VeryCommon, Ideas.OppositesCancel,
            "Gives a sum its sign by the rule of products: same signs positive, different signs negative.",
            "“Two minuses make a plus” is kept without the operation it belongs to.",
            At.OfSum.Instead(SumSign.ByProductRule)),
        Declare("two-negatives-make-positive", "Two negative numbers add up to a positive one", Common, Ideas.SameSignsGoOn,
            "Makes the sum of two negative numbers positive; different signs are dealt with properly.",
            "“Two minuses make a plus.”",
            At.OfSum.When(c => c.AreBothNegative).Instead(SumSign.Positive)),
        Declare("sum-sign-turned-round", "The opposite sign", Rare, Ideas.OppositesCancel,
            "Gives every sum the opposite sign.",
            "The line of numbers is taken the wrong way round.",
            At.OfSum.Instead(SumSign.Opposite)),
        Declare("always-adds-sizes", "Always adds the numbers without signs", Common, Ideas.OppositesCancel,
            "Adds the numbers without their signs also where their signs are different.",
            "A plus says add; that signs can cancel is not known.",
            At.Sizes.When(c => !c.HaveSameSign).Instead(Magnitudes.Add)),
        Declare("adds-sizes-keeps-first-sign", "Adds the numbers and keeps the first sign", Common, Ideas.OppositesCancel,
            "Adds the numbers without their signs and puts the sign of the first in front.",
            "The sign is kept apart, and the numbers are added as always.",
            At.Sizes.When(c => !c.HaveSameSign).Instead(Magnitudes.Add), At.OfSum.Instead(SumSign.AsFirst)),
        Declare("always-subtracts-sizes", "Always takes the smaller from the larger", Common, Ideas.SameSignsGoOn,
            "Takes the smaller number from the larger without their signs, also where the signs are the same.",
            "With signs about, something is thought to be taken away.",
            At.Sizes.When(c => c.HaveSameSign).Instead(Magnitudes.Subtract)),
        Declare("taking-from-negative-goes-up", "Taking away from a negative number moves towards zero", VeryCommon, Ideas.SameSignsGoOn,
            "Takes the numbers from each other where a number is taken away from a negative one: −5 − 3 gives −2.",
            "Taking away makes the digits smaller, as with positive numbers.",
            At.Sizes.When(c => c.IsMinus && c.AreBothNegative).Instead(Magnitudes.Subtract)),
    ];

    /// <summary>Products and quotients.</summary>
    private static IEnumerable<Bug> Products =>
    [
        Declare("product-sign-dropped", "No minus sign in products", VeryCommon, Ideas.SameSignsPositive,
            "Multiplies or divides and writes no minus sign.",
            "The numbers are worked out first, and the sign is forgotten.",
            SignDecisions.OfProduct.Instead(ProductSign.Positive)),
        Declare("any-minus-makes-product-negative", "Any minus makes the product negative", VeryCommon, Ideas.SameSignsPositive,
            "Writes a minus sign also where both numbers are negative.",
            "A negative number in the task is thought to make the answer negative.",
            SignDecisions.OfProduct.When(c => c.AreBothNegative).Instead(ProductSign.Negative)),
        Declare("product-keeps-first-sign", "A product keeps the first sign", Common, Ideas.SameSignsPositive,
            "Gives a product or quotient the sign of the first number.",
            "The first number is where one starts, and its sign is written down first.",
            SignDecisions.OfProduct.Instead(ProductSign.AsFirst)),
        Declare("product-takes-second-sign", "A product takes the second sign", Uncommon, Ideas.SameSignsPositive,
            "Gives a product or quotient the sign of the second number.",
            "The sign read last is written.",
            SignDecisions.OfProduct.Instead(ProductSign.AsSecond)),
        Declare("sum-rule-in-products", "The rule of sums in products", Common, Ideas.SameSignsPositive,
            "Gives a product or quotient the sign of the number that is larger without its sign.",
            "The rule that belongs to sums is used.",
            SignDecisions.OfProduct.Instead(ProductSign.OfLarger)),
        Declare("product-sign-turned-round", "Same signs negative, different signs positive", Uncommon, Ideas.SameSignsPositive,
            "Makes a product negative where the signs are the same and positive where they are different.",
            "That there is a rule is known; which way round, is not.",
            SignDecisions.OfProduct.Instead(ProductSign.Opposite)),
        Declare("product-sign-dropped-where-different", "Different signs make a positive product", Uncommon, Ideas.SameSignsPositive,
            "Writes no minus sign where the second number is the negative one.",
            "A sign inside the item is overlooked; one in front is seen.",
            SignDecisions.OfProduct.When(c => c.SecondIsNegative && !c.FirstIsNegative).Instead(ProductSign.Positive)),
        Declare("quotient-sign-dropped", "No minus sign in quotients", Uncommon, Ideas.SameSignsPositive,
            "Writes no minus sign where numbers are divided; products have theirs.",
            "The rule was learnt for products and is not thought of in divisions.",
            SignDecisions.OfProduct.When(c => c.IsQuotient).Instead(ProductSign.Positive)),
        Declare("adds-products", "Adds instead of multiplying", Rare, Ideas.ReadTheSign,
            "Adds the two numbers, with their signs, that are to be multiplied.",
            "The page before was sums, or the point of the sign is overlooked.",
            At.Procedure.When(c => c.Operation == PairOperation.Times).Instead(SignedChoice.Add)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(IntegerFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
