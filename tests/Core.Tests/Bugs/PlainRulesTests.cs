using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;

namespace YellowPencil.Core.Tests.Bugs;

/// <summary>The engine beside a second, tiny version of its rules.</summary>
public class PlainRulesTests
{
    private const int Items = 200;

    public static TheoryData<string> Ids => [.. PlainRules.All.Keys];

    [Theory]
    [MemberData(nameof(Ids))]
    public void The_engine_does_what_plain_arithmetic_does(string id)
    {
        var bug = Catalogue.Find(id).ShouldNotBeNull();
        var run = new MethodRun();
        var (compared, different) = (0, new List<string>());
        foreach (var task in ItemPool.Of(bug.Family, Items, seed: 31))
        {
            if (PlainRules.All[id](task) is not { } plain) continue;
            compared++;
            Method.Run(task, run, bug.Alone);
            var answer = run.Page.Answer.ToString();
            if (task.Canonical(answer) != task.Canonical(plain)) different.Add($"{task.Text}: engine {answer}, plain {plain}");
        }

        different.ShouldBeEmpty(bug.Text);
        compared.ShouldBeGreaterThan(Items / 10);
    }

    [Fact]
    public void Sixty_rules_are_compared() => PlainRules.All.Count.ShouldBeGreaterThanOrEqualTo(60);
}
