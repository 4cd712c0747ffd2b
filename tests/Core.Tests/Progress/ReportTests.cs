using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Progress;

/// <summary>Reports: short, in plain words, about what was written and what is done.</summary>
public class ReportTests
{
    private static readonly DateOnly Monday = new(2026, 3, 2);

    private static ProgressSeries Series(params int[] followed) => new(
        new CheckResult(Monday, []) { Chances = 5, Followed = 5 }, followed.Select((f, i) => new CheckResult(Monday.AddDays(7 * (i + 1)), []) { Chances = 3, Followed = f, Answered = 6, Right = 6 - f }), Monday);

    public static TheoryData<string> EveryFamily => [.. FamilyList.All.Select(f => f.Name)];

    [Theory]
    [MemberData(nameof(EveryFamily))]
    public void No_report_of_any_bug_has_a_word_that_may_not_stand_in_it(string name)
    {
        var family = FamilyList.All.Single(f => f.Name == name);
        var size = StudentSize.Of(ItemPool.Of(family, 10, seed: 1));
        foreach (var bug in Catalogue.DeclaredFor(family).Take(6))
        {
            var plan = PlanMaker.Make("K", Hypothesis.Of(bug), [], Classroom.Saying(ClassroomWord.Regroup), size);
            foreach (var kind in Enum.GetValues<ReportKind>())
            {
                var report = string.Join('\n', Reports.Of(kind, plan, Series(3, 0, 0), [Monday, Monday.AddDays(2)], Monday.AddDays(35)));
                Reports.UnwantedIn(kind, report).ShouldBeNull(report);
                report.ShouldNotContain("%");
                report.ShouldNotContain("{");
                report.Length.ShouldBeLessThan(1_600);
            }
        }
    }

    [Fact]
    public void The_teachers_report_has_five_lines_with_their_numbers()
    {
        var plan = PlanMaker.Make("K", Hypothesis.Parse("subtraction.turns-column-round")!, [], Classroom.Saying(ClassroomWord.Regroup));
        var lines = Reports.Of(ReportKind.Teacher, plan, Series(3, 1), [Monday, Monday.AddDays(2)], Monday.AddDays(21));
        lines.Count.ShouldBe(5);
        lines[0].ShouldStartWith("What is done: 2 sessions from 2 March 2026 to 4 March 2026 on “which number is taken away”.");
        lines[3].ShouldBe("The word: we say “regroup”.");
        lines[4].ShouldBe("How it stands: in the last check the old rule came at 1 of 3 chances, 5 of 5 where it began. I look again on 23 March 2026.");
        Reports.Of(ReportKind.Family, plan, Series(), [], null).Count.ShouldBe(4);
        Reports.Of(ReportKind.Learner, plan, Series(), [], null)[0].ShouldBe(plan.Script.Aim);
    }

    [Theory]
    [InlineData(ReportKind.Teacher, "She is weak in sums.", "weak")]
    [InlineData(ReportKind.Teacher, "Twice a week we practise.", null)]
    [InlineData(ReportKind.Teacher, "Her IQ is high.", "iq")]
    [InlineData(ReportKind.Teacher, "A unique way.", null)]
    [InlineData(ReportKind.Teacher, "90 % (9 of 10) right", null)]
    [InlineData(ReportKind.Teacher, "90 % right", "%")]
    [InlineData(ReportKind.Family, "90 % (9 of 10) right", "%")]
    [InlineData(ReportKind.Family, "It was a careless mistake.", "careless")]
    public void Words_that_name_the_child_or_a_mark_are_found(ReportKind kind, string text, string? found) => Reports.UnwantedIn(kind, text).ShouldBe(found);
}
