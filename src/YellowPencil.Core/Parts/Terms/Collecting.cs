using System.Numerics;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Parts.Terms;

/// <summary>Putting like terms together, which other methods come to as well.</summary>
internal static class Collecting
{
    private const int MostSeen = 100_000;

    /// <summary>Larger numbers are put together as taught only.</summary>
    private const long MostWorked = 1_000_000_000_000_000;

    /// <summary>Puts the terms together and writes the answer.</summary>
    /// <param name="run">The run.</param>
    /// <param name="terms">The terms.</param>
    /// <param name="letter">The letter.</param>
    /// <param name="from">Out of what the terms came.</param>
    public static void Finish(MethodRun run, List<PolyTerm> terms, char letter, TermsFrom from)
    {
        // The letter is put down with the highest power first; sorting like this keeps like terms in their order.
        var sorted = terms.Select(t => Read(run, t, terms)).OrderByDescending(t => t.Power).ToList();
        if (run.Page.KeepsMarks) run.Page.Pass(PolynomialText.Write(sorted, letter), isWritten: false);
        var left = new List<PolyTerm>();
        var ones = BigInteger.Zero;
        foreach (var like in sorted.GroupBy(t => t.Power))
        {
            var hasAddedPowers = false;
            var count = like.Count();
            var seen = like.Select(t => WithNumber(run, t, count)).OfType<PolyTerm>().ToList();
            if (seen.Count == 0) continue;
            var together = seen[0];
            foreach (var next in seen.Skip(1))
            {
                // What came to another power is left, and those that follow are put together without it.
                if (together.Power == next.Power || hasAddedPowers) together = Together(run, together, next, from, ref hasAddedPowers);
                else
                {
                    left.Add(together);
                    together = next;
                }
            }

            if (together.Number.IsZero)
            {
                if (count == 1) continue;
                var gone = run.Ask(PolynomialDecisions.Gone, new TermLeft(0, together.Power, count));
                if (gone != GoneTerm.Nothing) left.Add(new PolyTerm(1, gone == GoneTerm.LetterStays ? together.Power : 0));
                continue;
            }

            var context = new TermLeft(Clamped(together.Number), together.Power, count);
            if (count == 1 && sorted.Count > 1 && run.Ask(PolynomialDecisions.Alone, context) == Unpaired.Dropped) continue;
            if (together.Power > 0 && BigInteger.Abs(together.Number).IsOne)
            {
                var way = run.Ask(PolynomialDecisions.One, context);
                if (way == OneLetter.AsOne) ones += together.Number;
                if (way != OneLetter.LetterAlone) continue;
            }

            left.Add(together);
        }

        if (!ones.IsZero)
            left = [
                .. left.Where(t => t.Power > 0), new PolyTerm(ones + left.Where(t => t.Power == 0).Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), 0),
            ];

