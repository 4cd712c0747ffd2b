using System.Text.RegularExpressions;

namespace YellowPencil.Web.Printing;

/// <summary>
/// Numbers with a comma in what is printed, for schools that write them so. What is stored and read has the point; on the screen Scripts/decimal-sign.js turns
/// it, in the same way.
/// </summary>
internal static partial class DecimalSign
{
    /// <summary>A text as it is shown: numbers with a comma, a semicolon between them, and the sign by its name.</summary>
    public static string WithComma(string text)
    {
        var turned = Numbers(text);
        if (turned != text) turned = BetweenNumbers.Replace(turned, "; ");
        return Named.Replace(turned, point => point.Value[0] == 'P' ? "Comma" : "comma");
    }

    /// <summary>Numbers with a comma, and nothing else.</summary>
    public static string Numbers(string text) => InNumber.Replace(text, ",");

    /// <summary>A sign of a drawing: a point of its own is one too.</summary>
    public static string Sign(string sign) => sign == "." ? "," : Numbers(sign);

    [GeneratedRegex(@"(?<=\d)\.(?=\d)")]
    private static partial Regex InNumber { get; }

    [GeneratedRegex(@"(?<=\d), (?=[−-]?\d)")]
    private static partial Regex BetweenNumbers { get; }

    [GeneratedRegex(@"\b[Pp]oint(?=s?\b)")]
    private static partial Regex Named { get; }
}
