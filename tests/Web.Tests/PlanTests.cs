using System.Net;
using AngleSharp.Dom;
using Shouldly;
using Xunit;
using YellowPencil.Core.Knowledge;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Tests;

/// <summary>Plans in every family, their paper, and the map of ideas.</summary>
public sealed class PlanTests(PencilApp app) : IClassFixture<PencilApp>
{
    /// <summary>A student with a page that is read.</summary>
    private async Task<(Visitor Visitor, string Code, string Page)> ReadAsync(string items)
    {
        var visitor = await new Visitor(app).SignInAsync();
        var code = "P-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Regroup"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", items), ("title", "Stock"));
        var page = visitor.Address["/pages/".Length..];
        await visitor.GetAsync($"/pages/{page}/reading");
        return (visitor, code, page);
    }

    // Carries dropped; zeros left out of quotients; right ends lined up; − − read as −: answers worked by hand.
    [Theory]
    [InlineData("456 + 378 = 724\n27 + 58 = 75\n604 + 297 = 891\n83 + 14 = 97\n745 + 86 = 721\n369 + 254 = 513", "ten moves on", "Take one of the numbers away from the sum")]
    [InlineData("-7 - -12 = -19\n4 - -3 = 1\n-8 + 5 = -3\n-6 - 9 = -15\n9 - -2 = 7\n-3 + -4 = -7\n-10 - -4 = -14", "taking away a negative number", "Show it on the number line")]
    [InlineData("47 * 6 = 242\n38 * 4 = 122\n69 * 3 = 187\n58 * 7 = 356\n83 * 3 = 249\n21 * 4 = 84", "ten moves on", "Round both numbers and multiply")]
    public async Task An_accepted_rule_of_any_family_becomes_a_plan_with_its_paper(string items, string idea, string check)
    {
        var (visitor, code, page) = await ReadAsync(items);
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        var accept = reading.QuerySelectorAll("form").First(f => f.TextContent.Contains("Accept and plan"));
        var rules = accept.QuerySelector("input[name=rules]")!.GetAttribute("value")!;
        var plan = await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", rules));
        var address = visitor.Address;
        address.ShouldStartWith("/plans/");
        plan.QuerySelector("h1")!.TextContent.ShouldContain(idea);
        plan.QuerySelector("article")!.TextContent.ShouldContain(check);
        plan.QuerySelector("article")!.TextContent.ShouldContain("It is decided by one question");
        plan.QuerySelectorAll("article table:not(.writein) tbody tr").Length.ShouldBe(12);
        (await visitor.GetAsync(address + "/practice")).QuerySelectorAll("svg.working").Length.ShouldBe(12);
        var faded = await visitor.GetAsync(address + "/faded");
        var written = faded.QuerySelectorAll("svg.working").Select(svg => svg.QuerySelectorAll("text.hand").Length).ToList();
        written.Count.ShouldBe(6);
        written[0].ShouldBeGreaterThan(0);
        written[^1].ShouldBe(0);
        faded.QuerySelector("article")!.TextContent.ShouldContain(code);

        // What was printed stays as it was, also when the engine has changed since.
        var before = (string)(await app.SqlAsync($"select content from plans where id = '{address["/plans/".Length..]}'"))!;
        await visitor.GetAsync(address);
        ((string)(await app.SqlAsync($"select content from plans where id = '{address["/plans/".Length..]}'"))!).ShouldBe(before);

        // An item is changed for another; that it was is kept and said.
        var shown = await visitor.GetAsync(address);
        var item = shown.QuerySelector("article table button.swap")!.GetAttribute("value")!;
        shown = await visitor.PostAsync(address + "?handler=Swap", ("item", item));
        visitor.Address.ShouldBe(address);
        shown.QuerySelectorAll("button.swap").Select(b => b.GetAttribute("value")).ShouldNotContain(item);
        shown.QuerySelector("article table tbody tr")!.TextContent.ShouldContain("changed");
        (await visitor.GetAsync(address + "/practice")).QuerySelectorAll("svg.working").Length.ShouldBe(12);
    }

