namespace YellowPencil.Core.Layouts;

/// <summary>A sign of a line where it stands: the middle of it, and its size as a share of the usual one.</summary>
public readonly record struct PlacedSign(double X, double Y, string Text, double Size, int From, int To);

/// <summary>A straight line of a built-up expression: of a fraction, a root or a large bracket.</summary>
public readonly record struct Stroke(double X1, double Y1, double X2, double Y2);

/// <summary>
/// A line of working, laid out: signs and strokes round the line on which an equals sign stands, which is 0 high. One square of the paper is
/// <see cref="Square"/> units.
/// </summary>
/// <param name="Width">How wide it is.</param>
/// <param name="Up">How far it goes above its middle.</param>
/// <param name="Down">How far it goes below.</param>
/// <param name="Placed">Its signs.</param>
/// <param name="Strokes">Its strokes.</param>
public sealed record ExpressionBox(double Width, double Up, double Down, IReadOnlyList<PlacedSign> Placed, IReadOnlyList<Stroke> Strokes)
{
    /// <summary>The side of a square of the paper.</summary>
    public const double Square = 28;

    // So much a power may reach into the squares above.
    private const double Overlap = 4;
    private const double Half = 14;
    private const double Smallest = 0.6;
    private const double InFraction = 0.8;
    private const double InPower = 0.68;
    private static readonly ExpressionBox Nothing = new(0, 0, 0, [], []);

    /// <summary>How many squares it is high.</summary>
    public int Squares => Math.Max(1, (int)Math.Ceiling((Up + Down - Overlap) / Square));

    /// <summary>Lays out a line; one that does not parse stands as it was typed.</summary>
    public static ExpressionBox Of(WrittenLine line) => line.Root is { } root ? Lay(root, 1) : Plain(line.Text);

    /// <summary>The box round some characters of the line; round all of it where none of them has a sign.</summary>
    public (double Left, double Top, double Right, double Bottom) Around(int from, int to)
    {
        var inside = Placed.Where(s => s.From < to && s.To > from).ToList();
        if (inside.Count == 0) return (0, -Up, Width, Down);
        return (inside.Min(s => s.X - Advance(s.Text, s.Size) / 2), inside.Min(s => s.Y - Half * s.Size), inside.Max(s => s.X + Advance(s.Text, s.Size) / 2), inside.Max(s => s.Y + Half * s.Size));
    }

    private static ExpressionBox Plain(string text)
    {
        var (x, placed) = (0.0, new List<PlacedSign>());
        for (var i = 0; i < text.Length; i++)
        {
            var wide = text[i] == ' ' ? 8 : Advance(text[i].ToString(), 1);
            if (text[i] != ' ') placed.Add(new PlacedSign(x + wide / 2, 0, Notation.Signs.Printed(text[i].ToString()), 1, i, i + 1));
            x += wide;
        }

        return new ExpressionBox(x, Half, Half, placed, []);
    }

    private static ExpressionBox Lay(Expression part, double size) => part switch
    {
        SignPart sign => Sign(sign, size),
        SidePart side => Side(side, size),
        FractionPart fraction => Fraction(fraction, size),
        PowerPart power => Beside(Nothing, power, size),
        RootPart root => Root(root, size),
        BracketPart bracket => Bracket(bracket, size),
        _ => throw new InvalidOperationException($"no layout of {part.GetType().Name}"),
    };

    private static ExpressionBox Sign(SignPart sign, double size)
    {
        var isOperator = sign.Kind == SignKind.Operator;
        var (x, placed) = (isOperator ? 5 * size : 0, new List<PlacedSign>());
        for (var i = 0; i < sign.Text.Length; i++)
        {
            var wide = Advance(sign.Text[i].ToString(), size);
            var at = sign.From + Math.Min(i, sign.To - sign.From - 1);
            placed.Add(new PlacedSign(x + wide / 2, 0, sign.Text[i].ToString(), size, at, at + 1));
            x += wide;
        }

        return new ExpressionBox(x + (isOperator ? 5 * size : sign.Kind == SignKind.Word ? 6 * size : 0), Half * size, Half * size, placed, []);
    }

