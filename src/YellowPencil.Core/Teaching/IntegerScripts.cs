using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of numbers with signs are taught.</summary>
internal static class IntegerScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.SignBelongsToNumber, "A minus in front belongs to its number.",
            "A number and its opposite lie on the two sides of zero; without its sign it is another number.",
            "A number line with zero in the middle; each number is shown before anything is done.",
            "“Show me this number. On which side of zero is it?” If the sign is passed over, start from both and compare.", "Where does this number lie?",
            "numbers below zero", n =>
                ($"Which lies further left: −{n % 9 + 1} or {n % 9 + 1}?", $"−{n % 9 + 1}"), n =>
                    ($"{n % 8 + 2} degrees below zero is which number?", $"−{n % 8 + 2}"), n => ($"Which is the opposite of {n}?", $"−{n}")),
        Of(Ideas.OppositesCancel, "Plus and minus cancel, one against one. What is left has the sign of what there was more of.",
            "One up and one down lead back to where one was; only what has no partner counts.",
            "Counters of two kinds, paired off one against one; or the number line.",
            "“How many pairs can go? What is left, and of which kind?” If the sizes are added, lay the pairs.", "Of which kind is there more?",
            "pairs that cancel", n =>
                ($"{n % 9 + 1} steps up and {n % 9 + 1} steps down: where are you?", "at the start, 0"), n =>
                    ($"5 steps up and 3 steps down: where are you?", "2 up"), n =>
                        ($"2 steps up and {n % 9 + 4} steps down: where are you?", $"{n % 9 + 2} down, −{n % 9 + 2}")),
        Of(Ideas.TakingAwayDebt, "Taking a negative away is adding its opposite.",
            "A debt that is taken away makes richer: it goes up, by as much as the debt was.",
            "Counters of two kinds: to take negatives away that are not there, pairs are laid down first; or the number line, turned round.",
            "“What is taken away, a plus or a minus? So which way do we go?” If it goes down, lay pairs and take the negatives.", "Which way do we go?",
            "taking away on both sides of zero", n =>
                ($"You owe {n}, and {n % 10} of it is forgiven. Do you have more or less than before?", "more"), n =>
                    ("Which number is the opposite of −4?", "4"), n => ("Taking 3 away from 5 goes which way?", "down")),
        Of(Ideas.SameSignsPositive, "Same signs give plus, different signs give minus.",
            "Three times a debt of four is a debt of twelve; the opposite of that is twelve.",
            "A table that goes down from 3 × 4 to −3 × 4 and on, step by step; say what changes each time.",
            "“{product-sign?Before anything is worked: are the signs the same or different? Write the sign down.|The number stands there. Now last: are the "
                + "signs the same or different?} So which sign has the answer?” If in doubt, go down the table.", "Which sign has the answer?",
            "groups of a negative number", n =>
                ($"3 debts of {n % 9 + 1} are which number?", $"−{3 * (n % 9 + 1)}"), n =>
                    ($"3 groups of {n % 9 + 1} are which number?", $"{3 * (n % 9 + 1)}"), n => ("What is the opposite of −12?", "12")),
    ];
}
