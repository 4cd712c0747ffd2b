using System.Diagnostics;
using YellowPencil.Bench;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

// Usage: recovery [students per bug] [family] | families [students per bug] [family] | left-out [family] | speed [family] | distinct | catalogue (writes docs/bugs.md; run it at the root of the project)
switch (args.FirstOrDefault())
{
    case "recovery":
        Recovery(args.Length > 1 ? int.Parse(args[1]) : 40, args.Length > 2 && FamilyNames.TryParse(args[2], out var one) ? one : Family.Subtraction);
        return 0;
    case "families":
        Families(args.Length > 1 ? int.Parse(args[1]) : 20, args.Length > 2 && FamilyNames.TryParse(args[2], out var only) ? [only] : Method.Families);
        return 0;
    case "left-out":
        foreach (var family in args.Length > 1 && FamilyNames.TryParse(args[1], out var taken) ? [taken] : Method.Families)
        {
            var (missed, said) = new RecoveryStudy(family, Catalogue.DeclaredFor(family), 1, items: 15).LeftOut(new Setting(1, 0.03, true, false), 2);
            Console.WriteLine($"{family.Name()}: {Share(said, missed)} of fresh wrong answers predicted without the student's own bug");
        }

        return 0;
    case "speed":
        Speed(args.Length > 1 && FamilyNames.TryParse(args[1], out var timed) ? [timed] : Method.Families);
        return 0;
    case "distinct":
        Distinctness.Print();
        return 0;
    case "catalogue":
        File.WriteAllText("docs/bugs.md", CatalogueText.Markdown());
        return 0;
    default:
        Console.Error.WriteLine("usage: recovery [students per bug] [family] | families [students per bug] [family] | left-out [family] | speed [family] | distinct | catalogue");
        return 2;
}

// One line a family: its own bugs, then those that it has from its parts, on designed sheets.
static void Families(int students, IReadOnlyList<Family> families)
{
    Console.WriteLine("| family | bugs | slips | exact | within class | fresh wrong answers predicted | plain |");
    Console.WriteLine("|---|---|---|---|---|---|---|");
    foreach (var family in families)
        foreach (var inherited in new[] { false, true })
        {
            var bugs = Catalogue.Of(family).Where(b => b.Family != family == inherited && ShowsOn(b, family)).ToList();
            if (bugs.Count == 0) continue;
            foreach (var slips in new[] { 0, 0.05 })
            {
                var t = new RecoveryStudy(family, bugs, inherited ? Math.Max(1, students / 5) : students, items: 15).Run(new Setting(1, slips, Designed: true, Marks: false));
                Console.WriteLine($"| {family.Name()} | {bugs.Count} {(inherited ? "of its parts" : "of its own")} | {slips} | {Share(t.Exact, t.Students)} | {Share(t.WithinClass, t.Students)} | {Share(t.FreshPredicted, t.FreshWrong)} | {Share(t.PlainPredicted, t.FreshWrong)} |");
                Console.Error.WriteLine("  missed: " + string.Join(", ", t.Missed.OrderByDescending(m => m.Value).Take(15).Select(m => $"{m.Key} {m.Value}")));
                Console.Error.WriteLine("  not predicted: " + string.Join(", ", t.NotPredicted.OrderByDescending(m => m.Value).Take(15).Select(m => $"{m.Key} {m.Value}")));
            }
        }
}

static bool ShowsOn(Bug bug, Family family)
{
    var run = new MethodRun();
    return ItemPool.Of(family, 200, seed: 5).Any(task =>
    {
        Method.Run(task, run, new DeviationSet([bug.Deviations]));
        return !run.Page.Answer.SequenceEqual(task.RightAnswer);
    });
}

