using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of linear equations are taught.</summary>
internal static class EquationScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.LettersAndNumbersApart, "3x and 4 are different: I cannot make 7x.",
            "The letter is one number, not known yet; three of it and four ones stay side by side until it is known.",
            "Bars: three long ones and a piece of four, laid end to end. Nothing on the table is seven long.",
            "“With 5 for the letter, how much is 3x + 4? And 7x? Is it the same?” If they are joined, lay the bars.", "Which are letters, which are numbers?",
            "putting a number for a letter", n => ($"With 5 for x, how much is {n % 8 + 2}x?", $"{5 * (n % 8 + 2)}"), n => ($"With 5 for x, how much is 2x + {n % 8 + 2}?", $"{12 + n % 8}"), n =>
                ("With 5 for x, is 2x + 3 the same as 5x?", "no")),
        Of(Ideas.SameOnBothSides, "What I do, I do to both sides, and I choose what takes it away.",
            "Both sides are the same amount; it stays so only when the same is taken from both or added to both.",
            "Two bars of one length: above, the pieces with the letter and the number; below, the other side. The same piece is cut off both.",
            "“What has to go from the side of the letter? What takes it away? {equation-moves?Write it under both sides.|Write it on the other side, with its other sign, and say why.}” Then put the answer in: does it come "
                + "out? If a number only disappears, look at the two bars.",
            "What is done to both sides?",
            "what takes it away", n => ($"What takes away + {n % 9 + 1}?", $"− {n % 9 + 1}"), n => ($"What takes away − {n % 9 + 1}?", $"+ {n % 9 + 1}"), n =>
                ($"Two purses hold the same. {n % 9 + 1} goes from both. Do they still hold the same?", "yes")),
        Of(Ideas.LastDoneFirstUndone, "What was done last is undone first.",
            "What came last goes first, as shoes come off before socks. If it is divided first, every term is divided, the number beside it too.",
            "Arrows from the letter to the number, and the same way back under them.",
            "“What was done to the letter, in order? So what is undone first?” If it is divided first and a term is forgotten, do it with the number that comes out.", "What was done last?",
            "there and back", n => ($"A number times 2 and then plus {n % 9 + 1}: what is undone first?", $"the plus {n % 9 + 1}"), n =>
                ($"I think of a number, add {n % 9 + 1}, and have {n % 9 + 11}. Which was it?", "10"), n => ($"I think of a number, double it, and have {2 * n}. Which was it?", $"{n}")),
        Of(Ideas.DividingUndoesTimes, "The number before the letter multiplies it: I divide by it, with its sign.",
            "The number before the letter says how many of it there are; one of it is all of them divided by how many.",
            "A bar of six equal pieces over a bar of the number; one piece is measured on it.",
            "“6x = 3: is the number more or less than 1? What is divided by what?” If it is turned over or its sign is lost, put the answer in.", "What is divided by what?",
            "dividing", n => ($"{3 * (n % 8 + 2)} ÷ 3 = ?", $"{n % 8 + 2}"), n => ($"{4 * (n % 8 + 2)} ÷ (−4) = ?", $"−{n % 8 + 2}"), n => ("Is 3 ÷ 6 more or less than 1?", "less")),
        Of(Ideas.LettersFromBothSides, "I take the same number of the letter from both sides.",
            "The letter is the same number on both sides: two bags here and two bags there can go without changing what is left to compare.",
            "Bars with equal pieces on both sides, crossed off in pairs.",
            "“Two bags lie on both sides. What may go? What is left on each?” If they are put together over the sign, ask which side they lay on.", "What is taken from both sides?",
            "counting the letter", n => ($"{n % 8 + 4}x − 2x = ?", $"{n % 8 + 2}x"), n => ("2x − 5x = ?", "−3x"), n => ($"{n % 8 + 2} bags here and 2 bags there, all alike: how many may go from both?", "2")),
        Of(Ideas.FalseOrAlwaysTrue, "No letter left: is what stands there true? Then every number; else none.",
            "What is left says the same as the first line: if it is false, no number makes it true, and if it is true, each one does.",
            "The equation with three numbers put in, one after the other, and what comes out written beside it.",
            "“No letter is left. Is what stands there true or false? Put in 1 and 5: what do you find?” If the letter becomes 0, put in 0 and look.", "Is what stands there true?",
            "true and false", n => ($"Is {n} = {n} + 2 true?", "no"), n => ($"Is {n} + 2 = {n} + 2 true?", "yes"), n => ($"For which x is x + {n % 9 + 1} = x + {n % 9 + 1}?", "every number")),
    ];
}
