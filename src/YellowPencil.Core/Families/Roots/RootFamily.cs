using System.Numerics;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families.Roots;

/// <summary>Square roots by hand: between two known squares, along a straight line or by trying, rounded to a place.</summary>
internal sealed class RootFamily() : TaughtFamily("roots", "roots")
{
    public static readonly RootFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        task is RootTask { Mixed: null, Estimate: null } set
            ? (ItemModel?)SquareArea.Of(set.Radicand, answer) ?? RootLine.Of(set.Radicand, set.Number.Text, task.Judge(answer) == Verdict.Right, answer)
            : null;

    // The straight line is looked at beside the truth where guesses are squared, and where it goes astray.
    public override ItemModel? ModelFor(MissingIdea idea, ItemTask task) =>
        task is RootTask { Mixed: null, Estimate: null } set && (idea == Ideas.SquareTheGuess || set.TrueAnswer != set.RightAnswer) ? CurveAndChord.Of(set.Radicand) : null;

    public override double? TrueValue(ItemTask task) => task is RootTask { IsPerfect: false, Mixed: null, Estimate: null } set
        ? Math.Sqrt((double)set.Radicand.Numerator / (double)set.Radicand.Denominator)
        : null;

    public override string LineSigns => "+-*/.=√";

    public override string Check => "Square the answer: it must come out near the number. A straight line lies a little low, so some of it may be missing: the square shows how much.";

    public override IReadOnlyList<Bug> Bugs => RootBugs.All;

    internal override TaskGrammar Grammar { get; } = new RootGrammar();

    protected override IReadOnlyList<Decision> OwnDecisions => RootDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Between, WorkFields.Tried];

    public override IReadOnlyList<SchoolQuestion> SchoolQuestions { get; } = [School.Roots];

    public override Func<ItemTask> Items(int seed) => new RootItems(seed).Next;

    public override IEnumerable<string> StatementsOf(string line) => [line];

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) =>
        item.Work.Has(WorkFields.Tried) ? [(School.Roots, (int)RootSchool.NumberLine)]
        : (item.Work.Get(WorkFields.Lines) ?? []).Any(line => Resume(item.Task, item.Task, line) is RootTask { Mixed: not null })
        ? [(School.Roots, (int)RootSchool.StraightLine)]
        : [];

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line)
    {
        var (root, text) = ((RootTask)task, string.Concat(Signs.Plain(line).Where(c => !char.IsWhiteSpace(c))));
        if (
            text.Split('+') is [var whole, var part]
                && long.TryParse(whole, out var lower) && MixedNumber.TryRead(part) is { IsNegative: false, Number: { Whole: 0, HasFraction: true } fraction })
            return new RootTask(root.Number, root.Places, fraction with { Whole = lower }, line: line.Trim());
        return DecimalNumber.TryParse(text) is { Succeeded: true, Value: { IsNegative: false } estimate }
            ? new RootTask(root.Number, root.Places, null, estimate.Exactly, line.Trim())
            : null;
    }

    public override bool IsSameLine(string one, string other) => Plain(one) == Plain(other);

    public override void Walk(ItemTask task, MethodRun run) => new RootWork(run, (RootTask)task).Walk();

    private static string Plain(string line) => DecimalNumber.Canonical(string.Concat(Signs.Plain(line).Where(c => !char.IsWhiteSpace(c))));
}

