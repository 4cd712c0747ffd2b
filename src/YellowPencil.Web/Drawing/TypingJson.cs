using System.Globalization;
using System.Text.Json;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;
using YellowPencil.Data;

namespace YellowPencil.Web.Drawing;

/// <summary>A page as the typing script takes it: digits by place, so that the script needs to know no grammar.</summary>
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
        foreach (var item in sheet.Items) WriteItem(json, item, page.ItemVersions.GetValueOrDefault(item.Id, 1));
        json.WriteEndArray();
        json.WriteEndObject();
    });

    /// <summary>One item by itself.</summary>
    public static string Write(WorkedItem item, int version) => JsonText.Write(false, json => WriteItem(json, item, version));

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
        foreach (var (place, text) in AnswerCells.Of(item)) json.WriteString(Name(place), text);
        json.WriteEndObject();
        json.WriteBoolean("recorded", item.Work.Has(WorkFields.Rewritten));
        json.WriteStartObject("rewritten");
        if (item.Work.Get(WorkFields.Rewritten) is { } rewritten)
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

    private static string Digits(WholeNumber number) => number.Text.Replace(",", "", StringComparison.Ordinal);

    private static string Name(int place) => place.ToString(CultureInfo.InvariantCulture);
}

/// <summary>What stands in the squares of an answer.</summary>
internal static class AnswerCells
{
    /// <summary>The squares as they were recorded; else one sign of the answer to a square. Nothing where nothing can be read.</summary>
    public static IEnumerable<(int Place, string Text)> Of(WorkedItem item)
    {
        if (item.Work.Get(WorkFields.Cells) is { } cells) return cells.Places.Select(place => (place, cells.At(place)[^1]));
        return item.IsAnswered ? Of(item.Answer!) : [];
    }

    private static IEnumerable<(int Place, string Text)> Of(string answer)
    {
        var text = string.Concat(answer.Where(c => c is not ',' && !char.IsWhiteSpace(c)));
        for (var place = 0; place < text.Length; place++) yield return (place, text[^(place + 1)].ToString());
    }
}
