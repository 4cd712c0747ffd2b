using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Marks as people write them against the marks foretold, by counts worked out by hand.</summary>
public class MarkComparisonTests
{
    private static int[] Differing(string task, string work, params string[] bugs)
    {
        var sheet = $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"M","items":[{"id":"1","task":"{{task}}","answer":"0","work":{{work}}}]}""";
        var item = (SheetReader.TryRead(sheet, out var fault) ?? throw new InvalidOperationException(fault!.ToString())).Items[0];
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(item.Task, run, new DeviationSet([.. bugs.Select(b => Catalogue.Find(b)!.Deviations)]));
        return [.. ItemEvidence.Whole(item).MarkMatches(run.Page.Marks).Select(m => m.Off)];
    }

    [Theory]
    [InlineData("""{"rows":[{"text":"282"},{"text":"1410"}]}""", 0)]
    [InlineData("""{"rows":[{"text":"282"},{"text":"141","lastPlace":1}]}""", 0)]
    [InlineData("""{"rows":[{"text":"282"},{"text":"1,410"},{"text":"000"}]}""", 0)]
    [InlineData("""{"rows":[{"text":"282"},{"text":"141"}]}""", 1)]
    [InlineData("""{"rows":[{"text":"282"}]}""", 1)]
    [InlineData("""{"rows":[{"text":"281"},{"text":"1400"},{"text":"5"}]}""", 3)]
    [InlineData("""{"rows":[]}""", 2)]
    public void Rows_are_compared_by_value_and_place(string work, int differing) => Differing("47 * 36", work).ShouldBe([differing]);

    [Theory]
    [InlineData("""{"rows":[{"text":"232","carries":{"1":"3"}},{"text":"3480","carries":{"1":"4"}}]}""", 0)]
    [InlineData("""{"rows":[{"text":"232","carries":{"1":"3"}},{"text":"3480","carries":{"2":"4"}}]}""", 0)]
    [InlineData("""{"rows":[{"text":"232","carries":{"1":"2"}},{"text":"3480"}]}""", 1)]
    [InlineData("""{"rows":[{"text":"232","carries":{}},{"text":"3480","carries":{"1":"4"}}]}""", 1)]
    public void Carries_of_a_row_may_be_named_by_either_column(string work, int differing) => Differing("58 * 64", work).ShouldBe([0, differing]);

    [Theory]
    [InlineData("""{"steps":[{"quotient":"1","product":"6","difference":"0","broughtDown":"1"},{"quotient":"0","broughtDown":"2"},{"quotient":"2","product":"12","difference":"0"}]}""", 0)]
    [InlineData("""{"steps":[{"quotient":"1","product":"6","difference":"0"},{"quotient":"2","product":"12","difference":"0"}]}""", 0)]
    [InlineData("""{"steps":[{"quotient":"1"},{"quotient":"2"}]}""", 0)]
    [InlineData("""{"steps":[{"quotient":"1","product":"6","difference":"0"}]}""", 1)]
    [InlineData("""{"steps":[{"quotient":"1","product":"6","difference":"1"},{"quotient":"2","product":"10"}]}""", 2)]
    public void Cycles_that_give_0_may_be_written_or_passed_over(string work, int differing) => Differing("612 / 6", work).ShouldBe([differing]);

    [Fact]
    public void What_is_brought_down_may_be_written_with_what_is_left() =>
        Differing("958 / 4", """{"steps":[{"quotient":"2","product":"8","difference":"1","broughtDown":"15"},{"quotient":"3","product":"12","difference":"3","broughtDown":"8"},{"quotient":"9","product":"36","difference":"2"}]}""").ShouldBe([0]);

    [Fact]
    public void A_wrong_difference_inside_a_division_is_seen() =>
        Differing("731 / 17", """{"steps":[{"quotient":"4","product":"68","difference":"15","broughtDown":"1"},{"quotient":"8","product":"136","difference":"25"}]}""", "subtraction.turns-column-round").ShouldBe([0]);

    [Theory]
    [InlineData("""{"operands":[{"text":"36.5","lastPlace":-1},{"text":"4.08","lastPlace":-2}]}""", 0)]
    [InlineData("""{"operands":[{"text":"36.50","lastPlace":-2},{"text":"4.08","lastPlace":-2}]}""", 0)]
    [InlineData("""{"operands":[{"text":"36.5","lastPlace":-1},{"text":"4.08","lastPlace":-1}]}""", 1)]
    [InlineData("""{"operands":[{"text":"36.5","lastPlace":-1}]}""", 1)]
    [InlineData("""{"operands":[]}""", 1)]
    public void Numbers_are_compared_by_where_their_ones_stand(string work, int differing) => Differing("36.5 + 4.08", work).ShouldBe([differing]);

    [Fact]
    public void Numbers_lined_up_on_the_right_are_foretold() =>
        Differing("36.5 + 4.08", """{"operands":[{"text":"36.5","lastPlace":-1},{"text":"4.08","lastPlace":-1}]}""", "decimal-sums.right-ends-lined-up").ShouldBe([0]);

    [Theory]
    [InlineData("-2.4 * 0.15", """{"sign":"−","places":" 3"}""", 0, 0)]
    [InlineData("-2.4 * 0.15", """{"sign":"+","places":"2"}""", 1, 1)]
    public void Signs_and_counts_are_compared_as_noted(string task, string work, int sign, int places) => Differing(task, work).ShouldBe([sign, places]);

    [Theory]
    [InlineData("""{"scaled":{"divisor":"26","dividend":"816.40"}}""", 0)]
    [InlineData("""{"scaled":{"divisor":"26"}}""", 0)]
    [InlineData("""{"scaled":{"divisor":"26","dividend":"8164"}}""", 1)]
    [InlineData("""{"scaled":{"divisor":"2.6","dividend":"81.64"}}""", 2)]
    public void Numbers_after_the_shift_are_compared_by_value(string work, int differing) => Differing("8.164 / 0.26", work).ShouldBe([differing]);

    [Theory]
    [InlineData("""{"carries":{"1":"1"}}""", 0)]
    [InlineData("""{"carries":{"0":"1"}}""", 0)]
    [InlineData("""{"carries":{"0":"2"}}""", 1)]
    public void Columns_of_a_product_of_decimals_may_be_named_from_either_end(string work, int differing) => Differing("2.4 * 3", work).ShouldBe([differing]);

    [Fact]
    public void Fields_of_other_families_say_nothing() => Differing("36 + 27", """{"lines":["36 + 27"],"rows":[{"text":"63"}],"order":"left-to-right"}""").ShouldBe([1]);

    // Nothing goes from the hundreds to the thousands: by the answers it could be a carry that is written and not counted, and no carry stands there.
    [Fact]
    public void A_rule_that_gives_every_answer_is_not_kept_against_the_marks()
    {
        (string Task, string Answer, string Carries)[] written =
        [
            ("27 + 48", "75", """{"1":"1"}"""), ("366 + 257", "623", """{"1":"1","2":"1"}"""), ("4718 + 2635", "6353", """{"1":"1"}"""), ("1852 + 3964", "4816", """{"2":"1"}"""),
            ("5607 + 2861", "7468", "{}"), ("738 + 549", "1287", """{"1":"1"}"""), ("2950 + 3827", "5777", "{}"),
        ];
        var items = written.Select((w, i) => $$"""{"id":"{{i}}","task":"{{w.Task}}","answer":"{{w.Answer}}","work":{"carries":{{w.Carries}} } }""");
        var page = $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"M","items":[{{string.Join(',', items)}}]}""";
        var best = SheetDiagnosis.Read(SheetReader.TryRead(page, out _)!).Best.Hypothesis.Key;
        best.ShouldStartWith("unlisted:addition.ten-or-more/place-");
        best.ShouldEndWith("/write-ones-carry-nothing");
    }

    [Fact]
    public void Working_tells_a_bug_of_a_part_apart_from_a_slip()
    {
        const string page = """
            {"format":"yellow-pencil.worked-sheet","version":1,"student":"M","items":[
            {"id":"1","task":"58 * 64","answer":"3612","work":{"rows":[{"text":"232"},{"text":"3480"}],"carries":{}}},
            {"id":"2","task":"67 * 45","answer":"2915","work":{"rows":[{"text":"335"},{"text":"2680"}],"carries":{}}},
            {"id":"3","task":"76 * 58","answer":"3408","work":{"rows":[{"text":"608"},{"text":"3800"}],"carries":{}}}]}
            """;
        var reading = SheetDiagnosis.Read(SheetReader.TryRead(page, out _)!);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["addition.carry-dropped"]);
        reading.Best.Text.ShouldContain("It is a bug of column addition and shows here where the rows are added.");
    }
}
