using Npgsql;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Web.Services;

/// <summary>
/// Reads a few made-up pages once after the start, so that the platform has loaded the engine before the first specialist types: the margin must not lag
/// behind the hand on a cold server. Then reads ahead the pages that specialists will open. The setting WarmUp=false leaves both out.
/// </summary>
internal sealed class EngineWarmUp(ReadingAhead ahead, ILogger<EngineWarmUp> log) : BackgroundService
{
    private const int Pages = 2;
    private const int Items = 8;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Yield();
        try
        {
            Compile(stoppingToken);
            await ahead.ReadAsync(stoppingToken);
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            // The application ends.
        }
        catch (Exception e) when (e is NpgsqlException or InvalidOperationException)
        {
            // Nobody misses it: pages are read when they are opened.
            log.LogWarning("Pages could not be read ahead: {Reason}", e.Message);
        }
    }

    private static void Compile(CancellationToken stoppingToken)
    {
        foreach (var family in FamilyList.All)
        {
            var items = TaughtFamily.Of(family).Items(seed: 7);
            var tasks = Enumerable.Range(0, Items).Select(_ => items()).ToList();
            var bugs = Catalogue.Of(family);
            for (var i = 0; i < Pages; i++)
            {
                var student = new SimulatedStudent(Hypothesis.Of(bugs[i * 7 % bugs.Count]), 0.9, 0.05, i);
                NextItems.For(SheetDiagnosis.Read(new WorkedSheet { Student = "warm-up", Items = [.. tasks.Select((t, n) => student.Write(n.ToString(), t))] }, stoppingToken));
            }
        }
    }
}
