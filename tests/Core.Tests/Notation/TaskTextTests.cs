using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Notation;

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
    public void A_difference_is_read_with_its_exact_answer(string text, string answer) =>
        TaskText.TryParse(text).Value!.RightAnswer.ShouldBe(answer);

    [Theory]
    [InlineData("", 0)]
    [InlineData("604 278", 7)]
    [InlineData("604 - ", 6)]
    [InlineData("6o4 - 278", 0)]
    [InlineData("60_4 - 278", 2)]
    [InlineData("604 - 278 - 1", 10)]
    [InlineData("3.5 - 1", 1)]
    [InlineData("36 + ", 5)]
    [InlineData("36 + 4 - 2", 7)]
    [InlineData("1 + 2 + 3 + 4 + 5 + 6", 19)]
    [InlineData("-5 - 2", 0)]
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
        Family.DecimalSums.Name().ShouldBe("decimal-sums");
        FamilyNames.TryParse("mixed-numbers", out var family).ShouldBeTrue();
        family.ShouldBe(Family.MixedNumbers);
    }
}
