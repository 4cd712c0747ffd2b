using System.Buffers;
using System.Text;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Notation;

/// <summary>The signs of arithmetic in the spellings in which people type them.</summary>
public static partial class Signs
{
    /// <summary>The plain sign of one character: any dash is <c>-</c>, × and · are <c>*</c>, ÷ is <c>:</c>; others are what they are.</summary>
    /// <param name="sign">The character.</param>
    public static char Plain(char sign) => sign switch
    {
        '−' or '–' or '—' or '―' or '‐' or '‑' or '‒' or '⁻' or '﹣' or '－' or '➖' => '-',
        '×' or '·' or '⋅' or '∙' or '•' or '✕' or '✖' or '∗' or '＊' => '*',
        '÷' or '∶' or '➗' => ':',
        '／' or '∕' => '/',
        '＋' or '➕' => '+',
        '＝' => '=',
        _ => Digit(sign),
    };

    /// <summary>The text with every sign in its plain spelling; raised digits are written as powers: x² is <c>x^2</c>.</summary>
    public static string Plain(string text)
    {
        var plain = string.Create(text.Length, text, static (to, from) =>
        {
            for (var i = 0; i < to.Length; i++) to[i] = Plain(from[i]);
        });
        return plain.IndexOfAny(Raised) < 0 ? plain : WithPowers(plain);
    }

    /// <summary>The text with the digits of other scripts, and wide ones, as 0 to 9.</summary>
    public static string Digits(string text) => text.Any(c => Digit(c) != c) ? string.Concat(text.Select(Digit)) : text;

    private static readonly SearchValues<char> Raised = SearchValues.Create("⁰¹²³⁴⁵⁶⁷⁸⁹");

    private static char Digit(char sign) => sign > '\x7f' && char.IsDigit(sign) ? (char)('0' + (int)char.GetNumericValue(sign)) : sign;

    private static string WithPowers(string text)
    {
        var plain = new StringBuilder();
        for (var i = 0; i < text.Length; i++)
        {
            var isRaised = Raised.Contains(text[i]);
            if (isRaised && (i == 0 || !Raised.Contains(text[i - 1]))) plain.Append('^');
            plain.Append(isRaised ? (char)('0' + (int)char.GetNumericValue(text[i])) : text[i]);
        }

        return plain.ToString();
    }

    /// <summary>A task, fact or answer with the signs that are printed in a book: −, × and ÷, raised powers and the sign of a root.</summary>
    public static string Printed(string text)
    {
        var printed = text.Replace(" * ", " × ", StringComparison.Ordinal).Replace(" / ", " ÷ ", StringComparison.Ordinal).Replace('-', '−');
        return printed.AsSpan().ContainsAny('^', '(') ? WithRoots(WithRaised(printed)) : printed;
    }

    private static string WithRaised(string text)
    {
        var printed = new StringBuilder();
        for (var i = 0; i < text.Length; i++)
        {
            if (text[i] != '^' || i + 1 == text.Length || !char.IsAsciiDigit(text[i + 1])) printed.Append(text[i]);
            else
                for (; i + 1 < text.Length && char.IsAsciiDigit(text[i + 1]); i++) printed.Append("⁰¹²³⁴⁵⁶⁷⁸⁹"[text[i + 1] - '0']);
        }

        return printed.ToString();
    }

    // A number under a root needs no brackets in print.
    private static string WithRoots(string text) => Root().Replace(text, "√$1");

    [GeneratedRegex(@"sqrt\(([0-9.]+)\)")]
    private static partial Regex Root();
}
