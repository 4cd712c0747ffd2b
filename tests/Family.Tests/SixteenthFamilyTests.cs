using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.FamilyTests;

/// <summary>One family more than the product has: a folder of its own and a line in the list are all that it takes to be set, read and told.</summary>
public class SixteenthFamilyTests
{
    public static TheoryData<string> Bugs => [.. FamilyList.Named("counting").Bugs.Select(b => b.Id)];

    [Fact]
    public void It_is_on_the_list() => FamilyList.All.Count.ShouldBe(16);

    [Theory]
    [InlineData("count 47 on 4", "87")]
    [InlineData("count 185 on 3", "215")]
    [InlineData("count 96 on 1", "106")]
    public void Tasks_are_read_and_worked(string text, string right)
    {
        var task = TaskText.TryParse(text).Value!;
        var run = new MethodRun();
        Method.Run(task, run, DeviationSet.Taught);
        run.Page.Answer.ToString().ShouldBe(right);
        task.RightAnswer.ShouldBe(right);
    }

    [Theory]
    [InlineData("count 47 by 4", "counting on is written with a number and how many tens: count 47 on 4")]
    public void What_is_no_task_is_refused(string text, string message) => TaskText.TryParse(text).Fault.Message.ShouldBe(message);

    [Theory]
    [InlineData("counting.ones-for-tens", "count 47 on 4", "51")]
    [InlineData("counting.both-digits", "count 47 on 4", "91")]
    [InlineData("counting.hundred-kept", "count 185 on 3", "115")]
    [InlineData("counting.start-counted", "count 47 on 4", "77")]
    public void Bugs_answer_as_by_hand(string bug, string text, string answer)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(text).Value!, run, Catalogue.Find(bug)!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Theory]
    [MemberData(nameof(Bugs))]
    public void A_student_is_read_and_foretold(string id)
    {
        var bug = Catalogue.Find(id)!;
        var student = new SimulatedStudent(new Hypothesis([bug], [], []), consistency: 1, slipRate: 0, seed: 4);
        var next = bug.Family is var family ? FamilyList.Named(family.Name).Items(7) : null!;
        List<WorkedItem> items = [.. Enumerable.Range(1, 14).Select(i => student.Write(i.ToString(), next()))];
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "S1", Items = items });
        reading.Explanations[0].Hypothesis.RuleIds.ShouldBe([id]);
        reading.Explanations[0].Probability.ShouldBeGreaterThan(0.9);
    }
}