    private static ExpressionBox Side(SidePart side, double size)
    {
        var whole = Nothing;
        for (var i = 0; i < side.Parts.Count; i++)
        {
            // A whole number stands close before its fraction, and yet apart from it.
            var gap = side.Parts[i] is FractionPart && i > 0 && side.Parts[i - 1] is not SignPart { Kind: SignKind.Operator } ? 4 * size : 0;
            whole = side.Parts[i] is PowerPart power ? Beside(whole, power, size) : Join(whole, Lay(side.Parts[i], size), whole.Width + gap, 0);
        }

        return whole.Up == 0 ? whole with { Up = Half * size, Down = Half * size } : whole;
    }

    // A power stands at the upper edge of what it belongs to: the part before it, however high that is.
    private static ExpressionBox Beside(ExpressionBox whole, PowerPart power, double size)
    {
        var raised = Lay(power.Exponent, Math.Max(Smallest, size * InPower));
        var last = whole.Placed.Count > 0 && whole.Placed[^1] is var sign && !whole.Strokes.Any(s => Math.Max(s.X1, s.X2) > sign.X) ? sign.Y - Half * sign.Size : -Math.Max(whole.Up, Half * size);
        return Join(whole, raised, Math.Max(0, whole.Width - 1.5 * size), last + 4 * size - raised.Down + 12.5 * size);
    }

    private static ExpressionBox Fraction(FractionPart fraction, double size)
    {
        var inside = Math.Max(Smallest, size * InFraction);
        var (over, under) = (Lay(fraction.Numerator, inside), Lay(fraction.Denominator, inside));
        var wide = Math.Max(over.Width, under.Width) + 6;
        var whole = Join(Nothing, over, (wide - over.Width) / 2, -over.Down - 2);
        whole = Join(whole, under, (wide - under.Width) / 2, under.Up + 2);
        return whole with { Width = wide, Strokes = [.. whole.Strokes, new Stroke(1, 0, wide - 1, 0)] };
    }

    private static ExpressionBox Root(RootPart root, double size)
    {
        const double Hook = 14;
        var inside = Lay(root.Radicand, size);
        var (top, bottom) = (-inside.Up + 1, inside.Down - 4 * size);
        var whole = Join(Nothing, inside, Hook, 0);
        return whole with
        {
            Width = whole.Width + 3,
            Strokes = [.. whole.Strokes, new Stroke(1, 1, 5, bottom), new Stroke(5, bottom, 11, top), new Stroke(11, top, whole.Width + 2, top)],
        };
    }

    private static ExpressionBox Bracket(BracketPart bracket, double size)
    {
        var inside = Lay(bracket.Inside, size);
        if (inside.Up + inside.Down <= 2.6 * Half * size)
        {
            var opened = Join(Sign(new SignPart(bracket.From, bracket.From + 1, "(", SignKind.Letter), size), inside, Advance("(", size), 0);
            return Join(opened, Sign(new SignPart(bracket.To - 1, bracket.To, ")", SignKind.Letter), size), opened.Width, 0);
        }

        var whole = Join(Nothing, inside, 9, 0);
        return whole with { Width = whole.Width + 9, Strokes = [.. whole.Strokes, .. Curve(7, 2, inside), .. Curve(whole.Width + 2, whole.Width + 7, inside)] };
    }

    private static IEnumerable<Stroke> Curve(double end, double middle, ExpressionBox inside)
    {
        var (top, bottom) = (-inside.Up + 3, inside.Down - 3);
        return [new Stroke(end, top, middle, top * 0.55), new Stroke(middle, top * 0.55, middle, bottom * 0.55), new Stroke(middle, bottom * 0.55, end, bottom)];
    }

    private static ExpressionBox Join(ExpressionBox whole, ExpressionBox part, double x, double y) => new(
        Math.Max(whole.Width, x + part.Width),
        Math.Max(whole.Up, part.Up - y),
        Math.Max(whole.Down, part.Down + y),
        [.. whole.Placed, .. part.Placed.Select(s => s with { X = s.X + x, Y = s.Y + y })],
        [.. whole.Strokes, .. part.Strokes.Select(s => new Stroke(s.X1 + x, s.Y1 + y, s.X2 + x, s.Y2 + y))]);

    private static double Advance(string sign, double size) => size * sign switch
    {
        "." or "," => 7,
        "(" or ")" => 10,
        "+" or "−" or "×" or "÷" or "=" or "<" or ">" or "±" => 15,
        "i" or "l" or "r" or "t" => 10,
        "m" or "w" => 18,
        _ => 14,
    };
}
