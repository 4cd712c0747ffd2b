using OpenQA.Selenium;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>What eyes meet: replay, paper, forced colours, focus.</summary>
public sealed class LookTests(Browser browser) : IClassFixture<Browser>
{
    private const string Turned = "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66";

    private string Hand(string side) => browser.Script<string>("return [...document.querySelectorAll(`[data-side=${arguments[0]}] .frame:not([hidden]) .squared text.hand:not(.small)`)].sort((a, b) => a.getAttribute('x') - b.getAttribute('x')).map(t => t.textContent).join('')", side);

    private string Caption(string side) => browser.TextOf($"[data-side={side}] .frame:not([hidden]) .caption");

    [Fact]
    public void A_replay_shows_each_digit_with_its_step_and_ends_with_the_finished_answer()
    {
        browser.BeginPage(Turned);
        browser.Go(browser.PagePath + "/items/1");
        browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
        var (seen, captions) = (new List<string>(), new List<string>());
        for (var last = ""; last != browser.TextOf("[x-data] [role=status]");)
        {
            last = browser.TextOf("[x-data] [role=status]");
            if (seen.Count == 0 || seen[^1] != Hand("student"))
            {
                seen.Add(Hand("student"));
                captions.Add(Caption("student"));
            }

            browser.Keys(K.ArrowRight);
        }

        seen.ShouldBe(["", "4", "74", "474"]);
        captions.ShouldBe(["The item as it was set.", "8 − 4 = 4", "7 − 0 = 7", "6 − 2 = 4\n✓ follows rightly"]);
        Hand("taught").ShouldBe("326");
        Caption("taught").ShouldBe("The answer: 326.");
        Caption("student").ShouldBe("The answer: 474.");
    }

