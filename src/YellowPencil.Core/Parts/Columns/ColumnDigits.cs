namespace YellowPencil.Core.Parts.Columns;

/// <summary>What methods that work in columns need beside a run: room for digits, and answers read off digits and cells.</summary>
internal static class ColumnDigits
{
    /// <summary>Room for so many digits or cells, valid until the next run begins.</summary>
    /// <param name="run">The run.</param>
    /// <param name="length">How many.</param>
    /// <param name="filledWith">What stands there at first; -1 is blank.</param>
    public static Span<int> Take(this MethodRun run, int length, int filledWith = -1) => run.Scratch<DigitRoom>().Take(length, filledWith);

    /// <summary>Reads the answer off the cells of a column layout, ones first, -1 being blank: blanks close up, leading zeros are not written.</summary>
    public static void AppendCells(this WrittenPage page, ReadOnlySpan<int> cells)
    {
        var begun = false;
        var written = false;
        for (var place = cells.Length - 1; place >= 0; place--)
        {
            if (cells[place] < 0) continue;
            written = true;
            begun |= cells[place] > 0;
            if (begun) page.Append(SmallNumbers.Text(cells[place]));
        }

        if (written && !begun) page.Append("0");
    }

    /// <summary>
    /// Adds a decimal to the answer in its canonical spelling. What was cleared of its sign before is written without one.
    /// </summary>
    /// <param name="page">The page.</param>
    /// <param name="digits">The digits, smallest place first; none is a blank answer.</param>
    /// <param name="places">How many of them stand after the point; may be more than there are, then zeros are filled in, or less than none, then zeros
    /// follow.</param>
    /// <param name="isNegative">Whether a minus sign goes in front; not written before 0.</param>
    public static void AppendDecimal(this WrittenPage page, ReadOnlySpan<int> digits, int places, bool isNegative = false)
    {
        if (digits.IsEmpty) return;
        var first = 0;
        while (places > 0 && first < digits.Length && digits[first] == 0)
        {
            first++;
            places--;
        }

        digits = digits[first..];
        var length = digits.Length;
        while (length > Math.Max(places, 0) && digits[length - 1] == 0) length--;
        if (length == 0)
        {
            page.Append("0");
            return;
        }

        if (isNegative) page.Append("-");
        if (length <= places) page.Append("0.");
        for (var zeros = places - length; zeros > 0; zeros--) page.Append("0");
        for (var i = length - 1; i >= 0; i--)
        {
            page.Append(SmallNumbers.Text(digits[i]));
            if (i == places && i > 0) page.Append(".");
        }

        for (; places < 0; places++) page.Append("0");
    }

    /// <summary>Adds what is left over to the answer, behind an r.</summary>
    public static void AppendRemainder(this WrittenPage page, long rest)
    {
        Span<char> digits = stackalloc char[20];
        rest.TryFormat(digits, out var length);
        page.Append(" r ");
        page.Append(digits[..length]);
    }

    /// <summary>Room for digits that is given out in pieces, and all taken back when the next run begins.</summary>
    private sealed class DigitRoom : IScratch
    {
        private int[] room = new int[1024];
        private int taken;

        public void Clear() => taken = 0;

        public Span<int> Take(int length, int filledWith)
        {
            if (taken + length > room.Length)
            {
                // Room that was given out before stays with those who hold it.
                room = new int[2 * (room.Length + length)];
                taken = 0;
            }

            var piece = room.AsSpan(taken, length);
            taken += length;
            piece.Fill(filledWith);
            return piece;
        }
    }
}
