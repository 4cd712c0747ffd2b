namespace YellowPencil.Core.Parts.Differences;

/// <summary>Who lends to a column that is short, and what the digits on the way become.</summary>
internal ref partial struct ColumnDifferenceWork
{
    private readonly void Lend(ColumnContext context)
    {
        var column = context.Column - smallestPlace;
        var lender = run.Ask(SubtractionDecisions.Lender, context);
        switch (lender)
        {
            case LenderChosen.NearestNotZero:
                LendFrom(column + 1 + context.ZerosNext, context);
                break;
            case LenderChosen.LeftmostDigit:
                LendFrom(Leftmost(), context);
                break;
            case LenderChosen.OneBeyond:
                LendFrom(Math.Min(column + 2, top.Length - 1), context);
                break;
            case LenderChosen.ZeroBecomesNine or LenderChosen.ZeroBecomesTen or LenderChosen.ZeroStays when !context.NextIsZero:
                LendFrom(column + 1, context);
                break;
            case LenderChosen.ZeroBecomesNine:
                Rewrite(column + 1, 9);
                break;
            case LenderChosen.ZeroBecomesTen:
                Rewrite(column + 1, 10);
                break;
            case LenderChosen.BottomDigit:
                if (bottom[column + 1] > 0) RewriteBelow(column + 1, bottom[column + 1] - 1);
                break;
            case LenderChosen.EveryDigitLeft:
                for (var left = column + 1; left < top.Length; left++)
                    if (top[left] > 0) Rewrite(left, top[left] - 1);
                break;
            case LenderChosen.NearestZerosBeyondNine:
                LendFrom(column + 1 + context.ZerosNext, context);
                for (var left = column + 2 + context.ZerosNext; left < top.Length; left++)
                    if (top[left] == 0) Rewrite(left, 9);
                break;
            case LenderChosen.EveryDigitLeftZerosNine:
                for (var left = column + 1; left < top.Length; left++) Rewrite(left, top[left] == 0 ? 9 : top[left] - 1);
                break;
            case LenderChosen.NearestLargerThanBelow:
                var richer = column + 1;
                while (richer < top.Length && top[richer] <= Math.Max(0, bottom[richer])) richer++;
                LendFrom(richer < top.Length ? richer : column + 1 + context.ZerosNext, context);
                break;
            case LenderChosen.OneBeyondOrNearest:
                LendFrom(column + 2 < top.Length && top[column + 2] > 0 ? column + 2 : column + 1 + context.ZerosNext, context);
                break;
            case LenderChosen.NearestAndNext:
                var nearest = column + 1 + context.ZerosNext;
                LendFrom(nearest, context);
                if (nearest + 1 < top.Length && top[nearest + 1] > 0) Rewrite(nearest + 1, top[nearest + 1] - 1);
                break;
            case LenderChosen.NextHoweverSmall:
                if (top[column + 1] > 0) LendFrom(column + 1, context);
                break;
            case LenderChosen.RightNeighbour:
                if (column > 0) Rewrite(column - 1, Math.Max(0, top[column - 1] - 1));
                break;
            default:
                break;
        }
    }

    private readonly void LendFrom(int lender, ColumnContext context)
    {
        var receiver = context.Column - smallestPlace;
        var passed = 0;
        for (var between = lender - 1; between > receiver; between--)
            if (top[between] == 0) passed++;
        var digit = top[lender];
        var lending = Lending(lender, context, passed);
        var value = run.Value(SubtractionDecisions.LenderBecomes, lending, Math.Max(0, run.Do(SubtractionDecisions.LenderValue, lending)), most: 99);
        if (value != digit) Rewrite(lender, value);

        for (var between = lender - 1; between > receiver; between--)
        {
            if (top[between] != 0) continue;
            var becomes = run.Do(SubtractionDecisions.PassedZero, Lending(between, context, passed));
            if (becomes == 9) Rewrite(between, 9, by: 10);
            else if (becomes > 0) Rewrite(between, becomes);
        }
    }

    private readonly int Leftmost()
    {
        var place = top.Length - 1;
        while (place > 0 && top[place] == 0) place--;
        return place;
    }

    private readonly LendingContext Lending(int place, ColumnContext context, int passed) => new(
        smallestPlace + place, top[place], bottom[place], context.Column, passed, smallestPlace + place - context.Column - 1, renames, place == top.Length - 1)
    {
        Short = context.Top,
        Taken = context.Bottom,
    };
}
