using System.Globalization;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>An answer of a table, for one cell of the board.</summary>
/// <param name="Page">The student's page.</param>
/// <param name="Id">The item.</param>
/// <param name="Answer">The answer.</param>
/// <param name="Work">The work beside it, in the worked-sheet format; null where the table has none.</param>
public sealed record TableCell(Guid Page, string Id, string? Answer, JsonElement? Work = null);

/// <summary>A cell of a table that cannot be taken.</summary>
/// <param name="Row">Which row, by its number and the student's code.</param>
/// <param name="Column">Which column, by the item; empty where the whole row is concerned.</param>
/// <param name="What">What is wrong.</param>
/// <param name="Instead">What to write instead.</param>
public sealed record TableFault(string Row, string Column, string What, string Instead);

/// <summary>
/// Answers that come as a table, copied from a spreadsheet or as CSV, or as worked sheets. Where the first column has codes they say whose row it
/// is, and where the first row has tasks or numbers of items they say which column; otherwise both follow from where the caret is.
/// </summary>
public sealed class AnswerTable
{
    /// <summary>The longest text that is read, in characters.</summary>
    public const int Longest = 1_000_000;

    private readonly ClassBoard board;
    private readonly Dictionary<string, ClassRow> byCode;
    private readonly List<TableCell> cells = [];
    private readonly List<TableFault> faults = [];
    private readonly HashSet<Guid> rowsSeen = [];

    private AnswerTable(ClassBoard board)
    {
        this.board = board;
        byCode = board.Rows.GroupBy(r => r.Student.CodeKey).ToDictionary(g => g.Key, g => g.First());
    }

    /// <summary>What can be taken, in the order of the table.</summary>
    public IReadOnlyList<TableCell> Cells => cells;

    /// <summary>What cannot.</summary>
    public IReadOnlyList<TableFault> Faults => faults;

    /// <summary>Reads a table.</summary>
    /// <param name="board">The board that it is meant for.</param>
    /// <param name="text">The text as it was copied, or the content of a file.</param>
    /// <param name="page">The page of the row in which the caret is; null for the first.</param>
    /// <param name="item">The item of its column; null for the first.</param>
    public static AnswerTable Read(ClassBoard board, string text, Guid? page = null, string? item = null)
    {
        var table = new AnswerTable(board);
        text = text.TrimStart('\ufeff');
        if (text.Length > Longest) table.faults.Add(new("", "", $"it has more than {Longest:N0} characters", "one sheet of a class at a time"));
        else if (text.TrimStart().StartsWith('{')) table.ReadSheets(text);
        else table.ReadRows(Rows(text), Math.Max(0, board.Rows.ToList().FindIndex(r => r.Page.Id == page)), Math.Max(0, board.Items.ToList().FindIndex(i => i.Id == item)));
        return table;
    }

