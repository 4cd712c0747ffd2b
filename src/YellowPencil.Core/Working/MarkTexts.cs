using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Working;

/// <summary>Marks in words.</summary>
public static class MarkTexts
{
    /// <summary>Whether the marks of a field stand in columns named by their place; those of the others stand in rows, cycles or lines.</summary>
    public static bool IsInColumns(MarkField field) =>
        field is MarkField.Cells or MarkField.Carries or MarkField.Rewritten or MarkField.RewrittenBelow or MarkField.RowCarries;

    /// <summary>A mark with where it stands; a mark in the answer is its text alone.</summary>
    public static string Of(Mark mark) => mark.Field switch
    {
        MarkField.Rewritten => $"{mark.Text} over the {Place.Name(mark.Place)}",
        MarkField.RewrittenBelow => $"{mark.Text} over the bottom {Place.Name(mark.Place)}",
        MarkField.Carries => $"{mark.Text} carried to the {Place.Name(mark.Place)}",
        MarkField.RowCarries => $"{mark.Text} carried to the {Place.Name(mark.Place)} in row {mark.Row + 1}",
        MarkField.Operands => $"{mark.Text} with its last digit in the {Place.Name(mark.Place)}",
        MarkField.Rows => mark.Place == 0 ? $"{mark.Text} in row {mark.Row + 1}" : $"{mark.Text} in row {mark.Row + 1}, ending in the {Place.Name(mark.Place)}",
        MarkField.StepQuotient => $"{mark.Text} in the quotient in cycle {mark.Row + 1}",
        MarkField.StepProduct => $"{mark.Text} taken away in cycle {mark.Row + 1}",
        MarkField.StepDifference => $"{mark.Text} left in cycle {mark.Row + 1}",
        MarkField.StepBroughtDown => $"{mark.Text} brought down in cycle {mark.Row + 1}",
        MarkField.Sign => $"the sign {mark.Text}",
        MarkField.Places => mark.Text == "1" ? "1 decimal place" : $"{mark.Text} decimal places",
        MarkField.ScaledDivisor => $"divisor {mark.Text}",
        MarkField.ScaledDividend => $"dividend {mark.Text}",
        MarkField.Lines => $"the line {mark.Text}",
        _ => mark.Text,
    };
}
