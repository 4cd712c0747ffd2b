using System.Diagnostics;
using System.Globalization;
using System.Text;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;

namespace YellowPencil.Bench;

/// <summary>Writes docs/recovery.md: how well students are read whom the program made up, and whom others wrote down.</summary>
internal static class RecoveryReport
{
    private static readonly Setting Plain = new(1, 0.05, Designed: true, Marks: false);

    private static readonly Setting Hard = new(0.9, 0.05, Designed: false, Marks: false);

    /// <summary>The whole report.</summary>
    /// <param name="students">A folder of students that others wrote down, one file a family; null to leave that part out.</param>
    public static string Write(string? students)
    {
        var clock = Stopwatch.StartNew();
        var text = new StringBuilder("# How well students are read\n\n");
        text.Append("Made by `dotnet run -c Release --project bench/YellowPencil.Bench report [folder of students]`. All shares are of fresh answers that the student's rules change, foretold exactly, unless something else is said.\n\n");
        if (students is not null) Strangers(text, students);
        Families(text);
        Sound(text);
        LeftOut(text);
        Console.Error.WriteLine($"made in {clock.Elapsed.TotalMinutes:0.0} minutes");
        return text.ToString();
    }

    private static void Strangers(StringBuilder text, string folder)
    {
        text.Append("## Students that others wrote down\n\nWritten by somebody who did not know the catalogue; a page of about 15 items each, with 10 fresh tasks. \"First\" are first wrong steps put at the right place.\n\n");
        text.Append("| kind | sheets | foretold | by commonness | without work | right answers foretold | called buggy | first |\n|---|---|---|---|---|---|---|---|\n");
        var all = Stranger.ReadAll(folder);
        foreach (var kind in all.Select(s => s.Kind).Distinct().Order(StringComparer.Ordinal))
        {
            var with = StrangerTally.Of(all.Where(s => s.Kind == kind), read: null);
            var without = StrangerTally.Of(all.Where(s => s.Kind == kind).Select(s => s.WithoutWork()), read: null);
            text.Append(CultureInfo.InvariantCulture, $"| {kind} | {with.Sheets} | {Share(with.Foretold, with.Changed)} | {Share(with.ForetoldByCommonness, with.ChangedByCommonness)} | {Share(without.Foretold, without.Changed)} ");
            text.Append(CultureInfo.InvariantCulture, $"| {Share(with.SameForetold, with.Same)} | {Share(with.CalledBuggy, with.Sheets)} | {Share(with.FirstRight, with.First)} |\n");
        }

        var clean = all.Where(s => s.Kind == "clean").ToList();
        var empty = StrangerTally.Of(clean, sheet => SheetDiagnosis.Read(sheet, static _ => []));
        text.Append(CultureInfo.InvariantCulture, $"\nWith an **empty catalogue**, clean sheets: {Share(empty.Foretold, empty.Changed)}.\n\n");

        text.Append("Certainty, clean and noisy sheets: an explanation is right where nine in ten of the fresh answers are.\n\n| held at | sheets | mean | right |\n|---|---|---|---|\n");
        var held = StrangerTally.Of(all.Where(s => s.Kind is "clean" or "noisy"), read: null).Held;
        double[] edges = [0, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1.01];
        for (var i = 0; i + 1 < edges.Length; i++)
        {
            var bin = held.Where(h => h.Probability >= edges[i] && h.Probability < edges[i + 1]).ToList();
            if (bin.Count > 0) text.Append(CultureInfo.InvariantCulture, $"| {edges[i]}–{Math.Min(1, edges[i + 1])} | {bin.Count} | {bin.Average(h => h.Probability):0.000} | {bin.Average(h => h.IsRight ? 1 : 0):0.000} |\n");
        }

        text.Append(CultureInfo.InvariantCulture, $"\nExpected calibration error over these: {Error(held, edges):0.000}.\n\n");
    }

    private static void Families(StringBuilder text)
    {
        text.Append("## Students that the program made up\n\nOne bug each, 15 items. \"Exact posterior\" knows that there is one bug of the family, and how often it is followed and slipped from: nobody can do better. \"Most items matched\" is the reading that a table of bugs gives.\n\n");
        text.Append("| family | sheet | named | within class | foretold | exact posterior | most items matched | calibration error |\n|---|---|---|---|---|---|---|---|\n");
        foreach (var family in FamilyList.All)
            foreach (var setting in new[] { Plain, Hard })
            {
                var t = new RecoveryStudy(family, Catalogue.DeclaredFor(family), 2, items: 15).Run(setting);
                text.Append(CultureInfo.InvariantCulture, $"| {family.Name} | {(setting.Designed ? "designed, always followed, 5 % slips" : "any, followed 9 times in 10, 5 % slips")} | {Share(t.Exact, t.Students)} | {Share(t.WithinClass, t.Students)} ");
                text.Append(CultureInfo.InvariantCulture, $"| {Share(t.FreshPredicted, t.FreshWrong)} | {Share(t.ExactPredicted, t.FreshWrong)} | {Share(t.PlainPredicted, t.FreshWrong)} | {t.CalibrationError:0.000} |\n");
                Console.Error.WriteLine($"{family.Name}: {string.Join(", ", t.Missed.OrderByDescending(m => m.Value).Take(6).Select(m => m.Key))}");
            }

        text.Append("\nTwo bugs at once, designed sheets:\n\n| family | within class | foretold | most items matched |\n|---|---|---|---|\n");
        foreach (var family in FamilyList.All)
        {
            var t = new RecoveryStudy(family, Catalogue.DeclaredFor(family), 1, items: 15).RunPairs(Plain, 60);
            text.Append(CultureInfo.InvariantCulture, $"| {family.Name} | {Share(t.WithinClass, t.Students)} | {Share(t.FreshPredicted, t.FreshWrong)} | {Share(t.PlainPredicted, t.FreshWrong)} |\n");
        }
    }

    private static void Sound(StringBuilder text)
    {
        text.Append("\nSound students with slips on one item in twenty, any sheet:\n\n| family | called buggy | called sound |\n|---|---|---|\n");
        foreach (var family in FamilyList.All)
        {
            var (buggy, sound) = new RecoveryStudy(family, [], 0, items: 15).SoundStudents(Hard, 100);
            text.Append(CultureInfo.InvariantCulture, $"| {family.Name} | {buggy:0.000} | {sound:0.000} |\n");
        }
    }

    private static void LeftOut(StringBuilder text)
    {
        text.Append("\nThe student's own bug taken out of the catalogue:\n\n| family | foretold |\n|---|---|\n");
        foreach (var family in FamilyList.All)
        {
            var (wrong, foretold) = new RecoveryStudy(family, Catalogue.DeclaredFor(family), 1, items: 15).LeftOut(new Setting(1, 0.03, Designed: true, Marks: false), 1);
            text.Append(CultureInfo.InvariantCulture, $"| {family.Name} | {Share(foretold, wrong)} |\n");
        }
    }

    private static double Error(List<Held> held, double[] edges) => Enumerable.Range(0, edges.Length - 1).Sum(i =>
    {
        var bin = held.Where(h => h.Probability >= edges[i] && h.Probability < edges[i + 1]).ToList();
        return bin.Count == 0 ? 0 : (double)bin.Count / held.Count * Math.Abs(bin.Average(h => h.Probability) - bin.Average(h => h.IsRight ? 1 : 0));
    });

    private static string Share(int part, int whole) => whole == 0 ? "–" : string.Create(CultureInfo.InvariantCulture, $"{100.0 * part / whole:0.0} %");
}
