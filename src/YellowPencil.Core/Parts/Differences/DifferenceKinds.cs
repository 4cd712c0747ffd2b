namespace YellowPencil.Core.Parts.Differences;

/// <summary>What can be told apart in the columns of a difference: kinds of context, and numbers that can be seen there.</summary>
internal static class DifferenceKinds
{
    public static readonly Kind<ItemContext>[] ItemKinds =
    [
        new("always", "always", _ => true),
        new("needs-renaming", "when a column has the smaller digit on top", c => c.NeedsRenaming)
        { Otherwise = "when every top digit is large enough" },
        new("ragged", "when the top number is longer", c => c.BottomLength < c.TopLength) { Otherwise = "when both numbers are equally long" },
        new("one-digit", "when the bottom number has one digit", c => c.BottomLength == 1),
    ];

    public static readonly Kind<ColumnContext>[] ColumnKinds =
    [
        new("always", "in every column", _ => true),
        new("short", "when the top digit is the smaller", c => c.TopIsShort),
        new("enough", "when the top digit is large enough", c => !c.BelowIsBlank && !c.TopIsShort),
        new("top-is-0", "when the top digit is 0", c => c.Top == 0 && c.Bottom > 0),
        new("top-is-1", "when the top digit is 1", c => c.Top == 1),
        new("top-is-9", "when the top digit is 9", c => c.Top == 9),
        new("below-is-0", "when the bottom digit is 0", c => c.Bottom == 0),
        new("below-is-9", "when the bottom digit is 9", c => c.Bottom == 9),
        new("equal", "when both digits are the same", c => c.Equal),
        new("next-is-0", "when the next top digit is 0 and the top digit is too small", c => c.TopIsShort && c.NextIsZero),
        new("next-is-1", "when the next top digit is 1 and the top digit is too small", c => c.TopIsShort && c.NextTop == 1),
        new("has-lent", "when the top digit has lent before", c => c.HasLent),
        new("has-lent-short", "when the top digit has lent before and is too small", c => c.HasLent && c.TopIsShort),
        new("after-renaming", "when the item was {renamed} before and the top digit is too small", c => c.Renames > 0 && c.TopIsShort),
        new("first", "in the ones column", c => c.IsFirst),
        new("not-first-short", "left of the ones column, when the top digit is too small", c => !c.IsFirst && c.TopIsShort),
        new("last", "in the leftmost column", c => c.IsLast),
        new("short-by-one", "when the top digit is too small by one", c => c.Bottom == c.Top + 1),
        new("bottom-has-digit", "where there is a digit below", c => !c.BelowIsBlank),
        new("blank", "where there is no digit below", c => c.BelowIsBlank),
        new("inner", "in a column that is neither the first nor the last", c => !c.IsFirst && !c.IsLast),
        new("not-lent", "where the top digit stands as it was set", c => c.Top == c.TopAsSet),
        new("top-as-set-0", "where the top digit was set as 0", c => c.TopAsSet == 0),
        new("next-equal", "when the next column has the same digit twice", c => c.NextTop == c.NextBottom && c.NextTop >= 0),
        new("next-short", "when the top digit of the next column is too small as well", c => c.NextBottom > c.NextTop && c.NextTop >= 0),
        new("next-below-blank", "when there is no digit below in the next column", c => c.ColumnsLeft > 0 && c.NextBottom < 0),
    ];

    public static readonly Property<ColumnContext>[] Properties =
    [
        new("top", "the top digit", c => c.Top, 1, 2, 5, 8, 9),
        new("bottom", "the bottom digit", c => c.Bottom, 1, 2, 5, 8, 9),
        new("place", "the number of columns to the right", c => c.Column, 1, 2, 3),
        new("left", "the number of columns to the left", c => c.ColumnsLeft, 1, 2),
        new("missing", "what is missing from the top digit", c => c.Bottom < 0 ? -1 : Math.Max(0, c.Bottom - c.Top), 2, 3, 5),
        new("next-top", "the next top digit", c => c.NextTop, 1, 2, 5, 9),
        new("renames", "the number of renamings before", c => c.Renames, 1, 2),
    ];

    public static readonly Property<ColumnContext>[] Numbers =
    [
        new("top", "the top digit", c => c.Top), new(
            "top-as-set", "the top digit as it was set", c => c.TopAsSet), new("bottom", "the bottom digit", c => c.Bottom),
        new("next-top", "the next top digit", c => c.NextTop), new("next-bottom", "the next bottom digit", c => c.NextBottom),
    ];

    public static readonly Property<LendingContext>[] LendingNumbers = [
        new("digit", "the digit that lends", c => c.Digit), new("below", "the digit below it", c => c.Below),
        new("passed", "the number of zeros in between", c => c.Passed),
    ];

    public static readonly Property<LendingContext>[] LendingProperties =
    [
        new("digit", "the digit that lends", c => c.Digit, 2, 5, 8, 9), new("short", "the digit that is too small", c => c.Short, 1, 2, 5),
        new("taken", "the digit to be taken away", c => c.Taken, 5, 8, 9),
    ];

    public static readonly Kind<LendingContext>[] LendingKinds =
    [
        new("always", "whenever it lends", _ => true),
        new("digit-is-1", "when it is 1", c => c.Digit == 1),
        new("past-zeros", "when zeros stand in between", c => c.Passed > 0),
        new("next-door", "when it stands next to the column that is short", c => c.Passed == 0),
        new("below-blank", "when there is no digit below it", c => c.BelowIsBlank),
        new("again", "when it is not the first time in the item", c => c.Renames > 0),
        new("leftmost", "when it is the leftmost digit", c => c.IsLeftmost),
        new("below-larger", "when it would then be smaller than the digit below", c => c.Below >= c.Digit),
        new("short-is-0", "to a 0", c => c.Short == 0),
        new("to-ones", "to the ones column", c => c.Receiver == 0),
        new("below-smaller", "when it stays large enough for the digit below", c => !c.BelowIsBlank && c.Below < c.Digit),
    ];

    public static readonly Kind<ColumnContext>[] FewKinds = [
        .. ColumnKinds.Where(
            k => k.Id is "always" or "short" or "enough" or "top-is-0" or "below-is-0" or "equal" or "blank" or "has-lent" or "last" or "first")];
}
