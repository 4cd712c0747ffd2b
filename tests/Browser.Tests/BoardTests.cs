using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using K = OpenQA.Selenium.Keys;

namespace YellowPencil.Browser.Tests;

/// <summary>A class typed in by keyboard, pasted, without a connection, in two tabs; and its reading.</summary>
public sealed class BoardTests(Browser browser) : IClassFixture<Browser>
{
    private const string Items = "604 - 278\n523 - 168\n80 - 36";
    private string sheet = "";

    /// <summary>A class with a sheet, open to be typed in.</summary>
    private void Begin(int students = 3, string items = Items)
    {
        browser.Go("/add-class");
        if (browser.Driver.Url.Contains("/sign-in"))
        {
            browser.SignIn();
            browser.Go("/add-class");
        }

        browser.Script<object?>("localStorage.clear()");
        browser.ConsoleErrors(); // What another test left there is none of this one's.
        var start = "B" + Guid.NewGuid().ToString("N")[..5].ToUpperInvariant();
        browser.Keys($"Class {start}{K.Tab}{string.Join('\n', Enumerable.Range(1, students).Select(n => $"{start}-{n}"))}");
        browser.Click("form button.next");
        browser.Until(b => b.Text.Contains("Set a sheet"), "the class");
        browser.Click(By.LinkText("Set a sheet"));
        browser.Until(b => b.Driver.Url.EndsWith("/set"), "the form");
        browser.Keys(items);
        browser.Until(b => b.Text.Contains("listed rules of column subtraction"), "what the sheet can tell");
        browser.Click(By.XPath("//button[.='Set the sheet']"));
        browser.Until(b => b.Driver.Url.Contains("/class-sheets/") && b.TextOf("[data-saving]") == "Saved.", "the board");
        sheet = browser.PagePath.Split('/')[^1];
    }

