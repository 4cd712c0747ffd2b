using System.Globalization;
using System.Text;
using System.Text.Json;

namespace YellowPencil.Core.Format;

/// <summary>Reads the worked-sheet format. What cannot be read is refused whole, with the field that is at fault.</summary>
public static class SheetReader
{
    private const int DeepestNesting = 32;
    private const double LongestTime = 86_400;

    private static readonly JsonDocumentOptions Options = new() { MaxDepth = DeepestNesting };

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
            fault = NotJson(json, e);
        }
        catch (SheetField.Unreadable e)
        {
            fault = e.Fault;
        }
        catch (ArgumentException)
        {
            // The platform says so of half a surrogate pair in the text itself.
            fault = new SheetFault("", "the text holds characters that are not valid Unicode");
        }

        return null;
    }

    private static SheetFault NotJson(string json, JsonException e)
    {
        if (Depth(json) > DeepestNesting) return new SheetFault("", $"is nested more than {DeepestNesting} levels deep");
        var line = (int)(e.LineNumber ?? 0);
        var text = json.Split('\n').ElementAtOrDefault(line) ?? "";
        var bytes = Math.Min((int)(e.BytePositionInLine ?? 0), Encoding.UTF8.GetByteCount(text));
        var character = Encoding.UTF8.GetCharCount(Encoding.UTF8.GetBytes(text), 0, bytes) + 1;
        return new SheetFault("", $"this is not JSON (character {character})", line + 1);
    }

    private static int Depth(string json)
    {
        var (depth, deepest, isText) = (0, 0, false);
        for (var i = 0; i < json.Length; i++)
        {
            if (isText && json[i] == '\\') i++;
            else if (json[i] == '"') isText = !isText;
            else if (!isText && json[i] is '[' or '{') deepest = Math.Max(deepest, ++depth);
            else if (!isText && json[i] is ']' or '}') depth--;
        }

        return deepest;
    }

    private static WorkedSheet Sheet(SheetField root)
    {
        root.MustHaveOnly("format", "version", "student", "sheet", "date", "methods", "items", "predict");
        var format = root["format"].Text(60);
        if (format != WorkedSheet.Format) throw root["format"].Wrong($"must be \"{WorkedSheet.Format}\"");
        if (root["version"].Number() != 1) throw root["version"].Wrong("only version 1 can be read");

        var student = root["student"].Text(WorkedSheet.LongestCode);
        if (student.Trim().Length == 0) throw root["student"].Wrong("the student's code is empty");
        if (student.Any(char.IsControl)) throw root["student"].Wrong("the student's code holds control characters");
        var items = root["items"].Elements(WorkedSheet.MaxItems).Select(Item).ToList();
        var seen = new HashSet<string>();
        for (var i = 0; i < items.Count; i++)
            if (!seen.Add(items[i].Id)) throw root["items"].Wrong($"item {i + 1} has the id \"{items[i].Id}\" a second time");

        var predict = root["predict"].OptionalElements(WorkedSheet.MaxItems).Select(Predict).ToList();
        var effort = items.Sum(i => (long)i.Effort) + predict.Sum(i => (long)i.Effort) / WorkedSheet.PredictionsForOneItem;
        if (effort > WorkedSheet.MaxEffort)
            throw root["items"]
                .Wrong(
                    $"are too long to be read at once: an effort of {effort}, where {WorkedSheet.MaxEffort} is the most; part the sheet, or set shorter "
                        + $"numbers");
        return new WorkedSheet
        {
            Student = student,
            Sheet = root["sheet"].OptionalText(200),
            Date = Date(root["date"]),
            Methods = Methods(root["methods"]),
            Items = items,
            Predict = predict,
        };
    }

    private static DateOnly? Date(SheetField field)
    {
        if (field.OptionalText(40) is not { } text) return null;
        if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date)) return date;
        return text.Length > 10
            && text[10] == 'T' && DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var moment)
            ? DateOnly.FromDateTime(moment.DateTime)
            : throw field.Wrong("must be an ISO 8601 date such as 2026-03-09");
    }

    private static Dictionary<string, string> Methods(SheetField field)
    {
        var methods = new Dictionary<string, string>();
        foreach (var (name, value) in field.OptionalProperties())
        {
            if (School.All.FirstOrDefault(q => q.Name == name)?.Values is not { } allowed)
                throw value.Wrong($"no method has this name; there are {string.Join(", ", School.All.Select(q => q.Name))}");
            var text = value.Text(60);
            methods[name] = allowed.Contains(text) ? text : throw value.Wrong($"must be one of {string.Join(", ", allowed)}");
        }

        return methods;
    }

    private static WorkedItem Item(SheetField field)
    {
        field.MustHaveOnly("id", "task", "form", "over", "to", "answer", "work", "seconds");
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
            Answer = field["answer"].TextOrNull(WorkedItem.LongestAnswer) is { } answer ? Signs.Digits(answer) : null,
            Work = Work.Read(field["work"]),
            Seconds = Seconds(field["seconds"]),
        };
    }

    private static double? Seconds(SheetField field)
    {
        if (field.IsAbsent) return null;
        var seconds = field.Number();
        return seconds is >= 0 and <= LongestTime ? seconds : throw field.Wrong($"must lie between 0 and {LongestTime:0}");
    }

    private static SetItem Predict(SheetField field)
    {
        switch (field.Kind)
        {
            case JsonValueKind.String:
                return Set(field, field, default);
            case JsonValueKind.Object:
                field.MustHaveOnly("task", "form", "over", "to");
                return Set(field);
            default:
                throw field.Wrong("must be a task or an object with a task");
        }
    }

    private static SetItem Set(SheetField field) =>
        Set(field, field["task"], new Asked(field["form"].OptionalText(40), field["over"].OptionalText(40), field["to"].OptionalText(40)));

    private static SetItem Set(SheetField item, SheetField field, Asked asked)
    {
        var text = field.Text(TaskText.MaxLength);
        var task = TaskText.TryParse(text, asked);
        if (!task.Succeeded) throw (task.Fault.Field is { } beside ? item[beside] : field).Wrong(task.Fault.ToString());
        return new SetItem { Task = task.Value, TaskAsWritten = text, Form = asked.Form, Over = asked.Over, To = asked.To };
    }
}
