using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Work that came to no answer: a student who stops because something cannot be has still shown what was done.</summary>
public class BrokenOffTests
{
    private static Reading Read(string items) => SheetDiagnosis.Read(SheetReader.TryRead($$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"B","items":[{{items}}]}""", out var fault).ShouldNotBeNull(fault?.ToString()));

    private static string Item(string id, string equation, string answer, string lines) =>
        $$$"""{"id":"{{{id}}}","task":"solve {{{equation}}}","answer":"{{{answer}}}","work":{"lines":["{{{lines.Replace(" | ", "\",\"")}}}"]}}""";

    private const string Sound = """{"id":"8","task":"432 / 8","answer":"54"},{"id":"9","task":"924 / 4","answer":"231"}""";

    private const string Turned = """
        {"id":"1","task":"312 / 4","answer":null,"work":{"steps":[{"quotient":"7","product":"28","difference":"17","broughtDown":"2"}]}},
        {"id":"2","task":"532 / 7","answer":"?","work":{"steps":[{"quotient":"7","product":"49","difference":"16","broughtDown":"2"}]}},
        {"id":"3","task":"612 / 9","answer":null,"work":{"steps":[{"quotient":"6","product":"54","difference":"13","broughtDown":"2"}]}},
        """;

    [Fact]
    public void Divisions_that_were_given_up_at_impossible_differences_show_the_rule_in_them()
    {
        var reading = Read(Turned + Sound);
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["subtraction.turns-column-round"]);
        reading.Best.CountText.ShouldBe("3 of 3 items");
        reading.Items.Take(3).Select(i => (i.Verdict, i.Cause)).ShouldBe([(Verdict.Blank, Cause.Bug), (Verdict.Unreadable, Cause.Bug), (Verdict.Blank, Cause.Bug)]);
        ReadingText.Write(reading, []).ShouldContain("1. 312 / 4 = (blank): blank, right is 78; the work breaks off: Tens: turns the column round, 8 − 1.");
    }

    [Fact]
    public void Work_that_is_right_as_far_as_it_goes_is_no_error()
    {
        var reading = Read("""{"id":"1","task":"312 / 4","answer":null,"work":{"steps":[{"quotient":"7","product":"28","difference":"3","broughtDown":"2"}]}},""" + Sound);
        reading.Items[0].Cause.ShouldBeNull();
        reading.Best.IsSound.ShouldBeTrue();
    }

    [Fact]
    public void A_zero_that_is_passed_over_is_seen_in_strike_outs_without_an_answer()
    {
        // 604 − 278: 14 in the ones, 5 in the hundreds, and nothing done to the 0 between.
        var reading = Read("""
            {"id":"1","task":"604 - 278","answer":null,"work":{"rewritten":{"0":"14","2":"5"}}},{"id":"2","task":"803 - 467","answer":null,"work":{"rewritten":{"0":"13","2":"7"}}},
            {"id":"3","task":"702 - 418","answer":null,"work":{"rewritten":{"0":"12","2":"6"}}},{"id":"4","task":"732 - 458","answer":"274"},{"id":"5","task":"645 - 218","answer":"427"}
            """);
        reading.BestBug!.Hypothesis.RuleIds.ShouldContain("subtraction.zeros-skipped");
        reading.Items.Take(3).ShouldAllBe(i => i.Cause == Cause.Bug);
    }

    [Theory]
    [InlineData("2x = 15 + 7", "x = 11", "number-added")] // the number moved with its sign, and not put together yet
    [InlineData("2x = 22", "x = 11", "number-added")]
    public void An_equation_is_followed_through_a_line_that_is_not_put_together(string line, string answer, string bug)
    {
        var items = string.Join(',', new[] { ("2x + 7 = 15", line, answer), ("3x + 5 = 20", "3x = 20 + 5", "x = 25/3"), ("7x + 6 = 27", "7x = 27 + 6", "x = 33/7"), ("5x - 3 = 12", "5x = 12 - 3", "x = 9/5"), ("4x = 28", "x = 7", "x = 7") }
            .Select((item, i) => Item($"{i}", item.Item1, item.Item3, item.Item2)));
        var reading = Read(items);
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe([$"equations.{bug}"]);
        reading.Items.Where(i => i.Verdict == Verdict.Wrong).ShouldAllBe(i => i.Cause == Cause.Bug);
    }

    [Theory]
    [InlineData("2x + 7 = 15", "2x = 15 - 7 | 2x = 9", "x = 9/2", "2x = 9")]
    [InlineData("7x + 2 = 3x + 6", "7x - 3x = 6 - 2 | 4x = 4", "x = 4", "x = 4")]
    [InlineData("5x - 3 = 2x + 12", "5x - 2x - 3 = 12 | 3x = 12 + 3 | 3x = 15", "x = 5", "")]
    [InlineData("3x + 4 = 10", "3x + 4 - 4 = 10 - 4 | 3x = 6", "x = 2", "")]
    [InlineData("8x = 2x + 18", "8x - 2x = 2x + 18 - 2x | 6x = 18", "x = 3", "")]
    [InlineData("9n + 4 = 9n + 6", "9n - 9n = 6 - 4 | 0 = 2", "none", "")]
    [InlineData("4(x + 6) = 12", "x + 6 = 3", "x = -3", "")] // a sound step that the method does not make
    public void Sound_moves_are_no_errors_and_the_first_line_that_does_not_follow_is_found(string task, string lines, string answer, string first)
    {
        var reading = Read(Item("1", task, answer, lines) + "," + Item("2", "x + 1 = 3", "x = 2", "x = 3 - 1"));
        reading.Items[0].FirstWrongStep?.Written.ShouldBe(first);
        (reading.Items[0].Cause is null).ShouldBe(first.Length == 0);
    }
}
