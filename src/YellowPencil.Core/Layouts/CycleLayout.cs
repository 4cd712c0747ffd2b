using System.Numerics;

namespace YellowPencil.Core.Layouts;

/// <summary>The cycles of a division going down the page, and the digits of the quotient over them.</summary>
internal static class CycleLayout
{
    /// <summary>
    /// Rows for so many cycles: what is taken away, and what is left with the digit brought down. Each is due where it belongs if one digit is brought down a
    /// cycle.
    /// </summary>
    public static void Lay(Paper paper, int right, int left, int count, string dividend, BigInteger divisor)
    {
        var first = paper.Ones + FirstPlace(dividend, divisor);
        for (var line = 0; line < count; line++)
        {
            var due = Math.Max(right, first - line);
            paper.Text($"product-{line}", $"taken away in cycle {line + 1}", WorkFields.Cycles.Product, paper.NextRow(), right, left, line, due);
            var row = paper.NextRow();
            paper.Line(row, right, left);
            paper.Text($"difference-{line}", $"left in cycle {line + 1}", WorkFields.Cycles.Difference, row, right, left, line, Math.Max(right, due - 1));
        }
    }

    /// <summary>
    /// Puts cycles where the numbers in them belong: the first under the part of the dividend that is divided first, each further one by the digits brought
    /// down. What was brought down stands in one line with what is left, and the digits of the quotient stand in the squares of the answer.
    /// </summary>
    public static IEnumerable<Mark> InPlace(string dividend, BigInteger divisor, IEnumerable<Mark> marks)
    {
        var all = marks.ToLookup(m => m.Field == WorkFields.Cycles);
        var place = FirstPlace(dividend, divisor);
        var lefts = new List<Mark>();
        foreach (var cycle in all[true].GroupBy(m => m.At.Line).OrderBy(g => g.Key))
        {
            var parts = cycle.ToLookup(m => m.At.Part);
            foreach (var quotient in parts[WorkFields.Cycles.Quotient.Part])
                yield return new Mark(WorkFields.Cells, new Spot(Place: quotient.At.Place ?? place), quotient.Text);
            foreach (var product in parts[WorkFields.Cycles.Product.Part]) yield return product with { At = product.At with { Place = place } };
            var left = parts[WorkFields.Cycles.Difference.Part].Select(m => m.Text).FirstOrDefault() ?? "";
            var brought = parts[WorkFields.Cycles.BroughtDown.Part].Select(m => m.Text).FirstOrDefault() ?? "";
            if (left.Length > 0 && brought.Length > left.Length && brought.StartsWith(left, StringComparison.Ordinal)) brought = brought[left.Length..];
            if (left.Length == 0 && brought.Length > 0 && lefts.Count > 0 && !parts[WorkFields.Cycles.Product.Part].Any())
                lefts[^1] = lefts[^1] with { At = lefts[^1].At with { Place = place - brought.Length }, Text = lefts[^1].Text + brought };
            else if (left.Length + brought.Length > 0)
                lefts.Add(new Mark(WorkFields.Cycles, new Spot(cycle.Key, place - brought.Length, WorkFields.Cycles.Difference.Part), left + brought));
            place -= Math.Max(1, brought.Length);
        }

        foreach (var mark in lefts.Concat(all[false])) yield return mark;
    }

    // Over which place of the dividend the first digit of the quotient stands.
    private static int FirstPlace(string dividend, BigInteger divisor) =>
        dividend.Length - Enumerable.Range(1, dividend.Length).FirstOrDefault(i => BigInteger.Parse(dividend[..i]) >= divisor, dividend.Length);

    /// <summary>
    /// Tells what is left from what was brought down by the column in which the product ends, and takes each digit of the quotient from over that column. A
    /// digit more that was brought down is a cycle in which nothing was taken away.
    /// </summary>
    public static IEnumerable<Mark> Recorded(IEnumerable<Mark> marks, Squares squares, Strip answer)
    {
        var (line, place) = (0, (int?)null);
        foreach (var rows in marks.GroupBy(m => m.At.Line).OrderBy(g => g.Key))
        {
            var product = rows.Where(m => m.Kind == WorkFields.Cycles.Product).Select(m => (Mark?)m).FirstOrDefault();
            var left = rows.Where(m => m.Kind == WorkFields.Cycles.Difference).Select(m => (Mark?)m).FirstOrDefault();

            // Where nothing was taken away at the beginning, all digits were brought down.
            var over = place = product?.At.Place ?? place - 1 ?? left!.Value.At.Place + left.Value.Text.Length;
            foreach (var mark in Quotient(line, over)) yield return mark;
            if (product is { } taken) yield return taken with { At = taken.At with { Line = line } };
            if (left is { } rest)
            {
                var brought = Math.Clamp(over!.Value - rest.At.Place!.Value, 0, rest.Text.Length);
                if (brought < rest.Text.Length) yield return rest with { At = rest.At with { Line = line }, Text = rest.Text[..^brought] };
                for (var i = 0; i < brought; i++)
                {
                    if (i > 0)
                        foreach (var mark in Quotient(++line, --place)) yield return mark;
                    yield return new Mark(
                        WorkFields.Cycles, new Spot(line, place - 1, WorkFields.Cycles.BroughtDown.Part), rest.Text[^(brought - i)].ToString());
                }
            }

            line++;
        }

        IEnumerable<Mark> Quotient(int cycle, int? at)
        {
            if (at is { } column && squares.In(answer.Id).TryGetValue(answer.ColumnOf(column), out var digit) && char.IsAsciiDigit(digit[0]))
                yield return new Mark(WorkFields.Cycles, new Spot(cycle, column, WorkFields.Cycles.Quotient.Part), digit[..1]);
        }
    }
}
