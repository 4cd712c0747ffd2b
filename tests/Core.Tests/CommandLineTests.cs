using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Cli;

namespace YellowPencil.Core.Tests;

public class CommandLineTests
{
    internal const string Good = """{"format":"yellow-pencil.worked-sheet","version":1,"student":"K-1","items":[{"id":"1","task":"52 - 38","answer":"26"},{"id":"2","task":"604 - 278","answer":"474"},{"id":"3","task":"81 - 27","answer":"66"}]}""";

    internal static (int Status, string Output, string Error) Call(string input, params string[] args)
    {
        var output = new StringWriter();
        var error = new StringWriter();
        return (CommandLine.Run(args, new MemoryStream(System.Text.Encoding.UTF8.GetBytes(input)), output, error), output.ToString(), error.ToString());
    }

    [Fact]
    public void A_class_is_read_together_and_a_bad_line_costs_itself_only()
    {
        const string sheet = """{"format":"yellow-pencil.worked-sheet","version":1,"student":"K-1","items":[{"id":"1","task":"52 - 38","answer":"26"},{"id":"2","task":"604 - 278","answer":"474"},{"id":"3","task":"81 - 27","answer":"66"}]}""";
        var (status, output, error) = Call($"{sheet}\nnothing\n{sheet.Replace("K-1", "K-2")}", "class", "-");
        status.ShouldBe(2);
        error.ShouldContain("line 2: this is not JSON");
        output.ShouldStartWith("""{"format":"yellow-pencil.class-reading","version":1,"students":2,"rules":[{"bugs":["subtraction.turns-column-round"]""");
        Call(sheet, "class", "-", "--text").Output.ShouldStartWith("1 student\n");
    }

    [Fact]
    public void Diagnose_gives_one_reading_on_one_line()
    {
        var (status, output, error) = Call(Good, "diagnose", "-");
        status.ShouldBe(0);
        error.ShouldBeEmpty();
        output.Trim().Split('\n').Length.ShouldBe(1);
        JsonDocument.Parse(output).RootElement.GetProperty("outcome").GetString().ShouldBe("bug");
    }

    [Fact]
    public void A_bad_sheet_in_a_batch_costs_only_its_own_line()
    {
        var (status, output, error) = Call($"{Good}\n{Good.Replace("52 - 38", "52 ~ 38")}\n\nnonsense\n{Good}\n", "diagnose", "--batch", "-");
        status.ShouldBe(2);
        output.Trim().Split('\n').Length.ShouldBe(2);
        error.ShouldContain("line 2: items[0].task");
        error.ShouldContain("line 4: this is not JSON");
    }

    [Fact]
    public void A_bad_sheet_alone_is_refused_with_its_field()
    {
        var (status, output, error) = Call(Good.Replace("\"version\":1", "\"version\":3"), "diagnose", "-");
        (status, output).ShouldBe((2, ""));
        error.ShouldContain("version: only version 1 can be read");
    }

    [Fact]
    public void People_can_read_a_reading() => Call(Good, "diagnose", "--text", "-").Output.ShouldContain("should be 14");

    [Theory]
    [InlineData("diagnose")]
    [InlineData("diagnose", "no-such-file.json")]
    [InlineData("bugs", "--family", "carpentry")]
    [InlineData("design", "--family", "subtraction", "--items", "0")]
    [InlineData("simulate", "--bugs", "subtraction.no-such", "--tasks", "-")]
    [InlineData("simulate", "--bugs", "subtraction.turns-column-round", "--tasks", "-", "--slip", "2")]
    [InlineData("plan", "-", "--word", "swap")]
    [InlineData("guess")]
    public void Unusable_arguments_end_with_2_and_a_message(params string[] args)
    {
        var (status, output, error) = Call("52 - 38", args);
        status.ShouldBe(2);
        output.ShouldBeEmpty();
        error.ShouldStartWith("yellowpencil: ");
    }

    [Fact]
    public void The_catalogue_has_one_object_a_line_with_a_worked_example()
    {
        var lines = Call("", "bugs", "--family", "subtraction").Output.Trim().Split('\n');
        lines.Length.ShouldBeGreaterThanOrEqualTo(45);
        foreach (var line in lines)
        {
            using var bug = JsonDocument.Parse(line);
            foreach (var field in new[] { "id", "family", "name", "text", "decision", "reason", "idea" }) bug.RootElement.GetProperty(field).GetString().ShouldNotBeNullOrEmpty();
            var example = bug.RootElement.GetProperty("example");
            example.GetProperty("answer").GetString().ShouldNotBe(example.GetProperty("right").GetString());
        }
    }

