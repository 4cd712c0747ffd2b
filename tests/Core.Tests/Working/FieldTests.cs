using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>Kinds of marks: each is read, written, merged, erased, compared and told by itself.</summary>
public class FieldTests
{
    private static Work Read(string json)
    {
        using var work = JsonDocument.Parse(json);
        return Work.TryRead(work.RootElement, out var fault) ?? throw new InvalidOperationException(fault!.ToString());
    }

    private static WorkedItem Changed(WorkedItem item, string json)
    {
        using var work = JsonDocument.Parse(json);
        return WorkedItemReader.TryRead(item, item.Answer, work.RootElement, out var fault) ?? throw new InvalidOperationException(fault!.ToString());
    }

    [Fact]
    public void The_fields_are_those_of_the_format() => string.Join(' ', WorkFields.All).ShouldBe(
        "between box carries cells cross gap lines multiples operands order places rewritten rewrittenBelow rows scaled sign steps tried");

    public static TheoryData<string, string, string> Values => new()
    {
        { "carries", """{"1":"1","2":["1","2"]}""", "1 carried to the tens; 1 carried to the hundreds; 2 carried to the hundreds" },
        { "cells", """{"0":"11","1":"7"}""", "11; 7" },
        { "rewritten", """{"0":"14"}""", "14 over the ones" },
        { "rewrittenBelow", """{"1":"2"}""", "2 over the bottom tens" },
        { "operands", """[{"text":"36.5","lastPlace":-1}]""", "36.5 with its last digit in the tenths" },
        { "order", "\"both\"", "worked from both ends" },
        { "multiples", """["24","48"]""", "24 in place 1 of the list of multiples; 48 in place 2 of the list of multiples" },
        { "rows", """[{"text":"282","carries":{"1":"4"}},{"text":"141","lastPlace":1}]""", "4 carried to the tens in row 1; 282 in row 1; 141 in row 2, ending in the tens" },
        { "steps", """[{"quotient":"2","product":"8","difference":"1","broughtDown":"5","place":"2"}]""", "2 in the quotient in cycle 1; 8 taken away in cycle 1; 1 left in cycle 1; 5 brought down in cycle 1" },
        { "lines", """["-7 + 4"]""", "the line -7 + 4" },
        { "sign", "\"-\"", "the sign -" },
        { "places", "\"3\"", "3 decimal places" },
        { "scaled", """{"divisor":"26","dividend":"816.4"}""", "divisor 26; dividend 816.4" },
        { "cross", """{"sum":"1"}""", "sum 1" },
        { "gap", """{"middle":"-3","squared":"5","gap":"sqrt(5)"}""", "middle -3; squared 5; gap sqrt(5)" },
        { "between", """["25","36"]""", "lower square 25; upper square 36" },
        { "tried", """[{"value":"5.5"},{"value":"5.6","result":"31.36"}]""", "5.5 tried; 5.6 tried; 31.36 as what it comes to" },
        { "box", """{"top":["y","-6"],"side":["y","9"],"cells":[["y^2","-6y"],["","-54"]]}""", "y along the top of the box; -6 along the top of the box; y at the side of the box; 9 at the side of the box; y^2 in the box; -6y in the box; -54 in the box" },
    };

    [Theory]
    [MemberData(nameof(Values))]
    public void A_field_is_read_told_erased_and_written_as_it_came(string name, string json, string words)
    {
        var field = WorkFields.Find(name)!;
        var work = Read($$"""{"{{name}}":{{json}}}""");
        work.Has(field).ShouldBeTrue();
        string.Join("; ", field.MarksOf(work.ValueOf(field)!)).ShouldBe(words);
        var item = WorkedItem.Of("1", TaskText.TryParse("47 * 36").Value!) with { Answer = "1692", Work = work };
        SheetWriter.Write(new WorkedSheet { Student = "F", Items = [item] }).ShouldContain($$"""
            "work":{"{{name}}":{{json}}}
            """.Trim());
        Changed(item, $$"""{"{{name}}":null}""").Work.IsEmpty.ShouldBeTrue();
        Changed(item, "{}").Work.Has(field).ShouldBeTrue();
        work.Without(field).IsEmpty.ShouldBeTrue();
        work.Has(field).ShouldBeTrue();
    }

    [Fact]
    public void A_change_replaces_what_it_names_and_leaves_the_rest()
    {
        var item = WorkedItem.Of("1", TaskText.TryParse("47 * 36").Value!) with { Answer = "1692", Work = Read("""{"rows":[{"text":"282"}],"sign":"-","carries":{"1":"1"}}""") };
        var changed = Changed(item, """{"rows":[{"text":"281"}],"sign":null,"carries":{}}""").Work;
        changed.Get(WorkFields.Rows)!.Single().Text.ShouldBe("281");
        changed.Has(WorkFields.Sign).ShouldBeFalse();
        changed.Get(WorkFields.Carries)!.Places.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("""{"rows":[{"text":"282"}]}""", "rows", 0, null, true)]
    [InlineData("""{"rows":[{"text":"282"}]}""", "rows", 1, 1, false)]
    [InlineData("""{"rows":[{"text":"282","carries":{}}]}""", "rows", 1, 1, true)]
    [InlineData("""{"steps":[{"quotient":"2"}]}""", "steps", 0, 2, true)]
    [InlineData("""{"steps":[{"quotient":"2"}]}""", "steps", 1, 2, false)]
    [InlineData("""{"scaled":{"divisor":"26"}}""", "scaled", 1, null, false)]
    [InlineData("""{"carries":{}}""", "carries", 0, 1, true)]
    [InlineData("""{"carries":{}}""", "rewritten", 0, 1, false)]
    public void What_was_not_recorded_says_nothing(string json, string field, int part, int? place, bool records) =>
        Read(json).Records(WorkFields.Find(field)!, new Spot(0, place, part)).ShouldBe(records);

