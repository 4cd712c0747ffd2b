using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>A reading in words.</summary>
public class ReadingTextTests
{
    private static Reading Read(params string[] lines) =>
        SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = ItemList.TryParse(string.Join('\n', lines), null, out _) });

    [Fact]
    public void A_held_explanation_is_told_with_its_chances_and_steps()
    {
        var text = ReadingText.Write(Read("604 - 278 = 474", "52 - 38 = 26", "415 - 203 = 212", "81 - 27 = 66"), [], ClassroomWord.Borrow);
        text.ShouldStartWith("K-17: A rule was found.");
        text.ShouldContain("Turns the column round wherever the top digit is too small, and takes the top digit from the bottom one. 3 of 3 items, 4 of 4 chances.");
        text.ShouldContain("2. 52 - 38 = 26: wrong, should be 14; Ones: turns the column round, 8 − 2.");
        text.ShouldContain("3. 415 - 203 = 212: right");
    }

    [Fact]
    public void A_summary_is_the_name_of_the_rule_or_the_outcome()
    {
        ReadingText.Summary(Outcome.Bug, "Turns the column round").ShouldBe("Turns the column round");
        ReadingText.Summary(Outcome.TooFewChances, "").ShouldBe("Too little on this page to say; more items are needed.");
        ReadingText.Summary(Outcome.NotToldApart, "Lender stays as it was").ShouldBe("Lender stays as it was, or another: not told apart yet");
    }

    private static string Headline(params string[] lines) =>
        ReadingText.Headline(Read(lines), "Merrin", ClassroomWord.Borrow, e => string.Join(" and ", e.Hypothesis.Bugs.Select(b => b.Name.In(ClassroomWord.Borrow))));

    [Fact]
    public void The_headline_says_in_one_sentence_what_the_student_does()
    {
        Headline("604 - 278 = 474", "52 - 38 = 26", "81 - 27 = 66").ShouldBe("Merrin turns the column round wherever the top digit is too small, and takes the top digit from the bottom one.");
        Headline("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "902 - 456 = 546", "586 - 243 = 343").ShouldStartWith("Merrin follows a rule, and this page cannot tell which: “Lender stays as it was”, or “");
        Headline("86 - 42 = 44").ShouldBe("Merrin has the one item right, on which few rules could have shown.");
        Headline("52 - 38 = 26", "86 - 42 = 44").ShouldBe("Merrin has one wrong item, too little to know why.");
        Headline("604 - 278 = 88888", "523 - 168 = 7777", "80 - 36 = 1", "703 - 245 = 99999", "952 - 367 = 3").ShouldBe("Merrin does something that no rule found fits: items 1, 2, 3, 4 and 5.");
        Headline("604 - 278 = 326", "523 - 168 = 356", "80 - 36 = 44", "415 - 203 = 212", "703 - 245 = 458", "952 - 367 = 575", "500 - 123 = 377", "867 - 452 = 415", "731 - 480 = 251",
            "640 - 58 = 582", "7004 - 1586 = 5418", "340 - 127 = 213").ShouldBe("Merrin works as taught; items 2 and 6 are slips.");
        Headline("60 - 51 = 7", "49 - 43 = 7", "754 - 158 = 7", "88 - 28 = 7", "848 - 379 = 7", "477 - 362 = 7").ShouldBe("Merrin does something that no rule found fits: items 1, 2, 3, 4, 5 and 6.");
        Headline("604 - 278").ShouldBe("Nothing of Merrin’s is typed in that can be read.");
    }

    // Both numerators take the multiplier of the other fraction, and nothing is brought to lowest terms: the first makes the values wrong, the second is form.
    [Fact]
    public void What_makes_values_wrong_is_told_before_what_leaves_another_form() =>
        Headline("2/3 + 1/4 = 10/12", "1/6 + 3/8 = 15/24", "3/4 - 1/6 = 3/12", "5/8 + 1/6 = 23/24", "7/9 - 1/6 = 19/18", "1/4 + 1/4 = 2/4", "3/8 + 1/8 = 4/8", "5/6 + 5/6 = 10/6")
            .ShouldStartWith("Merrin multiplies each numerator by the number that belongs to the other fraction. Also: leaves ");

    // Seven sums: the carry is dropped in 1 to 4 (27+38, 46+37, 58+25, 19+64); four differences: the smaller digit is taken from the larger in 5 to 7, and 8 has no such column.
    [Fact]
    public void Each_of_two_rules_has_its_own_count_and_its_own_items()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "K-17",
            Items = ItemList.TryParse("27 + 38 = 55\n46 + 37 = 73\n58 + 25 = 73\n19 + 64 = 73\n52 - 38 = 26\n81 - 27 = 66\n604 - 278 = 474\n86 - 42 = 44", null, out _),
        });
        var best = reading.Best;
        best.Rules.Count.ShouldBe(2);
        best.Rules.Select(r => (r.CountText, Agrees: string.Join(' ', r.Stands.Where(s => s.Value == Stand.Agrees).Select(s => s.Key).Order()))).OrderBy(r => r.Agrees)
            .ShouldBe([("4 of 4 items", "1 2 3 4"), ("3 of 3 items", "5 6 7")]);
        best.Rules.ShouldAllBe(r => r.Stands["8"] == Stand.Silent);
        best.Text.ShouldContain("4 of 4 items. Also: ");

        // Three of them come to 73, as they should by the rule; what all explanations share is said once.
        PageNotes.For(reading).ShouldNotContain(n => n.Text.Contains("The same answer"));
        ReadingText.Headline(reading, "Merrin", ClassroomWord.Rename, e => string.Join(" and ", e.Hypothesis.Bugs.Select(b => b.Name)))
            .ShouldBe("Merrin follows the rule “Turns the column round” and another one, and this page cannot tell which: “The carry is dropped”, or “The carry is not counted in the last column”.");
    }

    [Fact]
    public void Where_no_explanation_is_likely_enough_to_be_named_none_is() =>
        ReadingText.NotToldApart([], "Merrin", _ => "").ShouldBe("Merrin follows a rule, and this page cannot tell which of many.");

    [Fact]
    public void A_rule_that_alone_is_likely_enough_to_be_named_is_said_to_be_probable()
    {
        var one = SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = ItemList.TryParse("52 - 38 = 26\n81 - 27 = 66\n604 - 278 = 474", null, out _) }).Best with { Probability = 0.73, Alone = 0.648 };
        ReadingText.NotToldApart([one], "Merrin", e => e.Hypothesis.Bugs[0].Name).ShouldBe("Merrin probably follows the rule “Turns the column round” (64 %); this page does not rule out others.");
    }

    [Fact]
    public void One_answer_under_many_items_is_asked_about_where_no_rule_foretells_it()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = ItemList.TryParse("60 - 51 = 7\n49 - 43 = 7\n754 - 158 = 7\n88 - 28 = 7\n848 - 379 = 7\n477 - 362 = 7", null, out _) });
        PageNotes.For(reading).ShouldContain(n => n.Text.StartsWith("The same answer, 7, stands under items 1, 2, 3"));
    }

    // Wrong in every way at once: one answer everywhere, and each answer under another item.
    [Theory]
    [MemberData(nameof(Families))]
    public void Whatever_is_wrong_on_a_page_is_told(Family family)
    {
        foreach (var seed in Enumerable.Range(1, 3))
        {
            var tasks = ItemPool.Of(family, 6, seed);
            foreach (var answers in new[] { tasks.Select(_ => "7"), tasks.Skip(1).Append(tasks[0]).Select(t => t.RightAnswer) })
            {
                var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = [.. tasks.Zip(answers, (task, answer) => WorkedItem.Of(task.Text, task) with { Answer = answer })] });
                ReadingText.Headline(reading, "Merrin", ClassroomWord.Rename, e => $"rule {e.Hypothesis.RuleCount}").ShouldContain("Merrin");
                NextStep.After(reading, NextItems.For(reading)).Why.ShouldEndWith(".");
            }
        }
    }

    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Fact]
    public void Every_rule_of_the_catalogue_makes_a_headline_that_begins_with_the_student()
    {
        var texts = FamilyList.All.SelectMany(Catalogue.DeclaredFor).Select(b => b.Text).ToList();
        texts.Where(t => !ReadingText.BeginsWithDoing(t)).Select(t => t.Split(' ')[0]).Distinct().Order()
            .ShouldBe(["A", "Every", "In", "Products", "Sums", "The", "Where", "With"]);
        texts.Select(t => ReadingText.Doing(t, "Merrin")).Where(t => t.StartsWith("In Merrin’s work, ", StringComparison.Ordinal)).Select(t => t.Split(' ')[3]).Distinct().Order()
            .ShouldBe(["a", "every", "products", "sums", "the", "where"]);
    }

    [Theory]
    [InlineData("Takes two.", "Merrin takes two.")]
    [InlineData("In differences, takes the fractions away and adds the wholes.", "In differences, Merrin takes the fractions away and adds the wholes.")]
    [InlineData("Where more than one zero is passed, the one next to the short column stays at 10.", "In Merrin’s work, where more than one zero is passed, the one next to the short column stays at 10.")]
    [InlineData("A digit that has lent is not renamed again: its column is turned round, unless lending has left it 0.", "In Merrin’s work, a digit that has lent is not renamed again: its column is turned round, unless lending has left it 0.")]
    public void A_rule_is_told_of_the_student_who_does_it(string text, string told) => ReadingText.Doing(text, "Merrin").ShouldBe(told);

    [Fact]
    public void A_rule_of_nobodys_is_named_as_one_that_is_not_in_the_catalogue()
    {
        var reading = Read("52 - 39 = 22", "673 - 194 = 569", "845 - 29 = 825", "761 - 590 = 261", "340 - 19 = 330", "604 - 278 = 326", "523 - 168 = 355", "80 - 36 = 44", "952 - 367 = 585");
        reading.Best.Text.ShouldStartWith("A rule that is not in the catalogue. Writes the top digit when the bottom digit is 9.");
        ReadingText.Headline(reading, "Jory", ClassroomWord.Rename, _ => "").ShouldBe("Jory follows a rule that is not in the catalogue: writes the top digit when the bottom digit is 9.");
    }

    [Fact]
    public void A_slip_is_said_to_be_this_once()
    {
        var reading = Read("604 - 278 = 326", "523 - 168 = 356", "80 - 36 = 44", "415 - 203 = 212", "703 - 245 = 458", "952 - 367 = 585", "500 - 123 = 377", "731 - 480 = 251");
        reading.Items[1].Cause.ShouldBe(Cause.Slip);
        reading.Items[1].FirstWrongStep!.Text.ShouldBe("This once: 13 − 8 = 6");
    }

    [Fact]
    public void What_nothing_explains_says_which_digit_is_wrong()
    {
        var reading = Read("604 - 278 = 88888", "523 - 168 = 7777", "80 - 36 = 1", "703 - 245 = 99999", "952 - 367 = 3");
        reading.Items[0].Cause.ShouldBe(Cause.Unexplained);
        reading.Items[0].FirstWrongStep!.Text.ShouldStartWith("The ones of the answer should be 6");
    }

    [Fact]
    public void An_answer_that_is_no_number_is_wrong_and_kept()
    {
        var reading = Read("52 - 38 = no idea", "604 - 278 = 326");
        reading.Items[0].Verdict.ShouldBe(Verdict.Wrong);
        reading.Items[0].Cause.ShouldBe(Cause.Unexplained);
        reading.Items[0].Item.Answer.ShouldBe("no idea");
    }

    [Fact]
    public void Outcomes_are_spelt_as_in_the_format() =>
        Enum.GetValues<Outcome>().Select(o => Spelling.Of(o)).ShouldBe(["bug", "not-told-apart", "sound", "too-few-chances", "unexplained"]);

    [Fact]
    public void Items_to_ask_next_are_new_ones_and_are_told_in_a_sentence()
    {
        var reading = Read("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "586 - 243 = 343");
        var next = NextItems.For(reading);
        next.Select(n => n.Task.Text).ShouldNotContain(t => reading.Sheet.Items.Any(i => i.Task.Text == t));
        next.Select(n => n.GainBits).ShouldAllBe(g => g > 0 && g < 4);
        ReadingText.AskNext(next).ShouldStartWith("Ask next: ");
        ReadingText.AskNext([]).ShouldBeEmpty();
        NextItems.For(reading).Select(n => n.Task.Text).ShouldBe(next.Select(n => n.Task.Text));
    }
}
