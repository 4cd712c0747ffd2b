namespace YellowPencil.Core.Knowledge;

/// <summary>The ideas behind the methods, as far as bugs can show that one is missing.</summary>
public static class Ideas
{
    /// <summary>The number below is taken away as a whole.</summary>
    public static readonly MissingIdea TakeAwayInOrder = new("take-away-in-order", "which number is taken away",
        "The bottom number is taken away from the top number; the digits of a column cannot be turned round.");

    /// <summary>Ten for one.</summary>
    public static readonly MissingIdea TenForOne = new("ten-for-one", "one for ten",
        "One of a place can be {renamed} as ten of the next smaller place, and then there is enough.");

    /// <summary>The lender pays.</summary>
    public static readonly MissingIdea LenderPays = new("lender-pays", "the lender pays",
        "What one column is given is gone from the column it came from: exactly one is taken there.");

    /// <summary>Across zeros.</summary>
    public static readonly MissingIdea AcrossZeros = new("across-zeros", "{renaming} across zeros",
        "A zero has nothing to lend: the first digit that is not zero lends, and every zero passed becomes ten, lends one and keeps nine.");

    /// <summary>Zero on top.</summary>
    public static readonly MissingIdea ZeroIsANumber = new("zero-is-a-number", "zero on top",
        "Zero on top means that nothing is there in this place: there is not enough, so a ten is needed from next door.");

    /// <summary>Taking nothing away.</summary>
    public static readonly MissingIdea TakingNothing = new("taking-nothing", "taking nothing away",
        "Where nothing is taken away, everything stays: 7 − 0 is 7.");

    /// <summary>Adding nothing.</summary>
    public static readonly MissingIdea AddingNothing = new("adding-nothing", "adding nothing",
        "Where nothing is added, the number stays as it is: 7 + 0 is 7.");

    /// <summary>How often the divisor can be taken away.</summary>
    public static readonly MissingIdea HowOften = new("how-often", "how often the divisor can be taken away",
        "Dividing asks how often the divisor can be taken away, and it is taken away that often.");

    /// <summary>Zeros behind.</summary>
    public static readonly MissingIdea ZerosBehind = new("zeros-behind", "zeros behind the last digit",
        "Where a point moves past the last digit, each place that it passes is held by a zero.");

    /// <summary>Nothing below.</summary>
    public static readonly MissingIdea NothingBelow = new("nothing-below", "columns with nothing below",
        "Where there is no digit below, nothing is taken away and what is left above belongs to the answer.");

    /// <summary>When renaming is due.</summary>
    public static readonly MissingIdea WhenToRename = new("when-to-rename", "when {renaming} is due",
        "One is {renamed} only where the top digit is too small, and only then does the next column change.");

    /// <summary>Equal digits.</summary>
    public static readonly MissingIdea SameLeavesNothing = new("same-leaves-nothing", "equal digits",
        "Taking away all there is leaves zero, and the zero is written because it holds the place.");

    /// <summary>One digit a place.</summary>
    public static readonly MissingIdea OneDigitAPlace = new("one-digit-a-place", "one digit a place",
        "A place holds one digit; ten or more means that something was {renamed} that was not needed.");

    /// <summary>Lining up.</summary>
    public static readonly MissingIdea SamePlaceUnderSamePlace = new("same-place-under-same-place", "lining up places",
        "Digits of the same place stand under each other, ones under ones.");

    /// <summary>Direction.</summary>
    public static readonly MissingIdea SmallestPlaceFirst = new("smallest-place-first", "starting with the smallest place",
        "The work starts with the smallest place, because {renaming} changes the places to the left.");

    /// <summary>Counting differences.</summary>
    public static readonly MissingIdea CountingBack = new("counting-back", "counting back",
        "Counting back, the first number said is one less than the number started from.");

    /// <summary>The sign.</summary>
    public static readonly MissingIdea ReadTheSign = new("read-the-sign", "what the sign asks",
        "The sign says what is asked; it is read before the work begins, and all of the work follows it.");

    /// <summary>Carrying.</summary>
    public static readonly MissingIdea TenMovesOn = new("ten-moves-on", "ten moves on",
        "Ten of one place are one of the next: the ten is carried there, and only what is left is written.");

