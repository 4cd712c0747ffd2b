using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Progress;

/// <summary>Checks: short forms with other numbers that ask the same, and what comes of them.</summary>
public class CheckFormTests
{
    public static TheoryData<string> EveryFamily => [.. FamilyList.All.Select(f => f.Name)];

    private static (RemediationPlan Plan, Hypothesis Rule, StudentSize Size) Planned(string rule, params string[] page)
    {
        var (hypothesis, size) = (Hypothesis.Parse(rule)!, StudentSize.Of(page.Select(t => TaskText.TryParse(t).Value!)));
        return (PlanMaker.Make("K", hypothesis, [], Classroom.Saying(ClassroomWord.Rename), size), hypothesis, size);
    }

    [Theory]
    [MemberData(nameof(EveryFamily))]
    public void Four_forms_of_a_plan_ask_the_same_with_other_numbers(string name)
    {
        var family = FamilyList.All.Single(f => f.Name == name);
        var size = StudentSize.Of(ItemPool.Of(family, 10, seed: 1));
        foreach (var bug in Catalogue.DeclaredFor(family).Take(2))
        {
            var hypothesis = Hypothesis.Of(bug);
            var plan = PlanMaker.Make("K", hypothesis, [], Classroom.Saying(ClassroomWord.Rename), size);
            var used = new HashSet<string>();
            for (var number = 1; number <= 4; number++)
            {
                var form = CheckForm.Make(plan, hypothesis, [], size, number, seed: 3, used)!;
                form.Items.Count.ShouldBeInRange(4, 6);
                form.Items.Count(i => i.Part == CheckPart.Shows).ShouldBeInRange(3, 4);
                foreach (var item in form.Items) item.Item.Shows.ShouldBe(item.Part == CheckPart.Shows, item.Item.Written);
                var written = form.Items.Select(i => i.Item.Written).ToList();
                written.ShouldBeUnique();
                if (number < 3 && name != "roots") written.ShouldAllBe(w => !used.Contains(w), bug.Id);
                used.UnionWith(written);

                // A student of the rule follows it at every chance and is right else; one without rules never does.
                var old = form.Judge(new DateOnly(2026, 3, 9), [.. form.Items.Select(i => i.Item.OldAnswer.Length == 0 ? null : i.Item.OldAnswer)]);
                old.Followed.ShouldBe(old.Chances);
                var right = form.Judge(new DateOnly(2026, 3, 9), [.. form.Items.Select(i => i.Item.Right)]);
                (right.Followed, right.Right, right.SignsRight).ShouldBe((0, form.Items.Count, right.Signs));
            }
        }
    }

    [Fact]
    public void Answers_are_right_the_old_rule_another_or_open()
    {
        var (plan, rule, size) = Planned("subtraction.turns-column-round", "604 - 278", "523 - 168", "80 - 36", "415 - 203", "703 - 245", "952 - 367");
        var form = CheckForm.Make(plan, rule, [], size, 1, 3, new HashSet<string>())!;
        form.Items.Select(i => i.Part).ShouldBe([CheckPart.Shows, CheckPart.RightByLuck, CheckPart.Shows, CheckPart.RightByLuck, CheckPart.Shows, CheckPart.NewHabit]);
        var answers = form.Items.Select(i => (string?)i.Item.Right).ToArray();
        (answers[0], answers[2], answers[5]) = (form.Items[0].Item.OldAnswer, null, form.Items[5].Item.NewHabit);
        var result = CheckForm.Read(form.Write(), form.Items.Select(i => i.Item.Task)).Judge(new DateOnly(2026, 3, 9), answers);
        result.Items.Select(i => i.Outcome).ShouldBe([CheckOutcome.OldRule, CheckOutcome.Right, CheckOutcome.Open, CheckOutcome.Right, CheckOutcome.Right, CheckOutcome.Other]);
        (result.Chances, result.Followed, result.Answered, result.Right, result.ShowsNewHabit).ShouldBe((2, 1, 5, 3, true));
        result.Level.ShouldBe(0.5);

        // Another wrong answer to the last item is no new habit.
        CheckForm.Read(form.Write(), form.Items.Select(i => i.Item.Task)).Judge(new DateOnly(2026, 3, 9), [.. answers.SkipLast(1), "0"]).ShowsNewHabit.ShouldBeFalse();
        Should.Throw<ArgumentException>(() => form.Judge(new DateOnly(2026, 3, 9), ["1"]));
    }

    [Fact]
    public void Signs_that_stand_in_the_answer_in_their_order_are_counted()
    {
        var item = new PlanItem(TaskText.TryParse("604 - 278").Value!, "474");
        CheckResult Answered(string answer) => new CheckForm([new CheckItem(CheckPart.Shows, item)]).Judge(new DateOnly(2026, 3, 9), [answer]);
        (Answered("326").Signs, Answered("326").SignsRight).ShouldBe((3, 3));
        Answered("336").SignsRight.ShouldBe(2); // 3 and 6
        Answered("474").SignsRight.ShouldBe(0);
    }
}
