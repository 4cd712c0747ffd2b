using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Shouldly;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>Typing in: every key, both directions, the mouse, a slow or lost connection, two tabs.</summary>
public sealed class TypingTests(Browser browser) : IClassFixture<Browser>
{
    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    private void ClickSquare(int item, double across, double down)
    {
        var svg = browser.Driver.FindElements(By.CssSelector("[data-drawing] svg"))[item];
        new Actions(browser.Driver).MoveToElement(svg, (int)((across - 0.5) * svg.Size.Width), (int)((down - 0.5) * svg.Size.Height)).Click().Perform();
    }

    private void PressKey(string key) => browser.Click($"[data-key='{key}']");

    [Fact]
    public void A_browser_without_room_saves_all_the_same_and_says_that_the_page_must_stay_open()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        browser.Script<object?>("Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); };");
        browser.Offline(() =>
        {
            browser.Keys("474" + K.Enter);
            browser.Until(b => b.TextOf("[data-saving]") == "This browser has no room to keep what you type: leave the page open until it says “Saved.” Not connected. It is sent when the connection is back.", "that nothing is kept is said");
        });
        Saved();
        browser.Stored().ShouldContain("474");
    }

    [Fact]
    public void Reading_waits_for_the_last_digit_and_says_what_is_not_saved()
    {
        browser.BeginPage("604 - 278\n52 - 38\n81 - 27\n93 - 46");
        browser.Keys("474" + K.Enter + "62" + K.Enter + "66" + K.Enter);
        Saved();
        browser.Driver.NetworkConditions = new OpenQA.Selenium.Chromium.ChromiumNetworkConditions { Latency = TimeSpan.FromMilliseconds(700), DownloadThroughput = 1_000_000, UploadThroughput = 1_000_000 };
        browser.Keys("35");
        browser.Click("[data-done]");
        browser.Until(b => b.Driver.Url.EndsWith("/reading"), "the reading");
        browser.Driver.ClearNetworkConditions();
        browser.Stored().ShouldContain("\"answer\": \"53\"");
        browser.Driver.FindElements(By.CssSelector(".itemname")).Select(n => n.Text).ShouldBe(["1 bug", "2 bug", "3 bug", "4 bug"]);
    }

    [Fact]
    public void Enter_on_an_empty_item_leaves_it_blank_and_the_last_one_leads_on()
    {
        browser.BeginPage("604 - 278\n52 - 38\n81 - 27");
        browser.Keys("474" + K.Enter + K.Enter);
        browser.Until(b => b.TextOf("[data-reads]") == "Item 2 is left blank", "the blank is said");
        browser.Keys("66" + K.Enter);
        browser.Until(b => b.Script<bool>("return document.activeElement.matches('[data-done]')"), "the hand is on reading");
        Saved();

        // Come back later, the hand is not at the blank.
        browser.Go(browser.PagePath);
        browser.Until(b => b.TextOf("[data-reads]").StartsWith("Item 2", StringComparison.Ordinal), "the only open item");
    }

    [Fact]
    public void What_is_kept_in_the_browser_is_said_on_the_desk_and_on_every_page_of_the_student()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        var page = browser.PagePath;
        browser.WithoutTyping(() =>
        {
            browser.Keys("474");
            browser.Until(b => b.TextOf("[data-saving]").StartsWith("Not connected."), "the lost connection is shown");
            browser.Click("[data-done]");
            browser.Until(b => b.TextOf("[data-not-yet]") == "Not read yet. Item 1 is not saved.", "what is not saved is said");
            foreach (var address in new[] { "/", "/students/K-06", page + "/reading", page + "/edit", page + "/items/1", "/students/K-06/pages/new", "/students/K-06/edit" })
            {
                browser.Go(address);
                browser.Until(b => b.TextOf("[data-unsent]").StartsWith("K-06: the answer to item 1 is kept in this browser only"), address);
            }

            browser.Go("/students/K-05");
            browser.Driver.FindElement(By.CssSelector("[data-unsent]")).Displayed.ShouldBeFalse();
            browser.Go("/");
        });
        browser.Click(By.LinkText("Open the page to send them"));
        browser.Until(b => b.Driver.Url.EndsWith(page) && b.TextOf("[data-saving]") == "Saved." && b.Stored().Contains("474"), "sent when the page was opened");
        browser.Go("/");
        browser.Driver.FindElement(By.CssSelector("[data-unsent]")).Displayed.ShouldBeFalse();
    }

    [Fact]
    public void The_direction_is_asked_once_remembered_and_turns_what_was_typed_before()
    {
        browser.BeginPage("604 - 278\n52 - 38", "NotAsked");
        browser.Driver.FindElement(By.CssSelector("[data-ask-direction]")).Displayed.ShouldBeTrue();
        browser.Keys("326");
        browser.TextOf("[data-reads]").ShouldBe("Item 1 reads 623");
        browser.Click("[data-from-left]");
        browser.TextOf("[data-reads]").ShouldBe("Item 1 reads 326");
        browser.TextOf("[data-direction]").ShouldBe("→ from the left");
        browser.Keys(K.Enter + "14");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"14\"");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.TextOf("[data-direction]") == "→ from the left", "remembered");
        browser.Driver.FindElement(By.CssSelector("[data-ask-direction]")).Displayed.ShouldBeFalse();
        browser.Keys("L");
        browser.TextOf("[data-direction]").ShouldBe("← from the right");
        browser.Keys("l");
        browser.TextOf("[data-direction]").ShouldBe("→ from the left");
        browser.Driver.FindElements(By.CssSelector(".working .way")).Count.ShouldBe(1);
    }

    [Fact]
    public void An_answer_typed_in_the_wrong_direction_is_seen_at_once_and_turned_by_one_button()
    {
        browser.BeginPage("604 - 278\n52 - 38\n81 - 27");
        browser.Keys("326" + K.Enter);
        browser.Until(b => b.TextOf("[data-turned-text]") == "Item 1 reads 623. Typed from the other side it would be 326.", "it is said");
        browser.Click("[data-turn]");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"326\"");
        browser.Driver.FindElement(By.CssSelector("[data-turned]")).Displayed.ShouldBeFalse();
    }

    [Fact]
    public void A_page_typed_from_the_other_side_is_asked_about_as_a_page_and_turned_by_one_button()
    {
        browser.BeginPage("604 - 278\n523 - 168\n81 - 27\n90 - 36");
        browser.Keys("326" + K.Enter + "355" + K.Enter + "54" + K.Enter);
        browser.Until(b => b.TextOf("[data-turned-text]") == "All 3 answers are right when they are read from the other side.", "asked as a page");
        browser.TextOf("[data-margin-outcome]").ShouldBe("All 3 answers are right when they are read from the other side.");
        browser.Click("[data-turn]");
        browser.TextOf("[data-direction]").ShouldBe("→ from the left");
        browser.TextOf("[data-reads]").ShouldBe("Item 4 is empty");
        browser.Keys("54");
        Saved();
        foreach (var answer in new[] { "326", "355", "54" }) browser.Stored().ShouldContain($"\"answer\": \"{answer}\"");
        browser.Driver.FindElement(By.CssSelector("[data-turned]")).Displayed.ShouldBeFalse();
    }

    [Fact]
    public void A_changed_direction_is_said_beside_the_paper_with_a_way_back_and_holds_for_this_page_only()
    {
        browser.BeginPage("604 - 278\n52 - 38", "FromLeft");
        browser.Keys("l");
        browser.TextOf("[data-switched-text]").ShouldBe("On this page digits now come from the right, as the columns are worked.");
        browser.Click("[data-switch-back]");
        browser.TextOf("[data-direction]").ShouldBe("→ from the left");
        browser.Driver.FindElement(By.CssSelector("[data-switched]")).Displayed.ShouldBeFalse();
        browser.Keys("l");
        browser.Until(_ => (string?)browser.App.SqlAsync("select direction from pages order by created_at desc limit 1").Result == "FromRight", "kept");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.TextOf("[data-direction]") == "← from the right", "remembered for the page");
        browser.BeginPage("81 - 27", "FromLeft");
        browser.TextOf("[data-direction]").ShouldBe("→ from the left");
    }

    [Fact]
    public void A_click_lands_on_the_square_under_it_also_where_the_answer_is_wider_than_the_task()
    {
        browser.BeginPage("52 - 38\n604 - 278");
        browser.Keys("123456");
        Saved();

        // Six columns; the third square from the left of the answer is the thousands.
        ClickSquare(0, 2.5 / 6, 4.5 / 5);
        browser.TextOf("[data-spoken]").ShouldEndWith("at the thousands");
        browser.Keys("9");
        browser.TextOf("[data-reads]").ShouldBe("Item 1 reads 659321");
        ClickSquare(1, 2.5 / 4, 2.5 / 5);
        browser.TextOf("[data-spoken]").ShouldEndWith("over the tens");
        ClickSquare(1, 3.5 / 4, 4.5 / 5);
        browser.TextOf("[data-spoken]").ShouldEndWith("at the ones");
    }

    [Fact]
    public void Home_End_and_the_keys_on_the_screen_work_and_Alt_with_an_arrow_stays_the_browsers()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        browser.Keys(K.Home);
        browser.TextOf("[data-spoken]").ShouldEndWith("at the thousands");
        browser.Keys(K.End);
        browser.TextOf("[data-spoken]").ShouldEndWith("at the ones");
        foreach (var key in new[] { "6", "2", "ArrowUp", "ArrowRight", "9", "Backspace", "5", "ArrowDown", "3", "Enter" }) PressKey(key);
        Saved();
        browser.Stored().ShouldContain("\"rewritten\": {\"1\": \"5\"}");
        browser.TextOf("[data-reads]").ShouldBe("Item 2 is empty");
        PressKey("4");
        PressKey("undo");
        browser.TextOf("[data-reads]").ShouldBe("Item 2 is empty");
        new Actions(browser.Driver).KeyDown(K.Alt).SendKeys(K.ArrowLeft).KeyUp(K.Alt).Perform();
        browser.Script<bool>("const e = new KeyboardEvent('keydown', { key: 'ArrowLeft', altKey: true, bubbles: true, cancelable: true }); document.querySelector('[data-paper]')?.dispatchEvent(e); return e.defaultPrevented").ShouldBeFalse();
    }

    [Fact]
    public void Tab_goes_from_the_paper_by_the_direction_and_the_box_to_reading_the_page()
    {
        browser.BeginPage("604 - 278");
        foreach (var next in new[] { "[data-direction]", "[name=marksComplete]", "[data-done]" })
        {
            browser.Keys(K.Tab);
            browser.Script<bool>("return document.activeElement.matches(arguments[0])", next).ShouldBeTrue(next);
        }
    }

    [Fact]
    public void Digits_typed_beside_the_paper_land_on_it()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        browser.TabTo("[name=marksComplete]");
        browser.Keys("6");
        browser.TextOf("[data-reads]").ShouldBe("Item 1 reads 6");
        browser.Script<bool>("return document.activeElement.matches('[data-paper]')").ShouldBeTrue();
    }

    [Fact]
    public void Enter_on_the_last_item_goes_to_the_first_open_one_and_leaves_only_when_none_is_open()
    {
        browser.BeginPage("604 - 278\n52 - 38\n81 - 27");
        ClickSquare(2, 0.9, 0.9);
        browser.Keys("66" + K.Enter);
        browser.TextOf("[data-reads]").ShouldBe("Item 1 is empty");
        browser.Script<bool>("return document.activeElement.matches('[data-paper]')").ShouldBeTrue();
        browser.Keys("474" + K.Enter + "62" + K.Enter);
        browser.TextOf("[data-reads]").ShouldBe("Item 3 reads 66");
        browser.Keys(K.Enter);
        browser.Script<bool>("return document.activeElement.matches('[data-done]')").ShouldBeTrue();
    }

    [Fact]
    public void Cannot_be_read_outlives_strike_outs_and_their_erasing()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        browser.Keys("u" + K.ArrowUp + "4" + K.Backspace + "5");
        browser.TextOf("[data-reads]").ShouldBe("Item 1 cannot be read");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"?\"");
        browser.Stored().ShouldContain("\"rewritten\": {\"0\": \"5\"}");

        // All of an item is said when the hand comes to it, and then only what has changed.
        browser.TextOf("[data-spoken]").ShouldBe("4 struck out, 5 above; over the ones");
        browser.Keys(K.ArrowDown);
        browser.TextOf("[data-spoken]").ShouldBe("at the ones");
        browser.Keys(K.Backspace);
        browser.TextOf("[data-reads]").ShouldBe("Item 1 is empty");
        browser.TextOf("[data-spoken]").ShouldBe("answer empty; at the ones");
        browser.Keys("7" + K.Enter);
        browser.TextOf("[data-spoken]").ShouldStartWith("Item 2: 52 minus 38; answer empty; ");
    }

    [Fact]
    public void A_third_digit_over_a_struck_one_is_not_taken_and_said()
    {
        browser.BeginPage("604 - 278");
        browser.Keys(K.ArrowUp + "147");
        browser.TextOf("[data-reads]").ShouldStartWith("A new value has one or two digits");
        Saved();
        browser.Stored().ShouldContain("\"rewritten\": {\"0\": \"14\"}");
    }

    [Fact]
    public void A_digit_that_lends_three_times_is_struck_out_three_times()
    {
        browser.BeginPage("5004 - 1678");
        browser.Keys(K.ArrowUp + K.ArrowLeft + K.ArrowLeft + K.ArrowLeft + "4" + K.ArrowUp + "3" + K.ArrowUp + "2");
        browser.TextOf("[data-spoken]").ShouldBe("5 struck out, 4 struck out, 3 struck out, 2 above; over the thousands");
        Saved();
        browser.Stored().ShouldContain("\"rewritten\": {\"3\": [\"4\", \"3\", \"2\"]}");

        // A column further there is nothing to be struck out a third time: the hand is over the digit itself.
        browser.Keys(K.ArrowRight + "9");
        Saved();
        browser.Stored().ShouldContain("\"rewritten\": {\"2\": \"9\", \"3\": [\"4\", \"3\", \"2\"]}");
    }

    [Theory]
    [InlineData("FromRight", "4j11")]
    [InlineData("FromLeft", "11j4")]
    public void Two_digits_go_into_one_square_from_both_sides(string direction, string keys)
    {
        browser.BeginPage("47 - 23", direction);
        browser.Keys(keys);
        Saved();
        browser.Stored().ShouldContain("\"cells\": {\"0\": \"14\", \"1\": \"1\"}");
        browser.Keys(K.Backspace);
        browser.TextOf("[data-reads]").ShouldBe(direction == "FromLeft" ? "Item 1 reads 11" : "Item 1 reads 14");
    }

    [Fact]
    public void From_the_left_digits_follow_each_other_squares_can_be_filled_singly_and_left_empty()
    {
        browser.BeginPage("604 - 278\n4734 - 2734\n52 - 38", "FromLeft");
        browser.Keys("3267" + K.Backspace + K.Enter + "2   " + K.Enter + K.Home + K.ArrowRight + "14" + K.Backspace + "5");
        Saved();
        var stored = browser.Stored();
        stored.ShouldContain("\"answer\": \"326\"");
        stored.ShouldContain("\"cells\": {\"3\": \"2\"}");
        stored.ShouldContain("\"answer\": \"15\"");
    }

    [Theory]
    [InlineData("FromRight")]
    [InlineData("FromLeft")]
    public void Nothing_jumps_while_an_item_is_typed(string direction)
    {
        browser.BeginPage("604 - 278\n52 - 38\n8214 - 5060\n81 - 27", direction);
        var before = Places();
        browser.Keys("326" + K.ArrowUp + "4" + K.ArrowUp + "3" + K.ArrowDown + K.Enter + "14" + K.Enter + "3154" + K.Enter + "54");
        Places().ShouldBe(before);

        string Places() => browser.Script<string>("return JSON.stringify([...document.querySelectorAll('[data-drawing] svg')].map(s => { const b = s.getBoundingClientRect(); return [b.left, b.top + scrollY, b.width, b.height]; }))");
    }

    [Fact]
    public void How_it_stands_is_in_sight_wherever_the_caret_is_also_at_twice_the_size()
    {
        browser.BeginPage(string.Join('\n', Enumerable.Range(0, 30).Select(i => $"{604 + i} - 278")));
        browser.Sized(640, 400, () =>
        {
            for (var i = 0; i < 24; i++) browser.Keys(K.Enter);
            browser.Keys("1");
            foreach (var what in new[] { "[data-saving]", "[data-reads]", "li.current rect.caret" })
                browser.Script<bool>("const b = document.querySelector(arguments[0]).getBoundingClientRect(); return b.top >= 0 && b.bottom <= innerHeight", what).ShouldBeTrue(what);

            browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue();

            // The caret is not under the bar at the bottom either.
            browser.Script<bool>("return document.querySelector('li.current rect.caret').getBoundingClientRect().bottom <= document.querySelector('.statusbar').getBoundingClientRect().top + 1").ShouldBeTrue();
        });
    }

    [Fact]
    public async Task One_refused_item_holds_back_no_other_and_saved_is_said_when_all_is()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        await browser.App.SqlAsync($"update pages set content = jsonb_set(content, '{{items}}', (content->'items') - 1), item_versions = item_versions - '2' where id = '{browser.PagePath.Split('/')[^1]}'");
        browser.Keys("474" + K.Enter + "62");
        browser.Until(b => b.TextOf("[data-saving]") == "Item 2 is not saved: it is not on this page any more.", "the refusal is shown");
        browser.Stored().ShouldContain("\"answer\": \"474\"");
        new Actions(browser.Driver).KeyDown(K.Shift).SendKeys(K.Enter).KeyUp(K.Shift).SendKeys(K.Backspace + "5").Perform();
        browser.Until(_ => browser.Stored().Contains("\"answer\": \"574\""), "the other one is saved");
        browser.TextOf("[data-saving]").ShouldStartWith("Item 2 is not saved");
    }

    [Fact]
    public void Several_conflicts_are_all_shown_with_marks_and_answers_and_settled_one_by_one()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        var address = browser.Driver.Url;
        var first = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        browser.Driver.Navigate().GoToUrl(address);
        Saved();
        browser.Keys("623" + K.ArrowUp + K.End + "14" + K.Enter + "41");
        Saved();
        browser.Driver.Close();
        browser.Driver.SwitchTo().Window(first);
        browser.Driver.FindElement(By.CssSelector("[data-paper]")).SendKeys("474" + K.Enter + "62");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-conflicts] li")).Count == 2, "both conflicts");
        browser.TextOf("[data-saving]").ShouldContain("Items 1, 2 changed in another tab");
        browser.Script<string>("return [...document.querySelectorAll('[data-conflicts] li')].map(l => [...l.querySelectorAll('text.hand')].map(t => t.textContent).join('')).join('|')").ShouldBe("47414623|6241");
        browser.Driver.FindElements(By.CssSelector("[data-conflicts] li:first-child button"))[1].Click();
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-conflicts] li")).Count == 1, "one is settled");
        browser.Driver.FindElements(By.CssSelector("[data-conflicts] li:first-child button"))[0].Click();
        Saved();
        var stored = browser.Stored();
        stored.ShouldContain("\"answer\": \"326\"");
        stored.ShouldContain("\"rewritten\": {\"0\": \"14\"}");
        stored.ShouldContain("\"answer\": \"26\"");
    }

    [Theory]
    [InlineData("FromRight", 11)]
    [InlineData("FromLeft", 12)]
    public void Whatever_keys_are_pressed_what_is_drawn_is_what_is_stored(string direction, int seed)
    {
        string[] keys = ["0", "1", "2", "7", "9", "4", "5", K.Enter, K.ArrowLeft, K.ArrowRight, K.ArrowUp, K.ArrowDown, K.Backspace, K.Delete, " ", "j", "u", "l", K.Home, K.End, "undo"];
        browser.BeginPage("604 - 278\n52 - 38\n8214 - 5060\n3 - 1", direction);
        var random = new Random(seed);
        var pressed = new List<string>();
        for (var i = 0; i < 150; i++)
        {
            pressed.Add(keys[random.Next(keys.Length)]);
            browser.Script<object?>("document.querySelector('[data-paper]').focus()");
            if (pressed[^1] == "undo") browser.Undo();
            else browser.Keys(pressed[^1]);
        }

        Saved();
        var before = Drawn();
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "loaded again");
        Drawn().ShouldBe(before, string.Join(' ', pressed));
        browser.ConsoleErrors().Where(e => !e.Contains("/api/")).ShouldBeEmpty();

        string Drawn() => browser.Script<string>("return JSON.stringify([...document.querySelectorAll('[data-drawing] svg')].map(s => [...s.querySelectorAll('text')].map(t => t.textContent + ' ' + t.getAttribute('x') + ' ' + t.getAttribute('y')).sort()))");
    }

    [Fact]
    public async Task After_signing_in_again_in_another_tab_the_page_goes_on_by_itself()
    {
        browser.BeginPage("604 - 278\n52 - 38");
        var first = browser.Driver.CurrentWindowHandle;
        await browser.App.SqlAsync("delete from signed_in_browsers");
        browser.Driver.Manage().Cookies.DeleteAllCookies();
        browser.Keys("474");
        browser.Until(b => b.TextOf("[data-saving]").StartsWith("You are signed out."), "the sign-out is shown");
        browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        browser.SignIn();
        browser.Driver.Close();
        browser.Driver.SwitchTo().Window(first);
        browser.Until(b => b.TextOf("[data-saving]") == "Saved." && b.Stored().Contains("474"), "it goes on");
    }
}
