using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A square root that is to be estimated by hand to a place; on the way to its answer a lower root and a fraction, or a decimal that is to be rounded.</summary>
public sealed class RootTask : ItemTask
{
    /// <summary>The largest number whose root is estimated, with all its digits: those of squares known by heart, and some more.</summary>
    public const int Most = 9_999;

    /// <summary>The place where none is asked for.</summary>
    public const int UsualPlaces = 1;

    internal RootTask(DecimalNumber number, int places, MixedNumber? mixed = null, Rational? estimate = null, string? line = null)
        : base($"sqrt({number.Text})", Family.Roots, new Asked(To: places == UsualPlaces ? null : DecimalNumber.Written(BigInteger.One, places)))
    {
        (Number, Places, Mixed, Estimate, StandsThere) = (number, places, mixed, estimate, line ?? Text);
        Radicand = new Rational(number.Unscaled, BigInteger.Pow(10, number.Places));
        IsPerfect = Perfect(Radicand) is not null;
        RightAnswer = IsBegun ? Written(Rounded(CutOff(estimate ?? Rational.Whole(mixed!.Value.Whole) + new Rational(mixed.Value.Top, mixed.Value.Bottom), Places + 1), Places), Places)
            : Perfect(Radicand) is { } root ? root.Text
            : Written(Rounded(CutOff(OnTheLine(Radicand), Places + 1), Places), Places);
    }

    /// <summary>The number under the root.</summary>
    public DecimalNumber Number { get; }

    /// <summary>The number under the root, exactly.</summary>
    public Rational Radicand { get; }

    /// <inheritdoc/>
    public override string StandsThere { get; }

    private bool IsBegun => Mixed is not null || Estimate is not null;

    /// <summary>How many places the answer has.</summary>
    public int Places { get; }

    /// <summary>The lower root with a fraction, where the working has come so far.</summary>
    public MixedNumber? Mixed { get; }

    /// <summary>The estimate that is still to be rounded, where the working has come so far.</summary>
    public Rational? Estimate { get; }

    /// <summary>Whether the root is a whole number.</summary>
    public bool IsPerfect { get; }

    /// <inheritdoc/>
    public override int Steps => 10;

    /// <inheritdoc/>
    public override IReadOnlyList<DecimalNumber> Numbers => [Number];

    /// <summary>The number under a root is not misread digit by digit: what goes wrong with it are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    /// <inheritdoc/>
    public override string RightAnswer { get; }

    /// <summary>The root rounded to the place: what trying on the number line comes to, where a straight line can be a little below.</summary>
    public string TrueAnswer => IsPerfect ? RightAnswer : Written(Rounded(new Rational(Root(Radicand.Top * BigInteger.Pow(10, 2 * Places + 4) / Radicand.Bottom), BigInteger.Pow(10, Places + 2)), Places), Places);

    /// <summary>The root of a number, where it is whole; null where it is not.</summary>
    public static Rational? Perfect(Rational number) => number.IsWhole && Root(number.Top) is var root && root * root == number.Top ? Rational.Whole(root) : null;

    /// <summary>The largest whole number whose square is not above another.</summary>
    public static BigInteger Root(BigInteger number)
    {
        if (number.Sign <= 0) return BigInteger.Zero;
        var root = (BigInteger)Math.Sqrt((double)number);
        while (root * root > number) root--;
        while ((root + 1) * (root + 1) <= number) root++;
        return root;
    }

    /// <summary>A number cut to so many places.</summary>
    public static Rational CutOff(Rational number, int places) => new(BigInteger.Divide(number.Top * BigInteger.Pow(10, places), number.Bottom), BigInteger.Pow(10, places));

    /// <summary>A number rounded to so many places, a half upwards.</summary>
    public static Rational Rounded(Rational number, int places) => CutOff(number + new Rational(1, 2 * BigInteger.Pow(10, places)), places);

    /// <summary>A number with so many places, as it is written; whole where it is asked for.</summary>
    public static string Written(Rational number, int places) => DecimalNumber.Canonical(DecimalNumber.Written(number.Top * BigInteger.Pow(10, places) / number.Bottom, places));

    /// <inheritdoc/>
    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);

    /// <summary>The root rounded is right as well where a straight line comes to a little less.</summary>
    public override Verdict Judge(string? answer) => answer is not null && base.Judge(answer) == Verdict.Wrong && Canonical(answer) == TrueAnswer ? Verdict.Right : base.Judge(answer);

    private static Rational OnTheLine(Rational number)
    {
        var lower = Root(number.Top / number.Bottom);
        return Rational.Whole(lower) + (number - Rational.Whole(lower * lower)) / Rational.Whole(2 * lower + 1);
    }
}
