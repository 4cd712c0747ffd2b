using System.Net;
using System.Net.Http.Headers;
using System.Net.Sockets;
using System.Text;
using System.Text.Json;
using CsCheck;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>A small form of an attack: every route with extreme values, requests that are none, saves that no page sends, the same thing from many at once.</summary>
public sealed class AttackTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    /// <summary>One of each kind; <c>bench/attack</c> tries more.</summary>
    private static readonly string[] Extremes = ["2147483647", "-2147483648", "0", "", "%00", "\u0663", new string('9', 2_000), "..%2F.."];

    [Theory]
    [InlineData("/paper?Kind=lines&From=2147483600&To=2147483647")]
    [InlineData("/paper?Kind=lines&From=-2147483648&To=2147483647")]
    [InlineData("/paper?Kind=lines&From=2147483640&To=2147483646")]
    [InlineData("/paper?Kind=multiples&Of=2147483647")]
    [InlineData("/paper?Kind=squared&Square=2147483647&As=pdf")]
    public async Task A_number_out_of_range_is_said_or_left_out(string address)
    {
        using var visitor = await new Visitor(App).SignInAsync();
        await visitor.GetAsync(address);
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        visitor.Last.Content.Headers.ContentLength.GetValueOrDefault().ShouldBeLessThan(200_000);
    }

    [Fact]
    public async Task No_extreme_value_of_any_parameter_of_any_route_brings_the_application_down()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        var plan = await PlanAsync(visitor, page);
        var sheet = (await App.SqlAsync("select id::text from class_sheets limit 1"))!.ToString()!;
        var group = (await App.SqlAsync("select id::text from classes limit 1"))!.ToString()!;
        var routes = App.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>()
            .Select(e => "/" + e.RoutePattern.RawText!.TrimStart('/')).Where(r => !r.StartsWith("/sign-out") && !r.StartsWith("/hangfire")).Distinct().ToList();
        routes.Count.ShouldBeGreaterThan(25);
        var before = GC.GetTotalMemory(forceFullCollection: true);
        foreach (var route in routes)
        {
            var id = route.Contains("plans/") ? plan : route.Contains("class-sheets") ? sheet : route.Contains("classes") ? group : page;
            foreach (var extreme in Extremes)
            {
                var address = route.Replace("{id:guid}", id).Replace("{other:guid}", extreme).Replace("{code:int}", "404").Replace("{code}", code).Replace("{student}", code).Replace("{item}", extreme.Length == 0 ? "1" : extreme);
                if (address.Contains('{')) continue;
                var query = string.Join('&', new[] { "From", "To", "Of", "Square", "Kind", "Size", "As", "Print", "Designed", "Digits", "Variant", "Family", "parallelTo", "rules", "other", "token", "ReturnUrl", "typing", "Steps", "step" }.Select(n => $"{n}={extreme}"));
                await visitor.GetFileAsync($"{address}?{query}");
                ((int)visitor.Last!.StatusCode).ShouldBeLessThan(500, address + " " + extreme);
            }
        }

        (GC.GetTotalMemory(forceFullCollection: true) - before).ShouldBeLessThan(200_000_000);
    }

    [Theory]
    [InlineData("TRACE", "/", null, null, 405)]
    [InlineData("DELETE", "/account", null, null, 405)]
    [InlineData("POST", "/sign-in", "multipart/form-data; boundary=x", "--y\r\nbroken", 400)]
    [InlineData("POST", "/sign-in", "application/x-www-form-urlencoded; charset=utf-7", "email=a", 400)]
    [InlineData("POST", "/sign-in", "application/x-www-form-urlencoded", "email=%00", 400)]
    public async Task What_is_no_request_of_a_page_is_refused(string method, string address, string? type, string? body, int status)
    {
        App.StartServer();
        using var client = new HttpClient { BaseAddress = App.ClientOptions.BaseAddress };
        using var request = new HttpRequestMessage(new HttpMethod(method), address);
        if (body is not null)
        {
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
        }

        using var answer = await client.SendAsync(request);
        ((int)answer.StatusCode).ShouldBe(status);
        answer.Headers.Server.ShouldBeEmpty();
    }

    [Fact]
    public async Task Far_too_many_fields_are_refused()
    {
        using var visitor = await new Visitor(App).SignInAsync();
        await visitor.GetAsync($"/students/K-01/pages/new?{string.Join('&', Enumerable.Repeat("family", 1_100))}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_body_that_never_ends_is_closed()
    {
        await using var app = new PencilApp(("Requests:PatienceSeconds", "2"));
        app.StartServer();
        using var client = new TcpClient();
        await client.ConnectAsync(IPAddress.Loopback, app.ClientOptions.BaseAddress.Port);
        var stream = client.GetStream();
        await stream.WriteAsync(Encoding.ASCII.GetBytes("POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 1000\r\n\r\nemail=a"));
        using var told = new StreamReader(stream);
        (await told.ReadToEndAsync()).Split(' ')[1].ShouldBe("400"); // It ends: somebody who does not go on is not waited for.
    }

    [Fact]
    public async Task It_says_whether_it_is_up_and_whether_it_is_ready()
    {
        App.StartServer();
        using var client = new HttpClient { BaseAddress = App.ClientOptions.BaseAddress };
        (await client.GetStringAsync("/healthz")).ShouldBe("Healthy");
        (await client.GetStringAsync("/readyz")).ShouldBe("Healthy");
        await using var behind = new PencilApp();
        behind.StartServer();
        await behind.SqlAsync("""delete from "__EFMigrationsHistory" where migration_id like '%Attempts'""");
        using var there = new HttpClient { BaseAddress = behind.ClientOptions.BaseAddress };
        (await there.GetAsync("/readyz")).StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        (await there.GetAsync("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    /// <summary>Squares and fields as no script sends them: each save is refused with its reason, or what it leaves is read again.</summary>
    [Fact]
    public void Of_5000_random_saves_each_is_refused_or_can_be_read()
    {
        var items = PageLayout.Families.SelectMany(f => ItemPool.Of(f, 3, seed: 4)).Select(t => WorkedItem.Of("1", t)).ToList();
        var (refused, read) = (0, 0);
        var text = Gen.OneOf(Gen.String[0, 70], Gen.Char["0123456789.,- r/+"].Array[0, 70].Select(c => new string(c)));
        Gen.Select(Gen.Int[0, items.Count - 1], Gen.Int[0, 40], Gen.Int[0, 80], text, Gen.Int[-70, 70], Gen.Int[0, 3]).Sample((number, strip, column, written, moved, how) =>
        {
            var item = items[number];
            var strips = PageLayout.Of(item.Task).Strips;
            var name = strips[strip % strips.Count].Id;
            var json = how switch
            {
                0 => JsonSerializer.Serialize(new { squares = new Dictionary<string, object> { [name] = new Dictionary<string, string> { [$"{column}"] = written } } }),
                1 => JsonSerializer.Serialize(new { squares = new { }, moved = new Dictionary<string, int> { [name] = moved } }),
                2 => JsonSerializer.Serialize(new { squares = strips.ToDictionary(s => s.Id, _ => Enumerable.Range(0, column).ToDictionary(c => $"{c}", _ => written)) }),
                _ => JsonSerializer.Serialize(new { squares = new Dictionary<string, object> { ["answer"] = Enumerable.Range(0, column).ToDictionary(c => $"{c}", _ => written) } }),
            };
            using var document = JsonDocument.Parse(json);
            var taken = PageTyping.Take(item, new TypedItem("1", 1, null, null, document.RootElement), out var fault);
            if (taken is null)
            {
                refused++;
                return fault!.Length > 0;
            }

            read++;
            return SheetReader.TryRead(SheetWriter.Write(new WorkedSheet { Student = "K", Items = [taken] }), out _) is not null;
        }, iter: 5_000, threads: 1);
        refused.ShouldBeGreaterThan(500);
        read.ShouldBeGreaterThan(500);
    }

    [Fact]
    public async Task A_save_that_could_not_be_read_again_is_refused_with_the_square_and_the_page_stays()
    {
        var (visitor, _, page) = await PageAsync("604 - 278");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}");
        var answer = await visitor.PutAsync($"/api/pages/{page}/items", new[] { new { id = "1", version = 1, squares = new Dictionary<string, object> { ["above-0"] = new Dictionary<string, string> { ["59"] = new string('7', 61) } } } });
        var told = await answer.Content.ReadAsStringAsync();
        (answer.StatusCode == HttpStatusCode.BadRequest || told.Contains("\"refused\":[{")).ShouldBeTrue(told);
        await visitor.GetAsync($"/pages/{page}/reading");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_page_that_cannot_be_read_shows_itself_as_such_and_can_be_mended()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 474");
        using var __ = visitor;
        await App.SqlAsync($"update pages set content = jsonb_set(content, '{{version}}', '7') where id = '{page}'");
        foreach (var address in new[] { "", "/edit", "/reading", "/sheet", "/facts" })
        {
            var shown = await visitor.GetAsync($"/pages/{page}{address}");
            visitor.Address.ShouldBe($"/pages/{page}/mend");
            shown.QuerySelector(".fault")!.TextContent.ShouldContain("only version 1 can be read");
        }

        var text = (await visitor.GetAsync($"/pages/{page}/mend")).QuerySelector("textarea")!.TextContent;
        (await visitor.PostAsync($"/pages/{page}/mend", ("text", text))).QuerySelector(".fault")!.TextContent.ShouldContain("only version 1");
        var mended = text.Replace("\"version\": 7", "\"version\": 1");
        (await visitor.PostAsync($"/pages/{page}/mend", ("text", mended.Replace("604 - 278", "604 ~ 278")))).QuerySelector(".fault")!.TextContent.ShouldContain("items[0].task");
        await visitor.PostAsync($"/pages/{page}/mend", ("text", mended));
        visitor.Address.ShouldBe($"/pages/{page}");
    }

    [Fact]
    public async Task A_change_that_would_make_a_page_too_long_to_read_is_said_and_nothing_is_changed()
    {
        // Six of these can be read at once, twelve cannot.
        static IEnumerable<string> Items(int from) => Enumerable.Range(from, 6).Select(i => $"123456{i + 10} * 98765432");
        var (visitor, _, page) = await PageAsync(string.Join('\n', Items(0)));
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/edit");
        var form = Items(0).Select((task, i) => ($"task.{i + 1}", task)).Append(("title", "")).Append(("more", string.Join('\n', Items(6))));
        (await visitor.PostAsync($"/pages/{page}/edit", [.. form])).QuerySelector(".fault")!.TextContent.ShouldContain("too long to be read at once");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        visitor.Address.ShouldBe($"/pages/{page}/edit");
        (await visitor.GetAsync($"/pages/{page}")).QuerySelector("h1").ShouldNotBeNull();
        visitor.Address.ShouldBe($"/pages/{page}");
    }

    [Fact]
    public async Task A_page_that_cannot_be_read_costs_the_sheet_of_its_class_one_row_only()
    {
        var sheet = (await App.SqlAsync("select id::text from class_sheets limit 1"))!.ToString()!;
        var page = (await App.SqlAsync($"select id::text from pages where class_sheet_id = '{sheet}' order by id limit 1"))!.ToString()!;
        await App.SqlAsync($"update pages set content = jsonb_set(content, '{{version}}', '7') where id = '{page}'");
        using var visitor = await new Visitor(App).SignInAsync();
        foreach (var address in new[] { "", "/reading", "/paper", "?handler=Csv" })
        {
            await visitor.GetAsync($"/class-sheets/{sheet}{address}");
            visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK, address);
        }

        var board = await visitor.GetAsync($"/class-sheets/{sheet}");
        board.QuerySelector($"a[href='/pages/{page}/mend']").ShouldNotBeNull();
        board.QuerySelectorAll(".answers tbody tr").Length.ShouldBeGreaterThan(5);
        await App.SqlAsync($"update pages set content = jsonb_set(content, '{{version}}', '1') where id = '{page}'");
    }

    [Fact]
    public async Task The_same_code_and_the_same_class_from_many_at_once_get_a_message_or_a_place()
    {
        var code = "T-" + Guid.NewGuid().ToString("N")[..8];
        var told = await Task.WhenAll(Enumerable.Range(0, 8).Select(async i =>
        {
            using var visitor = await new Visitor(App).SignInAsync();
            await visitor.GetAsync("/add-student");
            var page = await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"));
            return visitor.Last!.StatusCode == HttpStatusCode.OK ? page.QuerySelector(".fault")?.TextContent ?? "" : $"{visitor.Last.StatusCode}";
        }));
        told.Count(t => t.Length == 0).ShouldBe(1);
        told.Where(t => t.Length > 0).ShouldAllBe(t => t.Contains("already a student"));

        var classes = await Task.WhenAll(Enumerable.Range(0, 6).Select(async i =>
        {
            using var visitor = await new Visitor(App).SignInAsync();
            await visitor.GetAsync("/add-class");
            await visitor.PostAsync("/add-class", ("name", $"Gull {i}"), ("codes", $"{code}-1\n{code}-2\n{code}-3"), ("word", "Borrow"));
            return visitor.Address;
        }));
        classes.ShouldAllBe(a => a.StartsWith("/classes/"));
        (await CountAsync($"select count(*) from students where code like '{code}-%'")).ShouldBe(3);
    }

    [Fact]
    public async Task A_hundred_who_sign_in_at_once_are_all_answered()
    {
        App.StartServer();
        var told = await Task.WhenAll(Enumerable.Range(0, 100).Select(async i =>
        {
            using var visitor = new Visitor(App);
            await visitor.SignInAsync($"nobody-{i}@kite-workshop.example", "not the password");
            return (int)visitor.Last!.StatusCode;
        }));
        told.ShouldAllBe(status => status == 200);
    }

    [Fact]
    public async Task Making_a_plan_anew_from_many_at_once_makes_one_each()
    {
        var (first, _, page) = await PageAsync();
        using var _ = first;
        var plan = await PlanAsync(first, page);
        var made = await Task.WhenAll(Enumerable.Range(0, 6).Select(async i =>
        {
            using var visitor = await new Visitor(App).SignInAsync();
            await visitor.GetAsync($"/plans/{plan}");
            await visitor.PostAsync($"/plans/{plan}?handler=Anew");
            return visitor.Address;
        }));
        made.ShouldAllBe(a => a.StartsWith("/plans/"));
        made.Distinct().Count().ShouldBe(6);
    }

    private static async Task<string> PlanAsync(Visitor visitor, string page)
    {
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        return visitor.Address["/plans/".Length..];
    }
}
