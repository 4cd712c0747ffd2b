using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of factoring are taught.</summary>
internal static class FactoringScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.CommonToAll, "What all terms have goes in front and stays there.",
            "Taken out of every term, it still belongs to the whole: multiplied out, the first line must come back.",
            "The terms on cards, each written as a product; what stands on all of them is taken off and laid in front.",
            "“What do all the terms have? Take it out of each. Where is it now?” If it gets lost, multiply out: is the first line there? Dividing it away is for equations only.", "What do all of them have?",
            "common factors", n => ($"Which is the largest number that goes into {2 * (n % 8 + 2)} and {4 * (n % 8 + 2)}?", $"{2 * (n % 8 + 2)}"), n => ("6 × ? = 18", "3"), n =>
                ($"2(x + {n % 8 + 2}) = 2x + ?", $"{2 * (n % 8 + 2)}")),
        Of(Ideas.SumAndProduct, "Two conditions: the product and the sum.",
            "Multiplied out, the two numbers make the last one; put together they make the one in the middle. A pair that fits one of them gives another line.",
            "A table pair, product, sum: every pair of the product is written, in order, before one is taken.",
            "“{factoring?Which pairs make the number above the X? Write all of them. Which of them makes the one below?|Write all pairs. Try each: which middle comes out?|What is half of the middle "
                + "number? How far from it do both lie?}” If the first pair is taken, multiply out and compare the middle.",
            "Do product and sum both fit?",
            "pairs of factors", n => ("Which pairs of whole numbers make 12?", "1 · 12, 2 · 6, 3 · 4"), n => ("Which two numbers make 24 multiplied and 11 added?", "3 and 8"), n =>
                ($"{n % 8 + 2} × 3 = ?", $"{3 * (n % 8 + 2)}")),
        Of(Ideas.SignsOfTheTwo, "Last plus: both as the middle. Last minus: different, and the larger as the middle.",
            "Only same signs multiply to plus; of two different ones the larger decides what is left of the sum.",
            "The table pair, product, sum with signs, every pair both ways round; a number line for the sums.",
            "“Which pair makes −15 and +2? Which −15 and −2?” If signs are copied from the line or turned round, put both pairs into the table and add.", "Which signs do the two have?",
            "products and sums with signs", n => ($"−{n % 7 + 3} × 2 = ?", $"−{2 * (n % 7 + 3)}"), n => ($"−{n % 7 + 3} + 2 = ?", $"−{n % 7 + 1}"), n => ($"−{n % 7 + 3} × (−2) = ?", $"{2 * (n % 7 + 3)}")),
        Of(Ideas.FirstNumberIsShared, "The number before the square comes from the first terms of both brackets.",
            "The first term is made by the two first terms of the brackets: with no number before either, the bare square comes out.",
            "{factoring?A box with the first term in one corner and the last in the other, its edges found row by row|A list of where the factors can stand, not only of pairs|The number taken out "
                + "first, and given back to the bracket that has the fraction}.",
            "“Multiply your brackets out. What is the first term? Where is the number?” If it is left out, or put into both, multiply the first terms only.", "What do the first terms make?",
            "multiplying first terms", n => ($"{n % 8 + 2}x · x = ?", $"{n % 8 + 2}x²"), n => ("2x · 3x = ?", "6x²"), n => ("Which pairs of whole numbers make 6?", "1 · 6, 2 · 3")),
        Of(Ideas.CellIsItsEdges, "Each cell is its edge at the side times its edge at the top, with the sign.",
            "The box is a product table: an edge with a wrong sign makes a wrong cell at once.",
            "The box, filled from the line; each edge is found from one cell and tried on the other.",
            "“Check all four cells: edge times edge. Which one is not right?” If a sign is missing, say the cell that would stand there.", "Do all four cells fit?",
            "products with signs", n => ($"−{n % 8 + 2} × 3 = ?", $"−{3 * (n % 8 + 2)}"), n => ($"? × 3 = −{3 * (n % 8 + 2)}", $"−{n % 8 + 2}"), n => ($"x × (−{n % 8 + 2}) = ?", $"−{n % 8 + 2}x")),
        Of(Ideas.RootsOfBothSquares, "Root and root, once plus, once minus.",
            "Multiplied out the middle terms are opposite and vanish; the squares are left, one taken from the other.",
            "A square with a small square cut off at a corner, cut once and laid as a rectangle.",
            "“Which square is the first? Which the second? Their roots? Multiply out: does the first line come back?” If a number is not rooted, square it again.", "Which are the two roots?",
            "square numbers", n => ($"The root of {(n % 8 + 2) * (n % 8 + 2)} is?", $"{n % 8 + 2}"), n => ("Which is the root of 9x²?", "3x"), n =>
                ($"({n % 8 + 2} + 1)({n % 8 + 2} − 1) = ?", $"{(n % 8 + 2) * (n % 8 + 2) - 1}")),
        Of(Ideas.HalfWayBetween, "Two numbers lie equally far from half of their sum.",
            "One is so much more than the middle as the other is less: their product is the square of the middle less the square of the gap.",
            "A number line with the half marked and two arrows of one length, one each way.",
            "“The sum is 20, the product 91: 10 less something and 10 more. Its square is 100 less 91. So how far?” If it is not rooted, or taken on one side only, put both numbers on the line and add.",
            "What is half of the sum, and how far do both lie from it?",
            "halves and squares", n => ($"Half of {2 * (n % 8 + 2)} is?", $"{n % 8 + 2}"), n => ("10 × 10 − 91 = ?", "9"), n =>
                ($"Which two numbers lie 3 away from {n % 8 + 5}?", $"{n % 8 + 2} and {n % 8 + 8}")),
        Of(Ideas.NoneIsAnAnswer, "I have all pairs, and none fits: only then it cannot be done.",
            "The list of pairs ends; when every one of them was tried, nobody can find another.",
            "The whole table pair, product, sum, to the last row.",
            "“Show me the whole list. Is there one that you have not tried?” If it is said too early, write the next pair. If none fits, that is the answer.", "Is the list whole?",
            "lists of pairs", n => ("Which pairs of whole numbers make 8?", "1 · 8, 2 · 4"), n => ("Do any two whole numbers make 8 multiplied and 5 added?", "no"), n => ("Which two make 6 multiplied and 5 added?", "2 and 3")),
    ];
}
