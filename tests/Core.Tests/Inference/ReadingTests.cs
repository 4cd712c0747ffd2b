using System.Text.Json;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

public class ReadingTests
{
    private static WorkedSheet Sheet(params string[] lines) => new() { Student = "K-17", Items = ItemList.TryParse(string.Join('\n', lines), null, out _) };

    private static Reading Read(params string[] lines) => SheetDiagnosis.Read(Sheet(lines));

    [Fact]
    public void Reading_twice_gives_the_same_text()
    {
        var sheet = Sheet("604 - 278 = 474", "52 - 38 = 26", "80 - 36 = 44", "415 - 203 = 202");
        Text(sheet).ShouldBe(Text(sheet));

        static string Text(WorkedSheet sheet)
        {
            var reading = SheetDiagnosis.Read(sheet);
            return ReadingWriter.Write(reading, NextItems.For(reading));
        }
    }

    [Fact]
    public void Probabilities_fall_and_sum_to_at_most_one()
    {
        var reading = Read("604 - 278 = 426", "703 - 245 = 558", "78 - 35 = 43");
        reading.Explanations.Select(e => e.Probability).ShouldBeInOrder(SortDirection.Descending);
        (reading.Explanations.Sum(e => e.Probability) + reading.SomethingElse + reading.NoChance).ShouldBeLessThanOrEqualTo(1.000001);
        reading.Explanations.ShouldContain(e => e.IsSound);
    }

    [Fact]
    public void An_empty_sheet_and_one_without_answers_have_too_few_chances()
    {
        Read().Outcome.ShouldBe(Outcome.TooFewChances);
        Read("604 - 278", "52 - 38").Outcome.ShouldBe(Outcome.TooFewChances);
    }

    [Theory]
    [InlineData("", "too-few-chances")]
    [InlineData("52 - 38", "too-few-chances")]
    [InlineData("36 + 27\n52 - 38 = ?", "too-few-chances")]
    public void A_sheet_that_tells_nothing_is_still_written_with_its_predictions(string lines, string outcome)
    {
        var sheet = Sheet(lines.Split('\n')) with { Predict = [.. Sheet("703 - 355", "8 + 5").Items] };
        var reading = SheetDiagnosis.Read(sheet);
        using var json = JsonDocument.Parse(ReadingWriter.Write(reading, NextItems.For(reading)));
        json.RootElement.GetProperty("outcome").GetString().ShouldBe(outcome);
        json.RootElement.GetProperty("predictions").EnumerateArray().Select(p => p.GetProperty("answer").GetString()).ShouldBe(["348", "13"]);
        ReadingText.Write(reading, []).ShouldStartWith("K-17: Too little on this page to say; more items are needed.");
    }

    [Fact]
    public void Whatever_stands_on_a_sheet_it_is_read_and_written() => Gen.Select(
        Gen.Select(Gen.Int[0, 9999], Gen.Int[0, 9999], Gen.Bool).Array[0, 8],
        Gen.OneOf(Gen.Int[0, 12000].Select(n => n.ToString()), Gen.OneOfConst("?", "", "-7", "1,000", "12 r 3", "½", "0000")).Array[8]).Sample((tasks, answers) =>
    {
        var items = tasks.Select((t, i) => $"{t.Item1} {(t.Item3 ? "+" : "-")} {t.Item2} = {answers[i]}").ToArray();
        var reading = SheetDiagnosis.Read(Sheet(items));
        using var json = JsonDocument.Parse(ReadingWriter.Write(reading, NextItems.For(reading)));
        return json.RootElement.GetProperty("explanations").EnumerateArray().Sum(e => e.GetProperty("probability").GetDouble()) is >= 0 and <= 1.000001;
    }, iter: 250);

    [Fact]
    public void Blank_and_unreadable_answers_are_said_and_tell_nothing()
    {
        var reading = Read("604 - 278 = ?", "52 - 38");
        reading.Items.Select(i => i.Verdict).ShouldBe([Verdict.Unreadable, Verdict.Blank]);
        reading.Best.Stands.ShouldBeEmpty();
    }

    [Fact]
    public void A_bug_coming_loose_is_counted_by_chances()
    {
        var reading = Read("604 - 278 = 474", "523 - 168 = 445", "80 - 36 = 44", "952 - 367 = 615", "703 - 245 = 542", "731 - 480 = 351");
        reading.Best.Hypothesis.RuleIds.ShouldBe(["subtraction.turns-column-round"]);
        (reading.Best.Followed, reading.Best.Chances).ShouldBe((9, 10));
        reading.Best.Stands["3"].ShouldBe(Stand.Against);
        reading.Best.Text.ShouldEndWith("5 of 6 items, 9 of 10 chances.");
    }

