using System.Text.RegularExpressions;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>
/// <c>3/8 + 1/6</c>, <c>7 1/4 - 2 5/6</c>, <c>9 - 3 2/7</c>: two fractions or mixed numbers; with a whole part anywhere they are mixed numbers.
/// </summary>
internal sealed partial class FractionGrammar(Family family, bool hasWholes) : TaskGrammar
{
    public override bool ClaimsText(string text) => Slash().IsMatch(text) && MixedNumberIn().IsMatch(text) == hasWholes;

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        var at = 0;
        if (Number(text, ref at, out var first) is { } fault) return fault;
        SkipSpaces(text, ref at);
        if (at == text.Length) return Failed("a sign is missing: write what is to be done, such as 3/8 + 1/6", at);
        var sign = text[at];
        if (sign is '*' or 'x' or 'X' or ':' or '/') return Failed("fractions are added and taken away; their products and quotients are not read", at);
        if (sign is not ('+' or '-'))
            return Failed(char.IsAsciiDigit(sign) ? "a sign is missing between the numbers" : $"'{sign}' does not belong in a task", at);
        at++;
        if (Number(text, ref at, out var second) is { } other) return other;
        SkipSpaces(text, ref at);
        if (at < text.Length) return Failed(text[at] is '+' or '-' ? "one operation an item: two fractions" : $"'{text[at]}' does not belong in a task", at);
        return Parsed<ItemTask>.Of(new FractionTask(family, sign == '-', first, second));
    }

    private static Parsed<ItemTask>? Number(string text, ref int at, out MixedNumber number)
    {
        SkipSpaces(text, ref at);
        var from = at;
        number = default;
        if (at < text.Length && text[at] == '-') return Failed("fractions with a minus sign are not read", at);
        if (OverZero().Match(text, at) is { Success: true }) return Failed("nothing can be divided by 0", from);
        if (MixedNumber.TryRead(text, ref at) is not { } read)
            return Failed(at < text.Length ? $"'{text[at]}' does not belong in a task" : "a number is missing here", at);
        number = read;
        if (at < text.Length && (char.IsAsciiDigit(text[at]) || text[at] is '.' or '/'))
            return Failed(text[at] == '.' ? "a number has a point or a fraction, not both" : "this is no fraction", at);
        if (read.Whole > FractionTask.Most || read.Numerator > FractionTask.Most || read.Denominator > FractionTask.Most)
            return Failed($"the parts of a fraction go up to {FractionTask.Most}", from);
        return null;
    }

    private static void SkipSpaces(string text, ref int at)
    {
        while (at < text.Length && char.IsWhiteSpace(text[at])) at++;
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);

    [GeneratedRegex(@"\G(?:[0-9]+\s+)?[0-9]+/0+(?![0-9])")]
    private static partial Regex OverZero();

    // A whole number alone or in front of a fraction.
    [GeneratedRegex(@"(?<![0-9/.]\s*)\b[0-9]+(?!\s*[0-9/.])|[0-9]\s+[0-9]")]
    private static partial Regex MixedNumberIn();

    [GeneratedRegex(@"[0-9]/[0-9]")]
    private static partial Regex Slash();
}
