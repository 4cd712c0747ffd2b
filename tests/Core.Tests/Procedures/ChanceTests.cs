using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>A chance is where something else would come out: on the page, as an answer, a mark or a line.</summary>
public class ChanceTests
{
    private const int Items = 40;

    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void No_chance_of_a_listed_bug_changes_nothing(Family family)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        var silent = new SortedDictionary<string, (int Silent, int All, string Example)>();
        foreach (var bug in Catalogue.DeclaredFor(family))
            foreach (var task in ItemPool.Of(family, Items, seed: 21))
            {
                var all = PageOf(task, bug, 0);
                var chances = Math.Min(run.Chances, MethodRun.MaxChances);
                var none = PageOf(task, bug, ulong.MaxValue);
                for (var chance = 0; chance < chances; chance++)
                {
                    var bit = 1UL << chance;
                    var changes = PageOf(task, bug, bit) != all || PageOf(task, bug, ~bit) != none;
                    var (before, count, example) = silent.GetValueOrDefault(bug.Id, (0, 0, ""));
                    silent[bug.Id] = (before + (changes ? 0 : 1), count + 1, changes ? example : $"{task} chance {chance}");
                }
            }

        silent.Where(s => s.Value.Silent > 0).Select(s => $"{s.Key} {s.Value.Silent} of {s.Value.All}, as {s.Value.Example}").ShouldBeEmpty();

        string PageOf(ItemTask task, Bug bug, ulong declined)
        {
            Method.Run(task, run, bug.Alone, declined);
            return $"{run.Page.Answer} {string.Join(' ', run.Page.Marks)}";
        }
    }

    /// <summary>A student who writes 9 is not told to have added.</summary>
    [Theory]
    [MemberData(nameof(Families))]
    public void No_two_choices_at_one_step_are_told_in_the_same_words(Family family)
    {
        var listening = new Listening();
        foreach (var decision in TaughtFamily.Of(family).Decisions) decision.Accept(listening);
        var run = new MethodRun();
        foreach (var task in ItemPool.Of(family, Items, seed: 22))
            foreach (var bug in Catalogue.DeclaredFor(family).Prepend(null))
                Method.Run(task, run, bug?.Alone ?? DeviationSet.Taught, listening);
        listening.Heard.ShouldBeGreaterThan(100);
        listening.Same.ShouldBeEmpty();
    }

    /// <summary>Hears at every decision what each of its choices would be told as.</summary>
    private sealed class Listening : Decider, IDecisionVisitor
    {
        private readonly Dictionary<int, Decider> deciders = [];

        public HashSet<string> Same { get; } = [];

        public int Heard { get; private set; }

        public void Visit<TContext>(Decision<TContext> decision)
            where TContext : struct, IDecisionContext => deciders[decision.Ordinal] = new Ear<TContext>(decision, this);

        public override void Begin()
        {
        }

        public override Decider? At(int ordinal) => deciders.GetValueOrDefault(ordinal);

        private sealed class Ear<TContext>(Decision<TContext> decision, Listening all) : Decider<TContext>
            where TContext : struct, IDecisionContext
        {
            public override void Begin()
            {
            }

            public override Decider? At(int ordinal) => this;

            public override int Decide(in TContext context, int taught, int made)
            {
                var told = new List<string>();
                for (var choice = 0; choice < decision.ChoiceCount; choice++) told.Add(decision.Tell(context, choice));
                all.Heard += told.Count;
                foreach (var twice in told.GroupBy(t => t).Where(t => t.Count() > 1)) all.Same.Add($"{decision.Id}: {twice.Key}");
                return made;
            }
        }
    }
}
