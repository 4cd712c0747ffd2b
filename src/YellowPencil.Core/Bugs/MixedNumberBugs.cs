using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Procedures.Fractions;
using YellowPencil.Core.Procedures.MixedNumbers;
using YellowPencil.Core.Working;
using static YellowPencil.Core.Bugs.Commonness;
using At = YellowPencil.Core.Procedures.MixedNumbers.MixedDecisions;
using Fractions = YellowPencil.Core.Procedures.Fractions.FractionDecisions;

namespace YellowPencil.Core.Bugs;

/// <summary>The bugs of mixed numbers; those of their fractions are declared there.</summary>
internal static class MixedNumberBugs
{
    private static readonly School Columns = School.Usual.With(School.MixedNumbers, (int)MixedNumberSchool.RenameAWhole);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. AsImproper, .. InColumns];

    /// <summary>Both made improper first, and the wholes taken out in the end.</summary>
    private static IEnumerable<Bug> AsImproper =>
    [
        Declare("improper-minus-top", "The numerator is taken away", Rare, Ideas.MixedIsASum,
            "Takes the numerator away instead of adding it when a mixed number is made improper.",
            "Both signs come up in the item.",
            At.Improper.Instead(MadeImproper.MinusTop)),
        Declare("improper-minus-in-differences", "In differences the numerator is taken away", Uncommon, Ideas.MixedIsASum,
            "In differences, takes the numerator away when making a mixed number improper.",
            "The minus of the item is used for everything in it.",
            At.Improper.When(c => c.IsDifference).Instead(MadeImproper.MinusTop)),
        Declare("read-as-product", "A mixed number is read as a product", Uncommon, Ideas.MixedIsASum,
            "Multiplies the whole by the numerator: 3 2/5 becomes 6/5.",
            "Two things side by side mean times elsewhere.",
            At.Improper.Instead(MadeImproper.WholeTimesTop)),
        Declare("roles-exchanged", "Numerator and denominator exchange roles", Uncommon, Ideas.MixedIsASum,
            "Multiplies the whole by the numerator and adds the denominator.",
            "That something is multiplied and something added is known; which, is not.",
            At.Improper.Instead(MadeImproper.WholeTimesTopPlusBottom)),
        Declare("whole-and-top-added", "Whole and numerator are added", Common, Ideas.MixedIsASum,
            "Adds the whole to the numerator when making a mixed number improper.",
            "The whole is taken for so many parts.",
            At.Improper.Instead(MadeImproper.WholePlusTop)),
        Declare("numerator-forgotten", "The numerator is forgotten", Uncommon, Ideas.MixedIsASum,
            "Multiplies the whole by the denominator and does not add the numerator.",
            "After the product the step seems to be done.",
            At.Improper.Instead(MadeImproper.WholeTimesBottom)),
        Declare("whole-forgotten", "The wholes are left out", Common, Ideas.WholesCountToo,
            "Works with the fractions of mixed numbers only, and leaves their wholes out.",
            "The fractions are what is hard; the wholes are forgotten over them.",
            At.Improper.Instead(MadeImproper.TopOnly)),
        Declare("second-whole-forgotten", "The second whole is left out", Uncommon, Ideas.WholesCountToo,
            "Makes the first number improper, and takes of the second the fraction only.",
            "After the first number the step seems to be done.",
            At.Improper.When(c => !c.IsFirst).Instead(MadeImproper.TopOnly)),
        Declare("all-three-added", "Whole, denominator and numerator are added", Rare, Ideas.MixedIsASum,
            "Adds whole, denominator and numerator when making a mixed number improper.",
            "Three numbers are to become one.",
            At.Improper.Instead(MadeImproper.WholePlusBottomPlusTop)),
        Declare("side-by-side", "Whole and numerator side by side", Rare, Ideas.MixedIsASum,
            "Writes whole and numerator side by side as the numerator: 3 2/5 becomes 32/5.",
            "That is how the number is read from left to right.",
            At.Improper.Instead(MadeImproper.SideBySide)),
        Declare("added-then-multiplied", "Adds before multiplying", Rare, Ideas.MixedIsASum,
            "Adds whole and numerator and multiplies the sum by the denominator.",
            "The steps are known, their order is not.",
            At.Improper.Instead(MadeImproper.WholePlusTopTimesBottom)),
        Declare("lone-whole-as-top", "A whole number becomes the numerator", Common, Ideas.MixedIsASum,
            "Writes a whole number over the other denominator unchanged: 5 becomes 5/8.",
            "It needs a denominator, so it is given one.",
            At.Lone.Instead(LoneWhole.AsTop)),
        Declare("lone-whole-as-one", "A whole number becomes one whole", Rare, Ideas.WholeIsAllParts,
            "Writes a whole number as one whole: 5 becomes 8/8.",
            "8/8 is what was practised.",
            At.Lone.Instead(LoneWhole.BottomOverBottom)),
        Declare("rest-over-top", "What is left over the old numerator", Rare, Ideas.WholesInAFraction,
            "Takes the wholes out and writes what is left over the numerator that was divided.",
            "The number that was divided is at hand.",
            Fractions.Over.Instead(OverOne.RestOverTop)),
        Declare("rest-over-whole", "What is left over the wholes", Rare, Ideas.WholesInAFraction,
            "Takes the wholes out and writes what is left over them.",
            "The numbers of the division are written down one after the other.",
            Fractions.Over.Instead(OverOne.RestOverWhole)),
        Declare("digits-split", "The digits of the numerator are split", Rare, Ideas.WholesInAFraction,
            "Splits the numerator: its last digit becomes the new numerator, the digits before it the whole.",
            "In tens that is how numbers are taken apart.",
            Fractions.Over.Instead(OverOne.DigitsSplit)),
    ];

    /// <summary>Wholes and fractions in columns.</summary>
    private static IEnumerable<Bug> InColumns =>
    [
        InColumn("smaller-fraction-from-larger", "The smaller fraction from the larger", VeryCommon, Ideas.TakeAwayInOrder,
            "Takes the smaller fraction from the larger, whichever stands first.",
            "Taking the smaller from the larger always works.",
            At.Small.Instead(TooSmall.SmallerFromLarger)),
        InColumn("too-small-writes-none", "Writes no fraction where it is too small", Uncommon, Ideas.WholeIsAllParts,
            "Writes no fraction where the first fraction is too small.",
            "There is not enough, so nothing is left.",
            At.Small.Instead(TooSmall.WriteZero)),
        InColumn("too-small-copies-second", "Writes the second fraction where the first is too small", Rare, Ideas.WholeIsAllParts,
            "Writes the second fraction where the first is too small.",
            "The fraction has to go somewhere.",
            At.Small.Instead(TooSmall.CopySecond)),
        InColumn("too-small-adds", "Adds the fractions where the first is too small", Uncommon, Ideas.TakeAwayInOrder,
            "Adds the fractions where the first is too small to take the second away.",
            "Adding always works.",
            At.Small.Instead(TooSmall.AddInstead)),
        InColumn("whole-not-reduced", "The whole is not made one less", VeryCommon, Ideas.WholeIsAllParts,
            "{Renames} a whole and leaves the wholes as they were.",
            "The fraction is mended, and the whole is out of sight.",
            At.Left.Instead(WholeLeft.Unchanged)),
        InColumn("ten-for-a-whole", "Ten parts for a whole", Common, Ideas.WholeIsAllParts,
            "Adds ten to the numerator when a whole is {renamed}, whatever the denominator is.",
            "In columns of digits one is always ten.",
            At.Filled.Instead(TopFilled.TenMore)),
        InColumn("one-for-a-whole", "One part for a whole", Uncommon, Ideas.WholeIsAllParts,
            "Adds one to the numerator when a whole is {renamed}.",
            "One was taken, so one is given.",
            At.Filled.Instead(TopFilled.OneMore)),
        InColumn("whole-instead-of-top", "The {renamed} whole replaces the numerator", Uncommon, Ideas.WholeIsAllParts,
            "Writes the denominator as the numerator when a whole is {renamed}, and the old numerator is gone.",
            "7 becomes 6 8/8, so 7 1/8 does as well.",
            At.Filled.When(c => c.Fractions.FirstTop > 0).Instead(TopFilled.BottomInstead)),
        InColumn("needless-renaming-left", "{Renames} in every difference", Rare, Ideas.WholeIsAllParts,
            "{Renames} a whole in every difference, and leaves a fraction over one beside the wholes.",
            "Renaming is what one does in differences.",
            At.Needless.Instead(NeedlessRenaming.Always), At.Over.When(r => r.IsDifference).Instead(FractionOver.Left)),
        InColumn("no-fraction-copies", "The fraction is copied where there is none", VeryCommon, Ideas.WholeIsAllParts,
            "Where the first number has no fraction, writes the other fraction.",
            "Nothing stands above it, so it comes down.",
            At.Missing.Instead(NoFraction.CopyOther)),
        InColumn("no-fraction-leaves-out", "The fraction is left out where there is none", Uncommon, Ideas.WholeIsAllParts,
            "Where the first number has no fraction, takes the wholes away and writes no fraction.",
            "Without a partner the fraction has nothing to do.",
            At.Missing.Instead(NoFraction.LeaveOut)),
        InColumn("no-fraction-one-less", "One less, and the fraction copied", Rare, Ideas.WholeIsAllParts,
            "Where the first number has no fraction, makes the whole one less and writes the other fraction.",
            "That a whole is {renamed} is known; into what, is not.",
            At.Missing.Instead(NoFraction.WriteOneLess)),
        InColumn("wholes-multiplied-too", "The wholes are multiplied too", Uncommon, Ideas.WholesCountToo,
            "Multiplies the whole too when the fraction gets another denominator.",
            "What is done to the number is done to all of it.",
            At.Meanwhile.Instead(WholesMeanwhile.Multiplied)),
        InColumn("fraction-over-one-left", "A fraction over one is left beside the wholes", VeryCommon, Ideas.WholesInAFraction,
            "Leaves a fraction of one or more beside the wholes.",
            "Wholes and fractions are done, each for itself.",
            At.Over.Instead(FractionOver.Left)),
        InColumn("fraction-wholes-lost", "The wholes of the fraction are lost", Common, Ideas.WholesInAFraction,
            "Takes the wholes out of the fraction and does not add them to the others.",
            "The fraction is put right, and what was carried is forgotten.",
            At.Over.Instead(FractionOver.Lost)),
        InColumn("carried-at-ten", "Carries at ten", Rare, Ideas.WholesInAFraction,
            "In sums, carries when the numerator reaches ten: its tens to the wholes, its ones stay.",
            "In columns of digits that is the rule.",
            At.Over.When(r => !r.IsDifference).Instead(FractionOver.AtTen)),
        InColumn("fraction-counted-twice", "The wholes are added and left in the fraction", Uncommon, Ideas.WholesInAFraction,
            "Adds the wholes of the fraction to the others and leaves the fraction as it was.",
            "The carry is made, and nothing is struck out.",
            At.Over.Instead(FractionOver.CountedButLeft)),
        InColumn("columns-as-they-come", "The columns as they come", Common, Ideas.WholesInAFraction,
            "Writes wholes and fractions as they come, neither carried nor in lowest terms.",
            "Each column is done.",
            At.Over.Instead(FractionOver.LeftAsItCame), Fractions.Lowest.Instead(LowestTerms.NotAtAll)),
        InColumn("whole-without-partner", "A whole without a partner is left out", Uncommon, Ideas.WholesCountToo,
            "Leaves the whole of a mixed number out where the other is a fraction alone.",
            "There is nothing to put it together with.",
            At.Wholes.When(c => c.HasLoneFraction).Instead(WholesTogether.LeftOutBesideLone)),
        InColumn("wholes-added-in-differences", "The wholes are added in differences", Rare, Ideas.ReadTheSign,
            "In differences takes the fractions away and adds the wholes.",
            "The sign is read once and then forgotten.",
            At.Wholes.When(c => c.IsDifference).Instead(WholesTogether.Add)),
        InColumn("first-whole-kept", "The first whole is kept", Rare, Ideas.WholesCountToo,
            "Puts the fractions together and keeps the first whole.",
            "The fractions are what is worked on.",
            At.Wholes.When(c => c.SecondWhole > 0).Instead(WholesTogether.FirstStays)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(Family.MixedNumbers, id, name, commonness, idea, text, reason, deviations);

    private static Bug InColumn(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(Family.MixedNumbers, id, name, commonness, idea, text, reason, deviations, Columns);
}
