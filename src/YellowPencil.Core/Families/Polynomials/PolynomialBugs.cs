using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Terms;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Parts.Terms.PolynomialDecisions;

namespace YellowPencil.Core.Families.Polynomials;

/// <summary>The bugs of sums and differences of polynomials; those of like terms are also found where products are collected.</summary>
internal static class PolynomialBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Brackets, .. LikeOnes];

    /// <summary>What becomes of signs when brackets are left off.</summary>
    private static IEnumerable<Bug> Brackets =>
    [
        Declare("minus-ignored", "The minus before a bracket is ignored", VeryCommon, Ideas.MinusTurnsAll,
            "Leaves brackets off and keeps every sign behind a minus.",
            "Brackets are taken for decoration.",
            At.Sign.When(c => c.IsTakenAway).Instead(BracketSign.Kept)),
        Declare("minus-first-term-only", "The minus turns the first term only", VeryCommon, Ideas.MinusTurnsAll,
            "Turns only the sign of the first term behind a minus.",
            "The minus stands next to the first term.",
            At.Sign.When(c => c.IsTakenAway && c.At > 0).Instead(BracketSign.Kept)),
        Declare("only-seen-signs-turned", "Only signs that can be seen are turned", Common, Ideas.MinusTurnsAll,
            "Turns the signs that stand in the bracket; a first term without a sign stays plus.",
            "There is no sign to change on the first term.",
            At.Sign.When(c => c.IsTakenAway && !c.HasVisibleSign).Instead(BracketSign.Kept)),
        Declare("negatives-stay-negative", "Minus before minus stays minus", Common, Ideas.MinusTurnsAll,
            "Turns plus into minus behind a minus, and leaves minus as it is.",
            "A minus before it makes minus.",
            At.Sign.When(c => c.IsTakenAway && c.IsNegative).Instead(BracketSign.Kept)),
        Declare("brought-down", "Terms with nothing above are brought down", Common, Ideas.MinusTurnsAll,
            "Keeps the sign of a term of a bracket that is taken away where no like term stands before it.",
            "In columns there is nothing to take it from, so it is copied.",
            At.Sign.When(c => c.IsTakenAway && !c.HasLikeAbove).Instead(BracketSign.Kept)),
        Declare("numbers-keep-their-sign", "Plain numbers keep their sign", Uncommon, Ideas.MinusTurnsAll,
            "Turns the signs of terms with the letter behind a minus, not those of plain numbers.",
            "The letter is what the bracket is about.",
            At.Sign.When(c => c.IsTakenAway && c.Power == 0).Instead(BracketSign.Kept)),
        Declare("last-term-keeps-its-sign", "The last term keeps its sign", Uncommon, Ideas.MinusTurnsAll,
            "Turns every sign behind a minus but that of the last term.",
            "The change is thought of at the beginning and forgotten at the end.",
            At.Sign.When(c => c.IsTakenAway && c.IsLast).Instead(BracketSign.Kept)),
        Declare("minus-stays", "Once minus, always minus", Uncommon, Ideas.MinusTurnsAll,
            "Goes on turning signs in brackets behind one that was taken away.",
            "The rest of the line is taken as one block.",
            At.Sign.When(c => c.IsAfterMinus && !c.IsTakenAway).Instead(BracketSign.Turned)),
        Declare("first-bracket-turned", "The first bracket is turned as well", Uncommon, Ideas.MinusTurnsAll,
            "Turns the signs of the first bracket as well where one is taken away.",
            "“Change all the signs.”",
            At.Sign.When(c => c.Group == 0 && c.IsBeforeMinus).Instead(BracketSign.Turned)),
        Declare("brackets-exchanged", "The first from the second", Uncommon, Ideas.SecondFromFirst,
            "Takes the first bracket from the second.",
            "“Take … from …” is read from right to left.",
            At.Order.Instead(BracketOrder.SecondFirst)),
    ];

    /// <summary>Like terms, and what is left.</summary>
    private static IEnumerable<Bug> LikeOnes =>
    [
        Declare("bare-letter-left-out", "A letter without a number is left out", Common, Ideas.LetterIsOne,
            "Leaves a letter without a number out where there are like terms.",
            "No number stands there, so nothing is counted.",
            At.Bare.Instead(BareLetter.Dropped)),
        Declare("sizes-added", "Sizes added, first sign kept", Common, Ideas.OppositesCancel,
            "Adds the numbers of like terms with different signs and keeps the first sign.",
            "Adding is seen, and the sign in front is kept.",
            At.Like.When(c => !c.HaveSameSign).Instead(LikeTerms.SizesAddedFirstSign)),
        Declare("different-signs-minus", "Different signs make minus", Common, Ideas.OppositesCancel,
            "Takes the sizes from each other where the signs are different, and writes a minus.",
            "Plus and minus make minus.",
            At.Like.When(c => !c.HaveSameSign).Instead(LikeTerms.SizesApartMinus)),
        Declare("different-signs-plus", "Different signs make plus", Uncommon, Ideas.OppositesCancel,
            "Takes the sizes from each other where the signs are different, and writes no minus.",
            "The smaller is taken from the larger.",
            At.Like.When(c => !c.HaveSameSign).Instead(LikeTerms.SizesApartPlus)),
        Declare("different-signs-first", "Different signs keep the first", Common, Ideas.OppositesCancel,
            "Takes the sizes from each other where the signs are different, and keeps the first sign.",
            "What stands first decides.",
            At.Like.When(c => !c.HaveSameSign).Instead(LikeTerms.SizesApartFirstSign)),
        Declare("two-minuses-plus", "Two minuses make a plus in sums", Common, Ideas.SameSignsGoOn,
            "Makes like terms positive where both have a minus.",
            "The rule of products is used in a sum.",
            At.Like.When(c => c is { First: < 0, Second: < 0 }).Instead(LikeTerms.SizesAddedPlus)),
        Declare("powers-added-in-sums", "Powers are added in sums", Common, Ideas.CountingKeepsThePower,
            "Adds the powers of like terms as well as their numbers.",
            "In products powers are added.",
            At.Like.When(c => c.Power > 0).Instead(LikeTerms.SumPowersAdded)),
        Declare("like-terms-multiplied", "Like terms are multiplied", Uncommon, Ideas.CountingKeepsThePower,
            "Multiplies like terms that have the letter instead of putting them together.",
            "Letters next to each other are multiplied.",
            At.Like.When(c => c.Power > 0).Instead(LikeTerms.ProductPowersAdded)),
        Declare("bare-letter-multiplies", "A bare letter multiplies", Rare, Ideas.LetterIsOne,
            "Multiplies where one of two like terms is a letter without a number.",
            "A letter alone is no number of things to be counted.",
            At.Like.When(c => c.Power > 0 && (Math.Abs(c.First) == 1 || Math.Abs(c.Second) == 1)).Instead(LikeTerms.ProductMinusIfAny)),
        Declare("alone-dropped", "Terms without a partner are dropped", Common, Ideas.EveryTermIsKept,
            "Leaves terms out of the answer that have no like term.",
            "Only pairs are worked on.",
            At.Alone.Instead(Unpaired.Dropped)),
        Declare("one-left-written-1", "One left is written 1", Common, Ideas.LetterIsOne,
            "Writes 1 where one of a letter is left over.",
            "One is left, so 1 is written.",
            At.One.When(c => c.Count > 1).Instead(OneLetter.AsOne)),
        Declare("all-joined", "All joined at the highest power", Common, Ideas.OnlyLikeTerms,
            "Puts all that is left into one term with the highest power.",
            "An answer with a sign in it looks unfinished.",
            At.Left.Instead(LeftTerms.JoinedAtHighest)),
        Declare("all-joined-powers", "All joined, powers added", Uncommon, Ideas.OnlyLikeTerms,
            "Puts all that is left into one term, numbers and powers added.",
            "An answer with a sign in it looks unfinished, and powers are added.",
            At.Left.Instead(LeftTerms.JoinedPowersAdded)),
        Declare("letter-and-number-joined", "Letter and number joined", Common, Ideas.OnlyLikeTerms,
            "Puts the letter and the plain number together into one term.",
            "A plus asks to be done.",
            At.Left.Instead(LeftTerms.LetterAndNumberJoined)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(PolynomialFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