    private void Saved() => browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "saved");

    /// <summary>What is stored, a row a student: answers with a slash between, a dot where there is none.</summary>
    private string Stored() => (string)browser.App.SqlAsync(
        $"""
        select string_agg(r.answers, ' | ' order by r.code_key) from (select s.code_key, string_agg(coalesce(i.value ->> 'answer', '.'), '/' order by i.ordinality) as answers
        from pages p join students s on s.id = p.student_id, jsonb_array_elements(p.content -> 'items') with ordinality i where p.class_sheet_id = '{sheet}' group by s.code_key) r
        """).GetAwaiter().GetResult()!;

    private IWebElement Cell(int row, int column) => browser.Driver.FindElements(By.CssSelector("tr[data-row]"))[row].FindElements(By.TagName("input"))[column];

    private void Paste(IWebElement cell, string text)
    {
        cell.Click();
        browser.Script<object?>("const data = new DataTransfer(); data.setData('text/plain', arguments[1]); arguments[0].dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))", cell, text);
        browser.Until(b => b.TextOf("[data-found-text]").Contains("can be taken"), "what was found");
    }

    [Fact]
    public void Answers_in_lines_are_drawn_built_up_while_the_hand_is_elsewhere()
    {
        Begin(students: 1, items: "604 - 278\n2/3 + 3/5\nfactor x^2 + x - 12");
        browser.Keys($"474{K.Enter}5/8{K.Enter}(x+{K.Enter}");
        Saved();
        Stored().ShouldBe("474/5/8/(x+");
        browser.Until(_ => Built(1), "5/8 is built up");
        Built(2).ShouldBeFalse("the bracket is not closed");
        browser.Driver.Navigate().Refresh();
        browser.Until(_ => Built(1), "it is built up by the server too");
        browser.AccessibilityFaults().ShouldBeEmpty();
        Cell(0, 1).SendKeys(K.F2 + "1");
        Built(1).ShouldBeFalse("the hand is there");
        browser.Keys(K.Enter);
        browser.Until(_ => Built(1), "5/81 is built up");
        Saved();
        Stored().ShouldBe("474/5/81/(x+");

        bool Built(int column) => browser.Script<bool>("const picture = arguments[0].closest('td').querySelector('.built svg'); return picture !== null && picture.checkVisibility()", Cell(0, column));
    }

    [Fact]
    public void A_class_is_typed_with_enter_and_arrows_and_read_while_it_is_typed()
    {
        Begin();
        browser.Keys("474" + K.Enter + "445" + K.Enter + "56" + K.Enter);
        browser.Keys("326" + K.Enter + "u" + K.Enter + K.Enter + "474" + K.ArrowRight + "445" + K.ArrowUp + K.ArrowUp + "44" + K.ArrowLeft + K.ArrowRight + K.ArrowDown + K.ArrowDown + "9" + K.Escape + K.Enter);
        Saved();
        Stored().ShouldBe("474/44/56 | 326/?/. | 474/445/.");
        browser.Until(b => b.TextOf("[data-progress]") == "3 of 3 read", "read");
        browser.Driver.FindElements(By.CssSelector("td[data-verdict]")).Select(c => c.GetAttribute("data-verdict")).ShouldBe(
            ["wrong", "wrong", "wrong", "right", "unreadable", "blank", "wrong", "wrong", "blank"]);
        new Actions(browser.Driver).KeyDown(K.Shift).SendKeys(K.Enter).KeyUp(K.Shift).SendKeys("445").Perform();
        Saved();
        browser.Keys(K.Enter + K.Enter);
        browser.Script<bool>("return document.activeElement.matches('[data-done]')").ShouldBeTrue();
        browser.ConsoleErrors().ShouldBeEmpty();

        browser.Click("[data-done]");
        browser.Until(b => b.Driver.Url.EndsWith("/reading") && b.Text.Contains("3 of 3 typed pages read"), "the reading of the class");
        browser.Click(".marked tbody th a");
        browser.Until(b => b.Driver.Url.Contains("/pages/"), "the student's own reading");
        browser.Click("nav a[href*='/class-sheets/']");
        browser.Until(b => b.Driver.Url.Contains("/reading#row-"), "back at the row");
        browser.AccessibilityFaults().ShouldBeEmpty();
    }

    [Fact]
    public void A_pasted_table_is_looked_at_first_and_its_good_cells_are_taken()
    {
        Begin();
        browser.Keys("111" + K.Enter);
        Saved();
        Paste(Cell(0, 0), "474\t4a5\t56\n326\t355\t44\n1\t2\t3\n4\t5\t6");
        browser.TextOf("[data-found-text]").ShouldBe("8 answers can be taken. One changes an answer that stands there. 2 places cannot be taken:");
        browser.Driver.FindElements(By.CssSelector("[data-faults] tbody tr")).Select(r => string.Join("; ", r.FindElements(By.TagName("td")).Select(d => d.Text))).ShouldBe(
        [
            $"row 1 ({browser.Driver.FindElement(By.CssSelector("tr[data-row]")).GetAttribute("data-code")}); item 2, 523 − 168; “4a5” is no number; 45, if that is what stands on the paper; ? where it cannot be read",
            "row 4; ; there is no student left for it: this sheet has 3; begin further up, or put the codes into the first column",
        ]);
        browser.AccessibilityFaults().ShouldBeEmpty();
        Stored().ShouldBe("111/./. | ././. | ././.");
        browser.Click("[data-take]");
        Saved();
        Stored().ShouldBe("474/./56 | 326/355/44 | 1/2/3");
        browser.Driver.FindElement(By.CssSelector("[data-table]")).Displayed.ShouldBeFalse();
    }

    [Fact]
    public void Without_a_connection_answers_are_kept_and_sent_when_it_is_back()
    {
        Begin();
        browser.Offline(() =>
        {
            browser.Keys("474" + K.Enter + "445" + K.Enter);
            browser.Until(b => b.TextOf("[data-saving]").StartsWith("Not connected."), "the lost connection is shown");
        });
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "sent");
        Stored().ShouldStartWith("474/445/.");

        // Left while it could not be sent: said on the desk, and sent when the board is opened again.
        browser.WithoutTyping(() =>
        {
            browser.Keys("56" + K.Enter);
            browser.Until(b => b.TextOf("[data-saving]").StartsWith("Not connected."), "the lost connection is shown");
            browser.Go("/");
            browser.Until(b => b.TextOf("[data-unsent]").Contains("the answer to item 3 is kept in this browser only"), "said on the desk");
        });
        browser.Click(By.LinkText("Open the page to send them"));
        browser.Until(b => b.Driver.Url.EndsWith($"/class-sheets/{sheet}") && b.TextOf("[data-saving]") == "Saved." && Stored().StartsWith("474/445/56"), "sent when the board was opened");
        browser.Script<long>("return Object.keys(localStorage).filter(k => k.includes(':item:')).length").ShouldBe(0);
    }

    [Fact]
    public void In_two_tabs_the_hand_decides_which_answer_stands()
    {
        Begin();
        var first = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        browser.Go($"/class-sheets/{sheet}");
        browser.Until(b => b.TextOf("[data-saving]") == "Saved.", "second tab");
        browser.Keys("326" + K.Enter);
        Saved();
        var second = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().Window(first);
        browser.Keys("474" + K.Enter + "445" + K.Enter);
        browser.Until(b => b.TextOf("[data-conflicts]").Contains("474, typed here"), "the conflict");
        browser.Until(_ => Stored().StartsWith("326/445/."), "the other answer is saved all the same");
        browser.Click(By.XPath("//button[starts-with(., '474, typed here')]"));
        Saved();
        Stored().ShouldStartWith("474/445/.");
        browser.Driver.SwitchTo().Window(second).Close();
        browser.Driver.SwitchTo().Window(first);
    }

    [Fact]
    public void An_answer_that_is_no_number_is_not_saved_and_said()
    {
        Begin();
        browser.Keys("4x7" + K.Enter + "445" + K.Enter);
        browser.Until(b => b.TextOf("[data-saving]").Contains("item 1, is not saved: “4x7” is no number"), "said");
        browser.Driver.FindElements(By.CssSelector("input[data-refused]")).Count.ShouldBe(1);
        browser.Until(_ => Stored().StartsWith("./445/."), "the other answer is saved all the same");
        Cell(0, 0).Click();
        browser.Keys("474" + K.Enter);
        Saved();
        Stored().ShouldStartWith("474/445/.");
    }

    [Fact]
    public void Thirty_five_students_and_twenty_items_fit_with_their_heads_in_sight()
    {
        Begin(35, string.Join('\n', Enumerable.Range(31, 20).Select(n => $"{n}4 - 278")));
        foreach (var address in new[] { $"/class-sheets/{sheet}", $"/class-sheets/{sheet}/reading" })
        {
            browser.Go(address);
            browser.Until(b => b.Driver.FindElements(By.CssSelector(".answers tbody tr")).Count == 35 && b.Driver.FindElements(By.CssSelector(".answers thead th")).Count >= 21, address);
            browser.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue(address);

            // Scrolled to the last cell, the head of its column and the code of its row still stand where the eye looks for them.
            browser.Script<object?>("const frame = document.querySelector('.boardframe'); frame.scrollTop = frame.scrollHeight; frame.scrollLeft = frame.scrollWidth");
            browser.Script<bool>(
                """
                const frame = document.querySelector('.boardframe').getBoundingClientRect(), last = document.querySelector('.answers tbody tr:last-child');
                const head = document.querySelector('.answers thead th:nth-child(21)').getBoundingClientRect(), code = last.querySelector('th').getBoundingClientRect();
                const cell = last.querySelector('td:nth-child(21)').getBoundingClientRect();
                return Math.abs(head.top - frame.top) < 3 && Math.abs(code.left - frame.left) < 3 && cell.bottom <= frame.bottom + 1 && cell.right <= frame.right + 1;
                """).ShouldBeTrue(address);
        }
    }

    [Fact]
    public void Every_page_of_classes_and_sheets_holds_against_axe()
    {
        Begin();
        var schoolClass = browser.Driver.FindElement(By.CssSelector("nav a[href^='/classes/']")).GetAttribute("href")!.Replace(browser.Base.ToString(), "/");
        string[] addresses =
        [
            "/", schoolClass, schoolClass + "/edit", schoolClass + "/set", schoolClass + "/set?designed=4&family=division&digits=2", $"/class-sheets/{sheet}", $"/class-sheets/{sheet}/reading",
            $"/class-sheets/{sheet}/paper", $"/class-sheets/{sheet}/paper?kind=key&print=large",
        ];
        foreach (var address in addresses)
        {
            browser.Go(address);
            browser.AccessibilityFaults().ShouldBeEmpty(address);
        }

        browser.ConsoleErrors().ShouldBeEmpty();
    }

    [Fact]
    public void A_model_moves_with_the_replay_and_says_where_writing_and_amounts_part()
    {
        browser.BeginPage("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66");
        browser.Go(browser.PagePath + "/items/2");
        browser.Until(b => b.Text.Contains("Step 1 of"), "the replay");
        browser.Driver.FindElements(By.CssSelector("[data-model]")).ShouldAllBe(m => !m.Displayed);
        browser.Keys("m" + K.End);
        browser.Text.ShouldContain("8 cannot be taken from 2 ones, and 6 is written.");
        browser.Script<string>("return document.querySelector('[data-side=taught] .frame:not([hidden]) .model').getAttribute('aria-label')").ShouldBe("Counters on a place-value mat: 4 tens, 3 of them taken away, 12 ones, 8 of them taken away.");
        browser.AccessibilityFaults().ShouldBeEmpty();
        browser.Keys("m");
        browser.Text.ShouldNotContain("cannot be taken");
    }
}