    /// <summary>The board as CSV: a row of tasks, then a row for each student; with decimal commas, semicolons stand between the cells.</summary>
    public static string Write(ClassBoard board, bool hasComma)
    {
        string Shown(string written) => hasComma ? DecimalSign.Numbers(written) : written;
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, hasComma ? Csv.SafeWithSemicolons : Csv.Safe))
        {
            csv.WriteField("student");
            foreach (var item in board.Items) csv.WriteField(Shown(ItemList.Written(item.TaskAsWritten, item.Asked)));
            csv.NextRecord();
            foreach (var row in board.Rows)
            {
                csv.WriteField(row.Student.Code);
                foreach (var item in board.Items) csv.WriteField(Shown(row.Item(item.Id)?.Answer ?? ""));
                csv.NextRecord();
            }
        }

        return text.ToString();
    }

    private static List<(int Number, string[] Fields)> Rows(string text)
    {
        var first = text.Split('\n', 2)[0];
        var delimiter = text.Contains('\t') ? "\t" : first.Count(c => c == ';') > first.Count(c => c == ',') ? ";" : ",";
        var rows = new List<(int, string[])>();
        using var csv = new CsvParser(new StringReader(text), new CsvConfiguration(CultureInfo.InvariantCulture) { Delimiter = delimiter, BadDataFound = null, TrimOptions = TrimOptions.Trim, DetectColumnCountChanges = false });
        while (csv.Read())
            if (csv.Record!.Any(f => f.Length > 0)) rows.Add((csv.RawRow, csv.Record!));
        return rows;
    }

    private void ReadRows(List<(int Number, string[] Fields)> rows, int atRow, int atColumn)
    {
        if (rows.Count == 0)
        {
            faults.Add(new("", "", "there is nothing in it", "rows of answers, copied from a spreadsheet"));
            return;
        }

        var head = Head(rows[0].Fields);
        var body = rows.Skip(head is null ? 0 : 1).ToList();
        var coded = head is { HasCodes: true } || 2 * body.Count(r => byCode.ContainsKey(Student.KeyOf(r.Fields[0]))) > body.Count || body.TrueForAll(r => LooksLikeCode(r.Fields[0]));
        var from = coded ? 1 : 0;
        for (var index = 0; index < body.Count; index++)
        {
            var (number, fields) = body[index];
            if (RowOf(number, fields[0], coded, atRow + index) is not { } row) continue;
            for (var column = from; column < fields.Length; column++)
            {
                if (fields[column].Length == 0) continue;
                var item = head is not null ? head.Items.GetValueOrDefault(column) : board.Items.ElementAtOrDefault((coded ? 0 : atColumn) + column - from);
                Take(Name(number, row), row, item, fields[column], $"column {column + 1}");
            }
        }
    }

    private ClassRow? RowOf(int number, string first, bool coded, int index)
    {
        var row = coded ? byCode.GetValueOrDefault(Student.KeyOf(first)) : board.Rows.ElementAtOrDefault(index);
        if (row is null && byCode.Count == 0) faults.Add(new($"row {number}", "", "this sheet has no students", "give it to the class first"));
        else if (row is null) faults.Add(coded
            ? new($"row {number}", "", first.Length == 0 ? "the code is missing" : $"nobody on this sheet has the code {Short(first)}", $"a code of this sheet, such as {byCode.Values.First().Student.Code}; or add the student to the class and set the sheet for them")
            : new($"row {number}", "", $"there is no student left for it: this sheet has {board.Rows.Count}", "begin further up, or put the codes into the first column"));
        else if (!rowsSeen.Add(row.Page.Id))
        {
            faults.Add(new(Name(number, row), "", "this student stands in the table twice", "one row a student"));
            return null;
        }

        return row;
    }

    private void Take(string rowName, ClassRow row, WorkedItem? item, string text, string column)
    {
        if (item is null || row.Item(item.Id) is null)
        {
            faults.Add(new(rowName, column, "there is no item for this column", $"at most the {board.Items.Count} items of the sheet; or their tasks or numbers in the first row"));
            return;
        }

        if (AnswerCheck.Read(item.Task, text, out var what, out var instead) is { } answer) cells.Add(new(row.Page.Id, item.Id, answer));
        else faults.Add(new(rowName, Name(item), what, instead));
    }

    /// <summary>The first row, if it says which column is which item.</summary>
    private Heading? Head(string[] fields)
    {
        var items = new Dictionary<int, WorkedItem>();
        for (var column = 0; column < fields.Length; column++)
            if (ItemOf(fields[column]) is { } item && !items.ContainsValue(item)) items[column] = item;
        var hasWord = fields[0].Length == 0 || fields[0].Any(char.IsLetter) && !byCode.ContainsKey(Student.KeyOf(fields[0]));
        var tasks = items.Count(i => fields[i.Key] != i.Value.Id);
        return tasks > 0 || (hasWord && items.Count > 0 && items.Count >= fields.Length - 1) ? new Heading(hasWord && !items.ContainsKey(0), items) : null;
    }

    private WorkedItem? ItemOf(string field)
    {
        if (board.Items.FirstOrDefault(i => i.Id == field.TrimEnd('.', ')')) is { } numbered) return numbered;
        return field.Length > 0 && ItemList.TryParseTask(field.TrimEnd('=', ' '), null, out _) is { } task ? board.Items.FirstOrDefault(i => i.Task.Equals(task)) : null;
    }

    private static bool LooksLikeCode(string text) => text.Length > 0 && char.IsLetter(text[0]) && Services.StudentFiles.IsCode(text);

    private void ReadSheets(string text)
    {
        // One sheet over several lines, or a sheet a line.
        if (SheetReader.TryRead(text, out _) is { } only)
        {
            ReadSheet(only, "the sheet");
            return;
        }

        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            if (string.IsNullOrWhiteSpace(line)) continue;
            if (SheetReader.TryRead(line, out var fault) is { } sheet) ReadSheet(sheet, $"line {number}");
            else faults.Add(new($"line {number}", fault!.Field, fault.Message, "a worked sheet, as docs/worked-sheet.md has it"));
        }
    }

    private void ReadSheet(WorkedSheet sheet, string where)
    {
        if (!byCode.TryGetValue(Student.KeyOf(sheet.Student), out var row))
        {
            faults.Add(new(where, "", $"nobody on this sheet has the code {Short(sheet.Student)}", "a code of this sheet; or add the student to the class and set the sheet for them"));
            return;
        }

        if (!rowsSeen.Add(row.Page.Id))
        {
            faults.Add(new($"{where} ({row.Student.Code})", "", "this student stands in it twice", "one sheet a student"));
            return;
        }

        using var json = JsonDocument.Parse(SheetWriter.Write(sheet));
        foreach (var (item, element) in sheet.Items.Zip(json.RootElement.GetProperty("items").EnumerateArray()))
        {
            if (item.Answer is null && item.Work.IsEmpty) continue;
            var found = row.Sheet.Items.FirstOrDefault(i => i.Task.Equals(item.Task));
            if (found is null) faults.Add(new($"{where} ({row.Student.Code})", $"item {item.Id}", $"{Signs.Printed(item.Task.Text)} is not on this sheet", "items of this sheet only"));
            else if (item.Answer is { } answer && AnswerCheck.Read(item.Task, answer, out var what, out var instead) is null) faults.Add(new($"{where} ({row.Student.Code})", Name(found), what, instead));
            else cells.Add(new(row.Page.Id, found.Id, item.Answer, element.TryGetProperty("work", out var work) ? work.Clone() : null));
        }
    }

    private static string Name(int number, ClassRow row) => $"row {number} ({row.Student.Code})";

    private static string Name(WorkedItem item) => $"item {item.Id}, {Signs.Printed(item.TaskAsWritten)}";

    private static string Short(string text) => text.Length <= 24 ? text : text[..23] + "…";

    private sealed record Heading(bool HasCodes, Dictionary<int, WorkedItem> Items);
}
