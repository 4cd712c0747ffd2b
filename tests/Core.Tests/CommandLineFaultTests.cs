using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Cli;

namespace YellowPencil.Core.Tests;

/// <summary>Input, arguments and outputs that are not as they should be, and batches.</summary>
public class CommandLineFaultTests
{
    private const string Good = CommandLineTests.Good;

    private static (int Status, string Output, string Error) Call(string input, params string[] args) => CommandLineTests.Call(input, args);

    [Theory]
    [InlineData("diagnose", "")]
    [InlineData("diagnose", "@nothing")]
    [InlineData("diagnose", "/")]
    [InlineData("diagnose", "--batch", "no-such-file")]
    [InlineData("simulate", "--bugs", "", "--tasks", "")]
    [InlineData("simulate", "--bugs", "", "--tasks", "-", "--consistency", "NaN")]
    [InlineData("simulate", "--bugs", "", "--tasks", "-", "--seed", "1e400")]
    [InlineData("design", "--family", "subtraction", "--items", "99999999999")]
    [InlineData("plan", "-", "--word", "1")]
    [InlineData("bugs", "--family", "\u001b[31m")]
    [InlineData]
    public void No_argument_leaves_a_stack_trace(params string[] args)
    {
        var (status, output, error) = Call("52 - 38", args);
        (status, output).ShouldBe((2, ""));
        error.ShouldNotContain("   at ");
        error.ShouldNotContain("fault of the program");
    }

    [Theory]
    [InlineData("\"seconds\": 1e400", "items[0].seconds: is not a usable number")]
    [InlineData("\"seconds\": -1", "items[0].seconds: must lie between 0 and 86400")]
    [InlineData("\"wrok\": {}", "items[0].wrok: is not known here")]
    [InlineData("\"answer\": \"5\"", "items[0].answer: stands here twice")]
    [InlineData("\"form\": \"decimal\"", "items[0].form: \"form\" does not belong to column subtraction")]
    [InlineData("\"work\": {\"carries\": {\"ten\": \"1\"}}", "items[0].work.carries.ten: a place is named by its power of ten")]
    [InlineData("\"work\": {\"tried\": [[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[1]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]}", "is nested more than 32 levels deep")]
    public void Odd_fields_are_named(string field, string message)
    {
        var (status, output, error) = Call(Good.Replace("\"answer\":\"26\"", "\"answer\":\"26\"," + field), "diagnose", "-");
        (status, output).ShouldBe((2, ""));
        error.ShouldContain(message);
    }

    [Fact]
    public void What_is_not_UTF_8_is_named_by_its_byte_and_costs_its_own_line()
    {
        var good = System.Text.Encoding.UTF8.GetBytes(Good + "\n");
        byte[] bad = [.. System.Text.Encoding.UTF8.GetBytes("{\"student\":\""), 0xff, .. "\"}\n"u8];
        var (output, error) = (new StringWriter(), new StringWriter());
        CommandLine.Run(["diagnose", "--batch", "-"], new MemoryStream([.. good, .. bad, .. good]), output, error).ShouldBe(2);
        output.ToString().Trim().Split('\n').Length.ShouldBe(2);
        error.ToString().ShouldContain("line 2: this is not UTF-8 (byte 13)");
    }

    [Fact]
    public void A_fault_says_the_character_and_the_line()
    {
        Call("{\n  \"format\": \"ä\" oh\n}", "diagnose", "-").Error.ShouldContain("line 2: this is not JSON (character 17)");
        Call(Good.Replace("\"version\":1", "\"version\":2") + "\n" + Good, "simulate", "--bugs", "", "--tasks", "-").Error.ShouldContain("line 1: version");
    }

    [Theory]
    [InlineData("٣/8 + 1/6", "13/24", "right")]
    [InlineData("3/8 + 1/6", "１３/２４", "right")]
    [InlineData("7 1/4 - 2 5/6", "4 ٥/12", "right")]
    [InlineData("５２ - ३८", "१४", "right")]
    [InlineData("simplify (x² + 3) + (x² + 1)", "2x² + 4", "right")]
    public void Digits_of_other_scripts_and_raised_ones_are_read(string task, string answer, string verdict) =>
        Call(One(task, answer), "diagnose", "-").Output.ShouldContain($"\"verdict\":\"{verdict}\"");

