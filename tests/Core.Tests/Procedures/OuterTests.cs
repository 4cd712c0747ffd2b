using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Parts.Copying;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>How tasks are read and answers written down, and numbers put together from others; worked out by hand.</summary>
public class OuterTests
{
    [Theory]
    [InlineData("12 + 345", nameof(TaskRead.FurtherLeftEach), "12 + 3450")]
    [InlineData("7 + 250 + 13", nameof(TaskRead.TwoLargestOnly), "250 + 13")]
    [InlineData("34 + 5", nameof(TaskRead.FrontDigitRepeated), "34 + 55")]
    [InlineData("34 + 52", nameof(TaskRead.FrontDigitRepeated), null)]
    [InlineData("604 - 27", nameof(TaskRead.InnerZerosOut), "64 - 27")]
    [InlineData("52 - 38", nameof(TaskRead.Exchanged), "38 - 52")]
    [InlineData("120 * 40", nameof(TaskRead.EndZerosOffFirst), "12 * 40")]
    [InlineData("120 * 40", nameof(TaskRead.EndZerosOffEach), "12 * 4")]
    [InlineData("47 * 36", nameof(TaskRead.SecondRoundedToTens), "47 * 40")]
    [InlineData("614 / 7", nameof(TaskRead.FirstDigitOffFirst), "14 / 7")]
    [InlineData("614 / 7", nameof(TaskRead.ReversedFirst), "416 / 7")]
    [InlineData("12 + 3.5", nameof(TaskRead.PointBeforeWhole), "0.12 + 3.5")]
    [InlineData("2.05 + 1.3", nameof(TaskRead.ZerosBehindPointOut), "2.5 + 1.3")]
    [InlineData("2.5 + 1.25", nameof(TaskRead.EvenedUp), "2.50 + 1.25")]
    [InlineData("2.5 + 1.25", nameof(TaskRead.CutToFewestPlaces), "2.5 + 1.2")]
    [InlineData("2.5 * 1.26", nameof(TaskRead.RoundedToWhole), "3 * 1")]
    [InlineData("-3 + -5", nameof(TaskRead.SecondSignOut), "-3 + 5")]
    [InlineData("3 + -5", nameof(TaskRead.FirstSignOut), null)]
    [InlineData("63 + 21", nameof(TaskRead.SixAsNine), "93 + 21")]
    [InlineData("8 / 0.4", nameof(TaskRead.EndZerosOffEach), null)]
    public void A_task_is_read_in_another_way(string task, string way, string? read) =>
        (TaskReading.Read(TaskText.TryParse(task).Value!, Enum.Parse<TaskRead>(way))?.Text).ShouldBe(read, task);

    [Theory]
    [InlineData("52 - 19", "33", nameof(AnswerWritten.Reversed), null)]
    [InlineData("73 - 28", "45", nameof(AnswerWritten.Reversed), "54")]
    [InlineData("362 + 538", "900", nameof(AnswerWritten.Reversed), "9")]
    [InlineData("326 + 677", "1003", nameof(AnswerWritten.InnerZerosOut), "13")]
    [InlineData("362 + 538", "900", nameof(AnswerWritten.EndZerosOut), "9")]
    [InlineData("362 + 538", "900", nameof(AnswerWritten.OneEndZeroFewer), "90")]
    [InlineData("236 / 7", "33 r 5", nameof(AnswerWritten.FilledToFirst), "330 r 5")]
    [InlineData("236 / 7", "33 r 5", nameof(AnswerWritten.RestOut), "33")]
    [InlineData("236 / 7", "33 r 5", nameof(AnswerWritten.RestAppended), "335")]
    [InlineData("236 / 7", "33 r 5", nameof(AnswerWritten.RestFirst), "5 r 33")]
    [InlineData("236 / 7", "33 r 5", nameof(AnswerWritten.QuotientOneMore), "34 r 5")]
    [InlineData("2.5 * 0.4", "1", nameof(AnswerWritten.PointUntilLarger), "10")]
    [InlineData("0.5 / 0.1", "5", nameof(AnswerWritten.PointUntilSmaller), "0.05")]
    [InlineData("1.5 + 2.5", "4", nameof(AnswerWritten.PointOut), null)]
    [InlineData("1.5 + 2.25", "3.75", nameof(AnswerWritten.PointOut), "375")]
    [InlineData("1.5 + 2.25", "3.75", nameof(AnswerWritten.PointOneFurtherLeft), "0.375")]
    [InlineData("1.5 + 2.25", "3.75", nameof(AnswerWritten.RoundedToWhole), "4")]
    [InlineData("4 + -1", "3", nameof(AnswerWritten.OneStepFewer), "4")]
    [InlineData("-17 + -10", "-27", nameof(AnswerWritten.OneStepFewer), "-26")]
    [InlineData("5 + -9", "-4", nameof(AnswerWritten.OneStepMoreAcrossZero), "-5")]
    [InlineData("9 + -4", "5", nameof(AnswerWritten.OneStepMoreAcrossZero), null)]
    [InlineData("5 + -9", "-4", nameof(AnswerWritten.SignOut), "4")]
    public void An_answer_is_written_down_in_another_way(string task, string answer, string way, string? written) =>
        AnswerWriting.Write(TaskText.TryParse(task).Value!, answer, Enum.Parse<AnswerWritten>(way)).ShouldBe(written);

    /// <summary>The second column of 47 + 25 with its carry: 4 and 2 come to 7.</summary>
    [Theory]
    [InlineData("sum", 7)]
    [InlineData("carry", 1)]
    [InlineData("digit-sum", 6)]
    [InlineData("largest-plus-1", 5)]
    [InlineData("largest-twice", 8)]
    [InlineData("largest-at-most-2", 2)]
    [InlineData("smallest-to-ten", 8)]
    [InlineData("largest-apart-smallest", 2)]
    [InlineData("largest-times-smallest", 8)]
    [InlineData("largest-before-smallest", 42)]
    [InlineData("largest-behind-smallest", 24)]
    [InlineData("sum-plus-ones-largest", 1)]
    [InlineData("is-9", 9)]
    public void Numbers_are_put_together_from_those_that_can_be_seen(string made, int expected)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse("47 + 25").Value!, run, new DeviationSet([[AdditionDecisions.Written.FindDeviation("last", made)!.Deviation]]));
        run.Page.Answer.ToString().ShouldBe(expected + "2");
    }

    [Fact]
    public void A_division_looks_for_its_digit_in_the_students_own_table()
    {
        var run = new MethodRun();
        var held = new DeviationSet([[new FactDeviation(new NumberFact(FactKind.Times, 6, 8), 46)]]);
        Method.Run(TaskText.TryParse("47 / 8").Value!, run, held);
        run.Page.Answer.ToString().ShouldBe("6 r 1");
        Method.Run(TaskText.TryParse("45 / 8").Value!, run, held);
        run.Page.Answer.ToString().ShouldBe("5 r 5");
    }
}
