using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Teaching.TeachingScript;

namespace YellowPencil.Core.Teaching;

/// <summary>How the ideas of products are taught.</summary>
internal static class ProductScripts
{
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        Of(Ideas.SkipCounting, "When I count in sevens, my first count is 7.",
            "Each count is one group that has come; no group has come before the first one.",
            "A number line: a jump for each group, and a finger for each jump.",
            "“One group: how many? Two groups?” If the count is one off, count the fingers.", "How many groups have we counted?",
            "counting groups", n =>
                ($"Count three times in steps of {n % 9 + 2}.", $"{n % 9 + 2}, {2 * (n % 9 + 2)}, {3 * (n % 9 + 2)}"), n =>
                    ($"Two groups of {n % 9 + 1} are how many?", $"{2 * (n % 9 + 1)}"), n => ($"How many groups of 5 have you counted at {5 * (n / 10)}?", $"{n / 10}")),
        Of(Ideas.ProductIsGroups, "Times means so many groups of so many.",
            "All the groups together are the product; one group, or the two numbers put together, is less.",
            "Counters in rows: so many rows of so many.",
            "“How many groups? How many in each? {facts?How many are there together|Count on, a group at a time: how many together}?” If the numbers are "
                + "added, lay the rows.", "How many groups of how many?",
            "equal groups", n =>
                ($"{n % 8 + 2} rows of 2: how many?", $"{2 * (n % 8 + 2)}"), n =>
                    ("3 rows of 4: how many?", "12"), n => ($"Is 3 × {n} more or less than 3 + {n}?", "more")),
        Of(Ideas.OneTimes, "One times a number is the number.",
            "One group of seven is seven: nothing is added and nothing left out.",
            "Counters: one row of so many.",
            "“How many groups? One. How many are in it?” If 1 is written, lay the one row.", "How many are in the one group?",
            "groups of so many", n =>
                ($"One row of {n}: how many?", $"{n}"), n => ($"{n % 9 + 1} rows of 1: how many?", $"{n % 9 + 1}"), n => ($"1 × {n} = ?", $"{n}")),
        Of(Ideas.ZeroTimes, "Zero times anything is zero. A carry that waits is still added.",
            "No groups, or empty groups, make nothing; what was carried came from the place before and is still there.",
            "Empty cups: so many cups with nothing in them.",
            "“How many in each group? Nothing. So together? Is a carry waiting?” If the digit comes down, fill the cups with nothing.", "What is zero times "
                + "this?",
            "groups of nothing", n =>
                ($"{n % 9 + 1} cups with 0 pegs in each: how many pegs?", "0"), n => ($"0 × {n} = ?", "0"), n => ($"0 × {n % 9 + 1}, and 2 more?", "2")),
        Of(Ideas.CarryAfterProduct, "First I multiply, then I add the carry.",
            "The carry is tens that were multiplied already; to multiply them again makes too many of them.",
            "An area cut by places: the carry is a piece that is there already.",
            "“Multiply this digit first. Now: what is waiting {product-carry?above|beside|in your head}? Add it.” If the carry is added first, work the two "
                + "pieces of the area.", "Is the carry added before or after?",
            "multiplying and then adding", n =>
                ($"3 × {n % 9 + 1}, then 2 more?", $"{3 * (n % 9 + 1) + 2}"), n =>
                    ($"{n % 9 + 1} × 2, then 1 more?", $"{2 * (n % 9 + 1) + 1}"), n => ("4 × 5, then 3 more?", "23")),
        Of(Ideas.TenMovesOn, "Of a product I write the ones here; its tens wait for the next product.",
            "A product of twenty-four ones is two tens and four ones, and one place holds one digit.",
            "An area cut by places: ten squares of one piece make a strip, and the strips are laid beside the next piece.",
            "“What is the product? How many tens are in it? What is written here?” The tens {product-carry?are noted above the next digit|are noted beside "
                + "the row|are said aloud and kept in the head}. If both digits are written here, or the tens are lost, lay the strips.", "How many tens wait?",
            "tens and ones of a product", n =>
                ($"{10 + n % 10} ones: how many tens, how many ones?", $"1 ten, {Place.Counted(n % 10, 0)}"), n =>
                    ($"How many tens are in {n}?", $"{n / 10}"), n => ($"6 × {n / 10} = ?", $"{6 * (n / 10)}")) with { OnlyIn = FamilyList.Multiplication },
        Of(Ideas.CarryBelongs, "What waits from one product, I add to the next one, once.",
            "The tens that moved on are part of that place, as much as its own product. A product without tens leaves nothing to wait.",
            "An area cut by places: the strips of one piece are laid beside the next, and then they are used up.",
            "“What waits from the product just before: {product-carry?what is noted above|what is noted beside|what do you have in your head}? Add it to "
                + "this product. Now it is used.” If an old one is added again, {product-carry?strike it out|strike it out|say which product it came "
                + "from}.", "What waits from the product just before?",
            "adding on to a product", n =>
                ($"{n} and 2 more?", $"{n + 2}"), n =>
                    ($"2 tens wait. {n / 10} tens and 2 tens are how many tens?", $"{n / 10 + 2}"), n =>
                        ($"The product is {n % 10} and no ten: how many tens wait?", "0")) with { OnlyIn = FamilyList.Multiplication },
        Of(Ideas.CarryOnlyTens, "I carry as many tens as the product has.",
            "A product may have eight tens; then eight go on, not one.",
            "Number cards with products, sorted by how many tens they have.",
            "“What is the product? How many tens has it? So many go on.” If 1 goes on each time, sort the cards.", "How many tens are in the product?",
            "how many tens", n =>
                ($"How many tens are in {n}?", $"{n / 10}"), n =>
                    ($"How many tens are in the product of 8 and {n % 10}?", $"{8 * (n % 10) / 10}"), n =>
                        ($"How many tens are in {n % 10}?", "0")) with { OnlyIn = FamilyList.Multiplication },
        Of(Ideas.EveryDigitTimesEvery, "Each digit of one number is multiplied by each digit of the other.",
            "All of the number is taken that many times. A pair that is left out is a piece of the area that is missing.",
            "An area cut by places; every piece gets its product.",
            "“Which pieces are there? Which have we worked? Is one still empty?” If a piece is left out, find it in the picture.", "Which pair is not "
                + "worked yet?",
            "parts of a number", n =>
                ($"{n} is {n / 10 * 10} and what?", $"{n % 10}"), n =>
                    ($"2 × {n} is 2 × {n / 10 * 10} and 2 × what?", $"{n % 10}"), n => ($"An area of {n} by 32, cut by places: how many pieces?", "4")),
        Of(Ideas.RowIsTenTimes, "The tens make ten times as much: their row begins {placeholder?with a zero|one place further left}.",
            "Three tens times seven are twenty-one tens, and tens are written in the tens.",
            "An area cut by places; beside each strip its row, with {placeholder?the zero in the ones|the square of the ones left free}.",
            "“What is this digit worth? Tens. So its row is tens: {placeholder?what is written first, in the ones|which place stays free}?” If its first "
                + "digit stands under the ones, read what the row is worth.", "{placeholder?Is the zero written|Which place stays free}?",
            "ten times a number", n =>
                ($"10 × {n} = ?", $"{n}0"), n =>
                    ($"{n / 10} tens times 2: how many tens?", $"{2 * (n / 10)}"), n => ($"What is the {n / 10} of {n} worth?", $"{n / 10 * 10}")),
        Of(Ideas.RowsAreParts, "The rows are parts: I add all of them.",
            "Each strip of the area is a part of the whole; the product is all strips together.",
            "An area cut by places: the strips are pushed apart and together again.",
            "“How many rows are there? Are all of them added?” If one is left out, cover its strip.", "Which rows are added?",
            "adding parts", n =>
                ($"{n}0 and {n % 10}: together?", $"{10 * n + n % 10}"), n =>
                    ($"120 and {n}: together?", $"{120 + n}"), n => ($"{n} is {n / 10 * 10} and what?", $"{n % 10}")),
    ];
}