    [Fact]
    public void What_follows_correctly_from_a_wrong_step_is_one_error()
    {
        var reading = Read("604 - 278 = 236", "703 - 245 = 368", "500 - 123 = 287", "523 - 168 = 355", "80 - 36 = 44");
        var step = reading.Items[0].FirstWrongStep!;
        step.Step.ShouldBe("subtraction.passed-zero");
        step.Place.ShouldBe(1);
        step.Expected.ShouldBe("The 0 in the tens becomes 10, lends one, and 9 are left.");
        step.Written.ShouldBe("The 0 in the tens is left as it is.");
    }

    [Fact]
    public void Marks_on_the_page_tell_apart_what_the_answers_do_not()
    {
        const string template = """
            {"format":"yellow-pencil.worked-sheet","version":1,"student":"K","items":[
             {"id":"1","task":"52 - 38","answer":"24","work":{"rewritten":MARKS}},{"id":"2","task":"81 - 27","answer":"64","work":{"rewritten":OTHER}},
             {"id":"3","task":"93 - 46","answer":"57","work":{"rewritten":THIRD}},{"id":"4","task":"75 - 32","answer":"43"}]}
            """;
        Best(template.Replace("MARKS", """{"0":"12","1":"4"}""").Replace("OTHER", """{"0":"11","1":"7"}""").Replace("THIRD", """{"0":"13","1":"8"}"""))
            .ShouldContain("subtraction.old-value-used");
        Best(template.Replace("MARKS", """{"0":"12"}""").Replace("OTHER", """{"0":"11"}""").Replace("THIRD", """{"0":"13"}"""))
            .ShouldNotContain("subtraction.old-value-used");

        static IReadOnlyList<string> Best(string json) => SheetDiagnosis.Read(SheetReader.TryRead(json, out _)!).Best.Hypothesis.RuleIds;
    }

    [Fact]
    public void The_gain_of_an_item_is_the_mutual_information()
    {
        var sure = new Dictionary<string, double> { ["1"] = 1 };
        var other = new Dictionary<string, double> { ["2"] = 1 };
        NextItems.Gain([sure, other], [0.5, 0.5]).ShouldBe(1, 1e-9);
        NextItems.Gain([sure, sure], [0.5, 0.5]).ShouldBe(0, 1e-9);
        NextItems.Gain([sure, new Dictionary<string, double> { ["1"] = 0.5, ["2"] = 0.5 }], [0.5, 0.5]).ShouldBe(0.3112781, 1e-6);
    }

