namespace YellowPencil.Core.Notation;

/// <summary>Reads the digits of a number as people type them.</summary>
internal static class NumberText
{
    private const string AboutCommas = "a comma groups thousands here, as in 1,204; for a decimal write a point, as in 3.5";

    /// <summary>Takes digits out of a piece of text: with commas that group thousands, and with at most one point where one is allowed.</summary>
    /// <param name="text">The text.</param>
    /// <param name="from">Where the digits begin.</param>
    /// <param name="to">Where they end.</param>
    /// <param name="allowsPoint">Whether there may be a point.</param>
    /// <param name="digits">The digits.</param>
    /// <param name="point">How many of them stand before the point; -1 where there is none.</param>
    /// <returns>What is wrong; null when the digits were read.</returns>
    public static TextFault? Scan(string text, int from, int to, bool allowsPoint, out string digits, out int point)
    {
        digits = "";
        point = -1;
        Span<char> found = stackalloc char[to - from];
        var count = 0;
        var lastComma = -1;
        for (var i = from; i < to; i++)
        {
            var sign = text[i];
            if (char.IsAsciiDigit(sign))
            {
                found[count++] = sign;
            }
            else if (sign == '.' && allowsPoint && point < 0)
            {
                if (lastComma >= 0 && i - lastComma != 4) return new TextFault(AboutCommas, lastComma);
                point = count;
                lastComma = -1;
            }
            else if (sign == ',')
            {
                // The first group has one to three digits and no zero in front, every other has three.
                var isFirst = lastComma < 0;
                if (point >= 0 || (isFirst ? i - from is 0 or > 3 || text[from] == '0' : i - lastComma != 4)) return new TextFault(AboutCommas, i);
                lastComma = i;
            }
            else
            {
                return new TextFault($"'{sign}' does not belong in a {(allowsPoint ? "number" : "whole number")}", i);
            }
        }

        if (lastComma >= 0 && to - lastComma != 4) return new TextFault(AboutCommas, lastComma);
        digits = found[..count].ToString();
        return null;
    }

    /// <summary>A number without the spaces that stand in it.</summary>
    public static string WithoutSpaces(string text) => string.Concat(text.Where(c => !char.IsWhiteSpace(c)));
}
