using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>A piece of a bar.</summary>
/// <param name="Text">What stands on it.</param>
/// <param name="Length">How long it is.</param>
/// <param name="HasLetter">Whether it is one of the letter.</param>
public sealed record BarPiece(string Text, double Length, bool HasLetter);

/// <summary>One side of an equation.</summary>
/// <param name="Text">As it is written.</param>
/// <param name="Pieces">Its pieces, laid end to end; empty where it cannot be laid.</param>
/// <param name="Value">What it comes to with the number that is written for the letter; null before.</param>
public sealed record EquationSide(string Text, IReadOnlyList<BarPiece> Pieces, Rational? Value);

/// <summary>The two sides of an equation: as bars where all of it can be laid, on a balance else, which stays level only with the number that solves it.</summary>
public sealed record TwoSides : ItemModel
{
    private const int MostPieces = 10;
    private const int LongestNumber = 200;

    /// <summary>The left side.</summary>
    public required EquationSide Left { get; init; }

    /// <summary>The right side.</summary>
    public required EquationSide Right { get; init; }

    /// <summary>Whether it can be laid as bars.</summary>
    public bool AreBars => Left.Pieces.Count > 0 && Right.Pieces.Count > 0;

    /// <summary>To which side the balance leans: -1 to the left, 1 to the right, 0 where it is level, or nothing is put in yet.</summary>
    public int Leans => Left.Value is { } left && Right.Value is { } right ? (right - left).Sign : 0;

    /// <inheritdoc/>
    public override string Name => AreBars ? "Bars of two sides" : "A balance";

    /// <inheritdoc/>
    public override string Text =>
        Left.Value is { } left && Right.Value is { } right
            ? $"With {PutIn}, the left side is {Signs.Printed(left.Text)} and the right side {Signs.Printed(right.Text)}."
            : $"{Left.Text} on the left and {Right.Text} on the right are the same.";

    /// <inheritdoc/>
    public override string Disagreement => Leans == 0 ? "" : $"With {PutIn}, the two sides are not the same.";

    /// <summary>What was put in: a number for the letter; empty before.</summary>
    public string PutIn { get; private init; } = "";

    /// <summary>The model of an equation.</summary>
    /// <param name="texts">The two sides, as they are written.</param>
    /// <param name="laid">The pieces of both sides, the number of each with whether it is one of the letter; null where they cannot be laid.</param>
    /// <param name="letter">The letter.</param>
    /// <param name="solution">The number that solves it; null where none or every number does.</param>
    /// <param name="written">The number that is written for the letter; null before.</param>
    /// <param name="valueWith">What both sides come to with a number for the letter.</param>
    public static TwoSides Of(
        (string Left, string Right) texts, (IReadOnlyList<(Rational Number, bool HasLetter)> Left, IReadOnlyList<(Rational Number, bool HasLetter)> Right)? laid, char letter,
        Rational? solution, Rational? written, Func<Rational, (Rational Left, Rational Right)> valueWith)
    {
        var length = written is { Sign: > 0 } own ? own : solution is { Sign: > 0 } right ? right : (Rational?)null;
        var pieces = laid is { } sides && length is { } one && CanBeLaid(sides.Left, one) && CanBeLaid(sides.Right, one)
            ? (Pieces(sides.Left, one, letter), Pieces(sides.Right, one, letter))
            : ([], []);
        var values = written is { } number ? valueWith(number) : default;
        return new TwoSides
        {
            Left = new EquationSide(texts.Left, pieces.Item1, written is null ? null : values.Left),
            Right = new EquationSide(texts.Right, pieces.Item2, written is null ? null : values.Right),
            PutIn = written is { } said ? $"{Signs.Printed(said.Text)} for {letter}" : "",
        };
    }

    private static bool CanBeLaid(IReadOnlyList<(Rational Number, bool HasLetter)> side, Rational length) =>
        side.Count > 0
            && side.All(t => t.Number.Sign > 0 && (!t.HasLetter || t.Number is { IsWhole: true } whole && whole.Numerator <= MostPieces))
            && side.Aggregate(Rational.Whole(0), (sum, t) => sum + (t.HasLetter ? t.Number * length : t.Number)) is var all && !(all > Rational.Whole(LongestNumber));

    private static List<BarPiece> Pieces(IReadOnlyList<(Rational Number, bool HasLetter)> side, Rational length, char letter) =>
    [
        .. side.SelectMany(t => t.HasLetter
            ? Enumerable.Repeat(new BarPiece(letter.ToString(), AsDouble(length), true), (int)t.Number.Numerator)
            : [new BarPiece(t.Number.Text, AsDouble(t.Number), false)]),
    ];

    private static double AsDouble(Rational number) => (double)number.Numerator / (double)(BigInteger)number.Denominator;
}