    /// <summary>Counting the carry.</summary>
    public static readonly MissingIdea CarryBelongs = new("carry-belongs", "the carry belongs to its column",
        "A carried one is part of the column it was carried to and is counted there, once.");

    /// <summary>When carrying is due.</summary>
    public static readonly MissingIdea CarryOnlyTens = new("carry-only-tens", "when carrying is due",
        "Something is carried only from ten on, and as many as there are tens.");

    /// <summary>Every number has its part.</summary>
    public static readonly MissingIdea EveryAddend = new("every-addend", "every number is added",
        "The sum holds all of every number: each digit of each column is added, and a place without a partner is kept.");

    /// <summary>Counting on.</summary>
    public static readonly MissingIdea CountingOn = new("counting-on", "counting on",
        "Counting on, the first number said is one more than the number started from.");

    /// <summary>The carry of a product.</summary>
    public static readonly MissingIdea CarryAfterProduct = new("carry-after-product", "the carry is added after the product",
        "What was carried is already multiplied: it is added to the next product, not multiplied with it.");

    /// <summary>Zero in products.</summary>
    public static readonly MissingIdea ZeroTimes = new("zero-times", "zero in a product",
        "No groups, or groups of nothing, make nothing: times 0 is 0, and a carry that stands there is still added.");

    /// <summary>One in products.</summary>
    public static readonly MissingIdea OneTimes = new("one-times", "one in a product",
        "One group of a number is the number itself.");

    /// <summary>Zero holds a place.</summary>
    public static readonly MissingIdea ZeroHoldsThePlace = new("zero-holds-the-place", "zero holds the place",
        "A zero keeps the other digits in their places: it is passed over in the work, but not in the writing.");

    /// <summary>What a product is.</summary>
    public static readonly MissingIdea ProductIsGroups = new("product-is-groups", "what a product is",
        "A product is so many groups of so many, all counted.");

    /// <summary>Every digit with every digit.</summary>
    public static readonly MissingIdea EveryDigitTimesEvery = new("every-digit-times-every", "every part times every part",
        "Every digit of one number is multiplied with every digit of the other, because all of the number is taken that many times.");

    /// <summary>Skip-counting.</summary>
    public static readonly MissingIdea SkipCounting = new("skip-counting", "skip-counting",
        "Skip-counting, the number itself is the first count: six counts of 7 end at 42.");

    /// <summary>The value of a row.</summary>
    public static readonly MissingIdea RowIsTenTimes = new("row-is-ten-times", "what a row is worth",
        "A digit of the tens multiplies ten times as much, so its row begins one place further left.");

    /// <summary>Rows are parts.</summary>
    public static readonly MissingIdea RowsAreParts = new("rows-are-parts", "the rows are parts",
        "Each row is a part of the product; together, added, they are the whole.");

    /// <summary>Zeros in the quotient.</summary>
    public static readonly MissingIdea EveryDigitBroughtDownCounts = new("every-digit-brought-down-counts", "every digit brought down gives a digit",
        "Each digit brought down gives one digit of the quotient, also a 0: it says that there are none of that place.");

    /// <summary>What is left.</summary>
    public static readonly MissingIdea RestStays = new("rest-stays", "what is left is divided on",
        "What is left of one place is exchanged for the next smaller place and divided there with its digit.");

    /// <summary>Which number is divided.</summary>
    public static readonly MissingIdea DividendIsShared = new("dividend-is-shared", "which number is divided",
        "The first number is shared out by the second; the two cannot be turned round where a digit is small.");

    /// <summary>A digit too small.</summary>
    public static readonly MissingIdea RestLessThanDivisor = new("rest-less-than-divisor", "what is left is less than the divisor",
        "What is left is less than the divisor; if not, the digit was too small.");

    /// <summary>A digit too large.</summary>
    public static readonly MissingIdea ProductFits = new("product-fits", "the product fits",
        "The product is at most the number at hand; if it is more, the digit was too large.");

    /// <summary>The whole divisor.</summary>
    public static readonly MissingIdea WholeDivisor = new("whole-divisor", "the whole divisor",
        "All of the divisor is divided by; rounding it only helps to guess a digit that is then tested.");

