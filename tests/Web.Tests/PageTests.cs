using Shouldly;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Tests that begin with a student and a page of their own.</summary>
public abstract class PageTests(PencilApp app)
{
    protected const string Turns = "subtraction.turns-column-round";

    protected PencilApp App => app;

    protected async Task<(Visitor Visitor, string Code, string Page)> PageAsync(string items = "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66")
    {
        var visitor = await new Visitor(app).SignInAsync();
        var code = "T-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", "Pim"), ("word", "Borrow"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", items), ("title", "Ropes"));
        visitor.Address.ShouldStartWith("/pages/");
        return (visitor, code, visitor.Address["/pages/".Length..]);
    }

    protected async Task<long> CountAsync(string sql) => (long)(await app.SqlAsync(sql))!;

    protected static async Task<string[]> PilesOfAsync(Visitor visitor, string code) =>
        [.. (await visitor.GetAsync("/")).QuerySelectorAll(".pile").SelectMany(p => p.QuerySelectorAll("li").Where(li => li.TextContent.Contains(code)).Select(_ => p.QuerySelector("h2")!.TextContent.Split(' ')[1]))];
}
