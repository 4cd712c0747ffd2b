using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>Plans for all that the catalogue knows, each from one of three pages of its family.</summary>
public class EveryPlanTests
{
    public static TheoryData<string, int> EveryBug
    {
        get
        {
            var all = new TheoryData<string, int>();
            foreach (var (number, bug) in Catalogue.All.Index()) all.Add(bug.Id, number % PagesOfAFamily);
            return all;
        }
    }

    private const int PagesOfAFamily = 3;

    // Three pages of ten items of each family, as ordinary weeks have them.
    private static readonly Dictionary<Family, List<StudentSize>> Pages =
        FamilyList.All.ToDictionary(f => (Family)f, f => Enumerable.Range(1, PagesOfAFamily).Select(seed => StudentSize.Of(ItemPool.Of(f, 10, seed))).ToList());

    [Theory]
    [MemberData(nameof(EveryBug))]
    public void Every_bug_has_a_whole_plan_whose_claims_are_true(string id, int page)
    {
        var bug = Catalogue.Find(id)!;
        var run = new MethodRun { Recording = true };
        string Answer(ItemTask task)
        {
            Method.Run(task, run, bug.Alone);
            return run.Page.Answer.ToString();
        }

        List<string> Written() => [.. run.Page.Marks.Where(m => m.Field != WorkFields.Operands && m.Field != WorkFields.Order).Select(m => $"{m.Field} {m.At} {m.Text}")];
        List<string> Taught(ItemTask task)
        {
            Method.Run(task, run, new DeviationSet(bug.Alone.School, []));
            return Written();
        }

        var size = Pages[bug.Family][page];
        var plan = PlanMaker.Make("K-17", Hypothesis.Of(bug), [], Classroom.Saying(ClassroomWord.Borrow), size, seed: 12);
        plan.Family.ShouldBe(bug.Family);
        plan.First.Count.ShouldBe(3);
        (plan.Together.Count, plan.Alone.Count, plan.PracticeFirst.Count, plan.PracticeMixed.Count).ShouldBe((2, 3, 6, 6));

        // The old rule gives another answer here, and what stands in the key is what it gives.
        foreach (var item in new[] { plan.Fails, plan.Example, plan.Exit }.Concat(plan.Together).Concat(plan.Alone)) item.Shows.ShouldBeTrue(item.Task.Text);
        List<PlanItem> items = [.. new[] { plan.Fails, plan.Example, plan.Works }.OfType<PlanItem>(), .. plan.Changeable()];
        foreach (var item in items)
        {
            item.Right.ShouldBe(item.Task.RightAnswer, "which TaughtTests work by plain arithmetic");
            if (!bug.IsOpen) item.OldAnswer.ShouldBe(Answer(item.Task), item.Written);
            else if (Answer(item.Task) != item.Right) item.OldAnswers[0].ShouldBe(Answer(item.Task), item.Written);

            // Where the old rule happens to work, it does so because it has nothing to do there, or writes the same from beginning to end, not by two faults that cancel.
            Answer(item.Task);
            if (!item.Shows && run.Chances > 0) Written().ShouldBe(Taught(item.Task), item.Task.Text);
        }

        // On the last item the old rule is right, and a new habit is not.
        if (plan.Guard is { NewHabit: { } newHabit } guard)
        {
            guard.Shows.ShouldBeFalse();
            guard.Task.Judge(newHabit).ShouldBe(Verdict.Wrong, guard.Written);
            PlanText.Markdown(plan).ShouldContain($"{guard.Written} → {guard.RightWritten}; here the old way is right, and a new habit would give {Signs.Printed(newHabit)}.");
        }

        var isSeen = size.Page(bug.Family).Count(t => Answer(t) != t.RightAnswer) > 1;
        if (isSeen)
        {
            items.Select(i => i.Written).ShouldBeUnique();
            plan.PracticeFirst.Count(i => i.Shows).ShouldBeGreaterThanOrEqualTo(5);

            // 2 + 4 beside 2 + -4 is no number with a sign, and easier than any.
            foreach (var item in items.Where(i => i != plan.Works || i.Task.Family == bug.Family)) size.Fits(item.Task).ShouldBeTrue(item.Written);
        }

        // The example goes through the step that the rule gets wrong, and the step is marked.
        Answer(plan.Example.Task);
        run.Followed.ShouldBeGreaterThan(0);
        plan.ExampleSteps[plan.DecidingStep!.Value].ShouldNotStartWith("Check");
        foreach (var step in plan.ExampleSteps) SaidArithmetic.MustBeTrue(step, plan.Example.Written);
        plan.Differs.ShouldStartWith("It is decided by one question: ");
        DiffersInOneThing(plan);
        var text = PlanText.Markdown(plan);
        text.ShouldNotContain("{");
        text.ShouldNotContain("rename", Case.Insensitive);
        System.Text.RegularExpressions.Regex.IsMatch(text, @"(?<![\d./] ?)\b1 (ones|tens|hundreds|thousands|halves|thirds|quarters|wholes|\w+ths)\b").ShouldBeFalse(text);
    }

    // A digit, a sign, a term more or less, the last term of a quadratic, or the number under a root beside the nearest square.
    private static void DiffersInOneThing(RemediationPlan plan)
    {
        if (plan.Works is not { } works) return;
        works.OldAnswer.ShouldBe(works.Right);
        works.Task.Text.ShouldNotMatch(@"(?<![\d.])0\d", "no zero in front");
        var (one, other) = (works.Task.Text, plan.Fails.Task.Text);

        // The larger number stands first where it is taken from.
        if (one.Split(' ') is [var first, var sign, var second] && other.Split(' ') is [var third, var otherSign, var fourth] && (first, second) == (fourth, third) && sign != otherSign) return;
        if (one.StartsWith("sqrt(", StringComparison.Ordinal) && int.TryParse(one[5..^1], out var square) && Math.Sqrt(square) % 1 == 0
            && Math.Abs(Math.Sqrt(double.Parse(other[5..^1], System.Globalization.CultureInfo.InvariantCulture)) - Math.Sqrt(square)) < 1) return;
        var same = one.Zip(other).TakeWhile(c => c.First == c.Second).Count();
        var behind = one.Reverse().Zip(other.Reverse()).Take(Math.Min(one.Length, other.Length) - same).TakeWhile(c => c.First == c.Second).Count();
        string Middle(string text) => text[same..^behind];
        (Middle(one) + Middle(other)).ShouldMatch(@"^.{0,3}$|^ ?[+-]? ?\d*[a-z]?(\^\d)? ?$|^\d* [+-] \d*$|^\d*[a-z]?(\^\d)? [+-] $|^[+-] \d*[+-] \d*$", $"{one} beside {other}");
    }
}
