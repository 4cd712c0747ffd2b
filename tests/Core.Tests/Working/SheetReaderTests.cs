using System.Text.Json;
using CsCheck;
using Json.Schema;
using Shouldly;
using Xunit;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Tests.Working;

public class SheetReaderTests
{
    private const string Small = """
        {"format":"yellow-pencil.worked-sheet","version":1,"student":"K-17","date":"2026-03-09","methods":{"fractions":"least-denominator"},
         "items":[{"id":"a","task":"604 - 278","answer":"0326","work":{"rewritten":{"0":"14","1":["10","9"],"2":"5"},"order":"right-to-left","tried":[1]},"seconds":41.5},
                  {"id":"b","task":"80 - 36","answer":null}],"predict":["52 - 38"]}
        """;

    [Fact]
    public void A_sheet_is_read_as_it_was_written()
    {
        var sheet = Read(Small);
        sheet.Student.ShouldBe("K-17");
        sheet.Date.ShouldBe(new DateOnly(2026, 3, 9));
        sheet.Items[0].Answer.ShouldBe("0326");
        sheet.Items[0].Work.Marks[MarkField.Rewritten].At(1).ShouldBe(["10", "9"]);
        sheet.Items[0].Seconds.ShouldBe(41.5);
        sheet.Items[1].Answer.ShouldBeNull();
        sheet.Predict[0].Task.RightAnswer.ShouldBe("14");
    }

    [Fact]
    public void Writing_and_reading_again_loses_nothing()
    {
        var text = SheetWriter.Write(Read(Small));
        SheetWriter.Write(Read(text)).ShouldBe(text);
        text.ShouldContain("\"tried\":[1]");
        text.ShouldContain("\"1\":[\"10\",\"9\"]");
    }

    [Fact]
    public void An_empty_field_of_marks_stays_apart_from_an_absent_one()
    {
        var sheet = Read(Small.Replace("""{"0":"14","1":["10","9"],"2":"5"}""", "{}", StringComparison.Ordinal));
        sheet.Items[0].Work.Marks[MarkField.Rewritten].Places.ShouldBeEmpty();
        sheet.Items[1].Work.Marks.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("\"version\":1", "\"version\":2", "version")]
    [InlineData("\"student\":\"K-17\"", "\"student\":\"\"", "student")]
    [InlineData("\"student\":\"K-17\",", "", "student")]
    [InlineData("\"id\":\"b\"", "\"id\":\"a\"", "items")]
    [InlineData("80 - 36", "80 * 36", "items[1].task")]
    [InlineData("\"answer\":null", "\"ans\":null", "items[1].answer")]
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

    [Fact]
    public void No_mutated_sheet_throws() => Gen.Select(Gen.Int[0, Small.Length - 1], Gen.Char, Gen.Int[0, 3], Gen.Int[0, 12]).Sample((at, sign, way, length) =>
    {
        var text = way switch
        {
            0 => Small[..at] + sign + Small[(at + 1)..],
            1 => Small[..at] + Small[Math.Min(Small.Length, at + length)..],
            2 => Small[..at] + Small[Math.Max(0, at - length)..],
            _ => Small[..at] + "\\ud800" + Small[at..],
        };
        return SheetReader.TryRead(text, out var fault) is not null || fault!.Message.Length > 0;
    }, iter: 100_000);

    [Fact]
    public void The_published_schema_takes_what_the_product_reads_and_writes()
    {
        var schema = JsonSchema.FromText(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "worked-sheet.schema.json")));
        schema.Evaluate(JsonDocument.Parse(Small).RootElement).IsValid.ShouldBeTrue();
        schema.Evaluate(JsonDocument.Parse(SheetWriter.Write(Read(Small))).RootElement).IsValid.ShouldBeTrue();
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
