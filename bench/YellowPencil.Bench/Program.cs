using System.Diagnostics;
using BenchmarkDotNet.Running;
using YellowPencil.Bench;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

// Usage: report [folder of students] (writes docs/recovery.md) | speed [family] | benchmark | memory [sheets] | distinct | catalogue (writes docs/bugs.md and the table of breadths; run it at the root of the project)
switch (args.FirstOrDefault())
{
    case "report":
        File.WriteAllText("docs/recovery.md", RecoveryReport.Write(args.Length > 1 ? args[1] : null));
        return 0;
    case "speed":
        Speed(args.Length > 1 && FamilyList.TryParse(args[1], out var timed) ? [timed] : FamilyList.All);
        return 0;
    case "benchmark":
        BenchmarkRunner.Run<ReadingBenchmarks>(args: args[1..]);
        return 0;
    case "memory":
        Memory(args.Length > 1 ? int.Parse(args[1]) : 100_000);
        return 0;
    case "distinct":
        Distinctness.Print();
        return 0;
    case "catalogue":
        File.WriteAllText("docs/bugs.md", CatalogueText.Markdown());
        File.WriteAllText("src/YellowPencil.Core/Families/Breadths.txt", Catalogue.BreadthTable());
        return 0;
    case "progress":
        File.WriteAllText("docs/progress.md", ProgressTrial.Markdown());
        return 0;
    case "scripts":
        File.WriteAllText("docs/scripts.md", ScriptsText.Markdown());
        return 0;
    default:
        Console.Error.WriteLine("usage: report [folder of students] (writes docs/recovery.md) | speed [family] | benchmark | memory [sheets] | distinct | catalogue (writes docs/bugs.md and the table of breadths) | scripts (writes docs/scripts.md) | progress (writes docs/progress.md)");
        return 2;
}

// Different small sheets of all families, one after the other: the heap after each tenth of them.
static void Memory(int sheets)
{
    var pools = FamilyList.All.Select(f => ItemPool.Of(f, 200, seed: 9)).ToList();
    var random = new Random(9);
    for (var i = 1; i <= sheets; i++)
    {
        var pool = pools[i % pools.Count];
        var student = new SimulatedStudent(Hypothesis.Sound, 1, 0.2, i);
        SheetDiagnosis.Read(new WorkedSheet { Student = "x", Items = [.. Enumerable.Range(0, 3).Select(at => student.Write(at.ToString(), pool[random.Next(pool.Count)]))] });
        if (i % Math.Max(1, sheets / 10) == 0)
            Console.WriteLine($"{i} sheets: {GC.GetTotalMemory(forceFullCollection: true) / 1e6:0.0} MB held, {Environment.WorkingSet / 1e6:0} MB of the process");
    }
}

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
            if (round == 2) Console.WriteLine($"{family.Name}: {runs / clock.Elapsed.TotalSeconds:0} runs a second, {(GC.GetAllocatedBytesForCurrentThread() - bytes) / runs} bytes a run");
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
        var student = new SimulatedStudent(Hypothesis.Of(bug), 0.95, 0.05, 3);
        var sheet = new WorkedSheet { Student = "x", Items = [.. tasks.Select((t, i) => student.Write(i.ToString(), t))] };
        for (var i = 0; i < 10; i++) SheetDiagnosis.Read(sheet);
        var clock = Stopwatch.StartNew();
        for (var i = 0; i < 5; i++) SheetDiagnosis.Read(sheet);
        times.Add(clock.Elapsed.TotalMilliseconds / 5);
    }

    times.Sort();
    Console.WriteLine($"{family.Name}: {what} read in {times[times.Count / 2]:0.0} ms (median of {times.Count} students), {times[^1]:0.0} ms at the most");
}

// Numbers of eight digits, as far as the family has them.
static List<ItemTask> LongItems(Family family, Random random)
{
    return [.. Enumerable.Range(0, 15).Select(_ => TaskText.TryParse(Text()).Value!)];

    string Text() => family.Name switch
    {
        "addition" => $"{Long()} + {Long()} + {Long()}",
        "subtraction" => $"{Long() + 100_000_000} - {Long()}",
        "multiplication" => $"{Long()} * {Long()}",
        "division" => $"{Long()} / {random.Next(11, 99)}",
        "decimal-sums" => $"{Decimal(Long() + 100_000_000, 3)} - {Decimal(Long(), 4)}",
        "decimal-products" => $"{Decimal(Long(), 3)} * -{Decimal(Long(), 4)}",
        "decimal-division" => $"{Decimal(Long() / 8 * 8L * 25, 5)} / {Decimal(25 * (1 << random.Next(3)), 2)}",
        _ => $"-{Long()} - {Long()}",
    };

    int Long() => random.Next(10_000_000, 100_000_000);

    static string Decimal(long digits, int places) => DecimalNumber.Written(digits, places);
}
