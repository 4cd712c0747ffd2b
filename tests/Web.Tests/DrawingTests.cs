using System.Globalization;
using System.Text.Encodings.Web;
using System.Text.Json;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Microsoft.AspNetCore.Html;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Tests;

/// <summary>The drawings of working, square by square: a square is 28 units.</summary>
public class DrawingTests
{
    private static IElement Svg(PagePicture picture)
    {
        using var text = new StringWriter();
        picture.Draw().WriteTo(text, HtmlEncoder.Default);
        return new HtmlParser().ParseDocument(text.ToString()).QuerySelector("svg")!;
    }

    private static WorkedItem Item(string task, string? answer, Work? work = null) => new()
    {
        Id = "1",
        Task = TaskText.TryParse(task).Value!,
        TaskAsWritten = task,
        Answer = answer,
        Work = work ?? Work.None,
    };

    private static string[] Texts(IElement svg, string css) => [.. svg.QuerySelectorAll($"text.{css}").Select(t => t.TextContent)];

    [Fact]
    public void A_blank_item_has_its_digits_in_print_and_a_rule()
    {
        var svg = Svg(PagePicture.Blank(TaskText.TryParse("604 - 78").Value!));
        Texts(svg, "print").ShouldBe(["6", "0", "4", "7", "8", "−"]);
        svg.QuerySelectorAll("line.rule").Length.ShouldBe(1);
        svg.QuerySelectorAll("text.hand").ShouldBeEmpty();
        svg.GetAttribute("aria-label").ShouldBe("604 minus 78");
        (svg.GetAttribute("width"), svg.GetAttribute("height")).ShouldBe(("7rem", "7rem"));
    }

    [Fact]
    public void On_paper_for_the_student_decimals_stand_in_a_line_and_are_not_lined_up_yet()
    {
        var svg = Svg(PagePicture.WithRoom(TaskText.TryParse("4.56 + 3.7").Value!));
        var print = svg.QuerySelectorAll("text.print:not(.point)").ToList();
        print.Select(t => t.TextContent).ShouldBe(["4", "5", "6", "+", "3", "7"]);
        print.Select(t => t.GetAttribute("x")).ShouldBe(["14", "42", "70", "98", "126", "154"]);
        print.Select(t => t.GetAttribute("y")).Distinct().ShouldBe(["14"]);
        svg.QuerySelectorAll("line.rule").ShouldBeEmpty();
        (svg.GetAttribute("width"), svg.GetAttribute("height")).ShouldBe(("12.25rem", "10.5rem"));
    }

    [Fact]
    public void What_was_written_stands_in_the_pencil_hand_under_its_places()
    {
        var svg = Svg(PagePicture.Of(Item("604 - 278", "474")));
        var hand = svg.QuerySelectorAll("text.hand").ToList();
        hand.Select(t => t.TextContent).ShouldBe(["4", "7", "4"]);
        hand.Select(t => t.GetAttribute("x")).ShouldBe(["98", "70", "42"]);
        svg.GetAttribute("aria-label").ShouldBe("604 minus 278; written 474");
    }

    [Fact]
    public void A_struck_digit_keeps_its_place_and_the_new_values_stand_above_it()
    {
        var work = Work.Of([new Mark(WorkFields.Rewritten, new Spot(Place: 2), "5"), new Mark(WorkFields.Rewritten, new Spot(Place: 1), "10"), new Mark(WorkFields.Rewritten, new Spot(Place: 1), "9")], WorkFields.Rewritten);
        var svg = Svg(PagePicture.Of(Item("604 - 278", null, work)));
        Texts(svg, "small").ShouldBe(["10", "9", "5"], ignoreOrder: true);
        svg.QuerySelectorAll("line.strike").Length.ShouldBe(3);
        svg.GetAttribute("aria-label").ShouldBe("604 minus 278; 6 struck out, 5 above; 0 struck out, 10 struck out, 9 above; nothing written");
    }

