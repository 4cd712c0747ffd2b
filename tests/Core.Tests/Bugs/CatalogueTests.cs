using Shouldly;
using Xunit;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Tests.Bugs;

public class CatalogueTests
{
    private static readonly IReadOnlyList<ItemTask> Pool = ItemPool.Of(Family.Subtraction, 500, seed: 11);

    private static string[] AnswersOf(Bug? bug)
    {
        var run = new MethodRun();
        var set = bug is null ? DeviationSet.Taught : new DeviationSet([bug.Deviations]);
        return [.. Pool.Select(task =>
        {
            Method.Run(task, run, set);
            return run.Answer.ToString();
        })];
    }

    [Fact]
    public void No_two_bugs_give_the_same_answers_over_500_tasks()
    {
        var answers = Catalogue.Of(Family.Subtraction).Select(b => (b.Id, Answers: AnswersOf(b))).ToList();
        var same = from a in answers
                   from b in answers
                   where string.CompareOrdinal(a.Id, b.Id) < 0 && a.Answers.SequenceEqual(b.Answers)
                   select $"{a.Id} = {b.Id}";
        same.ShouldBeEmpty();
    }

    [Fact]
    public void Every_bug_changes_an_answer()
    {
        var right = AnswersOf(null);
        Catalogue.Of(Family.Subtraction).Where(b => AnswersOf(b).SequenceEqual(right)).Select(b => b.Id).ShouldBeEmpty();
    }

    [Fact]
    public void Every_bug_is_reached_on_at_least_three_tasks()
    {
        var right = AnswersOf(null);
        Catalogue.Of(Family.Subtraction)
            .Select(b => (b.Id, Shown: AnswersOf(b).Zip(right).Count(p => p.First != p.Second)))
            .Where(b => b.Shown < 3).ShouldBeEmpty();
    }

    [Fact]
    public void Subtraction_has_at_least_45_bugs_each_with_its_words()
    {
        var bugs = Catalogue.Of(Family.Subtraction);
        bugs.Count.ShouldBeGreaterThanOrEqualTo(45);
        bugs.Select(b => b.Id).ShouldBeUnique();
        foreach (var bug in bugs)
        {
            bug.Text.ShouldEndWith(".");
            bug.Reason.Length.ShouldBeGreaterThan(20);
            bug.Decision.Id.ShouldStartWith("subtraction.");
        }
    }

    [Fact]
    public void The_published_list_is_the_catalogue() =>
        File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "bugs.md")).ShouldBe(CatalogueText.Markdown(), "run: dotnet run --project bench/YellowPencil.Bench catalogue");
}
