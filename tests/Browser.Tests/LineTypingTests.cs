using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Shouldly;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>Typing fractions, algebra and roots line by line.</summary>
public sealed class LineTypingTests(Browser browser) : IClassFixture<Browser>
{
    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    /// <summary>An item of each family with its lines, as a specialist types it.</summary>
    public static TheoryData<string, string, string[]> FullWork => new()
    {
        { "2/3 + 3/5", $"10/15 + 9/15{K.Enter}19/15{K.Enter}1 4/15", ["\"answer\": \"1 4/15\"", "\"lines\": [\"10/15 + 9/15\", \"19/15\", \"1 4/15\"]"] },
        { "7 1/4 - 2 5/6", $"29/4 - 17/6{K.Enter}12/2{K.Enter}6", ["\"answer\": \"6\"", "\"lines\": [\"29/4 - 17/6\", \"12/2\", \"6\"]"] },
        { "simplify (4x^2 - 3x) - (x^2 - 5)", $"4x^2 - 3x - x^2 - 5{K.Enter}3x^2 - 3x - 5", ["\"answer\": \"3x^2 - 3x - 5\""] },
        { "expand (y - 6)(y + 9)", "y^2 - 54", ["\"answer\": \"y^2 - 54\""] },
        { "factor x^2 + x - 12", "(x - 4)(x + 3)", ["\"answer\": \"(x - 4)(x + 3)\""] },
        { "sqrt(31) to 0.1", $"5 + 6/11{K.Enter}5.54{K.Enter}5.5", ["\"answer\": \"5.5\"", "\"lines\": [\"5 + 6/11\", \"5.54\", \"5.5\"]"] },
        { "solve 2x + 7 = 15", $"2x = 22{K.Enter}x = 11", ["\"answer\": \"x = 11\"", "\"lines\": [\"2x = 22\", \"x = 11\"]"] },
        { "2/3 + 3/5", "?", ["\"answer\": \"?\""] },
        { "2/3 + 3/5", $"10/15 + {K.Enter}...", ["\"answer\": null", "\"lines\": [\"10/15 +\"]"] },
    };

