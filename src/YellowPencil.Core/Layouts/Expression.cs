namespace YellowPencil.Core.Layouts;

/// <summary>What a sign in a line is.</summary>
public enum SignKind
{
    /// <summary>A number, with its point.</summary>
    Number,

    /// <summary>A letter that stands for a number.</summary>
    Letter,

    /// <summary>A sign between two amounts.</summary>
    Operator,

    /// <summary>A sign before an amount that belongs to it.</summary>
    Leading,

    /// <summary>A word such as <c>prime</c>.</summary>
    Word,
}

/// <summary>A part of a line of working, with where it stands in its text: from a character up to another, which is not in it.</summary>
public abstract record Expression(int From, int To);

/// <summary>A number, a letter, a sign or a word.</summary>
public sealed record SignPart(int From, int To, string Text, SignKind Kind) : Expression(From, To);

/// <summary>Parts that stand side by side; a mixed number is a number beside a fraction.</summary>
public sealed record SidePart(int From, int To, IReadOnlyList<Expression> Parts) : Expression(From, To);

/// <summary>A fraction with its line.</summary>
public sealed record FractionPart(int From, int To, Expression Numerator, Expression Denominator) : Expression(From, To);

/// <summary>What is raised behind the part before it.</summary>
public sealed record PowerPart(int From, int To, Expression Exponent) : Expression(From, To);

/// <summary>What stands under a root.</summary>
public sealed record RootPart(int From, int To, Expression Radicand) : Expression(From, To);

/// <summary>What stands in brackets.</summary>
public sealed record BracketPart(int From, int To, Expression Inside) : Expression(From, To);

/// <summary>What keeps a line from being built up.</summary>
/// <param name="At">The character at which it stands, counted from 0.</param>
/// <param name="Message">A sentence.</param>
public sealed record LineFault(int At, string Message);

/// <summary>A line of a working as it was typed, and as it is built up: fractions, powers, roots and brackets.</summary>
/// <param name="Text">The text.</param>
/// <param name="Root">What it says; null where it does not parse.</param>
/// <param name="Fault">Why it does not.</param>
public sealed record WrittenLine(string Text, Expression? Root, LineFault? Fault)
{
    /// <summary>Reads a line. What a family's method makes of it is another matter: a line that is wrong is built up as it stands.</summary>
    public static WrittenLine Read(string text)
    {
        var plain = Signs.Plain(text);

        // Raised digits take more characters as powers: places are those of the text that is shown then.
        try
        {
            return new WrittenLine(plain, new ExpressionReader(plain).Read(), null);
        }
        catch (ExpressionReader.Unbuilt e)
        {
            return new WrittenLine(plain, null, e.Fault);
        }
    }

    /// <summary>The numbers, letters and signs from the left, those over a line before those under it.</summary>
    public IEnumerable<SignPart> Leaves => Root is null ? [] : LeavesOf(Root);

    /// <summary>Where this line differs from another that should stand there; null where one of them does not parse or they are alike.</summary>
    /// <returns>From which character up to which: of what was left out, the neighbours.</returns>
    public (int From, int To)? DifferenceFrom(WrittenLine due)
    {
        var (mine, others) = (Leaves.ToList(), due.Leaves.Select(l => l.Text).ToList());
        if (mine.Count == 0 || others.Count == 0 || mine.Select(l => l.Text).SequenceEqual(others)) return null;
        var front = 0;
        while (front < mine.Count && front < others.Count && mine[front].Text == others[front]) front++;
        var back = 0;
        while (back < mine.Count - front && back < others.Count - front && mine[^(back + 1)].Text == others[^(back + 1)]) back++;
        var (first, last) = (front, mine.Count - 1 - back);
        return first <= last
            ? (mine[first].From, mine[last].To)
            : (mine[Math.Max(0, first - 1)].From, mine[Math.Min(mine.Count - 1, last + 1)].To);
    }

    /// <summary>Which of some lines has most in common with this one; null where none parses.</summary>
    public string? Closest(IEnumerable<string> lines)
    {
        var mine = Leaves.Select(l => l.Text).ToList();
        return lines.Select(text => (Text: text, Theirs: Read(text).Leaves.Select(l => l.Text).ToList())).Where(l => l.Theirs.Count > 0)
            .OrderBy(l => mine.Count + l.Theirs.Count - 2 * Common(mine, l.Theirs)).Select(l => l.Text).FirstOrDefault();
    }

    // How many signs stand at the beginning and at the end of both.
    private static int Common(List<string> one, List<string> other)
    {
        var shorter = Math.Min(one.Count, other.Count);
        var front = Enumerable.Range(0, shorter).TakeWhile(i => one[i] == other[i]).Count();
        return front + Enumerable.Range(1, shorter - front).TakeWhile(i => one[^i] == other[^i]).Count();
    }

    private static IEnumerable<SignPart> LeavesOf(Expression part) => part switch
    {
        SignPart sign => [sign],
        SidePart side => side.Parts.SelectMany(LeavesOf),
        FractionPart fraction => LeavesOf(fraction.Numerator).Concat(LeavesOf(fraction.Denominator)),
        PowerPart power => LeavesOf(power.Exponent),
        RootPart root => LeavesOf(root.Radicand),
        BracketPart bracket => LeavesOf(bracket.Inside),
        _ => throw new InvalidOperationException($"no signs of {part.GetType().Name}"),
    };
}