    [Theory]
    [InlineData("321 - 300", "21")]
    [InlineData("57 - 57", "0")]
    [InlineData("604 - 278", "326")]
    public void A_zero_in_front_of_a_worked_answer_is_not_written(string task, string written)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(TaskText.TryParse(task).Value!, run, DeviationSet.Taught);
        Svg(PagePicture.Of(TaskText.TryParse(task).Value!, run)).QuerySelectorAll("text.hand:not(.small)").OrderBy(t => double.Parse(t.GetAttribute("x")!, System.Globalization.CultureInfo.InvariantCulture))
            .Select(t => t.TextContent).ShouldBe(written.Select(d => d.ToString()));
    }

    [Fact]
    public void Two_digits_in_one_square_are_written_small()
    {
        var svg = Svg(PagePicture.Of(Item("47 - 23", "114", Work.Of([new Mark(WorkFields.Cells, new Spot(Place: 0), "14"), new Mark(WorkFields.Cells, new Spot(Place: 1), "1")], WorkFields.Cells))));
        Texts(svg, "tight").ShouldBe(["14"]);
    }

    [Fact]
    public void The_first_wrong_step_is_circled_where_it_shows()
    {
        var answer = Svg(PagePicture.Of(Item("604 - 278", "474")).WithCircle(new WrongStep("x", WorkFields.Cells, null, 0, "6", "4", "")));
        (answer.QuerySelector("ellipse")!.GetAttribute("cx"), answer.QuerySelector("ellipse")!.GetAttribute("cy")).ShouldBe(("98", "98"));
        var lender = Svg(PagePicture.Of(Item("604 - 278", "426")).WithCircle(new WrongStep("x", WorkFields.Rewritten, null, 2, "5", "no mark", "")));
        (lender.QuerySelector("ellipse")!.GetAttribute("cx"), lender.QuerySelector("ellipse")!.GetAttribute("cy")).ShouldBe(("42", "42"));
        Svg(PagePicture.Of(Item("604 - 278", "326")).WithCircle(null)).QuerySelectorAll("ellipse").ShouldBeEmpty();
    }

    // An answer behind an equals sign is written from the left, however long it is: its last digit is circled, not the square behind it.
    [Theory]
    [InlineData("-7 - -12", "-19", "9")]
    [InlineData("-7 - -12", "5", "5")]
    [InlineData("-6 * 9", "-54", "4")]
    public void The_circle_is_round_the_digit_of_an_answer_in_a_line(string task, string answer, string digit)
    {
        var svg = Svg(PagePicture.Of(Item(task, answer)).WithCircle(new WrongStep("x", WorkFields.Cells, null, 0, "6", digit, "")));
        var circle = svg.QuerySelector("ellipse")!.GetAttribute("cx");
        svg.QuerySelectorAll("text.hand").Single(t => t.GetAttribute("x") == circle).TextContent.ShouldBe(digit);
    }

    [Fact]
    public void A_prediction_is_a_tick_where_it_came_true_and_digits_where_not()
    {
        Texts(Svg(PagePicture.Of(Item("604 - 278", "474")).WithPrediction("474")), "inkmark").ShouldBe(["✓"]);
        Texts(Svg(PagePicture.Of(Item("604 - 278", "326")).WithPrediction("474")), "inkmark").ShouldBe(["4", "7", "4"]);
    }

    [Theory]
    [InlineData("-7 - -12", "-19")]
    [InlineData("5 - -4", "1")]
    [InlineData("604 - 278", "474")]
    [InlineData("4.56 + 3.7", "4.93")]
    public void A_tick_stands_in_the_picture_and_on_no_other_sign(string task, string answer)
    {
        var svg = Svg(PagePicture.Of(Item(task, answer)).WithPrediction(answer));
        var tick = svg.QuerySelectorAll("text").Single(t => t.TextContent == "✓");
        svg.QuerySelectorAll("text").Where(t => t != tick && t.GetAttribute("y") == tick.GetAttribute("y")).ShouldAllBe(t => t.GetAttribute("x") != tick.GetAttribute("x"));
        double.Parse(tick.GetAttribute("x")!, CultureInfo.InvariantCulture).ShouldBeInRange(0, double.Parse(svg.GetAttribute("viewBox")!.Split(' ')[2], CultureInfo.InvariantCulture));
    }

    [Fact]
    public void A_number_in_the_wrong_columns_is_circled_where_it_stands()
    {
        var items = ItemList.TryParse("4.56 + 3.7 = 4.93\n2.75 + 6.4 = 3.39\n5.38 + 2.6 = 5.64\n7.24 + 1.5 = 7.39", null, out _);
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = items });
        var svg = Svg(PagePicture.Of(reading.Items[0].Item).WithReading(reading.Items[0]));
        var circle = svg.QuerySelector("ellipse")!;
        svg.QuerySelectorAll("text.print").Single(t => t.GetAttribute("x") == circle.GetAttribute("cx") && t.GetAttribute("y") == circle.GetAttribute("cy")).TextContent.ShouldBe("7");
    }

    [Fact]
    public void Pictures_in_a_row_can_be_made_the_same_height()
    {
        var plain = Svg(PagePicture.Of(Item("604 - 278", "326")).WithRowBelow(true));
        plain.GetAttribute("height").ShouldBe("8.75rem");
    }

    [Fact]
    public void What_a_student_wrote_cannot_break_out_of_the_drawing()
    {
        var svg = Svg(PagePicture.Of(Item("604 - 278", "\"><b onload=x>")));
        svg.QuerySelectorAll("b").ShouldBeEmpty();
        svg.GetAttribute("aria-label")!.ShouldContain("<b onload=x>");
    }

    [Fact]
    public void A_replay_begins_each_column_on_both_sides_together()
    {
        var sheet = new WorkedSheet { Student = "K", Items = ItemList.TryParse("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66", null, out _) };
        var reading = SheetDiagnosis.Read(sheet);
        var frames = ItemFrames.Of(reading.Items[0], new ProcedureSearch().Find(reading.Items[0].Item, reading.Best), "K", Classroom.Saying(ClassroomWord.Exchange));
        frames.Taught.Count.ShouldBe(frames.Students.Count);
        var tens = frames.Taught.ToList().FindIndex(f => f.Caption.StartsWith("Tens"));
        frames.Students[tens].Caption.ShouldStartWith("Tens");
        frames.Taught.ShouldContain(f => f.Caption == "Ones: 4 is less than 8, so exchange.");
        frames.Students.ShouldContain(f => f.IsDeviant);
        frames.Summary.ShouldBe("Written 474; right is 326. Ones: turns the column round, 8 − 4.");
    }

    [Theory]
    [InlineData("47 * 6 = 242\n38 * 4 = 122\n56 * 7 = 352\n83 * 3 = 249", "42: writes the ones and carries nothing.")]
    [InlineData("856 / 8 = 17\n612 / 3 = 24\n735 / 7 = 15\n846 / 6 = 141", "5 is less than 8: writes nothing in the quotient.")]
    [InlineData("4.56 + 3.7 = 4.93\n12.5 + 0.34 = 1.59\n0.8 + 0.15 = 0.23\n2.5 + 1.2 = 3.7", "Lines decimals up on the right and whole numbers by their points.")]
    [InlineData("-7 - -12 = -19\n4 - -3 = 1\n9 - -2 = 7\n-3 + -4 = -7", "Between the numbers: keeps the sign of the operation only.")]
    public void A_replay_of_any_family_keeps_in_step_and_tells_where_it_goes_another_way(string items, string told)
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = ItemList.TryParse(items, null, out _) });
        var frames = ItemFrames.Of(reading.Items[0], new ProcedureSearch().Find(reading.Items[0].Item, reading.Best), "K", Classroom.Saying(ClassroomWord.Rename));
        frames.Taught.Count.ShouldBe(frames.Students.Count);
        frames.Taught.ShouldAllBe(f => !f.IsDeviant);
        frames.Students.First(f => f.IsDeviant).Caption.ShouldBe(told);
        frames.Students[^1].Caption.ShouldBe($"The answer: {reading.Items[0].Item.Answer!.Replace('-', '−')}.");
        Svg(frames.Students[^1].Picture).GetAttribute("height").ShouldBe(Svg(frames.Taught[0].Picture).GetAttribute("height"));
    }

    // 523 − 168 = 355: the ones become 13, the tens 1 and then 11, the hundreds 4.
    [Theory]
    [InlineData(true, 0)]
    [InlineData(false, 4)]
    public void Marks_that_are_not_on_the_page_are_in_the_readers_ink_in_the_replay(bool areWritten, int inInk)
    {
        Mark[] marks = [new(WorkFields.Rewritten, new Spot(Place: 0), "13"), new(WorkFields.Rewritten, new Spot(Place: 1), "1"), new(WorkFields.Rewritten, new Spot(Place: 1), "11"), new(WorkFields.Rewritten, new Spot(Place: 2), "4")];
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = [Item("523 - 168", "355", areWritten ? Work.Of(marks, WorkFields.Rewritten) : null), Item("86 - 42", "44") with { Id = "2" }, Item("97 - 35", "62") with { Id = "3" }] });
        var frames = ItemFrames.Of(reading.Items[0], new ProcedureSearch().Find(reading.Items[0].Item, reading.Best), "K", Classroom.Saying(ClassroomWord.Rename));
        frames.HasInferred.ShouldBe(!areWritten);
        Svg(frames.Students[^1].Picture).QuerySelectorAll("text.small").Length.ShouldBe(4);
        Svg(frames.Students[^1].Picture).QuerySelectorAll("text.inferred").Length.ShouldBe(inInk);
        Svg(frames.Taught[^1].Picture).QuerySelectorAll("text.inferred").ShouldBeEmpty();
    }

    [Fact]
    public void Lines_that_are_not_on_the_page_are_in_the_readers_ink_in_the_replay()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = ItemList.TryParse("1/2 + 1/3 = 2/5\n3/4 + 1/6 = 4/10\n2/3 + 1/4 = 3/7\n5/6 - 1/4 = 4/2", null, out _) });
        var page = reading.Items[0].Item;
        var answered = PagePicture.Of(page with { Work = Work.Of([new Mark(WorkFields.Lines, new Spot(Line: 0), "3/6 + 2/6"), new Mark(WorkFields.Lines, new Spot(Line: 1), "5/6")], WorkFields.Lines), Answer = "5/6" }).WithInferred(page with { Answer = "5/6" });
        answered.HasInferred.ShouldBeTrue();
        Svg(answered).QuerySelectorAll("text.inferred").Select(t => t.TextContent).ShouldBe(["3", "6", "+", "2", "6"], ignoreOrder: true);
    }

    [Fact]
    public void A_digit_that_lends_three_times_is_struck_out_three_times()
    {
        Mark[] marks = [.. new[] { "4", "3", "2" }.Select(value => new Mark(WorkFields.Rewritten, new Spot(Place: 3), value))];
        var item = Item("5004 - 1678", "2326", Work.Of(marks, WorkFields.Rewritten));
        var svg = Svg(PagePicture.Of(item));
        svg.QuerySelectorAll("text.small").Select(t => t.TextContent).ShouldBe(["4", "3", "2"]);
        svg.QuerySelectorAll(".strike").Length.ShouldBe(3);
        PagePicture.Of(item).Label.ShouldContain("5 struck out, 4 struck out, 3 struck out, 2 above");
        var layout = PageLayout.Of(item.Task);
        layout.Take(item, layout.Put(item)).Work.ShouldBe(item.Work);
    }

    [Theory]
    [InlineData("857 / 24", "35 r 17", "857 divided by 24; written 35 r 17")]
    [InlineData("-7 - -12", "5", "−7 minus −12; written 5")]
    [InlineData("4.6 * 3.7", null, "4.6 times 3.7; nothing written")]
    public void A_screen_reader_is_told_the_task_in_words(string task, string? answer, string label) => PagePicture.Of(Item(task, answer)).Label.ShouldBe(label);

    [Fact]
    public void The_typing_script_gets_digits_by_place_and_versions()
    {
        var work = Work.Of([new Mark(WorkFields.Rewritten, new Spot(Place: 1), "10"), new Mark(WorkFields.Rewritten, new Spot(Place: 1), "9")], WorkFields.Rewritten);
        var sheet = new WorkedSheet { Student = "K", Items = [Item("1,604 - 278", "1326", work)] };
        var page = new Data.StudentPage { Id = Guid.Empty, Content = "{}", ItemVersions = new() { ["1"] = 4 } };
        var json = JsonDocument.Parse(TypingJson.Write(page, sheet, Data.TypingDirection.FromLeft)).RootElement;
        var item = json.GetProperty("items")[0];
        (item.GetProperty("version").GetInt32(), item.GetProperty("spoken").GetString(), item.GetProperty("columns").GetInt32()).ShouldBe((4, "1,604 minus 278", 5));
        item.GetProperty("squares").GetRawText().ShouldBe("""{"above-0":{"1":"10"},"above-1":{"1":"9"},"answer":{"0":"6","1":"2","2":"3","3":"1"}}""");
        item.GetProperty("strips").EnumerateArray().Select(s => s.GetProperty("id").GetString()).ShouldBe(["above-0", "above-1", "above-2", "below-0", "answer"]);
    }
}
