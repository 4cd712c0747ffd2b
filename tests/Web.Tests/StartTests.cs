using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>./start on a cluster of its own: whatever is killed, the next start comes up with everything that was acknowledged.</summary>
public sealed class StartTests : IAsyncLifetime
{
    internal static readonly string Root = FindRoot();
    private readonly string home = Directory.CreateTempSubdirectory("pencil-start-").FullName;
    private readonly List<Started> started = [];

    public ValueTask InitializeAsync() => ValueTask.CompletedTask;

    public async ValueTask DisposeAsync()
    {
        foreach (var one in started) await one.EndAsync();
        if (Directory.Exists(home)) Directory.Delete(home, recursive: true);
    }

    [Fact]
    public async Task After_any_kill_the_next_start_comes_up_with_all_that_was_acknowledged()
    {
        var codes = new List<string>();

        // The script alone: the application and PostgreSQL that it left behind give way to the next start.
        var one = await StartAsync();
        one.IsReady.ShouldBeTrue(one.Output);
        await AddAsync(one, codes);
        Kill(one.Script);
        await one.EndAsync();
        var two = await StartAsync();
        two.IsReady.ShouldBeTrue(two.Output);
        (await CodesAsync(two)).ShouldBe(codes);

        // PostgreSQL alone, under a running application: it is started again.
        await AddAsync(two, codes);
        Kill(Postmaster);
        await EventuallyAsync(async () => (await CodesAsync(two)).SequenceEqual(codes));

        // The application alone: it is started again in the same place.
        await AddAsync(two, codes);
        Kill(two.Application);
        await EventuallyAsync(async () => two.Output.Contains("The application has ended; starting it again") && (await CodesAsync(two)).SequenceEqual(codes));

        // A power cut: everything gone at once, and the number of the dead server given to another program since.
        await AddAsync(two, codes);
        Kill(two.Script);
        Kill(two.Application);
        Kill(Postmaster);
        await two.EndAsync();
        var pidFile = Path.Combine(home, "data", "postmaster.pid");
        File.WriteAllLines(pidFile, File.ReadAllLines(pidFile).Select((line, i) => i == 0 ? Environment.ProcessId.ToString() : line));
        var after = await StartAsync();
        after.IsReady.ShouldBeTrue(after.Output);
        (await CodesAsync(after)).ShouldBe(codes);

        // A second start says that one runs and where, and does the first no harm.
        var second = await StartAsync();
        second.IsReady.ShouldBeFalse();
        second.Output.ShouldContain($"already runs from this folder: {after.Address.ToString().TrimEnd('/')}");
        (await CodesAsync(after)).ShouldBe(codes);

        // A stop by Ctrl-C leaves nothing behind.
        Signal(after.Script, "TERM");
        await after.Ended;
        after.Output.Split('\n').ShouldContain("· Stopped.");
        File.Exists(pidFile).ShouldBeFalse();
    }

    [Fact]
    public async Task A_taken_port_gets_one_line_with_what_to_do()
    {
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        var port = ((IPEndPoint)other.LocalEndpoint).Port;
        var one = await StartAsync(port);
        one.IsReady.ShouldBeFalse();
        one.Output.ShouldContain($"! the port {port} is taken by another program");
        one.Output.ShouldContain("What to do:");
        one.Output.ShouldNotContain("   at ");
    }

    [Theory]
    [InlineData("ConnectionStrings__Pencil=", "no database is named")]
    [InlineData("ConnectionStrings__Pencil=Host=127.0.0.1;Port=1;Username=x;Password=y;Database=z", "the database does not answer")]
    public async Task A_dead_application_says_why_in_one_line(string setting, string message)
    {
        var (name, value) = (setting.Split('=')[0], setting[(setting.IndexOf('=') + 1)..]);
        var info = Application("http://127.0.0.1:0");
        info.Environment[name] = value;
        info.Environment["Migrate"] = "true";
        using var process = Process.Start(info)!;
        var errors = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        process.ExitCode.ShouldBe(1);
        errors.Trim().Split('\n').Length.ShouldBe(1, errors);
        errors.ShouldContain(message);
        errors.ShouldContain("What to do:");
    }

