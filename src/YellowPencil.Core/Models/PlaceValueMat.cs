namespace YellowPencil.Core.Models;

/// <summary>One column of a mat.</summary>
/// <param name="Place">The place, as a power of ten.</param>
/// <param name="Counters">How many counters lie there.</param>
/// <param name="Taken">How many of them are taken away.</param>
/// <param name="Tens">How many tens of them are exchanged for one in the next column.</param>
/// <param name="Written">The digit that is written below; empty before.</param>
/// <param name="Disagrees">Whether what is left is another number than is written.</param>
public sealed record MatColumn(int Place, int Counters, int Taken, int Tens, string Written, bool Disagrees)
{
    /// <summary>How many counters are left.</summary>
    public int Left => Counters - Taken - 10 * Tens;
}

/// <summary>A place-value mat with counters, for sums and differences; ten of a column are exchanged for one of the next.</summary>
public sealed record PlaceValueMat : ItemModel
{
    private const int MostColumns = 8;

    /// <summary>The columns, the highest place first.</summary>
    public required IReadOnlyList<MatColumn> Columns { get; init; }

    /// <inheritdoc/>
    public override string Name => "Counters on a place-value mat";

    /// <inheritdoc/>
    public override string Text =>
        string.Join(
            ", ",
            Columns.Select(
                c =>
                    $"{Place.Counted(c.Counters, c.Place)}{(c.Taken > 0 ? $", {c.Taken} of them taken away" : "")}{(c.Tens > 0 ? $", {10 * c.Tens} of them exchanged" : "")}"))
            + ".";

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The mat of a difference. Counters are moved as the strike-outs say.</summary>
    public static PlaceValueMat? OfDifference(DecimalNumber top, DecimalNumber bottom, IReadOnlyList<Mark> marks)
    {
        if (Places([top, bottom]) is not { } places) return null;
        var cells = AreMoved(marks) ? [] : Cells(marks);
        var columns = new List<MatColumn>();
        var notes = new List<string>();
        foreach (var place in places)
        {
            var counters = Rewritten(marks, place) ?? Math.Max(0, top.Digit(place));
            var toTake = Math.Max(0, bottom.Digit(place));
            var written = cells.GetValueOrDefault(place, "");
            var taken = written.Length > 0 ? Math.Min(counters, toTake) : 0;
            var left = counters - taken;
            var disagrees = written.Length > 0 && (counters < toTake || left.ToString() != written);
            if (written.Length > 0 && counters < toTake)
                notes.Add($"{toTake} cannot be taken from {Place.Counted(counters, place)}, and {written} is written.");
            else if (disagrees) notes.Add($"{Place.Counted(left, place)} {(left == 1 ? "is" : "are")} left, and {written} is written.");
            columns.Add(new MatColumn(place, counters, taken, 0, written, disagrees));
        }

        // Between two strike-outs of one exchange something is missing; when a digit is written, nothing may be.
        var settled = marks.Take(1 + marks.ToList().FindLastIndex(m => m.Field == WorkFields.Cells)).ToList();
        var worth = places.Sum(place => Rewritten(settled, place) is { } now ? (now - Math.Max(0, top.Digit(place))) * Math.Pow(10, place) : 0);
        if (Math.Abs(worth) > 1e-9)
            notes.Insert(
                0,
                $"The counters are worth {(worth > 0 ? "more" : "less")} than {top.Text} now: one was {(worth > 0 ? "added" : "taken")} without its exchange.");
        return new PlaceValueMat { Columns = columns, Note = Moved(marks) + string.Join(" ", notes) };
    }

    /// <summary>The mat of a sum. Ten are exchanged in every column under which a digit stands, whether a carry is written or not.</summary>
    public static PlaceValueMat? OfSum(IReadOnlyList<DecimalNumber> addends, IReadOnlyList<Mark> marks)
    {
        if (Places(addends) is not { } places) return null;
        var cells = AreMoved(marks) ? [] : Cells(marks);

        // What is written under the first column with two digits has the tens in front of it.
        if (cells.GetValueOrDefault(places[0], "") is { Length: > 1 } both)
        {
            cells[places[0] + 1] = both[..^1];
            cells[places[0]] = both[^1..];
        }

        var columns = new List<MatColumn>();
        var notes = new List<string>();
        var exchanged = 0;
        foreach (var place in places.Reverse())
        {
            var counters = addends.Sum(a => Math.Max(0, a.Digit(place))) + exchanged;
            var written = cells.GetValueOrDefault(place, "");
            var tens = written.Length > 0 ? counters / 10 : 0;
            var left = counters - 10 * tens;
            var disagrees = written.Length > 0 && left.ToString() != written;
            if (disagrees)
                notes.Add(
                    $"{Place.Counted(left, place)} {(left == 1 ? "is" : "are")} left{(tens > 0 ? " after the exchange" : "")}, and {written} is written.");
            columns.Add(new MatColumn(place, counters, 0, tens, written, disagrees));
            exchanged = tens;
        }

        if (exchanged > 0 || cells.ContainsKey(places[0] + 1))
        {
            var written = cells.GetValueOrDefault(places[0] + 1, "");
            columns.Add(new MatColumn(places[0] + 1, exchanged, 0, 0, written, written.Length > 0 && written != exchanged.ToString()));
        }

        columns.Reverse();
        return new PlaceValueMat { Columns = columns, Note = Moved(marks) + string.Join(" ", notes) };
    }

    private static int? Rewritten(IEnumerable<Mark> marks, int place) =>
        marks.Where(m => m.Field == WorkFields.Rewritten && m.At.Place == place)
            .Select(m => int.TryParse(m.Text, out var value) ? value : (int?)null).LastOrDefault(v => v is >= 0 and < 100);

    // Where a number stands in other columns than its places, the digits below are of no one place.
    private static bool AreMoved(IReadOnlyList<Mark> marks) => WorkFields.Operands.IsWorthRecording([.. marks.Where(m => m.Field == WorkFields.Operands)]);

    private static string Moved(IReadOnlyList<Mark> marks) =>
        AreMoved(marks) ? "On the paper a number stands in other columns than its places; on the mat it does not. " : "";

    private static int[]? Places(IReadOnlyList<DecimalNumber> numbers)
    {
        var (last, first) = (-numbers.Max(n => n.Places), numbers.Max(n => n.Length - n.Places) - 1);
        return first - last < MostColumns ? [.. Enumerable.Range(last, first - last + 1).Reverse()] : null;
    }

    private static Dictionary<int, string> Cells(IReadOnlyList<Mark> marks) =>
        marks.Where(m => m.Field == WorkFields.Cells && m.At.Place is not null).GroupBy(m => m.At.Place!.Value).ToDictionary(g => g.Key, g => g.Last().Text);
}
