using System.Text.Json;
using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Services;

/// <summary>One item as the browser sends it while it is typed.</summary>
/// <param name="Id">The item.</param>
/// <param name="Version">The version that the browser last saw.</param>
/// <param name="Answer">The answer; null is blank.</param>
/// <param name="Work">The work, in the worked-sheet format, or null.</param>
/// <param name="Squares">What stands in the squares of the item instead of answer and work, as <see cref="Drawing.TypingJson"/> reads it; or null.</param>
/// <param name="Lines">The lines of an item that stands in lines, instead of answer and work; or null.</param>
/// <param name="Cells">What stands in the cells beside the working, by their ids; null where that was not said.</param>
/// <param name="NotRead">What stands there and is not read; null where that was not said.</param>
public sealed record TypedItem(string Id, int Version, string? Answer, JsonElement? Work, JsonElement? Squares, IReadOnlyList<string>? Lines = null,
    IReadOnlyDictionary<string, string>? Cells = null, IReadOnlyList<NotReadText>? NotRead = null)
{
    /// <summary>The most items of one request.</summary>
    private const int Most = 500;

    /// <summary>The most lines of one item: those of the format, and one that says that the work stops.</summary>
    private const int MostLines = 60;

    /// <summary>The most answers or lines of one item that are struck out or on the side.</summary>
    private const int MostNotRead = 20;

    /// <summary>The most pages of one request.</summary>
    private const int MostPages = 100;

    /// <summary>Reads a list of items; what is wrong with it is said with the number of the item.</summary>
    public static async Task<(IReadOnlyList<TypedItem> Items, string? Fault)> ReadAsync(Stream body, CancellationToken cancellation)
    {
        var items = new List<TypedItem>();
        var fault = await ParseAsync(body, root => TryReadList(root, items), cancellation);
        return (items, fault);
    }

    /// <summary>Reads lists of items by the pages to which they belong.</summary>
    public static async Task<(IReadOnlyDictionary<Guid, List<TypedItem>> Pages, string? Fault)> ReadByPageAsync(Stream body, CancellationToken cancellation)
    {
        var pages = new Dictionary<Guid, List<TypedItem>>();
        var fault = await ParseAsync(body, root => TryReadPages(root, pages), cancellation);
        return (pages, fault);
    }

    /// <summary>The item of a page with what was typed.</summary>
    /// <returns>The item, or null with what is wrong.</returns>
    public WorkedItem? PutInto(WorkedItem item, out string? fault)
    {
        if (Lines is not null || (Squares is not null && LineLayout.Has(item.Task.Family))) return PutLines(item, out fault);
        if (Squares is not { } json)
        {
            var read = WorkedItemReader.TryRead(item, Answer, Work, out var wrong);
            fault = wrong?.ToString();

            // In which columns the digits stood is said of the answer that was there.
            return read is not null && Work is null && read.Answer != item.Answer ? read with { Work = read.Work.Without(WorkFields.Cells) } : read;
        }

        var layout = PageLayout.Of(item.Task);
        if (TypingJson.TryRead(json, layout, out fault) is not { } squares) return null;
        var taken = layout.Take(item, squares);
        if (taken.Answer is { Length: > WorkedItem.LongestAnswer }) fault = $"its answer has more than {WorkedItem.LongestAnswer} characters";
        if (fault is not null) return null;
        return Cells is null ? taken : BesideLayout.Take(taken, Cells);
    }

    private WorkedItem? PutLines(WorkedItem item, out string? fault)
    {
        fault = Lines is null ? "it is written in lines, and these are squares"
            : !LineLayout.Has(item.Task.Family) ? "it is written in squares, and these are lines"
            : Lines.Count > MostLines ? $"it has more than {MostLines} lines"
            : Lines.Any(l => l.Length > WorkedItem.LongestAnswer) ? $"one of its lines has more than {WorkedItem.LongestAnswer} characters"
            : null;
        if (fault is not null) return null;
        var taken = LineLayout.Take(item, Lines!);
        return Cells is null ? taken : BesideLayout.Take(taken, Cells);
    }

    private static async Task<string?> ParseAsync(Stream body, Func<JsonElement, string?> read, CancellationToken cancellation)
    {
        try
        {
            using var document = await JsonDocument.ParseAsync(body, default, cancellation);
            return read(document.RootElement);
        }
        catch (JsonException)
        {
            return "this is not JSON";
        }
        catch (InvalidOperationException)
        {
            // The platform's reader says so of text with half a surrogate pair.
            return "the text holds characters that are not valid Unicode";
        }
    }

    private static string? TryReadPages(JsonElement root, Dictionary<Guid, List<TypedItem>> pages)
    {
        if (root.ValueKind != JsonValueKind.Object) return "lists of items by their pages are expected";
        foreach (var property in root.EnumerateObject())
        {
            if (!Guid.TryParse(property.Name, out var page)) return $"“{property.Name}” is not the key of a page";
            var items = new List<TypedItem>();
            if (TryReadList(property.Value, items) is { } fault) return fault;
            pages[page] = items;
            if (pages.Count > MostPages) return $"at most {MostPages} pages come in one request";
        }

        return null;
    }

    private static string? TryReadList(JsonElement root, List<TypedItem> items)
    {
        if (root.ValueKind != JsonValueKind.Array) return "a list of items is expected";
        if (root.GetArrayLength() > Most) return $"at most {Most} items come in one request";
        foreach (var element in root.EnumerateArray())
        {
            if (TryRead(element, out var item) is { } fault) return $"items[{items.Count + 1}]: {fault}";
            items.Add(item!);
        }

        return null;
    }

    private static string? TryRead(JsonElement element, out TypedItem? item)
    {
        item = null;
        if (element.ValueKind != JsonValueKind.Object) return "an item is an object";
        if (!element.TryGetProperty("id", out var id) || id.ValueKind != JsonValueKind.String) return "its id is missing";
        if (!element.TryGetProperty("version", out var number) || number.ValueKind != JsonValueKind.Number || !number.TryGetInt32(out var version)) return "its version is missing or no whole number";
        if (element.TryGetProperty("answer", out var answer) && answer.ValueKind is not (JsonValueKind.String or JsonValueKind.Null)) return "its answer is neither a text nor null";
        JsonElement? work = element.TryGetProperty("work", out var found) && found.ValueKind != JsonValueKind.Null ? found.Clone() : null;
        JsonElement? squares = element.TryGetProperty("squares", out _) ? element.Clone() : null;
        List<string>? lines = null;
        List<NotReadText>? notRead = null;
        if (element.TryGetProperty("lines", out var listed))
        {
            if (listed.ValueKind != JsonValueKind.Array || listed.EnumerateArray().Any(l => l.ValueKind != JsonValueKind.String)) return "its lines are no list of texts";
            (lines, notRead) = TypedLines.Part(listed.EnumerateArray().Select(l => l.GetString()!));
        }

        if (element.TryGetProperty("struck", out var crossed))
        {
            if (crossed.ValueKind != JsonValueKind.Array || crossed.EnumerateArray().Any(l => l.ValueKind != JsonValueKind.String)) return "what is struck out is no list of texts";
            notRead = [.. crossed.EnumerateArray().Select(l => new NotReadText(l.GetString()!, 0))];
        }

        if (notRead?.Count > MostNotRead) return $"it has more than {MostNotRead} answers or lines that are struck out or on the side";
        if (notRead?.Exists(s => s.Text.Length > WorkedItem.LongestAnswer) == true) return $"what is struck out or on the side has more than {WorkedItem.LongestAnswer} characters";

        Dictionary<string, string>? cells = null;
        if (element.TryGetProperty("cells", out var filled))
        {
            if (filled.ValueKind != JsonValueKind.Object || filled.EnumerateObject().Any(c => c.Value.ValueKind != JsonValueKind.String)) return "its cells are no texts by their names";
            cells = [];
            foreach (var cell in filled.EnumerateObject()) cells[cell.Name] = cell.Value.GetString()!;
        }

        item = new TypedItem(id.GetString()!, version, answer.ValueKind == JsonValueKind.String ? answer.GetString() : null, work, squares, lines, cells, notRead);
        return HoldsNul(element) ? "it holds a NUL character, which cannot be kept" : null;
    }

    private static bool HoldsNul(JsonElement element) => element.ValueKind switch
    {
        JsonValueKind.String => element.GetString()!.Contains('\0'),
        JsonValueKind.Array => element.EnumerateArray().Any(HoldsNul),
        JsonValueKind.Object => element.EnumerateObject().Any(p => p.Name.Contains('\0') || HoldsNul(p.Value)),
        _ => false,
    };
}
