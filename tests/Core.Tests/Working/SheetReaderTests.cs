using System.Text.Json;
using CsCheck;
using Json.Schema;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

public class SheetReaderTests
{
    private const string Small = """
        {"format":"yellow-pencil.worked-sheet","version":1,"student":"K-17","date":"2026-03-09","methods":{"fractions":"least-denominator"},
         "items":[{"id":"a","task":"604 - 278","answer":"0326","work":{"rewritten":{"0":"14","1":["10","9"],"2":"5"},"order":"right-to-left","tried":[{"value":"1"}],"operands":[{"text":"604","lastPlace":0}]},"seconds":41.5},
                  {"id":"b","task":"80 - 36","answer":null}],"predict":["52 - 38"]}
        """;

    [Fact]
    public void A_sheet_is_read_as_it_was_written()
    {
        var sheet = Read(Small);
        sheet.Student.ShouldBe("K-17");
        sheet.Date.ShouldBe(new DateOnly(2026, 3, 9));
        sheet.Items[0].Answer.ShouldBe("0326");
        sheet.Items[0].Work.Get(WorkFields.Rewritten)!.At(1).ShouldBe(["10", "9"]);
        sheet.Items[0].Seconds.ShouldBe(41.5);
        sheet.Items[1].Answer.ShouldBeNull();
        sheet.Predict[0].Task.RightAnswer.ShouldBe("14");
    }

    [Fact]
    public void Writing_and_reading_again_loses_nothing()
    {
        var text = SheetWriter.Write(Read(Small));
        SheetWriter.Write(Read(text)).ShouldBe(text);
        text.ShouldContain("\"tried\":[{\"value\":\"1\"}]");
        text.ShouldContain("\"1\":[\"10\",\"9\"]");
    }

    private const string Rows = """
        {"format":"yellow-pencil.worked-sheet","version":1,"student":"K-17","items":[
        {"id":"a","task":"47 * 36","answer":"1692","work":{"carries":{},"rows":[{"text":"282","carries":{"1":"4"}},{"text":"141","lastPlace":1}]}},
        {"id":"b","task":"958 / 4","form":"fraction","answer":"239 1/2","work":{"steps":[{"quotient":"2","product":"8","difference":"1","broughtDown":"5"},{"quotient":"3","place":"1"}]}},
        {"id":"c","task":"-2.4 * 0.15","answer":"-0.36","work":{"places":"3","sign":"-"}},
        {"id":"d","task":"8.164 / 0.26","answer":"31.4","work":{"scaled":{"divisor":"26","dividend":"816.4"}}},
        {"id":"e","task":"-7 - -4","answer":"-3","work":{"lines":["-7 + 4"]}}]}
        """;

