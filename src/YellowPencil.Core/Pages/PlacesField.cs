namespace YellowPencil.Core.Pages;

/// <summary>The count of decimal places noted beside a product.</summary>
public sealed class PlacesField() : NotedField("places")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => text == "1" ? "1 decimal place" : $"{text} decimal places";

    private protected override string ReadValue(SheetField json)
    {
        var count = json.Text(Limits.Entry);
        return count.Trim().All(char.IsAsciiDigit) ? count : throw json.Wrong("must be a count such as \"3\"");
    }
}

public static partial class WorkFields
{
    /// <summary>The count of places noted beside the work.</summary>
    public static PlacesField Places { get; } = new();
}
