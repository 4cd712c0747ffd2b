using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Differences;

namespace YellowPencil.Core.Tests.Procedures;

public class SubtractionMethodTests
{
    private static string Answer(string task, params string[] bugs)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(task).Value!, run, Students(bugs));
        return run.Page.Answer.ToString();
    }

    private static DeviationSet Students(params string[] bugs) =>
        new([.. bugs.Select(b => Catalogue.Find("subtraction." + b)!.Deviations)]);

    private static Work Page(string task, params string[] bugs)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse(task).Value!, run, Students(bugs));
        return Work.Of(run.Page.Marks, WorkFields.Rewritten, WorkFields.Cells, WorkFields.RewrittenBelow);
    }

    [Fact]
    public void Without_deviations_the_answer_is_exact() =>
        Gen.Select(Gen.ULong[0, 99_999_999], Gen.ULong[0, 99_999_999]).Sample((a, b) => Answer($"{a} - {b}") == (new BigInteger(a) - b).ToString(), iter: 10_000);

    [Fact]
    public void A_bug_that_never_fires_changes_nothing() => Gen.Select(Gen.Int[0, 9999], Gen.Int[0, Catalogue.All.Count - 1]).Sample((top, index) =>
    {
        var task = ColumnDifference.Of(top, top / 3);
        var run = new MethodRun { Page = { KeepsMarks = true } };
        var taught = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, Catalogue.All[index].Alone);
        Method.Run(task, taught, DeviationSet.Taught);
        return run.Chances > 0 || (run.Page.Answer.SequenceEqual(taught.Page.Answer) && run.Page.Marks.SequenceEqual(taught.Page.Marks));
    }, iter: 5_000);

    [Fact]
    public void A_bug_that_is_never_followed_changes_nothing() => Gen.Select(Gen.Int[0, 99999], Gen.Int[0, Catalogue.All.Count - 1]).Sample((top, index) =>
    {
        var run = new MethodRun();
        Method.Run(ColumnDifference.Of(top, top / 7), run, Catalogue.All[index].Alone, declined: ulong.MaxValue);
        return run.Followed == 0 && run.Page.Answer.SequenceEqual((top - (top / 7)).ToString());
    }, iter: 5_000);

    [Fact]
    public void The_marks_of_a_run_rebuild_its_answer() => Gen.Select(Gen.Int[10, 99999], Gen.Int[0, Catalogue.All.Count - 1]).Sample((top, index) =>
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(ColumnDifference.Of(top, top / 2), run, Catalogue.All[index].Alone);
        var cells = run.Page.Marks.Where(m => m.Field == WorkFields.Cells).OrderByDescending(m => m.At.Place).Select(m => m.Text);
        var text = string.Concat(cells).TrimStart('0');
        return run.Page.Marks.Count == 0 || (text.Length == 0 ? "0" : text) == run.Page.Answer.ToString();
    }, iter: 5_000);

    [Theory]
    [InlineData("604 - 278", "turns-column-round", "474")]
    [InlineData("503 - 268", "turns-round-beside-zero", "245")]
    [InlineData("604 - 278", "lender-unchanged", "426")]
    [InlineData("604 - 278", "zeros-skipped", "236")]
    [InlineData("604 - 278", "zeros-become-ten", "336")]
    [InlineData("604 - 278", "zero-becomes-nine-alone", "426")]
    [InlineData("604 - 278", "zero-lends-and-stays", "336")]
    [InlineData("52 - 38", "receiver-one-more", "15")]
    [InlineData("52 - 38", "receiver-becomes-ten", "12")]
    [InlineData("52 - 38", "zero-when-short", "20")]
    [InlineData("52 - 38", "top-when-short", "22")]
    [InlineData("52 - 38", "blank-when-short", "2")]
    [InlineData("52 - 38", "adds-when-short", "210")]
    [InlineData("52 - 38", "lender-two-less", "4")]
    [InlineData("52 - 38", "nobody-lends", "24")]
    [InlineData("415 - 203", "zero-below-gives-zero", "202")]
    [InlineData("80 - 36", "zero-top-gives-bottom", "56")]
    [InlineData("80 - 36", "zero-top-gives-zero", "50")]
    [InlineData("645 - 32", "stops-when-bottom-ends", "13")]
    [InlineData("645 - 32", "last-bottom-digit-again", "313")]
    [InlineData("645 - 32", "lines-up-left", "325")]
    [InlineData("47 - 23", "renames-always", "114")]
    [InlineData("4734 - 2734", "equal-left-blank", "2")]
    [InlineData("52 - 38", "counts-start-number", "25")]
    [InlineData("52 - 38", "minus-read-as-plus", "90")]
    [InlineData("524 - 381", "starts-at-left", "242")]
    [InlineData("523 - 168", "turns-round-after-ones", "455")]
    [InlineData("523 - 168", "turns-round-in-ones", "365")]
    [InlineData("5234 - 1678", "renames-once-only", "4456")]
    [InlineData("523 - 168", "turns-round-after-lending", "455")]
    [InlineData("604 - 278", "zero-when-short-beside-zero", "330")]
    [InlineData("52 - 38", "bottom-when-short", "28")]
    [InlineData("523 - 168", "stops-when-short", "5")]
    [InlineData("604 - 278", "lender-unchanged-past-zeros", "426")]
    [InlineData("523 - 168", "lender-unchanged-past-zeros", "355")]
    [InlineData("523 - 168", "lender-unchanged-second-time", "455")]
    [InlineData("152 - 38", "lender-unchanged-nothing-below", "114")]
    [InlineData("145 - 62", "lender-unchanged-nothing-below", "183")]
    [InlineData("52 - 38", "lender-one-more", "34")]
    [InlineData("604 - 278", "lender-one-less-for-each-column", "226")]
    [InlineData("314 - 128", "lending-one-becomes-ten", "286")]
    [InlineData("314 - 128", "lending-one-becomes-nine", "276")]
    [InlineData("314 - 128", "lending-one-unchanged", "196")]
    [InlineData("314 - 128", "passes-over-one", "96")]
    [InlineData("523 - 168", "leftmost-lends", "265")]
    [InlineData("5234 - 1678", "wrong-column-lends", "2566")]
    [InlineData("752 - 338", "bottom-lends", "434")]
    [InlineData("523 - 168", "every-digit-lends", "255")]
    [InlineData("523 - 168", "old-value-used", "465")]
    [InlineData("543 - 138", "old-value-used-to-avoid-renaming", "405")]
    [InlineData("543 - 148", "old-value-used-to-avoid-renaming", "405")]
    [InlineData("52 - 38", "receiver-unchanged", "16")]
    [InlineData("52 - 38", "receiver-nine-more", "13")]
    [InlineData("80 - 36", "set-zero-gives-bottom", "56")]
    [InlineData("314 - 128", "set-zero-gives-bottom", "186")]
    [InlineData("314 - 128", "lent-zero-gives-bottom", "226")]
    [InlineData("80 - 36", "set-zero-gives-zero", "50")]
    [InlineData("314 - 128", "lent-zero-gives-zero", "206")]
    [InlineData("80 - 36", "zero-top-counts-as-ten", "54")]
    [InlineData("80 - 36", "zero-top-counts-as-nine", "53")]
    [InlineData("415 - 203", "zero-below-blank", "22")]
    [InlineData("5003 - 1248", "passed-zero-beside-receiver-ten", "3765")]
    [InlineData("5003 - 1248", "second-zero-skipped", "2855")]
    [InlineData("5003 - 1248", "near-zero-skipped", "3665")]
    [InlineData("604 - 278", "passed-zero-eight", "316")]
    [InlineData("604 - 278", "zero-becomes-ten-alone", "436")]
    [InlineData("47 - 23", "renames-always-last-digit", "14")]
    [InlineData("46 - 26", "renames-equal", "110")]
    [InlineData("46 - 26", "equal-gives-digit", "26")]
    [InlineData("467 - 123", "neighbour-always-less", "234")]
    [InlineData("466 - 126", "neighbour-less-after-equal", "330")]
    [InlineData("645 - 32", "nothing-below-one-less", "513")]
    [InlineData("645 - 72", "nothing-below-old-digit", "673")]
    [InlineData("52 - 38", "counts-start-number-when-raised", "15")]
    [InlineData("52 - 38", "counts-one-too-far", "3")]
    [InlineData("52 - 38", "adds-every-column", "810")]
    public void A_bug_gives_the_answer_worked_by_hand(string task, string bug, string answer) => Answer(task, bug).ShouldBe(answer);

    [Fact]
    public void Two_bugs_act_together() => Answer("640 - 58", "receiver-becomes-ten", "stops-when-bottom-ends").ShouldBe("52");

    [Fact]
    public void Renaming_across_zeros_leaves_the_marks_as_taught()
    {
        var page = Page("5003 - 1248");
        page.Get(WorkFields.Rewritten)!.At(3).ShouldBe(["4"]);
        page.Get(WorkFields.Rewritten)!.At(2).ShouldBe(["10", "9"]);
        page.Get(WorkFields.Rewritten)!.At(1).ShouldBe(["10", "9"]);
        page.Get(WorkFields.Rewritten)!.At(0).ShouldBe(["13"]);
        page.Get(WorkFields.Cells)!.At(0).ShouldBe(["5"]);
    }

    [Fact]
    public void A_made_bottom_digit_is_a_mark_below() =>
        Page("752 - 338", "bottom-lends").Get(WorkFields.RewrittenBelow)!.At(1).ShouldBe(["2"]);

    [Fact]
    public void Chances_are_counted_where_the_bug_could_show()
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse("604 - 278").Value!, run, Students("turns-column-round"));
        (run.Chances, run.Followed).ShouldBe((2, 2));
        Method.Run(TaskText.TryParse("604 - 278").Value!, run, Students("turns-column-round"), declined: 0b10);
        (run.Chances, run.Followed).ShouldBe((2, 1));
        run.Page.Answer.ToString().ShouldBe("334");
    }

    [Fact]
    public void Declining_a_chance_can_take_away_later_ones()
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse("604 - 278").Value!, run, Students("turns-column-round"), declined: 0b1);
        run.Chances.ShouldBe(1);
        run.Page.Answer.ToString().ShouldBe("326");
    }

    [Fact]
    public void Two_deviations_that_claim_one_decision_are_seen_as_conflicting()
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse("52 - 38").Value!, run, Students("turns-column-round", "zero-when-short"));
        run.InConflict.ShouldBeTrue();
        Method.Run(TaskText.TryParse("58 - 32").Value!, run, Students("turns-column-round", "zero-when-short"));
        run.InConflict.ShouldBeFalse();
    }

    [Fact]
    public void A_slip_alters_one_step_once()
    {
        var trace = new MethodRun { Recording = true };
        var task = TaskText.TryParse("523 - 168").Value!;
        Method.Run(task, trace, DeviationSet.Taught);
        var fact = trace.Steps.First(s => s.Fact == new NumberFact(FactKind.Minus, 13, 8));
        Method.Run(task, trace, DeviationSet.Taught, slip: new Slip(fact.Number, 6));
        trace.Page.Answer.ToString().ShouldBe("356");
    }

    [Fact]
    public void A_wrong_fact_is_recalled_each_time()
    {
        var run = new MethodRun();
        var set = new DeviationSet([[new FactDeviation(new NumberFact(FactKind.Minus, 13, 7), 5)]]);
        Method.Run(TaskText.TryParse("23 - 7").Value!, run, set);
        run.Page.Answer.ToString().ShouldBe("15");
    }

    [Fact]
    public void Every_unlisted_deviation_ends_with_an_answer_or_a_blank()
    {
        var run = new MethodRun();
        foreach (var unlisted in SubtractionDecisions.All.SelectMany(p => p.AllDeviations()))
            foreach (var task in ItemPool.Of(FamilyList.Subtraction, 40, seed: 2))
            {
                Method.Run(task, run, new DeviationSet([[unlisted.Deviation]]));
                foreach (var sign in run.Page.Answer) char.IsAsciiDigit(sign).ShouldBeTrue(unlisted.Id);
            }
    }

    [Fact]
    public void A_run_for_the_answer_alone_allocates_next_to_nothing()
    {
        var run = new MethodRun();
        var task = TaskText.TryParse("50031 - 12487").Value!;
        for (var i = 0; i < 100; i++) Method.Run(task, run, DeviationSet.Taught);
        var before = GC.GetAllocatedBytesForCurrentThread();
        for (var i = 0; i < 1000; i++) Method.Run(task, run, DeviationSet.Taught);
        ((GC.GetAllocatedBytesForCurrentThread() - before) / 1000).ShouldBeLessThan(200);
    }

    /// <summary>Ten items worked by hand with their marks: what stands over the top digits, ones first, and the answer.</summary>
    [Theory]
    [InlineData("86 - 42", "", "44")]
    [InlineData("52 - 38", "0:12 1:4", "14")]
    [InlineData("80 - 36", "0:10 1:7", "44")]
    [InlineData("523 - 168", "0:13 1:1,11 2:4", "355")]
    [InlineData("604 - 278", "0:14 1:10,9 2:5", "326")]
    [InlineData("500 - 123", "0:10 1:10,9 2:4", "377")]
    [InlineData("731 - 480", "1:13 2:6", "251")]
    [InlineData("5003 - 1248", "0:13 1:10,9 2:10,9 3:4", "3755")]
    [InlineData("7004 - 1586", "0:14 1:10,9 2:10,9 3:6", "5418")]
    [InlineData("8214 - 5060", "1:11 2:1", "3154")]
    public void Items_are_worked_with_the_marks_of_the_hand(string task, string marks, string answer)
    {
        var page = Page(task);
        var written = page.Get(WorkFields.Rewritten)!;
        string.Join(' ', written.Places.Select(p => $"{p}:{string.Join(',', written.At(p))}")).ShouldBe(marks);
        Answer(task).ShouldBe(answer);
    }

    [Fact]
    public void Every_bug_of_the_catalogue_has_an_answer_worked_by_hand()
    {
        var worked = typeof(SubtractionMethodTests).GetMethod(nameof(A_bug_gives_the_answer_worked_by_hand))!
            .GetCustomAttributes(typeof(InlineDataAttribute), false).Cast<InlineDataAttribute>().Select(d => "subtraction." + d.Data[1]).ToHashSet();
        Catalogue.Of(FamilyList.Subtraction).Select(b => b.Id).Where(id => !worked.Contains(id)).ShouldBeEmpty();
    }

    [Fact]
    public void A_smaller_top_number_is_taken_from_the_larger_with_a_minus_sign()
    {
        Answer("38 - 52").ShouldBe("-14");
        Answer("38 - 52", "turns-column-round").ShouldBe("-26");
    }
}
