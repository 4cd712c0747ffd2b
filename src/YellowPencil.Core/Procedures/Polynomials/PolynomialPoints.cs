using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Polynomials;

/// <summary>What becomes of the sign of a term when its bracket is left off.</summary>
public enum BracketSign { AsDue, Kept, Turned, LeftOut, Plus, Minus }

/// <summary>In which order two brackets are taken.</summary>
public enum BracketOrder { AsSet, SecondFirst }

/// <summary>What two like terms become.</summary>
public enum LikeTerms { Sum, SizesAddedFirstSign, SizesApartMinus, SizesApartPlus, SizesApartFirstSign, SizesApartSecondSign, SizesAddedPlus, Product, ProductPowersAdded, ProductMinusIfAny, SumPowersAdded, FirstStays, FirstLessSecond, SecondLessFirst, SizesAddedMinus, SecondStays, LargerStays, SumWithoutLetter }

/// <summary>What the number of a letter is that stands alone.</summary>
public enum BareLetter { One, Nothing, Dropped }

/// <summary>What is written where like terms come to nothing.</summary>
public enum GoneTerm { Nothing, LetterStays, NumberOne }

/// <summary>What becomes of a term that has no like term.</summary>
public enum Unpaired { Kept, Dropped }

/// <summary>How a term is written whose number is 1.</summary>
public enum OneLetter { LetterAlone, AsOne, Dropped }

/// <summary>What becomes of the terms that are left.</summary>
public enum LeftTerms { Stay, JoinedAtHighest, JoinedPowersAdded, LetterAndNumberJoined, FirstTwoJoined, LettersJoinedAtHighest, SquareAndLetterJoined, LastTwoJoined }

/// <summary>A term in its bracket as the student sees it.</summary>
/// <param name="Group">Which bracket, from 0.</param>
/// <param name="At">Which term of it, from 0.</param>
/// <param name="IsTakenAway">Whether a minus stands before the bracket.</param>
/// <param name="IsNegative">Whether the term has a minus.</param>
public readonly record struct BracketTerm(int Group, int At, bool IsTakenAway, bool IsNegative) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Whether a bracket before this one was taken away.</summary>
    public bool IsAfterMinus { get; init; }

    /// <summary>Whether a bracket behind this one is taken away.</summary>
    public bool IsBeforeMinus { get; init; }

    /// <summary>Whether a bracket before this one has a term of the same power.</summary>
    public bool HasLikeAbove { get; init; }

    /// <summary>Its power.</summary>
    public int Power { get; init; }

    /// <summary>Whether it is the last term of its bracket.</summary>
    public bool IsLast { get; init; }

    /// <summary>Whether its bracket is the last.</summary>
    public bool IsInLast { get; init; }

    /// <summary>Whether it has a sign that can be seen.</summary>
    public bool HasVisibleSign => At > 0 || IsNegative;
}

/// <summary>Out of what terms came that are put together.</summary>
public enum TermsFrom { Sum, Difference, Bracket, Brackets, Conjugate, Square }

/// <summary>Two like terms as the student sees them.</summary>
/// <param name="First">The number of the first.</param>
/// <param name="Second">The number of the second.</param>
/// <param name="Power">Their power.</param>
public readonly record struct LikePair(int First, int Second, int Power) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Out of what the terms came.</summary>
    public TermsFrom From { get; init; }

    /// <summary>Whether both have the same sign.</summary>
    public bool HaveSameSign => First < 0 == Second < 0;

    /// <summary>Whether the first is the larger without its sign.</summary>
    public bool FirstIsLarger => Math.Abs(First) > Math.Abs(Second);
}

/// <summary>A term that is left.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Power">Its power.</param>
/// <param name="Count">How many terms were put together to it.</param>
public readonly record struct TermLeft(int Number, int Power, int Count) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;
}

/// <summary>The terms that are left, at the end.</summary>
/// <param name="Count">How many there are.</param>
/// <param name="HasNumber">Whether a plain number is among them.</param>
/// <param name="HasLetter">Whether the letter alone is among them.</param>
public readonly record struct TermsLeft(int Count, bool HasNumber, bool HasLetter) : IDecisionContext
{
    /// <summary>Out of what the terms came.</summary>
    public TermsFrom From { get; init; }

    /// <inheritdoc/>
    public int? Place => null;
}

