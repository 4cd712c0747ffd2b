using System.Numerics;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Families.Equations;

/// <summary>The steps of solving one equation.</summary>
/// <param name="run">The run.</param>
/// <param name="task">The equation.</param>
internal readonly struct EquationWork(MethodRun run, EquationTask task)
{
    private const int MostSeen = 1_000_000;

    private const int MostPlaces = 12;

    /// <summary>Solves it.</summary>
    public void Walk()
    {
        var (left, right) = (Turned(task.Left, true), Turned(task.Right, false));
        if (left.Concat(right).Any(t => t.Bracket is not null))
        {
            (left, right) = (WithoutBrackets(left), WithoutBrackets(right));
            Pass(left, right);
        }

        var (leftLetters, leftNumbers) = Collected(left, true);
        var (rightLetters, rightNumbers) = Collected(right, false);
        Pass(Side(leftLetters, leftNumbers), Side(rightLetters, rightNumbers));
        Join(ref leftLetters, ref leftNumbers, true);
        Join(ref rightLetters, ref rightNumbers, false);
        Pass(Side(leftLetters, leftNumbers), Side(rightLetters, rightNumbers));
        if (leftLetters.IsZero && !rightLetters.IsZero)
        {
            (leftLetters, leftNumbers, rightLetters, rightNumbers) = (rightLetters, rightNumbers, leftLetters, leftNumbers);
            Pass(Side(leftLetters, leftNumbers), Side(rightLetters, rightNumbers));
        }

        var sides = new List<(List<SideTerm> Left, Rational Right)>();
        if (!rightLetters.IsZero)
        {
            var areAlone = leftNumbers.IsZero && rightNumbers.IsZero && !leftLetters.IsZero;
            var pair = Pair(leftLetters, rightLetters, true, true) with { AreAlone = areAlone };
            var way = run.Ask(EquationDecisions.Letters, pair);
            if (way == LettersMoved.Divided)
            {
                Write(rightLetters / leftLetters);
                return;
            }

            sides.Add(([new(leftLetters, true)], rightLetters));
            if (way is LettersMoved.TakenFromLeft or LettersMoved.AddedToLeft)
                sides.Add(([new(leftLetters, true), new(way == LettersMoved.AddedToLeft ? rightLetters : -rightLetters, true)], default));
            PassUnmoved(sides, leftNumbers, rightNumbers);
            if (way == LettersMoved.TakenFromLeft) WriteMoved(Side(leftLetters, leftNumbers), Side(rightLetters, rightNumbers), new(rightLetters, true));
            var (letters, toRight) = way == LettersMoved.TakenFromLeft
                ? (Combined(leftLetters, -rightLetters, isLeft: true, haveLetter: true), default)
                : EquationDecisions.Letters.Result(way, pair, run.School);
            (leftLetters, rightNumbers) = (letters, rightNumbers + toRight);
            Pass(Side(leftLetters, leftNumbers), Side(default, rightNumbers));
        }

        if (leftLetters.IsZero)
        {
            foreach (var (letters, ofRight) in sides) PassMoved(letters, leftNumbers, rightNumbers, ofRight);
            PassMoved([], leftNumbers, rightNumbers, default);
            Without(leftNumbers, rightNumbers);
            return;
        }

        if (!leftNumbers.IsZero)
        {
            var pair = Pair(leftNumbers, rightNumbers, true, false) with { BeforeLetter = leftLetters };
            var moved = run.Ask(EquationDecisions.Number, pair);
            if (moved == NumberMoved.AfterDividing)
            {
                var divided = rightNumbers / leftLetters;
                Pass([new(Rational.Whole(1), true), new(leftNumbers, false)], [new(divided, false)]);
                PassMoved([new(Rational.Whole(1), true)], leftNumbers, divided, default);
                Write(Combined(divided, -leftNumbers, isLeft: false, haveLetter: false));
                return;
            }

            if (moved == NumberMoved.DividedOnItsSide)
            {
                Write(rightNumbers - leftNumbers / leftLetters);
                return;
            }

            sides.Add(([new(leftLetters, true)], default));
            foreach (var (letters, ofRight) in sides) PassMoved(letters, moved == NumberMoved.AddedToRight ? -leftNumbers : leftNumbers, rightNumbers, ofRight);
            if (moved == NumberMoved.TakenFromRight) WriteMoved(Side(leftLetters, leftNumbers), Side(default, rightNumbers), new(leftNumbers, false));
            rightNumbers = moved == NumberMoved.TakenFromRight
                ? Combined(rightNumbers, -leftNumbers, isLeft: false, haveLetter: false)
                : EquationDecisions.Number.Result(moved, pair, run.School);
            Pass(Side(leftLetters, default), Side(default, rightNumbers));
        }

        Divide(leftLetters, rightNumbers);
    }

    // "7 - 3x": where the letter is brought to the front, the minus must go with it.
    private List<SideTerm> Turned(IReadOnlyList<SideTerm> side, bool isLeft)
    {
        if (side is [{ HasLetter: false, Bracket: null, Number.Sign: > 0 } number, { HasLetter: true, Number.Sign: < 0 } letter]
            && run.Ask(EquationDecisions.Order, Pair(number.Number, letter.Number, isLeft, false)) == SideOrder.NumbersExchanged)
            return [letter with { Number = -letter.Number }, number with { Number = -number.Number }];
        return [.. side];
    }

    private List<SideTerm> WithoutBrackets(List<SideTerm> side)
    {
        var terms = new List<SideTerm>();
        for (var i = 0; i < side.Count; i++)
        {
            if (side[i].Bracket is not { } bracket)
            {
                terms.Add(side[i]);
                continue;
            }

            var before = side[i].Number;
            before = run.Do(EquationDecisions.Before, InBracket(before, bracket[0], 0, i));
            for (var at = 0; at < bracket.Count; at++)
            {
                var term = bracket[at];
                var seen = InBracket(before, term, at, i);
                var way = run.Ask(EquationDecisions.Meets, seen);
                if (way != MeetsTerm.LeftOut)
                    terms.Add(
                        term
                            with
                        { Number = way == MeetsTerm.Multiplied ? Times(before, term.Number) : EquationDecisions.Meets.Result(way, seen, run.School) });
            }
        }

        return terms;
    }

    private static InBracket InBracket(Rational before, SideTerm term, int at, int behind) =>
        new(Clamped(before), Clamped(term.Number), term.HasLetter, at, behind > 0) { Factor = before, Term = term.Number };

    private Rational Times(Rational one, Rational other)
    {
        var (a, b) = (Rational.Abs(one), Rational.Abs(other));
        var size = a.IsWhole && b.IsWhole ? Rational.Whole(WholeNumbers.Product(run, a.Numerator, b.Numerator)) : a * b;
        return (one.Sign < 0 || other.Sign < 0) && SignDecisions.IsNegativeAside(run, new SignsContext(one.Sign < 0, other.Sign < 0, a > b, IsQuotient: false))
            ? -size
            : size;
    }

    // What may stand on the page before the letters are put together: moved and not yet added up, or the operation under both sides.
    private void PassUnmoved(List<(List<SideTerm> Left, Rational Right)> sides, Rational number, Rational right)
    {
        if (!run.Page.KeepsMarks) return;
        foreach (var (letters, ofRight) in sides)
        {
            PassAside([.. letters, new(number, false)], [new SideTerm(ofRight, true), new SideTerm(right, false)]);
            if (!ofRight.IsZero) PassAside([.. letters, new(number, false), new(-ofRight, true)], [new SideTerm(ofRight, true), new SideTerm(right, false), new SideTerm(-ofRight, true)]);
        }
    }

    // The same of the plain numbers.
    private void PassMoved(List<SideTerm> letters, Rational number, Rational right, Rational ofRight)
    {
        if (!run.Page.KeepsMarks) return;
        var (kept, moved) = (new SideTerm(ofRight, true), new SideTerm(-number, false));
        PassAside(letters, [kept, new SideTerm(right, false), moved]);
        PassAside([.. letters, new(number, false), moved], [kept, new SideTerm(right, false), moved]);
        PassAside(letters, [kept, new SideTerm(right - number, false)]);
    }

    // The line on which it shows what is done: the term across with its other sign; or the same on both sides, which may stay in the head.
    private void WriteMoved(List<SideTerm> left, List<SideTerm> right, SideTerm moved)
    {
        if (!run.Page.KeepsMarks) return;
        var turned = moved with { Number = -moved.Number };
        var isAcross = run.School.Of(School.EquationMoves) == EquationMoveSchool.Across;
        run.Page.Pass($"{EquationTask.Write(After(left), task.Letter)} = {EquationTask.Write(After(right), task.Letter)}", isWritten: isAcross);

        List<SideTerm> After(List<SideTerm> side)
        {
            if (isAcross && side.Contains(moved)) return [.. side.Where(t => t != moved)];
            var at = side.FindLastIndex(t => t.HasLetter == moved.HasLetter) + 1;
            return at == 0 ? [.. side, turned] : [.. side[..at], turned, .. side[at..]];
        }
    }

    private void PassAside(IEnumerable<SideTerm> left, IEnumerable<SideTerm> right)
    {
        var letter = task.Letter;
        run.Page.Pass($"{Written(left)} = {Written(right)}", isWritten: false);

        string Written(IEnumerable<SideTerm> side) => EquationTask.Write([.. side.Where(t => !t.Number.IsZero)], letter);
    }

    // Two like terms, as they come together on one side.
    private Rational Combined(Rational one, Rational other, bool isLeft, bool haveLetter)
    {
        if (one.IsZero || other.IsZero) return one + other;
        var pair = Pair(one, other, isLeft, haveLetter);
        var way = run.Ask(EquationDecisions.Sum, pair);
        return way == SideSum.WithSigns ? Together(one, other) : EquationDecisions.Sum.Result(way, pair, run.School);
    }

    private (Rational Letters, Rational Numbers) Collected(List<SideTerm> side, bool isLeft) => (Sum(side, true, isLeft), Sum(side, false, isLeft));

    private Rational Sum(List<SideTerm> side, bool haveLetter, bool isLeft)
    {
        var sum = default(Rational);
        var isFirst = true;
        foreach (var term in side.Where(t => t.HasLetter == haveLetter))
        {
            sum = isFirst ? term.Number : Combined(sum, term.Number, isLeft, haveLetter);
            isFirst = false;
        }

        return sum;
    }

    private Rational Together(Rational one, Rational other)
    {
        if (!one.IsWhole || !other.IsWhole || one.IsZero || other.IsZero) return one + other;
        var (first, second) = (BigInteger.Abs(one.Numerator), BigInteger.Abs(other.Numerator));
        var size = one.Sign == other.Sign
            ? WholeNumbers.Sum(run, first, second)
            : WholeNumbers.Difference(run, BigInteger.Max(first, second), BigInteger.Min(first, second));
        return Rational.Whole((one + other).Sign < 0 ? -size : size);
    }

    private void Join(ref Rational letters, ref Rational numbers, bool isLeft)
    {
        if (letters.IsZero || numbers.IsZero) return;
        switch (run.Ask(EquationDecisions.Join, Pair(letters, numbers, isLeft, false)))
        {
            case OneSide.Joined: (letters, numbers) = (letters + numbers, default); break;
            case OneSide.JoinedAsNumber: (letters, numbers) = (default, letters + numbers); break;
            default: break;
        }
    }

    private void Divide(Rational letters, Rational numbers)
    {
        if (letters.IsOne)
        {
            Write(numbers);
            return;
        }

        if (letters.Sign < 0 && run.Ask(LastStepDecisions.Minus, Pair(letters, numbers, true, true)) == MinusBefore.Lost)
        {
            Divide(-letters, numbers);
            return;
        }

        var isNegative = (letters.Sign < 0 || numbers.Sign < 0) && !numbers.IsZero && SignDecisions.IsNegativeAside(
            run, new SignsContext(numbers.Sign < 0, letters.Sign < 0, Rational.Abs(numbers) > Rational.Abs(letters), IsQuotient: true));
        var pair = Pair(letters, numbers, true, true) with { IsNegative = isNegative };
        var way = run.Ask(LastStepDecisions.Divide, pair);
        if (run.Page.KeepsMarks && letters is { IsWhole: false, Numerator.IsOne: false } && numbers.IsWhole)
            PassAside([new SideTerm(Rational.Whole(letters.Numerator), true)], [new SideTerm(numbers * Rational.Whole(letters.Denominator), false)]);
        var solution = LastStepDecisions.Divide.Result(way, pair, run.School);
        if (solution.IsWhole || LastStepDecisions.Division(way, pair) is not { } division) Write(solution);
        else WriteFraction(division);
    }

    private void WriteFraction(EquationPair division)
    {
        var way = run.Ask(LastStepDecisions.Written, division);
        if (way == SolutionWritten.WithRemainder) run.Page.Append(task.Canonical(LastStepDecisions.WithRemainder(division)!));
        else if (way == SolutionWritten.NotInLowestTerms)
            run.Page.Append(task.Canonical($"{(division.IsNegative ? "-" : "")}{Rational.Abs(division.Other).Text}/{Rational.Abs(division.One).Text}"));
        else if (way is SolutionWritten.RestBehindPoint or SolutionWritten.OnePlace) WriteDecimal(LastStepDecisions.Written.Result(way, division, run.School));
        else Write(LastStepDecisions.Written.Result(way, division, run.School));
    }

    private void WriteDecimal(Rational number) =>
        run.Page.Append(task.Canonical($"{(number.Sign < 0 ? "-" : "")}{Exact.Written(Rational.Abs(number), MostPlaces)}"));

    // No letter is left: what stands there is true or false.
    private void Without(Rational left, Rational right)
    {
        Pass(Side(default, left), Side(default, right));
        var isTrue = left == right;
        var way = run.Ask(EquationDecisions.Gone, Pair(left, right, true, false));
        run.Page.Append(way switch
        {
            NoLetterLeft.Zero => $"{task.Letter} = 0",
            NoLetterLeft.TheNumber => $"{task.Letter} = {(right - left).Text}",
            NoLetterLeft.None => EquationTask.NoNumber,
            NoLetterLeft.All => EquationTask.EveryNumber,
            NoLetterLeft.Exchanged => isTrue ? EquationTask.NoNumber : EquationTask.EveryNumber,
            _ => isTrue ? EquationTask.EveryNumber : EquationTask.NoNumber,
        });
    }

    private void Write(Rational number)
    {
        run.Page.Append($"{task.Letter} = {number.Text}");
        if (run.Page.KeepsMarks) run.Page.Pass($"{task.Letter} = {number.Text}", isWritten: false);
    }

    private static List<SideTerm> Side(Rational letters, Rational numbers)
    {
        var side = new List<SideTerm>();
        if (!letters.IsZero) side.Add(new SideTerm(letters, true));
        if (!numbers.IsZero) side.Add(new SideTerm(numbers, false));
        return side;
    }

    private void Pass(List<SideTerm> left, List<SideTerm> right)
    {
        if (!run.Page.KeepsMarks) return;
        var line = $"{EquationTask.Write(left, task.Letter)} = {EquationTask.Write(right, task.Letter)}";
        if (run.Page.Marks.Count == 0 ? line != task.Text["solve ".Length..] : run.Page.Marks[^1].Text != line) run.Page.Pass(line, isWritten: true);
    }

    private EquationPair Pair(Rational first, Rational second, bool isLeft, bool haveLetter) =>
        new(Clamped(first), Clamped(second), isLeft, haveLetter)
        { One = first, Other = second, OnBothSides = task.OnBothSides, HadBrackets = task.HasBrackets };

    private static int Clamped(Rational number) =>
        (int)BigInteger.Max(-MostSeen, BigInteger.Min(MostSeen, number.IsWhole ? number.Numerator : number.Numerator / number.Denominator));
}
