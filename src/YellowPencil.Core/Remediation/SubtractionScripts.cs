using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using At = YellowPencil.Core.Procedures.Subtraction.SubtractionPoints;

namespace YellowPencil.Core.Remediation;

/// <summary>How the missing ideas of column subtraction are taught, in the order of learning.</summary>
public static class SubtractionScripts
{
    /// <summary>All scripts, in the order of learning.</summary>
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Script(Ideas.ReadTheSign, "I read the sign first and say what it asks.",
            "Adding makes more, taking away leaves less: the answer can be compared with the number on top.",
            "Counters: show the top number, then do what the sign says, and only then write.",
            "“What does the sign ask? Will there be more or less than on top?”", "Will the answer be more or less than the top number?",
            "telling more from less", r => Questions(r, n => ($"You have {n} and give {n / 3} away. More or less than {n}?", "less"))),
        Script(Ideas.CountingBack, "When I count back, I start counting with the next number down.",
            "Each number said stands for one that has been taken away; the starting number has not been taken away.",
            "A number line: put the finger on the start, then say a number for every jump.",
            "“Finger on the start. One jump: which number?”", "Which number do you say first?",
            "counting down by ones", r => Questions(r, n => ($"Count down three steps from {n}.", $"{n - 1}, {n - 2}, {n - 3}"))),
        Script(Ideas.TakingNothing, "Nothing taken away leaves all: 7 take away 0 is 7.",
            "With nothing to take away, all counters stay.",
            "Counters on a place-value mat: an empty place below.",
            "“How many are there? How many are to go? How many stay?”", "How many are to go?",
            "zero in single facts", r => Questions(r, n => ($"{n % 9 + 1} − 0 = ?", $"{n % 9 + 1}"))),
        Script(Ideas.TakeAwayInOrder, "I take the bottom number away from the top number, in every column.",
            "The top number is what there is. Turning a column round takes away from the wrong number, and the answer no longer adds back to the top.",
            "Base-ten blocks: lay out the top number only; take the bottom number away from it.",
            "“This is what we have. What is to go? Is there enough in this place?”", "Which number are we taking away from?",
            "which number is taken away", r => Questions(r, n => ($"You have {n} pegs and lose {n / 4}. Which number goes on top?", $"{n}"))),
        Script(Ideas.SamePlaceUnderSamePlace, "I write ones under ones and tens under tens.",
            "A digit is worth what its place says; digits of different places cannot be taken from each other.",
            "Squared paper with the places written above the columns.",
            "“Which digit is the ones? Where do ones go?”", "Which digits are the ones?",
            "naming places", r => Questions(r, n => ($"Which digit of {100 + n} is in the ones?", $"{n % 10}"))),
        Script(Ideas.SmallestPlaceFirst, "I start with the ones, because {renaming} changes what is left of them.",
            "A place that has to lend must not be finished before it has lent.",
            "A strip of card that covers the places not reached yet.",
            "“Uncover the ones. Is there enough?”", "Which column comes first, and why?",
            "naming places from the right", r => Questions(r, n => ($"Say the places of {100 + n} from the smallest.", "ones, tens, hundreds"))),
        Script(Ideas.TenForOne, "When the top digit is too small, I {rename} one of the next place as ten of this one.",
            "One ten and ten ones are the same amount: nothing is added and nothing lost, so the top number stays as large as it was.",
            "Base-ten blocks: exchange one ten for ten ones on the mat and count the amount again.",
            "“Is there enough? {Rename} one of the next place: it is ten here. Now is there enough?”", "Is the top digit enough?",
            "one ten is ten ones", r => Questions(r, n => ($"{Place.Counted(n / 10, 1)} and {Place.Counted(n % 10, 0)}, with one ten changed into ones: how many ones?", $"{10 + n % 10}"))),
        Script(Ideas.ZeroIsANumber, "With 0 on top there is not enough: I {rename} one of the next place first.",
            "With no counters in a place there is nothing to take from, so ten must come from the next place.",
            "Counters on a place-value mat: an empty place on top, and ten brought into it.",
            "“How many are here? How many are to go? Where can ten come from?”", "Is there enough in this place?",
            "taking from an empty place", r => Questions(r, n => ($"You have no single pegs and {Place.Counted(n / 10, 1)}. Can you give {n % 9 + 1} pegs away?", "yes, when a ten is opened"))),
        Script(Ideas.LenderPays, "What I give to one column I take from the next: it has exactly one less.",
            "The ten that arrives is the one that left. If the lender keeps it, the top number has grown.",
            "Base-ten blocks: carry the ten across by hand, and write the lender's new value when it leaves.",
            "“Who lends? What is left there? Strike it out so that it can still be read, and write it.”", "What is left where we took it?",
            "one less", r => Questions(r, n => ($"{Place.Counted(n / 10, 1)}; one is given away. How many tens are left?", $"{n / 10 - 1}"))),
        Script(Ideas.WhenToRename, "I look first whether the top digit is enough, and {rename} only if it is not.",
            "A place that has enough needs no ten; ten more would not fit into one place of the answer.",
            "A row of columns on cards, to be sorted into “enough” and “not enough” before any is worked.",
            "“Enough or not enough? Only then do we do something next door.”", "Enough or not enough?",
            "comparing two digits", r => Questions(r, n => ($"Is {n % 10} enough to take {n / 10} away?", n % 10 >= n / 10 ? "yes" : "no"))),
        Script(Ideas.SameLeavesNothing, "All taken away leaves 0, and I write it because it holds the place.",
            "Without the zero, the digits to the left slide into the wrong places.",
            "Squared paper, one digit to a square; read the answer with and without the zero.",
            "“All gone: what is left? Write it, the place must be held.”", "What is left, and is it written?",
            "all taken away", r => Questions(r, n => ($"{n % 9 + 1} − {n % 9 + 1} = ?", "0"))),
        Script(Ideas.OneDigitAPlace, "Each place of my answer holds one digit.",
            "Ten or more in a place means ten was brought that was not needed.",
            "Squared paper, one digit to a square.",
            "“One square, one digit. What happened if there are two?”", "How many digits fit here?",
            "naming places", r => Questions(r, n => ($"How many tens are in {n}?", $"{n / 10}"))),
        Script(Ideas.NothingBelow, "Where nothing stands below, nothing is taken away, and I write what is left.",
            "The shorter number has no hundreds to take; the hundreds on top are still there.",
            "Place-value mat: the empty places of the bottom number are really empty.",
            "“What is to go here? Nothing. So what stays?”", "What is left in this place?",
            "taking from part of a number", r => Questions(r, n => ($"{100 + n} − {n % 10}: are the hundreds still there?", "yes, 1 hundred"))),
        Script(Ideas.AcrossZeros, "I go left to the first digit that is not zero, take one, and every zero I pass becomes ten, lends one and keeps nine.",
            "One hundred is ten tens. One of those tens goes on as ten ones, so nine tens stay: 100 is 9 tens and 10 ones.",
            "Base-ten blocks: one hundred into ten tens, one of the tens into ten ones; count what lies in each place.",
            "“Zero cannot lend. Who can? One from there makes ten here; one of the ten goes on, nine stay.”", "Who lends, and what does the zero become?",
            "a hundred as tens and ones", r => Questions(r, n => ($"{n / 10}00 = {Place.Counted(n / 10 - 1, 2)} and how many tens?", "10 tens"))),
    ];

    /// <summary>The script for an idea.</summary>
    public static TeachingScript For(MissingIdea idea) => All.First(s => s.Idea == idea);

    /// <summary>The idea that a rule outside the catalogue points to, by the decision it concerns.</summary>
    public static MissingIdea IdeaOf(DecisionPoint point) =>
        point == At.Operation ? Ideas.ReadTheSign
        : point == At.Alignment ? Ideas.SamePlaceUnderSamePlace
        : point == At.Direction ? Ideas.SmallestPlaceFirst
        : point == At.PassedZero ? Ideas.AcrossZeros
        : point == At.LenderValue || point == At.LenderBecomes || point == At.Lender || point == At.TopRead ? Ideas.LenderPays
        : point == At.OpenColumn || point == At.Onward ? Ideas.NothingBelow
        : point == At.Count ? Ideas.CountingBack
        : point == At.Neighbour || point == At.TwoDigits ? Ideas.WhenToRename
        : Ideas.TenForOne;

    private static TeachingScript Script(
        MissingIdea idea, string aim, string why, string material, string say, string stopAt, string first, Func<Random, IReadOnlyList<CheckQuestion>> questions) => new()
        {
            Idea = idea,
            Order = OrderOf(idea),
            Aim = aim,
            Why = why,
            Material = material,
            Say = say,
            StopAt = stopAt,
            First = first,
            FirstQuestions = questions,
        };

    private static int OrderOf(MissingIdea idea) => Array.IndexOf(
        [
            Ideas.ReadTheSign, Ideas.CountingBack, Ideas.TakingNothing, Ideas.TakeAwayInOrder, Ideas.SamePlaceUnderSamePlace, Ideas.SmallestPlaceFirst,
            Ideas.TenForOne, Ideas.ZeroIsANumber, Ideas.LenderPays, Ideas.WhenToRename, Ideas.SameLeavesNothing, Ideas.OneDigitAPlace, Ideas.NothingBelow, Ideas.AcrossZeros,
        ], idea);

    /// <summary>Three different two-digit numbers without a zero, put into a question.</summary>
    private static List<CheckQuestion> Questions(Random random, Func<int, (string Question, string Answer)> ask)
    {
        var asked = new List<CheckQuestion>();
        while (asked.Count < 3)
        {
            var (question, answer) = ask(10 * random.Next(2, 10) + random.Next(1, 10));
            if (asked.TrueForAll(q => q.Question != question)) asked.Add(new CheckQuestion(question, answer));
        }

        return asked;
    }
}
