using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Notation;

public class TaskTextTests
{
    [Theory]
    [InlineData("604 - 278", "326")]
    [InlineData(" 1,004−1 ", "1003")]
    [InlineData("007 - 7", "0")]
    [InlineData("20 - 35", "-15")]
    [InlineData("36 + 4+1,200", "1240")]
    [InlineData("99 + 1", "100")]
    [InlineData("100000000000000000000 - 1", "99999999999999999999")]
    [InlineData("47 * 36", "1692")]
    [InlineData("47×36", "1692")]
    [InlineData("958 / 4", "239 r 2")]
    [InlineData("956 ÷ 4", "239")]
    [InlineData("3 / 7", "0 r 3")]
    [InlineData("36.5 + 4.08 + 120", "160.58")]
    [InlineData(".5 + 0.50", "1")]
    [InlineData("3.2 - 4", "-0.8")]
    [InlineData("-2.4 * 0.15", "-0.36")]
    [InlineData("8.164 / 0.26", "31.4")]
    [InlineData("-7 - -4", "-3")]
    [InlineData("-6 * 9", "-54")]
    [InlineData("-24 / 6", "-4")]
    [InlineData("5 + −8", "-3")]
    public void A_task_is_read_with_its_exact_answer(string text, string answer) =>
        TaskText.TryParse(text).Value!.RightAnswer.ShouldBe(answer);

    [Theory]
    [InlineData("47 * 36", "multiplication")]
    [InlineData("958 / 4", "division")]
    [InlineData("36.5 + 4", "decimal-sums")]
    [InlineData("36.5 - 4", "decimal-sums")]
    [InlineData("2 * 0.15", "decimal-products")]
    [InlineData("9 / 0.5", "decimal-division")]
    [InlineData("4.5 / 9", "decimal-division")]
    [InlineData("-4.5 / 9", "decimal-division")]
    [InlineData("4 + -9", "integers")]
    [InlineData("8 - 15", "integers")]
    [InlineData("15 - 8", "subtraction")]
    public void A_task_belongs_to_its_family(string text, string family) => TaskText.TryParse(text).Value!.Family.Name.ShouldBe(family);

    [Theory]
    [InlineData(null, "239 r 2")]
    [InlineData("decimal", "239.5")]
    [InlineData("fraction", "239 1/2")]
    public void The_form_says_what_a_quotient_is_given_as(string? form, string answer)
    {
        var task = TaskText.TryParse("958 / 4", form).Value!;
        task.RightAnswer.ShouldBe(answer);
        task.Judge(answer).ShouldBe(Verdict.Right);
    }

    [Theory]
    [InlineData("958 / 4", null, "239 R2", Verdict.Right)]
    [InlineData("958 / 4", null, "239r2", Verdict.Right)]
    [InlineData("956 / 4", null, "239 r 0", Verdict.Right)]
    [InlineData("958 / 4", null, "239.5", Verdict.Unfinished)]
    [InlineData("958 / 4", "fraction", "239 2/4", Verdict.Unfinished)]
    [InlineData("958 / 4", "fraction", "239 r 2", Verdict.Unfinished)]
    [InlineData("958 / 4", "decimal", "239.50", Verdict.Right)]
    [InlineData("958 / 4", null, "239 r 3", Verdict.Wrong)]
    [InlineData("958 / 4", null, "239", Verdict.Wrong)]
    [InlineData("958 / 4", null, "I don't know", Verdict.Wrong)]
    [InlineData("0.3 + 1", null, "1.30", Verdict.Right)]
    [InlineData("0.4 * 0.5", null, ".2", Verdict.Right)]
    [InlineData("125.5 * 10", null, "1,255", Verdict.Right)]
    [InlineData("-7 - -4", null, "−3", Verdict.Right)]
    [InlineData("-7 - -4", null, "3", Verdict.Wrong)]
    [InlineData("solve 2x = 3", null, "x = 1.5", Verdict.Right)]
    [InlineData("solve 4x = -5", null, "x = -1 1/4", Verdict.Right)]
    [InlineData("solve 4x = 5", null, "1 2/8", Verdict.Unfinished)]
    [InlineData("solve 4x = 5", null, "11/4", Verdict.Wrong)]
    [InlineData("solve 3x = 2", null, "x = 0.67", Verdict.Wrong)]
    [InlineData("1/2 + 1/4", null, "0.75", Verdict.Unfinished)]
    [InlineData("2 1/2 + 1 1/4", null, "3.75", Verdict.Unfinished)]
    [InlineData("1/2 + 1/4", null, "0.57", Verdict.Wrong)]
    public void An_answer_is_judged_by_value_and_form(string text, string? form, string answer, Verdict verdict) =>
        TaskText.TryParse(text, form).Value!.Judge(answer).ShouldBe(verdict);

