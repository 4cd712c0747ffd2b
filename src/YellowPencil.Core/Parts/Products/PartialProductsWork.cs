using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Parts.Products;

/// <summary>What is done with the rows of a long multiplication once they stand: they are added in columns, or something else.</summary>
/// <param name="run">The run.</param>
/// <param name="rows">The rows, equally wide, each with its digits smallest place first and -1 behind the last.</param>
/// <param name="count">How many rows there are, at least one.</param>
internal readonly ref struct PartialProductsWork(MethodRun run, ReadOnlySpan<int> rows, int count)
{
    private readonly ReadOnlySpan<int> rows = rows;

    /// <summary>Makes the answer of the rows.</summary>
    /// <param name="answer">Takes its digits, smallest place first.</param>
    /// <returns>How many digits were written.</returns>
    public int PutTogether(Span<int> answer)
    {
        if (count == 1) return Copy(0, answer);
        var together = run.Ask(MultiplicationDecisions.Together, new RowsContext(count, AreRagged()));
        switch (together)
        {
            case RowsTogether.LastOnly:
                return Copy(count - 1, answer);
            case RowsTogether.FirstOnly:
                return Copy(0, answer);
            case RowsTogether.SideBySide:
                var written = 0;
                for (var row = count - 1; row >= 0; row--) written += Copy(row, answer[written..]);
                return written;
            case RowsTogether.Subtract:
                return Difference(answer);
            default:
                return Sum(together == RowsTogether.LeftEnds, answer);
        }
    }

    private bool AreRagged()
    {
        for (var row = 1; row < count; row++)
            if (Row(row).Length != Row(0).Length) return true;
        return false;
    }

    private int Sum(bool toLeft, Span<int> answer)
    {
        var (longest, shortest) = (0, int.MaxValue);
        for (var row = 0; row < count; row++)
        {
            longest = Math.Max(longest, Row(row).Length);
            shortest = Math.Min(shortest, Row(row).Length);
        }

        var digits = run.Take(count * longest);
        for (var row = 0; row < count; row++) Row(row).CopyTo(digits[(row * longest + (toLeft ? longest - Row(row).Length : 0))..]);

        var sum = run.Take(longest + 2);
        var direction = run.Ask(AdditionDecisions.Direction, new SumContext(count, shortest < longest, NeedsCarry: false));
        new ColumnSumWork(run, digits, count, sum).Work(direction);
        return Digits.Flatten(sum, answer);
    }

    /// <summary>Rows that are taken away from each other, the smaller from the larger.</summary>
    private int Difference(Span<int> answer)
    {
        var length = Row(0).Length;
        Row(0).CopyTo(answer);
        for (var row = 1; row < count; row++)
        {
            var width = Math.Max(length, Row(row).Length);
            var first = run.Take(width);
            var second = run.Take(width);
            answer[..length].CopyTo(first);
            Row(row).CopyTo(second);
            var isFirstOnTop = Digits.Value(answer[..length]) >= Digits.Value(Row(row));
            var top = isFirstOnTop ? first : second;
            var bottom = isFirstOnTop ? second : first;
            foreach (ref var digit in top) digit = Math.Max(0, digit);
            var cells = run.Take(width);
            new ColumnDifferenceWork(run, top, bottom, cells)
                .Work(run.Ask(SubtractionDecisions.Direction, new ItemContext(width, width, NeedsRenaming: false)));
            length = Digits.Flatten(cells, answer);
        }

        return length;
    }

    private int Copy(int row, Span<int> answer)
    {
        Row(row).CopyTo(answer);
        return Row(row).Length;
    }

    /// <summary>The digits of a row, smallest place first.</summary>
    private ReadOnlySpan<int> Row(int row)
    {
        var all = rows.Slice(row * rows.Length / count, rows.Length / count);
        return all.IndexOf(-1) is >= 0 and var end ? all[..end] : all;
    }
}
