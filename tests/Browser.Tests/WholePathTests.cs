using OpenQA.Selenium;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

public sealed class WholePathTests(Browser browser) : IClassFixture<Browser>
{
    private void BeginPage(string items) => browser.BeginPage(items);

    private string Stored() => browser.Stored();

    [Fact]
    public void The_whole_way_by_keyboard_from_signing_in_to_a_printed_plan()
    {
        BeginPage("604 - 278\n52 - 38\n415 - 203\n81 - 27");

        // The digits from the right and one key an item; the second item with its marks: none.
        browser.Keys("474" + K.Enter + "62" + K.Enter + "212" + K.Enter + "66" + K.Enter);
        browser.Until(b => b.Driver.FindElement(By.CssSelector("[data-margin-list]")).Text.Contains("Turns the column round"), "the margin follows");
        browser.Until(b => b.Text.Contains("Saved."), "saved");
        Stored().ShouldContain("\"answer\": \"26\"");

        browser.TabTo("[data-done]");
        browser.Keys(K.Enter);
        browser.Until(b => b.TextOf("h1").StartsWith("Perrick turns the column round"), "the reading");
        browser.Driver.FindElements(By.CssSelector("ellipse.circle")).Count.ShouldBe(3);
        browser.TabTo("form[action*=Accept] button.next");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        browser.Text.ShouldContain("Worked example, with the why");

        var pdf = browser.Driver.Print(new PrintOptions()).AsByteArray;
        System.Text.Encoding.ASCII.GetString(pdf, 0, 5).ShouldBe("%PDF-");
        var pages = System.Text.RegularExpressions.Regex.Count(System.Text.Encoding.Latin1.GetString(pdf), @"/Type\s*/Page\b(?!s)");
        pages.ShouldBeInRange(1, 3);
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void Twelve_answers_take_no_more_keys_than_their_digits_and_one_an_item()
    {
        string[] answers = ["326", "355", "44", "212", "458", "585", "377", "415", "251", "582", "2257", "3154"];
        BeginPage("604 - 278\n523 - 168\n80 - 36\n415 - 203\n703 - 245\n952 - 367\n500 - 123\n867 - 452\n731 - 480\n640 - 58\n3006 - 749\n8214 - 5060");
        foreach (var answer in answers) browser.Keys(new string([.. answer.Reverse()]) + K.Enter);
        browser.Until(b => b.Text.Contains("12 of 12 items typed") && b.Text.Contains("Saved."), "all typed");
        foreach (var answer in answers) Stored().ShouldContain($"\"answer\": \"{answer}\"");
    }

    [Fact]
    public void Strike_outs_squares_with_two_digits_blanks_undo_and_the_other_side_are_typed_by_key()
    {
        BeginPage("604 - 278\n47 - 23\n4734 - 2734\n52 - 38\n81 - 27");
        browser.Keys("6" + K.ArrowUp + K.ArrowLeft + "5" + K.ArrowRight + "10" + K.ArrowUp + "9" + K.ArrowRight + "14" + K.ArrowDown + K.ArrowLeft + "23" + K.Enter);
        browser.Keys("4j11" + K.Enter);
        browser.Keys("   2" + K.Enter);
        browser.Keys("u" + K.Enter);
        browser.Keys("l54");
        browser.Keys("9");
        browser.Undo();
        browser.Until(_ => Stored().Contains("\"answer\": \"54\""), "saved after undo");
        var stored = Stored();
        stored.ShouldContain("\"answer\": \"326\"");
        stored.ShouldContain("\"rewritten\": {\"0\": \"14\", \"1\": [\"10\", \"9\"], \"2\": \"5\"}");
        stored.ShouldContain("\"cells\": {\"0\": \"14\", \"1\": \"1\"}");
        stored.ShouldContain("\"cells\": {\"3\": \"2\"}");
        stored.ShouldContain("\"answer\": \"?\"");
        stored.ShouldContain("\"answer\": \"54\"");
    }

    [Fact]
    public void What_is_typed_without_a_connection_is_kept_over_a_reload_and_sent_when_it_is_back()
    {
        BeginPage("604 - 278\n52 - 38");
        browser.Offline(() =>
        {
            browser.Keys("474");
            browser.Until(b => b.Text.Contains("Not connected."), "the lost connection is shown");
            Stored().ShouldNotContain("474");
        });
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Text.Contains("Saved.") && Stored().Contains("474"), "sent after the reload");
        browser.Until(b => (long)b.Driver.ExecuteScript("return Object.keys(localStorage).filter(k => k.includes(':item:')).length")! == 0, "nothing is left to send");
    }

