using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.Integers;

/// <summary>Signed numbers: the task in a line with its answer behind it, and rewritten lines below.</summary>
internal sealed class IntegerLayout : FamilyLayout
{
    private const int MostLines = 3;

    public override Paper Lay(ItemTask task, School school)
    {
        var pair = (SignedPair)task;
        var room = Math.Max(pair.RightAnswer.Length, 3) + 1;
        var text = task.Text.Replace('-', '−').Replace('*', '×').Replace('/', '÷').Replace(" ", "", StringComparison.Ordinal) + "=";
        var paper = new Paper();
        var row = paper.NextRow();
        paper.Print(text, row, room);
        paper.Answer(row, 0, room - 1, "-", fromLeft: true);
        if (pair.Operation is PairOperation.Times or PairOperation.DividedBy) PartLayouts.Noted(paper, isSigned: true, isCounted: false);
        for (var line = 0; line < MostLines; line++)
            paper.Note($"lines-{line}", $"line {line + 1}", WorkFields.Lines, paper.NextRow(), 0, paper.Columns - 1, "-+*/()=", line);
        return paper;
    }
}
