namespace YellowPencil.Core.Layouts;

/// <summary>What the squares of a strip hold together.</summary>
public enum StripKind
{
    /// <summary>The answer.</summary>
    Answer,

    /// <summary>A mark to each square, which stands for the place of its column.</summary>
    Places,

    /// <summary>One text, a sign to each square; the column of its last sign is its place.</summary>
    Text,

    /// <summary>One text from the left, which has no place.</summary>
    Note,

    /// <summary>A number that is set, where the student put it, with the zeros that were filled in.</summary>
    Operand,
}

/// <summary>
/// A row of squares in which something can be written by hand. Columns are counted from the right edge of the item, rows from its top, both from 0.
/// </summary>
public sealed record Strip
{
    /// <summary>The name, for example <c>rows-1</c>: stable, and unique in the item.</summary>
    public required string Id { get; init; }

    /// <summary>What a screen reader says, for example "row 1".</summary>
    public required string Name { get; init; }

    /// <summary>What the squares hold together.</summary>
    public required StripKind Kind { get; init; }

    /// <summary>The kind of mark that stands here; the answer is none.</summary>
    public MarkKind? Mark { get; init; }

    /// <summary>The row, cycle or line of the field.</summary>
    public int Line { get; init; }

    /// <summary>The column in which the last sign is due where the work goes as taught; null where any will do.</summary>
    public int? Due { get; init; }

    /// <summary>Of several marks in one place, which stands here, from 0.</summary>
    public int Level { get; init; }

    /// <summary>The row of squares.</summary>
    public required int Row { get; init; }

    /// <summary>The first column from the right.</summary>
    public required int Right { get; init; }

    /// <summary>The last column from the right; the answer can go on to its left.</summary>
    public required int Left { get; init; }

    /// <summary>The column of the ones.</summary>
    public int Ones { get; init; }

    /// <summary>The column, from the right, in which a place stands.</summary>
    public int ColumnOf(int place) => Ones + place;

    /// <summary>Whether marks are small, and up to two digits stand in one square.</summary>
    public bool IsSmall { get; init; }

    /// <summary>Whether the row is left out of a picture as long as nothing stands in it.</summary>
    public bool IsWork { get; init; }

    /// <summary>The row whose digit a mark here strikes out; null for none.</summary>
    public int? Strikes { get; init; }

    /// <summary>Whether it is passed over by the arrows that go up and down, as few write there.</summary>
    public bool IsRare { get; init; }

    /// <summary>Whether it is always typed from the left.</summary>
    public bool FromLeft { get; init; }

    /// <summary>Whether the point stands in a column of its own, so that an answer is put by its point and not by its last digit.</summary>
    public bool IsByPoint { get; init; }

    /// <summary>The signs beside digits that can be written here.</summary>
    public string Signs { get; init; } = "";

    /// <summary>The number that is set, with its last sign in <see cref="Right"/> where it is not moved; null for other strips.</summary>
    public string? Given { get; init; }

    /// <summary>The column of the last sign of what is given.</summary>
    public int GivenAt { get; init; }
}

/// <summary>Something printed in a square, or from it on to the right.</summary>
/// <param name="Column">The column.</param>
/// <param name="Row">The row.</param>
/// <param name="Text">The sign, with a point behind it where one stands there; or a word.</param>
public readonly record struct Printed(int Column, int Row, string Text);

/// <summary>A line along the edges of squares: along the top of a row, or along the right of a column.</summary>
/// <param name="Row">The row whose top it follows, or in which it begins.</param>
/// <param name="From">The first column, or the row in which it ends where it goes down.</param>
/// <param name="To">The last column, or the column whose right edge it follows.</param>
/// <param name="IsDown">Whether it goes down.</param>
/// <param name="Until">Where its row is left out, the line stands along the first row that is not, up to this one.</param>
public readonly record struct PaperLine(int Row, int From, int To, bool IsDown = false, int? Until = null);