    [Fact]
    public async Task A_database_older_than_what_is_taken_over_is_refused_in_one_line_and_left_as_it_is()
    {
        await using var old = await PencilApp.OnAsync(OldDatabase.Sql);
        await old.SqlAsync("""delete from "__EFMigrationsHistory" where migration_id like '%Schools'""");
        var before = await TakeoverTests.RowsAsync(old);
        var info = Application("http://127.0.0.1:0");
        info.Environment["ConnectionStrings__Pencil"] = old.ConnectionString;
        info.Environment["Migrate"] = "true";
        using var process = Process.Start(info)!;
        var errors = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        errors.ShouldStartWith("! Yellow Pencil cannot start: the database's schema is 20261126202205_Classes, older than 20261126235637_Schools. What to do:");
        process.ExitCode.ShouldBe(1);
        (await TakeoverTests.RowsAsync(old)).ShouldBe(before);
    }

    [Fact]
    public async Task An_application_whose_port_is_taken_says_so_in_one_line()
    {
        await using var app = new PencilApp();
        app.StartServer();
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        var info = Application($"http://127.0.0.1:{((IPEndPoint)other.LocalEndpoint).Port}");
        info.Environment["ConnectionStrings__Pencil"] = app.ConnectionString;
        using var process = Process.Start(info)!;
        var output = process.StandardOutput.ReadToEndAsync();
        (await process.StandardError.ReadToEndAsync()).ShouldStartWith("! Yellow Pencil cannot start: the port is taken by another program. What to do:");
        (await output).ShouldNotContain("   at ");
        await process.WaitForExitAsync();
        process.ExitCode.ShouldBe(1);
    }

    private static ProcessStartInfo Application(string url) => new(
        "dotnet", [Path.Combine(AppContext.BaseDirectory, "YellowPencil.Web.dll"), "--contentRoot", Path.Combine(Root, "src", "YellowPencil.Web"), "--urls", url])
    {
        RedirectStandardError = true,
        RedirectStandardOutput = true,
    };

    /// <summary>Adds a student and waits until that is acknowledged.</summary>
    private static async Task AddAsync(Started one, List<string> codes)
    {
        var code = $"S-{codes.Count}";
        using var visitor = new Visitor(one.Address);
        await visitor.SignInAsync();
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"));
        visitor.Address.ShouldBe($"/students/{code}");
        codes.Add(code);
    }

    private static async Task<string[]> CodesAsync(Started one)
    {
        using var visitor = new Visitor(one.Address);
        await visitor.SignInAsync();
        return [.. (await visitor.GetAsync("/")).QuerySelectorAll("table.ledger td a").Select(a => a.TextContent).Where(c => c.StartsWith("S-"))];
    }

    private async Task<Started> StartAsync(int? port = null)
    {
        var info = new ProcessStartInfo("bash", [Path.Combine(Root, "start")]) { RedirectStandardOutput = true, RedirectStandardError = true };
        info.Environment["YELLOWPENCIL_DATA"] = home;
        info.Environment["WarmUp"] = "false"; // Nobody reads a page here.
        if (port is { } wanted) info.Environment["PORT"] = wanted.ToString();
        var one = new Started(Process.Start(info)!, home);
        started.Add(one);
        await one.ReadyOrEnded;
        return one;
    }

    private int Postmaster => int.Parse(File.ReadLines(Path.Combine(home, "data", "postmaster.pid")).First());

    private static void Kill(int process) => Signal(process, "KILL");

    private static void Signal(int process, string signal) => Process.Start("kill", [$"-{signal}", process.ToString()]).WaitForExit();

    private const int Tries = 1_000;

    private static async Task EventuallyAsync(Func<Task<bool>> holds)
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

    /// <summary>A ./start that was run.</summary>
    private sealed class Started
    {
        private readonly TaskCompletionSource ready = new();
        private readonly List<string> lines = [];
        private readonly Process process;
        private readonly string home;

        public Started(Process process, string home)
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
            Signal(Script, "TERM");
            await Ended;
        }

        private void Take(string? line)
        {
            if (line is null) return;
            lock (lines) lines.Add(line);
            if (line.StartsWith("· Ready: ", StringComparison.Ordinal)) ready.TrySetResult();
        }
    }
}
