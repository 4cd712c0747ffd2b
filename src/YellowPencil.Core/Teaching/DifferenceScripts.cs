using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of column subtraction are taught.</summary>
internal static class DifferenceScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.CountingBack, "When I count back, the first number I say is one less.",
            "Each number said stands for one that has been taken away; the starting number has not been taken away.",
            "A number line: put the finger on the start, then say a number for every jump.",
            "“Finger on the start. One jump: which number?” If the start is said again, jump with the finger and count the jumps.", "Which number do you "
                + "say first?",
            "counting down by ones", n =>
                ($"Count down three steps from {n}.", $"{n - 1}, {n - 2}, {n - 3}"), n =>
                    ($"What comes just before {n}?", $"{n - 1}"), n => ($"You are at {n} and jump back 2. Where are you?", $"{n - 2}")),
        Of(Ideas.TakingNothing, "Nothing taken away leaves all: 7 take away 0 is 7.",
            "With nothing to take away, all counters stay.",
            "Counters on a place-value mat: an empty place below.",
            "“How many are there? How many are to go? How many stay?” If the answer is 0, lay the counters out and take none.", "How many are to go?",
            "zero in single facts", n =>
                ($"{n % 9 + 1} − 0 = ?", $"{n % 9 + 1}"), n =>
                    ($"{n} pegs, and none is given away. How many are left?", $"{n}"), n => ($"{n % 9 + 1} − {n % 9 + 1} = ?", "0")),
        Of(Ideas.TakeAwayInOrder, "I take the bottom number away from the top number, in every column.",
            "The top number is what there is. Turning a column round takes away from the wrong number, and the answer no longer adds back to the top.",
            "Base-ten blocks: lay out the top number only; take the bottom number away from it.",
            "“This is what we have. What is to go? Is there enough in this place?” If the column is turned round, ask where those blocks would come "
                + "from.", "Which number are we taking away from?",
            "which number is taken away", n =>
                ($"You have {n} pegs and lose {n / 4}. Which number goes on top?", $"{n}"), n =>
                    ($"Is {n % 9} − 9 the same as 9 − {n % 9}?", "no"), n =>
                        ($"From {n}, {n / 10} are taken away. Which number is there at the start?", $"{n}")),
        Of(Ideas.SameLeavesNothing, "All taken away leaves 0, and inside a number I write it.",
            "Without the zero, the digits to the left slide into the wrong places. In front of a number no zero is needed.",
            "Squared paper, one digit to a square; read the answer with and without the zero.",
            "“All gone: what is left? Is there a digit to its left? Then the place must be held.”", "What is left, and is it written?",
            "all taken away", n =>
                ($"{n % 9 + 1} − {n % 9 + 1} = ?", "0"), n =>
                    ($"Read {n / 10}0{n % 10}. What is it without its zero?", $"{n}"), n => ($"{n} − {n / 10}0: what is left?", $"{n % 10}")),
        Of(Ideas.NothingBelow, "Where nothing stands below, what is on top comes down.",
            "The shorter number has nothing of that place to take; what is there now stays.",
            "Place-value mat: the empty places of the bottom number are really empty.",
            "“What is to go here? Nothing. So what stays?” If it was {renamed} from before, ask what is there now.", "What is left in this place now?",
            "taking from part of a number", n =>
                ($"{100 + n} − {n % 10}: how many hundreds are left?", "1"), n =>
                    ($"{n} − 1: how many tens are left, if no ten is opened?", $"{n / 10}"), n =>
                        ($"{Place.Counted(n / 10, 1)}, and no ten is taken away. How many tens are left?", $"{n / 10}")),
        Of(Ideas.TenForOne, "When the top digit is too small, I {rename}: one of the next place becomes ten here.",
            "One ten and ten ones are the same amount: nothing is added and nothing lost, so the top number stays as large as it was.",
            "Base-ten blocks: change one ten into ten ones on the mat and count the amount again.",
            "“Is there enough? No: {rename}. One of the next place is ten here. How many are here now? Is there enough now? {facts?So what is left|Count "
                + "back: what is left}?” If the column is turned round, lay out the top number and try to take.", "Is the top digit enough?",
            "one ten is ten ones", n =>
                ($"{Place.Counted(n / 10, 1)} and {Place.Counted(n % 10, 0)}, with one ten changed into ones: how many ones?", $"{10 + n % 10}"), n =>
                    ($"How many ones are one ten and {Place.Counted(n % 10, 0)}?", $"{10 + n % 10}"), n => ($"Is {n % 9} enough to take 9 away?", "no")),
        Of(Ideas.LenderPays, "What one column gets, the next one gives: it has one less.",
            "The ten that arrives is the one that left. If the lender keeps it, the top number has grown.",
            "Base-ten blocks: carry the ten across by hand, and write the lender's new value when it leaves.",
            "“Who gives? What is left there? Strike it out so that it can still be read, and write it.” If nothing changes there, count the blocks "
                + "again.", "What is left where we took it?",
            "one less", n =>
                ($"{Place.Counted(n / 10, 1)}; one is given away. How many tens are left?", $"{n / 10 - 1}"), n =>
                    ($"{n} is {Place.Counted(n / 10 - 1, 1)} and how many ones?", $"{10 + n % 10}"), n => ($"One less than {n}?", $"{n - 1}")),
        Of(Ideas.WhenToRename, "I look first. I {rename} only if the top digit is too small.",
            "A place that has enough needs no ten; ten more would not fit into one place of the answer.",
            "The columns of an item on cards, sorted into “enough” and “not enough” before any is worked.",
            "“Enough or not enough? Only when it is not enough do we do something next door.”", "Enough or not enough?",
            "comparing two digits", n =>
                ($"Is {n % 10} enough to take {n / 10} away?", n % 10 >= n / 10 ? "yes" : "no"), n =>
                    ($"Is {n / 10} enough to take {n % 10} away?", n / 10 >= n % 10 ? "yes" : "no"), n =>
                        ($"Is {n % 10} enough to take {n % 10} away?", "yes")),
        Of(Ideas.ZeroIsANumber, "With 0 on top there is not enough: I {rename} first.",
            "With no counters in a place there is nothing to take from, so ten must come from the next place.",
            "Counters on a place-value mat: an empty place on top, and ten brought into it.",
            "“How many are here? How many are to go? Where can ten come from?” If 0 or the bottom digit is written, try to take the "
                + "counters.", "Is there enough in this place?",
            "taking from an empty place", n =>
                ($"You have {Place.Counted(n / 10, 1)} and no single pegs. How many single pegs are there when one ten is opened?", "10"), n =>
                    ($"{n / 10}0 − {n % 10}: must a ten be opened?", "yes"), n => ($"{n / 10}0 − {n % 10} = ?", $"{n / 10 * 10 - n % 10}")),
        Of(Ideas.AcrossZeros, "A zero cannot lend. I go on to the first digit that can, and each zero on the way becomes 9.",
            "One hundred is ten tens. One of those tens goes on as ten ones, so nine tens stay.",
            "Base-ten blocks: one hundred into ten tens, one of the tens into ten ones; count what lies in each place.",
            "“Zero cannot lend. Who can? One from there makes ten here; one of the ten goes on, nine stay.” If the zero is passed over, open the hundred "
                + "with the blocks.", "Who lends, and what does the zero become?",
            "a hundred as tens and ones", n =>
                ($"{n / 10}00 is {Place.Counted(n / 10 - 1, 2)} and how many tens?", "10"), n =>
                    ("10 tens; one of them is opened. How many tens are left?", "9"), n =>
                        ($"{n / 10}00 is {Place.Counted(n / 10 - 1, 2)}, 9 tens and how many ones?", "10")),
    ];
}
