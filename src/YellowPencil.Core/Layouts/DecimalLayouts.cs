using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Layouts;

/// <summary>Sums and differences of decimals: every number can be moved to where the student put it, and be filled up with zeros.</summary>
internal sealed class DecimalSumLayout : FamilyLayout
{
    /// <summary>By so many columns a number can be moved to either side.</summary>
    private const int Play = 2;

    public override Family Family => Family.DecimalSums;

    public override Paper Lay(ItemTask task, School school)
    {
        var sum = (DecimalSum)task;
        var places = sum.Numbers.Max(n => n.Places);
        var whole = sum.Numbers.Max(n => Squares.Spread(n.Magnitude, 0).Count() - n.Places);
        var ones = Math.Max(places, Play);
        var left = ones + whole - 1 + Play;
        var paper = new Paper { Ones = ones };
        var (second, first, top) = (paper.NextRow(), paper.NextRow(), paper.NextRow());
        if (sum.IsDifference) SubtractionLayout.StruckOut(paper, first, second, top, ones - places, left);
        else paper.Marks("carries", "carry", WorkFields.Carries, first, ones - places, left);
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

/// <summary>Products of decimals: as products of whole numbers, with the count of places and the sign noted.</summary>
internal sealed class DecimalProductLayout : FamilyLayout
{
    public override Family Family => Family.DecimalProducts;

    public override Paper Lay(ItemTask task, School school)
    {
        var product = (DecimalProduct)task;
        var paper = new Paper();
        MultiplicationLayout.Lay(paper, product.First.Text, SignCount(product.First), product.Second.Text, SignCount(product.Second), "-.");
        Noted(paper, product.First.IsNegative || product.Second.IsNegative, isCounted: true);
        return paper;
    }

    public override bool IsProductCarry(ItemTask task, Mark mark) => base.IsProductCarry(task, mark) || (mark.Field == WorkFields.Carries && SignCount(((DecimalProduct)task).Second) == 1);

    public override IReadOnlyList<int> PlaceholdersOf(ItemTask task) => MultiplicationLayout.PlaceholdersOf(((DecimalProduct)task).Second.Text);

    /// <summary>Rows for what is noted beside the work.</summary>
    internal static void Noted(Paper paper, bool isSigned, bool isCounted)
    {
        if (isCounted) Note(paper, "places", "count of places", WorkFields.Places, "");
        if (isSigned) Note(paper, "sign", "sign", WorkFields.Sign, "-+");
    }

    private static void Note(Paper paper, string word, string name, MarkKind kind, string signs)
    {
        var row = paper.NextRow();
        paper.Columns = Math.Max(paper.Columns, 4);
        paper.PrintWord(word, row, paper.Columns - 1);
        paper.Note(word, name, kind, row, 0, 1, signs);
    }

    private static int SignCount(DecimalNumber number) => Squares.Spread(number.Magnitude, 0).Count();
}
