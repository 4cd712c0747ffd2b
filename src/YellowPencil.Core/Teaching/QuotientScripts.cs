using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of long division are taught.</summary>
internal static class QuotientScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.HowOften, "I ask how often the divisor can be taken away.",
            "Dividing takes the same number away again and again until it no longer can be.",
            "Counters: groups of the divisor are taken away and counted.",
            "“{quotient-digit?Which fact is near: how many times the divisor|Count up by the divisor: how many counts until the next would be too much|Look "
                + "down the list of multiples: which is the last that fits}? So how many groups went?” If only one is taken, look at what is "
                + "left.", "Can another group go?",
            "taking groups away", n =>
                ($"How often can 5 be taken from {5 * (n / 10) + 2}?", $"{n / 10}"), n =>
                    ($"How many groups of 2 are in {2 * (n % 9 + 1)}?", $"{n % 9 + 1}"), n => ("How often can 4 be taken from 13?", "3")),
        Of(Ideas.DividendIsShared, "The first number is shared out by the second.",
            "What is there is shared by those who get; the two numbers cannot change places where a digit is small.",
            "Counters for the first number, cups for the second.",
            "“How many are there? Between how many are they shared?” If they change places, fill the cups.", "Which number is shared out?",
            "which number is shared", n =>
                ($"{n} pegs are shared by 4. Which number is shared out?", $"{n}"), n =>
                    ($"Is 2 ÷ 8 the same as 8 ÷ 2?", "no"), n => ($"Is {n % 9} enough to give each of 9 one?", "no")),
        Of(Ideas.LargestPlaceFirst, "I divide the largest place first.",
            "What is left there goes on into the smaller places; from the other end nothing can be passed on.",
            "Base-ten blocks: hundreds are shared first, and what is left is changed for tens.",
            "“Which is the largest place? Share it. What is left, and into what is it changed?”", "Which place comes first, and why?",
            "naming places from the left", n =>
                ($"Which place of {100 + n} is the largest?", "hundreds"), n =>
                    ($"{Place.Counted(n / 10, 1)} are how many ones?", $"{n / 10 * 10}"), n =>
                        ($"Say the places of {100 + n} from the largest.", "hundreds, tens, ones")),
        Of(Ideas.ProductFits, "The product must fit into what I have.",
            "More cannot be taken away than is there; then the digit was too large.",
            "{quotient-digit?The multiples of the divisor as a ladder, to test the fact on: the last rung that is not above the number.|The multiples of "
                + "the divisor as a ladder, counted up rung by rung; one rung back when it is too high.|The list of multiples of the divisor, written down "
                + "before the first digit: the last one that is not above the number.}",
            "“{quotient-digit?Which fact did you take? Is its product too high?” If it is too high, take the fact one smaller.|Count on. Is this one too "
                + "high already?” If it is too high, step back one count.|Which multiple did you take? Is it too high?” If it is too high, take the one "
                + "above it in the list.}", "Is the product too much?",
            "multiples of a number", n =>
                ($"Is 3 × 24 more than {n}?", 72 > n ? "yes" : "no"), n =>
                    ($"Say the first three multiples of {n % 9 + 2}.", $"{n % 9 + 2}, {2 * (n % 9 + 2)}, {3 * (n % 9 + 2)}"), n =>
                        ($"The largest multiple of 10 that is not above {n}?", $"{n / 10 * 10}")),
        Of(Ideas.WholeDivisor, "I divide by the whole divisor; rounding only helps me guess.",
            "With a part of the divisor it fits too often; the guess is tested with all of it.",
            "The multiples of the whole divisor as a ladder, beside the guess.",
            "“Guess with the first digit. Now test: the whole divisor times this. Does it fit?”", "Which number do we test with?",
            "rounding to guess", n =>
                ($"{n} is near to which ten below it?", $"{n / 10 * 10}"), n =>
                    ($"3 × {n} is how much more than 3 × {n / 10 * 10}?", $"{3 * (n % 10)}"), n => ("Does 3 × 29 fit into 80?", "no")),
        Of(Ideas.RestLessThanDivisor, "What is left must be less than the divisor.",
            "If as much as the divisor is left, it can be taken away once more.",
            "The ladder of multiples: look for a rung between the product and the number.",
            "“What is left? Is it less than the divisor?” If not, {quotient-digit?the fact one larger|one count more|the next multiple of the "
                + "list}.", "Is it less than the divisor?",
            "comparing numbers", n =>
                ($"Is {n % 10} less than 7?", n % 10 < 7 ? "yes" : "no"), n =>
                    ($"17 are shared by 5, each gets 2, and 7 are left. Can each get one more?", "yes"), n =>
                        ($"{n} are shared by 10. How many are left?", $"{n % 10}")),
        Of(Ideas.RestStays, "What is left goes on: I change it and share it with the next digit.",
            "Two hundreds that could not be shared are twenty tens; left out, they are missing from the answer.",
            "Base-ten blocks: what is left is changed for ten of the next place, and laid to the ones that are there.",
            "“What is left? What is it in the next place? Which digit joins it?” If it is dropped, count the blocks on the table.", "What is divided now?",
            "changing into the next place", n =>
                ($"{Place.Counted(n / 10, 1)} and {Place.Counted(n % 10, 0)} are how many ones?", $"{n}"), n =>
                    ($"2 hundreds are how many tens?", "20"), n => ($"2 tens are left and a {n % 10} comes down: which number is it?", $"2{n % 10}")),
        Of(Ideas.EveryDigitBroughtDownCounts, "Each digit I bring down gives a digit on top, also a 0.",
            "Each digit that comes down is shared too and has its own place on top; where each one gets none of it, a zero says so.",
            "A place-value mat for the quotient, a square over each digit that is brought down.",
            "“This digit came down. How often does it go? Not once: what do we write? {zero-cycle?Then the next digit comes down.|And times the divisor, and what is left?}” If nothing is written, read the places of the "
                + "quotient.", "Which digit stands over this one?",
            "numbers with an empty place", n =>
                ($"Write {Place.Counted(n / 10, 2)} and {Place.Counted(n % 10, 0)}.", $"{n / 10}0{n % 10}"), n =>
                    ("How often does 8 go into 5?", "0 times"), n => ("6 tens are shared by 8. How many whole tens does each get?", "0")),
        Of(Ideas.RemainderBelongs, "What is left over belongs to the answer.",
            "Quotient times divisor and what is left are together the number that was shared.",
            "Counters and cups: what lies beside the cups is part of what was there.",
            "“Are all shared? What lies beside? Where do we write it?” If it is left out, multiply back.", "What is left over?",
            "sharing with some left over", n =>
                ($"{n} pegs in tens: how many are left over?", $"{n % 10}"), n =>
                    ($"{n} pegs in tens: how many tens?", $"{n / 10}"), n => ("13 shared by 4: how many are left over?", "1")),
        Of(Ideas.RemainderIsOfDivisor, "What is left is so many parts of the divisor.",
            "What is left over is shared too: each gets parts of the size that the divisor says, not tenths.",
            "Paper strips: what is left is cut into as many parts as share it.",
            "“How many are left? By how many are they shared? So which part does each get?” If the point and the remainder are put together, cut the "
                + "strip.", "Parts of what?",
            "parts of a whole", n =>
                ("1 strip is shared by 4. Which part does each get?", "1/4"), n =>
                    ("2 strips are shared by 4. How much does each get?", "2/4, a half"), n => ($"Is 1/4 the same as 0.4?", "no")),
        Of(Ideas.LowestTerms, "My fraction is finished when no number but 1 divides both its parts.",
            "The amount stays the same; with smaller numbers it is read more easily.",
            "Paper strips laid beside each other: 2/4 and 1/2.",
            "“Which number divides both? Divide both. Is there another one?”", "Does a number divide both?",
            "numbers that divide two others", n =>
                ("Which number divides 6 and 8?", "2"), n =>
                    ("2/4 is the same as which fraction with a 1 on top?", "1/2"), n => ("Which number divides 9 and 12?", "3")),
    ];
}