        // Where like terms came to another power, they meet others there.
        left = PolynomialText.Collected(left);
        if (run.Page.KeepsMarks && PolynomialText.Write(left, letter) is var line && (run.Page.Marks.Count == 0 || run.Page.Marks[^1].Text != line))
            run.Page.Pass(line, isWritten: true);
        if (left.Count > 1) left = Joined(run, left, from);
        run.Page.Append(PolynomialText.Write(PolynomialText.InOrder(left), letter));
    }

    /// <summary>Whether two lines have the same terms, in whatever order.</summary>
    public static bool SaysTheSame(string one, string other)
    {
        char? letter = null;
        return PolynomialText.TryRead(Signs.Plain(one), ref letter) is { } first && PolynomialText.TryRead(Signs.Plain(other), ref letter) is { } second
            && PolynomialText.InOrder(first).SequenceEqual(PolynomialText.InOrder(second));
    }

    private static PolyTerm Read(MethodRun run, PolyTerm term, List<PolyTerm> all)
    {
        if (term.Power < 2 || BigInteger.Abs(term.Number) > MostSeen) return term;
        var seen = new TermLeft((int)term.Number, term.Power, all.Count(t => t.Power == term.Power));
        var way = run.Ask(PolynomialDecisions.Power, seen);
        return way == PowerRead.AsSet ? term : PolynomialDecisions.Power.Result(way, seen, run.School);
    }

    // A letter without a number is one of it.
    private static PolyTerm? WithNumber(MethodRun run, PolyTerm term, int count)
    {
        if (term.Power == 0 || !BigInteger.Abs(term.Number).IsOne) return term;
        return run.Ask(PolynomialDecisions.Bare, new TermLeft(Clamped(term.Number), term.Power, count)) switch
        {
            BareLetter.Nothing => count > 1 ? term with { Number = 0 } : null,
            BareLetter.Dropped when count > 1 => null,
            _ => term,
        };
    }

    private static PolyTerm Together(MethodRun run, PolyTerm first, PolyTerm second, TermsFrom from, ref bool hasAddedPowers)
    {
        var pair = new LikePair(Long(first.Number), Long(second.Number), second.Power) { From = from, FirstPower = first.Power };
        var way = run.Ask(PolynomialDecisions.Like, pair);
        var together = way == LikeTerms.Sum ? first with { Number = Sum(run, first.Number, second.Number) } : PolynomialDecisions.Like.Result(way, pair, run.School);
        // What comes to nothing has no power, and what was given another one has it already.
        if (second.Power == 0 || together.Number.IsZero || together.Power != first.Power) return together;
        var power = run.Ask(PolynomialDecisions.PowerOfSum, pair);
        hasAddedPowers = power == PowerOfLike.Added;
        return power switch
        {
            PowerOfLike.Added => together with { Power = Math.Min(PolynomialText.MostPower, first.Power + second.Power) },
            PowerOfLike.LetterOff => together with { Power = 0 },
            _ => together,
        };
    }

    private static long Long(BigInteger number) => (long)BigInteger.Max(-MostWorked, BigInteger.Min(MostWorked, number));

    private static BigInteger Sum(MethodRun run, BigInteger a, BigInteger b)
    {
        var (larger, smaller) = (BigInteger.Max(BigInteger.Abs(a), BigInteger.Abs(b)), BigInteger.Min(BigInteger.Abs(a), BigInteger.Abs(b)));
        if (a.Sign < 0 == b.Sign < 0)
        {
            var sum = WholeNumbers.Sum(run, BigInteger.Abs(a), BigInteger.Abs(b));
            return a.Sign < 0 ? -sum : sum;
        }

        var apart = WholeNumbers.Difference(run, larger, smaller);
        return (BigInteger.Abs(a) > BigInteger.Abs(b) ? a : b).Sign < 0 ? -apart : apart;
    }

    private static List<PolyTerm> Joined(MethodRun run, List<PolyTerm> left, TermsFrom from)
    {
        var context = new TermsLeft(left.Count, left[^1].Power == 0, left.Exists(t => t.Power == 1)) { From = from };
        switch (run.Ask(PolynomialDecisions.Left, context))
        {
            case LeftTerms.JoinedAtHighest: return One(left.Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), left[0].Power);
            case LeftTerms.JoinedPowersAdded: return One(left.Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), left.Sum(t => t.Power));
            case LeftTerms.FirstTwoJoined: return [.. One(left[0].Number + left[1].Number, left[0].Power), .. left.Skip(2)];
            case LeftTerms.LettersJoinedAtHighest when left[0].Power > 0:
                return [
                    .. One(
                        left.Where(t => t.Power > 0).Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), left[0].Power), .. left.Where(t => t.Power == 0),
                ];
            case LeftTerms.SquareAndLetterJoined when context.HasLetter && left.Exists(t => t.Power == 2):
                return [
                    .. left.Where(t => t.Power > 2), .. One(left.Where(t => t.Power is 1 or 2).Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), 2),
                    .. left.Where(t => t.Power == 0),
                ];
            case LeftTerms.LastTwoJoined: return [.. left.SkipLast(2), .. One(left[^2].Number + left[^1].Number, left[^2].Power)];
            case LeftTerms.LetterAndNumberJoined when context is { HasLetter: true, HasNumber: true }:
                return [.. left.Where(t => t.Power > 1), .. One(left.First(t => t.Power == 1).Number + left[^1].Number, 1)];
            default: return left;
        }

        static List<PolyTerm> One(BigInteger number, int power) => number.IsZero ? [] : [new PolyTerm(number, Math.Min(PolynomialText.MostPower, power))];
    }

    private static int Clamped(BigInteger number) => (int)BigInteger.Max(-MostSeen, BigInteger.Min(MostSeen, number));
}