    [Theory]
    [MemberData(nameof(FullWork))]
    public void Every_family_of_lines_is_typed_and_stored_as_work_and_answer(string task, string keys, string[] stored)
    {
        browser.BeginPage(task, "FromLeft");
        browser.Keys(keys);
        Saved();
        foreach (var text in stored) browser.Stored().ShouldContain(text);
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void A_line_is_built_up_when_it_is_left_and_one_that_does_not_parse_keeps_its_text_and_says_where()
    {
        browser.BeginPage("2/3 + 3/5\n1/2 + 1/4", "FromLeft");
        browser.Keys($"10/15 + 9/15{K.Enter}19/{K.Enter}");
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-item='1'] li.isbuilt svg line")).Count == 2, "two fractions are built up");
        browser.Until(b => b.TextOf("[data-item='1'] li:nth-child(2) .linefault").StartsWith("Nothing stands under the line of this fraction."), "the fault is said");
        Saved();
        browser.Stored().ShouldContain("\"lines\": [\"10/15 + 9/15\", \"19/\"]");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Driver.FindElements(By.CssSelector("[data-item='1'] li")).Count == 2, "both lines are there again");
        browser.Script<string>("return document.querySelectorAll(\"[data-item='1'] input\")[1].value").ShouldBe("19/");
        browser.AccessibilityFaults().ShouldBeEmpty();
    }

    [Fact]
    public void Lines_are_repeated_moved_put_between_and_taken_back_by_keys()
    {
        browser.BeginPage("solve 5x - 3 = 2x + 12\nsolve 2x = 8", "FromLeft");
        browser.Keys($"3x - 3 = 12{K.Enter}3x = 9");
        With(K.Control, "d");
        browser.Keys($"{K.Backspace}{K.Backspace}{K.Backspace}{K.Backspace}{K.Backspace}{K.Backspace}x = 3");
        Lines().ShouldBe("3x - 3 = 12|3x = 9|x = 3");
        With(K.Alt, K.ArrowUp);
        Lines().ShouldBe("3x - 3 = 12|x = 3|3x = 9");
        With(K.Control, K.Enter);
        browser.Keys("3x = 15");
        Lines().ShouldBe("3x - 3 = 12|3x = 15|x = 3|3x = 9");
        browser.Undo();
        Lines().ShouldBe("3x - 3 = 12|3x = 1|x = 3|3x = 9");
        browser.Keys($"{K.ArrowDown}{K.ArrowDown}{K.ArrowDown}x = 4");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"x = 4\"");
        browser.Keys(K.Enter + K.Enter);
        browser.Script<bool>("return document.activeElement.hasAttribute('data-done')").ShouldBeTrue("behind the last item the way on");

        string Lines() => browser.Script<string>("return [...document.querySelectorAll(\"[data-item='1'] input\")].map(f => f.value).join('|')");

        void With(string held, string key) => new Actions(browser.Driver).KeyDown(held).SendKeys(key).KeyUp(held).Perform();
    }

    [Fact]
    public void Squares_and_lines_stand_on_one_page_and_keys_for_touch_write_into_both()
    {
        browser.BeginPage("604 - 278\n3/8 + 1/6\nfactor x^2 + x - 12", "FromLeft");
        browser.Keys($"474{K.Enter}");
        Signs().ShouldBe("− + × / = |");
        browser.Keys($"4/14{K.Enter}{K.Enter}");
        Signs().ShouldBe("− + × / ( ) = ^ √ | x");
        foreach (var key in new[] { "(", "letter", "+", "4", ")" }) browser.Click($"[data-key='{key}']");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"474\"");
        browser.Stored().ShouldContain("\"answer\": \"4/14\"");
        browser.Stored().ShouldContain("\"answer\": \"(x+4)\"");
        for (var i = 0; i < 2; i++) new Actions(browser.Driver).KeyDown(K.Shift).SendKeys(K.Enter).KeyUp(K.Shift).Perform();
        browser.Keys($"{K.Backspace}5");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"475\"");

        string Signs() => string.Join(' ', browser.Driver.FindElements(By.CssSelector("[data-sign]")).Where(b => b.Displayed).Select(b => b.Text));
    }

    [Fact]
    public void The_x_a_box_and_the_squares_round_a_root_are_opened_by_a_key_and_filled_in_from_cell_to_cell()
    {
        browser.BeginPage("factor x^2 + x - 12\nsqrt(31)", "FromLeft");
        Alt("x");
        browser.Keys($"-12{K.Enter}1{K.Enter}4{K.Enter}-3{K.Enter}(x + 4)(x - 3)");
        Alt("b");
        browser.Keys($"x{K.Enter}4{K.Enter}x{K.Enter}x^2{K.Enter}4x{K.Enter}-3{K.Enter}-3x{K.Enter}-12{K.Enter}");
        browser.Keys($"{K.End}{K.ArrowDown}");
        Alt("s");
        browser.Keys($"25{K.Enter}36{K.Enter}5.5");
        Saved();
        browser.Stored().ShouldContain("\"cross\": {\"sum\": \"1\", \"left\": \"4\", \"right\": \"-3\", \"product\": \"-12\"}");
        browser.Stored().ShouldContain("\"box\": {\"top\": [\"x\", \"4\"], \"side\": [\"x\", \"-3\"], \"cells\": [[\"x^2\", \"4x\"], [\"-3x\", \"-12\"]]}");
        browser.Stored().ShouldContain("\"answer\": \"(x + 4)(x - 3)\"");
        browser.Stored().ShouldContain("\"between\": [\"25\", \"36\"]");
        browser.Stored().ShouldContain("\"answer\": \"5.5\"");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Script<string>("return document.querySelector(\"[aria-label='Item 1, left end of the X']\")?.value ?? ''") == "4", "the X is there again");
        browser.AccessibilityFaults().ShouldBeEmpty();

        void Alt(string key) => new Actions(browser.Driver).KeyDown(K.Alt).SendKeys(key).KeyUp(K.Alt).Perform();
    }

    [Fact]
    public void What_stays_of_a_line_is_offered_in_the_next_and_stored_only_when_it_is_taken()
    {
        browser.BeginPage("solve 5x - 3 = 2x + 12\nsolve 2x = 8", "FromLeft");
        browser.Keys($"3x = 12 + 3{K.Enter}");
        Offered(2, "3x = ");
        Saved();
        browser.Stored().ShouldContain("\"answer\": \"3x = 12 + 3\"");
        browser.Keys($"{K.ArrowRight}15{K.Enter}");
        Offered(3, "x = ");
        browser.Keys($"x=5{K.Enter}{K.Enter}x = 4");
        Saved();
        browser.Stored().ShouldContain("\"lines\": [\"3x = 12 + 3\", \"3x = 15\", \"x=5\"]");

        void Offered(int line, string text) => browser.Until(b => b.Script<string>($"return document.querySelector(\"[data-item='1'] li:nth-child({line}) input\").placeholder") == text, $"{text} is offered");
    }

    [Fact]
    public void A_cell_beside_the_lines_is_reached_with_the_mouse_and_multiples_stand_beside_a_division()
    {
        browser.BeginPage("factor x^2 + x - 12\n9568 / 8", "FromLeft");
        browser.Click("[data-item='1'] .besides button");
        browser.Click("[aria-label='Item 1, right end of the X']");
        browser.Keys("-3");
        browser.Click("[aria-label='Item 1, line 1']");
        browser.Keys($"(x + 4)(x - 3){K.ArrowDown}");
        browser.Keys("1196");
        new Actions(browser.Driver).KeyDown(K.Alt).SendKeys("m").KeyUp(K.Alt).Perform();
        foreach (var multiple in new[] { "8", "16", "24" }) browser.Keys(multiple + K.Enter);
        Saved();
        browser.Stored().ShouldContain("\"cross\": {\"right\": \"-3\"}");
        browser.Stored().ShouldContain("\"multiples\": [\"8\", \"16\", \"24\"]");
        browser.Undo();
        Saved();
        browser.Stored().ShouldContain("\"multiples\": [\"8\", \"16\", \"2\"]");
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.Script<string>("return document.querySelector(\"[aria-label='Item 2, 2 times the divisor']\")?.value ?? ''") == "16", "the multiples are there again");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Go(browser.PagePath + "/reading");
        browser.Until(b => b.Driver.FindElements(By.CssSelector(".items li")).Count == 2, "the reading");
        browser.Script<string>("return [...document.querySelectorAll('.items li:nth-child(2) text.handline')].map(t => t.textContent).join('')").ShouldBe("8162");
    }

    [Theory]
    [InlineData(360)]
    [InlineData(640)]
    [InlineData(1024)]
    public void Pages_of_lines_fit_narrow_windows_and_are_without_barriers(int width)
    {
        browser.BeginPage("2/3 + 3/5\nfactor x^2 + x - 12\nsolve 5x - 3 = 2x + 12\nsqrt(31)\nsimplify (4x^2 - 3x) - (x^2 - 5)", "FromLeft");
        browser.Keys($"10/15 + 9/15{K.Enter}19/15{K.Enter}1 4/15{K.Enter}{K.Enter}(x + 4)(x - 3){K.Enter}{K.Enter}5x - 2x = 12 - 3{K.Enter}3x = 9{K.Enter}x = 3{K.Enter}{K.Enter}5.5{K.Enter}{K.Enter}3x^2 - 3x - 5");
        Saved();
        var page = browser.PagePath;
        browser.Sized(width, 800, () =>
        {
            foreach (var view in new[] { "", "/reading", "/items/3", "/items/2/schools", "/sheet" })
            {
                browser.Go(page + view);
                browser.Until(b => b.Driver.FindElements(By.CssSelector("main svg")).Count > 0, $"{view} is drawn");
                browser.Script<long>("return document.documentElement.scrollWidth - document.documentElement.clientWidth").ShouldBeLessThanOrEqualTo(0, $"{view} at {width}");
                browser.AccessibilityFaults().ShouldBeEmpty($"{view} at {width}");
            }
        });
        browser.As("screen", "forced-colors:active", () => browser.AccessibilityFaults().ShouldBeEmpty("in forced colours"));
    }

    /// <summary>Twice each of the seven families, by itself, with the keys that it takes.</summary>
    public static MatrixTheoryData<string, int> AnyKeys => new(
        [
            "2/3 + 3/5\n5/6 - 1/4", "7 1/4 - 2 5/6\n2 1/2 + 3 2/3", "simplify (4x - 3) - (x - 5)\nsimplify 3x^2 - 5 + 2x", "expand 3x(2x - 7)\nexpand (x + 4)(x - 3)",
            "factor x^2 + x - 12\nfactor x^2 - 49", "sqrt(31)\nsqrt(72) to 0.1", "solve 2x + 7 = 15\nsolve 5x - 3 = 2x + 12",
        ],
        [31, 32]);

    [Theory]
    [MemberData(nameof(AnyKeys))]
    public void Whatever_keys_are_pressed_what_is_drawn_is_what_is_stored(string items, int seed)
    {
        string[] keys = ["1", "2", "9", "x", "/", "^", "(", ")", "+", "-", "=", " ", "?", ".", "~", "|", K.Enter, K.Enter, K.ArrowUp, K.ArrowDown, K.Backspace, K.Delete, K.ArrowLeft, K.Home, "undo", "open"];
        var beside = items.StartsWith("factor", StringComparison.Ordinal) ? "x" : items.StartsWith("sqrt", StringComparison.Ordinal) ? "s" : "b";
        browser.BeginPage(items, "FromLeft");
        browser.Script<object?>("document.querySelector('[data-done]').disabled = true"); // The keys stay on the page.
        var random = new Random(seed);
        var pressed = new Actions(browser.Driver);
        for (var i = 0; i < 150; i++)
        {
            _ = keys[random.Next(keys.Length)] switch
            {
                "undo" => pressed.KeyDown(K.Control).SendKeys("z").KeyUp(K.Control),
                "open" => pressed.KeyDown(K.Alt).SendKeys(beside).KeyUp(K.Alt),
                var key => pressed.SendKeys(key),
            };
        }

        pressed.Perform();
        Saved();
        // A mark for struck out or on the side with nothing behind it is nothing; the place between the two is no matter.
        const string Shown = """
            return JSON.stringify([...document.querySelectorAll('[data-lines]')].map(l => [
              [...l.querySelectorAll('input')].map(f => [f.ariaLabel.replace(/line \d+/, 'line'), f.value.trim().replace(/^([~|]) */, '$1 ')]).filter(([, v]) => v && !/^[~|] $/.test(v)),
              [...l.querySelectorAll('li.isbuilt svg')].map(s => [...s.querySelectorAll('text')].map(t => t.textContent).join(' '))]));
            """;
        browser.Script<object?>("document.activeElement.blur()");
        var before = browser.Script<string>(Shown);
        browser.ConsoleErrors().ShouldBeEmpty();
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "loaded again");
        browser.Script<object?>("document.activeElement.blur()");
        browser.Until(b => b.Script<string>(Shown) == before, $"after a reload it is as before: {before} / {browser.Script<string>(Shown)}");
    }
}