    [Theory]
    [InlineData("""{"1":"1","2":"2"}""", 2, 0, 0, 0)]
    [InlineData("""{"1":"1"}""", 1, 0, 1, 0)]
    [InlineData("""{"1":"3","2":"2"}""", 1, 1, 0, 0)]
    [InlineData("""{"1":"1","2":"2","3":"1"}""", 2, 0, 0, 1)]
    [InlineData("{}", 0, 0, 2, 0)]
    public void Marks_are_the_same_different_missing_or_extra(string carries, int same, int differ, int missing, int extra)
    {
        // 386 + 75 + 94 = 555: 15 carries 1 into the tens, 25 carries 2 into the hundreds.
        var run = new MethodRun { Page = { KeepsMarks = true } };
        var task = TaskText.TryParse("386 + 75 + 94").Value!;
        Method.Run(task, run, DeviationSet.Taught);
        var item = WorkedItem.Of("1", task) with { Answer = "555", Work = Read($$"""{"carries":{{carries}}}""") };
        ItemEvidence.Whole(item).MarkMatches(run.Page.Marks).ShouldBe([new FieldMatch(same, differ, missing, extra)]);
    }

    [Theory]
    [InlineData("rows", "1410", "141", 0)]
    [InlineData("rows", "1410", "1310", 2)]
    [InlineData("rows", "282", "2820", 0)]
    public void A_row_differs_first_in_the_column_of_a_digit(string field, string due, string written, int place) =>
        WorkFields.Find(field)!.FirstDifference(new Spot(1, 0), due, written).ShouldBe(place);

    private static WrongStep FirstWrong(string task, string answer, string work, params string[] bugs)
    {
        var item = WorkedItem.Of("1", TaskText.TryParse(task).Value!) with { Answer = answer, Work = Read(work) };
        var evidence = ItemEvidence.Whole(item);
        var sheet = new SheetLikelihood([evidence], [.. bugs.Select(b => Catalogue.Find(b)!)], []);
        var candidate = sheet.Rough(new Hypothesis([.. bugs.Select(b => Catalogue.Find(b)!)], [], []));
        var trusted = new Trusted([new Share(candidate, 1)], 0, 0);
        return new ItemReader(sheet, trusted.Candidates, Told.Of(trusted, sheet)).Read([item])[0].FirstWrongStep!;
    }

    [Theory]
    [InlineData("47 * 36", "423", """{"rows":[{"text":"282"},{"text":"141"}]}""", "multiplication.placeholder-missing", 2, 0, "1410 in row 2", "141 in row 2")]
    [InlineData("612 / 6", "12", """{"steps":[{"quotient":"1","product":"6","difference":"0","broughtDown":"1"},{"quotient":"2","product":"12","difference":"0"}]}""", "division.zero-left-out", 2, 1, "0 in the quotient in cycle 2", "2 in the quotient in cycle 2")]
    [InlineData("47 + 25", "62", """{"carries":{}}""", "addition.carry-dropped", null, 1, "1 carried to the tens", "no mark")]
    [InlineData("36.5 + 4.08", "7.73", """{"operands":[{"text":"36.5","lastPlace":-1},{"text":"4.08","lastPlace":-1}]}""", "decimal-sums.right-ends-lined-up", 2, -2, "4.08 with its last digit in the hundredths", "4.08 with its last digit in the tenths")]
    public void The_first_wrong_step_points_at_row_and_place(string task, string answer, string work, string bug, int? row, int? place, string expected, string written)
    {
        var step = FirstWrong(task, answer, work, bug);
        (step.Row, step.Place, step.Expected, step.Written).ShouldBe((row, place, expected, written));
    }

    [Theory]
    [InlineData("3.2 * 1.4 = 44.8", -2)]
    [InlineData("3.2 * 1.4 = 0.448", 0)]
    [InlineData("8.164 / 0.26 = 0.314", 1)]
    [InlineData("12.5 + 3.25 = 1575", -3)]
    public void A_point_in_the_wrong_place_is_told_by_the_place_before_which_it_stands(string line, int place)
    {
        var sheet = new WorkedSheet { Student = "P", Items = ItemList.TryParse(line, null, out _) };
        var step = SheetDiagnosis.Read(sheet).Items[0].FirstWrongStep!;
        (step.Row, step.Place).ShouldBe((null, place));
    }
}