    [Fact]
    public void The_next_items_separate_what_the_page_did_not()
    {
        var reading = Read("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "902 - 456 = 546", "586 - 243 = 343");
        var next = NextItems.For(reading);
        next.ShouldNotBeEmpty();
        next[0].GainBits.ShouldBeGreaterThan(0.5);
        next[0].Answers.Select(a => a.Answer).Distinct().Count().ShouldBeGreaterThan(1);
    }

    [Fact]
    public void A_designed_sheet_separates_every_pair_of_bugs_and_a_third_is_ordinary()
    {
        var tasks = SheetDesign.Of(FamilyList.Subtraction, 15, seed: 7);
        tasks.Select(t => t.Text).ShouldBeUnique();
        var run = new MethodRun();
        var signatures = Catalogue.Of(FamilyList.Subtraction).Select(b => string.Join('|', tasks.Select(t =>
        {
            Method.Run(t, run, b.Alone);
            return run.Page.Answer.ToString();
        }))).ToList();
        (signatures.Count - signatures.Distinct().Count()).ShouldBeLessThanOrEqualTo(1);
        tasks.Where((_, i) => i > 0 && i % 3 == 0).Cast<ColumnDifference>().Count(NeedsRenaming).ShouldBe(0);

        static bool NeedsRenaming(ColumnDifference t) => Enumerable.Range(0, t.Bottom.Length).Any(p => t.Bottom.Digit(p) > t.Top.Digit(p));
    }

    [Fact]
    public void A_reading_in_its_format_has_every_field()
    {
        var sheet = Sheet("604 - 278 = 474", "52 - 38 = 26", "415 - 203 = 212") with { Predict = [Sheet("703 - 355").Items[0]] };
        var reading = SheetDiagnosis.Read(sheet);
        using var json = JsonDocument.Parse(ReadingWriter.Write(reading, NextItems.For(reading)));
        var root = json.RootElement;
        root.GetProperty("format").GetString().ShouldBe("yellow-pencil.reading");
        root.GetProperty("student").GetString().ShouldBe("K-17");
        var item = root.GetProperty("items")[0];
        item.GetProperty("correct").GetString().ShouldBe("326");
        item.GetProperty("cause").GetString().ShouldBe("bug");
        item.GetProperty("firstWrongStep").GetProperty("place").GetString().ShouldBe("0");
        item.GetProperty("firstWrongStep").GetProperty("expected").GetString().ShouldBe("6");
        item.GetProperty("firstWrongStep").GetProperty("written").GetString().ShouldBe("4");
        var best = root.GetProperty("explanations")[0];
        best.GetProperty("agrees").EnumerateArray().Select(e => e.GetString()).ShouldBe(["1", "2"]);
        best.GetProperty("silent").EnumerateArray().Select(e => e.GetString()).ShouldBe(["3"]);
        root.GetProperty("predictions")[0].GetProperty("answer").GetString().ShouldBe("452");
    }

    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void The_students_of_the_simulator_are_found_again(Family family)
    {
        var tasks = SheetDesign.Of(family, 15, seed: 7);
        foreach (var bug in Catalogue.DeclaredFor(family))
        {
            var student = new SimulatedStudent(Hypothesis.Of(bug), consistency: 1, slipRate: 0, seed: 3);
            var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "S", Items = [.. tasks.Select((t, i) => student.Write(i.ToString(), t))] });

            // What shows on one item is a slip as far as anybody can tell.
            if (reading.Items.Count(i => i.Verdict == Verdict.Wrong) < SheetDiagnosis.ShowingsNeeded) continue;
            var found = reading.Best.NotSeparatedFrom.Select(n => string.Join('+', n)).Append(string.Join('+', reading.Best.Hypothesis.RuleIds));
            if (Twins.Are(reading.Best.Hypothesis, Hypothesis.Of(bug), [family])) continue;
            found.ShouldContain(bug.Id, $"{bug.Id} on {string.Join(", ", tasks.Select(t => t.Text))}");
        }
    }

    [Theory]
    [InlineData("7 + 8", "18 + 7 = 26", "38 + 47 = 86", "28 + 61 = 89", "58 + 27 = 86", "36 + 23 = 59", "128 + 217 = 346", "45 + 31 = 76")]
    [InlineData("15 - 8", "45 - 28 = 18", "75 - 38 = 38", "64 - 23 = 41", "95 - 68 = 28", "83 - 27 = 56", "385 - 128 = 258", "57 - 34 = 23", "72 - 35 = 37", "91 - 46 = 45")]
    [InlineData("7 * 8", "18 * 7 = 124", "28 * 7 = 194", "23 * 3 = 69", "48 * 7 = 334", "36 * 4 = 144", "68 * 7 = 474", "41 * 5 = 205")]
    [InlineData("56 / 8", "-56 / 8 = -6", "56 / -8 = -6", "-56 / -8 = 6", "-5 + 8 = 3", "-6 * 9 = -54", "-24 / 6 = -4", "-36 / 9 = -4")]
    public void A_fact_that_is_wrong_in_the_same_way_again_is_a_fact(string fact, params string[] lines)
    {
        var reading = Read(lines);
        reading.Facts.Single().Fact.ToString().ShouldBe(fact);
        reading.Facts.Single().Items.Count.ShouldBeGreaterThanOrEqualTo(3);
        reading.Outcome.ShouldBe(Outcome.Sound);
    }

    // Inside a product of terms both rules of signs are the same, whatever is multiplied: it is one explanation, and held.
    [Fact]
    public void Rules_that_no_item_tells_apart_are_one_explanation()
    {
        var reading = Read("expand -7x(4x - 8) = -28x^2 - 56x", "expand 5(4x + 6) = 20x + 30", "expand -3(x - 2) = -3x - 6", "expand (x - 3)(x - 4) = x^2 - 7x - 12", "expand 2x(3x + 6) = 6x^2 + 12x",
            "expand -4(x - 5) = -4x - 20", "expand -2x(3x - 1) = -6x^2 - 2x", "expand 4(2x - 3) = 8x - 12", "expand -6(x + 2) = -6x - 12", "expand (x - 2)(x + 5) = x^2 + 3x - 10");
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.NotSeparatedFrom.ShouldBeEmpty();
        Twins.Are(reading.Best.Hypothesis, Hypothesis.Of(Catalogue.Find("expanding.both-minus-minus")!), [ExpandingFamily.Instance]).ShouldBeTrue();
        Twins.Are(reading.Best.Hypothesis, Hypothesis.Of(Catalogue.Find("expanding.first-and-last-only")!), [ExpandingFamily.Instance]).ShouldBeFalse();
    }

    [Fact]
    public void A_mixed_sheet_is_read_as_one_student()
    {
        var reading = Read("604 - 278 = 474", "52 - 38 = 26", "36 + 27 = 63", "58 + 67 = 125", "415 - 203 = 212", "81 - 27 = 66", "145 + 238 = 383");
        reading.Best.Hypothesis.RuleIds.ShouldBe(["subtraction.turns-column-round"]);
        reading.Best.Stands["4"].ShouldBe(Stand.Silent);
        Read("604 - 278 = 474", "52 - 38 = 26", "36 + 27 = 513", "58 + 67 = 1115", "415 - 203 = 212", "81 - 27 = 66", "145 + 238 = 3713")
            .Best.Hypothesis.RuleIds.Order().ShouldBe(["addition.writes-both-digits", "subtraction.turns-column-round"]);
    }
}
