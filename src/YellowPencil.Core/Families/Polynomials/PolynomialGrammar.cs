namespace YellowPencil.Core.Families.Polynomials;

/// <summary><c>simplify (4x^2 - 3x) - (x^2 - 5)</c></summary>
internal sealed class PolynomialGrammar : TaskGrammar
{
    public override string Word => "simplify";

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        var groups = new List<TermGroup>();
        char? letter = null;
        var at = from;
        while (true)
        {
            PolynomialText.Skip(text, ref at);
            if (at == text.Length && groups.Count > 0) break;
            var isTakenAway = false;
            if (at < text.Length && text[at] is '+' or '-' && IsBeforeBracket(text, at))
            {
                isTakenAway = text[at] == '-';
                at++;
                PolynomialText.Skip(text, ref at);
            }
            else if (groups.Count > 0 && at < text.Length && text[at] is not ('+' or '-'))
            {
                return Failed(
                    text[at] == '('
                        ? "a plus or a minus is missing between the brackets; to multiply, write expand"
                        : $"'{text[at]}' does not belong in a sum of polynomials",
                    at);
            }

            var isBracketed = at < text.Length && text[at] == '(';
            if (isBracketed) at++;
            if (PolynomialText.TryRead(text, ref at, ref letter, out var fault) is not { } terms) return Failed(fault.Message, fault.Position);
            if (isBracketed)
            {
                if (at == text.Length || text[at] != ')')
                    return Failed(at == text.Length ? "a bracket is not closed" : $"'{text[at]}' does not belong in a bracket", at);
                at++;
            }

            groups.Add(new TermGroup(isTakenAway, terms));
            if (groups.Count > PolynomialTask.MostGroups) return Failed($"at most {PolynomialTask.MostGroups} brackets an item", at);
        }

        if (groups.Sum(g => g.Terms.Count) > PolynomialTask.MostTerms) return Failed($"at most {PolynomialTask.MostTerms} terms an item", text.Length);
        return Parsed<ItemTask>.Of(new PolynomialTask(groups, letter ?? 'x'));
    }

    private static bool IsBeforeBracket(string text, int at)
    {
        at++;
        PolynomialText.Skip(text, ref at);
        return at < text.Length && text[at] == '(';
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);
}
