using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of square roots are taught.</summary>
internal static class RootScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.RootUndoesSquare, "The root is the side of a square with that area.",
            "The area of a square is its side times itself: the root asks for the side, not for a half.",
            "Squares drawn on squared paper, their area counted; something square from the room with its area said.",
            "“Is 18 the side when the area is 36? How much is 18 times 18?” If it is halved, draw the square. No table before a square was drawn.", "Which square has this area?",
            "areas of squares", n => ($"A square has the side {n % 8 + 2}. How large is its area?", $"{(n % 8 + 2) * (n % 8 + 2)}"), n => ("7 × 7 = ?", "49"), n => ($"Is 8 × 8 the same as 8 + 8?", "no")),
        Of(Ideas.BetweenNeighbours, "The next square below, and the next above.",
            "Every number lies between two squares that follow each other; squares further away are true and too wide.",
            "A line of squares, known a little further each week.",
            "“Which is the last square that is not more than it? Which comes next?” If they are not neighbours, ask which squares stand between. Do not give the squares.", "Which two squares are beside it?",
            "square numbers", n => ($"{n % 8 + 2} × {n % 8 + 2} = ?", $"{(n % 8 + 2) * (n % 8 + 2)}"), n => ("Which square comes after 49?", "64"), n => ($"{n % 5 + 11} × {n % 5 + 11} = ?", $"{(n % 5 + 11) * (n % 5 + 11)}")),
        Of(Ideas.PartOfTheWay, "I count how many of how many steps.",
            "On the way from one square to the next the root goes up by one: so many of all those steps are that part of one, and not so many tenths.",
            "A number line with the squares written above it and the roots below.",
            "“From the lower square to the upper one: how many steps? How many of them to our number?” If the steps are put behind the point, ask whether there are ten of them.", "How many steps are there in all?",
            "parts as decimals", n => ("3 of 10 steps are which decimal?", "0.3"), n => ($"From {(n % 7 + 2) * (n % 7 + 2)} to {(n % 7 + 3) * (n % 7 + 3)} are how many steps?", $"{2 * (n % 7 + 2) + 1}"), n =>
                ("Is 6 of 17 more or less than a half?", "less")),
        Of(Ideas.FromTheLowerRoot, "I start at the lower root and go up.",
            "The steps were counted from the lower square, so what they come to is added to the lower root.",
            "A number line with squares above and roots below; the finger goes from the lower end to the number.",
            "“Is the number nearer to the lower or to the upper square? Does your answer say so?” If it is counted from the other end, put the finger on the start.", "From which end do I count?",
            "nearer to which", n => ("Is 60 nearer to 49 or to 64?", "64"), n => ("Is 7.7 nearer to 7 or to 8?", "8"), n => ($"Is {n % 7 + 2}.2 nearer to {n % 7 + 2} or to {n % 7 + 3}?", $"{n % 7 + 2}")),
        Of(Ideas.SquareTheGuess, "Too much or too little? Then the neighbour too, and the nearer one stays.",
            "Only its square says whether a guess is right; of two neighbours the one whose square is nearer is kept.",
            "Two guesses side by side with their squares and the distances written under them.",
            "“6.4² is 40.96: what does that tell you about 40? Which is the next guess? Which is nearer?” {roots?This student goes along a straight line: the square is the check.|No guess is kept without its "
                + "square.}",
            "What is the square of the guess?",
            "squares of decimals", n => ("0.5 × 0.5 = ?", "0.25"), n => ("1.2 × 1.2 = ?", "1.44"), n => ("Is 40.96 more or less than 40?", "more")),
        Of(Ideas.RoundedOnce, "The next digit decides, once.",
            "Five or more goes up because it is nearer to the next one; rounding what was rounded can go the wrong way.",
            "A number line with the two tenths and the hundredths between them.",
            "“Which digit is kept? Which one decides? Up or not?” If it is cut off, show on the line which tenth is nearer. Ten minutes, no more.", "Which digit decides?",
            "nearest tenth", n => ($"Is {n / 10}.36 nearer to {n / 10}.3 or to {n / 10}.4?", $"{n / 10}.4"), n => ($"Is {n / 10}.32 nearer to {n / 10}.3 or to {n / 10}.4?", $"{n / 10}.3"), n => ("Which digit of 5.37 is the hundredths?", "7")),
    ];
}
