namespace YellowPencil.Core.Working;

/// <summary>Where on the page a mark stands. Most are the fields of the worked-sheet format; those of rows, steps and pairs are their parts.</summary>
public enum MarkField
{
    /// <summary>What stands under a place in the answer.</summary>
    Cells,

    /// <summary>A carry mark.</summary>
    Carries,

    /// <summary>A new value written over a digit of the top number, which is struck out.</summary>
    Rewritten,

    /// <summary>A new value written over a digit of the bottom number, which is struck out.</summary>
    RewrittenBelow,

    /// <summary>A number as it was set out: its row, the place of its last digit, and its text.</summary>
    Operands,

    /// <summary>The order in which the columns were worked.</summary>
    Order,

    /// <summary>A partial product: its row, the place of its last digit, and its text.</summary>
    Rows,

    /// <summary>A carry mark of a partial product, in the column that it was carried to.</summary>
    RowCarries,

    /// <summary>A digit of the quotient, by the cycle in which it was found.</summary>
    StepQuotient,

    /// <summary>What is taken away in a cycle of a division.</summary>
    StepProduct,

    /// <summary>What is left in a cycle of a division.</summary>
    StepDifference,

    /// <summary>What is brought down at the end of a cycle of a division.</summary>
    StepBroughtDown,

    /// <summary>The sign noted beside the work.</summary>
    Sign,

    /// <summary>The count of decimal places noted beside the work.</summary>
    Places,

    /// <summary>The divisor after its point was moved.</summary>
    ScaledDivisor,

    /// <summary>The dividend after its point was moved.</summary>
    ScaledDividend,

    /// <summary>A line of the working.</summary>
    Lines,
}

/// <summary>One mark on the page.</summary>
/// <param name="Field">Where it stands.</param>
/// <param name="Place">The column, as a power of ten; 0 where there are no columns.</param>
/// <param name="Text">What is written.</param>
/// <param name="Row">The row, cycle or line, from 0, where there are several.</param>
public readonly record struct Mark(MarkField Field, int Place, string Text, int Row = 0);

/// <summary>The marks that stand in the places of one field, each place with its marks in the order of writing.</summary>
public sealed class PlaceMarks
{
    private readonly SortedDictionary<int, List<string>> byPlace = [];

    /// <summary>The places that carry a mark, smallest first.</summary>
    public IEnumerable<int> Places => byPlace.Keys;

    /// <summary>The marks in a place, in the order of writing; empty where there are none.</summary>
    public IReadOnlyList<string> At(int place) => byPlace.TryGetValue(place, out var marks) ? marks : [];

    internal void Add(int place, string text)
    {
        if (!byPlace.TryGetValue(place, out var marks)) byPlace[place] = marks = [];
        marks.Add(text);
    }
}