    [Fact]
    public void Rows_steps_and_lines_are_read_and_written_as_they_stand()
    {
        var sheet = Read(Rows);
        sheet.Items[0].Work.Get(WorkFields.Rows)![0].Carries!.At(1).ShouldBe(["4"]);
        sheet.Items[0].Work.Get(WorkFields.Rows)![1].ShouldBe(new PartialProduct("141", null, 1));
        sheet.Items[1].Form.ShouldBe("fraction");
        sheet.Items[1].Work.Get(WorkFields.Cycles)![0].ShouldBe(new DivisionCycle("2", "8", "1", "5"));
        sheet.Items[1].Work.Get(WorkFields.Cycles)![1].Place.ShouldBe(1);
        (sheet.Items[2].Work.Get(WorkFields.Sign), sheet.Items[2].Work.Get(WorkFields.Places)).ShouldBe(("-", "3"));
        sheet.Items[3].Work.Get(WorkFields.Scaled).ShouldBe(new ScaledPair("26", "816.4"));
        sheet.Items[4].Work.Get(WorkFields.Lines).ShouldBe(["-7 + 4"]);
        var text = SheetWriter.Write(sheet);
        SheetWriter.Write(Read(text)).ShouldBe(text);
        text.ShouldBe(Rows.Replace("\n", "", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("{\"text\":\"282\",", "{\"txt\":\"282\",", "items[0].work.rows[0].txt")]
    [InlineData("\"lastPlace\":1", "\"lastPlace\":99", "items[0].work.rows[1].lastPlace")]
    [InlineData("{\"1\":\"4\"}", "{\"one\":\"4\"}", "items[0].work.rows[0].carries.one")]
    [InlineData("\"product\":\"8\"", "\"product\":8", "items[1].work.steps[0].product")]
    [InlineData("\"place\":\"1\"", "\"place\":\"tens\"", "items[1].work.steps[1].place")]
    [InlineData("\"form\":\"fraction\"", "\"form\":\"percent\"", "items[1].form")]
    [InlineData("\"sign\":\"-\"", "\"sign\":[]", "items[2].work.sign")]
    [InlineData("{\"divisor\":\"26\",\"dividend\":\"816.4\"}", "\"26\"", "items[3].work.scaled")]
    [InlineData("[\"-7 + 4\"]", "\"-7 + 4\"", "items[4].work.lines")]
    [InlineData("[\"-7 + 4\"]", "[7]", "items[4].work.lines[0]")]
    public void A_bad_field_of_rows_steps_and_lines_is_named(string good, string bad, string field)
    {
        Rows.ShouldContain(good);
        SheetReader.TryRead(Rows.Replace(good, bad, StringComparison.Ordinal), out var fault).ShouldBeNull();
        fault!.Field.ShouldBe(field);
    }

    [Fact]
    public void An_empty_field_of_marks_stays_apart_from_an_absent_one()
    {
        var sheet = Read(Small.Replace("""{"0":"14","1":["10","9"],"2":"5"}""", "{}", StringComparison.Ordinal));
        sheet.Items[0].Work.Get(WorkFields.Rewritten)!.Places.ShouldBeEmpty();
        sheet.Items[1].Work.IsEmpty.ShouldBeTrue();
    }

    [Theory]
    [InlineData("\"version\":1", "\"version\":2", "version")]
    [InlineData("\"student\":\"K-17\"", "\"student\":\"\"", "student")]
    [InlineData("\"student\":\"K-17\",", "", "student")]
    [InlineData("\"id\":\"b\"", "\"id\":\"a\"", "items")]
    [InlineData("80 - 36", "80 ~ 36", "items[1].task")]
    [InlineData("\"answer\":null", "\"ans\":null", "items[1].ans")]
    [InlineData("\"0\":\"14\"", "\"ones\":\"14\"", "items[0].work.rewritten.ones")]
    [InlineData("\"0\":\"14\"", "\"0\":14", "items[0].work.rewritten.0")]
    [InlineData("right-to-left", "upwards", "items[0].work.order")]
    [InlineData("least-denominator", "any", "methods.fractions")]
    [InlineData("2026-03-09", "9.3.2026", "date")]
    [InlineData("[\"52 - 38\"]", "[7]", "predict[0]")]
    public void A_bad_field_is_named(string good, string bad, string field)
    {
        SheetReader.TryRead(Small.Replace(good, bad, StringComparison.Ordinal), out var fault).ShouldBeNull();
        fault!.Field.ShouldBe(field);
    }

    [Fact]
    public void Text_that_is_not_json_is_named_by_its_line()
    {
        SheetReader.TryRead("{\n\"format\": oops}", out var fault).ShouldBeNull();
        fault!.Line.ShouldBe(2);
    }

    [Theory]
    [InlineData(Small)]
    [InlineData(Rows)]
    public void No_mutated_sheet_throws(string sheet) => Gen.Select(Gen.Int[0, sheet.Length - 1], Gen.Char, Gen.Int[0, 3], Gen.Int[0, 12]).Sample((at, sign, way, length) =>
    {
        var text = way switch
        {
            0 => sheet[..at] + sign + sheet[(at + 1)..],
            1 => sheet[..at] + sheet[Math.Min(sheet.Length, at + length)..],
            2 => sheet[..at] + sheet[Math.Max(0, at - length)..],
            _ => sheet[..at] + "\\ud800" + sheet[at..],
        };
        return SheetReader.TryRead(text, out var fault) is not null || fault!.Message.Length > 0;
    }, iter: 100_000);

    [Fact]
    public void The_published_schema_takes_what_the_product_reads_and_writes()
    {
        var schema = JsonSchema.FromText(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "worked-sheet.schema.json")));
        schema.Evaluate(JsonDocument.Parse(Small).RootElement).IsValid.ShouldBeTrue();
        schema.Evaluate(JsonDocument.Parse(SheetWriter.Write(Read(Small))).RootElement).IsValid.ShouldBeTrue();
        schema.Evaluate(JsonDocument.Parse(Rows).RootElement).IsValid.ShouldBeTrue();
        schema.Evaluate(JsonDocument.Parse(Rows.Replace("\"product\":\"8\"", "\"product\":8", StringComparison.Ordinal)).RootElement).IsValid.ShouldBeFalse();
        schema.Evaluate(JsonDocument.Parse(Small.Replace("\"answer\":null", "\"ans\":null", StringComparison.Ordinal)).RootElement).IsValid.ShouldBeFalse();
        schema.Evaluate(JsonDocument.Parse(Small.Replace("right-to-left", "upwards", StringComparison.Ordinal)).RootElement).IsValid.ShouldBeFalse();
    }

    [Fact]
    public void A_list_of_items_names_the_line_at_fault_and_takes_answers()
    {
        var items = ItemList.TryParse("604 - 278 = 474\n\n80-36\nx - 2\n", null, out var faults);
        items.Select(i => i.Answer).ShouldBe(["474", null]);
        faults.Single().ShouldStartWith("Line 4, “x - 2”");
    }

    private static WorkedSheet Read(string json) => SheetReader.TryRead(json, out var fault) ?? throw new InvalidOperationException(fault!.ToString());
}
