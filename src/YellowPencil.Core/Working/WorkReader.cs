using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Reads the <c>work</c> of one item.</summary>
internal static class WorkReader
{
    private const int MostMarksInOnePlace = 12;
    private const int MostEntries = 60;
    private const int LongestEntry = 60;
    private const int LongestLine = 200;
    private const int FarthestPlace = 60;

    private static readonly Dictionary<string, MarkField> PlaceFields =
        new MarkField[] { MarkField.Cells, MarkField.Carries, MarkField.Rewritten, MarkField.RewrittenBelow }.ToDictionary(FieldName);

    private static readonly string[] OtherFields = ["operands", "order", "rows", "steps", "lines", "sign", "places", "scaled"];

    /// <summary>Whether a field holds its marks by place.</summary>
    public static bool IsByPlace(MarkField field) => PlaceFields.ContainsValue(field);

    /// <summary>The name of a field of marks in the format, for example <c>rewrittenBelow</c>.</summary>
    public static string FieldName(MarkField field) => char.ToLowerInvariant(field.ToString()[0]) + field.ToString()[1..];

    public static Work Read(SheetField field)
    {
        var marks = new Dictionary<MarkField, PlaceMarks>();
        var kept = new Dictionary<string, JsonElement>();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (PlaceFields.TryGetValue(name, out var place)) marks[place] = Marks(value);
            else if (!OtherFields.Contains(name)) kept[name] = value.Json;
        }

        var work = new Work
        {
            Operands = List(field["operands"], o => new Operand(o["text"].Text(LongestEntry), Place(o["lastPlace"])), "text", "lastPlace"),
            Order = Order(field["order"]),
            Marks = marks,
            Rows = List(field["rows"], Row, "text", "carries", "lastPlace"),
            Steps = List(field["steps"], Cycle, "quotient", "product", "difference", "broughtDown", "place"),
            Lines = field["lines"].IsAbsent ? null : [.. field["lines"].Elements(MostEntries).Select(l => l.Text(LongestLine))],
            Sign = field["sign"].OptionalText(LongestEntry),
            Places = field["places"].OptionalText(LongestEntry),
            Scaled = Scaled(field["scaled"]),
            Kept = kept,
        };
        return work.IsEmpty ? Work.None : work;
    }

    private static List<T>? List<T>(SheetField field, Func<SheetField, T> read, params string[] known)
    {
        if (field.IsAbsent) return null;
        var entries = field.Elements(MostEntries);
        foreach (var entry in entries) entry.MustHaveOnly(known);
        return [.. entries.Select(read)];
    }

    private static PartialProduct Row(SheetField row) =>
        new(row["text"].Text(LongestEntry), row["carries"].IsAbsent ? null : Marks(row["carries"]), OptionalPlace(row["lastPlace"]));

    private static DivisionCycle Cycle(SheetField cycle) => new(
        cycle["quotient"].OptionalText(LongestEntry), cycle["product"].OptionalText(LongestEntry),
        cycle["difference"].OptionalText(LongestEntry), cycle["broughtDown"].OptionalText(LongestEntry), OptionalPlace(cycle["place"]));

    private static ScaledPair? Scaled(SheetField field)
    {
        if (field.IsAbsent) return null;
        field.MustHaveOnly("divisor", "dividend");
        return new ScaledPair(field["divisor"].OptionalText(LongestEntry), field["dividend"].OptionalText(LongestEntry));
    }

    private static string? Order(SheetField field)
    {
        var order = field.OptionalText(40);
        return order is null || Work.Orders.Contains(order) ? order : throw field.Wrong($"must be one of {string.Join(", ", Work.Orders)}");
    }

    private static int? OptionalPlace(SheetField field) => field.IsAbsent ? null : Place(field);

    // A place is a power of ten; as a value it is a number, and text is taken too.
    private static int Place(SheetField field)
    {
        var place = field.Kind == JsonValueKind.String && int.TryParse(field.Text(10), out var named) ? named : field.WholeNumber();
        return Math.Abs(place) <= FarthestPlace ? place : throw field.Wrong($"is farther than {FarthestPlace} places from the ones");
    }

    private static PlaceMarks Marks(SheetField field)
    {
        var marks = new PlaceMarks();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (!int.TryParse(name, out var place) || Math.Abs(place) > FarthestPlace)
                throw value.Wrong("a place is named by its power of ten: \"0\" for the ones, \"1\" for the tens");
            if (value.Kind == JsonValueKind.Array)
                foreach (var one in value.Elements(MostMarksInOnePlace)) marks.Add(place, one.Text(20));
            else marks.Add(place, value.Text(20));
        }

        return marks;
    }
}
