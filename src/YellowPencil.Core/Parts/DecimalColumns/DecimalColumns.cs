using System.Numerics;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Parts.DecimalColumns;

/// <summary>Decimals to be put together: two or more to add, or two of which the second is taken away; none is negative.</summary>
internal readonly record struct DecimalsSet(IReadOnlyList<DecimalNumber> Numbers, bool IsDifference);

/// <summary>Sums and differences of decimals in columns: how they are set out, worked, and given their point.</summary>
internal static class DecimalColumns
{
    /// <summary>Works a sum or a difference, beginning with its sign.</summary>
    public static void Walk(MethodRun run, DecimalsSet sum)
    {
        var context = ContextOf(sum);
        var isDifference = sum.IsDifference;
        if (run.Ask(DecimalSumDecisions.Procedure, context) == SignRead.TheOther && sum.Numbers.Count == 2) isDifference = !isDifference;

        // More taken away than there is: the larger number goes on top and the answer gets a minus sign.
        var swapped = isDifference && Compare(sum.Numbers[0], sum.Numbers[1]) < 0;
        var split = run.Ask(DecimalSumDecisions.Split, context);
        if (split == DecimalSplit.OneNumber)
        {
            WalkColumns(sum, context, run, isDifference, swapped);
            return;
        }

        // Also who takes the point for a wall between two numbers sets them out with the points under each other.
        if (run.Page.KeepsMarks)
        {
            var offsets = run.Take(sum.Numbers.Count);
            for (var row = 0; row < offsets.Length; row++) offsets[row] = context.LastColumn(row, DecimalAlignment.Points);
            WriteOperands(sum, run, offsets, DecimalAlignment.Points);
        }

        WalkParts(split == DecimalSplit.TwoNumbers ? sum : EvenedUp(sum), run, isDifference, swapped, isTurnedBehind: split == DecimalSplit.SmallerBehindPoint);
    }

    /// <summary>The same numbers, filled up to equally many places.</summary>
    private static DecimalsSet EvenedUp(DecimalsSet sum)
    {
        var places = sum.Numbers.Max(n => n.Places);
        return new DecimalsSet([.. sum.Numbers.Select(n => DecimalNumber.Of(n.Unscaled * BigInteger.Pow(10, places - n.Places), places))], sum.IsDifference);
    }

    /// <summary>The columns of a sum or difference, for other methods that come to one.</summary>
    public static void InColumns(MethodRun run, DecimalsSet sum) =>
        WalkColumns(sum, ContextOf(sum), run, sum.IsDifference, swapped: sum.IsDifference && Compare(sum.Numbers[0], sum.Numbers[1]) < 0);

    private static void WalkColumns(DecimalsSet sum, DecimalSumContext context, MethodRun run, bool isDifference, bool swapped)
    {
        var numbers = sum.Numbers.Count;
        var offsets = run.Take(numbers);
        var alignment = context.IsRagged || sum.Numbers.Any(n => n.Length != sum.Numbers[0].Length)
            ? run.Ask(DecimalSumDecisions.Alignment, context)
            : DecimalAlignment.Points;
        var places = SetOut(sum, alignment, context, run, offsets);
        var width = 0;
        for (var row = 0; row < numbers; row++)
            if (offsets[row] >= 0) width = Math.Max(width, offsets[row] + sum.Numbers[row].Length);

        // Where every number begins with its point, there is an empty column of ones before it, for what is carried.
        width = Math.Max(width, places + 1);
        if (run.Page.KeepsMarks) WriteOperands(sum, run, offsets, alignment);

        // Columns on the page are named by the first number, those of the work by the answer.
        if (offsets[0] >= 0) run.Page.ColumnsMoved = places - offsets[0] - sum.Numbers[0].Places;

        var digits = run.Take(numbers * width);
        for (var row = 0; row < numbers; row++)
            for (var i = 0; offsets[row] >= 0 && i < sum.Numbers[row].Length; i++)
            {
                var isPushed = alignment == DecimalAlignment.PushedRight && i < sum.Numbers[row].Places;
                digits[row * width + (isPushed ? i : offsets[row] + i)] = sum.Numbers[row].Digit(i - sum.Numbers[row].Places);
            }

        // Where the digits do not stand by their places, the larger on top is the larger by what it then looks like, and no sign is due.
        if (isDifference && alignment == DecimalAlignment.LeftEnds) swapped = Digits.Compare(digits[..width], digits[width..]) < 0;
        if (swapped) Swap(digits[..width], digits[width..]);
        swapped &= alignment != DecimalAlignment.LeftEnds;

        var from = context.IsRagged && run.Ask(DecimalSumDecisions.Lone, context) == LonePlaces.Drop
            ? Math.Min(width - 1, context.MostPlaces - context.FewestPlaces)
            : 0;
        var cells = run.Take(width + 2);
        if (isDifference) Subtract(run, digits[..width], digits[width..], cells[..width], from, places);
        else Add(run, digits, numbers, cells, from, places, context.IsRagged);
        run.Page.ColumnsMoved = 0;
        WriteAnswer(run, context, cells, from, places, swapped);
    }

