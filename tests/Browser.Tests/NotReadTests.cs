using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Shouldly;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>What the student struck out is typed as it stands: an answer beside the final one, a line between others, a value over the lower number.</summary>
public sealed class NotReadTests(Browser browser) : IClassFixture<Browser>
{
    [Fact]
    public void An_answer_is_struck_out_by_a_key_taken_back_undone_and_there_again_after_a_reload()
    {
        browser.BeginPage("604 - 278\n52 - 38\n958 / 4", "FromLeft");
        browser.Keys("x");
        browser.TextOf("[data-reads]").ShouldBe("Write what is struck out first, then strike it.");
        browser.Keys("474x");
        browser.TextOf("[data-reads]").ShouldBe("474 is struck out; the answer is open.");
        browser.Keys("336x326" + K.Enter + "26" + K.Enter + "239r1x239r2");
        Saved();
        Struck(1).ShouldBe("474|336");
        Struck(3).ShouldBe("239r1");
        browser.Stored().ShouldContain("\"answer\": \"326\"");
        browser.Driver.Navigate().Refresh();
        browser.Until(_ => Struck(1) == "474|336", "both are there again");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Script<string>("return document.querySelector('[data-spoken]').textContent").ShouldContain("struck out 474, then 336");
        browser.Click("[data-item='1'] [data-drawing]");
        browser.Keys($"{K.ArrowDown}{K.End}{K.Backspace}{K.Backspace}{K.Backspace}x");
        browser.TextOf("[data-reads]").ShouldBe("336 is taken away: it is not struck out any more.");
        Struck(1).ShouldBe("474");
        browser.Undo();
        Struck(1).ShouldBe("474|336");
        Saved();
        browser.Go(browser.PagePath + "/reading");
        browser.Until(b => b.Driver.FindElements(By.CssSelector(".struckout")).Count == 2, "the reading shows it");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void A_line_is_struck_out_where_it_stands_and_is_no_line_of_the_working()
    {
        browser.BeginPage("solve 2x + 7 = 15", "FromLeft");
        browser.Keys($"2x = 15 + 7{K.Enter}2x = 24");
        Alt("o");
        browser.Keys($"{K.Enter}2x = 22{K.Enter}x = 11{K.Enter}~ x = 12");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"x = 11\"");
        browser.Stored().ShouldContain("\"lines\": [\"2x = 15 + 7\", \"2x = 22\", \"x = 11\"]");
        browser.Driver.Navigate().Refresh();
        browser.Until(_ => Lines() == "2x = 15 + 7|~ 2x = 24|2x = 22|x = 11|~ x = 12", "all of them are there again");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("li.struck.isbuilt")).Count == 2, "they are built up and struck out");
        browser.Script<string>("return document.querySelectorAll('[data-lines] input')[1].getAttribute('aria-label')").ShouldBe("Item 1, line 2, struck out");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Keys($"{K.ArrowUp}{K.ArrowUp}{K.ArrowUp}");
        Alt("o");
        Lines().ShouldBe("2x = 15 + 7|2x = 24|2x = 22|x = 11|~ x = 12");
        browser.Undo();
        Saved();
        browser.Go(browser.PagePath + "/reading");
        browser.Until(b => b.Driver.FindElements(By.CssSelector(".items line.strike")).Count == 2, "struck out on the reading");
        browser.AccessibilityFaults().ShouldBeEmpty();

        string Lines() => browser.Script<string>("return [...document.querySelectorAll('[data-lines] input')].map(f => f.value).join('|')");

        void Alt(string key) => new Actions(browser.Driver).KeyDown(K.Alt).SendKeys(key).KeyUp(K.Alt).Perform();
    }

    [Fact]
    public void Work_on_the_side_is_kept_beside_its_line_and_not_read()
    {
        browser.BeginPage("7 1/4 - 2 5/6", "FromLeft");
        browser.Keys($"29/4 - 17/6{K.Enter}| 29*3 = 87 | 17*2 = 34{K.Enter}87/12 - 34/12{K.Enter}53/12");
        Saved();
        browser.Stored().ShouldContain("\"lines\": [\"29/4 - 17/6\", \"87/12 - 34/12\", \"53/12\"]");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Driver.FindElements(By.CssSelector("li.onside.isbuilt svg")).Count == 1, "it is there again, built up");
        browser.Script<string>("return document.querySelectorAll('[data-lines] input')[1].value").ShouldBe("| 29*3 = 87 | 17*2 = 34");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Go(browser.PagePath + "/reading");
        browser.Until(b => b.Driver.FindElements(By.CssSelector(".items svg")).Count == 1, "the reading");
        browser.Script<string>("return document.querySelector('.items .visuallyhidden').textContent").ShouldContain("on the side");
        browser.AccessibilityFaults().ShouldBeEmpty();
    }

    [Fact]
    public void A_new_value_over_the_lower_number_is_reached_by_a_key()
    {
        browser.BeginPage("503 - 267\n456 + 378", "FromLeft");
        browser.Keys($"236b8{K.ArrowLeft}7b{K.Enter}b");
        browser.TextOf("[data-reads]").ShouldBe("B is for what is written over the lower number of a difference.");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"236\"");
        browser.Stored().ShouldContain("\"rewrittenBelow\": {\"0\": \"8\", \"1\": \"7\"}");
    }

    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    private string Struck(int item) => browser.Script<string>($"return [...document.querySelectorAll(\"[data-item='{item}'] .struckout s\")].map(s => s.textContent).join('|')");
}
