namespace YellowPencil.Core.Pages;

/// <summary>What stands under each place of the answer, where the answer alone does not tell.</summary>
public sealed class CellsField() : PlaceField("cells")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => text;

    private protected override bool IsComplete => false;

    /// <summary>Where cells hold one digit each and leave no gap, the answer tells them.</summary>
    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) =>
        marks.Any(cell => cell.Text.Length != 1) || marks.Select(cell => cell.At.Place).Distinct().Count() != marks.Count
        || (marks.Count > 0 && marks.Max(cell => cell.At.Place) - marks.Min(cell => cell.At.Place) != marks.Count - 1);
}

public static partial class WorkFields
{
    /// <summary>What stands in the answer.</summary>
    public static CellsField Cells { get; } = new();
}
