namespace YellowPencil.Core.Pages;

/// <summary>The sign noted beside the work of a product or quotient.</summary>
public sealed class SignField() : NotedField("sign")
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"the sign {text}";

    private protected override string ReadValue(SheetField json)
    {
        var sign = json.Text(Limits.Entry);
        return Plain(sign) is "+" or "-" or "" ? sign : throw json.Wrong("must be \"-\" or \"+\"");
    }

    private protected override string Plain(string note) => Notation.Signs.Plain(note).Trim();
}

public static partial class WorkFields
{
    /// <summary>The sign noted beside the work.</summary>
    public static SignField Sign { get; } = new();
}
