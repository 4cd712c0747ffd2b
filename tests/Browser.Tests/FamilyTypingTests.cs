using OpenQA.Selenium;
using Shouldly;
using Xunit;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>Typing in every family: with and without work, from both sides, and with keys at random.</summary>
public sealed class FamilyTypingTests(Browser browser) : IClassFixture<Browser>
{
    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    /// <summary>A page of each family as a specialist types it: the answer, then the marks with the arrows that a hand would have moved.</summary>
    public static TheoryData<string, string, string[]> FullWork => new()
    {
        { "456 + 378", $"834{K.ArrowUp}11", ["\"answer\": \"834\"", "\"carries\": {\"1\": \"1\", \"2\": \"1\"}"] },
        { "503 - 267", $"236{K.ArrowUp}13{K.ArrowLeft}10{K.ArrowUp}9{K.ArrowLeft}4", ["\"answer\": \"236\"", "\"rewritten\": {\"0\": \"13\", \"1\": [\"10\", \"9\"], \"2\": \"4\"}"] },
        { "47 * 6", $"282{K.ArrowUp}4", ["\"answer\": \"282\"", "\"carries\": {\"1\": \"4\"}"] },
        { "47 * 38", $"1786{K.ArrowUp}1410{K.ArrowUp}376", ["\"answer\": \"1786\"", "\"rows\": [{\"text\": \"376\"}, {\"text\": \"1410\"}]"] },
        { "47 * 38", $"1786{K.ArrowUp}{K.ArrowLeft}141{K.ArrowUp}{K.ArrowRight}376", ["\"rows\": [{\"text\": \"376\"}, {\"text\": \"141\", \"lastPlace\": 1}]"] },
        {
            "857 / 24", $"35r17{K.ArrowDown}72{K.ArrowDown}137{K.ArrowDown}120{K.ArrowDown}17",
            ["\"answer\": \"35r17\"", "{\"product\": \"72\", \"quotient\": \"3\", \"difference\": \"13\", \"broughtDown\": \"7\"}", "{\"product\": \"120\", \"quotient\": \"5\", \"difference\": \"17\"}"]
        },
        {
            "824 / 4", $"206{K.ArrowDown}8{K.ArrowDown}02{K.ArrowDown}0{K.ArrowDown}24{K.ArrowDown}24{K.ArrowDown}0",
            ["{\"product\": \"8\", \"quotient\": \"2\", \"difference\": \"0\", \"broughtDown\": \"2\"}", "{\"product\": \"0\", \"quotient\": \"0\", \"difference\": \"2\", \"broughtDown\": \"4\"}", "{\"product\": \"24\", \"quotient\": \"6\", \"difference\": \"0\"}"]
        },
        { "4.56 + 3.7", $"4.93{K.ArrowUp}>", ["\"answer\": \"4.93\"", "\"operands\": [{\"text\": \"4.56\", \"lastPlace\": -2}, {\"text\": \"3.7\", \"lastPlace\": -2}]"] },
        { "4.6 * 3.7", $"17.02{K.ArrowDown}2", ["\"answer\": \"17.02\"", "\"places\": \"2\""] },
        { "8.4 / 0.6", $"14{K.ArrowDown}84", ["\"answer\": \"14\"", "\"scaled\": {\"dividend\": \"84\"}"] },
        { "-7 - -12", $"5{K.ArrowDown}-7+12", ["\"answer\": \"5\"", "\"lines\": [\"-7+12\"]"] },
    };

    [Fact]
    public void The_keys_that_are_shown_are_those_of_the_item_and_a_question_mark_folds_them_up()
    {
        browser.BeginPage("857 / 24\n4.56 + 3.7", "FromLeft");
        Shown("[data-when=product]").ShouldBeTrue();
        Shown("[data-when=operands]").ShouldBeFalse();
        Shown("[data-sign][data-key=r]").ShouldBeTrue();
        browser.Keys(K.Enter);
        Shown("[data-when=product]").ShouldBeFalse();
        Shown("[data-when=operands]").ShouldBeTrue();
        Shown("[data-sign][data-key='.']").ShouldBeTrue();
        browser.Keys("?");
        Shown("[data-when=operands]").ShouldBeFalse();
        browser.Keys("?");
        Shown("[data-when=operands]").ShouldBeTrue();

        bool Shown(string what) => browser.Driver.FindElement(By.CssSelector(what)).Displayed;
    }

    [Theory]
    [MemberData(nameof(FullWork))]
    public void Every_family_is_typed_with_its_work_from_the_left(string task, string keys, string[] stored)
    {
        browser.BeginPage(task, "FromLeft");
        browser.Keys(keys);
        Saved();
        foreach (var text in stored) browser.Stored().ShouldContain(text);
        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Theory]
    [InlineData("456 + 378", "834", "438")]
    [InlineData("4.56 + 3.7", "8.26", "62.8")]
    [InlineData("5.1 + 3.7", "8.8", "8.8")]
    [InlineData("4.6 * 3.7", "17.02", "20.71")]
    [InlineData("857 / 24", "35r17", "35r17")]
    [InlineData("-7 * 4", "-28", "-28")]
    [InlineData("-1.5 * 3", "-4.5", "5.4-")]
    public void An_answer_costs_its_digits_and_signs_from_either_side(string task, string fromLeft, string fromRight)
    {
        foreach (var (direction, keys) in new[] { ("FromLeft", fromLeft), ("FromRight", fromRight) })
        {
            browser.BeginPage(task, direction);
            browser.Keys(keys);
            Saved();
            browser.Stored().ShouldContain($"\"answer\": \"{fromLeft}\"");
            browser.TextOf("[data-reads]").ShouldBe($"Item 1 reads {fromLeft}");
        }
    }

    [Theory]
    [InlineData("FromRight", 21)]
    [InlineData("FromLeft", 22)]
    public void Whatever_keys_are_pressed_in_any_family_what_is_read_is_what_is_stored(string direction, int seed)
    {
        string[] keys = ["0", "1", "2", "7", "9", "4", K.Enter, K.ArrowLeft, K.ArrowRight, K.ArrowUp, K.ArrowUp, K.ArrowDown, K.ArrowDown, K.Backspace, K.Delete, " ", ".", "-", "r", "/", "<", ">", "j", "u", "l", K.Home, K.End, "undo"];
        browser.BeginPage("456 + 78 + 9\n47 * 38\n857 / 24\n4.56 - 3.7\n4.6 * 3.7\n8.4 / 0.6\n-7 - -12", direction);
        var random = new Random(seed);
        var pressed = new List<string>();
        for (var i = 0; i < 200; i++)
        {
            pressed.Add(keys[random.Next(keys.Length)]);
            browser.Script<object?>("document.querySelector('[data-paper]').focus()");
            if (pressed[^1] == "undo") browser.Undo();
            else browser.Keys(pressed[^1]);
        }

        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", string.Join(' ', pressed));
        var before = Hand();
        browser.Driver.Navigate().Refresh();
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "loaded again");
        Hand().ShouldBe(before, string.Join(' ', pressed));
        browser.ConsoleErrors().Where(e => !e.Contains("/api/")).ShouldBeEmpty();

        string Hand() => browser.Script<string>("return JSON.stringify([...document.querySelectorAll('[data-drawing] svg')].map(s => [...s.querySelectorAll('text.hand')].map(t => t.textContent).sort().join('')))");
    }
}
