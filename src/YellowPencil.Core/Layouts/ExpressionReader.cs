namespace YellowPencil.Core.Layouts;

/// <summary>
/// Reads a line as it is typed in plain characters: <c>29/4 - 17/6</c>, <c>2 3/4</c>, <c>3x^2</c>, <c>sqrt(31)</c>, <c>(x + 3)/2</c>. A slash without
/// spaces makes a fraction of what stands close to it, one with spaces divides.
/// </summary>
internal sealed class ExpressionReader(string text)
{
    private const int Deepest = 12;
    private static readonly string[] Words = ["prime", "none", "all", "no", "or", "and"];
    private int at;
    private int depth;

    public Expression Read()
    {
        var line = Side();
        if (at < text.Length) throw Wrong(at, "This bracket closes nothing.");
        return line;
    }

    private Expression Side()
    {
        if (++depth > Deepest) throw Wrong(at, "Brackets stand too deep in each other.");
        var (from, close) = (at, 0);
        var parts = new List<Expression>();
        while (at < text.Length && text[at] != ')')
        {
            if (text[at] == ' ')
            {
                at++;
                close = parts.Count;
            }
            else if (text[at] == '/' && !IsSpaced)
            {
                Over(parts, close);
            }
            else if ("+-*/:=<>±,".Contains(text[at]))
            {
                var isLeading = text[at] is '-' or '+' or '±' && (parts.Count == 0 || parts[^1] is SignPart { Kind: SignKind.Operator or SignKind.Leading });
                parts.Add(new SignPart(at, ++at, Shown(text[at - 1]), isLeading ? SignKind.Leading : SignKind.Operator));
                close = parts.Count;
            }
            else
            {
                parts.Add(text[at] == '^' ? Power(parts.Count > close) : Factor());
            }
        }

        depth--;
        return parts.Count == 1 ? parts[0] : new SidePart(from, at, parts);
    }

    private bool IsSpaced => at > 0 && text[at - 1] == ' ' && at + 1 < text.Length && text[at + 1] == ' ';

    // What stands close before the slash goes over the line, and one factor with its power under it.
    private void Over(List<Expression> parts, int close)
    {
        if (close >= parts.Count) throw Wrong(at, "Nothing stands over the line of this fraction.");
        var over = parts[close..];
        parts.RemoveRange(close, over.Count);
        at++;
        if (at >= text.Length || text[at] is ' ' or ')') throw Wrong(at - 1, "Nothing stands under the line of this fraction.");
        var from = at;
        List<Expression> under = [];
        if (text[at] == '-') under.Add(new SignPart(at, ++at, Shown('-'), SignKind.Leading));
        under.Add(Factor());
        if (at < text.Length && text[at] == '^') under.Add(Power(true));
        parts.Add(new FractionPart(over[0].From, at, Bare(over, over[0].From), Bare(under, from)));
    }

    // The line of a fraction does what brackets round the whole would do.
    private static Expression Bare(List<Expression> parts, int from) => parts switch
    {
        [BracketPart bracket] => bracket.Inside,
        [var one] => one,
        _ => new SidePart(from, parts[^1].To, parts),
    };

    private PowerPart Power(bool hasBase)
    {
        var from = at++;
        if (!hasBase) throw Wrong(from, "Nothing stands before this power.");
        if (at >= text.Length || text[at] == ' ') throw Wrong(from, "No power stands behind this sign.");
        List<Expression> parts = [];
        if (text[at] == '-') parts.Add(new SignPart(at, ++at, Shown('-'), SignKind.Leading));
        parts.Add(Factor());
        return new PowerPart(from, at, Bare(parts, from + 1));
    }

    private Expression Factor()
    {
        var from = at;
        if (at >= text.Length) throw Wrong(at, "Something is missing at the end of the line.");
        if (char.IsAsciiDigit(text[at]) || text[at] == '.')
        {
            while (at < text.Length && (char.IsAsciiDigit(text[at]) || text[at] == '.')) at++;
            return new SignPart(from, at, text[from..at], SignKind.Number);
        }

        if (text[at] == '(') return new BracketPart(from, at, Inside()) is var bracket ? bracket with { To = at } : bracket;
        if (text[at] == '√' || text.AsSpan(at).StartsWith("sqrt", StringComparison.Ordinal))
        {
            at += text[at] == '√' ? 1 : 4;
            return new RootPart(from, at, at < text.Length && text[at] == '(' ? Inside() : Factor()) is var root ? root with { To = at } : root;
        }

        if (Array.Find(Words, w => text.AsSpan(at).StartsWith(w, StringComparison.Ordinal) && (at + w.Length == text.Length || !char.IsAsciiLetter(text[at + w.Length]))) is { } word)
        {
            at += word.Length;
            return new SignPart(from, at, word, SignKind.Word);
        }

        if (char.IsAsciiLetter(text[at])) return new SignPart(from, ++at, text[from].ToString(), SignKind.Letter);
        if (text[at] is '?' or '…') return new SignPart(from, ++at, text[from].ToString(), SignKind.Word);
        throw Wrong(at, text[at] == ')' ? "Something is missing before this bracket." : $"“{text[at]}” has no place in a line.");
    }

    private Expression Inside()
    {
        var open = at++;
        var inside = Side();
        if (at >= text.Length) throw Wrong(open, "This bracket is not closed.");
        at++;
        return inside;
    }

    private static string Shown(char sign) => sign switch { '-' => "−", '*' => "×", '/' or ':' => "÷", _ => sign.ToString() };

    private static Unbuilt Wrong(int place, string message) => new(new LineFault(place, message));

    /// <summary>The line cannot be built up.</summary>
    internal sealed class Unbuilt(LineFault fault) : Exception(fault.Message)
    {
        public LineFault Fault => fault;
    }
}
