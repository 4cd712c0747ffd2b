using System.Globalization;
using System.Text.Json;
using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Drawing;

/// <summary>A page as the typing script takes it: squares, what stands in them, and where something can be written; the script knows no family.</summary>
internal static class TypingJson
{
    public static string Write(StudentPage page, WorkedSheet sheet, TypingDirection direction) => JsonText.Write(false, json =>
    {
        json.WriteStartObject();
        json.WriteString("id", page.Id);
        json.WriteString("code", page.Student?.Code ?? sheet.Student);
        json.WriteString("title", page.Title);
        json.WriteString("direction", direction.ToString());
        json.WriteStartArray("items");
        foreach (var item in sheet.Items) WriteItem(json, item, page);
        json.WriteEndArray();
        json.WriteEndObject();
    });

    /// <summary>One item of a page by itself.</summary>
    public static string Write(WorkedItem item, StudentPage page) => JsonText.Write(false, json => WriteItem(json, item, page));

    /// <summary>Reads the squares that the script sends; null with what is wrong with them.</summary>
    public static Squares? TryRead(JsonElement json, PageLayout layout, out string? fault)
    {
        var squares = new Squares { IsUnreadable = json.TryGetProperty("unreadable", out var flag) && flag.ValueKind == JsonValueKind.True };
        fault = null;
        foreach (var strip in Properties(json, "squares"))
        {
            if (layout.Strips.All(s => s.Id != strip.Name)) fault = $"it has no squares called \"{strip.Name}\"";
            else if (strip.Value.ValueKind != JsonValueKind.Object) fault = $"the squares of \"{strip.Name}\" are no object";
            else
            {
                foreach (var square in strip.Value.EnumerateObject())
                {
                    var text = square.Value.ValueKind == JsonValueKind.String ? square.Value.GetString()! : "";
                    if (!int.TryParse(square.Name, NumberStyles.None, CultureInfo.InvariantCulture, out var column) || column >= WorkedItem.LongestAnswer) fault = $"\"{square.Name}\" is no column";
                    else if (text.Length is 0 or > WorkedItem.LongestAnswer) fault = $"what stands in column {square.Name} of \"{strip.Name}\" is no text";
                    else squares.Put(strip.Name, column, text);
                }
            }
        }

        foreach (var moved in Properties(json, "moved"))
        {
            if (moved.Value.ValueKind == JsonValueKind.Number && moved.Value.TryGetInt32(out var columns) && layout.Strips.Any(s => s.Id == moved.Name && s.Given is not null)) squares.Move(moved.Name, columns);
            else fault = $"\"{moved.Name}\" cannot be moved so";
        }

        return fault is null ? squares : null;
    }

    private static JsonElement.ObjectEnumerator Properties(JsonElement json, string name) =>
        json.TryGetProperty(name, out var found) && found.ValueKind == JsonValueKind.Object ? found.EnumerateObject() : default;

    private static void WriteItem(Utf8JsonWriter json, WorkedItem item, StudentPage page)
    {
        var notRead = page.NotReadOn(item.Id);
        json.WriteStartObject();
        json.WriteString("id", item.Id);
        json.WriteString("spoken", Spoken.Task(item.Task));
        json.WriteNumber("version", page.ItemVersions.GetValueOrDefault(item.Id, 1));
        if (LineLayout.Has(item.Task.Family))
        {
            WriteLines(json, item, notRead);
        }
        else
        {
            WriteSquares(json, item, PageLayout.Of(item.Task, page.Student?.Classroom.School ?? School.Usual));
            WriteTexts(json, "struck", notRead.Select(s => s.Text));
        }

        WriteBeside(json, item);
        json.WriteEndObject();
    }

    // Lines as they are typed, and the signs that the item may need, for those who have no keyboard.
    private static void WriteLines(Utf8JsonWriter json, WorkedItem item, IReadOnlyList<NotReadText> notRead)
    {
        WriteTexts(json, "texts", TypedLines.Together(LineLayout.Lines(item), notRead));
        json.WriteString("signs", TaughtFamily.Of(item.Task.Family).LineSigns + "|");
        json.WriteString("letter", WrittenLine.Read(LinesPicture.Parts(item.Task).Expression).Leaves.FirstOrDefault(l => l.Kind == SignKind.Letter)?.Text);
    }

