using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>The slips that are looked for against all that there are.</summary>
public class SlipReachTests
{
    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void What_is_not_looked_for_does_not_lead_to_the_answer(Family family)
    {
        var random = new Random(5);
        var bugs = Catalogue.DeclaredFor(family);
        int found = 0, all = 0;
        foreach (var task in ItemPool.Of(family, 30, seed: 13))
        {
            var student = random.Next(2) == 0 ? DeviationSet.Taught : new DeviationSet([bugs[random.Next(bugs.Count)].Deviations]);
            var trace = new MethodRun { Recording = true };
            Method.Run(task, trace, student);
            var alterations = trace.Steps.SelectMany(SlipSearch.Alterations).ToList();
            var answer = Answer(task, student, alterations[random.Next(alterations.Count)].Slip);
            if (answer.Length == 0) continue;
            var item = ItemEvidence.Whole(WorkedItem.Of("1", task) with { Answer = answer });

            var leading = alterations.Where(a => Answer(task, student, a.Slip) == item.Answer).Select(a => a.Slip).ToHashSet();
            var looked = new SlipSearch(new MethodRun()).Explain(item, student).Select(s => s.Slip).ToHashSet();
            looked.IsSubsetOf(leading).ShouldBeTrue(task.Text);
            found += looked.Count;
            all += leading.Count;
        }

        all.ShouldBeGreaterThan(25);
        ((double)found / all).ShouldBeGreaterThan(0.96);
    }

    private static string Answer(ItemTask task, DeviationSet student, Slip slip)
    {
        var run = new MethodRun();
        Method.Run(task, run, student, slip: slip);
        return run.Page.Answer.ToString();
    }
}
