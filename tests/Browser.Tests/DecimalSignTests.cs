using OpenQA.Selenium;
using Shouldly;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>Numbers with a decimal comma: seen and typed everywhere, stored with the point.</summary>
public sealed class DecimalSignTests(Browser browser) : IClassFixture<Browser>
{
    private void UseComma()
    {
        browser.SignIn("FromLeft");
        browser.Go("/account");
        browser.Click("#comma");
        browser.Keys(K.ArrowDown + K.Enter);
        browser.Click("form.space-y-3 button.next");
        browser.Until(b => b.TextOf("[role=status]") == "Saved.", "the setting is kept");
        browser.Text.ShouldContain("Worked sheets as files keep the point.");
    }

    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    private IReadOnlyList<string> ShownPoints() =>
        [.. browser.Script<IReadOnlyCollection<object>>(
            """
            return [...document.querySelectorAll("main *")].flatMap((e) => [...e.childNodes].filter((n) => n.nodeType === 3).map((n) => n.data).concat(e.getAttribute("aria-label") ?? []))
              .filter((text) => /\d\.\d|\bpoints?\b/i.test(text)).concat([...document.querySelectorAll("svg text")].map((t) => t.textContent).filter((text) => text === "."))
            """).Cast<string>()];

    [Fact]
    public void A_comma_is_typed_and_seen_and_a_point_is_stored()
    {
        UseComma();
        browser.BeginPage("7,5 + 2,25\n4,56 + 3,7\n0,6 + 0,07\n12,5 + 3,25\nsolve 2x = 3\n1,5 - 0,25", "FromLeft");
        browser.Keys($"9,75{K.Enter}4,93{K.Enter}0,13{K.Enter}4,5{K.Enter}");
        Saved();
        browser.Stored().ShouldContain("\"task\": \"7.5 + 2.25\"");
        browser.Stored().ShouldContain("\"answer\": \"9.75\"");
        browser.Stored().ShouldContain("\"answer\": \"4.93\"");
        browser.Script<long>("return [...document.querySelectorAll('svg.working text.point')].filter((t) => t.textContent === ',').length").ShouldBeGreaterThan(8);

        // A field of a line shows what was typed, and builds it up; moving back and loading again change nothing.
        browser.Click("[data-item='5'] li input");
        browser.Keys($"x = 1,5");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"x = 1.5\"");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-item='5'] li.isbuilt")).Count == 1, "the line is built up");
        ShownIn("[data-item='5'] li input").ShouldBe("x = 1,5");
        browser.Until(_ => ShownPoints().Count == 0, "no point is seen while typing");

        browser.TabTo("[data-done]");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.EndsWith("/reading"), "the reading");
        ShownPoints().ShouldBeEmpty();
        browser.Go(browser.PagePath + "/edit");
        ShownIn("#item-1").ShouldBe("7,5 + 2,25");
        browser.Click("#item-1");
        browser.Keys(K.End + K.Backspace + "6");
        browser.Click("form.book button.next");
        browser.Until(b => !b.Driver.Url.EndsWith("/edit"), "saved");
        browser.Stored().ShouldContain("\"task\": \"7.5 + 2.26\"");
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void The_words_of_a_plan_are_edited_as_they_are_seen()
    {
        UseComma();
        browser.BeginPage("4,56 + 3,7 = 4,93\n0,6 + 0,07 = 0,13\n12,5 + 3,25 = 4,50\n6,3 + 2,15 = 2,78\n8,04 + 1,5 = 8,19\n5,2 + 1,34 = 1,86\n3,4 + 2,1 = 5,5", "FromLeft");
        browser.TabTo("[data-done]");
        browser.Keys(K.Enter);
        browser.Until(b => b.Driver.Url.EndsWith("/reading"), "the reading");
        browser.Click(By.XPath("//button[contains(., 'Accept and plan')]"));
        browser.Until(b => b.Driver.Url.Contains("/plans/"), "the plan");
        ShownPoints().ShouldBeEmpty();
        browser.Text.ShouldContain("I line up the commas.");

        browser.Go(new Uri(browser.Driver.Url).AbsolutePath + "/words");
        ShownIn("textarea").ShouldContain("After the comma come tenths");
        browser.Click("textarea");
        browser.Keys(K.Control + K.End + K.Null + " As in 0,5.");
        browser.Click("form.words button.next");
        browser.Until(b => !b.Driver.Url.EndsWith("/words"), "the words are kept");
        browser.Text.ShouldContain("As in 0,5.");
        StoredPlan().ShouldContain("As in 0.5.");
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    private string StoredPlan() => (string)browser.App.SqlAsync($"select to_jsonb(p)::text from plans p where id = '{browser.PagePath.Split('/')[^1]}'").GetAwaiter().GetResult()!;

    private string ShownIn(string selector) =>
        browser.Script<string>("const field = document.querySelector(arguments[0]); return Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value').get.call(field)", selector);
}
