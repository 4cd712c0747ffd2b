using YellowPencil.Core.Families.Equations;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A linear equation, worked on both sides or with terms that go across.</summary>
internal sealed class EquationExample(EquationTask task, School school)
{
    private readonly char letter = task.Letter;
    private readonly bool isAcross = school.Of(School.EquationMoves) == EquationMoveSchool.Across;

    /// <summary>The lines.</summary>
    public IEnumerable<ExampleLine> Lines()
    {
        List<SideTerm> left = [.. task.Left], right = [.. task.Right];
        if (task.HasBrackets)
        {
            var products = left.Concat(right).Where(t => t.Bracket is not null)
                .SelectMany(t => t.Bracket!.Select(b => $"{N(t.Number)} · {Behind(b)} = {Said(b with { Number = t.Number * b.Number })}"));
            (left, right) = (Opened(left), Opened(right));
            yield return new(
                Line(left, right), $"The number before a bracket meets every term in it: {string.Join("; ", products)}.", EquationDecisions.Before, EquationDecisions.Meets,
                SignDecisions.OfProduct);
        }

        if (Together(left).Count < left.Count || Together(right).Count < right.Count)
        {
            (left, right) = (Together(left), Together(right));
            yield return new(
                Line(left, right), "On each side like is put with like: letters with letters, numbers with numbers, each with its sign.", EquationDecisions.Sum, EquationDecisions.Join);
        }

        if (!left.Exists(t => t.HasLetter) && right.Exists(t => t.HasLetter))
        {
            (left, right) = (right, left);
            yield return new(Line(left, right), "The two sides are the same amount: they may change places.", EquationDecisions.Order);
        }

        foreach (var hasLetter in new[] { true, false })
        {
            if ((hasLetter ? right : left).Find(t => t.HasLetter == hasLetter && !t.Number.IsZero) is not { } moved) continue;
            if (!hasLetter && !left.Exists(t => t.HasLetter)) continue;
            var (before, after) = (Moved(left, moved), Moved(right, moved));
            yield return new(Line(before, after), WhyMoved(moved, hasLetter), hasLetter ? EquationDecisions.Letters : EquationDecisions.Number, EquationDecisions.Join);
            var (collectedLeft, collectedRight) = (Together(before), Together(after));
            yield return new(Line(collectedLeft, collectedRight), string.Join(" ", Sums(before).Concat(Sums(after))), EquationDecisions.Sum);
            (left, right) = (collectedLeft, collectedRight);
        }

        var (letters, numbers) = (EquationTask.Sum(left).Letters, EquationTask.Sum(right).Numbers);
        if (letters.IsZero)
        {
            yield return new(
                "", EquationTask.Sum(left).Numbers == numbers
                    ? "No letter is left, and what stands there is true: every number solves it."
                    : "No letter is left, and what stands there is false: no number solves it.",
                EquationDecisions.Gone);
            yield break;
        }

        var answer = numbers / letters;
        if (!letters.IsOne)
            yield return new(
                $"{letter} = {answer.Text}",
                letters is { IsWhole: false, Numerator.IsOne: true }
                    ? $"{Said(new SideTerm(letters, true))} is one of {letters.Denominator} equal parts of {letter}: both sides times {letters.Denominator}, {N(numbers)} · {letters.Denominator} = {N(answer)}."
                    : $"{Said(new SideTerm(letters, true))} is {N(numbers)}: both sides are divided by {N(letters)}, the number before {letter}: {N(numbers)} ÷ {Paren(letters)} = {N(answer)}.",
                [.. LastStepDecisions.All, SignDecisions.OfProduct]);
        yield return new(
            "", $"Check with {N(answer)} for {letter}: the left side is {N(At(task.Left, answer))}, the right side {N(At(task.Right, answer))}.");
    }

    private string WhyMoved(SideTerm moved, bool hasLetter)
    {
        var size = Said(moved with { Number = Rational.Abs(moved.Number) });
        var side = hasLetter ? "right" : "left";
        return (moved.Number.Sign < 0, isAcross) switch
        {
            (true, false) => $"{Said(moved)} has to go from the {side}. What takes it away is + {size}, and it is done on both sides.",
            (false, false) => $"{size} has to go from the {side}. What takes it away is − {size}, and it is done on both sides.",
            (true, true) => $"{Said(moved)} goes across and becomes + {size}: {size} is added to both sides.",
            (false, true) => $"{size} goes across and becomes − {size}: {size} is taken from both sides.",
        };
    }

    private List<SideTerm> Moved(List<SideTerm> side, SideTerm moved)
    {
        if (isAcross && side.Contains(moved)) return [.. side.Where(t => t != moved)];
        var turned = moved with { Number = -moved.Number };
        var at = side.FindLastIndex(t => t.HasLetter == moved.HasLetter) + 1;
        return at == 0 ? [.. side.Where(t => !t.Number.IsZero), turned] : [.. side[..at], turned, .. side[at..]];
    }

    private IEnumerable<string> Sums(List<SideTerm> side)
    {
        foreach (var like in side.GroupBy(t => t.HasLetter).Where(g => g.Count() > 1))
        {
            var text = string.Join(" ", like.Select((t, i) => i == 0 ? Said(t) : $"{(t.Number.Sign < 0 ? "−" : "+")} {Said(t with { Number = Rational.Abs(t.Number) })}"));
            var sum = like.Aggregate(default(Rational), (all, t) => all + t.Number);
            yield return $"{text} = {(sum.IsZero ? "0" : Said(new SideTerm(sum, like.Key)))}.";
        }
    }

    private static List<SideTerm> Opened(List<SideTerm> side) =>
        [.. side.SelectMany(t => t.Bracket is { } bracket ? bracket.Select(b => b with { Number = t.Number * b.Number }) : [t])];

    // Letters first, then numbers; what comes to nothing is not written.
    private static List<SideTerm> Together(List<SideTerm> side)
    {
        var (letters, numbers) = EquationTask.Sum(side);
        List<SideTerm> terms = [];
        if (!letters.IsZero) terms.Add(new SideTerm(letters, true));
        if (!numbers.IsZero) terms.Add(new SideTerm(numbers, false));
        return terms;
    }

    private static Rational At(IEnumerable<SideTerm> side, Rational number)
    {
        var (letters, numbers) = EquationTask.Sum(side);
        return letters * number + numbers;
    }

    private string Line(List<SideTerm> left, List<SideTerm> right) => $"{EquationTask.Write(left, letter)} = {EquationTask.Write(right, letter)}";

    private string Said(SideTerm term) => Signs.Printed(EquationTask.Write([term], letter));

    private string Behind(SideTerm term) => term.Number.Sign < 0 ? $"({Said(term)})" : Said(term);

    private static string Paren(Rational number) => number.Sign < 0 || !number.IsWhole ? $"({N(number)})" : N(number);

    private static string N(Rational number) => Signs.Printed(number.Text);
}
