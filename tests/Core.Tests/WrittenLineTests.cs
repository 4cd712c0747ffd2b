using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests;

/// <summary>Lines of working as they are built up, and as they come from a page and go back to it.</summary>
public class WrittenLineTests
{
    [Theory]
    [InlineData("29/4 - 17/6", "<math><mrow><mfrac><mn>29</mn><mn>4</mn></mfrac><mo>−</mo><mfrac><mn>17</mn><mn>6</mn></mfrac></mrow></math>")]
    [InlineData("2 3/4", "<math><mrow><mn>2</mn><mfrac><mn>3</mn><mn>4</mn></mfrac></mrow></math>")]
    [InlineData("3x^2 - 5x", "<math><mrow><mn>3</mn><msup><mi>x</mi><mn>2</mn></msup><mo>−</mo><mn>5</mn><mi>x</mi></mrow></math>")]
    [InlineData("x = -7/2", "<math><mrow><mi>x</mi><mo>=</mo><mo form=\"prefix\">−</mo><mfrac><mn>7</mn><mn>2</mn></mfrac></mrow></math>")]
    [InlineData("(x + 1)/3", "<math><mfrac><mrow><mi>x</mi><mo>+</mo><mn>1</mn></mrow><mn>3</mn></mfrac></math>")]
    [InlineData("2sqrt(3)", "<math><mrow><mn>2</mn><msqrt><mn>3</mn></msqrt></mrow></math>")]
    [InlineData("(x + 5)^2", "<math><mrow><msup><mrow><mo>(</mo><mrow><mi>x</mi><mo>+</mo><mn>5</mn></mrow><mo>)</mo></mrow><mn>2</mn></msup></mrow></math>")]
    [InlineData("5 / 8", "<math><mrow><mn>5</mn><mo>&#247;</mo><mn>8</mn></mrow></math>")]
    [InlineData("prime", "<math><mtext>prime</mtext></math>")]
    [InlineData("3<5 &", "<math><mtext>3&lt;5 &amp;</mtext></math>")]
    public void A_line_is_built_up_and_read_aloud_from_one_tree(string text, string math) => MathMarkup.Of(WrittenLine.Read(text)).ShouldBe(math);

    [Theory]
    [InlineData("2x = 15 - 7", "2x = ", "the term waits for what the other side comes to")]
    [InlineData("2x = 8", "x = ", "only the division is left")]
    [InlineData("-3a = 7/2", "a = ", "also with a sign and a fraction")]
    [InlineData("x = 4", "", "nothing is left")]
    [InlineData("x = 8/2 + 1", "x = ", "the letter stands alone, its number does not")]
    [InlineData("3x - 3 = 12", "", "the left side changes")]
    [InlineData("2(x^2 + 5x + 6)", "2(", "the number before the bracket")]
    [InlineData("2(x + 3)(x + 2)", "", "all is done")]
    [InlineData("10/15 + 9/15", "", "nothing of a sum stays")]
    [InlineData("2x = ", "", "not yet a line")]
    public void What_stays_of_a_line_begins_the_next_one(string line, string stays, string why) => LineChange.Stays(WrittenLine.Read(line)).ShouldBe(stays, why);

    [Theory]
    [InlineData("2x + 7 = 15", "2x = 15 - 7", "2<2 x<x =<= 15<15 7<7")]
    [InlineData("3/4 + 5/8", "6/8 + 5/8", "+<+ 5<5 8<8")]
    [InlineData("3x = 9", "x = 3", "x<x =<= 3<3")]
    [InlineData("5.54", "5.5", "")]
    public void Signs_of_a_line_come_from_those_of_the_line_before(string before, string line, string signs)
    {
        var (was, now) = (WrittenLine.Read(before), WrittenLine.Read(line));
        var (theirs, mine) = (was.Leaves.Select(l => l.Text).ToList(), now.Leaves.Select(l => l.Text).ToList());
        var origins = LineChange.Origins(was, now);
        string.Join(' ', origins.OrderBy(o => o.Key).Select(o => $"{mine[o.Key]}<{theirs[o.Value]}")).ShouldBe(signs);
        origins.Values.ShouldBeUnique();
    }

    [Theory]
    [InlineData("3/", 1, "Nothing stands under the line of this fraction.")]
    [InlineData("5 - /3", 4, "Nothing stands over the line of this fraction.")]
    [InlineData("(x + 2", 0, "This bracket is not closed.")]
    [InlineData("x + 2)", 5, "This bracket closes nothing.")]
    [InlineData("3x^", 2, "No power stands behind this sign.")]
    [InlineData("^2", 0, "Nothing stands before this power.")]
    [InlineData("4 $ 5", 2, "“$” has no place in a line.")]
    public void What_does_not_parse_says_where_and_keeps_its_text(string text, int at, string message)
    {
        var line = WrittenLine.Read(text);
        line.Fault.ShouldBe(new LineFault(at, message));
        string.Concat(ExpressionBox.Of(line).Placed.Select(s => s.Text)).ShouldBe(text.Replace(" ", "").Replace('-', '−'));
    }

