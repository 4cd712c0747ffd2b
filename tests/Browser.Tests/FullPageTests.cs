using OpenQA.Selenium.Interactions;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>A page of each family that stands in lines, with all its working, typed in from a file of the format by keyboard and stored as the file has it.</summary>
public sealed class FullPageTests(Browser browser) : IClassFixture<Browser>
{
    /// <summary>Tasks of a family, and the bug of the student who works them.</summary>
    public static TheoryData<string, string> Pages => new()
    {
        { "fractions.own-bottom", "2/3 + 3/5\n5/6 - 1/4\n3/8 + 1/8\n7/10 - 2/5\n1/2 + 1/3" },
        { "mixed-numbers.ten-for-a-whole", "7 1/4 - 2 5/6\n3 1/2 + 1 3/4\n5 - 2 1/3\n6 1/8 - 3 1/2\n4 2/5 + 1 1/5" },
        { "polynomials.minus-first-term-only", "simplify (4x^2 - 3x) - (x^2 - 5)\nsimplify (2y + 3) + (5y - 7)\nsimplify (6a - 1) - (-2a + 4)" },
        { "expanding.middle-once", "expand (y - 6)(y + 9)\nexpand 3x(2x - 7)\nexpand (x + 5)^2\nexpand -2(3a + 4)" },
        { "factoring.product-only", "factor x^2 + x - 12\nfactor 6x^2 + 9x\nfactor x^2 - 25\nfactor x^2 + 8x + 12" },
        { "roots.from-upper-root", "sqrt(31) to 0.1\nsqrt(49)\nsqrt(20) to 0.1\nsqrt(75) to 0.1" },
        { "equations.number-added", "solve 2x + 7 = 15\nsolve 5x - 3 = 2x + 12\nsolve 3(x + 4) = 21\nsolve x/3 + 2 = 5" },
    };

    [Theory]
    [MemberData(nameof(Pages))]
    public void A_full_page_of_lines_is_typed_and_stored_as_the_file_has_it(string bug, string tasks)
    {
        var student = new SimulatedStudent(Hypothesis.Of(Catalogue.Find(bug).ShouldNotBeNull()), 1, 0, seed: 7);
        var set = ItemList.TryParse(tasks, null, out _);
        var file = SheetReader.TryRead(SheetWriter.Write(new WorkedSheet { Student = "K-06", Items = [.. set.Select(student.Write)] }), out var fault).ShouldNotBeNull(fault?.ToString());
        file.Items.Sum(i => LineLayout.Lines(i).Count + BesideLayout.Written(i).Count).ShouldBeGreaterThan(file.Items.Count, "there is work to type");
        browser.BeginPage(tasks, "FromLeft");
        foreach (var (item, blank) in file.Items.Zip(set)) Type(item, blank);
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");
        browser.Script<bool>("return document.activeElement.hasAttribute('data-done')").ShouldBeTrue("behind the last item the way on");
        var stored = SheetReader.TryRead(browser.Stored(), out _).ShouldNotBeNull();
        foreach (var (typed, written) in stored.Items.Zip(file.Items))
        {
            typed.Task.Canonical(typed.Answer ?? "").ShouldBe(written.Task.Canonical(written.Answer ?? ""), written.Task.Text);
            LineLayout.Lines(typed).ShouldBe(LineLayout.Lines(written), written.Task.Text);
            BesideLayout.Written(typed).ShouldBe(BesideLayout.Written(written), ignoreOrder: true, written.Task.Text);
        }

        browser.ConsoleErrors().ShouldBeEmpty();
    }

    // The cells beside the lines in the order in which Enter goes through them, then the lines, and with ↓ to the next item.
    private void Type(WorkedItem item, WorkedItem blank)
    {
        var cells = BesideLayout.Written(item);
        foreach (var part in BesideLayout.Of(blank).Where(p => p.Cells.Any(c => cells.ContainsKey(c.Id))))
        {
            new Actions(browser.Driver).KeyDown(K.Alt).SendKeys(part.Key.ToString()).KeyUp(K.Alt).Perform();
            browser.Keys(string.Concat(part.Cells.Select(c => cells.GetValueOrDefault(c.Id, "") + K.Enter)));
        }

        browser.Keys(string.Join(K.Enter, LineLayout.Lines(item)) + K.ArrowDown);
    }
}
