using System.Numerics;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.SignRules;

/// <summary>Sums and differences of two whole numbers with signs.</summary>
internal static class SignedSum
{
    /// <summary>Numbers up to here are added in the head, and taken from numbers below twice as much; larger ones digit by digit.</summary>
    public const int LargestInHead = 10;

    /// <summary>What the decisions on signs can go by.</summary>
    public static SignedContext ContextOf(BigInteger first, PairOperation operation, BigInteger second) => new()
    {
        FirstSize = (int)BigInteger.Min(BigInteger.Abs(first), 9_999),
        SecondSize = (int)BigInteger.Min(BigInteger.Abs(second), 9_999),
        Operation = operation,
        FirstIsNegative = first.Sign < 0,
        SecondIsNegative = second.Sign < 0,
        FirstIsLarger = BigInteger.Abs(first) > BigInteger.Abs(second),
    };

    /// <summary>The digits of a sum of two numbers with signs, for other methods that come to one.</summary>
    public static Span<int> Of(MethodRun run, BigInteger first, BigInteger second, out bool isNegative) =>
        Of(run, first, second, ContextOf(first, PairOperation.Plus, second), out isNegative);

    /// <summary>The digits of a sum or difference, and the sign of it.</summary>
    public static Span<int> Of(MethodRun run, BigInteger first, BigInteger second, SignedContext context, out bool isNegative)
    {
        var firstIsNegative = run.Ask(IntegerDecisions.First, context) switch
        {
            FirstSign.Dropped => false,
            FirstSign.Turned => !context.FirstIsNegative && !first.IsZero,
            _ => context.FirstIsNegative,
        };
        var takesAway = context.IsMinus;
        if (context.SecondIsNegative)
        {
            if (run.Ask(IntegerDecisions.Meeting, context) == MeetingSigns.Joined) takesAway = !takesAway;
        }

        if (run.Page.KeepsMarks)
            run.Page.Pass(
                $"{(firstIsNegative ? "-" : "")}{BigInteger.Abs(first)} {(takesAway ? "-" : "+")} "
                    + $"{BigInteger.Abs(second)}", isWritten: context.SecondIsNegative);

        context = context with { FirstCountsNegative = firstIsNegative, SecondCountsNegative = takesAway, HaveSameSign = firstIsNegative == takesAway };
        var adds = run.Do(IntegerDecisions.Sizes, context);
        isNegative = run.Do(IntegerDecisions.OfSum, context with { ComesToNothing = !adds && BigInteger.Abs(first) == BigInteger.Abs(second) });
        (first, second) = (BigInteger.Abs(first), BigInteger.Abs(second));
        var digits = adds
            ? WholeNumbers.Plus(run, first, second, LargestInHead)
            : WholeNumbers.Minus(run, BigInteger.Max(first, second), BigInteger.Min(first, second), LargestInHead);
        if (first > 999 || second > 999) return digits;
        if (!run.IsOpen(IntegerDecisions.Size))
        {
            run.PassOver();
            return digits;
        }

        var size = (int)BigInteger.Min(Digits.Value(digits), 99_999_999);
        return run.Decide(IntegerDecisions.Size, context, size) is var decided && decided == size ? digits : WholeNumbers.DigitsOf(run, decided);
    }
}
