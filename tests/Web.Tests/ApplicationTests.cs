using System.Net;
using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

public sealed class ApplicationTests(PencilApp app) : IClassFixture<PencilApp>
{
    private async Task<Visitor> DemoAsync() => await new Visitor(app).SignInAsync();

    private static async Task<string> NewPageAsync(Visitor visitor, string items)
    {
        var code = "T-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", items), ("title", "Test"));
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        return visitor.Address["/pages/".Length..];
    }

    private async Task<Visitor> SomebodyElseAsync()
    {
        const string email = "other@kite-workshop.example", password = "with the wind behind";
        using var _ = new Visitor(app);
        await using var scope = app.Services.CreateAsyncScope();
        var users = scope.ServiceProvider.GetRequiredService<UserManager<Specialist>>();
        if (await users.FindByEmailAsync(email) is null)
            (await users.CreateAsync(new Specialist { Id = Guid.NewGuid(), UserName = email, Email = email, DisplayName = "Other" }, password)).Succeeded.ShouldBeTrue();
        return await new Visitor(app).SignInAsync(email, password);
    }

    [Fact]
    public async Task Without_signing_in_every_page_asks_for_it()
    {
        using var visitor = new Visitor(app);
        foreach (var address in new[] { "/", "/students/K-01", "/add-student", $"/pages/{Guid.NewGuid()}", $"/plans/{Guid.NewGuid()}" })
        {
            await visitor.GetAsync(address);
            visitor.Address.ShouldStartWith("/sign-in");
        }

        (await visitor.PutAsync($"/api/pages/{Guid.NewGuid()}/items", Array.Empty<object>())).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_wrong_password_is_said_and_does_not_sign_in()
    {
        using var visitor = await new Visitor(app).SignInAsync(password: "against the tide");
        (await visitor.GetAsync("/sign-in")).QuerySelector("h1")!.TextContent.ShouldBe("Sign in");
        await visitor.GetAsync("/");
        visitor.Address.ShouldStartWith("/sign-in");
    }

    [Fact]
    public async Task The_desk_of_the_demo_has_its_students_and_its_piles()
    {
        using var visitor = await DemoAsync();
        var desk = await visitor.GetAsync("/");
        desk.QuerySelectorAll(".pile h2").Select(h => h.TextContent.Trim().Split(' ')[1]).ShouldBe(["type", "read", "decide", "print", "check", "taught", "again"]);
        var tables = desk.QuerySelectorAll("table.ledger");
        tables[^1].QuerySelectorAll("a").Select(a => a.TextContent).Where(c => c.StartsWith("K-")).ShouldBe(Enumerable.Range(1, 35).Select(n => $"K-{n:00}"));

        // The weeks, as ten of them were made up: each student in one pile, with how it stands.
        desk.QuerySelectorAll(".pile").SelectMany(p => p.QuerySelectorAll("li:not(.sharedrule)").Select(li => (Pile: p.QuerySelector("h2")!.TextContent.Trim().Split(' ')[1], Line: li)))
            .Select(l => $"{l.Line.QuerySelector("a")!.TextContent.Split(' ')[0]} {l.Pile} {l.Line.QuerySelector(".when")!.TextContent}").Where(l => string.CompareOrdinal(l, "K-28") >= 0 && string.CompareOrdinal(l, "K-35") < 0)
            .Select(l => $"{l[..l.IndexOf(' ', 5)]}: {l[(l.LastIndexOf(", ", StringComparison.Ordinal) + 2)..]}").Order().ShouldBe([
                "K-28 again: gone", "K-29 check: loosening", "K-30 decide: another rule has come: close the plan", "K-31 check: four checks under the aim", "K-32 taught: back",
                "K-33 taught: too few checks to say", "K-34 check: too few checks to say",
            ]);
    }

    [Fact]
    public async Task Somebody_elses_students_pages_and_plans_are_not_found()
    {
        using var demo = await DemoAsync();
        var page = await NewPageAsync(demo, "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66");
        await demo.GetAsync($"/pages/{page}/reading");
        await demo.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", "subtraction.turns-column-round"));
        var plan = demo.Address;
        plan.ShouldStartWith("/plans/");

        using var other = await SomebodyElseAsync();
        foreach (var address in new[] { "/students/K-01", $"/pages/{page}", $"/pages/{page}/reading", $"/pages/{page}/items/1", plan, plan + "/practice", plan + "/progress", plan + "/reports" })
        {
            var answer = await other.GetAsync(address);
            other.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound, address);
            answer.QuerySelector("h1")!.TextContent.ShouldBe("There is nothing here");
        }

        (await other.GetAsync("/")).QuerySelectorAll("table.ledger a").ShouldBeEmpty();
        (await other.PutAsync($"/api/pages/{page}/items", new[] { new { id = "1", version = 1, answer = "1" } })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Every_answer_carries_the_strict_policy_and_no_page_holds_inline_script_or_style()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278 = 474\n52 - 38 = 26");
        foreach (var address in new[] { "/", "/students/K-01", $"/pages/{page}", $"/pages/{page}/reading", $"/pages/{page}/items/1", "/no-such-page" })
        {
            var html = await visitor.GetAsync(address);
            var policy = visitor.Last!.Headers.GetValues("Content-Security-Policy").Single();
            policy.ShouldContain("default-src 'none'");
            policy.ShouldNotContain("unsafe");
            html.QuerySelectorAll("script:not([src])").ShouldBeEmpty(address);
            html.QuerySelectorAll("[style],style,[onclick]").ShouldBeEmpty(address);
            html.QuerySelectorAll("[src],link[href]").Select(e => e.GetAttribute("src") ?? e.GetAttribute("href")!).ShouldAllBe(a => a.StartsWith('/'));
        }
    }

    [Fact]
    public async Task A_form_without_its_token_is_refused_with_a_page_of_ours()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/no-such-page");
        using var fresh = await DemoAsync();
        var answer = await fresh.PostAsync("/add-student", ("__RequestVerificationToken", "forged"), ("code", "X-1"));
        fresh.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        answer.QuerySelector("h1")!.TextContent.ShouldBe("This form was not taken in");
    }

    [Fact]
    public async Task Typed_items_are_saved_with_their_marks_and_answered_with_the_reading_so_far()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278\n52 - 38\n81 - 27\n93 - 46");
        var answer = await visitor.PutAsync($"/api/pages/{page}/items", new object[]
        {
            new { id = "1", version = 1, answer = "474", work = new { rewritten = new Dictionary<string, object>() } },
            new { id = "2", version = 1, answer = "26" },
            new { id = "3", version = 1, answer = "66" },
            new { id = "4", version = 1, answer = "53" },
        });
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        using var json = JsonDocument.Parse(await answer.Content.ReadAsStringAsync());
        json.RootElement.GetProperty("versions").GetProperty("1").GetInt32().ShouldBe(2);
        json.RootElement.GetProperty("margin").GetProperty("explanations")[0].GetProperty("text").GetString().ShouldStartWith("Turns the column round");
        var stored = (string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))!;
        stored.ShouldContain("\"answer\": \"474\"");
        stored.ShouldContain("\"rewritten\": {}");
    }

    [Fact]
    public async Task An_older_version_does_not_overwrite_and_a_repeated_one_is_acknowledged()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278");
        object[] mine = [new { id = "1", version = 1, answer = "474" }];
        await visitor.PutAsync($"/api/pages/{page}/items", mine);
        using var again = JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", mine)).Content.ReadAsStringAsync());
        again.RootElement.GetProperty("conflicts").GetArrayLength().ShouldBe(0);
        again.RootElement.GetProperty("versions").GetProperty("1").GetInt32().ShouldBe(2);

        using var other = JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "326" } })).Content.ReadAsStringAsync());
        var conflict = other.RootElement.GetProperty("conflicts")[0];
        conflict.GetProperty("version").GetInt32().ShouldBe(2);
        conflict.GetProperty("answer").GetString().ShouldBe("474");
        conflict.GetProperty("squares").GetProperty("answer").GetProperty("2").GetString().ShouldBe("4");
    }

    [Fact]
    public async Task A_refused_item_says_why_and_holds_nothing_else_back()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278\n52 - 38");
        using var answer = JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new object[]
        {
            new { id = "1", version = 1, answer = "474" },
            new { id = "2", version = 1, answer = "26", work = new { rewritten = new Dictionary<string, object> { ["tens"] = "4" } } },
            new { id = "77", version = 1, answer = "26" },
        })).Content.ReadAsStringAsync());
        answer.RootElement.GetProperty("versions").GetProperty("1").GetInt32().ShouldBe(2);
        var refused = answer.RootElement.GetProperty("refused");
        refused[0].GetProperty("message").GetString()!.ShouldContain("work.rewritten.tens");
        refused[1].GetProperty("id").GetString().ShouldBe("77");
        ((string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))!).ShouldContain("474");
        (await visitor.PutAsync($"/api/pages/{page}/items", Array.Empty<object>(), withToken: false)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Theory]
    [InlineData("[null]", "items[1]: an item is an object")]
    [InlineData("[{\"id\": null, \"version\": 1}]", "items[1]: its id is missing")]
    [InlineData("[{\"id\": \"1\", \"version\": 1, \"answer\": \"4\\u00007\"}]", "items[1]: it holds a NUL character")]
    [InlineData("[{\"id\": \"1\", \"version\": 1, \"answer\": \"4\"}, {\"id\": \"1\", \"version\": 1e40}]", "items[2]: its version")]
    [InlineData("[{\"id\": \"1\", \"version\": 1, \"answer\": 4}]", "items[1]: its answer")]
    [InlineData("[{\"id\": \"1\", \"version\": 1, \"answer\": \"\\ud800\"}]", "not valid Unicode")]
    [InlineData("{}", "a list of items")]
    [InlineData("[", "not JSON")]
    [InlineData("", "not JSON")]
    public async Task Whatever_is_sent_to_the_typing_api_gets_a_message_and_never_a_fault(string body, string message)
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278");
        using var answer = await visitor.SendAsync(new HttpRequestMessage(HttpMethod.Put, $"/api/pages/{page}/items") { Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json") });
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await answer.Content.ReadAsStringAsync()).ShouldContain(message);
    }

    [Fact]
    public async Task Items_that_cannot_be_read_come_back_with_their_lines_and_nothing_is_lost()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/students/K-01/pages/new");
        var page = await visitor.PostAsync("/students/K-01/pages/new", ("items", "604 - 278\n3.5 - x\n52 - 38"), ("title", "Keep me"));
        page.QuerySelector(".fault")!.TextContent.ShouldContain("Line 2");
        page.QuerySelector("textarea")!.TextContent.ShouldContain("604 - 278");
        page.QuerySelector("#title")!.GetAttribute("value").ShouldBe("Keep me");
    }

    [Fact]
    public async Task A_reading_shows_its_explanations_and_keeps_what_was_decided()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n415 - 203 = 212");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll(".items svg").Length.ShouldBe(4);
        reading.QuerySelectorAll("ellipse.circle").Length.ShouldBe(3);
        reading.QuerySelector(".sentence")!.TextContent.ShouldContain("3 of 3 items, 4 of 4 chances");
        reading.QuerySelectorAll(".explanations li:first-child .strip span").Select(s => s.ClassName).ShouldBe(["agrees", "agrees", "agrees", "silent"]);
        ((string)(await app.SqlAsync($"select outcome from readings where page_id = '{page}'"))!).ShouldBe("bug");

        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", "subtraction.turns-column-round"), ("text", "said it aloud"));
        var again = await visitor.GetAsync($"/pages/{page}/reading");
        again.QuerySelector(".note.key")!.TextContent.ShouldContain("said it aloud");
        ((long)(await app.SqlAsync($"select count(*) from readings where page_id = '{page}'"))!).ShouldBe(1);
    }

    [Fact]
    public async Task What_a_page_shows_beside_its_rules_is_said_and_a_rule_without_a_plan_is_talked_through()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "73 - 28 = 54\n64 - 21 = 34\n90 - 37 = 35\n81 - 45 = 63\n52 - 19 = 33\n76 - 28 = 84\n85 - 61 = 42");
        await visitor.GetAsync($"/pages/{page}/reading");
        var reading = await visitor.PostAsync($"/pages/{page}/reading?handler=WrittenSo");
        reading.QuerySelector("h1")!.TextContent.ShouldContain("exchanges the last two digits of the answer");
        reading.QuerySelector("p.note")!.TextContent.ShouldContain("sight, motor control");
        reading.Body!.TextContent.ShouldNotContain("Accept and plan");
        reading.QuerySelector("label[for=talk]")!.TextContent.ShouldContain("Tell me how you did this one");
    }

    [Fact]
    public async Task Accepting_makes_a_plan_in_the_classrooms_word_and_printing_takes_it_off_the_desk()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66");
        await visitor.GetAsync($"/pages/{page}/reading");
        var plan = await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", "subtraction.turns-column-round"));
        var address = visitor.Address;
        plan.QuerySelector("article")!.TextContent.ShouldContain("so borrow.");
        plan.QuerySelectorAll("article table:not(.writein) tbody tr").Length.ShouldBe(12);
        (await visitor.GetAsync("/")).QuerySelectorAll($"a[href='{address}']").Length.ShouldBe(1);
        await visitor.GetAsync(address);
        await visitor.PostAsync(address);
        (await visitor.GetAsync("/")).QuerySelectorAll($"a[href='{address}']").Length.ShouldBe(0);
        (await visitor.GetAsync(address + "/practice")).QuerySelectorAll("svg.working").Length.ShouldBe(12);
    }

    [Fact]
    public async Task The_items_to_ask_next_go_on_the_page_and_their_answers_tell_the_explanations_apart()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector(".together")!.TextContent.ShouldContain("cannot tell which");
        var typing = await visitor.PostAsync($"/pages/{page}/reading?handler=Ask");
        visitor.Address.ShouldBe($"/pages/{page}");
        var asked = typing.QuerySelectorAll("[data-item]").Length - 5;
        asked.ShouldBeInRange(1, 3);

        var run = new MethodRun();
        var student = Catalogue.Find("subtraction.zero-becomes-nine-alone")!.Alone;
        var content = (string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))!;
        var answers = SheetReader.TryRead(content, out _)!.Items.Skip(5).Select(item =>
        {
            Method.Run(item.Task, run, student);
            return (object)new { id = item.Id, version = 1, answer = run.Page.Answer.ToString() };
        }).ToArray();
        (await visitor.PutAsync($"/api/pages/{page}/items", answers)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var again = await visitor.GetAsync($"/pages/{page}/reading");
        again.QuerySelector(".sentence")!.TextContent.ShouldContain("Turns the zero next door into 9");
        again.QuerySelector(".explanations li:first-child .together").ShouldBeNull();
    }

    [Fact]
    public async Task Text_that_looks_like_markup_is_shown_as_text()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278");
        (await visitor.PutAsync($"/api/pages/{page}/items", new[] { new { id = "1", version = 1, answer = "\"><script>alert(1)</script>" } })).StatusCode.ShouldBe(HttpStatusCode.OK);
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll("script:not([src])").ShouldBeEmpty();
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await visitor.GetAsync($"/pages/{page}")).QuerySelectorAll("script:not([src])").ShouldBeEmpty();
    }

    [Fact]
    public async Task Looks_into_a_file_are_logged()
    {
        using var visitor = await DemoAsync();
        await visitor.GetAsync("/students/K-02");
        ((long)(await app.SqlAsync("select count(*) from looks l join students s on s.id = l.student_id where s.code = 'K-02' and l.what = 'file'"))!).ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task A_fault_on_our_side_gets_a_page_that_says_what_to_do()
    {
        await using var broken = new PencilApp();
        using var visitor = await new Visitor(broken).SignInAsync();
        await broken.SqlAsync("alter table pages rename to gone");
        var answer = await visitor.GetAsync("/students/K-01");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
        answer.QuerySelector("h1")!.TextContent.ShouldBe("Something went wrong on our side");
        answer.QuerySelector("main a")!.GetAttribute("href").ShouldBe("/");
    }

    [Fact]
    public async Task The_file_tells_pages_readings_decisions_and_plans_in_order_of_time()
    {
        using var visitor = await DemoAsync();
        var page = await NewPageAsync(visitor, "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", "subtraction.turns-column-round"));
        var code = reading.QuerySelectorAll("nav a").Select(a => a.TextContent).First(t => t.StartsWith("T-"));
        var file = await visitor.GetAsync($"/students/{code}");
        file.QuerySelectorAll("tbody tr td:nth-child(2)").Select(c => c.TextContent.Split(':')[0])
            .ShouldBe(["Plan", "Accepted by Demo specialist", "Reading of Test", "Page"]);
    }
}