/// <summary>The steps of one estimate.</summary>
/// <param name="run">The run.</param>
/// <param name="task">The root.</param>
internal readonly struct RootWork(MethodRun run, RootTask task)
{
    private const int Most = 100_000;

    private const int MostTried = 40;

    /// <summary>Estimates it.</summary>
    public void Walk()
    {
        if (task.Estimate is { } estimate)
        {
            Finish(estimate, TailOf(estimate));
            return;
        }

        if (task.Mixed is { } mixed)
        {
            Divide(Rational.Whole(mixed.Whole), new Rational(mixed.Numerator, mixed.Denominator));
            return;
        }

        var under = run.Ask(RootDecisions.Under, ContextOf(task.Radicand, -1));
        if (under == UnderRoot.PointPutBack && Exact.Perfect(Rational.Whole(task.Number.Unscaled)) is { } digits)
        {
            Append(digits / Rational.Whole(BigInteger.Pow(10, task.Number.Places)), task.Number.Places);
            return;
        }

        if (under == UnderRoot.ZeroPutBack && Exact.Perfect(task.Radicand / Rational.Whole(10)) is { } front)
        {
            Append(front * Rational.Whole(10), 0);
            return;
        }

        var number = under switch
        {
            UnderRoot.ZeroLeftOff => task.Radicand / Rational.Whole(10),
            UnderRoot.WholePartOnly => Rational.Whole(task.Radicand.Numerator / task.Radicand.Denominator),
            UnderRoot.Halved => task.Radicand / Rational.Whole(2),
            UnderRoot.WithoutPoint => Rational.Whole(task.Number.Unscaled),
            _ => task.Radicand,
        };
        var known = run.Ask(RootDecisions.Known, ContextOf(number, -1));
        var lower = BigInteger.Zero;
        while (lower < RootTask.Most && !(Rational.Whole(Square(lower + 1, known)) > number)) lower++;
        var (below, above) = (Rational.Whole(Square(lower, known)), Rational.Whole(Square(lower + 1, known)));
        if (below == number)
        {
            var root = run.Ask(RootDecisions.Perfect, ContextOf(number, -1)) switch
            {
                PerfectRoot.Halved => number / Rational.Whole(2),
                PerfectRoot.Quartered => number / Rational.Whole(4),
                PerfectRoot.Itself => number,
                PerfectRoot.OneHigher => Rational.Whole(lower + 1),
                _ => Rational.Whole(lower),
            };
            Append(root, root.IsWhole ? 0 : (root * Rational.Whole(10)).IsWhole ? 1 : 2);
            return;
        }

        var around = run.Ask(RootDecisions.Around, ContextOf(number, -1));
        if (around == RootsAround.WholeTens && lower > 9)
        {
            lower -= lower % 10;
            (below, above) = (Rational.Whole(Square(lower, known)), Rational.Whole(Square(lower + 10, known)));
        }
        else if (around is RootsAround.WiderBelow or RootsAround.WiderAbove or RootsAround.WiderOnBothSides)
        {
            if (around != RootsAround.WiderAbove && lower > 1) below = Rational.Whole(Square(--lower, known));
            var upper = lower + (around == RootsAround.WiderOnBothSides ? 3 : 2);
            above = Rational.Whole(Square(upper, known));
        }
        else if (around != RootsAround.AsDue && (lower > 1 || around == RootsAround.OneTooHigh))
        {
            lower += around == RootsAround.OneTooLow ? -1 : 1;
            (below, above) = (Rational.Whole(Square(lower, known)), Rational.Whole(Square(lower + 1, known)));
        }

        Between(number, lower, below, above);
    }

    private void Between(Rational number, BigInteger lower, Rational below, Rational above)
    {
        run.Page.Write(WorkFields.Between.Part(0), null, below.Text);
        run.Page.Write(WorkFields.Between.Part(1), null, above.Text);
        var seen = ContextOf(number, -1);
        var (one, half) = (Rational.Whole(1), new Rational(1, 2));
        var isNearerUpper = above - number < number - below;
        var way = run.Ask(RootDecisions.Procedure, seen);
        switch (way)
        {
            case RootChoice.NumberLine:
                Try(number, lower);
                return;
            case RootChoice.FirstGuess:
                if (run.Page.KeepsMarks) WriteTrials([], Guess(number, lower, below, above));
                Append(Guess(number, lower, below, above), 1);
                return;
            case >= RootChoice.Tenth1 and <= RootChoice.Tenth9:
                var named = Rational.Whole(lower) + new Rational(way - RootChoice.Tenth1 + 1, 10);
                if (run.Page.KeepsMarks) WriteTrials([], named);
                Append(named, 1);
                return;
            case RootChoice.SquaredInParts:
                var tenths = BigInteger.Min(9, Exact.Root((number - below).Numerator * 100 / (number - below).Denominator));
                Append(Rational.Whole(lower) + new Rational(tenths, 10), 1);
                return;
            case RootChoice.NearestWhole: Append(Rational.Whole(isNearerUpper ? lower + 1 : lower), 0); return;
            case RootChoice.HalfWay: Append(Rational.Whole(lower) + half, task.Places); return;
            case RootChoice.LowerRoot: Append(Rational.Whole(lower), 0); return;
            case RootChoice.UpperRoot: Append(Rational.Whole(lower) + one, 0); return;
            case RootChoice.HalfOfNumber: Append(Exact.Rounded(number / Rational.Whole(2), task.Places), task.Places); return;
            case RootChoice.NearestRootAdded:
                Along(lower + (isNearerUpper ? 1 : 0), isNearerUpper ? above - number : number - below, above - below, isBack: false);
                return;
            case RootChoice.GapAppended:
                run.Page.Append(
                DecimalNumber.Canonical($"{lower}.{BigInteger.Max(0, (number - below).Numerator / (number - below).Denominator)}")); return;
            case RootChoice.TenthsBackFromUpper:
                Append(
                Exact.Rounded(Rational.Whole(lower + 1) - (above - number) / Rational.Whole(10), task.Places), task.Places); return;
            case RootChoice.BackOverUpperRoot or RootChoice.BackOverTwiceUpperRoot or RootChoice.BackOverUpperSquare:
                Along(
                    lower + 1, above - number,
                    way == RootChoice.BackOverUpperSquare ? above : Rational.Whole((lower + 1) * (way == RootChoice.BackOverUpperRoot ? 1 : 2)), isBack: true);
                return;
            case RootChoice.QuarterOfNumber: Append(Exact.Rounded(number / Rational.Whole(4), task.Places), task.Places); return;
            case RootChoice.GapAsTenths: Append(Exact.Rounded(Rational.Whole(lower) + (number - below) / Rational.Whole(10), task.Places), task.Places); return;
            default: break;
        }

        var numerator = run.Ask(RootDecisions.Numerator, seen) switch
        {
            GapNumerator.BothEndsCounted => number - below + one,
            GapNumerator.ToUpper => above - number,
            GapNumerator.WholeNumber => number,
            _ => Apart(number, below),
        };
        if (numerator.IsWhole && numerator.Numerator >= 0 && numerator.Numerator < Most)
            numerator = Rational.Whole(run.Value(RootDecisions.GapIs, seen, (int)numerator.Numerator, Most));
        var denominator = run.Ask(RootDecisions.Denominator, seen) switch
        {
            GapDenominator.LowerRoot => Rational.Whole(BigInteger.Max(1, lower)),
            GapDenominator.UpperRoot => Rational.Whole(lower + 1),
            GapDenominator.UpperSquare => above,
            GapDenominator.LowerSquare => below.IsZero ? above : below,
            GapDenominator.Ten => Rational.Whole(10),
            GapDenominator.Hundred => Rational.Whole(100),
            GapDenominator.TwiceLowerRoot => Rational.Whole(BigInteger.Max(1, 2 * lower)),
            _ => Apart(above, below),
        };
        if (denominator.IsWhole && denominator.Numerator >= 0 && denominator.Numerator < Most)
            denominator = Rational.Whole(Math.Max(1, run.Value(RootDecisions.DenominatorIs, seen, (int)denominator.Numerator, Most)));
        var from = run.Ask(RootDecisions.From, seen);
        Along(from == CountedFrom.LowerRoot ? lower : lower + 1, numerator, denominator, isBack: from == CountedFrom.UpperRootBack);
    }

    // A tenth by eye: near the lower root, in the middle, or near the upper one.
    private static Rational Guess(Rational number, BigInteger lower, Rational below, Rational above)
    {
        var thrice = (number - below) * Rational.Whole(3);
        var apart = above - below;
        return Rational.Whole(lower) + new Rational(apart > thrice ? 2 : thrice > apart + apart ? 8 : 5, 10);
    }

    private void Along(BigInteger start, Rational numerator, Rational denominator, bool isBack)
    {
        if (run.Page.KeepsMarks && numerator.IsWhole && denominator.IsWhole)
            run.Page.Pass($"{start} {(isBack ? "-" : "+")} {numerator.Text}/{denominator.Text}", isWritten: true);
        if (isBack) EndDivision(Rational.Whole(start) - numerator / denominator);
        else Divide(Rational.Whole(start), numerator / denominator, numerator, denominator);
    }

    private void Divide(Rational start, Rational fraction, Rational numerator = default, Rational denominator = default)
    {
        var seen = ContextOf(task.Radicand, -1) with { Part = fraction };
        var way = run.Ask(RootDecisions.Divided, seen);
        if (way == GapDivided.UpsideDown && run.Page.KeepsMarks && numerator.IsWhole && denominator.IsWhole && !numerator.IsZero)
            run.Page.Pass($"{start.Text} + {denominator.Text}/{numerator.Text}", isWritten: false);
        EndDivision(start + RootDecisions.Divided.Result(way, seen, run.School));
    }

    // The division is carried one place further than is asked for, and rounded from there. Somebody may round there already; where that changes what comes out,
    // it is a mistake.
    private void EndDivision(Rational exact)
    {
        var (cut, rounded) = (Exact.CutOff(exact, task.Places + 1), Exact.Rounded(exact, task.Places + 1));
        var seen = ContextOf(task.Radicand, TailOf(exact));
        if (run.Ask(RootDecisions.End, seen) == DivisionEnd.RoundedThere) cut = rounded;
        if (run.Page.KeepsMarks)
        {
            run.Page.Pass(Exact.Written(cut, task.Places + 1), isWritten: true);
            if (!seen.RoundsTwice && rounded != cut) run.Page.Pass(Exact.Written(rounded, task.Places + 1), isWritten: false);
        }

        Finish(cut, seen.Tail);
    }

    private int TailOf(Rational exact) => (int)(exact.Numerator * BigInteger.Pow(10, task.Places + 2) / exact.Denominator % 100);

    private void Finish(Rational cut, int tail)
    {
        var seen = ContextOf(task.Radicand, tail) with { Estimate = cut, Places = task.Places };
        var way = run.Ask(RootDecisions.Round, seen);
        Append(
            RootDecisions.Round.Result(way, seen, run.School),
            way switch { RootRounded.NotAtAll => task.Places + 1, RootRounded.ToHalf => 1, RootRounded.ToWhole => 0, _ => task.Places });
    }

    // By trying: a number is named by how near the squares are, squared, and mended by one in its last place until the number lies between two; the nearer is
    // kept.
    private void Try(Rational number, BigInteger lower)
    {
        var root = new Rational(
            Exact.Root(number.Numerator * BigInteger.Pow(10, 2 * task.Places + 4) / number.Denominator), BigInteger.Pow(10, task.Places + 2));
        var nearest = Exact.Rounded(root, task.Places);
        if (run.Page.KeepsMarks)
        {
            run.Page.Pass(Exact.Written(Exact.CutOff(root, task.Places + 1), task.Places + 1), isWritten: false);
            WriteTrials(Tried(number, lower), nearest);
        }

        Append(nearest, task.Places);
    }

    private List<Rational> Tried(Rational number, BigInteger lower)
    {
        var step = new Rational(1, BigInteger.Pow(10, task.Places));
        var below = Rational.Whole(lower * lower);
        var tried = new List<Rational> { Exact.Rounded(Rational.Whole(lower) + (number - below) / Rational.Whole(2 * lower + 1), task.Places) };
        var isAbove = tried[0] * tried[0] > number;
        do tried.Add(isAbove ? tried[^1] - step : tried[^1] + step);
        while (tried[^1] * tried[^1] > number == isAbove && tried.Count < MostTried);
        return tried;
    }

    private void WriteTrials(List<Rational> tried, Rational kept)
    {
        run.Trials += tried.Count;
        var row = 0;
        foreach (var number in tried.Where(n => n != kept).Append(kept))
        {
            run.Page.Write(WorkFields.Tried.Value(row), null, Exact.Written(number, task.Places));
            run.Page.Write(WorkFields.Tried.Result(row++), null, Exact.Written(number * number, 2 * task.Places));
        }
    }

    private void Append(Rational number, int places) => run.Page.Append(Exact.Written(number, Math.Max(places, number.IsWhole ? 0 : places)));

    // How far two numbers are apart; of whole numbers it is a fact that can be held, or worked, wrongly.
    private Rational Apart(Rational upper, Rational lower) =>
        upper.IsWhole && lower.IsWhole && upper.Numerator < Most && upper > lower
            ? Rational.Whole(run.Recall(new NumberFact(FactKind.Minus, (int)upper.Numerator, (int)lower.Numerator)))
            : upper - lower;

    private RootContext ContextOf(Rational number, int tail)
    {
        var whole = number.Numerator / number.Denominator;
        return new RootContext((int)whole, (int)Exact.Root(whole), tail, !task.Radicand.IsWhole) { Exactly = task.Radicand };
    }

    private static BigInteger Square(BigInteger root, SquareKnown known) => known switch
    {
        SquareKnown.PartByPart when root > 9 => root / 10 * 10 * (root / 10 * 10) + root % 10 * (root % 10),
        SquareKnown.Doubled => 2 * root,
        _ => root * root,
    };
}
