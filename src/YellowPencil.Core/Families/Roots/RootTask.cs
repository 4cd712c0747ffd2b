using System.Numerics;

namespace YellowPencil.Core.Families.Roots;

/// <summary>
/// A square root that is to be estimated by hand to a place; on the way to its answer a lower root and a fraction, or a decimal that is to be rounded.
/// </summary>
internal sealed class RootTask : ItemTask
{
    /// <summary>The largest number whose root is estimated, with all its digits: those of squares known by heart, and some more.</summary>
    public const int Most = 9_999;

    /// <summary>The place where none is asked for.</summary>
    public const int UsualPlaces = 1;

    internal RootTask(DecimalNumber number, int places, MixedNumber? mixed = null, Rational? estimate = null, string? line = null)
        : base($"sqrt({number.Text})", RootFamily.Instance, new Asked(To: places == UsualPlaces ? null : DecimalNumber.Written(BigInteger.One, places)))
    {
        (Number, Places, Mixed, Estimate, StandsThere) = (number, places, mixed, estimate, line ?? Text);
        Radicand = number.Exactly;
        IsPerfect = Exact.Perfect(Radicand) is not null;
        RightAnswer = IsBegun
            ? Exact.Written(
                Exact.Rounded(
                    Exact.CutOff(
                        estimate ?? Rational.Whole(mixed!.Value.Whole) + new Rational(mixed.Value.Numerator, mixed.Value.Denominator), Places + 1), Places),
                Places)
            : Exact.Perfect(Radicand) is { } root ? root.Text
            : Exact.Written(Exact.Rounded(Exact.CutOff(OnTheLine(Radicand), Places + 1), Places), Places);
    }

    /// <summary>The number under the root.</summary>
    public DecimalNumber Number { get; }

    /// <summary>The number under the root, exactly.</summary>
    public Rational Radicand { get; }

    public override string StandsThere { get; }

    public override string AskedInPrint => $"to {DecimalNumber.Written(BigInteger.One, Places)}";

    private bool IsBegun => Mixed is not null || Estimate is not null;

    /// <summary>How many places the answer has.</summary>
    public int Places { get; }

    /// <summary>The lower root with a fraction, where the working has come so far.</summary>
    public MixedNumber? Mixed { get; }

    /// <summary>The estimate that is still to be rounded, where the working has come so far.</summary>
    public Rational? Estimate { get; }

    /// <summary>Whether the root is a whole number.</summary>
    public bool IsPerfect { get; }

    public override PairOperation? SetOperation => null;

    public override int Steps => 10;

    public override IReadOnlyList<DecimalNumber> Numbers => [Number];

    /// <summary>The number under a root is not misread digit by digit: what goes wrong with it are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    public override string RightAnswer { get; }

    /// <summary>The root rounded to the place: what trying on the number line comes to, where a straight line can be a little below.</summary>
    public string TrueAnswer =>
        IsPerfect
            ? RightAnswer
            : Exact.Written(
                Exact.Rounded(
                    new Rational(
                        Exact.Root(Radicand.Numerator * BigInteger.Pow(10, 2 * Places + 4) / Radicand.Denominator), BigInteger.Pow(10, Places + 2)), Places),
                Places);

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);

    /// <summary>The root rounded is right as well where a straight line comes to a little less.</summary>
    public override Verdict Judge(string? answer) =>
        answer is not null && base.Judge(answer) == Verdict.Wrong && Canonical(answer) == TrueAnswer ? Verdict.Right : base.Judge(answer);

    private static Rational OnTheLine(Rational number)
    {
        var lower = Exact.Root(number.Numerator / number.Denominator);
        return Rational.Whole(lower) + (number - Rational.Whole(lower * lower)) / Rational.Whole(2 * lower + 1);
    }
}
