using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Models;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests;

/// <summary>Models follow the same run as the writing; what they should show is worked out by hand.</summary>
public class ModelTests
{
    private static (ItemModel Model, MethodRun Run) End(string text, string? bug = null, string? form = null)
    {
        var task = TaskText.TryParse(text, form).Value!;
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, bug is null ? DeviationSet.Taught : Catalogue.Find(bug)!.Alone);
        return (TaughtFamily.Of(task.Family).ModelAt(task, run.Page.Marks, run.Page.Answer.ToString())!, run);
    }

    private static T End<T>(string text, string? bug = null)
        where T : ItemModel => End(text, bug).Model.ShouldBeOfType<T>();

    [Fact]
    public void A_difference_takes_counters_away_after_they_were_exchanged()
    {
        var mat = End<PlaceValueMat>("604 - 278");
        mat.Columns.Select(c => (c.Place, c.Counters, c.Taken, c.Left, c.Written)).ShouldBe([(2, 5, 2, 3, "3"), (1, 9, 7, 2, "2"), (0, 14, 8, 6, "6")]);
        mat.Disagreement.ShouldBe("");
    }

    [Fact]
    public void A_column_turned_round_has_too_few_counters_for_what_is_taken()
    {
        var mat = End<PlaceValueMat>("604 - 278", "subtraction.turns-column-round");
        mat.Columns.Select(c => (c.Counters, c.Taken, c.Written, c.Disagrees)).ShouldBe([(6, 2, "4", false), (0, 0, "7", true), (4, 4, "4", true)]);
        mat.Disagreement.ShouldBe("7 cannot be taken from 0 tens, and 7 is written. 8 cannot be taken from 4 ones, and 4 is written.");
    }

    [Fact]
    public void A_renaming_without_its_exchange_is_seen_by_what_the_counters_are_worth()
    {
        // The lender stays: 5 2 becomes 5 12, ten more than was set.
        End<PlaceValueMat>("52 - 38", "subtraction.lender-unchanged").Disagreement.ShouldStartWith("The counters are worth more than 52 now: one was added without its exchange.");
    }

    [Fact]
    public void A_sum_exchanges_ten_whether_a_carry_is_written_or_not()
    {
        End<PlaceValueMat>("456 + 378").Columns.Select(c => (c.Place, c.Counters, c.Tens, c.Left, c.Written)).ShouldBe([(2, 8, 0, 8, "8"), (1, 13, 1, 3, "3"), (0, 14, 1, 4, "4")]);
        var dropped = End<PlaceValueMat>("456 + 378", "addition.carry-dropped");
        dropped.Columns.Select(c => (c.Left, c.Written)).ShouldBe([(8, "7"), (3, "2"), (4, "4")]);
        dropped.Disagreement.ShouldBe("3 tens are left after the exchange, and 2 is written. 8 hundreds are left, and 7 is written.");
        End<PlaceValueMat>("856 + 378").Columns[0].ShouldBe(new MatColumn(3, 1, 0, 0, "1", false));
    }

    [Fact]
    public void Decimals_lie_in_their_places_also_where_the_paper_has_them_elsewhere()
    {
        End<PlaceValueMat>("4.56 + 3.7").Columns.Select(c => (c.Place, c.Left, c.Written)).ShouldBe([(0, 8, "8"), (-1, 2, "2"), (-2, 6, "6")]);
        var moved = End<PlaceValueMat>("4.56 + 3.7", "decimal-sums.right-ends-lined-up");
        moved.Columns.Select(c => c.Counters).ShouldBe([7, 12, 6]);
        moved.Disagreement.ShouldBe("On the paper a number stands in other columns than its places; on the mat it does not. ");
    }

    [Fact]
    public void An_area_is_cut_by_the_places_of_both_factors()
    {
        var area = End<AreaModel>("47 * 38");
        area.Top.Select(p => (int)p).ShouldBe([40, 7]);
        area.Strips.Select(s => ((int)s.Side, string.Join(' ', s.Cells), (int)s.Sum, s.Written)).ShouldBe([(8, "320 56", 376, "376"), (30, "1200 210", 1410, "1410")]);
        area.Disagreement.ShouldBe("");
        var wrong = End<AreaModel>("47 * 38", "multiplication.carry-dropped");
        wrong.Strips.Select(s => s.Written).ShouldBe(["326", "1210"]);
        wrong.Disagreement.ShouldBe("The strip of 8 holds 376, and 326 is written. The strip of 30 holds 1410, and 1210 is written. All pieces together are 1786, and 1536 is written.");
        End<AreaModel>("4.6 * 3.7").Unit.ShouldBe("The pieces are counted in hundredths: tenths times tenths.");
        End<AreaModel>("407 * 60").Strips.Select(s => (int)s.Sum).ShouldBe([24_420]);
    }

    [Fact]
    public void A_ladder_shows_where_what_is_divided_stands_and_which_rung_is_written()
    {
        var task = TaskText.TryParse("857 / 24").Value!;
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, DeviationSet.Taught);
        var seen = Enumerable.Range(0, run.Page.Marks.Count + 1).Select(n => (MultiplesLadder)TaughtFamily.Of(task.Family).ModelAt(task, [.. run.Page.Marks.Take(n)], null)!).Select(l => ((int)l.Amount, l.Chosen, l.Disagreement)).Distinct();
        seen.ShouldBe([(85, null, ""), (85, 3, ""), (137, null, ""), (137, 5, "")]);
    }

    [Fact]
    public void A_quotient_digit_that_does_not_fit_is_said()
    {
        (End<MultiplesLadder>("857 / 24") with { Chosen = 4 }).Disagreement.ShouldBe("4 × 24 = 96 leaves 41: 24 fits once more.");
        (End<MultiplesLadder>("857 / 24") with { Chosen = 6 }).Disagreement.ShouldBe("6 × 24 = 144 is more than 137.");
        End<MultiplesLadder>("8.4 / 0.6").Divisor.ShouldBe(6);
    }

    [Theory]
    [InlineData("-7 - -12", -7, 5, "From −7, taking −12 away goes 12 steps up.")]
    [InlineData("4 + -9", 4, -5, "From 4, 9 steps down.")]
    [InlineData("-3 * 4", 0, 12, "3 jumps of 4 lead to 12; −3 of them is the opposite, −12.")]
    [InlineData("-24 / 6", 0, -24, "4 jumps of −6 lead to −24; of 6 it is −4.")]
    public void A_number_line_goes_from_the_first_number_to_the_answer(string task, int start, int end, string text)
    {
        var line = End<NumberLine>(task);
        (line.Start, line.End, line.Text, line.Disagreement).ShouldBe((start, end, text, ""));
    }

    [Fact]
    public void A_sign_that_was_read_away_leads_elsewhere() =>
        End<NumberLine>("-7 - -12", "integers.minus-minus-stays-minus").Disagreement.ShouldBe("The way leads to 5; −19 is written, from −7 that is 12 steps down.");

    [Fact]
    public void Numbers_too_long_for_a_picture_have_none()
    {
        At(TaskText.TryParse("123456789012 - 5").Value!).ShouldBeNull();
        At(TaskText.TryParse("-700 - -12").Value!).ShouldBeNull();
        At(TaskText.TryParse("12345 * 67").Value!).ShouldBeNull();

        static ItemModel? At(ItemTask task) => TaughtFamily.Of(task.Family).ModelAt(task, [], null);
    }

    [Theory]
    [InlineData("addition")]
    [InlineData("subtraction")]
    [InlineData("multiplication")]
    [InlineData("division")]
    [InlineData("decimal-sums")]
    [InlineData("decimal-products")]
    [InlineData("decimal-division")]
    [InlineData("integers")]
    [InlineData("fractions")]
    [InlineData("mixed-numbers")]
    [InlineData("polynomials")]
    [InlineData("expanding")]
    [InlineData("factoring")]
    [InlineData("roots")]
    [InlineData("equations")]
    public void The_taught_method_never_disagrees_with_the_amounts(string family)
    {
        var run = new MethodRun { Recording = true };
        var modelled = 0;
        foreach (var task in ItemPool.Of(FamilyList.Named(family), 300, 11))
        {
            Method.Run(task, run, DeviationSet.Taught);
            for (var count = 0; count <= run.Page.Marks.Count; count++)
            {
                var model = TaughtFamily.Of(task.Family).ModelAt(task, [.. run.Page.Marks.Take(count)], count == run.Page.Marks.Count ? run.Page.Answer.ToString() : null);
                if (model is null) break;
                model.Disagreement.ShouldBe("", $"{task.Text} after {count} marks");
                modelled++;
            }
        }

        modelled.ShouldBeGreaterThan(300);
    }

    [Fact]
    public void A_mat_of_a_difference_is_worth_what_was_set_whatever_the_numbers()
    {
        Gen.Select(Gen.Int[1, 9999], Gen.Int[0, 9999]).Where(n => n.Item1 >= n.Item2).Sample((top, bottom) =>
        {
            var mat = End<PlaceValueMat>($"{top} - {bottom}");
            return mat.Columns.Sum(c => c.Counters * (int)Math.Pow(10, c.Place)) == top && mat.Columns.Sum(c => c.Left * (int)Math.Pow(10, c.Place)) == top - bottom;
        });
    }

    [Fact]
    public void Fractions_are_bars_cut_alike_and_a_wrong_sum_is_a_bar_of_another_length()
    {
        // 1/2 + 1/3: 3 and 2 of six parts; 2/5 is less than the half that is in it.
        var bars = End<FractionBars>("1/2 + 1/3", "fractions.across");
        bars.Bars.Select(b => (b.Label, b.Parts, b.Filled, b.Second)).ShouldBe([("1/2", 2, 1, 0), ("1/3", 3, 1, 0), ("together", 6, 5, 2), ("2/5", 5, 2, 0)]);
        bars.Disagreement.ShouldBe("The bars do not match: they come to 5/6, and 2/5 is written.");
        End<FractionBars>("1/2 + 1/3").Disagreement.ShouldBe("");
        End("1/97 + 1/89").Model.ShouldBeNull(); // too fine to be seen
    }

    [Fact]
    public void Of_mixed_numbers_what_goes_lies_crossed_out_on_the_bars_of_the_first()
    {
        var bars = End<FractionBars>("7 1/4 - 2 5/6");
        bars.Bars.Select(b => (b.Label, b.Parts, b.Filled, b.Second)).ShouldBe([("7 1/4", 4, 29, 0), ("2 5/6", 6, 17, 0), ("what is left", 12, 87, 34), ("4 5/12", 12, 53, 0)]);
        bars.Bars[0].Wholes.ShouldBe(8);
    }

    [Fact]
    public void A_bracket_that_is_taken_away_has_all_its_tiles_turned()
    {
        var tiles = End<TermTiles>("simplify (4x^2 - 3x) - (x^2 - 5)", "polynomials.minus-first-term-only");
        tiles.Rows.Select(r => r.Label).ShouldBe(["4x² − 3x", "taken away: x² − 5", "all turned over", "what lies there", "3x² − 3x − 5 is written"]);
        tiles.Rows[2].Groups.ShouldBe([new TileGroup(2, 1, true), new TileGroup(0, 5, false)]);
        tiles.Rows[3].Groups.ShouldBe([new TileGroup(2, 3, false), new TileGroup(1, 3, true), new TileGroup(0, 5, false)]);
        tiles.Disagreement.ShouldBe("What lies there is 3x² − 3x + 5, and 3x² − 3x − 5 is written.");
    }

    [Fact]
    public void A_product_is_a_box_to_scale_whose_pieces_are_all_there()
    {
        var box = End<AreaBox>("expand (x + 5)(x + 2)", "expanding.first-and-last-only");
        box.Pieces.Select(row => string.Join(' ', row.Select(p => p.Text))).ShouldBe(["x² 5x", "2x 10"]);
        box.Top.Concat(box.Side).Select(t => (int)t.AtTen!.Value).ShouldBe([10, 5, 10, 2]);
        box.IsToScale.ShouldBeTrue();
        box.Disagreement.ShouldBe("All pieces together are x² + 7x + 10, and x² + 10 is written.");
        End<AreaBox>("expand (x - 3)(x + 4)").IsToScale.ShouldBeFalse();
        End<AreaBox>("expand (x + 1)(x + 4)").IsToScale.ShouldBeFalse(); // an eleventh of the edge is too short to be written on
    }

    [Fact]
    public void Factors_that_are_written_are_the_edges_of_a_box_that_is_not_the_one_that_was_set()
    {
        var box = End<AreaBox>("factor x^2 + 2x - 15", "factoring.signs-exchanged");
        box.Disagreement.ShouldBe("These edges fill the box with x² − 2x − 15, and x² + 2x − 15 was set.");
        var task = TaskText.TryParse("factor x^2 + 2x - 15").Value!;
        var open = TaughtFamily.Of(task.Family).ModelAt(task, [], null).ShouldBeOfType<AreaBox>();
        open.Pieces.Select(row => string.Join('|', row.Select(p => p.Text))).ShouldBe(["x²|", "|−15"]);
    }

    [Fact]
    public void A_root_lies_on_a_line_between_two_squares_or_is_the_side_of_one()
    {
        var line = End<RootLine>("sqrt(53)", "roots.cut-off");
        (line.Lower, line.Written, line.Disagreement).ShouldBe((7, 7.2, "The square of 7.2 is 51.84, and 53 was set."));
        line.Part.ShouldBe(4 / 15.0, 1e-9);
        var task = TaskText.TryParse("sqrt(64)").Value!;
        TaughtFamily.Of(task.Family).ModelAt(task, [], "32").ShouldBeOfType<SquareArea>().Disagreement.ShouldBe("A square with the side 32 has the area 1024, and 64 was set.");
    }

    [Fact]
    public void An_equation_is_two_bars_or_a_balance_level_only_with_what_solves_it()
    {
        var bars = End<TwoSides>("solve 2x + 7 = 15");
        bars.Left.Pieces.Select(p => (p.Text, p.Length)).ShouldBe([("x", 4), ("x", 4), ("7", 7)]);
        (bars.AreBars, bars.Leans, bars.Text).ShouldBe((true, 0, "With 4 for x, the left side is 15 and the right side 15."));

        // 2x = 15 + 7, x = 11: 2 · 11 + 7 = 29.
        var wrong = End<TwoSides>("solve 2x + 7 = 15", "equations.number-added");
        (wrong.Leans, wrong.Text, wrong.Disagreement).ShouldBe((-1, "With 11 for x, the left side is 29 and the right side 15.", "With 11 for x, the two sides are not the same."));
        End<TwoSides>("solve 4x - 9 = 11").AreBars.ShouldBeFalse();
        End<TwoSides>("solve 2x + 3 = 2x + 5").Text.ShouldBe("2x + 3 on the left and 2x + 5 on the right are the same.");
    }

    [Fact]
    public void Every_item_of_a_family_in_lines_has_a_model_or_none_whatever_is_written()
    {
        foreach (var family in FamilyList.All.Where(LineLayout.Has))
            foreach (var task in ItemPool.Of(family, 60, seed: 4))
                foreach (var answer in new[] { task.RightAnswer, "", "0", "7", "-3/0", "x", "(x)(x)", "none", "1 2/3", "99999999999999999999" })
                    if (TaughtFamily.Of(family).ModelAt(task, [], answer) is { } model) (model.Text + model.Disagreement).ShouldNotBeEmpty();
    }
}
