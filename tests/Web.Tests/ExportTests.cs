using System.Diagnostics;
using System.IO.Compression;
using System.Net;
using Npgsql;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Everything about one student as a file, and everything at all as a backup.</summary>
public sealed class ExportTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task A_student_is_exported_readable_and_in_the_open_formats()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", Turns), ("text", "=said it aloud"));
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        using var zip = new ZipArchive(new MemoryStream(await visitor.GetFileAsync($"/students/{code}?handler=Export")));
        zip.Entries.Select(e => e.FullName).ShouldBe(["about.txt", "cover.txt", "pages.ndjson", "readings.ndjson", "plans/1.json", "not-read.csv", "decisions.csv", "sessions.csv", "checks.csv", "reports.csv", "facts.csv", "slots.csv", "looks.csv"]);
        SheetReader.TryRead(Text("pages.ndjson").Trim(), out var fault).ShouldNotBeNull(fault?.ToString()).Items.Count.ShouldBe(3);
        Text("readings.ndjson").ShouldContain("\"format\": \"yellow-pencil.reading\"");
        Text("plans/1.json").ShouldContain("\"oldRule\":\"Turns the column round");
        Text("decisions.csv").Split("\r\n")[1].ShouldEndWith(",Demo specialist,Noted,subtraction.turns-column-round,\"'=said it aloud\"");
        Text("cover.txt").ShouldContain("Reading of Ropes: ");
        Text("looks.csv").ShouldContain(",Demo specialist,reading");
        await visitor.GetAsync("/students/nobody?handler=Export");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);

        string Text(string name)
        {
            using var reader = new StreamReader(zip.GetEntry(name)!.Open());
            return reader.ReadToEnd();
        }
    }

    [Fact]
    public async Task The_application_starts_on_a_restored_copy_with_every_row()
    {
        var (visitor, code, _) = await PageAsync();
        visitor.Dispose();
        var file = Path.Combine(Directory.CreateTempSubdirectory("pencil-backup-").FullName, "all.backup");
        (await BackupAsync(App, "save", file)).ShouldBe(0);
        (await BackupAsync(App, "restore", file)).ShouldNotBe(0); // not into a database that holds something
        await using var copy = await PencilApp.OnAsync("select 1");
        (await BackupAsync(copy, "restore", file)).ShouldBe(0);
        (await TakeoverTests.RowsAsync(copy)).ShouldBe(await TakeoverTests.RowsAsync(App));
        copy.StartServer();
        using var there = await new Visitor(copy).SignInAsync();
        await there.GetAsync($"/students/{code}");
        there.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    private static async Task<int> BackupAsync(PencilApp on, string what, string file)
    {
        var database = new NpgsqlConnectionStringBuilder(on.ConnectionString);
        var info = new ProcessStartInfo(Path.Combine(StartedTests.Root, "yellowpencil-backup"), [what, file]) { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var (name, value) in new[] { ("PGHOST", database.Host), ("PGPORT", $"{database.Port}"), ("PGUSER", database.Username), ("PGPASSWORD", database.Password), ("PGDATABASE", database.Database) })
            info.Environment[name] = value;
        using var process = Process.Start(info)!;
        await Task.WhenAll(process.StandardOutput.ReadToEndAsync(), process.StandardError.ReadToEndAsync());
        await process.WaitForExitAsync();
        return process.ExitCode;
    }
}
