using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>What a student answers who makes one choice in one kind of context: worked by hand from the sentence of the choice.</summary>
public class UnlistedAnswersTests
{
    [Theory]
    // Habits of form: what is written when the factors are known.
    [InlineData("factoring.end/always/solutions", "factor x^2 - x - 30", "x = -5, x = 6")]
    [InlineData("factoring.end/always/solutions", "factor x^2 + 16x + 64", "x = -8")]
    [InlineData("factoring.end/always/solutions", "factor 2x^2 + 7x", "x = -7/2, x = 0")]
    [InlineData("factoring.end/always/numbers-of-brackets", "factor x^2 + 13x + 40", "x = 8, x = 5")]
    [InlineData("factoring.end/always/signs-turned", "factor x^2 - 5x + 6", "(x + 2)(x + 3)")]
    [InlineData("factoring.end/always/front-lost", "factor 2x^2 + 10x + 12", "(x + 2)(x + 3)")]
    [InlineData("factoring.end/always/multiplied-out", "factor x^2 + 5x + 6", "x^2 + 5x + 6")]
    [InlineData("factoring.two-squares/always/sum-as-square", "factor x^2 + 81", "(x + 9)(x + 9)")]
    [InlineData("factoring.two-squares/always/sum-as-difference", "factor x^2 + 25", "(x + 5)(x - 5)")]
    [InlineData("factoring.two-squares/always/difference-as-square", "factor x^2 - 49", "(x - 7)(x - 7)")]
    [InlineData("factoring.two-squares/always/neither-rooted", "factor 4x^2 - 9", "(4x + 9)(4x - 9)")]
    [InlineData("factoring.two-squares/always/last-not-rooted", "factor 4x^2 - 9", "(2x + 9)(2x - 9)")]
    [InlineData("factoring.two-numbers/always/roots-of-ends", "factor 4x^2 + 13x + 9", "(2x + 3)(2x + 3)")]
    [InlineData("factoring.first-number/always/fractions-left", "factor 5n^2 + 2n - 3", "(n + 1)(n - 3/5)")]
    [InlineData("factoring.common-letter/always/nothing-for-one", "factor 12x^2 + 4x", "4x(3x)")]
    [InlineData("roots.around/always/whole-tens", "sqrt(305)", "10.7")]
    [InlineData("roots.way/always/first-guess", "sqrt(14)", "3.8")]
    [InlineData("roots.way/always/squared-in-parts", "sqrt(58)", "7.9")]
    [InlineData("roots.perfect/always/halved", "sqrt(49)", "24.5")]
    [InlineData("roots.number/always/point-put-back", "sqrt(3.6)", "0.6")]
    [InlineData("roots.number/always/zero-put-back", "sqrt(490)", "70")]
    [InlineData("roots.number/always/zero-left-off", "sqrt(810)", "9")]
    [InlineData("equations.solution-written/always/with-remainder", "solve 8x + 6 = 19", "x = 1 r 5")]
    [InlineData("equations.solution-written/always/whole-part", "solve 4x = 11", "x = 2")]
    [InlineData("equations.solution-written/always/not-in-lowest-terms", "solve 6x + 1 = 10", "x = 9/6")]
    [InlineData("equations.solution-written/always/rounded-up", "solve 4x = 9", "x = 3")]
    [InlineData("equations.solution-written/always/rounded-down", "solve 4x = -9", "x = -3")]
    [InlineData("equations.minus-before/always/lost", "solve 3 - 2x = 11", "x = 4")]
    [InlineData("equations.minus-before/one-first/lost", "solve 3 - x = 11", "x = 8")]
    [InlineData("polynomials.power-of-like/power/added", "simplify (2x^2 + x) + (3x^2 + 4x)", "5x^4 + 5x")]
    [InlineData("polynomials.power-of-like/plain-letter/letter-off", "simplify (2x^2 + x) + (3x^2 + 4x)", "5x^2 + 5")]
    [InlineData("equations.number-before/always/denominator-only", "solve 2x/3 = 4", "x = 12")]
    [InlineData("equations.number-before/always/numerator-only", "solve 2x/3 = 4", "x = 2")]
    [InlineData("equations.number-moved/right-divides/after-dividing", "solve 9a - 9 = 72", "a = 17")]
    [InlineData("polynomials.power/always/as-many-times", "simplify (4t - 1) + (3t^2 - t + 7)", "9t + 6")]
    [InlineData("polynomials.power/always/as-letter", "simplify (4t - 1) + (3t^2 - t + 7)", "6t + 6")]
    [InlineData("polynomials.like-terms/bare-taken-away/first-without-letter", "simplify (5x + 2) - (x + 1)", "6")]
    [InlineData("polynomials.bracket-sign/last-of-three/kept", "simplify (2x^2 - 7x + 8) - (2x^2 + x - 1)", "-8x + 7")]
    [InlineData("expanding.product-made/third-term/other-copied", "expand 3(x^2 + 2x + 1)", "3x^2 + 6x + 1")]
    [InlineData("expanding.letters/one-bare/power-stays", "expand x(5x - 6)", "-x")]
    [InlineData("expanding.letters/both-bare/two-of-the-letter", "expand y(y - 7)", "-5y")]
    [InlineData("expanding.square/always/last-doubled-plus", "expand (x - 6)^2", "x^2 - 12x + 12")]
    [InlineData("division.way/always/digits-larger-by-smaller", "258 / 6", "311")]
    [InlineData("division.way/always/digits-rests-added", "958 / 4", "212 r 2")]
    [InlineData("division.bring-down/before-last-of-four/stop", "9584 / 4", "239 r 2")]
    [InlineData("integers.first-sign/minus/turned", "-7 - 4", "3")]
    [InlineData("integers.way/always/zero-changes-nothing", "-7 * 0", "-7")]
    [InlineData("integers.magnitudes/equal-taken-away/subtract", "-6 - 6", "0")]
    [InlineData("decimal-division.parts/always/point-to-the-right", "3.5 / 10", "35")]
    [InlineData("decimal-division.parts/always/two-numbers-by-whole", "9.6 / 4", "2.1")]
    [InlineData("task.reading/always/end-zero-put-back", "340 + 25", "590")]
    [InlineData("subtraction.lender-value/taken-equals-9/two-less", "916 - 490", "326")]
    [InlineData("subtraction.lender-value/short-is-0/unchanged", "350 - 128", "232")]
    [InlineData("division.divisor/always/tens-only", "8086 / 25", "404 r 6")]
    [InlineData("division.divisor/always/next-ten", "300 / 25", "10")]
    [InlineData("division.bring-down/always/last-is-rest", "935 / 9", "10 r 5")]
    [InlineData("division.digit/comes-out-last/one-too-small", "504 / 12", "41 r 12")]
    [InlineData("decimal-sums.parts/always/smaller-behind-point", "50.6 - 33.83", "17.23")]
    [InlineData("answer.writing/always/cut-to-first-places", "52.5 - 36.59", "15.9")]
    [InlineData("answer.writing/always/cut-to-second-places", "52.59 - 36.5", "16")]
    [InlineData("answer.writing/always/cut-to-one-place", "52.59 + 36.52", "89.1")]
    [InlineData("mixed-numbers.improper/always/whole-one-more", "3 1/4 + 2 1/4", "7 1/2")]
    [InlineData("mixed-numbers.improper/always/whole-plus-bottom", "3 1/4 + 2 1/4", "3 1/4")]
    [InlineData("mixed-numbers.improper/always/whole-times-bottom-plus-whole", "3 1/4 + 2 1/4", "6 1/4")]
    [InlineData("mixed-numbers.improper/always/top-times-bottom-plus-whole", "3 2/4 + 2 1/4", "4 1/4")]
    [InlineData("fractions.common/always/sum-below-only", "1/2 + 1/4", "1/2")]
    [InlineData("fractions.common/always/sum-below-only", "2/3 + 1/4", "1 4/7")]
    [InlineData("fractions.common/minus/apart-below-only", "3/5 - 3/7", "3")]
    [InlineData("fractions.common/always/larger-below-only", "2/3 + 1/4", "2 3/4")]
    [InlineData("expanding.brackets/always/product-in-middle", "expand (x + 3)(x + 5)", "x^2 + 15x + 15")]
    [InlineData("expanding.brackets/always/product-twice-in-middle", "expand (x + 3)(x + 4)", "x^2 + 24x + 12")]
    [InlineData("expanding.brackets/always/sum-at-end", "expand (x + 3)(x + 4)", "x^2 + 7x + 7")]
    [InlineData("polynomials.bracket-sign/added-number/turned", "simplify (3x + 1) + (x - 9)", "4x + 10")]
    [InlineData("polynomials.bracket-sign/middle-of-three/kept", "simplify (x^2 + 1) - (x^2 + 2x - 3)", "2x + 4")]
    [InlineData("polynomials.like-terms/different-signs/sizes-added-larger-sign", "expand (x + 6)(x - 4)", "x^2 + 10x - 24")]
    [InlineData("polynomials.like-terms/different-signs/sizes-added-second-sign", "expand (x - 2)(x + 6)", "x^2 - 8x - 12")]
    [InlineData("polynomials.like-terms/different-signs/sizes-apart-smaller-sign", "expand (x - 2)(x + 6)", "x^2 - 4x - 12")]
    [InlineData("roots.way/always/back-over-upper-root", "sqrt(93)", "9.3")]
    [InlineData("roots.way/always/back-over-twice-upper-root", "sqrt(39)", "6.3")]
    [InlineData("roots.way/always/back-over-upper-square", "sqrt(39)", "6.8")]
    public void A_choice_gives_the_answer_worked_by_hand(string rule, string task, string answer)
    {
        var item = TaskText.TryParse(task).Value!;
        var run = new MethodRun();
        Method.Run(item, run, Hypothesis.Parse($"unlisted:{rule}").ShouldNotBeNull(rule).Deviations);
        run.Page.Answer.ToString().ShouldBe(item.Canonical(answer));
        run.Page.Answer.ToString().ShouldNotBe(item.RightAnswer);
    }

    [Theory]
    [InlineData("x=1,x=-2", "x = 1, x = -2")]
    [InlineData("x = 1 or x = -2", "x = 1, x = -2")]
    [InlineData("x = 1; x = −2", "x = 1, x = -2")]
    public void Solutions_that_were_not_asked_for_are_one_answer_however_they_are_set_apart(string written, string answer) =>
        TaskText.TryParse("factor x^2 + x - 2").Value!.Canonical(written).ShouldBe(answer);
}
