using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Number facts on their own track: from a reading to the list, checked with one press, on the desk when it is due.</summary>
public sealed class FactTests(PencilApp app) : IClassFixture<PencilApp>
{
    [Fact]
    public async Task A_fact_is_followed_from_its_reading_checked_and_taken_off()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var page = (Guid)(await app.SqlAsync("select p.id from pages p join students s on s.id = p.student_id where s.code = 'K-35'"))!;
        (await visitor.GetAsync("/students/K-35/facts")).Body!.TextContent.ShouldContain("7 × 8 = 56");
        var button = (await visitor.GetAsync("/students/K-35/facts")).QuerySelectorAll("button[name=right]").Select(b => b.TextContent).ToList();
        button.ShouldBe(["all 4", "3", "2", "1", "none"]);
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile").First(p => p.TextContent.Contains("K-35")).QuerySelector("h2")!.TextContent.ShouldContain("To check");
        var fact = (Guid)(await app.SqlAsync("select id from learnt_facts"))!;
        await visitor.GetAsync("/students/K-35/facts");
        (await visitor.PostAsync("/students/K-35/facts?handler=Check", ("fact", $"{fact}"), ("right", "9"))).QuerySelector("[role=alert]")!.TextContent.ShouldBe("Of 4 questions 0 to 4 can be right.");
        await visitor.GetAsync("/students/K-35/facts");
        var after = await visitor.PostAsync("/students/K-35/facts?handler=Check", ("fact", $"{fact}"), ("right", "4"));
        after.Body!.TextContent.ShouldContain("held: right on 3 days in a row");

        // It is found again on the page; following it twice keeps one track with its checks.
        (await visitor.GetAsync($"/pages/{page}/facts")).Body!.TextContent.ShouldContain("7 × 8 = 56");
        (await visitor.PostAsync($"/pages/{page}/facts", ("fact", "7 * 8"))).Body!.TextContent.ShouldContain("held: right on 3 days in a row");
        ((long)(await app.SqlAsync("select count(*) from learnt_facts"))!).ShouldBe(1);
        await visitor.PostAsync("/students/K-35/facts?handler=Remove", ("fact", $"{fact}"));
        (await visitor.GetAsync("/students/K-35/facts")).Body!.TextContent.ShouldContain("No fact is being learnt");
        ((long)(await app.SqlAsync("select count(*) from fact_checks"))!).ShouldBe(0);
    }
}
