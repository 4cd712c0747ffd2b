namespace YellowPencil.Core.Notation;

/// <summary>Products of brackets with something before them, as they are written.</summary>
public static class BracketText
{
    /// <summary>A product as it is written, its brackets in one order.</summary>
    public static string Write(PolyTerm before, IEnumerable<IReadOnlyList<PolyTerm>> brackets, char letter)
    {
        var front = before is { Power: 0, Number.IsOne: true } ? "" : before.Power == 0 && before.Number == -1 ? "-" : PolynomialText.Write([before], letter);
        return front + string.Concat(brackets.Select(b => $"({PolynomialText.Write(PolynomialText.InOrder(b), letter)})").Order(StringComparer.Ordinal));
    }

    /// <summary>Reads a product of brackets; null for anything else.</summary>
    internal static (PolyTerm Before, List<IReadOnlyList<PolyTerm>> Brackets)? TryRead(string text)
    {
        char? letter = null;
        var at = 0;
        var before = new PolyTerm(1, 0);
        PolynomialText.Skip(text, ref at);
        if (at < text.Length && text[at] != '(')
        {
            var isNegative = text[at] == '-';
            if (isNegative) at++;
            PolynomialText.Skip(text, ref at);
            if (at < text.Length && text[at] != '(')
            {
                if (PolynomialText.Term(text, ref at, ref letter, out _) is not { } term) return null;
                before = term;
            }

            if (isNegative) before = before.Turned;
        }

        var brackets = new List<IReadOnlyList<PolyTerm>>();
        while (true)
        {
            PolynomialText.Skip(text, ref at);
            if (at == text.Length) return brackets.Count > 0 ? (before, brackets) : null;
            if (text[at] == '*') at++;
            if (at == text.Length || text[at++] != '(') return null;
            if (PolynomialText.TryRead(text, ref at, ref letter, out _) is not { } terms || at == text.Length || text[at++] != ')') return null;
            brackets.Add(terms);
            if (at + 1 >= text.Length || text[at] != '^' || text[at + 1] != '2') continue;
            brackets.Add(terms);
            at += 2;
        }
    }
}
