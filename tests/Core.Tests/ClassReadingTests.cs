using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests;

public class ClassReadingTests
{
    private static readonly string[] Tasks = ["604 - 278", "523 - 168", "80 - 36", "415 - 203", "703 - 245", "952 - 367"];

    private static ClassReading Read(params (string Student, string Answers)[] students) => new([.. students.Select(s => ClassLine.Of(SheetDiagnosis.Read(new WorkedSheet
    {
        Student = s.Student,
        Items = ItemList.TryParse(string.Join('\n', Tasks.Zip(s.Answers.Split(' '), (task, answer) => $"{task} = {(answer == "-" ? "" : answer)}")), null, out _),
    })))]);

    // Two turn columns round, one works as taught, one leaves out all but two items.
    private static ClassReading Four() => Read(
        ("A", "474 445 56 212 542 615"), ("B", "474 445 56 212 542 -"), ("C", "326 355 44 212 458 585"), ("D", "326 - - - 460 -"));

    [Fact]
    public void Students_who_share_a_rule_stand_together_with_their_chances()
    {
        var read = Four();
        read.Students.ShouldBe(4);
        read.Rules.Select(r => r.Rule).ShouldBe(["subtraction.turns-column-round"]);
        read.Rules[0].Students.Select(s => (s.Student, s.Followed.Shown, s.Followed.Chances)).ShouldBe([("A", 9, 9), ("B", 7, 7)]);
        read.Rules[0].Students.ShouldAllBe(s => s.Followed.Probability > 0.8 && s.Followed.Probability <= 1);
    }

    [Fact]
    public void Items_count_right_wrong_and_blank_and_name_who_gave_which_answer_by_which_rule()
    {
        var item = Four().Items[0];
        (item.Task.Text, item.Right, item.Wrong, item.Blank).ShouldBe(("604 - 278", 2, 2, 0));
        var answer = item.Answers.Single();
        (answer.Answer, string.Concat(answer.Students), answer.Rules.Single().Single()).ShouldBe(("474", "AB", "subtraction.turns-column-round"));
        (Four().Items[5].Right, Four().Items[5].Wrong, Four().Items[5].Blank).ShouldBe((1, 1, 2));
        Four().Items.Select(i => i.Task.Text).ShouldBe(Tasks);
    }

    [Fact]
    public void A_rule_names_the_items_on_which_it_led_somebody_astray() => Four().Rules[0].Items.ShouldBe(["1", "2", "3", "5", "6"]);

    [Fact]
    public void An_item_that_nobody_got_right_lies_with_the_class_where_rules_foretell_it_and_else_with_the_item()
    {
        var read = Read(("A", "474 445 56 211 542 615"), ("B", "474 445 56 211 542 615"));
        read.Items.Where(i => i.IsNobodys).Select(i => (i.Id, i.IsTheClass)).ShouldBe([("1", true), ("2", true), ("3", true), ("4", false), ("5", true), ("6", true)]);
        Four().Items.ShouldAllBe(i => !i.IsNobodys);
    }

    [Fact]
    public void A_line_comes_back_from_its_text_as_it_was()
    {
        var line = ClassLine.Of(SheetDiagnosis.Read(new WorkedSheet { Student = "A", Items = ItemList.TryParse("604 - 278 = 474\n523 - 168 = 445\n846 / 4 as a decimal = ?\n80 - 36", null, out _) }));
        var again = ClassLine.Parse(line.Write());
        again.Write().ShouldBe(line.Write());
        again.Cells.Select(c => (c.Id, c.Verdict, c.Wrong)).ShouldBe(line.Cells.Select(c => (c.Id, c.Verdict, c.Wrong)));
        (again.Outcome, again.Cells[2].Form, again.Cells[2].Wrong, again.Cells[0].Rules.Count).ShouldBe((line.Outcome, "decimal", null, line.Cells[0].Rules.Count));
    }

    [Fact]
    public void Who_is_not_clear_is_looked_at_again() => Four().LookAgain.ShouldBe([("D", Outcome.TooFewChances)]);

    [Fact]
    public void The_json_is_that_of_the_format()
    {
        using var json = JsonDocument.Parse(ClassWriter.Write(Four()));
        var root = json.RootElement;
        root.EnumerateObject().Select(p => p.Name).ShouldBe(["format", "version", "students", "rules", "items", "lookAgain"]);
        root.GetProperty("format").GetString().ShouldBe("yellow-pencil.class-reading");
        root.GetProperty("rules")[0].GetProperty("bugs")[0].GetString().ShouldBe("subtraction.turns-column-round");
        root.GetProperty("rules")[0].GetProperty("students")[0].EnumerateObject().Select(p => p.Name).ShouldBe(["student", "probability", "shown", "chances"]);
        root.GetProperty("items")[0].GetProperty("answers")[0].GetRawText().ShouldBe("""{"answer":"474","students":["A","B"],"bugs":[["subtraction.turns-column-round"]]}""");
        root.GetProperty("lookAgain").GetRawText().ShouldBe("""[{"student":"D","why":"too-few-chances"}]""");
    }

    [Fact]
    public void An_empty_class_has_nothing_in_it()
    {
        var none = Read();
        (none.Students, none.Rules.Count, none.Items.Count, none.LookAgain.Count).ShouldBe((0, 0, 0, 0));
        ClassWriter.Text(none).ShouldStartWith("0 students");
    }

    [Fact]
    public void What_is_asked_for_is_part_of_what_an_item_is()
    {
        static ItemTask Over(string? numbers) => TaskText.TryParse("factor x^2 + 8x + 4", new Asked(Over: numbers)).Value!;
        Over("integers").ShouldBe(Over(null));
        Over("reals").ShouldNotBe(Over("integers"));
        TaskText.TryParse("sqrt(31)", new Asked(To: "0.01")).Value.ShouldNotBe(TaskText.TryParse("sqrt(31)", new Asked(To: "0.1")).Value);

        var sheet = new WorkedSheet { Student = "K-1", Items = [WorkedItem.Of("1", Over("reals")) with { Answer = "prime" }, WorkedItem.Of("2", Over("integers")) with { Answer = "prime" }] };
        var line = ClassLine.Parse(ClassLine.Of(SheetDiagnosis.Read(sheet)).Write());
        var items = new ClassReading([line]).Items;
        items.Select(i => (i.Task.Asked.Over, i.Right, i.Wrong)).ShouldBe([("reals", 0, 1), (null, 1, 0)]);
        ItemList.TryParse(ItemList.Written(items[0].Task), null, out _)[0].Task.ShouldBe(items[0].Task);
    }
}