    [Theory]
    [InlineData("", 0)]
    [InlineData("604 278", 4)]
    [InlineData("604 - ", 6)]
    [InlineData("6o4 - 278", 1)]
    [InlineData("60_4 - 278", 2)]
    [InlineData("604 - 278 - 1", 10)]
    [InlineData("36 + ", 5)]
    [InlineData("36 + 4 - 2", 7)]
    [InlineData("1 + 2 + 3 + 4 + 5 + 6", 20)]
    [InlineData("3/8 * 1/6", 4)]
    [InlineData("3/8 + 1/6 + 1/2", 10)]
    [InlineData("3/8 + -1/6", 6)]
    [InlineData("3/8", 3)]
    [InlineData("1000/8 + 1/2", 0)]
    [InlineData("3.5.1 - 1", 3)]
    [InlineData("12 / 0", 5)]
    [InlineData("1.5 / 0.7", 6)]
    [InlineData("-2.5 + 1", 0)]
    [InlineData("2 * 3 * 4", 6)]
    [InlineData("-1 + -2 + -3", 10)]
    public void What_cannot_be_read_is_refused_with_its_position(string text, int position)
    {
        var parsed = TaskText.TryParse(text);
        parsed.Succeeded.ShouldBeFalse();
        parsed.Fault.Position.ShouldBe(position);
        parsed.Fault.Message.ShouldNotBeEmpty();
    }

    [Fact]
    public void No_text_throws() => Gen.String.Sample(text =>
    {
        var parsed = TaskText.TryParse(text);
        return parsed.Succeeded || (parsed.Fault.Position >= 0 && parsed.Fault.Position <= text.Length);
    }, iter: 20_000);

    [Fact]
    public void Printing_and_reading_again_gives_the_same_task() => Gen.Select(Gen.Int[0, 99999], Gen.Int[0, 99999]).Sample((top, bottom) =>
    {
        var task = ColumnDifference.Of(top, bottom);
        var again = TaskText.TryParse(task.Text).Value!;
        return again.Text == task.Text && again.RightAnswer == (top - bottom).ToString();
    });

    [Theory]
    [InlineData("1,234", "1234")]
    [InlineData("0326", "326")]
    [InlineData("000", "0")]
    [InlineData("−15", "-15")]
    [InlineData("3 remainder", "3 remainder")]
    public void Answers_of_the_same_value_have_one_spelling(string written, string canonical) =>
        ColumnDifference.Of(9, 3).Canonical(written).ShouldBe(canonical);

    [Fact]
    public void Verdicts_tell_blank_unreadable_right_and_wrong()
    {
        var task = ColumnDifference.Of(604, 278);
        task.Judge(null).ShouldBe(Verdict.Blank);
        task.Judge("?").ShouldBe(Verdict.Unreadable);
        task.Judge("0326").ShouldBe(Verdict.Right);
        task.Judge("474").ShouldBe(Verdict.Wrong);
    }

    [Theory]
    [InlineData(0, "ones")]
    [InlineData(3, "thousands")]
    [InlineData(4, "ten thousands")]
    [InlineData(8, "hundred millions")]
    [InlineData(-2, "hundredths")]
    public void Places_have_their_names(int place, string name) => Place.Name(place).ShouldBe(name);

    [Fact]
    public void The_classrooms_word_takes_the_form_the_sentence_needs()
    {
        "{Renaming} is due: {rename}, he {renames}, it was {renamed}.".In(ClassroomWord.Borrow)
            .ShouldBe("Borrowing is due: borrow, he borrows, it was borrowed.");
        "{Rename}".In(ClassroomWord.Exchange).ShouldBe("Exchange");
    }

    [Fact]
    public void Families_have_the_names_of_the_format()
    {
        FamilyList.DecimalSums.Name.ShouldBe("decimal-sums");
        FamilyList.TryParse("mixed-numbers", out var family).ShouldBeTrue();
        family.ShouldBe(FamilyList.MixedNumbers);
    }
}
