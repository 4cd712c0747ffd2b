using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of sums and products of terms are taught.</summary>
internal static class TermScripts
{
    private static IEnumerable<Family> WithLetters => [FamilyList.Polynomials, FamilyList.Expanding, FamilyList.Factoring, FamilyList.Equations];

    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.LetterIsOne, "A letter alone is one of it.",
            "x stands for a number; x and three more of it are four of that number, whichever it is.",
            "Long tiles for the letter, small ones for ones: x is one long tile on the table.",
            "“How many long tiles lie there for x? And with three more?” Put 10 for the letter and look: 10 + 30.", "How many of the letter are there?",
            "counting equal things", n => ($"How many x are x + {n % 8 + 2}x?", $"{n % 8 + 3}"), n => ($"With 10 for x, how much is x + {n % 8 + 2}?", $"{n % 8 + 12}"), n => ("Is 1 times x the same as x?", "yes")),
        Of(Ideas.OnlyLikeTerms, "3x is three times a number, and 4 is 4: I cannot say how many together.",
            "The letter is a number that is not known yet: so many of it and so many ones are not so many of one thing.",
            "Long tiles for the letter, small ones for ones, squares for its square: only tiles of one shape are put on one pile.",
            "“With 10 for the letter, how much is 3x + 4? And 7x? So is it the same?” If they are joined, lay the tiles: which shape would the answer have?",
            "Which terms are of one kind?",
            "putting a number for a letter", n => ($"With 10 for x, how much is {n % 8 + 2}x?", $"{10 * (n % 8 + 2)}"), n =>
                ($"With 10 for x, is {n % 8 + 2}x + 1 the same as {n % 8 + 3}x?", "no"), n => ($"{n % 8 + 2}x + 3x = ?", $"{n % 8 + 5}x")),
        Of(Ideas.CountingKeepsThePower, "Three squares and four squares are seven squares.",
            "Counting says how many there are; what they are, squares of x, does not change by it.",
            "Square tiles for the square of the letter, counted into one pile.",
            "“With 2 for the letter: how much is 3x² + 4x²? And 7x⁴? Which is the same?” If the powers are added, lay the tiles and count.",
            "What is counted here?",
            "squares of small numbers", n => ($"{n % 8 + 2} × {n % 8 + 2} = ?", $"{(n % 8 + 2) * (n % 8 + 2)}"), n => ("With 2 for x, how much is 3x²?", "12"), n =>
                ($"{n % 8 + 2} square tiles and 4 square tiles are how many?", $"{n % 8 + 6}")),
        Of(Ideas.EveryTermIsKept, "A term without a partner is kept.",
            "It was there in the first line and nothing has taken it away, so it is there in the last.",
            "The first line on cards, one term each, with its sign; each card is laid to its like or by itself.",
            "“Tick off every term of the first line: where is it in your answer?” If one is missing, look for its card.", "Is every term of the first line there?",
            "counting terms", n => ("How many terms has x² + 3x − 4?", "3"), n => ($"Which term of 5x + {n} has no letter?", $"{n}"), n => ("How many terms has 7x − 2?", "2")),
        Of(Ideas.MinusTurnsAll, "A minus before a bracket takes all of it away, so every sign inside turns.",
            "To take a sum away, both of it are taken away; where the bracket holds less of something, that comes back.",
            "Tiles with two colours, plus on one side and minus on the other: the tiles of the bracket are all turned over.",
            "“20 − (5 + 3): 12 or 18? So what happened to the 3? Turn the tiles of this bracket, one by one, and write the line without the bracket.” Then put 1 for the letter in both lines. Never ‘two "
                + "minuses make plus’.",
            "Has every sign of the bracket been turned?",
            "taking away a sum", n => ($"{n} − (5 + 3) = ?", $"{n - 8}"), n => ($"{n} − (5 − 3) = ?", $"{n - 2}"), n => ("Which is the opposite of −4?", "4")),
        Of(Ideas.NoSignMeansTimes, "A sign between the brackets: I count together. No sign: I multiply.",
            "With a sign between them two amounts are put together; with none they are the two sides of an area.",
            "Six cards with two brackets each, some with a sign between them: sorted into two piles, nothing is worked.",
            "“What stands between the brackets? So what is asked?” If the wrong one is worked, put 1 for the letter in the task and in the answer.", "What stands between the brackets?",
            "sums and products", n => ($"{n % 9 + 1} + 3: put together or multiplied?", "put together"), n => ("What is asked by 3(4)?", "3 times 4, 12"), n =>
                ($"Is 2 + {n % 7 + 3} the same as 2 × {n % 7 + 3}?", "no")),
        Of(Ideas.FactorReachesAll, "The number before a bracket reaches every term in it.",
            "Each bag holds all of the bracket: every term is there as often as there are bags.",
            "Three bags, each with a long tile and small ones, emptied on the table and counted.",
            "“With 2 for the letter, how much is 3(x + 4)? And 3x + 4? So what is missing?” If only one of them is multiplied, empty the bags.",
            "Has it met every term?",
            "so many groups", n => ($"3 bags with {n % 9 + 1} red and 4 blue pegs each: how many blue pegs?", "12"), n => ($"{n % 8 + 2} × (10 + 1) = ?", $"{11 * (n % 8 + 2)}"), n =>
                ($"2 × ({n % 8 + 2} + 5) = ?", $"{2 * (n % 8 + 2) + 10}")),
        Of(Ideas.TermBringsItsSign, "A term brings its sign along.",
            "A difference is a number and an opposite put together: a minus that stays behind makes another number of it.",
            "Cards cut out with their signs; {binomials?four of them are laid round the box|an arrow is drawn from each to each}.",
            "“Which cards stand in this bracket? Say each with its sign. Where does it go?” If a sign is missing, put the card back into the bracket and look.", "With which sign does it go?",
            "numbers with signs", n => ($"Which two numbers stand in 4 − {n % 9 + 1}, each with its sign?", $"4 and −{n % 9 + 1}"), n =>
                ($"Which sign has the {n % 9 + 1} in x − {n % 9 + 1}?", "minus"), n => ($"Which sign has the {n % 9 + 1} in x + {n % 9 + 1}?", "plus")),
        Of(Ideas.NumbersTimesPowersPlus, "Numbers times numbers, and x times x is a square of x.",
            "Such a product is a rectangle, so many of the letter long and so many wide: squares of the letter fill it.",
            "A rectangle 3x by 2x drawn on squared paper and filled with squares of x.",
            "“With 10 for the letter, how much is 3x · 2x? Is it 60 or 600?” If the numbers are added or the letter stays as it was, fill the rectangle.", "What happens to the numbers, what to the letters?",
            "products and squares", n => ($"{n % 8 + 2} × 3 = ?", $"{3 * (n % 8 + 2)}"), n => ("With 10 for x, how much is x · x?", "100"), n =>
                ($"With 10 for x, how much is {n % 8 + 2}x · x?", $"{100 * (n % 8 + 2)}")),
        Of(Ideas.EachTermByEach, "Each term here meets each term there.",
            "A field is as long as both pieces together and as wide as both: it has four parts, and the middle ones belong to it.",
            "{binomials?An area box, to scale, first with numbers, then with the letter|Two brackets with four arrows, each from one term to one of the other}; 12 · 13 as (10 + 2)(10 + 3) first.",
            "“12 · 13 as (10 + 2)(10 + 3): how many pieces are there? Which are missing in 100 + 6?” If only ends are multiplied, count the pieces. Say who meets whom; an order alone ends at three terms.",
            "Which pieces are there?",
            "products by pieces", n => ($"10 × {n % 9 + 11} = ?", $"{10 * (n % 9 + 11)}"), n => ($"12 × {n % 8 + 2} as 10 × {n % 8 + 2} and 2 × {n % 8 + 2}: how much?", $"{12 * (n % 8 + 2)}"), n =>
                ("How many pieces has (10 + 2)(10 + 3)?", "4")),
        Of(Ideas.SquareIsAProduct, "A square is the bracket times itself: I write the bracket twice.",
            "The square of a sum is more than the two squares: what lies between them are the two strips at the sides.",
            "A square cut into four: a large square, a small one and two strips alike.",
            "“13² is 169. 10² + 3² is 109. Where are the 60? Write the bracket twice and multiply.” If the middle is missing or there once, lay the two strips.", "Where are the two strips?",
            "squares", n => ("12 × 12 = ?", "144"), n => ($"Is (3 + {n % 4 + 2})² the same as 9 + {(n % 4 + 2) * (n % 4 + 2)}?", "no"), n => ($"{n % 8 + 2} × {n % 8 + 2} = ?", $"{(n % 8 + 2) * (n % 8 + 2)}")),
        Of(Ideas.OppositesVanish, "One up and one down: nothing of that term is left.",
            "As many steps down as up end where they began: nothing of that term is left.",
            "The two middle terms on cards, laid on each other: equal with equal sign, or opposite.",
            "“What do −6x and 6x come to? And 6x and 6x? Which stand here?” It is collected as always, and nothing is left; it is no rule of its own without a middle.", "What do the middle terms come to?",
            "opposites", n => ($"−{n % 8 + 2} + {n % 8 + 2} = ?", "0"), n => ($"{n % 8 + 2}x + {n % 8 + 2}x = ?", $"{2 * (n % 8 + 2)}x"), n => ("9 steps up and 9 steps down: where are you?", "at the start, 0")),
        .. WithLetters.Select(family => Of(Ideas.WriteWhatWasFound, "I write each term as I found it: sign, number, letter, power.",
            "The work is done when it is found; a sign, a number or a power that is left out makes another term of it.",
            "The answer is said aloud, term by term, before it is written, and read aloud after it.",
            "“Say your answer, term by term. Now read what you wrote. Is it the same?” If it is not, put 2 for the letter in both and compare; rule out sight and paper first.",
            "Is every term written as it was found?",
            "writing terms", n => ($"Write {n % 8 + 2} · x · x with a power.", $"{n % 8 + 2}x²"), n => ($"Is {n % 8 + 2}x² the same as {n % 8 + 2}x?", "no"), n =>
                ($"Which number stands before the letter in {n}x?", $"{n}")) with { OnlyIn = family }),
    ];
}