    [Fact]
    public void A_simulated_student_follows_the_bug_and_the_seed()
    {
        string[] args = ["simulate", "--bugs", "subtraction.turns-column-round", "--tasks", "-", "--slip", "0", "--consistency", "1", "--seed", "5"];
        var first = Call("604 - 278\n52 - 38\n", args).Output;
        first.ShouldBe(Call("604 - 278\n52 - 38\n", args).Output);
        first.ShouldContain("\"answer\":\"474\"");
        Call(first, "diagnose", "-").Status.ShouldBe(0);
    }

    [Fact]
    public void A_sheet_is_designed_in_the_open_format()
    {
        var output = Call("", "design", "--family", "subtraction", "--items", "9").Output;
        JsonDocument.Parse(output).RootElement.GetProperty("items").GetArrayLength().ShouldBe(9);
        Call(output, "diagnose", "-").Output.ShouldContain("too-few-chances");
    }

    [Fact]
    public void A_sum_is_read_and_planned_for_in_sums()
    {
        var sums = Good.Replace("52 - 38", "36 + 27").Replace("\"26\"", "\"513\"").Replace("604 - 278", "58 + 67").Replace("\"474\"", "\"1115\"").Replace("81 - 27", "145 + 238").Replace("\"66\"", "\"3713\"");
        Call(sums, "diagnose", "-").Output.ShouldContain("addition.writes-both-digits");
        var plan = Call(sums, "plan", "-").Output;
        plan.ShouldStartWith("# Plan for K-1: ten moves on");
        plan.ShouldContain("**Check:** Take one of the numbers away from the sum");
    }

    [Fact]
    public void A_plan_is_made_where_a_bug_is_held_and_only_there()
    {
        Call(Good, "plan", "-", "--word", "borrow").Output.ShouldStartWith("# Plan for K-1");
        JsonDocument.Parse(Call(Good, "plan", "-", "--json").Output).RootElement.GetProperty("format").GetString().ShouldBe("yellow-pencil.plan");
        Call(Good.Replace("\"26\"", "\"14\"").Replace("\"474\"", "\"326\"").Replace("\"66\"", "\"54\""), "plan", "-").Output.ShouldStartWith("# No plan yet for K-1");
    }

