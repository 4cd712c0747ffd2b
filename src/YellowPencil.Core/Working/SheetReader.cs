using System.Text.Json;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Working;

/// <summary>What is wrong with a sheet, and where.</summary>
/// <param name="Field">The path of the field, for example <c>items[2].work.rewritten</c>; empty for the whole text.</param>
/// <param name="Message">One sentence.</param>
/// <param name="Line">The line of the text, from 1, where that is known.</param>
public sealed record SheetFault(string Field, string Message, int? Line = null)
{
    /// <inheritdoc/>
    public override string ToString() =>
        $"{(Line is { } line ? $"line {line}: " : "")}{(Field.Length > 0 ? Field + ": " : "")}{Message}";
}

/// <summary>Reads the worked-sheet format. What cannot be read is refused whole, with the field that is at fault.</summary>
public static class SheetReader
{
    private static readonly JsonDocumentOptions Options = new() { MaxDepth = 32 };

    /// <summary>Reads one sheet from JSON text.</summary>
    /// <returns>The sheet, or null with the fault.</returns>
    public static WorkedSheet? TryRead(string json, out SheetFault? fault)
    {
        fault = null;
        try
        {
            using var document = JsonDocument.Parse(json, Options);
            return Sheet(new SheetField(document.RootElement.Clone(), ""));
        }
        catch (JsonException e)
        {
            fault = new SheetFault("", $"this is not JSON (character {e.BytePositionInLine + 1})", (int?)e.LineNumber + 1);
        }
        catch (SheetField.Unreadable e)
        {
            fault = e.Fault;
        }
        catch (InvalidOperationException)
        {
            // The platform's reader says so of a field name with half a surrogate pair.
            fault = new SheetFault("", "a field name holds characters that are not valid Unicode");
        }

        return null;
    }

    private static WorkedSheet Sheet(SheetField root)
    {
        root.MustBe(JsonValueKind.Object, "an object");
        var format = root["format"].Text(60);
        if (format != WorkedSheet.Format) throw root["format"].Wrong($"must be \"{WorkedSheet.Format}\"");
        if (root["version"].Number() != 1) throw root["version"].Wrong("only version 1 can be read");

        var student = root["student"].Text(80);
        if (student.Trim().Length == 0) throw root["student"].Wrong("the student's code is empty");
        var items = root["items"].Elements(WorkedSheet.MaxItems).Select(Item).ToList();
        var seen = new HashSet<string>();
        for (var i = 0; i < items.Count; i++)
            if (!seen.Add(items[i].Id)) throw root["items"].Wrong($"item {i + 1} has the id \"{items[i].Id}\" a second time");

        return new WorkedSheet
        {
            Student = student,
            Sheet = root["sheet"].OptionalText(200),
            Date = Date(root["date"]),
            Methods = Methods(root["methods"]),
            Items = items,
            Predict = [.. root["predict"].OptionalElements(WorkedSheet.MaxItems).Select(Predict)],
        };
    }

    private static DateOnly? Date(SheetField field)
    {
        if (field.OptionalText(40) is not { } text) return null;
        return DateOnly.TryParseExact(text.Length > 10 && text[10] == 'T' ? text[..10] : text, "yyyy-MM-dd", out var date)
            ? date
            : throw field.Wrong("must be an ISO 8601 date such as 2026-03-09");
    }

    private static Dictionary<string, string> Methods(SheetField field)
    {
        var methods = new Dictionary<string, string>();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (!TaughtMethods.Values.TryGetValue(name, out var allowed)) throw value.Wrong("no family has this name here");
            var text = value.Text(60);
            methods[name] = allowed.Contains(text) ? text : throw value.Wrong($"must be one of {string.Join(", ", allowed)}");
        }

        return methods;
    }

    private static WorkedItem Item(SheetField field)
    {
        field.MustBe(JsonValueKind.Object, "an object");
        var id = field["id"].Text(40);
        if (id.Length == 0) throw field["id"].Wrong("the id is empty");
        var set = Set(field);
        return new WorkedItem
        {
            Id = id,
            Task = set.Task,
            TaskAsWritten = set.TaskAsWritten,
            Form = set.Form,
            Over = set.Over,
            To = set.To,
            Answer = field["answer"].TextOrNull(200),
            Work = WorkReader.Read(field["work"]),
            Seconds = field["seconds"].OptionalNumber(),
        };
    }

    private static SetItem Predict(SheetField field) => field.Kind switch
    {
        JsonValueKind.String => new SetItem { Task = Task(field, null), TaskAsWritten = field.Text(400) },
        JsonValueKind.Object => Set(field),
        _ => throw field.Wrong("must be a task or an object with a task"),
    };

    private static SetItem Set(SheetField field) => new()
    {
        Task = Task(field["task"], field["form"].OptionalText(40)),
        TaskAsWritten = field["task"].Text(400),
        Form = field["form"].OptionalText(40),
        Over = field["over"].OptionalText(40),
        To = field["to"].OptionalText(40),
    };

    private static ItemTask Task(SheetField field, string? form)
    {
        var task = TaskText.TryParse(field.Text(400), form);
        return task.Succeeded ? task.Value : throw field.Wrong(task.Fault.ToString());
    }
}
