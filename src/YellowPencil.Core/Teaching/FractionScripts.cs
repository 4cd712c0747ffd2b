using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of fractions and mixed numbers are taught.</summary>
internal static class FractionScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.DenominatorNamesThePart, "The number below says which size the parts have. Counting does not change the size.",
            "Three eighths and two eighths are five eighths, as three pegs and two pegs are five pegs: what is counted stays what it is.",
            "One paper strip folded into as many parts as the denominator says, coloured in two colours: one for each fraction.",
            "“Say both fractions in words. How many parts come together? Of which size?” If the denominators are added too, lay the strip: have the parts become smaller?",
            "Of which size are the parts now?",
            "naming parts of a whole", n =>
                ($"A strip is folded into {n % 8 + 2} equal parts. What is one part called, as a fraction?", $"1/{n % 8 + 2}"), n =>
                    ($"How many parts of the size 1/{n % 8 + 2} are a whole?", $"{n % 8 + 2}"), n => ("Which is larger, 1/3 or 1/8?", "1/3")),
        Of(Ideas.PartsOfOneSize, "I can only count parts of one size together.",
            "Halves and thirds are parts of different size: there is no name for so many of both until they are cut to one size.",
            "Two equal paper strips, one folded for each fraction; a third one under them, folded so finely that both fit.",
            "“Fold both fractions. Together, is it more than a half? So can your answer be right? Into which parts can both be cut?” If numerators and denominators are added, hold the answer "
                + "beside the larger of the two strips.",
            "Do the parts have one size?",
            "equal fractions", n => ($"1/2 = ?/{2 * (n % 8 + 2)}", $"{n % 8 + 2}"), n =>
                ($"Which number do both 2 and {2 * (n % 4) + 3} go into: {4 * (n % 4) + 6} or {2 * (n % 4) + 5}?", $"{4 * (n % 4) + 6}"), n => ("Is 2/5 more or less than a half?", "less")),
        Of(Ideas.BothPartsAlike, "If each part is cut into 3, there are 3 times as many: both numbers times 3.",
            "Cutting every part leaves the amount as it is and makes more parts of it, above and below alike.",
            "A rectangle shaded from left to right for the fraction, then cut across into as many rows as are needed.",
            "“4/5 is how many twentieths? What happened to the 5, times what? So what happens to the 4?” Say ‘times’, not ‘do the same’: adding is doing too. If the numerator stays, cut the rectangle.",
            "What was the denominator multiplied by?",
            "multiplying and equal fractions", n => ($"{n % 8 + 2} times which number is {3 * (n % 8 + 2)}?", "3"), n =>
                ($"1/{n % 5 + 2} = ?/{4 * (n % 5 + 2)}", "4"), n => ($"Is {n % 7 + 2}/{n % 7 + 4} as much as {2 * (n % 7 + 2)}/{2 * (n % 7 + 4)}?", "yes")),
        Of(Ideas.CommonDenominator, "Both denominators go into the common one.",
            "Only what is a multiple of both can be reached by cutting the parts of both. Their product always works; the least one keeps the numbers small.",
            "Two lists of multiples side by side; the first number that stands in both is ringed.",
            "“Write the multiples of both denominators. {fractions?Which is the first that stands in both?|Multiply the two: does each of them go in?}” If a number is taken into which one of them "
                + "does not go, try to cut the strip: what is left over?",
            "Do both go into it?",
            "multiples", n => ($"Say the first four multiples of {n % 7 + 3}.", $"{n % 7 + 3}, {2 * (n % 7 + 3)}, {3 * (n % 7 + 3)}, {4 * (n % 7 + 3)}"), n =>
                ($"Does {n % 7 + 3} go into {5 * (n % 7 + 3) + 1}?", "no"), n => ("Which is the first number that both 4 and 6 go into?", "12")),
        Of(Ideas.DividingBothParts, "I divide both by the same number until only 1 divides both. The amount stays.",
            "Putting parts together in equal groups makes fewer, larger parts: above and below are divided alike.",
            "Counters for the parts, put together in equal groups: 9 of 15 as 3 groups of 5.",
            "“Which number goes into both? Divide both. Does another one go into both now?” If halving is all that is tried, ask for 3 and 5. It is no wrong answer, it is one that goes on.",
            "Which number goes into both?",
            "dividing", n => ($"Which number other than 1 goes into both {2 * (n % 8 + 2)} and {2 * (n % 8 + 2) + 2}?", "2"), n =>
                ($"{3 * (n % 8 + 2)} shared by 3 is how much?", $"{n % 8 + 2}"), n => ($"Does 3 go into {3 * n + 1}?", "no")),
        Of(Ideas.WholesInAFraction, "As many parts as the denominator says are one whole. The rest stays parts.",
            "As many parts as the denominator says fill a whole; what fills none is left as parts.",
            "Loose parts that are put into frames for a whole until no frame can be filled.",
            "“How many parts fill one whole? How many wholes can you fill, and what is left, of which size?” If wholes or the rest get lost, count all parts again.",
            "How many parts are one whole?",
            "sharing with a rest", n => ($"How many times does {n % 7 + 3} go into {n % 7 + 5}, and what is left?", "once, 2 left"), n =>
                ($"{2 * (n % 7 + 3) + 1} shared by {n % 7 + 3}: how many, and what is left?", "2, 1 left"), n => ("How many quarters are in 2?", "8")),
        Of(Ideas.NoPartsIsZeroParts, "A whole number has 0 of every part.",
            "No parts lie beside the wholes yet, so what is taken has to come from a whole that is opened.",
            "A mat with two fields, wholes and parts. The number is laid down; the field of the parts stays empty, and 0 is written in it.",
            "“Write this whole number with quarters. How many lie there? So where can 3 quarters come from?” If the fraction is copied, lay it: where was it before?",
            "How many parts lie there?",
            "wholes in parts", n => ($"How many quarters lie beside the wholes in {n % 9 + 1}?", "0"), n => ($"How many quarters are in 1?", "4"), n => ($"{n % 9 + 1} = {n % 9 + 1} and ?/5", "0")),
        Of(Ideas.MixedIsASum, "Each whole is so many parts; then I add the parts that are there.",
            "Every whole is cut into its parts and counted, and the parts that are there are counted to them. Nothing else lies there.",
            "Bars: the wholes cut into parts, laid in a row with the parts that are there; all are counted.",
            "“How many parts are in one whole? In all of them? And the parts that were there?” If something is added or multiplied that should not be, count the bars in steps.",
            "How many parts are in one whole?",
            "counting in steps", n => ($"How many fifths are in {n % 8 + 2}?", $"{5 * (n % 8 + 2)}"), n => ($"{n % 8 + 2} × 4 + 3 = ?", $"{4 * (n % 8 + 2) + 3}"), n => ("How many thirds are in 1?", "3")),
        Of(Ideas.WholesCountToo, "Wholes with wholes, parts with parts, and none is left out.",
            "A mixed number is two amounts side by side: cutting the parts finer changes the parts and leaves the wholes alone.",
            "A mat with two fields, wholes and parts; each number is laid in both before anything is written.",
            "“{mixed-numbers?Make all of it parts first: are the wholes in it?|Which wholes are there? Which parts? What became of each?}” If wholes get lost or are changed with the parts, lay both "
                + "numbers again.",
            "Which wholes are there?",
            "wholes and parts", n => ($"How many wholes has {n % 9 + 1} 3/4?", $"{n % 9 + 1}"), n => ($"Is {n % 9 + 1} 1/2 the same as {n % 9 + 1} 2/4?", "yes"), n =>
                ($"{n / 10} and {n % 10} 1/3 more: how much is it?", $"{n / 10 + n % 10} 1/3")),
        Of(Ideas.FromTheFirstNumber, "What goes is taken from the first number. If its parts are not enough, I open a whole.",
            "The first number is the larger one, so it can be done: one of its wholes is opened for it.",
            "Bars for the first number only. What goes is taken off them.",
            "“Can 3 quarters go from 5 1/4? From the quarter alone? So what is opened?” If the smaller part is taken from the larger, ask whose part it is.",
            "Are the parts enough?",
            "comparing parts", n => ($"Can 3/5 go from 1/5 alone?", "no"), n => ($"Can 3/5 go from {n % 9 + 1} 1/5?", "yes"), n => ("Which is more, 5/8 or 7/8?", "7/8")),
        Of(Ideas.WholeIsAllParts, "One whole is as many parts as the number below says. I only write it another way.",
            "A whole opened into fifths gives five of them, opened into eighths eight: ten only where the parts are tenths.",
            "Bars: the last whole bar is cut up on the spot, and its parts are counted into the others.",
            "“Enough? No. Into how many parts is the whole cut? So how many are there now, with those that were there?” If ten come, or one, cut the bar.",
            "How many parts are in the whole?",
            "wholes as parts", n => ($"How many {(n % 2 == 0 ? "fifths" : "eighths")} are in 1?", n % 2 == 0 ? "5" : "8"), n =>
                ($"1 and 2/7 together are how many sevenths?", "9"), n => ($"How many sixths are in {n % 4 + 2}?", $"{6 * (n % 4 + 2)}")),
        Of(Ideas.OpenedWholeIsGone, "The whole I opened is no longer among the wholes.",
            "It was changed for parts: it lies on the other side now, and one fewer is left.",
            "A mat with two fields: the bar is moved over by hand, and only then cut. The wholes are counted again.",
            "“How many wholes lie there now? Show me the one that you opened.” If the number of wholes stays, put the bar back and count what would be there.",
            "How many wholes are left?",
            "one less", n => ($"{n % 8 + 2} bars lie there and one is taken. How many lie there now?", $"{n % 8 + 1}"), n =>
                ($"{n % 8 + 2} 1/5 = {n % 8 + 1} and ?/5", "6"), n => ("3 1/4 = 2 and ?/4", "5")),
        Of(Ideas.FullPartsAreAWhole, "When the parts make a whole, it goes to the wholes.",
            "Seven fifths fill a whole and two fifths are left: the full one is counted with the wholes.",
            "A mat with two fields: as soon as the parts fill a bar, the bar is moved over.",
            "“Do the parts fill a whole? How many does it take? Where does it go, and what stays?” If ten are waited for, ask how many fill the bar.",
            "Do the parts fill a whole?",
            "a whole of parts", n => ("How many sixths make a whole?", "6"), n => ($"8/5 are one whole and ?/5", "3"), n => ($"{n % 8 + 2} wholes and one more from the parts are how many?", $"{n % 8 + 3}")),
        Of(Ideas.SecondFromFirst, "What stands behind the minus is taken from what stands before it.",
            "Turned round it is another question: one way something is left, the other way something is missing.",
            "Two cards with the numbers and one with the minus: the student says aloud what is taken from what before anything is written.",
            "“What is taken? From what?” If they are turned round, do both with small numbers and compare.",
            "What is taken from what?",
            "which is taken away", n => ($"Is {n / 10} − {n / 10 + 3} the same as {n / 10 + 3} − {n / 10}?", "no"), n => ($"{n} − {n % 10} = ?", $"{n - n % 10}"), n =>
                ($"“{n % 10} less than {n}” is which number?", $"{n - n % 10}")),
        Of(Ideas.SameSignsGoOn, "Same signs go on the same way: I add how much, and the sign stays.",
            "Two debts make a larger debt: down and then down again is further down.",
            "A number line with zero in the middle and two arrows, one after the other.",
            "“Which way does the first go? And the second, the same way or back? So where do we come to?” If the answer turns positive, or smaller, walk both arrows.",
            "Do both go the same way?",
            "walking below zero", n => ($"You owe {n % 9 + 1} and then owe 3 more. How much do you owe?", $"{n % 9 + 4}"), n =>
                ($"From −{n % 9 + 1}, 2 further down: where are you?", $"−{n % 9 + 3}"), n => ($"From 0, {n % 9 + 1} up: where are you?", $"{n % 9 + 1}")),
        Of(Ideas.ReadTheSign, "I read first what stands between the two fractions.",
            "Fractions are added over one denominator, and multiplied without one: what is done depends on the sign alone.",
            "Cards with the signs: the student lays one between the fractions, says what it asks, and only then writes.",
            "“What stands between them? Will it be more than the first, or less?” If another sign is worked, compare the answer with the first fraction.", "What does the sign ask?",
            "more or less", n => ("1/2 and 1/4 more: more or less than 1/2?", "more"), n => ("3/4, and 1/4 of it goes: more or less than 3/4?", "less"), n =>
                ($"Half of {2 * n} is how much?", $"{n}"))
            with { OnlyIn = FamilyList.Fractions },
    ];
}