    /// <summary>Direction of a division.</summary>
    public static readonly MissingIdea LargestPlaceFirst = new("largest-place-first", "dividing starts with the largest place",
        "Dividing starts with the largest place, because what is left there goes on into the smaller ones.");

    /// <summary>The remainder.</summary>
    public static readonly MissingIdea RemainderBelongs = new("remainder-belongs", "the remainder belongs to the answer",
        "What cannot be shared out is part of the answer: quotient times divisor and the remainder together are the number divided.");

    /// <summary>The remainder as a part.</summary>
    public static readonly MissingIdea RemainderIsOfDivisor = new("remainder-is-of-divisor", "what the remainder is a part of",
        "What is left is counted in parts of the divisor: 2 left of a division by 4 are 2/4, and as a decimal 0.5.");

    /// <summary>Zeros after the point.</summary>
    public static readonly MissingIdea ZerosGoOn = new("zeros-go-on", "going on past the ones",
        "A number goes on after the point with as many zeros as are needed: what is left is exchanged for tenths and divided on.");

    /// <summary>The point of the quotient.</summary>
    public static readonly MissingIdea PointStraightUp = new("point-straight-up", "the point of the quotient",
        "The point of the quotient stands straight above that of the number divided: tenths divided give tenths.");

    /// <summary>Lowest terms.</summary>
    public static readonly MissingIdea LowestTerms = new("lowest-terms", "lowest terms",
        "A fraction is finished when no number but 1 divides both its parts.");

    /// <summary>Places after the point.</summary>
    public static readonly MissingIdea PlacesAfterPoint = new("places-after-point", "places after the point",
        "After the point come tenths, then hundredths: 3.4 is 3.40, and its 4 stands under tenths.");

    /// <summary>The hidden point.</summary>
    public static readonly MissingIdea HiddenPointOfWhole = new("hidden-point-of-whole", "the hidden point of a whole number",
        "A whole number has its point at its right end: its ones stand under ones.");

    /// <summary>Gaps.</summary>
    public static readonly MissingIdea GapIsZero = new("gap-is-zero", "a gap is a zero",
        "Where a number has no digit, a zero can be filled in: it has nothing of that place, and the other number keeps what it has.");

    /// <summary>Across the point.</summary>
    public static readonly MissingIdea PointIsNoWall = new("point-is-no-wall", "the point is no wall",
        "Ten tenths are one whole, and one whole can be {renamed} as ten tenths: the work goes on across the point as between any two places.");

    /// <summary>The point of a sum.</summary>
    public static readonly MissingIdea PointComesDown = new("point-comes-down", "the point comes straight down",
        "In sums and differences the point of the answer stands under the points above: tenths are counted with tenths.");

    /// <summary>The places of a product.</summary>
    public static readonly MissingIdea PlacesOfProduct = new("places-of-product", "the places of a product",
        "Tenths times tenths are hundredths: a product has as many decimal places as both factors together.");

    /// <summary>Too few digits.</summary>
    public static readonly MissingIdea ZerosKeepThePoint = new("zeros-keep-the-point", "zeros between the point and the digits",
        "If there are fewer digits than places, zeros in front keep each digit in its place.");

    /// <summary>Moving points.</summary>
    public static readonly MissingIdea BothPointsMove = new("both-points-move", "both points move alike",
        "If both numbers become ten times as large, the quotient stays: the point of one may move only if that of the other moves as far.");

    /// <summary>Signs of products.</summary>
    public static readonly MissingIdea SameSignsPositive = new("same-signs-positive", "the sign of a product",
        "Two numbers with the same sign have a positive product or quotient, two with different signs a negative one.");

    /// <summary>Subtracting a negative.</summary>
    public static readonly MissingIdea TakingAwayDebt = new("taking-away-debt", "taking away a negative number",
        "Taking away a negative number is the same as adding its opposite: a debt taken away makes richer.");

    /// <summary>Signs of numbers.</summary>
    public static readonly MissingIdea SignBelongsToNumber = new("sign-belongs-to-number", "the sign belongs to its number",
        "A minus sign in front of a number is part of the number and is read with it.");

