using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Writes the worked-sheet format, one sheet a line unless indented.</summary>
public static class SheetWriter
{
    /// <summary>The sheet as JSON. Reading it again gives an equal sheet.</summary>
    public static string Write(WorkedSheet sheet, bool indented = false) => JsonText.Write(indented, json =>
    {
        json.WriteStartObject();
        json.WriteString("format", WorkedSheet.Format);
        json.WriteNumber("version", 1);
        json.WriteString("student", sheet.Student);
        if (sheet.Sheet is not null) json.WriteString("sheet", sheet.Sheet);
        if (sheet.Date is { } date) json.WriteString("date", date.ToString("yyyy-MM-dd"));
        if (sheet.Methods.Count > 0)
        {
            json.WriteStartObject("methods");
            foreach (var (name, value) in sheet.Methods.OrderBy(m => m.Key, StringComparer.Ordinal)) json.WriteString(name, value);
            json.WriteEndObject();
        }

        json.WriteStartArray("items");
        foreach (var item in sheet.Items) WriteItem(json, item);
        json.WriteEndArray();
        if (sheet.Predict.Count > 0)
        {
            json.WriteStartArray("predict");
            foreach (var set in sheet.Predict) WritePredict(json, set);
            json.WriteEndArray();
        }

        json.WriteEndObject();
    });

    private static void WriteItem(Utf8JsonWriter json, WorkedItem item)
    {
        json.WriteStartObject();
        json.WriteString("id", item.Id);
        WriteSet(json, item);
        json.WriteString("answer", item.Answer);
        if (!item.Work.IsEmpty) WriteWork(json, item.Work);
        if (item.Seconds is { } seconds) json.WriteNumber("seconds", seconds);
        json.WriteEndObject();
    }

    private static void WritePredict(Utf8JsonWriter json, SetItem set)
    {
        if (set.Form is null && set.Over is null && set.To is null)
        {
            json.WriteStringValue(set.TaskAsWritten);
            return;
        }

        json.WriteStartObject();
        WriteSet(json, set);
        json.WriteEndObject();
    }

    private static void WriteSet(Utf8JsonWriter json, SetItem set)
    {
        json.WriteString("task", set.TaskAsWritten);
        if (set.Form is not null) json.WriteString("form", set.Form);
        if (set.Over is not null) json.WriteString("over", set.Over);
        if (set.To is not null) json.WriteString("to", set.To);
    }

    private static void WriteWork(Utf8JsonWriter json, Work work)
    {
        json.WriteStartObject("work");
        WriteList(json, "operands", work.Operands, operand =>
        {
            json.WriteString("text", operand.Text);
            json.WriteNumber("lastPlace", operand.LastPlace);
        });
        foreach (var (field, marks) in work.Marks.OrderBy(m => m.Key)) WritePlaces(json, WorkReader.FieldName(field), marks);
        WriteText(json, "order", work.Order);
        WriteList(json, "rows", work.Rows, row =>
        {
            json.WriteString("text", row.Text);
            if (row.Carries is not null) WritePlaces(json, "carries", row.Carries);
            if (row.LastPlace is { } place) json.WriteNumber("lastPlace", place);
        });
        WriteList(json, "steps", work.Steps, cycle =>
        {
            WriteText(json, "quotient", cycle.Quotient);
            WriteText(json, "product", cycle.Product);
            WriteText(json, "difference", cycle.Difference);
            WriteText(json, "broughtDown", cycle.BroughtDown);
            if (cycle.Place is { } place) json.WriteString("place", place.ToString());
        });
        if (work.Lines is not null)
        {
            json.WriteStartArray("lines");
            foreach (var line in work.Lines) json.WriteStringValue(line);
            json.WriteEndArray();
        }

        WriteText(json, "sign", work.Sign);
        WriteText(json, "places", work.Places);
        if (work.Scaled is not null)
        {
            json.WriteStartObject("scaled");
            WriteText(json, "divisor", work.Scaled.Divisor);
            WriteText(json, "dividend", work.Scaled.Dividend);
            json.WriteEndObject();
        }

        foreach (var (name, value) in work.Kept.OrderBy(k => k.Key, StringComparer.Ordinal))
        {
            json.WritePropertyName(name);
            value.WriteTo(json);
        }

        json.WriteEndObject();
    }

    private static void WriteText(Utf8JsonWriter json, string name, string? text)
    {
        if (text is not null) json.WriteString(name, text);
    }

    private static void WriteList<T>(Utf8JsonWriter json, string name, IReadOnlyList<T>? entries, Action<T> write)
    {
        if (entries is null) return;
        json.WriteStartArray(name);
        foreach (var entry in entries)
        {
            json.WriteStartObject();
            write(entry);
            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private static void WritePlaces(Utf8JsonWriter json, string name, PlaceMarks marks)
    {
        json.WriteStartObject(name);
        foreach (var place in marks.Places) WriteMarks(json, place, marks.At(place));
        json.WriteEndObject();
    }

    private static void WriteMarks(Utf8JsonWriter json, int place, IReadOnlyList<string> marks)
    {
        json.WritePropertyName(place.ToString());
        if (marks.Count == 1)
        {
            json.WriteStringValue(marks[0]);
            return;
        }

        json.WriteStartArray();
        foreach (var mark in marks) json.WriteStringValue(mark);
        json.WriteEndArray();
    }
}

/// <summary>JSON text as the product writes it: UTF-8, readable signs unescaped.</summary>
public static class JsonText
{
    /// <summary>The text that the given writing leaves.</summary>
    public static string Write(bool indented, Action<Utf8JsonWriter> write)
    {
        using var stream = new MemoryStream();
        using (var json = new Utf8JsonWriter(stream, new JsonWriterOptions { Indented = indented, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping }))
            write(json);
        return Encoding.UTF8.GetString(stream.ToArray());
    }
}
