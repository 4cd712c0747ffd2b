using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>
/// Compares the marks that stand on a page with those that a student would leave: field by field, how many differ. What was not
/// recorded says nothing; what people write in different ways, as zeros in front or a cycle that gives 0, is not told apart.
/// </summary>
internal static class MarkComparison
{
    /// <summary>For each recorded field that the method can fill, the count of marks that differ.</summary>
    public static IEnumerable<int> Differing(ItemTask task, Work observed, IReadOnlyList<MarkField> fields, IReadOnlyList<Mark> predicted)
    {
        foreach (var (field, marks) in observed.Marks)
            if (fields.Contains(field)) yield return Shifts(task).Min(shift => ByPlace(marks, [.. predicted.Where(m => m.Field == field)], shift, isComplete: field != MarkField.Cells));
        if (observed.Operands is { } operands && fields.Contains(MarkField.Operands)) yield return Operands(operands, Of(predicted, MarkField.Operands));
        if (observed.Order is { } order && fields.Contains(MarkField.Order) && Of(predicted, MarkField.Order) is [.., var direction]) yield return order == direction.Text ? 0 : 1;
        if (observed.Rows is { } rows && fields.Contains(MarkField.Rows))
        {
            yield return Rows(rows, Of(predicted, MarkField.Rows));
            if (observed.Has(MarkField.RowCarries)) yield return RowCarries(rows, Of(predicted, MarkField.RowCarries));
        }

        if (observed.Steps is { } steps && fields.Contains(MarkField.StepQuotient)) yield return Cycles(steps, Work.Of(predicted, MarkField.StepQuotient, MarkField.StepProduct, MarkField.StepDifference, MarkField.StepBroughtDown).Steps!);
        if (observed.Lines is { } lines && fields.Contains(MarkField.Lines)) yield return LineComparison.Differing(task, lines, [.. Of(predicted, MarkField.Lines).Select(m => m.Text)]);
        if (observed.Sign is { } sign && Of(predicted, MarkField.Sign) is [.., var noted]) yield return sign.Trim().Replace('−', '-') == noted.Text ? 0 : 1;
        if (observed.Places is { } places && Of(predicted, MarkField.Places) is [.., var counted]) yield return places.Trim() == counted.Text ? 0 : 1;
        if (observed.Scaled is { } scaled && Of(predicted, MarkField.ScaledDivisor) is [.., var divisor])
            yield return Number(scaled.Divisor, divisor.Text) + Number(scaled.Dividend, Of(predicted, MarkField.ScaledDividend)[^1].Text);
    }

    private static List<Mark> Of(IReadOnlyList<Mark> marks, MarkField field) => [.. marks.Where(m => m.Field == field)];

    // A product of decimals has no places of its own while it is worked: columns may be named from its last digit or from the first number's.
    private static IEnumerable<int> Shifts(ItemTask task) => task is DecimalProduct product ? new[] { 0, -product.First.Places, -product.First.Places - product.Second.Places }.Distinct() : [0];

    private static int ByPlace(PlaceMarks observed, IReadOnlyList<Mark> predicted, int shift, bool isComplete)
    {
        var last = new Dictionary<int, string>();
        foreach (var mark in predicted) last[mark.Place + shift] = mark.Text;
        var differing = observed.Places.Count(place => last.GetValueOrDefault(place) != observed.At(place)[^1].Trim());
        return isComplete ? differing + last.Keys.Count(place => observed.At(place).Count == 0) : differing;
    }

    /// <summary>Numbers whose ones do not stand where they are foretold, seen from the first number.</summary>
    private static int Operands(IReadOnlyList<Operand> observed, List<Mark> predicted)
    {
        if (observed.Count == 0 || predicted.Count == 0) return observed.Count == predicted.Count ? 0 : 1;
        var differing = Math.Abs(observed.Count - predicted.Count);
        for (var i = 0; i < Math.Min(observed.Count, predicted.Count); i++)
        {
            var seen = Ones(observed[i].Text, observed[i].LastPlace) - Ones(observed[0].Text, observed[0].LastPlace);
            var due = Ones(predicted[i].Text, predicted[i].Place) - Ones(predicted[0].Text, predicted[0].Place);
            if (seen != due) differing++;
        }

        return differing;

        static int Ones(string text, int lastPlace) => lastPlace + (text.IndexOf('.') is >= 0 and var point ? text.Trim().Length - point - 1 : 0);
    }

    /// <summary>Rows that are not where and what they are foretold to be; rows of zeros are left out.</summary>
    private static int Rows(IReadOnlyList<PartialProduct> observed, List<Mark> predicted)
    {
        var seen = observed.Select(row => InPlace(row.Text, row.LastPlace ?? 0)).Where(row => row.Length > 0).ToList();
        var due = predicted.Select(m => InPlace(m.Text, m.Place)).ToList();
        return Math.Abs(seen.Count - due.Count) + seen.Zip(due).Count(pair => pair.First != pair.Second);

        static string InPlace(string text, int lastPlace) => DigitsOf(text) is { Length: > 0 } digits ? digits + new string('0', Math.Max(0, lastPlace)) : "";
    }

    /// <summary>Carries may be named by the column of the top digit, or by the column of their row, which is shifted.</summary>
    private static int RowCarries(IReadOnlyList<PartialProduct> observed, List<Mark> predicted)
    {
        var rows = observed.Where(row => DigitsOf(row.Text).Length > 0).ToList();
        var differing = 0;
        for (var i = 0; i < rows.Count; i++)
            if (rows[i].Carries is { } carries)
                differing += new[] { 0, i }.Distinct().Min(shift => ByPlace(carries, [.. predicted.Where(m => m.Row == i)], shift, isComplete: true));
        return differing;
    }

    /// <summary>Cycles that differ; those that give 0 are written by some and passed over by others. Cycles that were not recorded at the end count once.</summary>
    private static int Cycles(IReadOnlyList<DivisionCycle> observed, IReadOnlyList<DivisionCycle> predicted)
    {
        var seen = observed.Where(IsWorked).ToList();
        var due = predicted.Where(IsWorked).ToList();
        return Math.Max(0, seen.Count - due.Count) + (seen.Count < due.Count ? 1 : 0) + seen.Zip(due).Count(pair => Differ(pair.First, pair.Second));

        static bool IsWorked(DivisionCycle cycle) => DigitsOf(cycle.Quotient ?? cycle.Product ?? "").Length > 0;
    }

    private static bool Differ(DivisionCycle observed, DivisionCycle predicted)
    {
        return Field(observed.Quotient, predicted.Quotient) || Field(observed.Product, predicted.Product) || Field(observed.Difference, predicted.Difference)
            || (Field(observed.BroughtDown, predicted.BroughtDown) && Field(observed.BroughtDown, predicted.Difference + predicted.BroughtDown));

        static bool Field(string? seen, string? due) => seen is not null && due is not null && DigitsOf(seen) != DigitsOf(due);
    }

    private static int Number(string? observed, string predicted) => observed is null || DecimalNumber.Canonical(observed) == DecimalNumber.Canonical(predicted) ? 0 : 1;

    /// <summary>The digits of a number without commas, points and zeros in front; empty for 0.</summary>
    private static string DigitsOf(string text) => string.Concat(text.Where(char.IsAsciiDigit)).TrimStart('0');
}