    [Fact]
    public void What_was_on_its_way_when_the_page_was_left_is_not_taken_for_somebody_elses()
    {
        BeginPage("604 - 278\n52 - 38");

        // The server takes the first digit; its answer never comes.
        browser.Script<object?>("const send = window.fetch; window.fetch = async (...a) => { await send(...a); return new Promise(() => {}); };");
        browser.Keys("4");
        browser.Until(_ => Stored().Contains("\"answer\": \"4\""), "the first digit is taken");
        browser.Keys("74");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Text.Contains("Saved.") && Stored().Contains("474"), "all of it is sent");
        browser.TextOf("[data-conflicts]").ShouldBe("");
        browser.Until(b => (long)b.Driver.ExecuteScript("return Object.keys(localStorage).filter(k => k.includes(':item:')).length")! == 0, "nothing is left to send");
    }

    [Fact]
    public void Two_tabs_do_not_overwrite_each_other_unseen()
    {
        BeginPage("604 - 278\n52 - 38");
        var first = browser.Driver.CurrentWindowHandle;
        var address = browser.Driver.Url;
        browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        browser.Driver.Navigate().GoToUrl(address);
        browser.Until(b => b.Text.Contains("Saved."), "second tab");
        browser.Keys("623");
        browser.Until(_ => Stored().Contains("326"), "second tab saved");
        var second = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().Window(first);
        browser.Driver.ExecuteScript("document.querySelector('[data-paper]').focus()");
        browser.Keys("474");
        browser.Until(b => b.TextOf("[data-conflicts]").Contains("Item 1"), "the conflict is shown");
        browser.Click("[data-conflicts] button");
        browser.Until(_ => Stored().Contains("474"), "the choice is kept");
        browser.Driver.SwitchTo().Window(second).Close();
        browser.Driver.SwitchTo().Window(first);
    }

    [Fact]
    public void A_replay_goes_step_by_step_with_the_arrow_keys()
    {
        BeginPage("604 - 278 = 474");
        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/items/1");
        browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
        browser.Keys(K.ArrowRight);
        browser.Until(b => b.Text.Contains("Step 2 of") && b.Text.Contains("turns the column round"), "the next step");
        browser.Keys(K.ArrowLeft);
        browser.Until(b => b.Text.Contains("Step 1 of"), "and back");
    }

    [Fact]
    public void Signing_out_leaves_nothing_of_a_student_in_the_browser()
    {
        BeginPage("604 - 278");
        browser.Driver.ExecuteScript("localStorage.setItem('pencil:somebody:field:x', '\"y\"')");
        browser.TabTo("form[data-sign-out] button");
        browser.Keys(K.Enter);
        browser.Until(b => b.Text.Contains("Sign in"), "signed out");
        ((long)browser.Driver.ExecuteScript("return localStorage.length")!).ShouldBe(0);
    }

    [Fact]
    public void Every_page_meets_the_guidelines()
    {
        BeginPage("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558");
        var page = new Uri(browser.Driver.Url).AbsolutePath;
        Check("typing");
        foreach (var address in new[] { "/", "/account", "/thrown-away", "/add-student", "/students/K-01", "/students/K-01/edit", "/students/K-01/looks", "/students/K-05/ideas", "/students/K-05/facts", "/materials", "/paper", "/?find=turns", "/?archive=true", page + "/edit", page + "/sheet", "/students/K-01/pages/new", page + "/reading", page + "/items/1", "/no-such-page" })
        {
            browser.Go(address);
            Check(address);
        }

        browser.Go(page + "/reading");
        browser.TabTo("form[action*=Accept] button");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        Check("plan");
        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/practice");
        Check("practice");
        browser.Driver.Manage().Cookies.DeleteAllCookies();
        browser.Go("/sign-in");
        Check("sign in");

        void Check(string what) => browser.AccessibilityFaults().ShouldBeEmpty(what);
    }

    [Fact]
    public async Task An_explanation_is_rejected_renamed_and_noted_by_keyboard_and_all_of_it_is_kept()
    {
        BeginPage("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66");
        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/reading");
        // Enter in the note keeps the note and never accepts; the name is a field of its own.
        browser.TabTo("#note");
        browser.Keys("said it aloud" + K.Enter);
        browser.Until(b => b.Text.Contains("Noted by") && b.Text.Contains("said it aloud"), "the note");
        browser.Driver.Url.ShouldContain("/reading");
        browser.TabTo("#ownName");
        browser.Keys("the turner" + K.Enter);
        browser.Until(b => b.TextOf("h1").StartsWith("“the turner”"), "the name");
        browser.TabTo("form[action*=Reject] button");
        browser.Keys(K.Enter);
        browser.Until(b => b.Text.Contains("Rejected by Demo specialist"), "rejected");
        await browser.App.SqlAsync("delete from rule_names");
    }

    [Fact]
    public void What_a_page_cannot_tell_is_asked_and_told_apart_by_the_answer()
    {
        BeginPage("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/reading");
        browser.Until(b => b.Text.Contains("this page cannot tell which"), "not told apart");
        browser.TabTo("form[action*=Ask] button");
        browser.Keys(K.Enter);
        browser.Until(b => b.Text.Contains("Saved.") && b.Driver.FindElements(By.CssSelector("[data-item]")).Count > 5, "the new items");
        browser.TextOf("[data-reads]").ShouldBe("Item 6 is empty");
    }

    [Fact]
    public void Another_explanation_can_be_drawn_over_the_page()
    {
        BeginPage("604 - 278 = 426\n703 - 245 = 558\n586 - 243 = 343");
        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/reading");
        browser.TabTo(".sentence a");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.Contains("rules="), "the second explanation");
        browser.Driver.FindElements(By.CssSelector(".explanations .chosen")).Count.ShouldBe(1);
    }

    [Fact]
    public void What_is_typed_into_a_form_outlives_a_reload_until_it_is_taken_in()
    {
        browser.SignIn();
        browser.Go("/students/K-06/pages/new");
        browser.Keys("604 - 278" + K.Tab + "Spars");
        browser.Driver.Navigate().Refresh();
        browser.Driver.FindElement(By.Id("title")).GetAttribute("value").ShouldBe("Spars");
        browser.Driver.FindElement(By.Id("items")).GetAttribute("value").ShouldBe("604 - 278");
        browser.TabTo("button.next");
        browser.Keys(K.Enter);
        browser.Until(b => b.Text.Contains("Saved."), "the typing page");
        browser.Go("/students/K-06/pages/new");
        browser.Driver.FindElement(By.Id("items")).GetAttribute("value").ShouldBeEmpty();
    }

    [Theory]
    [InlineData(1280)]
    [InlineData(1024)]
    [InlineData(640)]
    [InlineData(360)]
    public void No_page_is_wider_than_the_window(int width)
    {
        BeginPage("604 - 278 = 426\n703 - 245 = 558\n5003 - 1248 = 3755\n8214 - 5060 = 3154\n586 - 243 = 343");
        var page = new Uri(browser.Driver.Url).AbsolutePath;
        var edit = page + "/edit";
        browser.Go(edit);
        browser.Driver.FindElement(By.Id("title")).SendKeys(new string('W', 120));
        browser.TabTo("form button.next");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.EndsWith(page), "saved");
        browser.Go(page + "/reading");
        browser.Driver.FindElement(By.Id("note")).SendKeys(new string('m', 150) + K.Enter);
        browser.Until(b => b.Text.Contains("Noted by"), "the note");
        browser.Sized(width, 900, () =>
        {
            foreach (var address in new[] { "/", "/account", "/thrown-away", "/students/K-06", "/students/K-06/edit", "/students/K-06/pages/new", page, edit, page + "/sheet", page + "/reading", page + "/items/1" })
            {
                browser.Go(address);
                browser.Script<bool>("return document.documentElement.scrollWidth <= window.innerWidth").ShouldBeTrue($"{address} at {width}");
            }
        });
    }
}
