namespace YellowPencil.Core.Pages;

/// <summary>New values written over digits of the top number, which are struck out.</summary>
public sealed class RewrittenField() : PlaceField("rewritten")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{text} over the {Place.Name(at.Place ?? 0)}";

    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) => true;
}

public static partial class WorkFields
{
    /// <summary>New values over the top number.</summary>
    public static RewrittenField Rewritten { get; } = new();
}
