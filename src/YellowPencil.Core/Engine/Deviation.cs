namespace YellowPencil.Core.Engine;

/// <summary>A way in which a student departs from a taught method.</summary>
public abstract class Deviation
{
    private protected Deviation()
    {
    }

    /// <summary>The decision concerned; null for a wrong number fact.</summary>
    public abstract Decision? Decision { get; }

    /// <summary>What is done instead, as an object that is the same for all deviations that do the same there; null for a wrong number fact.</summary>
    internal virtual object? Done => null;
}

/// <summary>At a decision point, in contexts of one kind, something else than what is taught.</summary>
internal sealed class ContextDeviation<TContext>(Decision<TContext> decision, Func<TContext, bool> when, ChoiceResult<TContext> make) : Deviation
    where TContext : struct, IDecisionContext
{
    public override Decision Decision => decision;

    internal override object Done => make;

    public Func<TContext, bool> When => when;

    public ChoiceResult<TContext> Result => make;

    /// <summary>The same in fewer contexts.</summary>
    public ContextDeviation<TContext> Where(Func<TContext, bool> also) => new(decision, c => when(c) && also(c), make);

    /// <summary>Whether something else comes of it in a context than of what is taught.</summary>
    public bool Applies(in TContext context, int taught, out int made)
    {
        made = when(context) ? make(context, taught) : Nothing.Done;
        return made != taught && made >= 0;
    }
}

/// <summary>The operation of a number fact.</summary>
public enum FactKind
{
    /// <summary>a + b</summary>
    Plus,

    /// <summary>a - b</summary>
    Minus,

    /// <summary>a * b</summary>
    Times,

    /// <summary>a / b, which comes out even</summary>
    DividedBy,
}

/// <summary>A number fact, for example 13 - 7.</summary>
public readonly record struct NumberFact(FactKind Kind, int First, int Second)
{
    /// <summary>The right value.</summary>
    public int Value => Kind switch
    {
        FactKind.Plus => First + Second,
        FactKind.Minus => First - Second,
        FactKind.DividedBy => First / Second,
        _ => First * Second,
    };

    /// <summary>
    /// The values that a person could take the fact to be by a slip, with relative weights: differences are mostly off by one or
    /// two, sums too, or by ten; products mostly by one count of a factor.
    /// </summary>
    /// <param name="held">The value that the person holds without the slip; it is left out.</param>
    public IEnumerable<(int Value, double Weight)> Near(int held)
    {
        var (from, to) = Kind switch
        {
            FactKind.Minus when First < 20 && Value < 10 => (0, 9),
            FactKind.Plus or FactKind.Minus => (Math.Max(0, held - 10), held + 10),
            _ => (Math.Max(0, held - 12), held + 12),
        };
        for (var value = from; value <= to; value++)
        {
            var off = Math.Abs(value - held);
            if (off > 0) yield return (value, Weight(off));
        }
    }

    private double Weight(int off) => Kind is FactKind.Times && (off == First || off == Second)
        ? 4
        : off switch { 1 => Kind == FactKind.Times ? 2 : 4, 2 => 2, 10 => 1, _ => 0.5 };

    /// <summary>The fact in the order in which it is named: 7 * 8 and 8 * 7 are one fact, and so are sums.</summary>
    public NumberFact Ordered => Kind is FactKind.Plus or FactKind.Times && First > Second ? new NumberFact(Kind, Second, First) : this;

    /// <summary>Reads what <see cref="ToString"/> writes.</summary>
    /// <exception cref="FormatException">The text is no fact.</exception>
    public static NumberFact Parse(string text)
    {
        var parts = text.Split(' ');
        if (parts.Length != 3 || !int.TryParse(parts[0], out var first) || !int.TryParse(parts[2], out var second))
            throw new FormatException($"\"{text}\" is no number fact");
        return new NumberFact(parts[1] switch { "+" => FactKind.Plus, "-" => FactKind.Minus, "/" => FactKind.DividedBy, _ => FactKind.Times }, first, second);
    }

    /// <inheritdoc/>
    public override string ToString() =>
        $"{First} {(Kind switch { FactKind.Plus => "+", FactKind.Minus => "-", FactKind.DividedBy => "/", _ => "*" })} {Second}";
}

/// <summary>A number fact that the student holds to be something else.</summary>
public sealed class FactDeviation(NumberFact fact, int written) : Deviation
{
    /// <inheritdoc/>
    public override Decision? Decision => null;

    /// <summary>The fact, in the order in which it is named.</summary>
    public NumberFact Fact { get; } = fact.Ordered;

    /// <summary>What the student takes it to be.</summary>
    public int Written { get; } = written;

    /// <summary>Whether a fact, either way round, is this one.</summary>
    public bool IsAbout(NumberFact fact) => fact.Kind == Fact.Kind && fact.Ordered == Fact;
}
