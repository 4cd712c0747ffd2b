using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>./start on a cluster of its own: whatever is killed, the next start comes up with everything that was acknowledged.</summary>
public sealed class StartTests : StartedTests
{
    [Fact]
    public async Task After_a_kill_of_the_script_and_after_a_power_cut_the_next_start_comes_up_with_all_that_was_acknowledged()
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

        // A power cut: everything gone at once, and the number of the dead server given to another program since.
        await AddAsync(two, codes);
        Kill(two.Script);
        Kill(two.Application);
        Kill(Postmaster);
        await two.EndAsync();
        var pidFile = Path.Combine(Home, "data", "postmaster.pid");
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
}
