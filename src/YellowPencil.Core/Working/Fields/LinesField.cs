using System.Numerics;
using System.Text.Json;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Working.Fields;

/// <summary>The lines of a working from the top.</summary>
public sealed class LinesField() : WorkField<IReadOnlyList<string>>("lines")
{
    /// <inheritdoc/>
    public override bool StandsInLines => true;

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"the line {text}";

    private protected override IReadOnlyList<string> ReadValue(SheetField json) => [.. json.Elements(Limits.Entries).Select(line => line.Text(Limits.Line))];

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<string> value)
    {
        json.WriteStartArray();
        foreach (var line in value) json.WriteStringValue(line);
        json.WriteEndArray();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<string> value) => value.Select((text, line) => new Mark(this, new Spot(line), text));

    private protected override IReadOnlyList<string> Value(IReadOnlyList<Mark> marks) => [.. marks.Select(m => m.Text)];

    private protected override bool Tells(IReadOnlyList<string> value, Spot at) => at.Line < value.Count;

    /// <summary>
    /// Lines that are neither a copy of the task, nor a due rewriting in any order and spelling, nor a single number, which the answer is
    /// compared with elsewhere.
    /// </summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<string> seen, IReadOnlyList<Mark> due)
    {
        var sums = due.Select(m => m.Text).Append(due.Count == 0 ? task.Text : "").Select(Terms).Where(t => t.Count > 0).ToList();
        var match = default(FieldMatch);
        foreach (var line in seen)
            if (Plain(line) != Plain(task.Text) && Terms(line) is { Count: > 1 } terms) match += sums.Exists(d => d.SequenceEqual(terms)) ? new FieldMatch(1, 0, 0, 0) : new FieldMatch(0, 0, 0, 1);
        return [match];
    }

    /// <summary>The terms that are added, each with its sign, in order of size; empty for what is no sum of whole numbers.</summary>
    private static List<BigInteger> Terms(string line)
    {
        var terms = new List<BigInteger>();
        var sign = 1;
        var digits = "";
        foreach (var letter in Plain(line[(line.LastIndexOf('=') + 1)..]) + "+")
        {
            if (char.IsAsciiDigit(letter))
            {
                digits += letter;
                continue;
            }

            if (letter is not ('+' or '-')) return [];
            if (digits.Length > 0)
            {
                terms.Add(sign * BigInteger.Parse(digits));
                (digits, sign) = ("", 1);
            }

            if (letter == '-') sign = -sign;
        }

        terms.Sort();
        return terms;
    }

    private static string Plain(string line) => string.Concat(Signs.Plain(line).Where(c => !char.IsWhiteSpace(c) && c is not ('(' or ')')));
}

public static partial class WorkFields
{
    /// <summary>The lines of the working.</summary>
    public static LinesField Lines { get; } = new();
}
