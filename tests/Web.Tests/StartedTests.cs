using System.Diagnostics;
using Shouldly;
using Xunit;

namespace YellowPencil.Web.Tests;

/// <summary>Tests that run ./start on a cluster of their own.</summary>
public abstract class StartedTests : IAsyncLifetime
{
    internal static readonly string Root = FindRoot();
    private readonly List<StartedScript> started = [];

    protected string Home { get; } = Directory.CreateTempSubdirectory("pencil-start-").FullName;

    public ValueTask InitializeAsync() => ValueTask.CompletedTask;

    public async ValueTask DisposeAsync()
    {
        foreach (var one in started) await one.EndAsync();
        if (Directory.Exists(Home)) Directory.Delete(Home, recursive: true);
        GC.SuppressFinalize(this);
    }

    /// <summary>Adds a student and waits until that is acknowledged.</summary>
    protected static async Task AddAsync(StartedScript one, List<string> codes)
    {
        var code = $"S-{codes.Count}";
        using var visitor = new Visitor(one.Address);
        await visitor.SignInAsync();
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"));
        visitor.Address.ShouldBe($"/students/{code}");
        codes.Add(code);
    }

    protected static async Task<string[]> CodesAsync(StartedScript one)
    {
        using var visitor = new Visitor(one.Address);
        await visitor.SignInAsync();
        return [.. (await visitor.GetAsync("/")).QuerySelectorAll("table.ledger td a").Select(a => a.TextContent).Where(c => c.StartsWith("S-"))];
    }

    protected async Task<StartedScript> StartAsync(int? port = null)
    {
        var info = new ProcessStartInfo("bash", [Path.Combine(Root, "start")]) { RedirectStandardOutput = true, RedirectStandardError = true };
        info.Environment["YELLOWPENCIL_DATA"] = Home;
        info.Environment["WarmUp"] = "false"; // Nobody reads a page here.
        if (port is { } wanted) info.Environment["PORT"] = wanted.ToString();
        var one = new StartedScript(Process.Start(info)!, Home);
        started.Add(one);
        await one.ReadyOrEnded;
        return one;
    }

    protected int Postmaster => int.Parse(File.ReadLines(Path.Combine(Home, "data", "postmaster.pid")).First());

    protected static void Kill(int process) => Signal(process, "KILL");

    internal static void Signal(int process, string signal) => Process.Start("kill", [$"-{signal}", process.ToString()]).WaitForExit();

    private const int Tries = 1_000;

    protected static async Task EventuallyAsync(Func<Task<bool>> holds)
    {
        for (var i = 0; ; i++)
        {
            try
            {
                if (await holds()) return;
            }
            catch (Exception) when (i < Tries)
            {
                // Not back yet.
            }

            i.ShouldBeLessThan(Tries);
            await Task.Delay(500);
        }
    }

    private static string FindRoot()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "start"))) folder = folder.Parent;
        return folder.FullName;
    }
}

/// <summary>A ./start that was run.</summary>
public sealed class StartedScript
{
    private readonly TaskCompletionSource ready = new();
    private readonly List<string> lines = [];
    private readonly Process process;
    private readonly string home;

    public StartedScript(Process process, string home)
    {
        this.process = process;
        this.home = home;
        process.OutputDataReceived += (_, line) => Take(line.Data);
        process.ErrorDataReceived += (_, line) => Take(line.Data);
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        Ended = process.WaitForExitAsync();
    }

    public Task Ended { get; }

    public Task ReadyOrEnded => Task.WhenAny(ready.Task, Ended);

    public bool IsReady => ready.Task.IsCompleted;

    public int Script => process.Id;

    public int Application => int.Parse(File.ReadLines(Path.Combine(home, "running")).First());

    public Uri Address => new(lines.First(l => l.StartsWith("· Ready: ", StringComparison.Ordinal))["· Ready: ".Length..]);

    public string Output
    {
        get
        {
            lock (lines) return string.Join('\n', lines);
        }
    }

    public async Task EndAsync()
    {
        await Task.Delay(200);
        if (process.HasExited) return;
        StartedTests.Signal(Script, "TERM");
        await Ended;
    }

    private void Take(string? line)
    {
        if (line is null) return;
        lock (lines) lines.Add(line);
        if (line.StartsWith("· Ready: ", StringComparison.Ordinal)) ready.TrySetResult();
    }
}
