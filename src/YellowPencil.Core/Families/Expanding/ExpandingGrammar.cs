namespace YellowPencil.Core.Families.Expanding;

/// <summary><c>expand 3x(2x - 7)</c>, <c>expand (y - 6)(y + 9)</c>, <c>expand (x + 5)^2</c></summary>
internal sealed class ExpandingGrammar : TaskGrammar
{
    public override string Word => "expand";

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        char? letter = null;
        var at = from;
        PolynomialText.Skip(text, ref at);
        PolyTerm? before = null;
        if (at < text.Length && text[at] != '(')
        {
            var isNegative = text[at] is '-' or '+' && text[at++] == '-';
            PolynomialText.Skip(text, ref at);
            if (at < text.Length && text[at] == '(') before = new PolyTerm(1, 0);
            else if (PolynomialText.Term(text, ref at, ref letter, out var wrong) is { } term) before = term;
            else return Failed(wrong.Message, wrong.Position);
            if (isNegative) before = before.Value.Turned;
        }

        if (Bracket(text, ref at, ref letter, out var fault) is not { } first) return Failed(fault.Message, fault.Position);
        PolynomialText.Skip(text, ref at);
        var isSquare = at < text.Length && text[at] == '^';
        List<PolyTerm>? second = null;
        if (isSquare)
        {
            if (at + 1 >= text.Length || text[at + 1] != '2') return Failed("a bracket is squared: ^2", at + 1);
            at += 2;
        }
        else if (at < text.Length && text[at] is '(' or '*' && at < text.Length)
        {
            if (text[at] == '*') at++;
            if ((second = Bracket(text, ref at, ref letter, out fault)) is null) return Failed(fault.Message, fault.Position);
        }

        PolynomialText.Skip(text, ref at);
        if (at < text.Length) return Failed($"'{text[at]}' does not belong here: one product an item", at);
        if (before is not null && (isSquare || second is not null)) return Failed("a term and one bracket, or two brackets", from);
        if (before is null && !isSquare && second is null) return Failed("what is to be multiplied with the bracket is missing", at);
        if (first.Count > 4 || second is { Count: > 4 }) return Failed("at most four terms in a bracket", at);
        return Parsed<ItemTask>.Of(new ExpandingTask(before, first, second, isSquare, letter ?? 'x'));
    }

    private static List<PolyTerm>? Bracket(string text, ref int at, ref char? letter, out TextFault fault)
    {
        PolynomialText.Skip(text, ref at);
        if (at == text.Length || text[at] != '(')
        {
            fault = new TextFault("a bracket is missing here", at);
            return null;
        }

        at++;
        if (PolynomialText.TryRead(text, ref at, ref letter, out fault) is not { } terms) return null;
        if (at < text.Length && text[at] == ')')
        {
            at++;
            return terms;
        }

        fault = new TextFault(at == text.Length ? "a bracket is not closed" : $"'{text[at]}' does not belong in a bracket", at);
        return null;
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);
}
