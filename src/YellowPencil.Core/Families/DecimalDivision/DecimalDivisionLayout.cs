using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>Divisions of decimals: the task in a line, the quotient, both numbers as they were rewritten, and the cycles below.</summary>
internal sealed class DecimalDivisionLayout : FamilyLayout
{
    /// <summary>Room for digits behind the point, and for zeros that were written behind the number.</summary>
    private const int Decimals = 4;

    public override Paper Lay(ItemTask task, School school)
    {
        var quotient = (DecimalQuotient)task;
        var dividend = Length(quotient.Dividend) - quotient.Dividend.Places + quotient.Divisor.Places;
        var divisor = Length(quotient.Divisor);
        var paper = new Paper { Ones = Decimals };
        var left = Decimals + dividend - 1;
        paper.Print($"{quotient.Dividend.Text}÷{quotient.Divisor.Text}".Replace('-', '−'), paper.NextRow(), Decimals);
        var answer = paper.NextRow();
        paper.Answer(answer, 0, left + 1, "-.", isByPoint: true, fromLeft: true);
        var row = paper.NextRow();
        paper.Line(row, Decimals, left);
        paper.LineDown(row, row, left + 1);
        Rewritten(paper, "scaled-dividend", "dividend as rewritten", WorkFields.Scaled.Dividend, row, 0, left);
        Rewritten(paper, "scaled-divisor", "divisor as rewritten", WorkFields.Scaled.Divisor, row, left + 1, left + divisor + 1);
        var (digits, by) = Scaled(quotient, []);
        CycleLayout.Lay(paper, 0, left, Math.Max(3, Length(quotient.Dividend) + quotient.Divisor.Places + 1), digits, by);
        if (quotient.Dividend.IsNegative || quotient.Divisor.IsNegative) PartLayouts.Noted(paper, isSigned: true, isCounted: false);
        return paper;
    }

    public override IEnumerable<Mark> InPlace(ItemTask task, IEnumerable<Mark> marks)
    {
        var all = marks.ToList();
        var (dividend, divisor) = Scaled((DecimalQuotient)task, all);
        return CycleLayout.InPlace(dividend, divisor, all)
            .Select(m => m.Kind == WorkFields.Scaled.Divisor ? m : m.Kind == WorkFields.Scaled.Dividend ? ByPoint(m) : m);
    }

    public override IEnumerable<Mark> Recorded(WorkField field, IEnumerable<Mark> marks, Squares squares, Strip answer) =>
        field == WorkFields.Cycles
            ? CycleLayout.Recorded(marks, squares, answer)
            : field == WorkFields.Scaled
            ? marks.Select(m => m with { At = m.At with { Place = null } })
            : marks;

    private static void Rewritten(Paper paper, string id, string name, MarkKind kind, int row, int right, int left) => paper.Add(new Strip
    {
        Id = id,
        Name = name,
        Kind = StripKind.Text,
        Mark = kind,
        Row = row,
        Right = right,
        Left = left,
        Ones = kind == WorkFields.Scaled.Divisor ? right : Decimals,
        IsWork = true,
        Signs = ".",
        IsByPoint = kind != WorkFields.Scaled.Divisor,
    });

    // The last sign of the dividend stands as many columns behind the ones as it has decimals.
    private static Mark ByPoint(Mark mark) => mark with { At = mark.At with { Place = -Places(mark.Text) } };

    private static int Places(string text) => text.IndexOf('.') is >= 0 and var point ? text.Length - point - 1 : 0;

    private static int Length(DecimalNumber number) => Squares.Spread(number.Magnitude, 0).Count();

    /// <summary>The whole part of the dividend and the digits of the divisor, as they were rewritten or as they are rewritten where it is done right.</summary>
    private static (string Dividend, System.Numerics.BigInteger Divisor) Scaled(DecimalQuotient task, List<Mark> marks)
    {
        var scaled = marks.LastOrDefault(m => m.Kind == WorkFields.Scaled.Dividend).Text
            ?? DecimalNumber.Exact(task.Dividend.Unscaled * System.Numerics.BigInteger.Pow(10, task.Divisor.Places), task.Dividend.Places);
        var whole = string.Concat(scaled.Split('.')[0].Where(char.IsAsciiDigit));
        var divisor = marks.LastOrDefault(m => m.Kind == WorkFields.Scaled.Divisor).Text is { } written
            && DecimalNumber.TryParse(written) is { Succeeded: true } read
            ? read.Value
            : task.Divisor;
        return (whole.Length == 0 ? "0" : whole, System.Numerics.BigInteger.Abs(divisor.Unscaled));
    }
}
