namespace YellowPencil.Core.Working;

/// <summary>Where on the page a mark stands; the names are the fields of the worked-sheet format.</summary>
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
}

/// <summary>One mark on the page.</summary>
/// <param name="Field">Where it stands.</param>
/// <param name="Place">The column, as a power of ten.</param>
/// <param name="Text">What is written.</param>
public readonly record struct Mark(MarkField Field, int Place, string Text);

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
