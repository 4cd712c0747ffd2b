using System.Numerics;

namespace YellowPencil.Core.Pages;

/// <summary>Multiples of a divisor listed beside a division, in order.</summary>
public sealed class MultiplesField() : TextsField("multiples", Limits.Entry)
{
    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{text} in place {at.Part + 1} of the list of multiples";

    /// <summary>The first entry that is not the multiple at its place; null where all are, and where one was left out.</summary>
    /// <param name="listed">The entries.</param>
    /// <param name="divisor">What they are multiples of.</param>
    public static (int Count, string Written, BigInteger Due)? FirstWrong(IReadOnlyList<string> listed, BigInteger divisor)
    {
        for (var i = 0; i < listed.Count; i++)
            if (listed[i].Length > 0 && Plain(listed[i]) != ((i + 1) * divisor).ToString()) return (i + 1, listed[i], (i + 1) * divisor);
        return null;
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<string> value) => value.Select((text, at) => new Mark(this, new Spot(Part: at), text));

    private protected override IReadOnlyList<string>? Value(IReadOnlyList<Mark> marks) =>
        marks.Count == 0 ? null : [.. Enumerable.Range(0, marks.Max(m => m.At.Part) + 1).Select(at => marks.LastOrDefault(m => m.At.Part == at).Text ?? "")];

    private protected override bool Tells(IReadOnlyList<string> value, Spot at) => at.Part < value.Count;

    /// <summary>How far somebody lists them says nothing; an entry that is wrong is told by itself and says nothing of a rule either.</summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<string> seen, IReadOnlyList<Mark> due) => [];

    private static string Plain(string entry) => WholeNumber.TryParse(Signs.Plain(entry).Trim()) is { Succeeded: true } number ? number.Value.Value.ToString() : entry;
}

public static partial class WorkFields
{
    /// <summary>Multiples of a divisor listed beside a division.</summary>
    public static MultiplesField Multiples { get; } = new();
}