    /// <summary>
    /// Sets the numbers out: for each the column of its last digit, the rightmost being 0, or -1 for a number left out. Gives how many
    /// columns stand after the point that comes straight down.
    /// </summary>
    private static int SetOut(DecimalsSet sum, DecimalAlignment alignment, DecimalSumContext context, MethodRun run, Span<int> offsets)
    {
        for (var row = 0; row < offsets.Length; row++)
        {
            var number = sum.Numbers[row];
            offsets[row] = context.LastColumn(row, alignment);
            if (number.Places > 0 || alignment != DecimalAlignment.Points) continue;
            offsets[row] = run.Ask(DecimalSumDecisions.Whole, new WholeAmongDecimals(row, context.IsDifference)) switch
            {
                HiddenPoint.UnderLastPlace => 0,
                HiddenPoint.LeftOut when offsets.Length > 1 && row > 0 => -1,
                _ => offsets[row],
            };
        }

        return context.ColumnsBehindPoint(alignment);
    }

    private static void WriteOperands(DecimalsSet sum, MethodRun run, ReadOnlySpan<int> offsets, DecimalAlignment alignment)
    {
        for (run.Page.Line = 0; run.Page.Line < offsets.Length; run.Page.Line++)
        {
            var last = alignment == DecimalAlignment.PushedRight && sum.Numbers[run.Page.Line].Places > 0 ? 0 : offsets[run.Page.Line];
            if (offsets[run.Page.Line] >= 0) run.Page.Write(WorkFields.Operands, last - offsets[0] - sum.Numbers[0].Places, sum.Numbers[run.Page.Line].Text);
        }

        run.Page.Line = 0;
    }

    private static void Add(MethodRun run, ReadOnlySpan<int> digits, int numbers, Span<int> cells, int from, int places, bool isRagged)
    {
        var width = digits.Length / numbers;
        var columns = digits;
        if (from > 0)
        {
            var kept = run.Take(numbers * (width - from));
            for (var row = 0; row < numbers; row++) digits.Slice(row * width + from, width - from).CopyTo(kept[(row * (width - from))..]);
            columns = kept;
        }

        var direction = run.Ask(AdditionDecisions.Direction, new SumContext(numbers, isRagged, NeedsCarry: false));
        new ColumnSumWork(run, columns, numbers, cells[from..], from - places).Work(direction);
    }

    private static void Subtract(MethodRun run, Span<int> top, Span<int> bottom, Span<int> cells, int from, int places)
    {
        // Places of the bottom number with nothing above stand at the right end.
        var begin = from;
        for (var column = from; column < top.Length && top[column] < 0; column++)
        {
            if (bottom[column] < 0 || begin < column) continue;
            var gap = run.Ask(DecimalSumDecisions.Gap, new GapContext(column - places, bottom[column], column == from));
            if (gap == TopGap.FillZero) continue;
            begin = column + 1;
            if (gap == TopGap.LeaveBlank) continue;
            cells[column] = gap switch
            {
                TopGap.WriteBottom => bottom[column],
                TopGap.TenWithoutLending => run.Recall(new NumberFact(FactKind.Minus, 10, bottom[column]), column - places) % 10,
                _ => 0,
            };
            run.Page.Write(WorkFields.Cells, column - places, cells[column]);
        }

        foreach (ref var digit in top) digit = Math.Max(0, digit);
        if (begin >= top.Length) return;
        var direction = run.Ask(SubtractionDecisions.Direction, new ItemContext(top.Length, bottom.Length, NeedsRenaming: false));
        new ColumnDifferenceWork(run, top[begin..], bottom[begin..], cells[begin..], begin - places).Work(direction);
    }

