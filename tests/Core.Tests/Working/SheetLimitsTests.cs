using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What is too long, too many or of the wrong kind is refused with its field, and what a person can type is kept.</summary>
public class SheetLimitsTests
{
    private static string Sheet(string items, string more = "") =>
        $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"K-1","items":[{{items}}]{{more}}}""";

    private static string Item(string answer = "\"26\"", string work = "{}", string id = "1", string task = "52 - 38") =>
        $$"""{"id":"{{id}}","task":"{{task}}","answer":{{answer}},"work":{{work}}}""";

    private static SheetFault Fault(string json)
    {
        SheetReader.TryRead(json, out var fault).ShouldBeNull();
        return fault!;
    }

    [Theory]
    [InlineData("""{"rewritten":[]}""", "items[0].work.rewritten")]
    [InlineData("""{"rewritten":{"0":["1","2","3","4","5","6","7","8","9","10","11","12","13"]}}""", "items[0].work.rewritten.0")]
    [InlineData("""{"rewritten":{"0":"123456789012345678901"}}""", "items[0].work.rewritten.0")]
    [InlineData("""{"rewritten":{"99":"1"}}""", "items[0].work.rewritten.99")]
    [InlineData("""{"operands":[{"text":"52"}]}""", "items[0].work.operands[0].lastPlace")]
    [InlineData("""{"operands":[{"text":"52","lastPlace":0.5}]}""", "items[0].work.operands[0].lastPlace")]
    [InlineData("""{"order":7}""", "items[0].work.order")]
    [InlineData("[]", "items[0].work")]
    public void Work_of_the_wrong_shape_is_named(string work, string field) => Fault(Sheet(Item(work: work))).Field.ShouldBe(field);

    [Theory]
    [InlineData("26")]
    [InlineData("true")]
    [InlineData("[\"26\"]")]
    public void An_answer_is_text_or_null(string answer) => Fault(Sheet(Item(answer: answer))).ToString().ShouldBe("items[0].answer: must be text");

    [Fact]
    public void A_sheet_holds_at_most_500_items()
    {
        var many = string.Join(',', Enumerable.Range(1, 501).Select(i => Item(id: i.ToString())));
        Fault(Sheet(many)).ToString().ShouldBe("items: has 501 entries, more than 500");
    }

    [Fact]
    public void A_number_of_more_than_30_digits_is_refused_with_its_position() =>
        Fault(Sheet(Item(task: new string('9', 31) + " - 1"))).ToString().ShouldBe("items[0].task: numbers of more than 30 digits are not read (at character 31)");

    [Fact]
    public void A_number_of_30_digits_is_worked_like_any_other()
    {
        var sheet = SheetReader.TryRead(Sheet(Item(task: new string('9', 30) + " - " + new string('8', 30), answer: "\"" + new string('1', 30) + "\"")), out _)!;
        sheet.Items[0].Task.RightAnswer.ShouldBe(new string('1', 30));
    }

    [Theory]
    [InlineData("[]")]
    [InlineData("\"sheet\"")]
    [InlineData("null")]
    public void A_sheet_is_an_object(string json) => Fault(json).Message.ShouldBe("must be an object");

    [Fact]
    public void Answers_of_every_kind_are_kept_as_written()
    {
        foreach (var answer in new[] { "26", "026", "1,026", " 26 ", "26 r 1", "x = 7", "½", "二十六", "" })
        {
            var sheet = SheetReader.TryRead(Sheet(Item(answer: JsonSerializer.Serialize(answer))), out _)!;
            sheet.Items[0].Answer.ShouldBe(answer);
            SheetReader.TryRead(SheetWriter.Write(sheet), out _)!.Items[0].Answer.ShouldBe(answer);
        }
    }

    [Fact]
    public void Forms_of_a_task_are_kept_and_written_back()
    {
        var sheet = SheetReader.TryRead(Sheet(Item(), ""","predict":[{"task":"958 / 4","form":"decimal"}],"sheet":"Spars","date":"2026-03-09T08:30:00Z" """), out _)!;
        (sheet.Predict[0].Form, sheet.Predict[0].Over, sheet.Predict[0].To).ShouldBe(("decimal", null, null));
        sheet.Date.ShouldBe(new DateOnly(2026, 3, 9));
        SheetWriter.Write(sheet).ShouldContain("""{"task":"958 / 4","form":"decimal"}""");
    }

    [Fact]
    public void A_field_that_is_given_replaces_null_erases_and_what_is_absent_stays()
    {
        var work = """{"order":"both","rewritten":{"0":"12"},"rewrittenBelow":{"1":"2"},"operands":[{"text":"52","lastPlace":0}],"tried":[{"value":"1"}]}""";
        var item = SheetReader.TryRead(Sheet(Item(work: work)), out _)!.Items[0];
        using var typed = JsonDocument.Parse("""{"cells":{"0":"4"},"rewritten":{},"order":null}""");
        var changed = WorkedItemReader.TryRead(item, "14", typed.RootElement, out _)!;
        changed.Answer.ShouldBe("14");
        changed.Work.Has(WorkFields.Order).ShouldBeFalse();
        changed.Work.Get(WorkFields.Cells)!.At(0).ShouldBe(["4"]);
        changed.Work.Get(WorkFields.Operands)!.Count.ShouldBe(1);
        changed.Work.Get(WorkFields.RewrittenBelow)!.At(1).ShouldBe(["2"]);
        changed.Work.Get(WorkFields.Rewritten)!.Places.ShouldBeEmpty();
        changed.Work.Has(WorkFields.Tried).ShouldBeTrue();
    }

    [Fact]
    public void Typing_what_cannot_be_read_says_where()
    {
        var item = SheetReader.TryRead(Sheet(Item()), out _)!.Items[0];
        using var typed = JsonDocument.Parse("""{"cells":{"ones":"4"}}""");
        WorkedItemReader.TryRead(item, "14", typed.RootElement, out var fault).ShouldBeNull();
        fault!.Field.ShouldBe("items[1].work.cells.ones");
        WorkedItemReader.TryRead(item, new string('1', 201), null, out fault).ShouldBeNull();
        fault!.Field.ShouldBe("items[1].answer");
    }
}
