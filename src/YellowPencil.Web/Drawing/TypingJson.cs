using System.Globalization;
using System.Text.Json;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Data;

namespace YellowPencil.Web.Drawing;

/// <summary>A page as the typing script takes it: digits by place, so that the script needs to know no grammar.</summary>
internal static class TypingJson
{
    public static string Write(StudentPage page, WorkedSheet sheet) => JsonText.Write(false, json =>
    {
        json.WriteStartObject();
        json.WriteString("id", page.Id);
        json.WriteStartArray("items");
        foreach (var item in sheet.Items) WriteItem(json, item, page.ItemVersions.GetValueOrDefault(item.Id, 1));
        json.WriteEndArray();
        json.WriteEndObject();
    });

    private static void WriteItem(Utf8JsonWriter json, WorkedItem item, int version)
    {
        var task = (ColumnDifference)item.Task;
        json.WriteStartObject();
        json.WriteString("id", item.Id);
        json.WriteString("top", Digits(task.Top));
        json.WriteString("bottom", Digits(task.Bottom));
        json.WriteNumber("version", version);
        json.WriteString("answer", item.Answer);
        json.WriteStartObject("cells");
        if (item.Work.Marks.TryGetValue(MarkField.Cells, out var cells))
            foreach (var place in cells.Places) json.WriteString(Name(place), cells.At(place)[^1]);
        else if (item.IsAnswered)
            foreach (var (place, text) in AnswerCells(item.Answer!)) json.WriteString(Name(place), text);
        json.WriteEndObject();
        json.WriteStartObject("rewritten");
        if (item.Work.Marks.TryGetValue(MarkField.Rewritten, out var rewritten))
        {
            foreach (var place in rewritten.Places)
            {
                json.WriteStartArray(Name(place));
                foreach (var mark in rewritten.At(place)) json.WriteStringValue(mark);
                json.WriteEndArray();
            }
        }

        json.WriteEndObject();
        json.WriteEndObject();
    }

    private static IEnumerable<(int Place, string Text)> AnswerCells(string answer)
    {
        var text = answer.Trim().Replace(",", "", StringComparison.Ordinal);
        for (var place = 0; place < text.Length; place++) yield return (place, text[^(place + 1)].ToString());
    }

    private static string Digits(WholeNumber number) => number.Text.Replace(",", "", StringComparison.Ordinal);

    private static string Name(int place) => place.ToString(CultureInfo.InvariantCulture);
}
