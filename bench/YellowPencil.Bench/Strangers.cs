using System.Text.Json;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Bench;

/// <summary>A student that somebody wrote down: a page, and what would be answered to fresh tasks.</summary>
/// <param name="Sheet">The page, with the fresh tasks.</param>
/// <param name="Kind">What kind of page it is.</param>
/// <param name="Common">How common the rules are, 1 to 5.</param>
/// <param name="Answers">What the student answers to the fresh tasks; null where that is not given.</param>
/// <param name="FirstWrong">The places of first wrong steps, by item.</param>
internal sealed record Stranger(WorkedSheet Sheet, string Kind, int Common, IReadOnlyList<string?> Answers, IReadOnlyDictionary<string, string> FirstWrong)
{
    /// <summary>The students of a folder, one file a family and one student a line, of the families that are read.</summary>
    public static List<Stranger> ReadAll(string folder) =>
        [.. Directory.GetFiles(folder, "*.ndjson").Where(f => FamilyList.TryParse(Path.GetFileNameWithoutExtension(f), out var family) && FamilyList.All.Contains(family)).Order(StringComparer.Ordinal)
            .SelectMany(File.ReadLines).Select(Read).OfType<Stranger>()];

    /// <summary>The same student, of whom only the answers are seen.</summary>
    public Stranger WithoutWork() => this with { Sheet = Sheet with { Items = [.. Sheet.Items.Select(i => i with { Work = Work.None })] } };

    private static Stranger? Read(string line)
    {
        using var json = JsonDocument.Parse(line);
        var root = json.RootElement;
        if (SheetReader.TryRead(root.GetProperty("sheet").GetRawText(), out _) is not { } sheet) return null;
        return new Stranger(
            sheet, root.GetProperty("kind").GetString()!, root.TryGetProperty("common", out var common) && common.ValueKind == JsonValueKind.Number ? common.GetInt32() : 1,
            [.. root.GetProperty("answers").EnumerateArray().Select(a => a.GetString())],
            root.GetProperty("firstWrong").EnumerateObject().ToDictionary(w => w.Name, w => w.Value.GetProperty("place").ToString()));
    }
}

/// <summary>An explanation that is held, and whether nine in ten fresh answers are as foretold.</summary>
internal readonly record struct Held(double Probability, bool IsRight);

/// <summary>What came out of reading such students.</summary>
internal sealed class StrangerTally
{
    public int Sheets, Changed, Foretold, ChangedByCommonness, ForetoldByCommonness, Same, SameForetold, CalledBuggy, First, FirstRight;
    public readonly List<Held> Held = [];

    /// <summary>Reads them.</summary>
    /// <param name="students">The students.</param>
    /// <param name="read">How; null for the usual way.</param>
    public static StrangerTally Of(IEnumerable<Stranger> students, Func<WorkedSheet, Reading>? read)
    {
        var tally = new StrangerTally();
        foreach (var (student, reading) in students.AsParallel().AsOrdered().Select(s => (s, read?.Invoke(s.Sheet) ?? SheetDiagnosis.Read(s.Sheet)))) tally.Add(student, reading);
        return tally;
    }

    private void Add(Stranger student, Reading reading)
    {
        Sheets++;
        if (reading.Outcome is Outcome.Bug or Outcome.NotToldApart) CalledBuggy++;
        var (asked, right) = (0, 0);
        for (var i = 0; i < student.Answers.Count; i++)
        {
            var task = student.Sheet.Predict[i].Task;
            if (student.Answers[i] is not { } answer) continue;
            var written = task.Canonical(answer);
            var isForetold = reading.Predictions[i].Answer == written;
            asked++;
            right += isForetold ? 1 : 0;
            if (written == task.RightAnswer)
            {
                Same++;
                SameForetold += isForetold ? 1 : 0;
                continue;
            }

            Changed++;
            ChangedByCommonness += student.Common;
            Foretold += isForetold ? 1 : 0;
            ForetoldByCommonness += isForetold ? student.Common : 0;
        }

        if (!reading.Best.IsSound && asked > 0) Held.Add(new Held(reading.Best.Probability, right >= 0.9 * asked));
        foreach (var (item, place) in student.FirstWrong)
        {
            First++;
            if (reading.Items.Single(i => i.Item.Id == item).FirstWrongStep?.Place?.ToString() == place) FirstRight++;
        }
    }
}
