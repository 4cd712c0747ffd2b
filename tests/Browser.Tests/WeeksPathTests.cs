using System.Text.Json;
using Microsoft.Extensions.DependencyInjection;
using OpenQA.Selenium;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Accounts;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>A session ticked by hand, also without a connection, a check set and typed in, and where it then stands.</summary>
public sealed class WeeksPathTests(Browser browser) : IClassFixture<Browser>
{
    private const string Turned = "604 - 278 = 474\n523 - 168 = 445\n80 - 36 = 56\n415 - 203 = 212\n703 - 245 = 542\n952 - 367 = 615";

    private string Pressed(string item) => string.Join(' ', browser.Driver.FindElements(By.CssSelector($"[data-tick='{item}'] [aria-pressed=true]")).Select(b => b.GetAttribute("data-answer") ?? b.GetAttribute("data-flag")));

    [Fact]
    public void A_session_is_ticked_on_the_tablet_or_typed_from_paper_and_catches_up_after_a_break()
    {
        browser.BeginPage(Turned);
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        var plan = new Uri(browser.Driver.Url).AbsolutePath;
        browser.Click(By.LinkText("Sessions and checks"));
        browser.Click(By.XPath("//button[.='Begin a session']"));
        browser.Until(b => b.Driver.Url.Contains("/sessions/") && b.TextOf("[data-state]") == "Saved.", "the session");
        var session = new Uri(browser.Driver.Url).AbsolutePath;
        browser.AccessibilityFaults().ShouldBeEmpty();
        foreach (var width in new[] { 360, 1024 }) browser.Sized(width, 768, () => browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue($"{width}"));

        // From paper: a key an item, and the hand goes on by itself.
        browser.Script<object?>("document.querySelector('[data-tick] button').focus()");
        browser.Keys("111" + "1h" + "1");
        (Pressed("First 3"), Pressed("Together 1")).ShouldBe(("right", "right"));
        browser.Click("[data-tick='Alone 1'] [data-answer=right]");
        browser.Click("[data-tick='Alone 1'] [data-flag=checked]");
        browser.Offline(() =>
        {
            browser.Click("[data-tick='Alone 2'] [data-answer=right]");
            browser.Click("[data-tick='Alone 3'] [data-answer=right]");
            browser.Until(b => b.TextOf("[data-state]").StartsWith("Not connected."), "no connection");
        });
        browser.Until(b => b.TextOf("[data-state]") == "Saved.", "caught up");

        // The answer to what was sent is lost on the way, and more is ticked meanwhile: no conflict with oneself.
        browser.Script<object?>("const send = fetch; window.lost = 0; window.fetch = async (...all) => { const answer = await send(...all); if (all[1]?.method !== 'PUT' || window.lost++ > 0) return answer; throw new TypeError('lost'); };");
        browser.Click("[data-tick='Together 2'] [data-answer=right]");
        browser.Until(b => b.Script<bool>("return window.lost > 0"), "an answer lost");
        browser.Click("[data-tick='Exit'] [data-answer=right]");
        browser.Until(b => b.TextOf("[data-state]") == "Saved.", "sent again");
        browser.Until(b => b.TextOf("[data-next]").StartsWith("The mixed practice"), "what comes next");
        browser.TextOf("[data-because]").ShouldBe("3 of 3 alone right, the exit question right.");
        browser.Driver.FindElement(By.CssSelector("[data-said]")).SendKeys("top first");
        browser.Until(b => b.TextOf("[data-state]") == "Saved.", "the words kept");
        browser.Go(session);
        browser.Until(b => b.TextOf("[data-state]") == "Saved.", "the session again");
        (Pressed("Alone 1"), Pressed("Alone 3"), browser.Driver.FindElement(By.CssSelector("[data-said]")).GetAttribute("value")).ShouldBe(("right checked", "right", "top first"));

        // A tap twice is none.
        browser.Click("[data-tick='Exit'] [data-answer=right]");
        Pressed("Exit").ShouldBe("");
        browser.Until(b => b.TextOf("[data-because]").EndsWith("the exit question is open."), "open again");

        // The check is set, comes out on paper, is typed in, and is seen in the chart.
        browser.Go(plan + "/progress");
        browser.Click(By.XPath("//button[.='Set the next check and print it']"));
        browser.Until(b => b.Driver.Url.EndsWith("/sheet", StringComparison.Ordinal), "the check on paper");
        browser.Go(plan + "/progress");
        browser.Click(By.LinkText("Type in check 1"));
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "typing the check");
        for (var item = 0; item < 6; item++) browser.Keys("7" + K.Enter);
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "typed");
        browser.Click(By.XPath("//button[contains(., 'Read the page')]"));
        browser.Until(b => b.Text.Contains("This page is check 1 of a plan, read with what the pages before it say: “"), "the reading");
        browser.Click(By.LinkText("How it stands with the plan"));
        browser.Until(b => b.TextOf("#stands").Contains("too few checks to say"), "how it stands");
        browser.Text.ShouldContain("check 1");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Sized(360, 740, () => browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue());
        browser.Go(plan + "/reports");
        browser.Until(b => b.Driver.FindElements(By.Id("text")).Count == 1, "the report");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Go("/");
        browser.Until(b => b.Text.Contains("Being taught"), "the desk");
        browser.AccessibilityFaults().ShouldBeEmpty();
        foreach (var page in new[] { "/week", "/week/times", "/week/papers" })
        {
            browser.Go(page);
            browser.Until(b => b.Driver.FindElements(By.TagName("h1")).Count == 1, page);
            browser.AccessibilityFaults().ShouldBeEmpty();
            browser.Sized(360, 740, () => browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue(page));
        }

        // A week is looked for while the page is watched: it shows what is found by itself.
        browser.Go("/week");
        browser.Driver.FindElement(By.CssSelector("form[action*='Propose'] button")).Click();
        browser.Until(b => b.Text.Contains("Let it hold from today"), "the proposal");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.ConsoleErrors().Where(e => !e.Contains("ERR_INTERNET_DISCONNECTED")).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_group_is_ticked_on_one_page_from_two_devices_and_another_specialist_sees_none_of_it()
    {
        // From the calendar to the group: next week, which is whole whatever day it is today.
        browser.SignIn();
        browser.Go($"/week?day={DateTime.Today.AddDays(7):yyyy-MM-dd}");
        browser.Click(By.XPath("//tr[contains(., 'group of 2')]//a[starts-with(@href, '/week/')]"));
        browser.Click(By.XPath("//button[.='Begin with all 2']"));
        browser.Until(b => b.Driver.Url.EndsWith("/ticks", StringComparison.Ordinal) && States(b) == "Saved.|Saved.", "both sessions");
        var ticks = new Uri(browser.Driver.Url).AbsolutePath;
        browser.AccessibilityFaults().ShouldBeEmpty();
        foreach (var width in new[] { 360, 1024 }) browser.Sized(width, 768, () => browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue($"{width}"));

        // An item after the other, for each student the own one; a key that means nothing there leaves the hand where it is.
        browser.Script<object?>("document.querySelector('[data-tick]').querySelector('button').focus()");
        browser.Keys("1213");
        Ticked(browser).ShouldBe("K-29, First 1: right|K-34, First 1: right|K-29, First 2: other");
        browser.Until(b => States(b) == "Saved.|Saved.", "kept");

        // Another device has the same page open from before: only who was changed here is asked about there.
        await using var other = browser.Beside();
        other.SignIn();
        other.Go(ticks);
        other.Until(b => States(b) == "Saved.|Saved." && Ticked(b) == Ticked(browser), "the same on the other device");
        Tap(browser, "K-29", "Exit", "right");
        browser.Until(b => States(b) == "Saved.|Saved.", "kept again");
        Tap(other, "K-29", "Alone 1", "old");
        Tap(other, "K-34", "Alone 1", "right");
        other.Until(b => b.Driver.FindElements(By.CssSelector("[data-conflict]")).Count(c => c.Displayed) == 1, "one is asked about");
        other.Text.ShouldContain("The session of K-29 was changed in another tab.");
        other.Driver.FindElements(By.CssSelector("[data-theirs]")).Single(b => b.Displayed).Click();
        other.Until(b => States(b) == "Saved.|Saved.", "settled");
        Ticked(other).ShouldBe("K-29, First 1: right|K-34, First 1: right|K-29, First 2: other|K-34, Alone 1: right|K-29, Exit: right");
        browser.Go(ticks);
        browser.Until(b => Ticked(b) == Ticked(other), "the same here");

        // Another specialist, with an own account: nothing of it is there, and the same code is free.
        await using var scope = browser.App.Services.CreateAsyncScope();
        var accounts = scope.ServiceProvider.GetRequiredService<AccountDesk>();
        (await accounts.AddAsync("second@kite-workshop.example", "Second specialist")).ShouldBeEmpty();
        other.Driver.Manage().Cookies.DeleteAllCookies();
        other.Go((await accounts.InviteAsync("second@kite-workshop.example")).ShouldNotBeNull());
        other.Until(b => b.Script<bool>("return document.activeElement.id === 'password'"), "the hand in the field");
        other.Keys("kites over the harbour" + K.Tab + "kites over the harbour" + K.Enter);
        other.Until(b => b.Text.Contains("Your desk"), "a desk");
        other.Text.ShouldNotContain("K-29");
        foreach (var hidden in new[] { ticks, ticks.Replace("/ticks", ""), "/students/K-29" })
        {
            other.Go(hidden);
            other.Until(b => b.Driver.FindElements(By.TagName("h1")).Count == 1, hidden);
            other.Text.ShouldNotContain("Elowen");
        }

        other.Go("/add-student");
        other.Until(b => b.Script<bool>("return document.activeElement.id === 'code'"), "the hand in the field");
        other.Keys("K-29" + K.Enter);
        other.Until(b => b.Driver.Url.Contains("/students/K-29"), "a file of the same code");
        other.Text.ShouldNotContain("Elowen");
        browser.Go("/students/K-29");
        browser.Until(b => b.Text.Contains("Elowen"), "the first one's file as it was");
        browser.ConsoleErrors().ShouldBeEmpty();

        static string States(Browser of) => string.Join('|', of.Driver.FindElements(By.CssSelector("[data-state]")).Select(s => s.Text));

        static string Ticked(Browser of) => of.Script<string>("return [...document.querySelectorAll('[data-tick]')].flatMap(r => [...r.querySelectorAll('[data-answer][aria-pressed=true]')].map(b => `${r.ariaLabel.split(':')[0]}: ${b.dataset.answer}`)).join('|')");

        static void Tap(Browser of, string code, string item, string answer) => of.Click($"[data-tick='{item}'][aria-label^='{code}'] [data-answer={answer}]");
    }

    [Fact]
    public async Task A_student_is_followed_from_the_first_page_until_the_rule_is_gone_and_was_looked_at_again_after_six_weeks()
    {
        var clock = new MovedClock();
        await using var other = Browser.On(new PencilApp { More = services => services.AddSingleton<TimeProvider>(clock) });
        other.BeginPage(Turned, "FromLeft");
        other.Go(other.PagePath + "/reading");
        other.Click("form[action*=Accept] button");
        other.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        var plan = new Uri(other.Driver.Url).AbsolutePath;
        other.Click(By.LinkText("Sessions and checks"));
        other.Click(By.XPath("//button[.='Begin a session']"));
        other.Until(b => b.Driver.Url.Contains("/sessions/") && b.TextOf("[data-state]") == "Saved.", "the session");
        foreach (var item in new[] { "Alone 1", "Alone 2", "Alone 3", "Exit" }) other.Click($"[data-tick='{item}'] [data-answer=right]");
        other.Until(b => b.TextOf("[data-next]").StartsWith("The mixed practice") && b.TextOf("[data-state]") == "Saved.", "what comes next");

        (await CheckAsync(week: 1, number: 1, isOld: true)).ShouldStartWith("How it stands: too few checks to say");
        (await CheckAsync(week: 2, number: 2, isOld: false)).ShouldStartWith("How it stands: goes on");
        (await CheckAsync(week: 3, number: 3, isOld: false)).ShouldStartWith("How it stands: gone");
        other.Text.ShouldContain("Old rule at 0 of 6 chances in the last two checks (0 of 3, 0 of 3)");
        (await CheckAsync(week: 5, number: 4, isOld: false)).ShouldStartWith("How it stands: gone");
        (await CheckAsync(week: 9, number: 5, isOld: false)).ShouldBe("How it stands: gone, looked at again after six weeks");
        other.Click(By.XPath("//button[.='Close the plan']"));
        other.Until(b => b.TextOf("#stands").EndsWith("it stood: gone, looked at again after six weeks"), "closed");
        other.Driver.FindElements(By.CssSelector("tbody td a[href$='/reading']")).Count.ShouldBe(6, "where it began, and five checks");
        other.ConsoleErrors().ShouldBeEmpty();

        // So many weeks after the first page: signed in again, the check set by its button, typed in by keys and read.
        async Task<string> CheckAsync(int week, int number, bool isOld)
        {
            clock.By = TimeSpan.FromDays(7 * week);
            other.Go("/");
            if (other.Driver.Url.Contains("/sign-in")) other.SignIn("FromLeft");
            other.Go(plan + "/progress");
            other.Click(By.XPath("//button[.='Set the next check and print it']"));
            other.Until(b => b.Driver.Url.EndsWith("/sheet", StringComparison.Ordinal), "the check on paper");
            var page = other.PagePath.Split('/')[^1];
            var items = JsonSerializer.Deserialize<JsonElement>((string)(await other.App.SqlAsync($"select content::text from checks where page_id = '{page}'"))!);
            other.Go(plan + "/progress");
            other.Click(By.LinkText($"Type in check {number}"));
            other.Until(b => b.TextOf("[data-saving]") == "Saved.", "typing the check");
            foreach (var item in items.EnumerateArray()) other.Keys((isOld ? item.GetProperty("old").GetString() : Difference(item.GetProperty("task").GetString()!)) + K.Enter);
            other.Until(b => b.TextOf("[data-saving]") == "Saved.", "typed");
            other.TabTo("[data-done]");
            other.Keys(K.Enter);
            other.Until(b => b.Text.Contains($"This page is check {number} of a plan, read with what the pages before it say: "), "the reading");
            other.Click(By.LinkText("How it stands with the plan"));
            other.Until(b => b.Driver.FindElements(By.Id("stands")).Count == 1, "how it stands");
            return other.TextOf("#stands");
        }
    }

    private static string Difference(string task) => task.Split(" - ") is [var top, var bottom] ? $"{int.Parse(top) - int.Parse(bottom)}" : throw new ArgumentException(task);

    /// <summary>The clock, moved on.</summary>
    private sealed class MovedClock : TimeProvider
    {
        public TimeSpan By { get; set; }

        public override DateTimeOffset GetUtcNow() => base.GetUtcNow() + By;
    }
}
