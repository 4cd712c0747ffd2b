using OpenQA.Selenium;
using Shouldly;
using UglyToad.PdfPig;
using UglyToad.PdfPig.DocumentLayoutAnalysis.TextExtractor;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>From an accepted explanation to printed paper, in families that have little in common.</summary>
public sealed class PlanPathTests(Browser browser) : IClassFixture<Browser>
{
    // Wholes opened and left as they were, a number added that was to go, counters drawn: the longest cards.
    [Theory]
    [InlineData("7 1/4 - 2 5/6 = 5 5/12\n6 1/5 - 2 4/5 = 4 2/5\n5 2/3 - 1 1/2 = 4 1/6\n8 1/6 - 3 5/6 = 5 1/3\n9 3/8 - 4 7/8 = 5 1/2\n4 1/3 - 1 2/3 = 3 2/3")]
    [InlineData("solve 2x + 7 = 15 = 11\nsolve 3x + 4 = 19 = 23/3\nsolve 4x - 9 = 11 = 1/2\nsolve 5x + 3 = 28 = 31/5\nsolve 6x - 5 = 13 = 4/3")]
    public void A_session_card_is_printed_on_one_page_and_read_aloud(string items)
    {
        browser.BeginPage(items);
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/") && b.Text.Contains("Practice, with key"), "the plan");
        browser.FromMenu("Session card");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("table.ticks tbody tr")).Count >= 9, "the card");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Sized(360, 740, () => browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue());
        var margin = new PrintOptions.Margins { Top = 1.4, Bottom = 1.4, Left = 1.4, Right = 1.4 };
        var printed = ((ISupportsPrint)browser.Driver).Print(new PrintOptions { PageDimensions = new PrintOptions.PageSize { Width = 21, Height = 29.7 }, PageMargins = margin });
        using var document = PdfDocument.Open(Convert.FromBase64String(printed.AsBase64EncodedString));
        document.NumberOfPages.ShouldBe(1);
        browser.Go("/materials");
        browser.Until(b => b.Text.Contains("What to bring this week"), "the list");
        browser.AccessibilityFaults().ShouldBeEmpty();
    }

    [Fact]
    public void Words_are_edited_where_they_stand_and_kept_while_they_are_typed()
    {
        browser.BeginPage("456 + 378 = 724\n27 + 58 = 75\n604 + 297 = 891\n83 + 14 = 97\n745 + 86 = 721\n369 + 254 = 513");
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/") && b.Text.Contains("Practice, with key"), "the plan");
        var plan = new Uri(browser.Driver.Url).AbsolutePath;

        // A menu closes at Escape and gives the hand back.
        browser.Click("details[data-menu] summary");
        browser.Keys(Keys.Tab + Keys.Escape);
        browser.Script<bool>("return !document.querySelector('[data-menu]').open && document.activeElement.matches('summary')").ShouldBeTrue();

        browser.FromMenu("Change the words");
        browser.Until(b => b.Script<bool>("return document.activeElement.matches('[data-sentence=aim] textarea')"), "the hand in the aim");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Driver.FindElement(By.CssSelector("[data-print]")).Displayed.ShouldBeFalse("half a sentence is not printed");
        browser.Script<object?>("document.querySelector('[data-words]').click()");
        browser.Driver.FindElements(By.CssSelector("form.wordsbar")).Count.ShouldBe(1);
        browser.Script<object?>("document.activeElement.select()");
        browser.Keys("Ten beads make one on the next string.");

        // Reloaded before it was sent, what was typed is still there; a second look at the menu brings it back.
        browser.Go(plan);
        browser.FromMenu("Change the words");
        browser.Until(b => b.Script<bool>("return document.activeElement.value === 'Ten beads make one on the next string.'"), "what was typed");
        browser.Click("form.wordsbar button.next");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("form.wordsbar")).Count == 0 && b.Text.Contains("Ten beads make one on the next string. changed"), "kept and marked");
        browser.FromMenu("Change the words");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-sentence=aim] [data-put]")).Count == 1, "as it was");
        browser.Click("[data-sentence=aim] [data-put]");
        browser.Click("form.wordsbar button.next");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("form.wordsbar")).Count == 0 && !b.Text.Contains("Ten beads"), "put back");
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    // Answers worked by hand: carries dropped, zeros of the quotient left out, − − read as −.
    [Theory]
    [InlineData("456 + 378 = 724\n27 + 58 = 75\n604 + 297 = 891\n83 + 14 = 97\n745 + 86 = 721\n369 + 254 = 513", "Can we make a ten?")]
    [InlineData("6012 / 6 = 12\n816 / 8 = 12\n4218 / 6 = 73\n100 / 7 = 14r2\n3624 / 12 = 32\n7028 / 7 = 14\n952 / 28 = 34", "What is left")]
    [InlineData("-7 - -12 = -19\n4 - -3 = 1\n-8 + 5 = -3\n-6 - 9 = -15\n9 - -2 = 7\n-3 + -4 = -7\n-10 - -4 = -14", "What is taken away, a plus or a minus?")]
    public void An_accepted_explanation_comes_to_printed_paper(string items, string says)
    {
        browser.BeginPage(items);
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/") && b.Text.Contains("Practice, with key"), "the plan");
        var plan = new Uri(browser.Driver.Url).AbsolutePath;
        browser.Text.ShouldContain("K-06");
        browser.AccessibilityFaults().ShouldBeEmpty();

        // The first key on the page prints it; what is not for paper is not on it.
        browser.Script<bool>("return document.activeElement.matches('[data-print]')").ShouldBeTrue();
        browser.As("print", null, () =>
        {
            browser.Script<bool>("return [...document.querySelectorAll('.noprint, .topline')].every(e => getComputedStyle(e).display === 'none')").ShouldBeTrue();
            browser.Driver.FindElements(By.CssSelector("button")).ShouldAllBe(b => !b.Displayed);
        });
        foreach (var (link, pictures) in new[] { ("Practice sheet", 12), ("Faded examples", 6) })
        {
            browser.Go(plan);
            browser.FromMenu(link);
            browser.Until(b => b.Driver.FindElements(By.CssSelector("article svg.working")).Count == pictures, link);
            browser.AccessibilityFaults().ShouldBeEmpty();
            var file = Pdf(new Uri(browser.Driver.Url).AbsolutePath + "?as=pdf&size=letter");
            file.Pages.ShouldBeInRange(1, items.Contains('/') ? 3 : 2, link); // twelve divisions by two digits can take three; which they are hangs on the page
            file.Text.ShouldContain("K-06");
        }

        var written = Pdf(plan + "?as=pdf");
        written.Pages.ShouldBeInRange(2, 3);
        written.Text.ReplaceLineEndings(" ").ShouldContain("Worked example, with the why");
        browser.Go(plan + "/words");
        browser.Until(b => b.Text.Contains("Say it in your own words"), "the words");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Driver.FindElement(By.Id("s-say")).GetAttribute("value").ShouldNotBeEmpty();

        // A word typed and left without being kept is there again, and kept it stands in the plan.
        browser.Driver.FindElement(By.Id("s-check")).SendKeys(" Look twice.");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Driver.FindElement(By.Id("s-check")).GetAttribute("value")!.EndsWith("Look twice."), "kept in the browser");
        browser.Click(By.XPath("//button[.='Keep these words']"));
        browser.Until(b => new Uri(b.Driver.Url).AbsolutePath == plan && b.TextOf("article.plan").Contains("Look twice."), "in the plan");
        browser.TextOf("article.plan").ShouldContain(says);
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void Where_the_classroom_works_in_another_way_replay_and_typing_follow()
    {
        browser.BeginPage("47 * 38 = 1786\n456 + 378 = 834");
        var page = browser.PagePath;
        browser.Go("/students/K-06/edit");
        browser.Click(".school summary");
        foreach (var (question, answer) in new[] { ("placeholder", "1"), ("carry-mark", "1") })
            browser.Script<object?>("document.getElementById(arguments[0]).value = arguments[1]", $"school-{question}", answer);
        browser.Click(By.XPath("//button[.='Save']"));
        browser.Until(b => b.Text.Contains("A row of tens begins one place further left, nothing written."), "the file says so");
        browser.Go(page + "/items/1");
        browser.Until(b => b.Text.Contains("As it is taught") || b.Driver.FindElements(By.CssSelector(".replay")).Count > 0, "the replay");
        browser.Keys(K.End);
        var last = "[...document.querySelectorAll('.replay .frame:not([hidden]) svg')].at(0)";
        browser.Script<string>($"return [...{last}.querySelectorAll('text.hand:not(.small)')].map(t => t.textContent).join('')").ShouldBe("673" + "141" + "6871"); // from the right: 376, 141 without its zero, 1786
        browser.Go("/students/K-06/edit");
        browser.Script<object?>("for (const s of document.querySelectorAll('.school select')) s.value = '0'");
        browser.Click(By.XPath("//button[.='Save']"));
        browser.Until(b => !b.Text.Contains("nothing written"), "as it was");
    }

    private (int Pages, string Text) Pdf(string address)
    {
        var file = (string)browser.Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            fetch(arguments[0]).then(r => r.blob()).then(blob => { const reader = new FileReader(); reader.onload = () => done(reader.result.split(",")[1]); reader.readAsDataURL(blob); });
            """, address)!;
        using var document = PdfDocument.Open(Convert.FromBase64String(file));
        return (document.NumberOfPages, string.Join('\n', document.GetPages().Select(p => ContentOrderTextExtractor.GetText(p))));
    }
}