    private static void WriteAnswer(MethodRun run, DecimalSumContext context, ReadOnlySpan<int> cells, int from, int places, bool isNegative)
    {
        var answer = run.Take(3 * cells.Length);
        var after = Digits.Flatten(cells[..Math.Min(places, cells.Length)], answer);
        var count = after + Digits.Flatten(cells[Math.Min(places, cells.Length)..], answer[after..]);
        var due = from > 0 ? Math.Min(after, places - from) : after;
        var lastZeros = 0;
        while (lastZeros < count - 1 && answer[lastZeros] == 0) lastZeros++;
        context = context with { Digits = Digits.LengthWithoutZeros(answer[..count]), Due = due, LastZeros = lastZeros };
        var way = run.Ask(DecimalSumDecisions.Point, context);
        if (way == SumPoint.LastZerosFirst)
        {
            answer = answer[lastZeros..];
            count -= lastZeros;
        }

        var point = way == SumPoint.LastZerosFirst ? due : DecimalSumDecisions.Point.Result(way, context, run.School);
        point = run.Value(DecimalSumDecisions.Places, context, point, most: 30);
        run.Page.AppendDecimal(answer[..count], point, isNegative);
    }

    /// <summary>The part after the point and the part before it as two whole numbers.</summary>
    private static void WalkParts(DecimalsSet sum, MethodRun run, bool isDifference, bool swapped, bool isTurnedBehind)
    {
        var places = sum.Numbers.Max(n => n.Places);
        var decimals = Part(sum, run, isDifference, swapped, after: true, isTurnedBehind);
        var whole = Part(sum, run, isDifference, swapped, after: false);
        if (swapped) run.Page.Append("-");
        if (Digits.AreZero(whole)) run.Page.Append("0");
        else run.Page.AppendDecimal(whole, 0);
        if (places == 0 || Digits.AreZero(decimals)) return;
        run.Page.Append(".");
        var last = 0;
        while (decimals[last] == 0) last++;
        for (var i = decimals.Length - 1; i >= last; i--) run.Page.Append(SmallNumbers.Text(decimals[i]));
    }

    private static Span<int> Part(DecimalsSet sum, MethodRun run, bool isDifference, bool swapped, bool after, bool isTurned = false)
    {
        var width = Math.Max(1, sum.Numbers.Max(n => after ? n.Places : n.Length - n.Places));
        var digits = run.Take(sum.Numbers.Count * width);
        for (var row = 0; row < sum.Numbers.Count; row++)
        {
            var number = sum.Numbers[swapped ? 1 - row : row];
            for (var i = 0; i < width; i++) digits[row * width + i] = after ? (i < number.Places ? number.Digit(i - number.Places) : -1) : number.Digit(i);
        }

        if (isTurned && Digits.Compare(digits[..width], digits[width..]) < 0) Swap(digits[..width], digits[width..]);
        var cells = run.Take(width + 2);
        if (!isDifference)
        {
            new ColumnSumWork(run, digits, sum.Numbers.Count, cells, after ? -width : 0).Work(SumDirection.FromOnes);
        }
        else
        {
            foreach (ref var digit in digits[..width]) digit = Math.Max(0, digit);
            new ColumnDifferenceWork(run, digits[..width], digits[width..], cells[..width], after ? -width : 0).Work(DifferenceDirection.FromOnes);
        }

        var flat = run.Take(3 * cells.Length);
        return flat[..Digits.Flatten(cells, flat)];
    }

    private static DecimalSumContext ContextOf(DecimalsSet sum)
    {
        var (most, fewest, all, whole) = (0, int.MaxValue, 0, 0);
        for (var i = 0; i < sum.Numbers.Count; i++)
        {
            all += sum.Numbers[i].Places;
            whole = Math.Max(whole, sum.Numbers[i].Length - sum.Numbers[i].Places);
            most = Math.Max(most, sum.Numbers[i].Places);
            fewest = Math.Min(fewest, sum.Numbers[i].Places);
        }

        return new DecimalSumContext(sum.IsDifference, sum.Numbers.Count, sum.Numbers[0].Places, sum.Numbers[^1].Places, most, fewest)
        { AllPlaces = all, MostWhole = whole, FirstWhole = sum.Numbers[0].Length - sum.Numbers[0].Places, Set = sum.Numbers };
    }

    private static int Compare(DecimalNumber first, DecimalNumber second)
    {
        var places = Math.Max(first.Places, second.Places);
        return (first.Unscaled * BigInteger.Pow(10, places - first.Places)).CompareTo(second.Unscaled * BigInteger.Pow(10, places - second.Places));
    }

    private static void Swap(Span<int> first, Span<int> second)
    {
        for (var i = 0; i < first.Length; i++) (first[i], second[i]) = (second[i], first[i]);
    }
}