    [Fact]
    public void A_fraction_is_two_squares_high_and_its_line_as_wide_as_its_longer_part()
    {
        var box = ExpressionBox.Of(WrittenLine.Read("29/4"));
        box.Squares.ShouldBe(2);
        box.Strokes.ShouldBe([new Stroke(1, 0, box.Width - 1, 0)]);
        box.Placed.Where(s => s.Y < 0).Select(s => s.Text).ShouldBe(["2", "9"]);
        box.Placed.Where(s => s.Y > 0).Select(s => s.Text).ShouldBe(["4"]);
        ExpressionBox.Of(WrittenLine.Read("3x^2 - 5x")).Squares.ShouldBe(1);
    }

    [Theory]
    [InlineData("2x = 15 + 7", "2x = 15 - 7", "+")]
    [InlineData("3x^2 + 5x", "3x^2 - 5x + 2", "+5x")]
    [InlineData("4/10", "4/7", "10")]
    [InlineData("x^2 + 25", "x^2 + 10x + 25", "+25")]
    public void What_differs_from_the_line_that_should_stand_there_is_found(string written, string due, string differing)
    {
        var line = WrittenLine.Read(written);
        var (from, to) = line.DifferenceFrom(WrittenLine.Read(due))!.Value;
        string.Concat(line.Leaves.Where(l => l.From < to && l.To > from).Select(l => l.Text)).ShouldBe(differing);
    }

    /// <summary>Nothing that is typed brings the drawing down, and each sign that is drawn stands for a character of the text.</summary>
    [Fact]
    public void Any_text_is_drawn() => Gen.OneOf(Gen.Char["0123456789x+-*/^()=. √?sqrt"], Gen.Char).Array[0, 40].Select(c => new string(c)).Sample(text =>
    {
        var line = WrittenLine.Read(text);
        var box = ExpressionBox.Of(line);
        (line.Root is null).ShouldBe(line.Fault is not null);
        return box.Placed.All(s => s.From >= 0 && s.To <= line.Text.Length && double.IsFinite(s.X) && s.X <= box.Width && s.Y >= -box.Up && s.Y <= box.Down);
    }, iter: 20_000);

    [Theory]
    [InlineData("2/3 + 3/5", "11/15", null, "11/15")]
    [InlineData("2/3 + 3/5", "10/15 + 9/15|19/15|1 4/15", "10/15 + 9/15|19/15|1 4/15", "1 4/15")]
    [InlineData("2/3 + 3/5", "10/15 + 9/15 = 19/15", "10/15 + 9/15 = 19/15", "19/15")]
    [InlineData("2/3 + 3/5", "10/15 + 9/15|...", "10/15 + 9/15", null)]
    [InlineData("2/3 + 3/5", "10/15 + 9/15|?", "10/15 + 9/15", "?")]
    [InlineData("solve 2x + 7 = 15", "2x = 8|x = 4", "2x = 8|x = 4", "x = 4")]
    [InlineData("solve 2x + 7 = 15", "x = ٤", null, "x = 4")]
    [InlineData("2/3 + 3/5", " ", null, null)]
    public void Lines_that_are_typed_are_work_and_answer_and_come_back(string task, string typed, string? lines, string? answer)
    {
        ItemList.TryParseTask(task, FamilyList.All, out var fault).ShouldNotBeNull(fault);
        var item = WorkedItem.Of("1", ItemList.TryParseTask(task, FamilyList.All, out fault)!);
        var taken = LineLayout.Take(item, typed.Split('|'));
        taken.Answer.ShouldBe(answer);
        (taken.Work.Get(WorkFields.Lines) is { } kept ? string.Join('|', kept) : null).ShouldBe(lines);
        LineLayout.Take(taken, LineLayout.Lines(taken)).ShouldBeSameAs(taken);
        LineLayout.Take(taken, []).Answer.ShouldBeNull();
    }

    [Fact]
    public void What_was_recorded_stays_as_it_was_where_nothing_was_changed()
    {
        var task = ItemList.TryParseTask("sqrt(31)", [FamilyList.Roots], out _)!;
        var item = WorkedItem.Of("1", task) with { Answer = "5.5", Work = Work.None.With(WorkFields.Lines, ["31 - 25 = 6", "5 + 6/11", "5.54"]) };
        LineLayout.Lines(item).ShouldBe(["31 - 25 = 6", "5 + 6/11", "5.54", "5.5"]);
        LineLayout.Take(item, LineLayout.Lines(item)).ShouldBeSameAs(item);
        var same = item with { Answer = "5.54" };
        LineLayout.Lines(same).ShouldBe(["31 - 25 = 6", "5 + 6/11", "5.54"]);
    }
}
