using YellowPencil.Core.Layouts;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Families.Division;

/// <summary>Long division: the quotient over its digits, and the cycles going down.</summary>
internal sealed class DivisionLayout : FamilyLayout
{
    /// <summary>Room for digits behind the point where a decimal is asked for.</summary>
    private const int Decimals = 4;

    public override Paper Lay(ItemTask task, School school)
    {
        var division = (LongDivision)task;
        var (dividend, divisor) = (division.Dividend.Length, division.Divisor.Length);
        var (room, signs) = division.AnswerForm switch
        {
            QuotientForm.AsDecimal => (Math.Max(Decimals, division.RightAnswer.Length), "."),
            QuotientForm.WithFraction => (2 * divisor + 2, "/"),
            _ => (divisor + 1, "r"),
        };
        var paper = new Paper { Ones = room };
        var answer = paper.NextRow();
        paper.Answer(answer, 0, room + dividend - 1, signs, isByPoint: true, fromLeft: true);
        var row = paper.NextRow();
        paper.Print(division.Dividend.Text, row, room);
        paper.Print(division.Divisor.Text, row, room + dividend);
        paper.Line(row, room, room + dividend - 1);
        paper.LineDown(row, row, room + dividend);
        var isDecimal = division.AnswerForm == QuotientForm.AsDecimal;
        CycleLayout.Lay(paper, isDecimal ? 0 : room, room + dividend - 1, isDecimal ? dividend + Decimals : dividend, Digits(division), division.Divisor.Value);
        return paper;
    }

    public override IEnumerable<Mark> InPlace(ItemTask task, IEnumerable<Mark> marks)
    {
        var division = (LongDivision)task;
        return CycleLayout.InPlace(Digits(division), division.Divisor.Value, marks);
    }

    private static string Digits(LongDivision division) => division.Dividend.Text.Replace(",", "", StringComparison.Ordinal);

    public override IEnumerable<Mark> Recorded(WorkField field, IEnumerable<Mark> marks, Squares squares, Strip answer) =>
        field == WorkFields.Cycles ? CycleLayout.Recorded(marks, squares, answer) : marks;
}
