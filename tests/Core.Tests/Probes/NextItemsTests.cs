using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>What is asked next tells the explanations apart: they answer it otherwise, and the answer moves the odds between them.</summary>
public class NextItemsTests
{
    private const int Students = 20;

    private const int ItemsOnPage = 5;

    /// <summary>By so much an answer moves the odds on average, as a factor.</summary>
    private const double LeastMoved = 3;

    private static readonly Lazy<List<Asked>> All = new(() => [.. FamilyList.All.SelectMany(AskedIn)]);

    private sealed record Asked(Reading Before, NextItem Item, Reading After, IReadOnlyList<string> True, IReadOnlyList<string> Rival);

    [Fact]
    public void Explanations_among_the_likeliest_answer_it_otherwise()
    {
        All.Value.Count.ShouldBeGreaterThan(60);
        foreach (var asked in All.Value) asked.Item.Answers.Select(a => a.Answer).Distinct().Count().ShouldBeGreaterThan(1, asked.Item.Task.Text);
    }

    [Fact]
    public void The_answer_moves_the_odds_between_what_is_true_and_its_likeliest_rival()
    {
        var moved = All.Value.ConvertAll(a => Math.Log(Odds(a.After, a) / Odds(a.Before, a)));
        Math.Exp(moved.Average()).ShouldBeGreaterThan(LeastMoved, $"over {moved.Count} readings");
        moved.Count(m => m < 0).ShouldBeLessThanOrEqualTo(moved.Count / 10, "a rival was right by luck");
    }

    [Fact]
    public void It_is_no_harder_than_the_page_unless_only_a_longer_one_tells()
    {
        var longer = All.Value.Count(a => !StudentSize.Of(a.Before.Sheet.Items.Select(i => i.Task)).Fits(a.Item.Task));
        longer.ShouldBeLessThan(All.Value.Count / 10);
    }

    // Students of one listed bug with a page that leaves open what they do, asked the first item and answering as they do.
    private static IEnumerable<Asked> AskedIn(Family family)
    {
        var pool = ItemPool.Of(family, 200, seed: 17);
        var random = new Random(5);
        var bugs = Catalogue.DeclaredFor(family);
        for (var i = 0; i < Students; i++)
        {
            var bug = bugs[random.Next(bugs.Count)];
            var student = new SimulatedStudent(Hypothesis.Of(bug), 1, 0, i);
            var items = Enumerable.Range(1, ItemsOnPage).Select(at => student.Write($"{at}", pool[random.Next(pool.Count)])).ToList();
            var before = SheetDiagnosis.Read(new WorkedSheet { Student = "N", Items = items });
            if (before.Outcome is not (Outcome.NotToldApart or Outcome.TooFewChances) || NextItems.For(before, 1) is not [var next]) continue;
            string[] truth = [bug.Id];
            if (next.Answers.FirstOrDefault(a => a.Rules.SequenceEqual(truth)) is not { } own || next.Answers.FirstOrDefault(a => a.Answer != own.Answer) is not { } rival) continue;
            var after = SheetDiagnosis.Read(before.Sheet with { Items = [.. items, student.Write("asked", next.Task)] });
            yield return new(before, next, after, truth, rival.Rules);
        }
    }

    // What fell below what is reported counts as just below it.
    private static double Odds(Reading reading, Asked asked) => Of(reading, asked.True) / Of(reading, asked.Rival);

    private static double Of(Reading reading, IReadOnlyList<string> rules) =>
        Math.Max(SheetDiagnosis.Reported, reading.Explanations.FirstOrDefault(e => e.Hypothesis.RuleIds.SequenceEqual(rules))?.Probability ?? 0);
}
