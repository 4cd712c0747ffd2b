using System.Net;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Whoever looks at a student leaves a look, whatever page, file or export it was; and every look can be seen.</summary>
public sealed class LooksTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task Every_page_that_shows_a_student_leaves_a_look()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        foreach (var (address, what) in new[]
        {
            ("/", "desk"), ($"/students/{code}", "file"), ($"/students/{code}/edit", "cover"), ($"/students/{code}/ideas", "ideas"), ($"/students/{code}/pages/new", "begin"),
            ($"/pages/{page}", "page"), ($"/pages/{page}/edit", "page"), ($"/pages/{page}/items/1", "replay"), ($"/pages/{page}/reading", "reading"), ($"/pages/{page}/sheet", "sheet"),
            (plan, "plan"), (plan + "?as=pdf", "plan"), ($"/students/{code}/looks", "looks"),
        })
        {
            await App.SqlAsync("delete from looks");
            await visitor.GetAsync(address);
            visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK, address);
            (await CountAsync($"select count(*) from looks l join students s on s.id = l.student_id where s.code = '{code}' and l.what = '{what}' and l.by_name = 'Demo specialist'")).ShouldBe(1, address);
        }
    }

    [Fact]
    public async Task So_does_a_form_that_comes_back_with_a_message()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        foreach (var (address, shown, what) in new[]
        {
            ($"/students/{code}?handler=Plan", $"/students/{code}", "file"), ($"/students/{code}/edit", $"/students/{code}/edit", "cover"), ($"/students/{code}/pages/new", $"/students/{code}/pages/new", "begin"),
            ($"/pages/{page}/reading?handler=Note", $"/pages/{page}/reading", "reading"),
        })
        {
            await visitor.GetAsync(shown);
            await App.SqlAsync("delete from looks");
            var told = what == "file" ? await visitor.PostFileAsync(address, "another", "{}") : await visitor.PostAsync(address, what == "cover" ? ("code", "not a code") : ("rules", Turns));
            told.QuerySelector(".fault").ShouldNotBeNull($"{address}: {visitor.Last!.StatusCode}");
            (await CountAsync($"select count(*) from looks l join students s on s.id = l.student_id where s.code = '{code}' and l.what = '{what}'")).ShouldBe(1, address);
        }
    }

    [Theory]
    [InlineData("/class-sheets/SHEET", "class sheet")]
    [InlineData("/class-sheets/SHEET?handler=Csv", "export")]
    [InlineData("/class-sheets/SHEET?handler=Sheets", "export")]
    [InlineData("/class-sheets/SHEET/reading", "class reading")]
    [InlineData("/class-sheets/SHEET/paper?as=pdf", "class paper")]
    [InlineData("/classes/CLASS", "class")]
    public async Task So_does_every_page_of_a_class_for_each_of_its_students(string address, string what)
    {
        using var visitor = await new Visitor(App).SignInAsync();
        var sheet = await App.SqlAsync("select id::text from class_sheets limit 1");
        var group = await App.SqlAsync("select class_id::text from class_sheets limit 1");
        await App.SqlAsync($"delete from looks where what = '{what}'");
        await visitor.GetAsync(address.Replace("SHEET", $"{sheet}").Replace("CLASS", $"{group}"));
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await CountAsync($"select count(distinct student_id) from looks where what = '{what}'")).ShouldBe(await CountAsync($"select count(distinct student_id) from pages where class_sheet_id = '{sheet}'"));
    }

    [Fact]
    public async Task Looks_are_seen_on_a_page_and_the_same_one_again_is_one()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        for (var i = 0; i < 3; i++) await visitor.GetAsync($"/pages/{page}/edit");
        (await visitor.GetAsync($"/students/{code}")).QuerySelector($"a[href='/students/{code}/looks']").ShouldNotBeNull();
        var rows = (await visitor.GetAsync($"/students/{code}/looks")).QuerySelectorAll("tbody tr").Select(r => r.QuerySelector("td:last-child")!.TextContent).ToList();
        rows.Count(r => r == "page").ShouldBe(1);
        rows.ShouldContain("file");
    }
}
