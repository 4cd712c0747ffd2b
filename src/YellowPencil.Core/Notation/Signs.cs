namespace YellowPencil.Core.Notation;

/// <summary>The signs of arithmetic in the spellings in which people type them.</summary>
public static class Signs
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
        _ => sign,
    };

    /// <summary>The text with every sign in its plain spelling.</summary>
    public static string Plain(string text) => string.Create(text.Length, text, static (to, from) =>
    {
        for (var i = 0; i < to.Length; i++) to[i] = Plain(from[i]);
    });

    /// <summary>A task or fact with the signs that are printed in a book: −, × and ÷.</summary>
    public static string Printed(string text) =>
        text.Replace(" * ", " × ", StringComparison.Ordinal).Replace(" / ", " ÷ ", StringComparison.Ordinal).Replace('-', '−');
}
