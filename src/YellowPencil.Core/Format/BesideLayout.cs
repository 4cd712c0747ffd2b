using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Format;

/// <summary>A place beside a working in which something can be written.</summary>
/// <param name="Id">Its name, unique in the item.</param>
/// <param name="Label">What it is called aloud.</param>
/// <param name="Kind">The mark that stands there.</param>
/// <param name="Row">The row of its part, from 1.</param>
/// <param name="Column">The column, from 1.</param>
public sealed record BesideCell(string Id, string Label, MarkKind Kind, int Row, int Column);

/// <summary>What stands together beside a working: the X, a box, middle and gap, two squares, trials, multiples of a divisor.</summary>
/// <param name="Field">The field of the format.</param>
/// <param name="Title">What it is called.</param>
/// <param name="Key">The letter that opens it.</param>
/// <param name="Cells">Its cells, in the order in which they are written.</param>
public sealed record BesidePart(WorkField Field, string Title, char Key, IReadOnlyList<BesideCell> Cells);

/// <summary>What can be filled in beside an item, in lines or in squares: cells from its work, and its work from cells.</summary>
public static class BesideLayout
{
    private const int LeastTerms = 2;
    private const int LeastTrials = 4;
    private const int LeastMultiples = 10;
    private const int MultiplesAcross = 5;

    /// <summary>The parts that an item can have, by the fields of its family.</summary>
    public static IReadOnlyList<BesidePart> Of(WorkedItem item)
    {
        var fields = TaughtFamily.Of(item.Task.Family).Fields;
        List<BesidePart> parts =
        [
            new(WorkFields.Cross, "X", 'x', [Cell(WorkFields.Cross, 1, "product, above the X", 1, 2), Cell(WorkFields.Cross, 0, "sum, below the X", 3, 2), Cell(WorkFields.Cross, 2, "left end of the X", 2, 1), Cell(WorkFields.Cross, 3, "right end of the X", 2, 3)]),
            new(WorkFields.Box, "Box", 'b', [.. Box(item.Work.Get(WorkFields.Box))]),
            new(WorkFields.Gap, "Middle and gap", 'g', [Cell(WorkFields.Gap, 0, "middle", 1, 1), Cell(WorkFields.Gap, 1, "squared", 1, 2), Cell(WorkFields.Gap, 2, "gap", 1, 3)]),
            new(WorkFields.Between, "Squares round it", 's', [Cell(WorkFields.Between, 0, "lower square", 1, 1), Cell(WorkFields.Between, 1, "upper square", 1, 2)]),
            new(WorkFields.Tried, "Tried", 't', [.. Trials(item.Work.Get(WorkFields.Tried)?.Count ?? 0)]),
            new(WorkFields.Multiples, "Multiples", 'm', [.. Enumerable.Range(0, Math.Max(LeastMultiples, item.Work.Get(WorkFields.Multiples)?.Count ?? 0)).Select(Multiple)]),
        ];
        return parts.FindAll(p => fields.Contains(p.Field));
    }

    /// <summary>What stands in the cells, by their ids; empty ones are left out.</summary>
    public static IReadOnlyDictionary<string, string> Written(WorkedItem item)
    {
        var cells = Of(item).SelectMany(p => p.Cells).ToDictionary(c => c.Kind);
        return Of(item).SelectMany(p => item.Work.MarksOf(p.Field)).Where(m => m.Text.Length > 0 && cells.ContainsKey(m.Kind)).ToDictionary(m => cells[m.Kind].Id, m => m.Text);
    }

    /// <summary>The item with this in its cells. A part of which nothing was changed stays as it was recorded.</summary>
    /// <param name="item">The item.</param>
    /// <param name="written">What stands in cells, by their ids; what is not there stands empty.</param>
    public static WorkedItem Take(WorkedItem item, IReadOnlyDictionary<string, string> written)
    {
        var (before, work) = (Written(item), item.Work);
        foreach (var part in Of(item))
        {
            var now = part.Cells.Where(c => written.GetValueOrDefault(c.Id, "").Trim().Length > 0).Select(c => (Cell: c, Text: Signs.Digits(written[c.Id].Trim()))).ToList();
            if (part.Cells.All(c => now.FirstOrDefault(n => n.Cell == c).Text == before.GetValueOrDefault(c.Id))) continue;
            work = work.With(part.Field, now.Select(n => new Mark(part.Field, new Spot(Part: n.Cell.Kind.Part), n.Text)));
        }

        return item with { Work = work };
    }

    private static IEnumerable<BesideCell> Box(ProductBox? box)
    {
        var columns = Math.Max(LeastTerms, box is null ? 0 : box.Cells.Select(r => r.Count).Append(box.Top.Count).Max());
        var rows = Math.Max(LeastTerms, box is null ? 0 : Math.Max(box.Cells.Count, box.Side.Count));
        for (var row = 0; row <= rows; row++)
            for (var column = row == 0 ? 1 : 0; column <= columns; column++)
            {
                var label = row == 0 ? $"top of the box, {column}" : column == 0 ? $"side of the box, {row}" : $"box, row {row}, column {column}";
                yield return Cell(WorkFields.Box, WorkFields.Box.At(row, column).Part, label, row + 1, column + 1);
            }
    }

    private static IEnumerable<BesideCell> Trials(int count)
    {
        for (var row = 0; row < Math.Max(LeastTrials, count + 1); row++)
        {
            yield return Cell(WorkFields.Tried, WorkFields.Tried.Value(row).Part, $"tried, {row + 1}", row + 1, 1);
            yield return Cell(WorkFields.Tried, WorkFields.Tried.Result(row).Part, $"what it comes to, {row + 1}", row + 1, 2);
        }
    }

    private static BesideCell Multiple(int at) => Cell(WorkFields.Multiples, at, $"{at + 1} times the divisor", 1 + at / MultiplesAcross, 1 + at % MultiplesAcross);

    private static BesideCell Cell(WorkField field, int part, string label, int row, int column) => new($"{field.Name}-{part}", label, new MarkKind(field, part), row, column);
}
