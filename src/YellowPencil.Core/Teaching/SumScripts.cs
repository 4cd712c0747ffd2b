using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of places and signs, and those of column addition, are taught.</summary>
internal static class SumScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.ReadTheSign, "I read the sign first and say what it asks.",
            "Each sign asks for something else, and what is asked says whether there will be more or less than at the start.",
            "Cards with the signs: the student lays one down, says what it asks, and only then writes.",
            "“Which sign is it? What does it ask? Will there be more or less than we start with?” If another sign is worked, act it out with "
                + "counters.", "What does the sign ask?",
            "telling more from less", n =>
                ($"You have {n} and give {n / 3} away. More or less than {n}?", "less"), n =>
                    ($"You have {n} and get {n / 3}. More or less than {n}?", "more"), n =>
                        ($"{n} pegs are shared by {n % 9 + 2}. Does each get more or less than {n}?", "less")),
        Of(Ideas.WorkWhatIsSet, "I work the numbers that stand there, and look at them once more.",
            "A number read another way is another task: its answer may be right for it and is not what was asked.",
            "The task with a finger under each number while it is said aloud; a strip of paper over the rest.",
            "“Read me the task, digit by digit. Now read me what you wrote. Is it the same?” If something differs, ask where the eye went; rule out sight and paper first.", "Is this the number that stands there?",
            "reading numbers", n => ($"Which digit of {n} stands first?", $"{n / 10}"), n => ($"Which digit of {n} stands last?", $"{n % 10}"), n => ($"Is {n} the same as {n % 10}{n / 10}?", n / 10 == n % 10 ? "yes" : "no")),
        Of(Ideas.WriteWhatWasFound, "I write what I found, as I found it.",
            "The work is done when it is found; a digit that is turned, left out or added makes another number of it.",
            "The answer is said aloud before it is written, and read aloud after it.",
            "“Say your answer. Now read what you wrote. Is it the same?” If it is not, keep both and compare; rule out sight and paper first.", "Is what is written what was found?",
            "writing numbers", n => ($"Write {Place.Counted(n / 10, 1)} and {Place.Counted(n % 10, 0)}.", $"{n}"), n => ($"Which number is one more than {n}?", $"{n + 1}"), n => ($"How many digits has {n}?", "2")),
        Of(Ideas.AnswerTheQuestion, "I read again what was asked, and stop there.",
            "What is asked says what the last line looks like: before it something is still to be done, behind it nothing is.",
            "The question on a card, laid beside the last line and read with it.",
            "“What was asked? Is this it, or is something still to do? Have you done more than was asked?” If it stops early or goes on, read the question and the last line together.", "Is this what was asked?",
            "what a question asks", n => ($"“How many in all?” asks to add {n} and 5. What is the answer?", $"{n + 5}"), n => ($"“Write {n} as a product of two numbers”: is {n} + 0 an answer?", "no"), n => ($"“Is {n} more than 10?” Yes or no?", "yes")),
        Of(Ideas.CountingOn, "When I count on, the first number I say is one more.",
            "Each number said stands for one that has come; the starting number was there already.",
            "A number line: put the finger on the start, then say a number for every jump.",
            "“Finger on the start. One jump: which number?” If the start is said again, count the jumps.", "Which number do you say first?",
            "counting up by ones", n =>
                ($"Count up three steps from {n}.", $"{n + 1}, {n + 2}, {n + 3}"), n =>
                    ($"What comes just after {n}?", $"{n + 1}"), n => ($"You are at {n} and jump on 2. Where are you?", $"{n + 2}")),
        Of(Ideas.AddingNothing, "Adding nothing changes nothing: 7 and 0 is 7.",
            "With nothing to add, there are as many as before.",
            "Counters in two cups, one of them empty.",
            "“How many are here? How many come? How many are there?” If the answer is 0, look into both cups.", "How many come?",
            "counting two groups", n =>
                ($"{n % 9 + 1} pegs, and none comes. How many?", $"{n % 9 + 1}"), n => ($"0 + {n} = ?", $"{n}"), n => ($"{n} + 0 = ?", $"{n}")),
        Of(Ideas.SamePlaceUnderSamePlace, "I write ones under ones and tens under tens.",
            "A digit is worth what its place says; digits of different places cannot be counted together.",
            "Squared paper with the names of the places above the columns.",
            "“Which digit is the ones? Where do ones go?” If the left ends are lined up, name the place of each digit.", "Which digits are the ones?",
            "naming places", n =>
                ($"Which digit of {100 + n} is in the ones?", $"{n % 10}"), n =>
                    ($"Which digit of {100 + n} is in the tens?", $"{n / 10}"), n => ($"What is the {n / 10} of {n} worth?", $"{n / 10 * 10}")),
        Of(Ideas.OneDigitAPlace, "Each place of my answer holds one digit.",
            "Ten or more in a place is one or more of the next place; two digits in one place push the others aside.",
            "Squared paper, one digit to a square; a place-value mat beside it.",
            "“One square, one digit. There are two: what does the left one stand for?”", "How many digits fit here?",
            "tens in a number", n =>
                ($"How many tens are in {n}?", $"{n / 10}"), n =>
                    ($"{n} ones: how many are left when tens are made of them?", $"{n % 10}"), n =>
                        ($"{Place.Counted(n / 10, 1)} and {Place.Counted(n % 10, 0)} are which number?", $"{n}")),
        Of(Ideas.ZeroHoldsThePlace, "A zero holds its place: I write it.",
            "Without the zero the other digits slide into other places, and each is worth something else.",
            "Place-value mat with digit cards: take the zero card out and read what is left.",
            "“Which place has nothing? What holds it?” If the zero is left out, read the number aloud.", "Which places are there, and does each have its "
                + "digit?",
            "zeros in numbers", n =>
                ($"Write {Place.Counted(n / 10, 2)} and {Place.Counted(n % 10, 0)}.", $"{n / 10}0{n % 10}"), n =>
                    ($"What does the 0 of {n / 10}0{n % 10} say?", "no tens"), n => ($"{n} tens are which number?", $"{n}0")),
        Of(Ideas.SmallestPlaceFirst, "I start with the smallest place.",
            "What happens in a place can change the next larger one, so a larger place must not be finished first.",
            "A strip of card that covers the places not reached yet.",
            "“Uncover the smallest place. What happens there? Does it change the next one?”", "Which column comes first, and why?",
            "naming places from the right", n =>
                ($"Which place of {100 + n} is the smallest?", "ones"), n =>
                    ($"Say the places of {100 + n} from the smallest.", "ones, tens, hundreds"), n =>
                        ($"Which is the smaller place: that of the {n / 10} or that of the {n % 10} in {n}?", $"that of the {n % 10}")),
        Of(Ideas.EveryAddend, "I add every number, in every column.",
            "The sum holds all of every number; what is left out is missing from it.",
            "Counters for each number in its own row; a tick beside every digit that has been added.",
            "“Which digits stand in this column? Tick each one. Is one left?”", "Is every digit ticked?",
            "counting several groups", n =>
                ($"{n % 9 + 1} and 2 and 3 together?", $"{n % 9 + 6}"), n =>
                    ($"{n} and nothing else: how many?", $"{n}"), n => ($"{100 + n} + {n % 10}: are the hundreds part of the sum?", "yes")),
        Of(Ideas.TenMovesOn, "Ten of a place go to the next place as one; only what is left stays here.",
            "Ten ones and one ten are the same amount, and one place holds one digit.",
            "Counters on a place-value mat: ten are changed for one of the next place, and put there.",
            "“How many are here? Can we make a ten? Where does it go? What is left here?” The ten is noted {carry-mark?over the next column|under the line, "
                + "below the next column|small, beside the next digit of the answer}. If both digits are written, change ten counters for "
                + "one.", "Is it ten or more? Where does the ten go?",
            "tens and ones in a number", n =>
                ($"{10 + n % 10} ones: how many tens, how many ones?", $"1 ten, {Place.Counted(n % 10, 0)}"), n =>
                    ($"10 ones are how many tens?", "1"), n => ($"{n % 10} + 9: which digit is left in the ones?", $"{(n % 10 + 9) % 10}")),
        Of(Ideas.CarryBelongs, "What I carry, I write down and count once, in the next column.",
            "The ten that moved on is part of that place now, as much as the digits that stand there.",
            "Counters: the one that was changed is laid into the next place before that column is counted.",
            "“Who is waiting in this column from before? Count it too. Now it is used.” If it is left out, look at the small mark {carry-mark?over the "
                + "column|under the line|beside the digit of the answer}.", "What was carried here?",
            "counting one more", n =>
                ($"{n / 10} and 2 and one more?", $"{n / 10 + 3}"), n =>
                    ($"One was carried to the tens. {n / 10} tens and 1 ten are how many tens?", $"{n / 10 + 1}"), n => ($"{n} and one more?", $"{n + 1}")),
        Of(Ideas.CarryOnlyTens, "I carry only when it is ten or more, one for each ten.",
            "With less than ten there is no ten to move; with twenty there are two.",
            "Columns on cards, sorted into “less than ten”, “one ten” and “two tens” before any is worked.",
            "“Is there a ten? How many? Then so many go on.”", "How many tens are there?",
            "how many tens", n =>
                ($"How many tens are in {n}?", $"{n / 10}"), n =>
                    ($"Can a ten be made of {Place.Counted(n % 9 + 1, 0)}?", "no"), n => ("How many tens are in 10?", "1")),
    ];
}