    private static void WriteTexts(Utf8JsonWriter json, string name, IEnumerable<string> texts)
    {
        json.WriteStartArray(name);
        foreach (var text in texts) json.WriteStringValue(text);
        json.WriteEndArray();
    }

    // What can be filled in beside the item, and what stands there.
    private static void WriteBeside(Utf8JsonWriter json, WorkedItem item)
    {
        json.WriteStartArray("beside");
        foreach (var part in BesideLayout.Of(item))
        {
            json.WriteStartObject();
            json.WriteString("name", part.Field.Name);
            json.WriteString("title", part.Title);
            json.WriteString("key", part.Key.ToString());
            json.WriteStartArray("cells");
            foreach (var cell in part.Cells)
            {
                json.WriteStartObject();
                json.WriteString("id", cell.Id);
                json.WriteString("label", cell.Label);
                json.WriteNumber("row", cell.Row);
                json.WriteNumber("column", cell.Column);
                json.WriteEndObject();
            }

            json.WriteEndArray();
            json.WriteEndObject();
        }

        json.WriteEndArray();
        json.WriteStartObject("cells");
        foreach (var (id, text) in BesideLayout.Written(item)) json.WriteString(id, text);
        json.WriteEndObject();
    }

    private static void WriteSquares(Utf8JsonWriter json, WorkedItem item, PageLayout layout)
    {
        var squares = layout.Put(item);
        json.WriteString("answer", item.Answer);
        json.WriteNumber("columns", layout.Columns);
        json.WriteNumber("rows", layout.Rows);
        json.WriteStartArray("prints");
        foreach (var print in layout.Prints) WriteRow(json, print.Row, print.Column, print.Text);
        json.WriteEndArray();
        json.WriteStartArray("lines");
        foreach (var line in layout.Lines) json.WriteRawValue($"[{line.Row},{line.From},{line.To},{(line.IsDown ? 1 : 0)},{line.Until ?? line.Row}]");
        json.WriteEndArray();
        json.WriteStartArray("strips");
        foreach (var strip in layout.Strips) WriteStrip(json, strip);
        json.WriteEndArray();
        json.WriteBoolean("unreadable", squares.IsUnreadable);
        json.WriteStartObject("squares");
        foreach (var strip in layout.Strips.Where(s => squares.In(s.Id).Count > 0))
        {
            json.WriteStartObject(strip.Id);
            foreach (var (column, text) in squares.In(strip.Id)) json.WriteString(column.ToString(CultureInfo.InvariantCulture), text);
            json.WriteEndObject();
        }

        json.WriteEndObject();
        json.WriteStartObject("moved");
        foreach (var strip in layout.Strips.Where(s => squares.MovedBy(s.Id) != 0)) json.WriteNumber(strip.Id, squares.MovedBy(strip.Id));
        json.WriteEndObject();
    }

    private static void WriteStrip(Utf8JsonWriter json, Strip strip)
    {
        json.WriteStartObject();
        json.WriteString("id", strip.Id);
        json.WriteString("name", strip.Name);
        json.WriteString("kind", strip.Kind.ToString());
        json.WriteNumber("row", strip.Row);
        json.WriteNumber("right", strip.Right);
        json.WriteNumber("left", strip.Left);
        json.WriteNumber("ones", strip.Ones);
        if (strip.Due is { } due) json.WriteNumber("due", due);
        if (strip.IsSmall) json.WriteBoolean("small", true);
        if (strip.IsWork) json.WriteBoolean("work", true);
        if (strip.IsRare) json.WriteBoolean("rare", true);
        if (strip.FromLeft) json.WriteBoolean("fromLeft", true);
        if (strip.IsByPoint) json.WriteBoolean("byPoint", true);
        if (strip.Strikes is { } struck) json.WriteNumber("strikes", struck);
        if (strip.Signs.Length > 0) json.WriteString("signs", strip.Signs);
        if (strip.Given is not null)
        {
            json.WriteStartArray("given");
            foreach (var (column, sign) in Squares.Spread(strip.Given, strip.GivenAt)) WriteRow(json, strip.Row, column, sign);
            json.WriteEndArray();
        }

        json.WriteEndObject();
    }

    private static void WriteRow(Utf8JsonWriter json, int row, int column, string text)
    {
        json.WriteStartArray();
        json.WriteNumberValue(row);
        json.WriteNumberValue(column);
        json.WriteStringValue(text.Replace('-', '−'));
        json.WriteEndArray();
    }
}