static void Recovery(int students, Family family)
{
    var study = new RecoveryStudy(family, Catalogue.DeclaredFor(family), students, items: 15);
    Console.WriteLine("| sheet | marks | consistency | slips | exact | within class | plain exact | fresh wrong answers predicted | plain | calibration error | sound called buggy | called sound |");
    Console.WriteLine("|---|---|---|---|---|---|---|---|---|---|---|---|");
    foreach (var setting in new Setting[]
    {
        new(1, 0, true, false), new(1, 0.05, true, false), new(0.9, 0, true, false), new(0.9, 0.05, true, false), new(0.75, 0.1, true, false),
        new(1, 0, true, true), new(0.9, 0.05, true, true), new(1, 0, false, false), new(0.9, 0.05, false, false),
    })
    {
        var t = study.Run(setting);
        var sound = study.SoundStudents(setting, 200);
        Print(setting, t, $"{sound.Buggy:0.000} | {sound.Sound:0.000}");
    }

    Console.WriteLine("\nTwo bugs at once:\n");
    foreach (var setting in new Setting[] { new(1, 0, true, false), new(0.9, 0.05, true, false), new(1, 0, false, false) }) Print(setting, study.RunPairs(setting, 10 * students), "- | -");

    var (wrong, foretold) = study.LeftOut(new(1, 0.03, true, false), Math.Max(1, students / 10));
    Console.WriteLine($"\nThe student's own bug taken out of the catalogue: {Share(foretold, wrong)} of fresh wrong answers predicted.");

    static void Print(Setting setting, Tally t, string sound)
    {
        Console.WriteLine($"| {(setting.Designed ? "designed" : "random")} | {(setting.Marks ? "yes" : "no")} | {setting.Consistency} | {setting.SlipRate} | {Share(t.Exact, t.Students)} | {Share(t.WithinClass, t.Students)} | {Share(t.PlainExact, t.Students)} | {Share(t.FreshPredicted, t.FreshWrong)} | {Share(t.PlainPredicted, t.FreshWrong)} | {t.CalibrationError:0.000} | {sound} |");
        Console.Error.WriteLine("  missed: " + string.Join(", ", t.Missed.OrderByDescending(m => m.Value).Take(12).Select(m => $"{m.Key} {m.Value}")));
    }

}

static string Share(int part, int whole) => whole == 0 ? "-" : $"{100.0 * part / whole:0.0} %";

static void Speed(IReadOnlyList<Family> families)
{
    var run = new MethodRun();
    foreach (var family in families)
    {
        var pool = ItemPool.Of(family, 500, seed: 3);
        for (var round = 0; round < 3; round++)
        {
            var clock = Stopwatch.StartNew();
            var bytes = GC.GetAllocatedBytesForCurrentThread();
            const int runs = 400_000;
            for (var i = 0; i < runs; i++) Method.Run(pool[i % pool.Count], run, DeviationSet.Taught);
            if (round == 2) Console.WriteLine($"{family.Name()}: {runs / clock.Elapsed.TotalSeconds:0} runs a second, {(GC.GetAllocatedBytesForCurrentThread() - bytes) / runs} bytes a run");
        }
    }

    foreach (var family in families) Reading(family);
}

static void Reading(Family family)
{
    Time(family, "15 items", SheetDesign.Of(family, 15, seed: 7));
    Time(family, "15 items of the longest numbers", LongItems(family, new Random(7)));
}

static void Time(Family family, string what, IReadOnlyList<ItemTask> tasks)
{
    var times = new List<double>();
    foreach (var bug in Catalogue.Of(family).Where((_, i) => i % 9 == 0))
    {
        var student = new SimulatedStudent(Hypothesis.Sound.With(bug), 0.95, 0.05, 3);
        var sheet = new WorkedSheet { Student = "x", Items = [.. tasks.Select((t, i) => student.Write(i.ToString(), t))] };
        for (var i = 0; i < 10; i++) SheetDiagnosis.Read(sheet);
        var clock = Stopwatch.StartNew();
        for (var i = 0; i < 5; i++) SheetDiagnosis.Read(sheet);
        times.Add(clock.Elapsed.TotalMilliseconds / 5);
    }

    times.Sort();
    Console.WriteLine($"{family.Name()}: {what} read in {times[times.Count / 2]:0.0} ms (median of {times.Count} students), {times[^1]:0.0} ms at the most");
}

// Numbers of eight digits, as far as the family has them.
static List<ItemTask> LongItems(Family family, Random random)
{
    return [.. Enumerable.Range(0, 15).Select(_ => TaskText.TryParse(Text()).Value!)];

    string Text() => family switch
    {
        Family.Addition => $"{Long()} + {Long()} + {Long()}",
        Family.Subtraction => $"{Long() + 100_000_000} - {Long()}",
        Family.Multiplication => $"{Long()} * {Long()}",
        Family.Division => $"{Long()} / {random.Next(11, 99)}",
        Family.DecimalSums => $"{Decimal(Long() + 100_000_000, 3)} - {Decimal(Long(), 4)}",
        Family.DecimalProducts => $"{Decimal(Long(), 3)} * -{Decimal(Long(), 4)}",
        Family.DecimalDivision => $"{Decimal(Long() / 8 * 8L * 25, 5)} / {Decimal(25 * (1 << random.Next(3)), 2)}",
        _ => $"-{Long()} - {Long()}",
    };

    int Long() => random.Next(10_000_000, 100_000_000);

    static string Decimal(long digits, int places) => DecimalNumber.Written(digits, places);
}
