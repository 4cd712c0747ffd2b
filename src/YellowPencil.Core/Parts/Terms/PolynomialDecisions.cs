using System.Numerics;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.Terms;

/// <summary>How a power of the letter is read.</summary>
internal enum PowerRead { AsSet, AsManyTimes, AsLetter, NumberToo }

/// <summary>What becomes of the sign of a term when its bracket is left off.</summary>
internal enum BracketSign { AsDue, Kept, Turned, LeftOut, Plus, Minus }

/// <summary>In which order two brackets are taken.</summary>
internal enum BracketOrder { AsSet, SecondFirst }

/// <summary>What two like terms become.</summary>
internal enum LikeTerms
{
    Sum, SizesAddedFirstSign, SizesApartMinus, SizesApartPlus, SizesApartFirstSign, SizesApartSecondSign, SizesAddedPlus, Product, ProductPowersAdded,
    ProductMinusIfAny, FirstStays, FirstLessSecond, SecondLessFirst, SizesAddedMinus, SecondStays, LargerStays, FirstWithoutLetter,
    SizesAddedSecondSign, SizesAddedLargerSign, SizesApartSmallerSign,
}

/// <summary>What power two like terms have when their numbers are put together.</summary>
internal enum PowerOfLike { Kept, Added, LetterOff }

/// <summary>What the number of a letter is that stands alone.</summary>
internal enum BareLetter { One, Nothing, Dropped }

/// <summary>What is written where like terms come to nothing.</summary>
internal enum GoneTerm { Nothing, LetterStays, NumberOne }

/// <summary>What becomes of a term that has no like term.</summary>
internal enum Unpaired { Kept, Dropped }

/// <summary>How a term is written whose number is 1.</summary>
internal enum OneLetter { LetterAlone, AsOne, Dropped }

/// <summary>What becomes of the terms that are left.</summary>
internal enum LeftTerms
{
    Stay, JoinedAtHighest, JoinedPowersAdded, LetterAndNumberJoined, FirstTwoJoined, LettersJoinedAtHighest, SquareAndLetterJoined, LastTwoJoined,
}

/// <summary>A term in its bracket as the student sees it.</summary>
/// <param name="Group">Which bracket, from 0.</param>
/// <param name="At">Which term of it, from 0.</param>
/// <param name="IsTakenAway">Whether a minus stands before the bracket.</param>
/// <param name="IsNegative">Whether the term has a minus.</param>
internal readonly record struct BracketTerm(int Group, int At, bool IsTakenAway, bool IsNegative) : IDecisionContext
{
    /// <summary>Whether a bracket before this one was taken away.</summary>
    public bool IsAfterMinus { get; init; }

    /// <summary>Whether a bracket behind this one is taken away.</summary>
    public bool IsBeforeMinus { get; init; }

    /// <summary>Whether a bracket before this one has a term of the same power.</summary>
    public bool HasLikeAbove { get; init; }

    public int Power { get; init; }

    /// <summary>Whether it is the last term of its bracket.</summary>
    public bool IsLast { get; init; }

    /// <summary>How many terms its bracket has.</summary>
    public int Terms { get; init; }

    /// <summary>Whether its bracket is the last.</summary>
    public bool IsInLast { get; init; }

    /// <summary>Whether it has a sign that can be seen.</summary>
    public bool HasVisibleSign => At > 0 || IsNegative;
}

/// <summary>Out of what terms came that are put together.</summary>
internal enum TermsFrom { Sum, Difference, Bracket, Brackets, Conjugate, Square }

/// <summary>A term that is left.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Power">Its power.</param>
/// <param name="Count">How many terms were put together to it.</param>
internal readonly record struct TermLeft(int Number, int Power, int Count) : IDecisionContext;

/// <summary>The terms that are left, at the end.</summary>
/// <param name="Count">How many there are.</param>
/// <param name="HasNumber">Whether a plain number is among them.</param>
/// <param name="HasLetter">Whether the letter alone is among them.</param>
internal readonly record struct TermsLeft(int Count, bool HasNumber, bool HasLetter) : IDecisionContext
{
    /// <summary>Out of what the terms came.</summary>
    public TermsFrom From { get; init; }
}

