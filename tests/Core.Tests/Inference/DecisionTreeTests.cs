using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>A rule that is followed on recorded ways comes to what a student comes to who has it.</summary>
public class DecisionTreeTests
{
    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void Following_a_rule_is_having_it(Family family)
    {
        var rules = new EveryLength(7);
        foreach (var point in TaughtFamily.Of(family).Decisions) point.Accept(rules);
        rules.Found.Count.ShouldBeGreaterThan(60);
        foreach (var bugs in new Bug[][] { [], [Catalogue.DeclaredFor(family)[3]] })
            foreach (var wrong in new[] { false, true }) Compare(family, rules.Found, new Hypothesis(bugs, [], []), wrong);
    }

    /// <summary>Rules in any order on the same trees, so that later ones go along ways that earlier ones left; now and then with chances declined.</summary>
    private static void Compare(Family family, List<UnlistedDeviation> rules, Hypothesis student, bool wrong)
    {
        var items = ItemPool.Of(family, 6, seed: 31).Select((task, i) => ItemEvidence.Of(WorkedItem.Of($"{i}", task) with { Answer = wrong ? Other(task, rules, i) : task.RightAnswer }, i, [School.Usual]).Single()).ToList();
        var trees = new StudentTrees(items, student.Deviations, new MethodRun());
        var (random, run, met) = (new Random(5), new MethodRun(), 0);
        for (var i = 0; i < 1_500; i++)
        {
            var (rule, item) = (rules[random.Next(rules.Count)], items[random.Next(items.Count)]);
            var declined = random.Next(3) == 0 ? (ulong)random.Next(4) : 0;
            if (student.RuleCount > 0) declined = 0;
            var way = trees.Follow(rule, item, declined);
            var with = student.With(rule);
            Method.Run(item.Task, run, with.Deviations, declined);
            run.Page.Answer.SequenceEqual(item.Answer).ShouldBe(way?.End.IsMet ?? Plain(student, item), $"{rule.Id} on {item.Task} = {item.Answer}");
            (way?.Chances ?? 0).ShouldBe(run.ChancesOf(0), $"{rule.Id} on {item.Task}");
            (way?.Followed ?? 0).ShouldBe(run.FollowedOf(0), $"{rule.Id} on {item.Task}");
            if (way is { Followed: > 0, End.IsMet: true } && wrong) met++;
        }

        if (wrong) met.ShouldBeGreaterThan(0);
    }

    // The answer that some rule gives, so that there is something to be met.
    private static string Other(ItemTask task, List<UnlistedDeviation> rules, int number)
    {
        var run = new MethodRun();
        for (var i = 0; i < rules.Count; i++)
        {
            Method.Run(task, run, new DeviationSet([[rules[(37 * number + i) % rules.Count].Deviation]]));
            if (!run.Page.Answer.IsEmpty && !run.Page.Answer.SequenceEqual(task.RightAnswer)) return run.Page.Answer.ToString();
        }

        return "1";
    }

    private static bool Plain(Hypothesis student, ItemEvidence item)
    {
        var run = new MethodRun();
        Method.Run(item.Task, run, student.Deviations);
        return run.Page.Answer.SequenceEqual(item.Answer);
    }

    /// <summary>Some rules of every length at every point.</summary>
    private sealed class EveryLength(int seed) : IDecisionVisitor
    {
        private readonly Random random = new(seed);

        public List<UnlistedDeviation> Found { get; } = [];

        public void Visit<TContext>(Decision<TContext> point)
            where TContext : struct, IDecisionContext
        {
            foreach (var length in Enum.GetValues<RuleLength>())
            {
                var kinds = point.AllKinds.Of(length);
                for (var i = 0; kinds.Length > 0 && i < 4; i++)
                {
                    var rule = point.Unlisted(point.AllKinds.KindOf(kinds[random.Next(kinds.Length)]), point.Options[random.Next(point.Options.Count)]);
                    Found.Add(rule);
                    var again = UnlistedRules.Find(rule.Id).ShouldNotBeNull(rule.Id);
                    (again.Id, again.Text, again.Length).ShouldBe((rule.Id, rule.Text, rule.Length));
                }
            }
        }
    }
}
