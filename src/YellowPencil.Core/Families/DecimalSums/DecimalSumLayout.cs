using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.DecimalSums;

/// <summary>Sums and differences of decimals: every number can be moved to where the student put it, and be filled up with zeros.</summary>
internal sealed class DecimalSumLayout : FamilyLayout
{
    /// <summary>By so many columns a number can be moved to either side.</summary>
    private const int Play = 2;

    public override Paper Lay(ItemTask task, School school)
    {
        var sum = (DecimalSum)task;
        var places = sum.Numbers.Max(n => n.Places);
        var whole = sum.Numbers.Max(n => Squares.Spread(n.Magnitude, 0).Count() - n.Places);
        var ones = Math.Max(places, Play);
        var left = ones + whole - 1 + Play;
        var paper = new Paper { Ones = ones };
        var (above, top) = (PartLayouts.RowsAbove(paper), paper.NextRow());
        if (sum.IsDifference) PartLayouts.StruckOut(paper, above, top, ones - places, left);
        else paper.Marks("carries", "carry", WorkFields.Carries, above[0], ones - places, left);
        for (var line = 0; line < sum.Numbers.Count; line++)
        {
            var row = line == 0 ? top : paper.NextRow();
            var number = sum.Numbers[line];
            paper.Add(new Strip
            {
                Id = $"operands-{line}",
                Name = $"number {line + 1}",
                Kind = StripKind.Operand,
                Mark = WorkFields.Operands,
                Line = line,
                Row = row,
                Right = 0,
                Left = left,
                Ones = ones,
                Given = number.Text,
                GivenAt = ones - number.Places,
                Signs = ".",
            });
            if (line == sum.Numbers.Count - 1) paper.Print(sum.IsDifference ? "−" : "+", row, left + 1);
        }

        var answer = paper.NextRow();
        paper.Line(answer, 0, left + 1);
        paper.Answer(answer, 0, left + 1, "-.", isByPoint: true);
        return paper;
    }
}