/// <summary>The decisions about sums and differences of polynomials.</summary>
public static class PolynomialPoints
{
    /// <summary>In which order?</summary>
    public static readonly DecisionPoint<BracketTerm, BracketOrder> Order = new("polynomials.order", "Which bracket is taken from which?")
    {
        Does = Phrases.InOrder<BracketOrder>("takes the brackets as they stand", "takes the first bracket from the second"),
        Taught = (_, _) => BracketOrder.AsSet,
        Kinds = [new("always", "always", _ => true)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of a sign?</summary>
    public static readonly DecisionPoint<BracketTerm, BracketSign> Sign = new("polynomials.bracket-sign", "What becomes of the sign of a term when its bracket is left off?")
    {
        Does = Phrases.InOrder<BracketSign>("turns every sign behind a minus, and no other", "keeps the sign", "turns the sign", "leaves the term out", "writes a plus", "writes a minus"),
        Taught = (_, _) => BracketSign.AsDue,
        Can = (c, way) => way switch { BracketSign.Turned => !c.IsTakenAway, BracketSign.Kept => c.IsTakenAway, BracketSign.Plus => c.IsNegative != c.IsTakenAway, BracketSign.Minus => c.IsNegative == c.IsTakenAway, _ => true },
        Slips = c => c.IsTakenAway ? [(BracketSign.Kept, 2)] : [],
        Kinds =
        [
            new("always", "always", _ => true),
            new("taken-away", "behind a minus", c => c.IsTakenAway),
            new("first-term", "in the first term", c => c.At == 0),
            new("later-term", "in every term but the first", c => c.At > 0),
            new("last-term", "in the last term", c => c.IsLast),
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
        ],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What do like terms become?</summary>
    public static readonly DecisionPoint<LikePair, LikeTerms> Like = new("polynomials.like-terms", "What do two like terms come to?")
    {
        Does = Phrases.InOrder<LikeTerms>("puts the numbers together with their signs", "adds the sizes and keeps the first sign", "takes the sizes from each other and writes a minus", "takes the sizes from each other and writes no minus", "takes the sizes from each other and keeps the first sign",
            "takes the sizes from each other and keeps the second sign", "adds the sizes and writes no minus", "multiplies the numbers", "multiplies the terms, powers added", "multiplies the terms, with a minus if there is any", "adds the numbers and the powers", "keeps the first term", "takes the second from the first", "takes the first from the second", "adds the sizes and writes a minus", "keeps the second term", "keeps the larger term", "puts the numbers together and takes the letter away"),
        Taught = (_, _) => LikeTerms.Sum,
        Slips = c => c.HaveSameSign ? [] : [(LikeTerms.SizesAddedFirstSign, 1)],
        Kinds =
        [
            new("always", "always", _ => true),
            new("same-sign", "where both have the same sign", c => c.HaveSameSign),
            new("different-signs", "where the signs are different", c => !c.HaveSameSign),
            new("both-negative", "where both have a minus", c => c is { First: < 0, Second: < 0 }),
            new("first-negative", "where the first has a minus", c => c.First < 0),
            new("second-negative", "where the second has a minus", c => c.Second < 0),
            new("first-larger", "where the first is the larger", c => c.FirstIsLarger),
            new("letter", "in terms with the letter", c => c.Power > 0),
            new("number", "in plain numbers", c => c.Power == 0),
            new("bare", "where a letter has no number", c => c.Power > 0 && (Math.Abs(c.First) == 1 || Math.Abs(c.Second) == 1)),
            new("power", "in powers of the letter", c => c.Power > 1),
            new("plain-letter", "in terms with the plain letter", c => c.Power == 1),
            new("taken-away", "where a bracket was taken away", c => c.From == TermsFrom.Difference),
            new("square", "in the square of a bracket", c => c.From == TermsFrom.Square),
            new("two-brackets", "where two different brackets were multiplied", c => c.From is TermsFrom.Brackets or TermsFrom.Conjugate),
            new("conjugate", "in a sum times a difference", c => c.From == TermsFrom.Conjugate),
            new("both-positive", "where neither has a minus", c => c is { First: >= 0, Second: >= 0 }),
            new("second-larger", "where the second is the larger", c => Math.Abs(c.Second) > Math.Abs(c.First)),
            new("first-negative-only", "where only the first has a minus", c => c is { First: < 0, Second: >= 0 }),
            new("second-negative-only", "where only the second has a minus", c => c is { First: >= 0, Second: < 0 }),
        ],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is the number of a letter alone?</summary>
    public static readonly DecisionPoint<TermLeft, BareLetter> Bare = new("polynomials.bare-letter", "How many of the letter are there where no number stands before it?")
    {
        Does = Phrases.InOrder<BareLetter>("counts a letter without a number as one", "counts a letter without a number as none", "leaves a letter without a number out where there are like terms"),
        Taught = (_, _) => BareLetter.One,
        Can = (c, way) => way != BareLetter.Dropped || c.Count > 1,
        Kinds = [new("always", "always", _ => true), new("with-like", "where there are like terms", c => c.Count > 1), new("alone", "where it has no like term", c => c.Count == 1), new("power", "in powers of the letter", c => c.Power > 1), new("negative", "where it has a minus", c => c.Number < 0)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is left where terms come to nothing?</summary>
    public static readonly DecisionPoint<TermLeft, GoneTerm> Gone = new("polynomials.gone", "What is written where like terms come to nothing?")
    {
        Does = Phrases.InOrder<GoneTerm>("writes nothing where like terms come to nothing", "writes the letter where like terms come to nothing", "writes 1 where like terms come to nothing"),
        Taught = (_, _) => GoneTerm.Nothing,
        Can = (c, way) => way != GoneTerm.LetterStays || c.Power > 0,
        Kinds = [new("always", "always", _ => true), new("letter", "in terms with the letter", c => c.Power > 0), new("number", "in plain numbers", c => c.Power == 0), new("power", "in powers of the letter", c => c.Power > 1)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of a term alone?</summary>
    public static readonly DecisionPoint<TermLeft, Unpaired> Alone = new("polynomials.unpaired", "What becomes of a term that has no like term?")
    {
        Does = Phrases.InOrder<Unpaired>("keeps a term that has no like term", "leaves a term out that has no like term"),
        Taught = (_, _) => Unpaired.Kept,
        Kinds = [new("always", "always", _ => true), new("number", "in plain numbers", c => c.Power == 0), new("letter", "in terms with the letter", c => c.Power > 0), new("negative", "where it has a minus", c => c.Number < 0), new("power", "in powers of the letter", c => c.Power > 1), new("plain-letter", "in terms with the plain letter", c => c.Power == 1)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How is one of a letter written?</summary>
    public static readonly DecisionPoint<TermLeft, OneLetter> One = new("polynomials.one-letter", "How is one of the letter written?")
    {
        Does = Phrases.InOrder<OneLetter>("writes the letter alone", "writes 1", "leaves it out"),
        Taught = (_, _) => OneLetter.LetterAlone,
        Kinds = [new("always", "always", _ => true), new("put-together", "where terms were put together", c => c.Count > 1), new("power", "in powers of the letter", c => c.Power > 1)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of what is left?</summary>
    public static readonly DecisionPoint<TermsLeft, LeftTerms> Left = new("polynomials.left", "Can what is left be put together?")
    {
        Does = Phrases.InOrder<LeftTerms>("leaves unlike terms as they are", "puts all that is left into one term with the highest power", "puts all that is left into one term, numbers and powers added", "puts the letter and the plain number together", "puts the first two terms together", "puts all terms with the letter into one with the highest power", "puts the square and the letter into one square", "puts the last two terms together"),
        Taught = (_, _) => LeftTerms.Stay,
        Can = (c, way) => way != LeftTerms.LetterAndNumberJoined || (c.HasLetter && c.HasNumber),
        Kinds = [new("always", "always", _ => true), new("two", "where two terms are left", c => c.Count == 2), new("more", "where more than two terms are left", c => c.Count > 2), new("number", "where a plain number is left", c => c.HasNumber), new("no-number", "where no plain number is left", c => !c.HasNumber), new("square", "in the square of a bracket", c => c.From == TermsFrom.Square), new("brackets", "where two brackets were multiplied", c => c.From is TermsFrom.Square or TermsFrom.Brackets or TermsFrom.Conjugate), new("one-bracket", "where one bracket was multiplied out", c => c.From == TermsFrom.Bracket)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Those about like terms, for methods that come to a sum.</summary>
    public static IReadOnlyList<DecisionPoint> Collecting { get; } = [Bare, Like, Gone, Alone, One, Left];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Order, Sign, .. Collecting];
}