    [Fact]
    public async Task The_map_of_ideas_shows_what_is_missing_held_and_not_seen_with_the_evidence()
    {
        var (visitor, code, page) = await ReadAsync("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n86 - 42 = 44\n97 - 35 = 62\n68 - 21 = 47\n703 - 245 = 542");
        var map = await visitor.GetAsync($"/students/{code}/ideas");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        string StateOf(string idea) => map.GetElementById(idea)!.ClassList.Single(c => c != "idea");
        StateOf("take-away-in-order").ShouldBe("missing");
        StateOf("read-the-sign").ShouldBe("understood");
        StateOf("both-points-move").ShouldBe("notseen");
        var evidence = map.QuerySelector("#take-away-in-order li a")!;
        evidence.TextContent.ShouldStartWith("Stock: “Turns the column round”, ");
        evidence.GetAttribute("href").ShouldBe($"/pages/{page}/reading");
        map.QuerySelector("#read-the-sign li a")!.TextContent.ShouldBe("Stock: items 4, 5, 6 right");
        map.QuerySelector("#ten-for-one .needs")!.TextContent.ShouldContain("! which number is taken away");
        map.QuerySelectorAll(".idea").Length.ShouldBe(105);

        // On the map: what was seen, and what stands next to what is missing; the others are folded up.
        var boxes = map.QuerySelectorAll(".ideamap a").Select(a => a.GetAttribute("href")!.TrimStart('#')).ToList();
        boxes.ShouldBeUnique();
        boxes.ShouldContain("take-away-in-order");
        boxes.ShouldContain("ten-for-one", "it rests on what is missing");
        boxes.ShouldContain("read-the-sign", "what is missing rests on it");
        boxes.ShouldNotContain("both-points-move");
        map.QuerySelector("[data-rest] #both-points-move").ShouldNotBeNull();
        map.QuerySelector("[data-rest] #take-away-in-order").ShouldBeNull();
        map.QuerySelectorAll(".ideamap path.missing").Length.ShouldBeGreaterThan(0);
    }

    /// <summary>Law: on a map of all ideas each stands to the right of all that it needs, and no two stand in one place.</summary>
    [Fact]
    public void Every_idea_stands_behind_what_it_needs_and_alone_in_its_place()
    {
        var placed = IdeaPicture.Place([.. IdeaMap.All]);
        placed.Count.ShouldBe(105);
        placed.Select(p => (p.Column, p.Row)).ShouldBeUnique();
        var columns = placed.ToDictionary(p => p.Idea, p => p.Column);
        foreach (var idea in IdeaMap.All)
            foreach (var needed in IdeaMap.Needs(idea)) columns[needed].ShouldBeLessThan(columns[idea]);
    }

    [Fact]
    public async Task A_page_that_is_not_read_says_nothing_on_the_map_and_is_counted()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var map = await visitor.GetAsync("/students/K-02/ideas");
        map.QuerySelectorAll(".idea.missing").ShouldBeEmpty();
        map.Body!.TextContent.ShouldContain("One page is not read yet");
        await visitor.GetAsync("/students/nobody/ideas");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_number_fact_that_was_found_has_a_short_plan_of_its_own()
    {
        var (visitor, _, page) = await ReadAsync("47 * 8 = 374\n87 * 3 = 261\n68 * 7 = 474\n37 * 8 = 294\n36 * 8 = 288\n57 * 7 = 399\n78 * 7 = 544\n46 * 5 = 230");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll($"a[href='/pages/{page}/facts']").Single().TextContent.ShouldBe("A short plan for this fact");
        var facts = await visitor.GetAsync($"/pages/{page}/facts");
        facts.QuerySelector("article h1")!.TextContent.ShouldEndWith(": 7 × 8 = 56");
        facts.QuerySelector("article li")!.TextContent.Trim().ShouldBe("6 × 8 = 48, and 48 + 8 = 56.  from 6 × 8 = 48, which came out right here");
        facts.QuerySelectorAll("tbody tr").Length.ShouldBe(6);
    }

    [Theory]
    [InlineData("", "squared paper of 7 mm", "182mm")]
    [InlineData("?kind=squared&square=10&size=letter&code=K-17", "squared paper of 10 mm", "187mm")]
    [InlineData("?kind=decimal-mat", "place-value mat", "182mm")]
    [InlineData("?kind=lines&from=-5&to=15", "number lines from -5 to 15", "182mm")]
    [InlineData("?kind=lines&from=5&to=-15", "number lines from -10 to 10", "182mm")]
    [InlineData("?kind=areas", "areas cut by places", "182mm")]
    [InlineData("?kind=multiples&of=24", "multiples of 24", "182mm")]
    [InlineData("?kind=nothing-of-the-sort&of=0&square=3", "squared paper of 7 mm", "182mm")]
    public async Task Paper_is_drawn_in_true_millimetres(string wish, string label, string width)
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var page = await visitor.GetAsync("/paper" + wish);
        var picture = page.QuerySelector("svg.aid")!;
        (picture.GetAttribute("aria-label"), picture.GetAttribute("width")).ShouldBe((label, width));
        if (wish.Contains("of=24")) picture.TextContent.ShouldContain("3 × 24 =72");
        if (wish.Contains("code")) page.QuerySelector("article strong")!.TextContent.ShouldBe("K-17");
        (page.QuerySelector(".fault") is not null).ShouldBe(wish.Contains("to=-15"));
    }
}
