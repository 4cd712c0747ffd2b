using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;

namespace YellowPencil.Core.Format;

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
        if (!item.Work.IsEmpty)
        {
            json.WritePropertyName("work");
            item.Work.Write(json);
        }

        if (item.Seconds is { } seconds) json.WriteNumber("seconds", seconds);
        json.WriteEndObject();
    }

    private static void WritePredict(Utf8JsonWriter json, SetItem set)
    {
        if (set.Asked == default)
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
        set.Asked.Write(json);
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
