namespace YellowPencil.Core.Teaching;

/// <summary>Something to bring to a session.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Paper">The kind of paper that can be printed for it; null for what is no paper.</param>
/// <param name="Words">How a sentence on material names it.</param>
public sealed record Material(string Name, string? Paper, params string[] Words);

/// <summary>What has to lie on the table, read from what a plan says of its material: a sentence that is changed by hand changes the list too.</summary>
public static class Materials
{
    /// <summary>Said where a plan needs nothing but the page.</summary>
    public const string Nothing = "paper and pencil";

    /// <summary>All that is known, what is called by more words before what is called by some of them.</summary>
    private static readonly Material[] All =
    [
        new("counters of two kinds", null, "counters of two kinds"),
        new("counters", null, "counters"),
        new("cups", null, "cups"),
        new("base-ten blocks", null, "base-ten blocks"),
        new("place-value mat with a point", "decimal-mat", "place-value mat with a point", "a mat with a point"),
        new("place-value mat", "mat", "place-value mat"),
        new("mat of wholes and parts", "wholes-parts", "mat with two fields"),
        new("ten by ten squares", "hundreds", "square of ten by ten"),
        new("squared paper", "squared", "on squared paper", "squared paper", "a rectangle"),
        new("number line, squares above and roots below", "root-line", "number line with the squares written above", "number line with squares above", "line of squares", "number line with the two tenths"),
        new("number line", "lines", "number line"),
        new("area cut by places", "areas", "area cut by places"),
        new("box of two by two", "areas", "area box", "round the box", "the box", "a box"),
        new("tiles: squares, long and small", "tiles", "tiles"),
        new("paper strips", "strips", "paper strip", "the strip"),
        new("two strips of paper as bars, the operations written under both", "both-sides", "two bars of one length", "bars with equal pieces", "a bar of six equal pieces over a bar"),
        new("bars cut into parts", "strips", "bars", "a bar", "frames"),
        new("table of pairs, products and sums", "pairs", "table pair"),
        new("list of multiples", "multiples-open", "lists of multiples", "the multiples of", "ladder of multiples"),
        new("bags", null, "bags"),
        new("paper strips with digits", null, "number strips", "a strip with digits"),
        new("digit cards", null, "digit cards", "zero card"),
        new("blank cards", null, "cards", "on a card"),
        new("a strip of card to cover with", null, "strip of card", "strip of paper"),
        new("scissors and a square of paper", null, "cut off at a corner", "square cut into four"),
    ];

    /// <summary>The materials that a sentence names, each once.</summary>
    public static IReadOnlyList<Material> In(string sentence)
    {
        var rest = sentence;
        var found = new List<Material>();
        foreach (var material in All)
            foreach (var word in material.Words)
            {
                if (!rest.Contains(word, StringComparison.OrdinalIgnoreCase)) continue;
                if (!found.Contains(material)) found.Add(material);
                rest = rest.Replace(word, "", StringComparison.OrdinalIgnoreCase);
            }

        return found;
    }

    /// <summary>Materials as a list in a sentence.</summary>
    public static string Listed(IReadOnlyList<Material> materials) => (materials.Count == 0 ? Nothing : string.Join(", ", materials.Select(m => m.Name))) + ".";
}
