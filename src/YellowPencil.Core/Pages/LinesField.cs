namespace YellowPencil.Core.Pages;

/// <summary>The lines of a working from the top.</summary>
public sealed class LinesField() : TextsField("lines", Limits.Line)
{
    /// <inheritdoc/>
    public override bool StandsInLines => true;

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"the line {text}";

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<string> value) => value.Select((text, line) => new Mark(this, new Spot(line), text));

    private protected override IReadOnlyList<string> Value(IReadOnlyList<Mark> marks) => [.. marks.Select(m => m.Text)];

    private protected override bool Tells(IReadOnlyList<string> value, Spot at) => at.Line < value.Count;

    /// <summary>Lines are not compared as marks: they are where one stretch of the working ends and the next begins.</summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<string> seen, IReadOnlyList<Mark> due) => [];
}

public static partial class WorkFields
{
    /// <summary>The lines of the working.</summary>
    public static LinesField Lines { get; } = new();
}
