using System.Numerics;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Expanding;

/// <summary>Multiplying out: each term by each, then like terms put together.</summary>
internal sealed class ExpandingFamily() : TaughtFamily("expanding", "expanding")
{
    public static readonly ExpandingFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => task switch
    {
        ExpandingTask { Second: { } second, Before: null } set => AreaBox.OfProduct(second, set.First, set.Letter, marks.Count > 0, answer),
        ExpandingTask { Second: null, Before: { } before } set => AreaBox.OfProduct([before], set.First, set.Letter, marks.Count > 0, answer),
        _ => null,
    };

    public override string LineSigns => "+-*^()=";

    public override string Check => "Put 1 for the letter into the task and into the answer, then 2: both must come to the same.";

    public override IReadOnlyList<Bug> Bugs => ExpandingBugs.All;

    internal override TaskGrammar Grammar { get; } = new ExpandingGrammar();

    private const int MostSeen = 100_000;

    public override IReadOnlyList<Part> Parts { get; } = [new("polynomials", "where like terms are put together"), new("integers", "in the signs of products")];

    protected override IReadOnlyList<Decision> OwnDecisions => ExpandingDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Box];

    public override IReadOnlyList<string> WorkedBeside => WholeNumbers.WorkedBeside;

    public override Func<ItemTask> Items(int seed) => new ExpandingItems(seed).Next;

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) =>
        item.Work.Has(WorkFields.Box) ? [(School.Binomials, (int)BinomialSchool.Box)]
        : item.Task is ExpandingTask { Before: null, IsLine: false } && item.Work.Has(WorkFields.Lines) ? [(School.Binomials, (int)BinomialSchool.FourProducts)]
        : [];

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => ExpandingTask.TryReadLine(line, ((AlgebraTask)task).Letter);

    public override bool IsSameLine(string one, string other) => Collecting.SaysTheSame(one, other);

    public override void Walk(ItemTask task, MethodRun run)
    {
        var product = (ExpandingTask)task;
        var terms = product.IsLine ? [.. product.First]
            : product.Before is { } before ? BeforeBracket(run, before, product.First)
            : product.IsSquare ? Squared(run, product)
            : Brackets(run, product.First, product.Second!, Shape(product), product.Letter);
        if (run.Page.KeepsMarks && !product.IsLine) run.Page.Pass(PolynomialText.Write(terms, product.Letter), isWritten: true);
        Collecting.Finish(run, terms, product.Letter, From(product));
    }

    private static TermsFrom From(ExpandingTask product) => product.Before is not null ? TermsFrom.Bracket : product.IsSquare ? TermsFrom.Square
        : product.Second is null ? TermsFrom.Sum : Shape(product).IsConjugate ? TermsFrom.Conjugate : TermsFrom.Brackets;

    private static TermProduct Shape(ExpandingTask product) => Context(product.First[0], product.First[^1], 0, 0) with
    {
        IsSquare = product.IsSquare,
        IsConjugate = !product.IsSquare
            && product.Second is { Count: 2 } second && product.First.Count == 2 && product.First[0] == second[0] && product.First[1] == second[1].Turned,
    };

    private static TermProduct Context(PolyTerm first, PolyTerm second, int i, int j) =>
        new(Clamped(first.Number), first.Power, Clamped(second.Number), second.Power, i, j);

    private static List<PolyTerm> BeforeBracket(MethodRun run, PolyTerm before, IReadOnlyList<PolyTerm> bracket)
    {
        var terms = new List<PolyTerm>();
        for (var j = 0; j < bracket.Count; j++) Multiply(run, terms, before, bracket[j], Context(before, bracket[j], 0, j) with { IsBefore = true });
        return terms;
    }

    private static List<PolyTerm> Squared(MethodRun run, ExpandingTask product)
    {
        var (bracket, shape) = (product.First, Shape(product));
        if (bracket.Count != 2) return Brackets(run, bracket, bracket, shape, product.Letter);
        var way = run.Ask(ExpandingDecisions.Square, shape);
        var (first, second) = (bracket[0], bracket[1]);
        switch (way)
        {
            case SquareChoice.Doubled: return [.. bracket.Select(t => t with { Number = 2 * t.Number })];
            case SquareChoice.TermsSquaredPlus: return [Square(first), Square(second)];
            case SquareChoice.TermsSquaredMinus: return [Square(first), Square(second).Turned];
            case SquareChoice.TermsSquaredSignKept:
                return [
                first.Number.Sign < 0 ? Square(first).Turned : Square(first), second.Number.Sign < 0 ? Square(second).Turned : Square(second),
            ];
            default: break;
        }

        var terms = Brackets(run, bracket, bracket, shape, product.Letter);
        if (way == SquareChoice.AsProduct || terms.Count != 4) return terms;
        var (one, other) = (terms[1], terms[2]);
        return way switch
        {
            SquareChoice.MiddlePlus =>
                [terms[0], one with { Number = BigInteger.Abs(one.Number) }, other with { Number = BigInteger.Abs(other.Number) }, terms[3]],
            SquareChoice.MiddleOnce => [terms[0], one, terms[3]],
            SquareChoice.MiddleIsLast =>
                [terms[0], one with { Number = one.Number.Sign < 0 ? -BigInteger.Abs(terms[3].Number) : BigInteger.Abs(terms[3].Number) }, terms[3]],
            SquareChoice.LastDoubled => [terms[0], one, other, second with { Number = 2 * second.Number }],
            SquareChoice.LastDoubledPlus => [terms[0], one, other, second with { Number = 2 * BigInteger.Abs(second.Number) }],
            SquareChoice.LastHalved => [terms[0], one, other, second with { Number = BigInteger.Abs(second.Number) }],
            SquareChoice.LastNotSquared => [terms[0], one, other, second],
            _ => [terms[0], one with { Number = one.Number / 2 }, terms[3]],
        };

        static PolyTerm Square(PolyTerm term) => new(term.Number * term.Number, 2 * term.Power);
    }

    private static List<PolyTerm> Brackets(MethodRun run, IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm> second, TermProduct shape, char letter)
    {
        var way = first.Count == 2 && second.Count == 2 ? run.Ask(ExpandingDecisions.Brackets, shape) : BracketsChoice.EveryPair;
        if (way == BracketsChoice.BracketsAdded) return [.. first, .. second];
        if (first is [var x, { Power: 0 } one] && second is [_, { Power: 0 } other] && ByNumbers(way, one.Number, other.Number) is var (middle, last))
            return [new PolyTerm(x.Number * second[0].Number, x.Power + second[0].Power), new PolyTerm(middle, x.Power), new PolyTerm(last, 0)];
        if (run.School.Of(School.Binomials) == BinomialSchool.Box) (first, second) = (AtEdge(run, first, 0), AtEdge(run, second, 1));
        var terms = new List<PolyTerm>();
        var box = run.Page.KeepsMarks && run.School.Of(School.Binomials) == BinomialSchool.Box
            ? Enumerable.Range(0, second.Count).Select(_ => new PolyTerm?[first.Count]).ToArray()
            : null;
        for (var i = 0; i < first.Count; i++)
        {
            if (way == BracketsChoice.FirstDistributedSecondCopied && i > 0)
            {
                terms.Add(first[i]);
                continue;
            }

            for (var j = 0; j < second.Count; j++)
            {
                if (i != j && way is BracketsChoice.FirstAndLast or BracketsChoice.SumOfSquares) continue;
                var context = Context(first[i], second[j], i, j) with { IsSquare = shape.IsSquare, IsConjugate = shape.IsConjugate };
                var before = terms.Count;
                Multiply(run, terms, first[i], second[j], context);
                if ((way == BracketsChoice.OuterTwice && i > j) || (way == BracketsChoice.InnerTwice && i < j)) terms.RemoveRange(before, terms.Count - before);
                else if (way is BracketsChoice.OuterTwice or BracketsChoice.InnerTwice && i != j && terms.Count > before)
                    terms[^1] = terms[^1] with { Number = 2 * terms[^1].Number };
                if (box is not null && terms.Count > before) box[j][i] = terms[^1];
                if (way == BracketsChoice.SumOfSquares && terms.Count > before) terms[^1] = terms[^1] with { Number = BigInteger.Abs(terms[^1].Number) };
            }
        }

        if (box is not null) GridMarks.Write(run.Page, first, second, box, letter);
        return terms;
    }

    // What stands in the middle and at the end where both are taken from the two numbers; null where every product is made.
    private static (BigInteger Middle, BigInteger Last)? ByNumbers(BracketsChoice way, BigInteger one, BigInteger other) => way switch
    {
        BracketsChoice.SumAndProductExchanged => (one * other, one + other),
        BracketsChoice.ProductInMiddle => (one * other, one * other),
        BracketsChoice.ProductTwiceInMiddle => (2 * one * other, one * other),
        BracketsChoice.SumAtEnd => (one + other, one + other),
        _ => null,
    };

    private static List<PolyTerm> AtEdge(MethodRun run, IReadOnlyList<PolyTerm> terms, int edge) =>
    [
        .. terms.Select((term, at) => term.Number.Sign < 0 && run.Ask(ExpandingDecisions.Edge, Context(term, term, at, edge)) == BoxEdge.SignLeftOff
            ? term.Turned
            : term),
    ];

    private static void Multiply(MethodRun run, List<PolyTerm> terms, PolyTerm one, PolyTerm other, TermProduct context)
    {
        switch (run.Ask(ExpandingDecisions.Made, context))
        {
            case ProductMade.LeftOut: return;
            case ProductMade.OtherCopied:
                terms.Add(other);
                return;
            case ProductMade.OtherCopiedWithSign:
                terms.Add(one.Number.Sign < 0 ? other.Turned : other);
                return;
            case ProductMade.AddedWhereLike:
                terms.Add(one.Power == other.Power ? other with { Number = one.Number + other.Number } : other);
                return;
            default: break;
        }

        var number = Number(run, one, other, context);
        number = BigInteger.Abs(number) * (run.Do(ExpandingDecisions.Sign, context with { IsNegative = number.Sign < 0 }) ? -1 : 1);
        var (power, times) = run.Do(ExpandingDecisions.Letters, context);
        number *= times;
        terms.Add(new PolyTerm(number, Math.Min(PolynomialText.MostPower, power)));
    }

    private static BigInteger Number(MethodRun run, PolyTerm one, PolyTerm other, TermProduct context)
    {
        var (a, b) = (BigInteger.Abs(one.Number), BigInteger.Abs(other.Number));
        var way = run.Ask(ExpandingDecisions.Numbers, context);
        if (way is NumbersChoice.Added or NumbersChoice.FirstTimesItself or NumbersChoice.SecondTimesItself)
            return way == NumbersChoice.Added ? one.Number + other.Number : BigInteger.Pow(way == NumbersChoice.FirstTimesItself ? one.Number : other.Number, 2);
        var size = way switch
        {
            NumbersChoice.SizesAdded => a + b,
            NumbersChoice.FirstOnly => a,
            NumbersChoice.SecondOnly => b,
            NumbersChoice.LetterCountsAsOne when context.AreMixed => one.Power == 0 ? a : b,
            _ when a * b < MostSeen => run.Value(ExpandingDecisions.Size, context, (int)WholeNumbers.Product(run, a, b), MostSeen),
            _ => WholeNumbers.Product(run, a, b),
        };
        return (one.Number.Sign < 0 || other.Number.Sign < 0)
            && SignDecisions.IsNegativeAside(
                run, new SignsContext(one.Number.Sign < 0, other.Number.Sign < 0, a > b || (a == b && one.Number.Sign < 0), IsQuotient: false))
            ? -size
            : size;
    }

    private static int Clamped(BigInteger number) => (int)BigInteger.Max(-MostSeen, BigInteger.Min(MostSeen, number));
}