    [Fact]
    public void Files_are_read_and_a_missing_one_is_named()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, Good);
            Call("", "diagnose", file).Output.ShouldContain("yellow-pencil.reading");
            Call("", "plan", file).Output.ShouldStartWith("# Plan for K-1");
        }
        finally
        {
            File.Delete(file);
        }

        Call("", "diagnose", file).Error.ShouldContain(file);
    }

    [Fact]
    public void Simulated_sheets_keep_the_items_and_students_of_sheets_given_as_tasks()
    {
        var two = Good + "\n" + Good.Replace("K-1", "K-2") + "\n";
        var lines = Call(two, "simulate", "--bugs", "subtraction.zeros-skipped,subtraction.minus-read-as-plus", "--tasks", "-", "--slip", "0", "--consistency", "1").Output.Trim().Split('\n');
        lines.Length.ShouldBe(2);
        lines[1].ShouldContain("\"student\":\"K-2\"");
        lines[0].ShouldContain("\"answer\":\"90\"");
    }

    [Fact]
    public void A_bad_task_in_a_list_is_named_by_its_line()
    {
        var (status, output, error) = Call("52 - 38\n\n52 ~ 38\n", "simulate", "--bugs", "", "--tasks", "-");
        (status, output).ShouldBe((2, ""));
        error.ShouldContain("line 3");
    }

    [Fact]
    public void A_bad_sheet_among_tasks_is_named_by_its_line()
    {
        var (status, output, error) = Call(Good + "\n" + Good.Replace("\"version\":1", "\"version\":2") + "\n", "simulate", "--bugs", "", "--tasks", "-");
        (status, output).ShouldBe((2, ""));
        error.ShouldContain("line 2: version");
    }

    [Fact]
    public void Slips_and_consistency_are_followed()
    {
        var tasks = string.Join('\n', Enumerable.Range(0, 60).Select(i => $"{52 + i} - {38 + i}"));
        var sure = Call(tasks, "simulate", "--bugs", "subtraction.turns-column-round", "--tasks", "-", "--slip", "0", "--consistency", "0").Output;
        System.Text.RegularExpressions.Regex.Count(sure, "\"answer\":\"14\"").ShouldBe(60);
        var slipping = Call(tasks, "simulate", "--bugs", "", "--tasks", "-", "--slip", "1").Output;
        System.Text.RegularExpressions.Regex.Count(slipping, "\"answer\":\"14\"").ShouldBeLessThan(25);
    }

    [Theory]
    [InlineData("multiplication", "multiplication.carry-added-first")]
    [InlineData("division", "division.zero-left-out")]
    [InlineData("decimal-sums", "decimal-sums.right-ends-lined-up")]
    [InlineData("decimal-products", "decimal-products.point-as-in-sums")]
    [InlineData("decimal-division", "decimal-division.divisor-point-only")]
    [InlineData("integers", "integers.minus-minus-stays-minus")]
    public void A_designed_sheet_that_a_simulated_student_has_filled_is_read_back(string family, string bug)
    {
        var design = Call("", "design", "--family", family, "--items", "15").Output;
        var filled = Call(design, "simulate", "--bugs", bug, "--tasks", "-", "--slip", "0", "--consistency", "1");
        filled.Status.ShouldBe(0, filled.Error);
        using var before = JsonDocument.Parse(design);
        using var after = JsonDocument.Parse(filled.Output);
        foreach (var (set, written) in before.RootElement.GetProperty("items").EnumerateArray().Zip(after.RootElement.GetProperty("items").EnumerateArray()))
        {
            written.GetProperty("task").GetString().ShouldBe(set.GetProperty("task").GetString());
            written.TryGetProperty("form", out _).ShouldBe(set.TryGetProperty("form", out _));
        }

        using var reading = JsonDocument.Parse(Call(filled.Output, "diagnose", "-").Output);
        reading.RootElement.GetProperty("outcome").GetString().ShouldBe("bug");
        reading.RootElement.GetProperty("explanations")[0].GetProperty("bugs")[0].GetString().ShouldBe(bug);
    }

    [Fact]
    public void The_form_asked_for_is_taken_from_the_item_and_from_a_prediction()
    {
        const string sheet = """{"format":"yellow-pencil.worked-sheet","version":1,"student":"K-1","items":[{"id":"1","task":"958 / 4","form":"decimal","answer":"239.5"},{"id":"2","task":"7 / 2","form":"fraction","answer":"3 r 1"}],"predict":[{"task":"13 / 4","form":"decimal"},"13 / 4"]}""";
        using var reading = JsonDocument.Parse(Call(sheet, "diagnose", "-").Output);
        reading.RootElement.GetProperty("items")[0].GetProperty("verdict").GetString().ShouldBe("right");
        reading.RootElement.GetProperty("items")[1].GetProperty("verdict").GetString().ShouldBe("unfinished");
        reading.RootElement.GetProperty("predictions")[0].GetProperty("answer").GetString().ShouldBe("3.25");
        reading.RootElement.GetProperty("predictions")[1].GetProperty("answer").GetString().ShouldBe("3 r 1");
    }

    [Fact]
    public void The_whole_catalogue_is_listed_without_a_family()
    {
        var all = Call("", "bugs").Output.Trim().Split('\n').Length;
        string[] families = ["addition", "subtraction", "multiplication", "division", "decimal-sums", "decimal-products", "decimal-division", "integers", "fractions", "mixed-numbers", "polynomials", "expanding", "equations", "roots", "factoring"];
        all.ShouldBe(families.Sum(family => Call("", "bugs", "--family", family).Output.Trim().Split('\n').Count(line => line.Contains($"\"{family}."))));
    }

    [Fact]
    public void Help_lists_the_calls_and_ends_well()
    {
        var (status, output, _) = Call("", "--help");
        status.ShouldBe(0);
        foreach (var call in new[] { "diagnose", "simulate", "bugs", "design", "plan" }) output.ShouldContain(call);
    }

    [Fact]
    public void Predictions_are_given_task_by_task()
    {
        var asked = Good[..^1] + ",\"predict\":[\"93 - 46\",{\"task\":\"75 - 32\"}]}";
        using var reading = JsonDocument.Parse(Call(asked, "diagnose", "-").Output);
        reading.RootElement.GetProperty("predictions").EnumerateArray().Select(p => p.GetProperty("answer").GetString()).ShouldBe(["53", "43"]);
    }
}
