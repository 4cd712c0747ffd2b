using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of decimals are taught.</summary>
internal static class DecimalScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.PlacesAfterPoint, "After the point come tenths, then hundredths. I line up the points.",
            "A tenth is ten hundredths: digits may only be counted together where they are of one place.",
            "Place-value mat with a point line; digit cards are laid into their places.",
            "“{decimal-reading?Say the number by its places: so many tenths, so many hundredths|Say the number digit by digit, and the name of each place}. "
                + "Which digit is the tenths? Where do tenths go?” If the right ends are lined up, name the place of each digit.", "Which digit is the tenths?",
            "naming places after the point", n =>
                ($"Which digit of 0.{n} is the tenths?", $"{n / 10}"), n =>
                    ($"Which digit of 3.{n} is the hundredths?", $"{n % 10}"), n => ($"0.{n / 10} is how many hundredths?", $"{n / 10}0")),
        Of(Ideas.SamePlaceUnderSamePlace, "Point under point: ones under ones, tenths under tenths.",
            "A digit is worth what its place says, on both sides of the point; digits of different places cannot be counted together.",
            "Squared paper with the names of the places above the columns and a line drawn down for the points.",
            "“Where is the point of this number? Where does it stand here? Which digit is the tenths?” If the ends are lined up, name the place of each digit, and set it again.",
            "Where do the points stand?",
            "naming places on both sides of the point", n =>
                ($"Which digit of {n / 10}.{n % 10} is the ones?", $"{n / 10}"), n =>
                    ($"Which digit of 0.{n} is the tenths?", $"{n / 10}"), n => ($"Which is more, 0.{n % 8 + 2} or 0.{n % 8 + 1}5?", $"0.{n % 8 + 2}")) with { OnlyIn = FamilyList.DecimalSums },
        Of(Ideas.HiddenPointOfWhole, "A whole number has its point at its right end.",
            "A whole number has no tenths: its ones are ones, with or without a point.",
            "Place-value mat with a point line: a whole number is laid to the left of it.",
            "“Where are the ones of this number? Where is its point?” If it stands under the tenths, write the point.", "Where is the point of this number?",
            "whole numbers and points", n =>
                ($"Write {n} with one zero after the point.", $"{n}.0"), n =>
                    ($"{n} and 5 tenths: write it.", $"{n}.5"), n => ($"Is {n % 9 + 1} the same as 0.{n % 9 + 1}?", "no")),
        Of(Ideas.GapIsZero, "A gap is a zero: I may fill it in.",
            "Where no digit stands there is nothing: a zero behind says the same, and the other number keeps what it has.",
            "Place-value mat: the empty place gets a zero card.",
            "“What has this number of that place? Nothing. So what is left of the other?”", "What stands in the gap?",
            "zeros at the end", n =>
                ($"Is {n % 9 + 1}.5 the same as {n % 9 + 1}.50?", "yes"), n =>
                    ($"How many hundredths stand in the last place of {n / 10}.{n % 10}0?", "0"), n => ($"Write 0.{n % 10} with two places.", $"0.{n % 10}0")),
        Of(Ideas.PointComesDown, "The point comes straight down.",
            "Tenths are counted with tenths, so the tenths of the answer stand under them, and the point before them.",
            "Squared paper with a line drawn down along the points.",
            "“Where is the line of the points? {decimal-point?Write the point of the answer now, before any digit|The digits stand there: where does the "
                + "point go, last of all}.” If it is counted from the end, round both numbers and compare.", "Where does the point go?",
            "about how much it is", n =>
                ($"{n / 10}.9 is nearly which whole number?", $"{n / 10 + 1}"), n =>
                    ($"Is {n / 10}.5 + 1.5 more than 10?", n / 10 + 2 > 10 ? "yes" : "no"), n => ($"How many ones has {n / 10}.{n % 10}?", $"{n / 10}")),
        Of(Ideas.PointIsNoWall, "The point is no wall: ten tenths are one whole.",
            "Places on both sides of the point are neighbours as any others: ten of one are one of the next.",
            "Counters on a mat with a point line: ten tenths are changed for one whole, across the line.",
            "“Ten tenths: what do they make? Where does it go?” If the two sides are worked alone, count the tenths again.", "What are ten tenths?",
            "ten tenths", n =>
                ($"10 tenths and {Place.Counted(n % 10, -1)} are how much?", $"1.{n % 10}"), n =>
                    ("How many tenths are in 1?", "10"), n => ($"0.{n % 10} and how much more make 1?", $"0.{10 - n % 10}")),
        Of(Ideas.ZerosGoOn, "When the digits end, I go on with zeros after the point.",
            "A number has as many zeros behind its last decimal as are needed: what is left is changed for tenths.",
            "Counters on a mat with a point line: what is left is changed for ten of the next place.",
            "“What is left? How many tenths is that? Write the zero and go on.”", "What is brought down now?",
            "ones as tenths", n =>
                ($"{n / 10} ones are how many tenths?", $"{n / 10}0"), n =>
                    ($"Is {n} the same as {n}.00?", "yes"), n => ("3 tenths are how many hundredths?", "30")),
        Of(Ideas.PointStraightUp, "The point of the answer stands straight above.",
            "Tenths that are shared give tenths: each digit of the answer has the place of the digit below it.",
            "Squared paper with a line drawn up along the point.",
            "“We cross the point now: where does it go on top?” If it is left out, ask about how large the answer is.", "Where is the point on top?",
            "about how much it is", n =>
                ($"8.{n % 10} shared by 2: is it about 4 or about 40?", "about 4"), n =>
                    ("6 tenths shared by 3 are how many tenths?", "2"), n => ($"Is {n}.5 ÷ 10 more or less than 1?", n >= 10 ? "more" : "less")),
        Of(Ideas.ZerosBehind, "Each place that the point passes is held by a zero.",
            "Ten times as much moves every digit one place up, and the place that gets empty must be held.",
            "A strip with digits that is pushed past a fixed point.",
            "“Which places does the point pass? What stands in each?”", "Which places must be held?",
            "ten times a number", n =>
                ($"10 × {n} = ?", $"{n}0"), n => ($"100 × {n % 9 + 1} = ?", $"{n % 9 + 1}00"), n => ($"10 × {n / 10}.{n % 10} = ?", $"{n}")),
        Of(Ideas.PlacesOfProduct, "My answer has as many places as both numbers together.",
            "Tenths times tenths are hundredths: a tenth of a tenth is a hundredth.",
            "A square of ten by ten: so many tenths across, so many down; each small square is a hundredth.",
            "“How many places has this one? And that one? Together? Count from the right.” If the point comes straight down, round both numbers and "
                + "compare.", "How many places has the answer?",
            "counting places", n =>
                ($"How many places after the point has {n / 10}.{n}?", "2"), n =>
                    ($"How many places after the point has 0.{n % 10}?", "1"), n => ("A tenth of a tenth is which part?", "a hundredth")),
        Of(Ideas.ZerosKeepThePoint, "If there are too few digits, I put zeros in front.",
            "The zeros hold the places between the point and the digits: without one of them hundredths are read as tenths.",
            "A square of ten by ten: so many small squares are so many hundredths.",
            "“How many places must there be? How many digits are there? What fills the rest?”", "How many zeros are needed?",
            "hundredths", n =>
                ($"Write {Place.Counted(n % 10, -2)}.", $"0.0{n % 10}"), n =>
                    ($"Write {n} hundredths.", $"0.{n}"), n => ($"Which is more: 0.{n % 10} or 0.0{n % 10}?", $"0.{n % 10}")),
        Of(Ideas.BothPointsMove, "Both points move, and equally far.",
            "If both numbers become ten times as large, it goes in just as often; if only one does, it does not.",
            "Number strips for both numbers, pushed together past their points.",
            "“How far must this point move until it is whole? Then how far does the other one move?” If only one moves, try it with 8 ÷ 2 and 80 ÷ "
                + "2.", "How far did each point move?",
            "dividing ten times as much", n =>
                ("8 ÷ 2 = 4. And 80 ÷ 20?", "4"), n => ($"10 × {n / 10}.{n % 10} = ?", $"{n}"), n => ("8 ÷ 2 = 4. And 80 ÷ 2?", "40")),
    ];
}
