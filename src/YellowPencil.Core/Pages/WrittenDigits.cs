namespace YellowPencil.Core.Pages;

/// <summary>The digits of what was written, as rows and cycles compare them.</summary>
internal static class WrittenDigits
{
    /// <summary>The digits without commas, points and zeros in front; empty for 0.</summary>
    public static string Of(string text) => string.Concat(text.Where(char.IsAsciiDigit)).TrimStart('0');
}
