using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Notation;

/// <summary>Quadratics factored over the reals and the complex numbers.</summary>
public class SurdFactorsTests
{
    [Theory]
    [InlineData("factor x^2 - 5", "reals", "(x + sqrt(5))(x - sqrt(5))")]
    [InlineData("factor x^2 + 8x + 4", "reals", "(x + 4 + 2sqrt(3))(x + 4 - 2sqrt(3))")]
    [InlineData("factor x^2 - 6x + 4", "reals", "(x - 3 + sqrt(5))(x - 3 - sqrt(5))")]
    [InlineData("factor y^2 + 3y + 1", "reals", "(y + 3/2 + sqrt(5)/2)(y + 3/2 - sqrt(5)/2)")]
    [InlineData("factor 2x^2 + 4x - 2", "reals", "2(x + 1 + sqrt(2))(x + 1 - sqrt(2))")]
    [InlineData("factor 2x^2 - 6x + 1", "reals", "2(x - 3/2 + sqrt(7)/2)(x - 3/2 - sqrt(7)/2)")]
    [InlineData("factor x^2 + 5x + 6", "reals", "(x + 2)(x + 3)")]
    [InlineData("factor x^2 + 1", "reals", "prime")]
    [InlineData("factor x^2 + 1", "complex", "(x + i)(x - i)")]
    [InlineData("factor x^2 + 4x + 10", "complex", "(x + 2 + i sqrt(6))(x + 2 - i sqrt(6))")]
    [InlineData("factor x^2 + 2x + 5", "complex", "(x + 1 + 2i)(x + 1 - 2i)")]
    [InlineData("factor x^2 + x + 1", "complex", "(x + 1/2 + i sqrt(3)/2)(x + 1/2 - i sqrt(3)/2)")]
    [InlineData("factor 9998x^2 + 9999x + 9973", "complex", "9998(x + 9999/19996 + i sqrt(298860215)/19996)(x + 9999/19996 - i sqrt(298860215)/19996)")]
    [InlineData("factor x^2 - 8", "complex", "(x + 2sqrt(2))(x - 2sqrt(2))")]
    public void The_right_answer_is_worked_out(string task, string over, string answer) => Task(task, over).RightAnswer.ShouldBe(answer);

    [Theory]
    [InlineData("(x+4-2sqrt(3))(x+4+2sqrt(3))", Verdict.Right)]
    [InlineData("(x + 4 + 2√3)(x + 4 - 2√3)", Verdict.Right)]
    [InlineData("(x + 4 + sqrt(12))(x + 4 - sqrt(12))", Verdict.Unfinished)]
    [InlineData("(x + 2sqrt(3) + 4) * (x - 2sqrt(3) + 4)", Verdict.Right)]
    [InlineData("(x + 4 + 2sqrt(3))(x + 4 + 2sqrt(3))", Verdict.Wrong)]
    [InlineData("(x + 4 + 2sqrt(3))", Verdict.Wrong)]
    [InlineData("prime", Verdict.Wrong)]
    [InlineData("x = -4 + 2sqrt(3)", Verdict.Wrong)]
    [InlineData("(x + 4 + sqrt(", Verdict.Wrong)]
    public void Answers_are_judged_whatever_their_spelling(string answer, Verdict verdict) => Task("factor x^2 + 8x + 4", "reals").Judge(answer).ShouldBe(verdict);

    [Fact]
    public void Factors_multiply_out_to_the_quadratic() =>
        Gen.Select(Gen.Int[1, 12], Gen.Int[-60, 60], Gen.Int[-90, 90]).Where(t => t.Item3 != 0).Sample(t =>
        {
            var (a, b, c) = t;
            var factors = SurdFactors.Of(a, b, c, FactorsOver.Complex)!;
            var (one, other) = (factors.Ends[0], factors.Ends[1]);

            // (x + m + k√d)(x + m − k√d) = x² + 2mx + m² − k²d, times a.
            var first = Rational.Whole(factors.Front);
            (first * (one.Plain + other.Plain)).ShouldBe(Rational.Whole(b));
            (first * (one.Plain * other.Plain + one.Times * other.Times * Rational.Whole(one.Under))).ShouldBe(Rational.Whole(c));
            SurdFactors.TryRead(factors.Text('x'))!.Text('x').ShouldBe(factors.Text('x'));
        }, iter: 20_000);

    [Fact]
    public void Who_never_roots_the_gap_is_read_so()
    {
        (string Task, string Over, string Answer)[] page =
        [
            ("factor x^2 + 8x + 4", "reals", "(x + 4 + 12)(x + 4 - 12)"), ("factor x^2 - 6x + 4", "reals", "(x - 3 + 5)(x - 3 - 5)"), ("factor x^2 - 5", "reals", "(x + 5)(x - 5)"),
            ("factor x^2 + 4x + 10", "complex", "(x + 2 + 6i)(x + 2 - 6i)"), ("factor x^2 + 5x + 6", "integers", "(x + 2)(x + 3)"), ("factor x^2 - 2x - 7", "reals", "(x - 1 + 8)(x - 1 - 8)"),
        ];
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "R",
            Items = [.. page.Select((p, i) => new WorkedItem { Id = $"{i}", Task = Task(p.Task, p.Over), TaskAsWritten = p.Task, Over = p.Over, Answer = p.Answer })],
        });
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["factoring.gap-not-rooted"]);
        (reading.Best.Followed, reading.Best.Chances).ShouldBe((5, 5));
    }

    private static ItemTask Task(string text, string over) => TaskText.TryParse(text, new Asked(Over: over)).Value!;
}
