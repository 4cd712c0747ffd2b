using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Two rules of one student on one item, worked by hand: each does its part, also where both are about the same two terms or the same step.</summary>
public class RulesTogetherTests
{
    [Theory]
    [InlineData("polynomials.minus-ignored", "polynomials.powers-added-in-sums", "simplify (5x + 4) - (2x + 1)", "7x^2 + 5")]
    [InlineData("polynomials.turned-round-below-nothing", "polynomials.powers-added-in-powers", "simplify (3x^2 + 5) - (7x^2 + 1)", "4x^4 + 4")]
    [InlineData("polynomials.first-minus-kept", "unlisted:polynomials.power-of-like/plain-letter/letter-off", "simplify (-3x + 2) + (7x + 1)", "-7")]
    [InlineData("polynomials.two-minuses-plus", "unlisted:polynomials.power-of-like/both-negative/added", "simplify (-3x + 2) + (-4x + 1)", "7x^2 + 3")]
    [InlineData("equations.minus-of-letter-lost", "equations.whole-part-only", "solve 3 - 2x = 12", "x = 4")]
    [InlineData("equations.minus-of-letter-lost", "equations.solution-not-in-lowest-terms", "solve -4x = 6", "x = 6/4")]
    [InlineData("equations.minus-of-letter-lost", "equations.divided-upside-down", "solve -8x = 4", "x = 2")]
    [InlineData("equations.number-added", "equations.rest-behind-point", "solve 4x + 3 = 6", "x = 2.1")]
    [InlineData("equations.divided-upside-down", "equations.whole-part-only", "solve 7x + 1 = 4", "x = 2")]
    [InlineData("equations.larger-by-smaller", "unlisted:equations.solution-written/always/with-remainder", "solve 7x = 3", "x = 2 r 1")]
    [InlineData("expanding.both-minus-minus", "expanding.letter-doubled", "expand -2x(x - 3)", "-10x")]
    [InlineData("fractions.larger-bottom-taken", "unlisted:fractions.lowest/were-unlike/not-at-all", "1/4 + 1/12", "2/12")]
    [InlineData("fractions.smaller-bottom-taken", "unlisted:fractions.over-one/were-unlike/stays", "2/3 + 5/6", "7/3")]
    public void Each_does_its_part(string one, string other, string task, string answer)
    {
        var item = TaskText.TryParse(task).Value!;
        AnswerOf(item, $"{one}+{other}").ShouldBe(item.Canonical(answer));
    }

    // What holds where the denominators were different leaves the others alone, and the other way round.
    [Theory]
    [InlineData("fractions.lowest/were-unlike/not-at-all", "1/4 + 1/4", "1/2")]
    [InlineData("fractions.lowest/were-unlike/not-at-all", "1/2 + 1/6", "4/6")]
    [InlineData("fractions.lowest/were-like/not-at-all", "1/4 + 1/4", "2/4")]
    [InlineData("fractions.lowest/were-like/not-at-all", "1/2 + 1/6", "2/3")]
    [InlineData("fractions.over-one/were-like/stays", "4/5 + 3/5", "7/5")]
    [InlineData("fractions.over-one/were-like/stays", "1/2 + 5/6", "1 1/3")]
    [InlineData("fractions.lowest/minus/not-at-all", "3/4 - 1/4", "2/4")]
    [InlineData("mixed-numbers.fraction-over/were-unlike/left-as-it-came", "2 4/5 + 1 3/5", "4 2/5")]
    public void A_condition_of_the_item_holds_to_its_last_step(string rule, string task, string answer)
    {
        var item = TaskText.TryParse(task).Value!;
        AnswerOf(item, $"unlisted:{rule}").ShouldBe(item.Canonical(answer));
    }

    private static string AnswerOf(ItemTask item, string rules)
    {
        var run = new MethodRun();
        Method.Run(item, run, Hypothesis.Parse(rules).ShouldNotBeNull(rules).Deviations);
        return run.Page.Answer.ToString();
    }
}
