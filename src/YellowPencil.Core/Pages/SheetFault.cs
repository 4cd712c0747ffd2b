namespace YellowPencil.Core.Pages;

/// <summary>What is wrong with a sheet, and where.</summary>
/// <param name="Field">The path of the field, for example <c>items[2].work.rewritten</c>; empty for the whole text.</param>
/// <param name="Message">One sentence.</param>
/// <param name="Line">The line of the text, from 1, where that is known.</param>
public sealed record SheetFault(string Field, string Message, int? Line = null)
{
    /// <inheritdoc/>
    public override string ToString() =>
        $"{(Line is { } line ? $"line {line}: " : "")}{(Field.Length > 0 ? Field + ": " : "")}{Message}";
}
