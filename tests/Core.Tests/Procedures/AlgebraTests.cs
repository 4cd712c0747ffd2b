using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>Polynomials and products: what is read, what goes wrong, exact throughout.</summary>
public sealed class AlgebraTests
{
    // Each answer by hand, as the sentence of the rule says.
    [Theory]
    [InlineData("polynomials.minus-ignored", "simplify (5x + 4) - (2x + 1)", "7x + 5")]
    [InlineData("polynomials.minus-first-term-only", "simplify (5x + 4) - (2x + 1)", "3x + 5")]
    [InlineData("polynomials.only-seen-signs-turned", "simplify (5x + 4) - (2x + 1)", "7x + 3")]
    [InlineData("polynomials.negatives-stay-negative", "simplify (5x + 4) - (2x - 1)", "3x + 3")]
    [InlineData("polynomials.brought-down", "simplify (5x^2 + 4) - (2x + 1)", "5x^2 + 2x + 3")]
    [InlineData("polynomials.minus-stays", "simplify (4x - 3) - (4x + 1) + (2x + 3)", "-2x - 7")]
    [InlineData("polynomials.first-bracket-turned", "simplify (8y^2 - 1) - (6y + 1)", "-8y^2 - 6y")]
    [InlineData("polynomials.brackets-exchanged", "simplify (8x - 1) - (3x + 1)", "-5x + 2")]
    [InlineData("polynomials.sizes-added", "simplify (-3x + 1) + (5x + 1)", "-8x + 2")]
    [InlineData("polynomials.different-signs-minus", "simplify (7x + 1) + (-3x + 1)", "-4x + 2")]
    [InlineData("polynomials.powers-added-in-sums", "simplify (3x + 1) + (2x + 1)", "5x^2 + 2")]
    [InlineData("polynomials.bare-letter-multiplies", "simplify (x + 1) + (4x + 1)", "4x^2 + 2")]
    [InlineData("polynomials.alone-dropped", "simplify (3y^2 + 5y) + (y^2 - 7)", "4y^2")]
    [InlineData("polynomials.one-left-written-1", "simplify (5x + 2) - (4x + 1)", "2")]
    [InlineData("polynomials.all-joined", "simplify (2x^2 + 5x) + (x^2 - 2)", "6x^2")]
    [InlineData("polynomials.all-joined-powers", "simplify (x^2 + 5x) + (2x^2)", "8x^3")]
    [InlineData("polynomials.letter-and-number-joined", "simplify (2x + 3) + (3x + 1)", "9x")]
    [InlineData("expanding.first-term-only", "expand 3x(2x - 7)", "6x^2 - 7")]
    [InlineData("expanding.first-and-last-only", "expand (x + 3)(x + 5)", "x^2 + 15")]
    [InlineData("expanding.second-copied", "expand (y + 5)(3y - 9)", "3y^2 - 9y + 5")]
    [InlineData("expanding.outer-left-out", "expand (x + 9)(x - 9)", "x^2 + 9x - 81")]
    [InlineData("expanding.inner-left-out", "expand (x - 8)(x + 6)", "x^2 + 6x - 48")]
    [InlineData("expanding.conjugate-plus", "expand (2y + 9)(2y - 9)", "4y^2 + 81")]
    [InlineData("expanding.middle-of-plain-numbers", "expand (4y - 3)(2y - 2)", "8y^2 - 5y + 6")]
    [InlineData("expanding.last-added", "expand (a - 5)(a - 11)", "a^2 - 16a - 16")]
    [InlineData("expanding.numbers-added", "expand (3n + 8)^2", "6n^2 + 48n + 64")]
    [InlineData("expanding.letter-lost", "expand 8t(t + 5)", "8t^2 + 40")]
    [InlineData("expanding.power-not-raised", "expand 3x(2x + 1)", "9x")]
    [InlineData("expanding.square-of-terms", "expand (x - 5)^2", "x^2 + 25")]
    [InlineData("expanding.square-of-terms-sign-kept", "expand (9 - b)^2", "-b^2 + 81")]
    [InlineData("expanding.square-doubled", "expand (x + 5)^2", "2x + 10")]
    [InlineData("expanding.middle-plus", "expand (y - 4)^2", "y^2 + 8y + 16")]
    [InlineData("expanding.square-number-left", "expand (5 - 6y)^2", "6y^2 - 60y + 25")]
    [InlineData("expanding.both-minus-minus", "expand -5x(x - 8)", "-5x^2 - 40x")]
    [InlineData("expanding.larger-sign", "expand (y + 9)(y - 7)", "y^2 + 2y + 63")]
    [InlineData("equations.first-term-only", "solve 5(x + 7) = 40", "x = 33/5")] // 5x + 7 = 40
    [InlineData("equations.minus-before-bracket-lost", "solve 12 - 3(x + 5) = -27", "x = -18")] // 12 + 3x + 15
    [InlineData("equations.minus-meets-first-term-only", "solve 12 - 3(x + 5) = 0", "x = 9")] // 12 − 3x + 15
    [InlineData("equations.turned-round", "solve 16 - 3x = -14", "x = 2/3")] // 3x − 16 = −14
    [InlineData("equations.joined", "solve 6y + 7 = -3y + 14", "y = 11/13")] // 13y = 11y
    [InlineData("equations.joined", "solve 5x + 3 = 16", "x = 2")] // 8x = 16
    [InlineData("equations.letters-crossed-off", "solve 2y + 4 = -2y + 20", "y = 8")]
    [InlineData("equations.number-added", "solve 3x + 4 = 10", "x = 14/3")]
    [InlineData("equations.number-reversed", "solve 6x + 14 = x + 49", "x = -7")] // 5x = 14 − 49
    [InlineData("equations.larger-less-smaller", "solve 5x + 12 = 7", "x = 1")]
    [InlineData("equations.number-taken-away", "solve 3x = 12", "x = 9")]
    [InlineData("equations.divided-upside-down", "solve 4x = 12", "x = 1/3")]
    [InlineData("equations.larger-by-smaller", "solve 6x = 2", "x = 3")]
    [InlineData("equations.whole-part-only", "solve 2y + 1 = 8", "y = 3")]
    [InlineData("equations.rest-behind-point", "solve 4x = 15", "x = 3.3")]
    [InlineData("equations.minus-by-minus-minus", "solve 12 - 5x = x", "x = -2")]
    [InlineData("equations.no-letter-zero", "solve 5(t - 2) = 5t - 14", "t = 0")]
    [InlineData("factoring.signs-exchanged", "factor x^2 - x - 12", "(x + 4)(x - 3)")]
    [InlineData("factoring.first-pair-of-product", "factor 9x^2 - 9x - 10", "(9x + 2)(x - 5)")] // 2 and -45
    [InlineData("factoring.first-number-passed-over", "factor 4t^2 - 11t - 3", "(t + 1)(t - 12)")]
    [InlineData("factoring.one-and-last", "factor 10x^2 - 11x - 6", "(10x + 1)(x - 6)")]
    [InlineData("factoring.squares-number-not-rooted", "factor 4x^2 - 9", "(4x + 3)(4x - 3)")]
    [InlineData("factoring.squares-halved", "factor x^2 - 64", "(x + 32)(x - 32)")]
    [InlineData("factoring.squares-prime", "factor 3x^2 - 75", "3(x^2 - 25)")]
    [InlineData("factoring.both-minus", "factor x^2 - 3x - 70", "(x - 10)(x - 7)")]
    [InlineData("factoring.both-plus", "factor x^2 - 16x + 60", "(x + 10)(x + 6)")]
    [InlineData("factoring.both-signs-of-middle", "factor x^2 + 4x - 12", "(x + 2)(x + 6)")]
    [InlineData("factoring.signs-copied", "factor x^2 + 4x - 21", "(x + 3)(x - 7)")]
    [InlineData("factoring.second-side-plus", "factor 10x^2 - 27x + 5", "(2x + 5)(5x - 1)")]
    [InlineData("factoring.letter-lost", "factor 6x^2 - 15x", "3(2x - 5)")]
    [InlineData("factoring.letter-kept", "factor 6x^2 - 15x", "3x(2x - 5x)")]
    [InlineData("factoring.product-of-last-only", "factor 15y^2 - 4y - 32", "(15y + 4)(y - 8)")]
    [InlineData("factoring.first-number-in-one", "factor 12t^2 - 47t + 40", "(12t - 15)(t - 32)")]
    [InlineData("factoring.first-number-in-both", "factor 9x^2 + 6x + 1", "(9x + 3)(9x + 3)")]
    [InlineData("factoring.only-first-divided", "factor 4x^2 + 4x - 15", "(2x - 3)(4x + 10)")]
    [InlineData("factoring.first-number-in-front", "factor 4x^2 + 8x + 3", "4(x + 2)(x + 6)")]
    [InlineData("factoring.denominators-dropped", "factor 9a^2 - 24a + 7", "(a - 1)(a - 7)")]
    [InlineData("factoring.first-number-pulled", "factor 15y^2 + 4y - 32", "15(y + 8)(y - 4)")]
    [InlineData("factoring.common-not-from-last", "factor 6t^2 - 36t - 96", "6(t^2 - 6t - 96)")]
    [InlineData("factoring.middle-read-positive", "factor x^2 - 8x + 15", "(x + 3)(x + 5)")]
    [InlineData("factoring.split-said-prime", "factor 10x^2 - 17x + 3", "prime")]
    public void A_rule_gives_the_answer_worked_by_hand(string rule, string task, string answer)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(task).Value!, run, Catalogue.Find(rule)!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Fact]
    public void Ten_thousand_sums_and_products_agree_with_plain_arithmetic_at_five_numbers()
    {
        var number = Gen.Int[-12, 12].Where(n => n != 0);
        Gen.Select(number, number, number, number, Gen.Int[0, 3]).Sample((a, b, c, d, way) =>
        {
            string Bracket(int m, int n) => $"({m}x {(n < 0 ? "-" : "+")} {Math.Abs(n)})";
            var (text, value) = way switch
            {
                0 => ($"simplify {Bracket(a, b)} + {Bracket(c, d)}", (Func<int, int>)(x => a * x + b + (c * x + d))),
                1 => ($"simplify {Bracket(a, b)} - {Bracket(c, d)}", x => a * x + b - (c * x + d)),
                2 => ($"expand {Bracket(a, b)}{Bracket(c, d)}", x => (a * x + b) * (c * x + d)),
                _ => ($"expand {Bracket(a, b)}^2", x => (a * x + b) * (a * x + b)),
            };
            var task = TaskText.TryParse(text).Value!;
            var run = new MethodRun();
            Method.Run(task, run, DeviationSet.Taught);
            char? letter = null;
            var terms = PolynomialText.TryRead(run.Page.Answer.ToString(), ref letter)!;
            return run.Page.Answer.SequenceEqual(task.RightAnswer)
                && Enumerable.Range(-2, 5).All(x => terms.Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number * BigInteger.Pow(x, t.Power)) == value(x));
        }, iter: 10_000);
    }

    [Fact]
    public void Ten_thousand_equations_are_solved_by_the_number_that_they_come_out_with()
    {
        var number = Gen.Int[-12, 12];
        Gen.Select(number.Where(n => n != 0), number, number, number, Gen.Int[1, 6]).Sample((a, b, c, d, k) =>
        {
            var text = $"solve {k}({a}x + {b}) - {c}x = {d} - x/{k}".Replace("+ -", "- ", StringComparison.Ordinal).Replace("- -", "+ ", StringComparison.Ordinal);
            var task = TaskText.TryParse(text).Value!;
            var run = new MethodRun();
            Method.Run(task, run, DeviationSet.Taught);

            // k(ax + b) − cx = d − x/k, times k: (k²a − kc + 1)x = kd − k²b
            var (letters, numbers) = (k * k * a - k * c + 1, k * d - k * k * b);
            var right = letters == 0 ? numbers == 0 ? "all" : "none" : $"x = {new Rational(numbers, letters).Text}";
            return task.RightAnswer == right && run.Page.Answer.SequenceEqual(right);
        }, iter: 10_000);
    }

    [Fact]
    public void Ten_thousand_products_of_two_brackets_are_found_again()
    {
        var number = Gen.Int[-12, 12].Where(n => n != 0);
        Gen.Select(Gen.Int[1, 6], number, Gen.Int[1, 6], number, Gen.Int[1, 4]).Sample((p, q, r, s, k) =>
        {
            var (a, b, c) = (k * p * r, k * (p * s + q * r), k * q * s);
            var task = TaskText.TryParse($"factor {a}x^2 {(b < 0 ? "-" : "+")} {Math.Abs(b)}x {(c < 0 ? "-" : "+")} {Math.Abs(c)}".Replace("+ 0x ", "", StringComparison.Ordinal)).Value!;
            var run = new MethodRun();
            Method.Run(task, run, DeviationSet.Taught);

            // What divides both numbers of a bracket stands in front.
            int Common(int one, int other) => (int)BigInteger.GreatestCommonDivisor(one, other);
            var (one, two) = (Common(p, q), Common(r, s));
            string Bracket(int m, int n) => $"({(m == 1 ? "" : m)}x {(n < 0 ? "-" : "+")} {Math.Abs(n)})";
            var brackets = new[] { Bracket(p / one, q / one), Bracket(r / two, s / two) }.Order(StringComparer.Ordinal);
            var front = k * one * two;
            return task.RightAnswer == (front == 1 ? "" : $"{front}") + string.Concat(brackets) && run.Page.Answer.SequenceEqual(task.RightAnswer);
        }, iter: 10_000);
    }

    [Theory]
    [InlineData("factor 2x^2 - 10x + 12", "(x - 3)(x - 2)2", Verdict.Wrong)]
    [InlineData("factor 2x^2 - 10x + 12", "2(x-3)(x-2)", Verdict.Right)]
    [InlineData("factor 2x^2 - 10x + 12", "(2x - 4)(x - 3)", Verdict.Unfinished)]
    [InlineData("factor 2x^2 - 10x + 12", "2(x^2 - 5x + 6)", Verdict.Unfinished)]
    [InlineData("factor 2x^2 - 10x + 12", "2(x + 3)(x - 2)", Verdict.Wrong)]
    [InlineData("factor x^2 + 10x + 25", "(x + 5)^2", Verdict.Right)]
    [InlineData("factor x^2 + 3x + 5", "Prime", Verdict.Right)]
    [InlineData("factor x^2 + 4x - 21", "x = 3, x = -7", Verdict.Wrong)]
    [InlineData("solve 2x = 1", "x = 1/2", Verdict.Right)]
    [InlineData("solve 2x = 1", "0.5", Verdict.Right)]
    [InlineData("solve 2x = 1", "x=2/4", Verdict.Unfinished)]
    [InlineData("solve 2x = 1", "x = 2", Verdict.Wrong)]
    [InlineData("solve 2x = 1", "y = 1/2", Verdict.Right)]
    [InlineData("solve 2x = 2x + 1", "NONE", Verdict.Right)]
    [InlineData("simplify (4x^2 - 3x) - (x^2 - 5)", "3x^2 - 3x + 5", Verdict.Right)]
    [InlineData("simplify (4x^2 - 3x) - (x^2 - 5)", "5 - 3x + 3x²", Verdict.Right)] // a raised 2, as people paste it
    [InlineData("simplify (4x^2 - 3x) - (x^2 - 5)", "5 - 3y + 3y^2", Verdict.Right)] // the letter's name does not matter
    [InlineData("simplify (4x^2 - 3x) - (x^2 - 5)", "4x^2 - 3x - x^2 + 5", Verdict.Unfinished)]
    [InlineData("expand (x + 5)^2", "x^2+10x+25", Verdict.Right)]
    [InlineData("expand (x + 5)^2", "x^2 + 5x + 5x + 25", Verdict.Unfinished)]
    [InlineData("expand (x + 5)^2", "x^2 + 25", Verdict.Wrong)]
    [InlineData("expand 3x(2x - 7)", "", Verdict.Blank)]
    public void An_answer_is_judged_up_to_the_order_of_its_terms(string task, string answer, Verdict verdict) => TaskText.TryParse(task).Value!.Judge(answer).ShouldBe(verdict);

    [Theory]
    [InlineData("simplify (4x - 3", 16)]
    [InlineData("simplify (4x - 3y)", 16)]
    [InlineData("simplify (4x - )", 15)]
    [InlineData("simplify (4x)(3x)", 13)]
    [InlineData("simplify 2.5x + 1", 10)]
    [InlineData("expand 3x", 9)]
    [InlineData("expand (x + 1)", 14)]
    [InlineData("expand (x + 1)^3", 15)]
    [InlineData("expand 2(x + 1)(x - 1)", 6)]
    [InlineData("expand (x + 1)(x - 1) + 3", 22)]
    [InlineData("factor 3x + 4", 6)]
    [InlineData("factor x^3 + 4", 6)]
    [InlineData("factor x^2 + 3x + 4x", 6)]
    [InlineData("factor x^2 = 4", 11)]
    [InlineData("solve 3x + 4", 12)]
    [InlineData("solve 3x + 4y = 2", 12)]
    [InlineData("solve 3x^2 = 2", 8)]
    [InlineData("solve 3 = 2", 5)]
    [InlineData("solve 2(x + (3)) = 2", 12)]
    [InlineData("solve x/0 = 2", 8)]
    public void What_cannot_be_read_is_refused_with_its_position(string task, int position)
    {
        var read = TaskText.TryParse(task);
        read.Succeeded.ShouldBeFalse();
        read.Fault.Position.ShouldBe(position, read.Fault.Message);
    }

    [Fact]
    public void A_line_that_does_not_follow_is_the_first_wrong_step_and_what_follows_from_it_is_no_other()
    {
        using var json = System.Text.Json.JsonDocument.Parse("""{"lines":["5x + 4 - 2x + 1","3x + 5"]}""");
        var item = new WorkedItem { Id = "1", Task = TaskText.TryParse("simplify (5x + 4) - (2x + 1)").Value!, TaskAsWritten = "simplify (5x + 4) - (2x + 1)", Answer = "3x + 5", Work = Work.TryRead(json.RootElement, out _)! };
        var step = SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = [item] }).Items[0].FirstWrongStep!;
        (step.Row, step.Step, step.Written).ShouldBe((1, "polynomials.bracket-sign", "5x + 4 - 2x + 1"));
    }
}