    /// <summary>Different signs.</summary>
    public static readonly MissingIdea OppositesCancel = new("opposites-cancel", "adding numbers of different signs",
        "A positive and a negative cancel one against one; what is left has the sign of the number that had more.");

    /// <summary>Parts of one size.</summary>
    public static readonly MissingIdea PartsOfOneSize = new("parts-of-one-size", "parts of one size",
        "Only parts of one size can be counted together: both fractions get one denominator first.");

    /// <summary>The denominator names the part.</summary>
    public static readonly MissingIdea DenominatorNamesThePart = new("bottom-names-the-part", "the denominator names the part",
        "The denominator says how large the parts are; when parts are counted, their size stays.");

    /// <summary>Equal fractions.</summary>
    public static readonly MissingIdea BothPartsAlike = new("both-parts-alike", "both parts are multiplied",
        "A fraction keeps its value when numerator and denominator are multiplied by the same number, and by nothing else.");

    /// <summary>Lowest terms.</summary>
    public static readonly MissingIdea DividingBothParts = new("dividing-both-parts", "dividing both parts",
        "A fraction is brought to lowest terms by dividing both parts by the same number until no number but 1 divides both.");

    /// <summary>Wholes in a fraction.</summary>
    public static readonly MissingIdea WholesInAFraction = new("wholes-in-a-fraction", "the wholes in a fraction",
        "As many parts as the denominator says make a whole; what is left stays so many parts of that size.");

    /// <summary>Mixed numbers.</summary>
    public static readonly MissingIdea MixedIsASum = new("mixed-is-a-sum", "a mixed number is a sum",
        "A mixed number is wholes and parts together: each whole is as many parts as the denominator says, and the numerator is added.");

    /// <summary>A whole is n parts.</summary>
    public static readonly MissingIdea WholeIsAllParts = new("whole-is-all-parts", "a whole is all its parts",
        "A {renamed} whole gives as many parts as the denominator says, not ten, and is gone from the wholes.");

    /// <summary>Wholes count too.</summary>
    public static readonly MissingIdea WholesCountToo = new("wholes-count-too", "the wholes count too",
        "Wholes and fractions are both part of a mixed number: each is dealt with once, and only the fractions change their denominators.");

    /// <summary>A minus before a bracket.</summary>
    public static readonly MissingIdea MinusTurnsAll = new("minus-turns-all", "a minus turns every sign inside",
        "A minus before a bracket takes the whole bracket away: every sign inside is turned, also of the first term and of plain numbers.");

    /// <summary>Like terms.</summary>
    public static readonly MissingIdea OnlyLikeTerms = new("only-like-terms", "only like terms go together",
        "Only terms with the same letter and the same power can be put together; the others stay as they are.");

    /// <summary>Counting a letter.</summary>
    public static readonly MissingIdea LetterIsOne = new("letter-is-one", "a letter alone is one of it",
        "A letter without a number is one of that letter; so many and so many of it are counted together, and its power stays.");

    /// <summary>Each term by each.</summary>
    public static readonly MissingIdea EachTermByEach = new("each-term-by-each", "each term is multiplied by each",
        "All of one factor is multiplied by all of the other: each term of one by each term of the other.");

    /// <summary>A square is a product.</summary>
    public static readonly MissingIdea SquareIsAProduct = new("square-is-a-product", "a square is the bracket times itself",
        "The square of a bracket is the bracket times itself: the two middle products belong to it.");

    /// <summary>Multiplying terms.</summary>
    public static readonly MissingIdea NumbersTimesPowersPlus = new("numbers-times-powers-plus", "numbers are multiplied, powers added",
        "In a product of terms the numbers are multiplied and the powers of the letter added.");

    /// <summary>Both sides.</summary>
    public static readonly MissingIdea SameOnBothSides = new("same-on-both-sides", "the same on both sides",
        "An equation stays true when the same is done to both sides; what is moved is taken from both, and so its sign turns.");

    /// <summary>Undoing a product.</summary>
    public static readonly MissingIdea DividingUndoesTimes = new("dividing-undoes-times", "dividing undoes multiplying",
        "A number before the letter is multiplied with it; dividing by it, with its sign, leaves the letter alone.");