    [Theory]
    [InlineData("𝟑/8 + 1/6")]
    [InlineData("½ + 1/6")]
    public void Digits_that_are_none_are_refused_and_cost_their_own_line_only(string task)
    {
        var (_, output, error) = Call($"{Good.ReplaceLineEndings("")}\n{One(task, "1")}\n{Good.ReplaceLineEndings("")}\n", "diagnose", "--batch", "-");
        output.Trim().Split('\n').Length.ShouldBe(2);
        error.ShouldStartWith("yellowpencil: line 2: ");
        error.ShouldNotContain("fault of the program");
    }

    private static string One(string task, string answer) =>
        $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"D","items":[{"id":"1","task":"{{task}}","answer":"{{answer}}"}]}""";

    [Fact]
    public async Task A_batch_gives_the_first_reading_before_the_second_sheet_is_in()
    {
        using var sheets = new System.IO.Pipes.AnonymousPipeServerStream();
        using var input = new System.IO.Pipes.AnonymousPipeClientStream(sheets.GetClientHandleAsString());
        using var first = new ManualResetEventSlim();
        var output = new SignalledWriter(first);
        var call = Task.Run(() => CommandLine.Run(["diagnose", "--batch", "-"], input, output, new StringWriter()));
        await sheets.WriteAsync(System.Text.Encoding.UTF8.GetBytes(Good + "\n"));
        first.Wait();
        output.ToString().Trim().Split('\n').Length.ShouldBe(1);
        await sheets.WriteAsync(System.Text.Encoding.UTF8.GetBytes(Good + "\n"));
        await sheets.DisposeAsync();
        (await call).ShouldBe(0);
        output.ToString().Trim().Split('\n').Length.ShouldBe(2);
    }

    [Fact]
    public void A_batch_keeps_the_order_of_the_sheets()
    {
        var batch = string.Join('\n', Enumerable.Range(0, 60).Select(i => Good.Replace("K-1", $"K-{i}")));
        Call(batch, "diagnose", "--batch", "-").Output.Trim().Split('\n').Select(l => JsonDocument.Parse(l).RootElement.GetProperty("student").GetString())
            .ShouldBe(Enumerable.Range(0, 60).Select(i => $"K-{i}"));
    }

    [Theory]
    [InlineData("diagnose", "--batch", "-")]
    [InlineData("diagnose", "-")]
    public void Output_that_cannot_be_written_ends_with_2_and_a_message(params string[] args)
    {
        var error = new StringWriter();
        var endless = System.Text.Encoding.UTF8.GetBytes(args.Contains("--batch") ? string.Concat(Enumerable.Repeat(Good + "\n", 500)) : Good);
        CommandLine.Run(args, new MemoryStream(endless), new ClosedWriter(), error).ShouldBe(2);
        error.ToString().ShouldBe("yellowpencil: the output cannot be written: closed\n");
    }

    [Fact]
    public void Control_characters_of_a_sheet_do_not_reach_the_terminal() =>
        Call(Good.Replace("\"26\"", "\"2\\u001b[2J6\""), "diagnose", "--text", "-").Output.ShouldNotContain("\u001b");

    [Fact]
    public void A_slip_needs_a_step() => Call("0 / .5\n0 / 7\n", "simulate", "--bugs", "", "--tasks", "-", "--slip", "1").Status.ShouldBe(0);

    [Fact]
    public void A_plan_that_cannot_be_made_says_why_as_data()
    {
        using var none = JsonDocument.Parse(Call(Good.Replace("\"26\"", "\"14\"").Replace("\"474\"", "\"326\"").Replace("\"66\"", "\"54\""), "plan", "-", "--json").Output);
        none.RootElement.GetProperty("plan").ValueKind.ShouldBe(JsonValueKind.Null);
        none.RootElement.GetProperty("why").GetString().ShouldNotBeNullOrEmpty();
    }

    [Fact]
    public void The_example_of_a_division_says_its_form() =>
        Call("", "bugs", "--family", "division").Output.Split('\n').Count(l => l.Contains("\"form\":\"", StringComparison.Ordinal)).ShouldBeGreaterThan(5);

    private sealed class SignalledWriter(ManualResetEventSlim first) : StringWriter
    {
        public override void Flush() => first.Set();
    }

    private sealed class ClosedWriter : StringWriter
    {
        public override void WriteLine(string? value) => throw new IOException("closed");

        public override void Flush()
        {
        }
    }
}