/// <summary>The decisions about sums and differences of polynomials.</summary>
internal static class PolynomialDecisions
{
    public static readonly Decision<BracketTerm, BracketOrder> Order = new("polynomials.order", "Which bracket is taken from which?", BracketOrder.AsSet)
    {
        [BracketOrder.AsSet] = new("as-set", "takes the brackets as they stand"),
        [BracketOrder.SecondFirst] = new("second-first", "takes the first bracket from the second"),
        Kinds =
        [
            new("always", "always", _ => true),
            new("shorter", "when its bracket has one or two terms", c => c.Terms < 3) { Otherwise = "when its bracket has three terms or more" },
            new("negative", "when the bracket begins with a minus", c => c.IsNegative) { Otherwise = "when the bracket begins without a sign" },
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SecondFromFirst,
    };

    public static readonly Decision<BracketTerm, BracketSign> Sign = new(
        "polynomials.bracket-sign", "What becomes of the sign of a term when its bracket is left off?", BracketSign.AsDue)
    {
        [BracketSign.AsDue] = new("as-due", "turns every sign behind a minus, and no other"),
        [BracketSign.Kept] = new("kept", "keeps the sign") { Needs = c => c.IsTakenAway, SlipIn = c => c.IsTakenAway ? 2 : 0 },
        [BracketSign.Turned] = new("turned", "turns the sign") { Needs = c => !c.IsTakenAway },
        [BracketSign.LeftOut] = new("left-out", "leaves the term out"),
        [BracketSign.Plus] = new("plus", "writes a plus") { Needs = c => c.IsNegative != c.IsTakenAway },
        [BracketSign.Minus] = new("minus", "writes a minus") { Needs = c => c.IsNegative == c.IsTakenAway },
        Kinds = [
            new("always", "always", _ => true),
            new("taken-away", "behind a minus", c => c.IsTakenAway),
            new("first-term", "in the first term", c => c.At == 0),
            new("later-term", "in every term but the first", c => c.At > 0) { Otherwise = "in the first term" },
            new("last-term", "in the last term", c => c.IsLast),
            new("last-of-three", "in the last of three terms or more", c => c.IsLast && c.Terms > 2),
            new("of-three", "in brackets of three terms or more", c => c.Terms > 2),
            new("of-two", "in brackets of two terms", c => c.Terms == 2),
            new("third-term", "in the third term and on", c => c.At > 1),
            new("negative", "where the term has a minus", c => c.IsNegative),
            new("no-sign", "where no sign can be seen", c => !c.HasVisibleSign),
            new("no-like-above", "where no like term stands before it", c => !c.HasLikeAbove),
            new("plain-number", "in a plain number", c => c.Power == 0),
            new("first-bracket", "in the first bracket", c => c.Group == 0),
            new("later-bracket", "in the third bracket and on", c => c.Group > 1),
            new("second-bracket", "in the second bracket", c => c.Group == 1),
            new("last-bracket", "in the last bracket", c => c.IsInLast),
            new("later-in-last", "in every term but the first of the last bracket", c => c.IsInLast && c.At > 0),
            new("not-first-bracket", "in every bracket but the first", c => c.Group > 0),
            new("positive-taken-away", "behind a minus where the term has none", c => c.IsTakenAway && !c.IsNegative),
            new("letter", "in terms with the letter", c => c.Power > 0),
            new("power", "in powers of the letter", c => c.Power > 1),
            new("after-minus", "behind a bracket that was taken away", c => c.IsAfterMinus),
            new("before-minus", "before a bracket that is taken away", c => c.IsBeforeMinus),
            new("middle-of-three", "in the second of three terms or more", c => c.At == 1 && c.Terms > 2),
            new("added", "in a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway),
            new("added-first", "in the first term of a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway && c.At == 0),
            new("added-later", "in every term but the first of a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway && c.At > 0),
            new("added-last", "in the last term of a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway && c.IsLast),
            new("added-number", "in a plain number of a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway && c.Power == 0),
            new("added-letter", "in the terms with the letter of a bracket behind a plus", c => c.Group > 0 && !c.IsTakenAway && c.Power > 0),
            new("number-in-last", "in a plain number of the last bracket", c => c.IsInLast && c.Power == 0),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.MinusTurnsAll,
    };

    public static readonly Decision<LikePair, LikeTerms, PolyTerm> Like = new("polynomials.like-terms", "What do two like terms come to?", LikeTerms.Sum)
    {
        [LikeTerms.Sum] = new("sum", "puts the numbers together with their signs", c => Term(c, c.First + c.Second)),
        [LikeTerms.SizesAddedFirstSign] = new(
            "sizes-added-first-sign", "adds the sizes and keeps the first sign", c => Term(c, c.First < 0 ? -c.Sizes.Sum : c.Sizes.Sum))
        { SlipIn = c => c.HaveSameSign ? 0 : 1 },
        [LikeTerms.SizesApartMinus] = new("sizes-apart-minus", "takes the sizes from each other and writes a minus", c => Term(c, -c.Sizes.Apart)),
        [LikeTerms.SizesApartPlus] = new("sizes-apart-plus", "takes the sizes from each other and writes no minus", c => Term(c, c.Sizes.Apart)),
        [LikeTerms.SizesApartFirstSign] = new(
            "sizes-apart-first-sign", "takes the sizes from each other and keeps the first sign", c => Term(c, c.First < 0 ? -c.Sizes.Apart : c.Sizes.Apart)),
        [LikeTerms.SizesApartSecondSign] = new(
            "sizes-apart-second-sign", "takes the sizes from each other and keeps the second sign", c =>
                Term(c, c.Second < 0 ? -c.Sizes.Apart : c.Sizes.Apart)),
        [LikeTerms.SizesAddedPlus] = new("sizes-added-plus", "adds the sizes and writes no minus", c => Term(c, c.Sizes.Sum)),
        [LikeTerms.SizesAddedSecondSign] = new(
            "sizes-added-second-sign", "adds the sizes and keeps the second sign", c => Term(c, c.Second < 0 ? -c.Sizes.Sum : c.Sizes.Sum)),
        [LikeTerms.SizesAddedLargerSign] = new(
            "sizes-added-larger-sign", "adds the sizes and keeps the sign of the larger",
            c => Term(c, (c.FirstIsLarger ? c.First : c.Second) < 0 ? -c.Sizes.Sum : c.Sizes.Sum)),
        [LikeTerms.SizesApartSmallerSign] = new(
            "sizes-apart-smaller-sign", "takes the sizes from each other and keeps the sign of the smaller",
            c => Term(c, (c.FirstIsLarger ? c.Second : c.First) < 0 ? -c.Sizes.Apart : c.Sizes.Apart)),
        [LikeTerms.Product] = new("product", "multiplies the numbers", c => Term(c, (BigInteger)c.First * c.Second)),
        [LikeTerms.ProductPowersAdded] = new(
            "product-powers-added", "multiplies the terms, powers added", c => Term(c, (BigInteger)c.First * c.Second, 2 * c.FirstPower)),
        [LikeTerms.ProductMinusIfAny] = new(
            "product-minus-if-any", "multiplies the terms, with a minus if there is any",
            c => Term(c, (c.First < 0 || c.Second < 0 ? -1 : 1) * BigInteger.Abs((BigInteger)c.First * c.Second), 2 * c.FirstPower)),
        [LikeTerms.FirstStays] = new("first-stays", "keeps the first term", c => Term(c, c.First)),
        [LikeTerms.FirstLessSecond] = new("first-less-second", "takes the second from the first", c => Term(c, c.First - c.Second)),
        [LikeTerms.SecondLessFirst] = new("second-less-first", "takes the first from the second", c => Term(c, c.Second - c.First)),
        [LikeTerms.SizesAddedMinus] = new("sizes-added-minus", "adds the sizes and writes a minus", c => Term(c, -c.Sizes.Sum)),
        [LikeTerms.SecondStays] = new("second-stays", "keeps the second term", c => Term(c, c.Second, c.Power)),
        [LikeTerms.LargerStays] = new(
            "larger-stays", "keeps the larger term", c => Math.Abs(c.First) >= Math.Abs(c.Second) ? Term(c, c.First) : Term(c, c.Second, c.Power)),
        [LikeTerms.FirstWithoutLetter] = new(
            "first-without-letter", "takes the letter off, and leaves its number", c => Math.Abs(c.First) == 1 ? null : Term(c, c.First, 0)),
        Kinds = LikePair.Kinds,
        Properties = LikePair.Properties,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.OppositesCancel,
        OtherIdea = (c => c.HaveSameSign, Ideas.SameSignsGoOn),
    };

    public static readonly Decision<LikePair, PowerOfLike> PowerOfSum = new(
        "polynomials.power-of-like", "What power do two like terms have together?", PowerOfLike.Kept)
    {
        [PowerOfLike.Kept] = new("kept", "keeps the power of like terms"),
        [PowerOfLike.Added] = new("added", "adds the powers of like terms as well"),
        [PowerOfLike.LetterOff] = new("letter-off", "takes the letter off where like terms are put together"),
        Kinds = LikePair.Kinds,
        Properties = LikePair.Properties,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.CountingKeepsThePower,
    };

    public static readonly Decision<TermLeft, BareLetter> Bare = new(
        "polynomials.bare-letter", "How many of the letter are there where no number stands before it?", BareLetter.One)
    {
        [BareLetter.One] = new("one", "counts a letter without a number as one"),
        [BareLetter.Nothing] = new("nothing", "counts a letter without a number as none"),
        [BareLetter.Dropped] = new("dropped", "leaves a letter without a number out where there are like terms") { Needs = c => c.Count > 1 },
        Kinds = [
            new("always", "always", _ => true), new("with-like", "where there are like terms", c => c.Count > 1),
            new("alone", "where it has no like term", c => c.Count == 1), new("power", "in powers of the letter", c => c.Power > 1),
            new("negative", "where it has a minus", c => c.Number < 0),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.LetterIsOne,
    };

    public static readonly Decision<TermLeft, GoneTerm> Gone = new("polynomials.gone", "What is written where like terms come to nothing?", GoneTerm.Nothing)
    {
        [GoneTerm.Nothing] = new("nothing", "writes nothing where like terms come to nothing"),
        [GoneTerm.LetterStays] = new("letter-stays", "writes the letter where like terms come to nothing") { Needs = c => c.Power > 0 },
        [GoneTerm.NumberOne] = new("number-one", "writes 1 where like terms come to nothing"),
        Kinds = [
            new("always", "always", _ => true), new("letter", "in terms with the letter", c => c.Power > 0),
            new("number", "in plain numbers", c => c.Power == 0), new("power", "in powers of the letter", c => c.Power > 1),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.EveryTermIsKept,
    };

    public static readonly Decision<TermLeft, Unpaired> Alone = new("polynomials.unpaired", "What becomes of a term that has no like term?", Unpaired.Kept)
    {
        [Unpaired.Kept] = new("kept", "keeps a term that has no like term"),
        [Unpaired.Dropped] = new("dropped", "leaves a term out that has no like term"),
        Kinds = [
            new("always", "always", _ => true), new("number", "in plain numbers", c => c.Power == 0),
            new("letter", "in terms with the letter", c => c.Power > 0), new("negative", "where it has a minus", c => c.Number < 0),
            new("power", "in powers of the letter", c => c.Power > 1), new("plain-letter", "in terms with the plain letter", c => c.Power == 1),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.EveryTermIsKept,
    };

    public static readonly Decision<TermLeft, OneLetter> One = new("polynomials.one-letter", "How is one of the letter written?", OneLetter.LetterAlone)
    {
        [OneLetter.LetterAlone] = new("letter-alone", "writes the letter alone"),
        [OneLetter.AsOne] = new("as-one", "writes 1"),
        [OneLetter.Dropped] = new("dropped", "leaves it out"),
        Kinds = [
            new("always", "always", _ => true), new("put-together", "where terms were put together", c => c.Count > 1),
            new("power", "in powers of the letter", c => c.Power > 1),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.LetterIsOne,
    };

    public static readonly Decision<TermsLeft, LeftTerms> Left = new("polynomials.left", "Can what is left be put together?", LeftTerms.Stay)
    {
        [LeftTerms.Stay] = new("stay", "leaves unlike terms as they are"),
        [LeftTerms.JoinedAtHighest] = new("joined-at-highest", "puts all that is left into one term with the highest power"),
        [LeftTerms.JoinedPowersAdded] = new("joined-powers-added", "puts all that is left into one term, numbers and powers added"),
        [LeftTerms.LetterAndNumberJoined] = new("letter-and-number-joined", "puts the letter and the plain number together")
        { Needs = c => (c.HasLetter && c.HasNumber) },
        [LeftTerms.FirstTwoJoined] = new("first-two-joined", "puts the first two terms together"),
        [LeftTerms.LettersJoinedAtHighest] = new("letters-joined-at-highest", "puts all terms with the letter into one with the highest power"),
        [LeftTerms.SquareAndLetterJoined] = new("square-and-letter-joined", "puts the square and the letter into one square"),
        [LeftTerms.LastTwoJoined] = new("last-two-joined", "puts the last two terms together"),
        Kinds = [
            new("always", "always", _ => true), new("two", "where two terms are left", c => c.Count == 2),
            new("more", "where more than two terms are left", c => c.Count > 2), new("number", "where a plain number is left", c => c.HasNumber),
            new("no-number", "where no plain number is left", c => !c.HasNumber), new("square", "in the square of a bracket", c => c.From == TermsFrom.Square),
            new("brackets", "where two brackets were multiplied", c => c.From is TermsFrom.Square or TermsFrom.Brackets or TermsFrom.Conjugate),
            new("one-bracket", "where one bracket was multiplied out", c => c.From == TermsFrom.Bracket),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.OnlyLikeTerms,
    };

    public static readonly Decision<TermLeft, PowerRead, PolyTerm> Power = new("polynomials.power", "What does a power of the letter say?", PowerRead.AsSet)
    {
        [PowerRead.AsSet] = new("as-set", "keeps powers of the letter apart", c => new PolyTerm(c.Number, c.Power)),
        [PowerRead.AsManyTimes] = new("as-many-times", "reads a power as so many of the letter", c => new PolyTerm((BigInteger)c.Number * c.Power, 1)),
        [PowerRead.AsLetter] = new("as-letter", "passes over powers and counts them as the letter", c => new PolyTerm(c.Number, 1)),
        [PowerRead.NumberToo] = new("number-too", "takes the number before a square to the square as well", c => new PolyTerm(BigInteger.Pow(c.Number, c.Power), c.Power)),
        Kinds = [
            new("always", "always", _ => true), new("square", "in squares", c => c.Power == 2), new("cube", "in cubes", c => c.Power == 3),
            new("bare", "where no number stands before it", c => Math.Abs(c.Number) == 1), new("with-like", "where there are like terms", c => c.Count > 1),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.CountingKeepsThePower,
    };

    // Nothing of a letter is nothing, whatever its power.
    private static PolyTerm? Term(LikePair c, BigInteger number, int? power = null) =>
        new PolyTerm(number, number.IsZero ? c.FirstPower : Math.Min(PolynomialText.MostPower, power ?? c.FirstPower));

    /// <summary>Those about like terms, for methods that come to a sum.</summary>
    public static IReadOnlyList<Decision> Collecting { get; } = [Power, Bare, Like, PowerOfSum, Gone, Alone, One, Left];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Order, Sign, .. Collecting];
}
