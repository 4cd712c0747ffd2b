using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Reads the <c>work</c> of one item.</summary>
internal static class WorkReader
{
    private const int MostMarksInOnePlace = 12;

    private static readonly Dictionary<string, MarkField> PlaceFields = Enum.GetValues<MarkField>().ToDictionary(FieldName);

    /// <summary>The name of a field of marks in the format, for example <c>rewrittenBelow</c>.</summary>
    public static string FieldName(MarkField field) => char.ToLowerInvariant(field.ToString()[0]) + field.ToString()[1..];

    public static Work Read(SheetField field)
    {
        var marks = new Dictionary<MarkField, PlaceMarks>();
        var kept = new Dictionary<string, JsonElement>();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (PlaceFields.TryGetValue(name, out var place)) marks[place] = Marks(value);
            else if (name is not ("operands" or "order")) kept[name] = value.Json;
        }

        if (marks.Count == 0 && kept.Count == 0 && field["operands"].Kind == JsonValueKind.Undefined
            && field["order"].Kind == JsonValueKind.Undefined) return Work.None;
        return new Work
        {
            Operands = Operands(field["operands"]),
            Order = Order(field["order"]),
            Marks = marks,
            Kept = kept,
        };
    }

    private static List<Operand>? Operands(SheetField field) => field.Kind is JsonValueKind.Undefined or JsonValueKind.Null
        ? null
        : [.. field.Elements(20).Select(o => new Operand(o["text"].Text(60), o["lastPlace"].WholeNumber()))];

    private static string? Order(SheetField field)
    {
        var order = field.OptionalText(40);
        return order is null || Work.Orders.Contains(order) ? order : throw field.Wrong($"must be one of {string.Join(", ", Work.Orders)}");
    }

    private static PlaceMarks Marks(SheetField field)
    {
        var marks = new PlaceMarks();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (!int.TryParse(name, out var place) || Math.Abs(place) > 60)
                throw value.Wrong("a place is named by its power of ten: \"0\" for the ones, \"1\" for the tens");
            if (value.Kind == JsonValueKind.Array)
                foreach (var one in value.Elements(MostMarksInOnePlace)) marks.Add(place, one.Text(20));
            else marks.Add(place, value.Text(20));
        }

        return marks;
    }
}