    [Fact]
    public void A_replay_plays_the_explanation_that_was_chosen()
    {
        browser.BeginPage("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        browser.Go(browser.PagePath + "/reading?rules=subtraction.zero-becomes-nine-alone");
        browser.Click(".itemlink");
        browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
        browser.Text.ShouldContain("Shown with: Zero becomes nine, nobody lends");
        browser.Script<long>("return [...document.querySelectorAll('[data-side=student] .caption')].filter(c => c.textContent === 'Turns the zero next door into 9; nobody lends.').length").ShouldBe(1);
    }

    [Fact]
    public void Where_nothing_is_known_nothing_is_played_as_if_it_were()
    {
        browser.BeginPage(Turned + "\n415 - 203 = 99\n62 - 35\n61 - 35 = ?");
        var page = browser.PagePath;
        browser.Go(page + "/items/4");
        browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
        browser.TextOf("[data-side=student] h2").ShouldBe("Perrick: how is not known");
        browser.Keys(K.End);
        Hand("student").ShouldBe("99");
        Caption("student").ShouldStartWith("What stands there is 99. How it came about is not known");
        foreach (var (item, written) in new[] { (5, "Nothing is written; right is 27."), (6, "What is written cannot be read; right is 26.") })
        {
            browser.Go($"{page}/items/{item}");
            browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
            browser.TextOf("[data-side=student] h2").ShouldBe("Perrick would, by this explanation");
            browser.Text.ShouldContain(written);
        }
    }

    [Theory]
    [InlineData("/sheet", ".sheet .items")]
    [InlineData("/reading", ".book > .squared")]
    public void On_paper_the_digits_stand_in_the_squares(string address, string paper)
    {
        browser.BeginPage("604 - 278\n52 - 38\n8214 - 5060\n81 - 27");
        browser.Go(browser.PagePath + address);
        browser.As("print", null, () => browser.Script<string>("""
            const paper = document.querySelector(arguments[0]), box = paper.getBoundingClientRect(), square = parseFloat(getComputedStyle(paper).backgroundSize);
            const off = [...paper.querySelectorAll("text.print")].map(t => {
              const at = t.getBoundingClientRect(), middle = (v) => ((v % square) + square) % square / square;
              return [middle((at.left + at.right) / 2 - box.left - paper.clientLeft), middle((at.top + at.bottom) / 2 - box.top - paper.clientTop)];
            }).filter(([x, y]) => Math.abs(x - 0.5) > 0.12 || Math.abs(y - 0.5) > 0.12);
            return JSON.stringify(off);
            """, paper).ShouldBe("[]"));
    }

    [Fact]
    public async Task The_students_sheet_has_code_date_name_by_choice_and_room_for_the_marks_and_no_focus_frame()
    {
        browser.BeginPage("604 - 278\n86 - 42\n3006 - 749");
        browser.Go(browser.PagePath + "/sheet");
        browser.TextOf(".sheet .heads").ShouldBe("K-06\nDate");
        browser.Script<string>("return [...document.querySelectorAll('.sheet svg')].map(s => s.getAttribute('height')).join()").ShouldBe("8.75rem,8.75rem,8.75rem");
        browser.As("print", null, () =>
        {
            browser.Driver.FindElements(By.CssSelector(".caret, .current")).Count.ShouldBe(0);
            browser.Driver.FindElement(By.CssSelector("[data-print]")).Displayed.ShouldBeFalse();
        });
        await browser.App.SqlAsync("update \"AspNetUsers\" set has_name_line = true");
        browser.Driver.Navigate().Refresh();
        browser.TextOf(".sheet .heads").ShouldBe("K-06\nName\nDate");
        await browser.App.SqlAsync("update \"AspNetUsers\" set has_name_line = false");
    }

    [Fact]
    public void A_printed_reading_holds_its_explanations_and_a_plan_its_code_on_every_page()
    {
        browser.BeginPage(Turned);
        browser.Go(browser.PagePath + "/reading");
        browser.As("print", null, () =>
        {
            browser.Driver.FindElement(By.CssSelector(".explanations .sentence")).Displayed.ShouldBeTrue();
            browser.Driver.FindElement(By.CssSelector(".nextstep")).Displayed.ShouldBeFalse();
        });
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        browser.As("print", null, () =>
        {
            browser.Script<string>("return getComputedStyle(document.querySelector('.paged > thead')).display").ShouldBe("table-header-group");
            browser.TextOf(".paged > thead").ShouldStartWith("K-06 · plan of");
        });
    }

    [Fact]
    public void In_forced_colours_the_drawings_take_the_readers_colours()
    {
        browser.BeginPage(Turned);
        browser.As("", "forced-colors:active", () =>
        {
            const string colour = "const probe = document.createElement('p'); probe.style.color = 'CanvasText'; document.body.append(probe); const is = getComputedStyle(probe).color; probe.remove(); return is";
            var text = browser.Script<string>(colour);
            browser.Script<string>("return getComputedStyle(document.querySelector('.working .print')).fill").ShouldBe(text);
            browser.Script<string>("return getComputedStyle(document.querySelector('.working .rule')).stroke").ShouldBe(text);
        });
    }

    [Fact]
    public void The_skip_link_is_seen_when_it_has_the_focus_and_the_caret_stands_out_by_its_edge()
    {
        browser.BeginPage("604 - 278");
        browser.Script<string>("const s = getComputedStyle(document.querySelector('.working .caret')); return s.stroke + ' ' + s.strokeWidth").ShouldBe("rgb(43, 45, 51) 2px");
        browser.Go("/");
        browser.Keys(K.Tab);
        browser.Script<bool>("const b = document.activeElement.getBoundingClientRect(); return document.activeElement.matches('.skip') && b.left >= 0 && b.top >= 0 && b.width > 80").ShouldBeTrue();
        browser.Keys(K.Enter);
        browser.Script<bool>("return document.activeElement.matches('main')").ShouldBeTrue();
    }

    [Fact]
    public void Going_back_after_a_decision_and_sending_again_makes_nothing_twice()
    {
        browser.BeginPage(Turned);
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        var plan = browser.Driver.Url;
        browser.Driver.Navigate().Back();
        browser.Until(b => b.Driver.Url.EndsWith("/reading"), "back");
        foreach (var button in browser.Driver.FindElements(By.CssSelector(".nextstep .next"))) button.Click();
        browser.Until(b => b.Driver.Url == plan, "the same plan");
    }

    [Fact]
    public void Printing_a_plan_takes_it_off_the_desk_and_says_how_to_put_it_back()
    {
        browser.BeginPage(Turned);
        browser.Go(browser.PagePath + "/reading");
        browser.Click("form[action*=Accept] button");
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        browser.Script<object?>("window.dispatchEvent(new Event('afterprint'))");
        browser.Until(b => b.Text.Contains("Not printed: put it back on the desk"), "it says so");
        browser.Driver.Navigate().Refresh();
        browser.Text.ShouldContain("Not printed: put it back on the desk");
        browser.Click("form[data-unprinted] button");
        browser.Until(b => !b.Text.Contains("Not printed"), "it is back");
        browser.Click("details[data-menu] summary");
        browser.Until(b => b.Text.Contains("Take it off the desk"), "it can be taken off");
    }
}
