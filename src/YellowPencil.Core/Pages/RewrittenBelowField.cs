namespace YellowPencil.Core.Pages;

/// <summary>New values written over digits of the bottom number, which are struck out.</summary>
public sealed class RewrittenBelowField() : PlaceField("rewrittenBelow")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{text} over the bottom {Place.Name(at.Place ?? 0)}";
}

public static partial class WorkFields
{
    /// <summary>New values over the bottom number.</summary>
    public static RewrittenBelowField RewrittenBelow { get; } = new();
}
