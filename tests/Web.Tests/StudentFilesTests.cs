using System.Net;
using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Format;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>Students' files and the forms around them.</summary>
public sealed class StudentFilesTests(PencilApp app) : IClassFixture<PencilApp>
{
    private async Task<Visitor> DemoAsync() => await new Visitor(app).SignInAsync();

    [Theory]
    [InlineData("", "A code has 1 to 40 letters")]
    [InlineData("two words", "A code has 1 to 40 letters")]
    [InlineData("-1", "A code has 1 to 40 letters")]
    [InlineData("K-01", "already a student with the code K-01")]
    public async Task A_code_that_cannot_be_used_is_said_and_nothing_is_lost(string code, string message)
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/add-student");
        var page = await visitor.PostAsync("/add-student", ("code", code), ("callName", "Keep me"), ("word", "Borrow"));
        page.QuerySelector(".fault")!.TextContent.ShouldContain(message);
        page.QuerySelector("#callName")!.GetAttribute("value").ShouldBe("Keep me");
    }

    [Fact]
    public async Task The_classrooms_word_is_kept_and_used_in_readings()
    {
        using var visitor = await DemoAsync();
        var edit = await visitor.GetAsync("/students/K-02/edit");
        edit.QuerySelector("option[selected]")!.TextContent.ShouldBe("regroup");
        var file = await visitor.PostAsync("/students/K-02/edit", ("code", "K-02"), ("callName", "Tobiah"), ("word", "Exchange"));
        visitor.Address.ShouldBe("/students/K-02");
        file.QuerySelector("main")!.TextContent.ShouldContain("The classroom says exchange");
        var page = file.QuerySelector("td a")!.GetAttribute("href")!.Replace("/reading", "", StringComparison.Ordinal);
        (await visitor.GetAsync(page + "/reading")).QuerySelector(".sentence")!.TextContent.ShouldContain("Exchanges across a zero");
    }

    [Fact]
    public async Task A_file_in_the_archive_is_off_the_desk_and_whole_and_comes_back_with_a_new_page()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", "ARCH-1"), ("callName", ""), ("word", "Rename"));
        await visitor.GetAsync("/students/ARCH-1/pages/new");
        await visitor.PostAsync("/students/ARCH-1/pages/new", ("items", "604 - 278 = 474"), ("title", "Old rope"));
        (await OnDeskAsync("/")).ShouldBe((1, 1));

        await visitor.GetAsync("/students/ARCH-1/edit");
        var file = await visitor.PostAsync("/students/ARCH-1/edit?handler=Archive");
        visitor.Address.ShouldBe("/students/ARCH-1");
        file.QuerySelector("main")!.TextContent.ShouldContain("In the archive since");
        file.QuerySelector("main")!.TextContent.ShouldContain("Old rope");
        (await OnDeskAsync("/")).ShouldBe((0, 0));
        (await OnDeskAsync("/?archive=true")).ShouldBe((0, 1));

        await visitor.GetAsync("/students/ARCH-1/pages/new");
        await visitor.PostAsync("/students/ARCH-1/pages/new", ("items", "52 - 38"), ("title", "New rope"));
        (await OnDeskAsync("/")).ShouldBe((1, 1));
        (await OnDeskAsync("/?archive=true")).ShouldBe((1, 0));

        await visitor.GetAsync("/students/K-29/edit");
        var refused = await visitor.PostAsync("/students/K-29/edit?handler=Archive");
        refused.QuerySelector(".fault")!.TextContent.ShouldContain("A plan is being taught");
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").ShouldContain(li => li.TextContent.Contains("K-29"));

        async Task<(int Piled, int Listed)> OnDeskAsync(string address)
        {
            var desk = await visitor.GetAsync(address);
            return (desk.QuerySelectorAll(".pile li").Count(li => li.TextContent.Contains("ARCH-1")), desk.QuerySelectorAll(".ledger tr").Count(tr => tr.TextContent.Contains("ARCH-1")));
        }
    }

    [Fact]
    public async Task What_is_looked_for_on_the_desk_is_found_in_piles_and_among_the_students()
    {
        using var visitor = await DemoAsync();
        var found = await visitor.GetAsync("/?find=turns+the+COLUMN");
        var lines = found.QuerySelectorAll(".pile li:not(.sharedrule)").Select(li => li.TextContent + li.ParentElement!.QuerySelector(".sharedrule")?.TextContent).ToList();
        lines.Count.ShouldBeGreaterThan(1);
        lines.ShouldAllBe(text => text.Contains("Turns the column"));
        found.QuerySelectorAll(".pile.nothing").ShouldBeEmpty("that nothing of it waits there says nothing of the pile");
        var nobody = await visitor.GetAsync("/?find=zebra");
        nobody.QuerySelectorAll(".pile li").ShouldBeEmpty();
        nobody.QuerySelector("main")!.TextContent.ShouldContain("No student’s code, name or latest reading has “zebra” in it.");
        nobody.QuerySelector("#find")!.GetAttribute("value").ShouldBe("zebra");
    }

    [Fact]
    public void Sheets_on_which_the_same_was_found_lie_together_under_it()
    {
        var pile = new Pile("To decide", "", [Sheet("A", "Turns"), Sheet("B", "Zeros"), Sheet("C", null), Sheet("D", "Turns"), Sheet("E", null)]);
        pile.Lines.Select(l => $"{l.Shared}|{l.Sheet.Code}|{l.Sheet.Finding}").ShouldBe(["Turns: 2 students|A|", "|D|", "Others|B|Zeros", "|C|", "|E|"]);
        pile.With("zero").Sheets.Select(s => s.Code).ShouldBe(["B"]);
        pile.With("").Sheets.Count.ShouldBe(5);

        static PiledSheet Sheet(string code, string? finding) => new(Guid.NewGuid(), code, "", "", "", "", "") { Finding = finding };
    }

    [Fact]
    public async Task A_student_without_pages_is_told_what_to_do()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", "EMPTY.1"), ("callName", ""), ("word", "Rename"));
        visitor.Address.ShouldBe("/students/EMPTY.1");
        (await visitor.GetAsync("/students/EMPTY.1")).QuerySelector("main")!.TextContent.ShouldContain("Nothing yet.");
    }

    [Fact]
    public async Task Designed_items_fill_the_form()
    {
        using var visitor = await DemoAsync();
        var page = await visitor.GetAsync("/students/K-05/pages/new?designed=12");
        var items = ItemList.TryParse(page.QuerySelector("textarea")!.TextContent.Trim(), null, out _);
        items.Count.ShouldBe(12);
        items.Select(i => (SheetWish.IsRegrouped(i.Task), i.Task.Steps)).ShouldBeInOrder();
        items.SelectMany(i => i.Task.Numbers).Max(n => n.Length).ShouldBe(3);
        page.QuerySelectorAll("aside .design input, aside .design select, aside .design button").ShouldAllBe(c => c.GetAttribute("form") == "design");
    }

    [Fact]
    public async Task What_is_no_item_is_refused_with_its_line()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/students/K-05/pages/new");
        var page = await visitor.PostAsync("/students/K-05/pages/new", ("items", "1/2 + 1/3\n1/2 +"));
        page.QuerySelector(".fault")!.TextContent.ShouldContain("Line 2");
    }

    [Theory]
    [InlineData("/students/NOBODY")]
    [InlineData("/students/NOBODY/pages/new")]
    [InlineData("/pages/not-a-key")]
    [InlineData("/pages/00000000-0000-0000-0000-000000000000/reading")]
    [InlineData("/plans/00000000-0000-0000-0000-000000000000")]
    [InlineData("/nowhere/at/all")]
    public async Task A_wrong_address_gets_a_page_that_leads_on(string address)
    {
        using var visitor = await DemoAsync();
        var page = await visitor.GetAsync(address);
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        page.QuerySelector("main a.button")!.GetAttribute("href").ShouldBe("/");
    }

    [Fact]
    public async Task The_demo_shows_every_kind_of_reading()
    {
        using var visitor = await DemoAsync();
        var expected = new Dictionary<string, string>
        {
            ["K-01"] = "Merrin turns the column round",
            ["K-02"] = "Tobiah writes 0 wherever the bottom digit is 0",
            ["K-03"] = "Sela follows a rule, and this page cannot tell which",
            ["K-04"] = "Corvan turns the column round",
            ["K-05"] = "Ulla works as taught; items 2 and 6 are slips.",
            ["K-06"] = "Perrick has all 3 items right",
            ["K-07"] = "Nessa works as taught, but takes 13 − 7 to be 5",
            ["K-08"] = "Jory follows a rule that is not in the catalogue",
        };
        foreach (var (code, outcome) in expected)
        {
            var file = await visitor.GetAsync($"/students/{code}");
            var page = file.QuerySelectorAll("td a").Select(a => a.GetAttribute("href")!).Last(a => a.StartsWith("/pages/")).Replace("/reading", "");
            var reading = await visitor.GetAsync(page + "/reading");
            reading.QuerySelector("h1")!.TextContent.ShouldStartWith(outcome, customMessage: code);
            reading.QuerySelectorAll(".next").Length.ShouldBe(1, code);
        }

        var one = await visitor.GetAsync("/students/K-04");
        one.QuerySelector("main")!.TextContent.ShouldContain("Turns the column round");
        one.QuerySelector("#over-time").ShouldBeNull("one page is no course of time");
    }

    [Fact]
    public async Task Signing_out_ends_the_session()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/");
        await visitor.PostAsync("/sign-out");
        await visitor.GetAsync("/");
        visitor.Address.ShouldStartWith("/sign-in");
    }

    [Fact]
    public async Task A_file_of_several_pages_says_what_became_of_a_rule()
    {
        using var visitor = await DemoAsync();
        var file = await visitor.GetAsync("/students/K-17");
        var row = file.QuerySelectorAll("section[aria-labelledby=over-time] tbody tr").ShouldHaveSingleItem();
        row.QuerySelectorAll("td")[0].TextContent.ShouldBe("Zeros are skipped");
        row.QuerySelectorAll("td")[1].TextContent.ShouldBe("has gone");
        row.QuerySelectorAll("li .tabular").Select(s => s.TextContent).ShouldBe(["5 of 5", "3 of 6", "0 of 6"]);
        var first = await visitor.GetAsync(row.QuerySelector("li a")!.GetAttribute("href")!);
        first.QuerySelector("h1")!.TextContent.ShouldStartWith("Kerra borrows across a zero");
    }
}
