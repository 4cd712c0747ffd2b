using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Bench;

/// <summary>One sheet of 15 items, read; beside it a plain nested loop over the same students, which weighs less and takes longer.</summary>
[MemoryDiagnoser]
[Config(typeof(Here))]
public class ReadingBenchmarks
{
    private WorkedSheet sheet = null!;

    /// <summary>The family of the sheet.</summary>
    [ParamsSource(nameof(Families))]
    public Family Family { get; set; } = FamilyList.Addition;

    /// <summary>Every family.</summary>
    public static IEnumerable<Family> Families => FamilyList.All;

    /// <summary>A student with one bug of the middle of the catalogue, now and then not followed, and with slips.</summary>
    [GlobalSetup]
    public void Write()
    {
        var bugs = Catalogue.DeclaredFor(Family);
        var student = new SimulatedStudent(Hypothesis.Of(bugs[bugs.Count / 2]), 0.9, 0.05, 5);
        sheet = new WorkedSheet { Student = "x", Items = [.. SheetDesign.Of(Family, 15, seed: 7).Select((t, i) => student.Write(i.ToString(), t))] };
    }

    /// <summary>The reading: listed bugs up to three together, slips, facts, and rules that nobody listed.</summary>
    [Benchmark(Baseline = true)]
    public Reading Reading() => SheetDiagnosis.Read(sheet);

    /// <summary>Every bug, and every two of them, followed throughout on every item; no slips, no facts, no rules that nobody listed.</summary>
    [Benchmark]
    public double NestedLoop()
    {
        var bugs = Catalogue.Of(Family);
        var run = new MethodRun();
        var best = 0.0;
        for (var one = 0; one < bugs.Count; one++)
            for (var other = one; other < bugs.Count; other++)
            {
                var student = one == other ? Hypothesis.Of(bugs[one]) : Hypothesis.Of(bugs[one], bugs[other]);
                var likelihood = 1.0;
                foreach (var item in sheet.Items)
                {
                    Method.Run(item.Task, run, student.Deviations);
                    likelihood *= run.Page.Answer.SequenceEqual(item.Task.Canonical(item.Answer!)) ? 0.9 : 0.02;
                }

                best = Math.Max(best, likelihood);
            }

        return best;
    }

    private sealed class Here : ManualConfig
    {
        public Here() => AddJob(Job.ShortRun.WithToolchain(InProcessEmitToolchain.Instance));
    }
}