    /// <summary>Letters and numbers.</summary>
    public static readonly MissingIdea LettersAndNumbersApart = new("letters-and-numbers-apart", "letters and numbers stay apart",
        "So many of the letter and so many ones are different things: they are not put together before the letter is known.");

    /// <summary>No solution, every number.</summary>
    public static readonly MissingIdea FalseOrAlwaysTrue = new("false-or-always-true", "none, or every number",
        "Where no letter is left, the equation is false for every number or true for every number.");

    /// <summary>Roots undo squares.</summary>
    public static readonly MissingIdea RootUndoesSquare = new("root-undoes-square", "a root undoes a square",
        "The root of a number is what, times itself, makes the number: it lies between the roots of two neighbouring squares.");

    /// <summary>The squares on both sides.</summary>
    public static readonly MissingIdea BetweenNeighbours = new("between-neighbours", "between two neighbouring squares",
        "A number lies between the next square below it and the next one above it; squares further away are true and too wide.");

    /// <summary>Between two squares.</summary>
    public static readonly MissingIdea PartOfTheWay = new("part-of-the-way", "part of the way between two squares",
        "How far a number is between two squares is its distance from the lower one as a part of the distance of both.");

    /// <summary>Rounding.</summary>
    public static readonly MissingIdea RoundedOnce = new("rounded-once", "rounding looks at the next digit, once",
        "An estimate is rounded once, by the digit behind the last one that is kept: five or more goes up.");

    /// <summary>What all terms have.</summary>
    public static readonly MissingIdea CommonToAll = new("common-to-all", "what all terms have is taken out of all",
        "A common factor is taken out of every term, and it stays as a factor in front: multiplied out, the first line must come back.");

    /// <summary>Sum and product.</summary>
    public static readonly MissingIdea SumAndProduct = new("sum-and-product", "sum and product must both fit",
        "The two numbers have the last number as their product and the middle number as their sum, signs included; both must fit.");

    /// <summary>The middle of two numbers.</summary>
    public static readonly MissingIdea HalfWayBetween = new("half-way-between", "the middle of two numbers",
        "Two numbers lie equally far from half of their sum, one on each side; the square of that half less their product is the square of how far.");

    /// <summary>The first number belongs to both.</summary>
    public static readonly MissingIdea FirstNumberIsShared = new("first-number-is-shared", "the first number is shared by the brackets",
        "The first terms of the brackets multiply to the first term: the number before the square is shared between them.");

    /// <summary>Differences of squares.</summary>
    public static readonly MissingIdea RootsOfBothSquares = new("roots-of-both-squares", "the roots of both squares",
        "A difference of squares is the sum of the roots times their difference; numbers before letters are rooted as well.");

    /// <summary>A denominator that both go into.</summary>
    public static readonly MissingIdea CommonDenominator = new("common-denominator", "a denominator that both go into",
        "Both denominators go into the common one. Their product always works; the least one keeps the numbers small.");

    /// <summary>Parts go from the first number.</summary>
    public static readonly MissingIdea FromTheFirstNumber = new("from-the-first-number", "parts go from the first number",
        "What goes is taken from the first number. If its parts are not enough, one of its wholes is opened.");

    /// <summary>No parts are 0 parts.</summary>
    public static readonly MissingIdea NoPartsIsZeroParts = new("no-parts-is-zero-parts", "no parts are 0 parts",
        "A whole number has 0 of every part: 7 is 7 and 0 quarters.");

    /// <summary>An opened whole is gone.</summary>
    public static readonly MissingIdea OpenedWholeIsGone = new("opened-whole-is-gone", "an opened whole is gone",
        "A whole that was opened lies among the parts now and is no longer among the wholes.");

    /// <summary>Parts that make a whole move on.</summary>
    public static readonly MissingIdea FullPartsAreAWhole = new("full-parts-are-a-whole", "parts that make a whole move on",
        "When the parts make a whole, that whole goes to the wholes, and what is left stays parts.");

    /// <summary>What is taken from what.</summary>
    public static readonly MissingIdea SecondFromFirst = new("second-from-first", "what is taken from what",
        "What stands behind the minus is taken from what stands before it; the two cannot be turned round.");

