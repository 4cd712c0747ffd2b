using YellowPencil.Core.Families.Addition;

namespace YellowPencil.Core.Notation;

/// <summary>A number of a calculation with the sign of operation before it.</summary>
/// <param name="Sign">One of + - * /; a space for the first number.</param>
/// <param name="Number">The number.</param>
/// <param name="At">Where the number begins.</param>
internal sealed record Term(char Sign, DecimalNumber Number, int At);

/// <summary>Numbers with one operation between them.</summary>
internal sealed class Calculation
{
    private Calculation(List<Term> terms) => Terms = terms;

    public IReadOnlyList<Term> Terms { get; }

    /// <summary>The operation.</summary>
    public char Sign => Terms[1].Sign;

    public DecimalNumber First => Terms[0].Number;

    public DecimalNumber Second => Terms[1].Number;

    /// <summary>Where the second number begins.</summary>
    public int SecondAt => Terms[1].At;

    public bool HasPoint => Terms.Any(t => t.Number.HasPoint);

    public bool HasSigns => Terms.Any(t => t.Number.IsNegative);

    /// <summary>Whether the numbers are whole and have no signs.</summary>
    public bool IsPlain => !HasPoint && !HasSigns;

    /// <summary>Whether a larger whole number is taken from a smaller one: no columns are written for that.</summary>
    public bool IsBelowZero => IsPlain && Sign == '-' && Terms.Count == 2 && First.Unscaled < Second.Unscaled;

    public WholeNumber Whole(int index) => WholeNumber.TryParse(Terms[index].Number.Text).Value!;

    /// <summary>Takes a text apart; signs are in their plain spelling.</summary>
    public static Parsed<Calculation> TryParse(string text)
    {
        var terms = new List<Term>();
        var sign = ' ';
        var i = 0;
        while (true)
        {
            if (Number(text, ref i, sign, terms) is { } fault) return Failed(fault.Message, fault.Position);
            var behind = i;
            SkipSpaces(text, ref i);
            if (i == text.Length) break;
            sign = text[i] switch { '+' => '+', '-' => '-', '*' or 'x' or 'X' => '*', '/' or ':' => '/', _ => ' ' };
            if (sign == ' ') return Failed(char.IsAsciiDigit(text[i]) ? "a sign is missing between the numbers" : Unknown(text[i]), i);
            if (terms.Count > 1 && (sign != '+' || terms[1].Sign != '+')) return Failed("one operation an item: only sums have more than two numbers", i);
            if (text[i] == '/' && (behind == i || i + 1 == text.Length || !char.IsWhiteSpace(text[i + 1])))
                return Failed("a slash that divides has a space on both sides; in a fraction it has none", i);
            i++;
        }

        return terms.Count < 2 ? Failed("a sign is missing: write what is to be done, such as 604 - 278", text.Length)
            : terms.Count > ColumnSum.MaxAddends ? Failed($"a sum has at most {ColumnSum.MaxAddends} addends", terms[ColumnSum.MaxAddends].At)
            : Parsed<Calculation>.Of(new Calculation(terms));
    }

    /// <summary>Reads one number, with its own sign, in brackets or not.</summary>
    private static TextFault? Number(string text, ref int i, char sign, List<Term> terms)
    {
        SkipSpaces(text, ref i);
        var isBracketed = i < text.Length && text[i] == '(';
        if (isBracketed) i++;
        SkipSpaces(text, ref i);
        var start = i;
        if (i < text.Length && text[i] is '-' or '+') i++;
        var first = i;
        while (i < text.Length && (char.IsAsciiDigit(text[i]) || text[i] is '.' or ',')) i++;
        if (i == first) return new TextFault(i < text.Length ? Unknown(text[i]) : "a number is missing here", i);
        var number = DecimalNumber.TryParse(text[(text[start] == '+' ? first : start)..i]);
        if (!number.Succeeded) return new TextFault(number.Fault.Message, start + number.Fault.Position);
        terms.Add(new Term(sign, number.Value, start));
        if (!isBracketed) return null;
        SkipSpaces(text, ref i);
        if (i == text.Length || text[i] != ')') return new TextFault("a bracket is not closed", i);
        i++;
        return null;
    }

    private static void SkipSpaces(string text, ref int i)
    {
        while (i < text.Length && char.IsWhiteSpace(text[i])) i++;
    }

    private static string Unknown(char sign) => char.IsAsciiLetter(sign) || sign is '(' or '=' or '^'
        ? "only numbers with + - * / between them can be read so far, such as 604 - 278"
        : $"'{sign}' does not belong in a task";

    private static Parsed<Calculation> Failed(string message, int position) => Parsed<Calculation>.Failed(message, position);
}
