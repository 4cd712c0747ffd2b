namespace YellowPencil.Core.Pages;

/// <summary>Carry marks of a sum, of a product by one digit, and of the row sum of a long multiplication.</summary>
public sealed class CarriesField() : PlaceField("carries")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{text} carried to the {Place.Name(at.Place ?? 0)}";

    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) => true;
}

public static partial class WorkFields
{
    /// <summary>Carry marks.</summary>
    public static CarriesField Carries { get; } = new();
}