    /// <summary>Adding numbers of the same sign.</summary>
    public static readonly MissingIdea SameSignsGoOn = new("same-signs-go-on", "adding numbers of the same sign",
        "Two numbers of the same sign go on in the same direction: their sizes are added, and the sign stays.");

    /// <summary>Counting keeps the power.</summary>
    public static readonly MissingIdea CountingKeepsThePower = new("counting-keeps-the-power", "counting keeps the power",
        "Three squares and four squares are seven squares: counting changes how many there are, not what they are.");

    /// <summary>A term without a partner is kept.</summary>
    public static readonly MissingIdea EveryTermIsKept = new("every-term-is-kept", "a term without a partner is kept",
        "Every term of the first line is in the last one: with its partner, or alone as it stood.");

    /// <summary>What stands between two brackets.</summary>
    public static readonly MissingIdea NoSignMeansTimes = new("no-sign-means-times", "what stands between two brackets",
        "A plus or minus between two brackets asks to count together; no sign between them asks to multiply.");

    /// <summary>The factor reaches every term.</summary>
    public static readonly MissingIdea FactorReachesAll = new("factor-reaches-all", "the factor reaches every term",
        "A number before a bracket takes all of the bracket that many times: it meets every term.");

    /// <summary>A term brings its sign along.</summary>
    public static readonly MissingIdea TermBringsItsSign = new("term-brings-its-sign", "a term brings its sign along",
        "The sign in front of a term belongs to it and goes wherever the term goes.");

    /// <summary>Opposite middle terms vanish.</summary>
    public static readonly MissingIdea OppositesVanish = new("opposites-vanish", "opposite middle terms vanish",
        "Where the two middle products are opposite, one up and one down, nothing of them is left.");

    /// <summary>The signs of the two numbers.</summary>
    public static readonly MissingIdea SignsOfTheTwo = new("signs-of-the-two", "the signs of the two numbers",
        "Where the last number is positive, both have the sign of the middle one; where it is negative, they differ and the larger has the sign of the middle one.");

    /// <summary>Every cell is its edges.</summary>
    public static readonly MissingIdea CellIsItsEdges = new("cell-is-its-edges", "every cell is its edges",
        "Each cell of the box is the product of its two edges, with its sign.");

    /// <summary>When nothing fits.</summary>
    public static readonly MissingIdea NoneIsAnAnswer = new("none-is-an-answer", "when nothing fits",
        "Only when every pair has been tried and none fits is it said that it cannot be done.");

    /// <summary>From which end the way is counted.</summary>
    public static readonly MissingIdea FromTheLowerRoot = new("from-the-lower-root", "from which end the way is counted",
        "The way is counted from the lower square, and so its part is added to the lower root.");

    /// <summary>A guess is squared and mended.</summary>
    public static readonly MissingIdea SquareTheGuess = new("square-the-guess", "a guess is squared and mended",
        "A guess is kept only when its square was compared with the number, and its neighbour’s square is further away.");

    /// <summary>What was done last is undone first.</summary>
    public static readonly MissingIdea LastDoneFirstUndone = new("last-done-first-undone", "what was done last is undone first",
        "What was done to the letter last is undone first; if it is divided first, every term of both sides is divided.");

    /// <summary>Letters on both sides.</summary>
    public static readonly MissingIdea LettersFromBothSides = new("letters-from-both-sides", "letters on both sides",
        "The same number of the letter is taken from both sides; what is left of it stands on one side.");

    /// <summary>What was asked, and no more.</summary>
    public static readonly MissingIdea AnswerTheQuestion = new("answer-the-question", "what was asked, and no more",
        "What is asked says where the end is: what stands there then is the answer, and nothing is stopped before it or done beyond it.");

    /// <summary>The numbers as they stand.</summary>
    public static readonly MissingIdea WorkWhatIsSet = new("work-what-is-set", "the numbers as they stand",
        "The numbers are worked as they stand in the task; they are read again, one by one, before the answer stays.");

    /// <summary>Writing what was found.</summary>
    public static readonly MissingIdea WriteWhatWasFound = new("write-what-was-found", "writing what was found",
        "What was found is written as it is: every digit, in its order, nothing added and nothing left out.");
}
