using System.Diagnostics;
using System.Text.RegularExpressions;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Tests;

/// <summary>What the documents show is true: the commands run as they stand, the examples can be read.</summary>
public partial class ReadmeTests
{
    private static readonly string Root = FindRoot();

    private static string FindRoot()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "YellowPencil.slnx"))) folder = folder.Parent;
        return folder.FullName;
    }

    private static (int Status, string Output, string Error) Bash(string script)
    {
        using var bash = Process.Start(new ProcessStartInfo("bash", ["-euo", "pipefail", "-c", script]) { WorkingDirectory = Root, RedirectStandardOutput = true, RedirectStandardError = true })!;
        var error = bash.StandardError.ReadToEndAsync();
        var output = bash.StandardOutput.ReadToEnd();
        bash.WaitForExit();
        return (bash.ExitCode, output, error.Result);
    }

    [Fact]
    public void The_commands_of_the_README_run_as_they_stand_and_leave_nothing_behind()
    {
        var commands = CommandBlock().Match(File.ReadAllText(Path.Combine(Root, "README.md"))).Groups[1].Value;
        commands.Split('\n').Count(l => l.Contains("./yellowpencil", StringComparison.Ordinal)).ShouldBeGreaterThanOrEqualTo(7);
        var before = Bash("git status --porcelain").Output;
        var (status, output, error) = Bash(commands);
        status.ShouldBe(0, error);
        Bash("git status --porcelain").Output.ShouldBe(before);
        output.ShouldContain("604 - 278 = 474: wrong, should be 326");
        output.ShouldContain("# Plan for simulated");
        output.Split('\n').Count(l => l.StartsWith("{\"format\":\"yellow-pencil.reading\"", StringComparison.Ordinal)).ShouldBe(3);
    }

    [Theory]
    [InlineData("./yellowpencil bugs > /dev/full")]
    [InlineData("./yellowpencil bugs >&-")]
    [InlineData("set +o pipefail; ./yellowpencil bugs | head -1 > /dev/null; exit ${PIPESTATUS[0]}")]
    [InlineData("./yellowpencil diagnose ''")]
    [InlineData("./yellowpencil diagnose - < /dev/null")]
    public void A_call_that_cannot_write_or_read_ends_with_2_and_no_trace(string call)
    {
        var (status, _, error) = Bash(call);
        status.ShouldBe(2, error);
        error.ShouldStartWith("yellowpencil: ");
        error.ShouldNotContain("fault of the program");
        error.ShouldNotContain("   at ");
    }

    [Fact]
    public void The_example_of_the_format_can_be_read()
    {
        var example = JsonBlock().Match(File.ReadAllText(Path.Combine(Root, "docs", "worked-sheet.md"))).Groups[1].Value;
        var sheet = SheetReader.TryRead(example, out var fault);
        sheet.ShouldNotBeNull(fault?.ToString());
        sheet.Items.Count.ShouldBe(4);
    }

    [Fact]
    public void Every_link_between_the_documents_leads_somewhere()
    {
        foreach (var document in Directory.GetFiles(Path.Combine(Root, "docs"), "*.md").Append(Path.Combine(Root, "README.md")))
            foreach (Match link in Link().Matches(File.ReadAllText(document)))
                File.Exists(Path.Combine(Path.GetDirectoryName(document)!, link.Groups[1].Value)).ShouldBeTrue($"{document}: {link.Groups[1].Value}");
    }

    [GeneratedRegex(@"## On the command line.*?```\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex CommandBlock();

    [GeneratedRegex(@"```json\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex JsonBlock();

    [GeneratedRegex(@"\]\(([^)#:]+?)\)")]
    private static partial Regex Link();
}
