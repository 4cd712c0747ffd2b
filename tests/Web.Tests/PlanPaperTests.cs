using System.Net;
using Shouldly;
using UglyToad.PdfPig;
using UglyToad.PdfPig.DocumentLayoutAnalysis.TextExtractor;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Tests;

/// <summary>PDF files, words and classrooms of plans, plans side by side and from files.</summary>
public sealed class PlanPaperTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const string Dropped = "456 + 378 = 724\n27 + 58 = 75\n604 + 297 = 891\n83 + 14 = 97\n745 + 86 = 721\n369 + 254 = 513";
    private const string LongDivisions = "6012 / 6 = 12\n816 / 8 = 12\n4218 / 6 = 73\n100 / 7 = 14r2\n3624 / 12 = 32\n7028 / 7 = 14\n952 / 28 = 34";

    private sealed record Accepted(Visitor Visitor, string Code, string Page, string Plan);

    private async Task<Accepted> AcceptAsync(string items)
    {
        var visitor = await new Visitor(app).SignInAsync();
        var code = "P-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", "Wren"), ("word", "Regroup"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", items), ("title", "Stock"));
        var page = visitor.Address["/pages/".Length..];
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        var rules = reading.QuerySelectorAll("form").First(f => f.TextContent.Contains("Accept and plan")).QuerySelector("input[name=rules]")!.GetAttribute("value")!;
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", rules));
        return new Accepted(visitor, code, page, visitor.Address);
    }

    private static (int Pages, string Text, double Width) Read(byte[] file)
    {
        using var document = PdfDocument.Open(file);
        return (document.NumberOfPages, string.Join('\n', document.GetPages().Select(p => ContentOrderTextExtractor.GetText(p))), document.GetPage(1).Width);
    }

    [Fact]
    public void The_print_has_a_glyph_for_every_sign_of_every_plan()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "YellowPencil.slnx"))) root = root.Parent!;
        var folder = Path.Combine(root.FullName, "src", "YellowPencil.Web", "wwwroot", "dist", "fonts");
        var fonts = new[] { "400", "700" }
            .Select(weight => PdfFonts.CharactersOf(PdfFonts.Unpacked(File.ReadAllBytes(Path.Combine(folder, $"atkinson-hyperlegible-next-latin-{weight}-normal.woff"))))).ToList();
        foreach (var has in fonts)
        {
            has.ShouldContain('x');
            has.ShouldNotContain('→'); // it stood as an empty box
        }

        foreach (var family in FamilyList.All)
            foreach (var bug in Catalogue.DeclaredFor(family).Take(3))
            {
                var plan = PlanText.Markdown(PlanMaker.Make("K", Hypothesis.Of(bug), [], Classroom.Saying(ClassroomWord.Rename)));
                PdfFonts.Readable(plan).Where(c => !char.IsControl(c) && !fonts.TrueForAll(has => has.Contains(c))).Distinct().ShouldBeEmpty(bug.Id);
            }
    }

    [Theory]
    [InlineData(Dropped)]
    [InlineData(LongDivisions)]
    public async Task A_plan_and_its_papers_are_files_of_few_pages_under_the_code_alone(string items)
    {
        var made = await AcceptAsync(items);
        var plan = Read(await made.Visitor.GetFileAsync($"{made.Plan}?as=pdf"));
        made.Visitor.Last!.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        made.Visitor.Last.Content.Headers.ContentDisposition!.FileName.ShouldBe($"{made.Code.ToLowerInvariant()}-plan.pdf");
        plan.Pages.ShouldBeLessThanOrEqualTo(3);
        foreach (var part in new[] { "Aim:", "Contrast", "Worked example, with the why", "Two together", "Alone", "Practice, with key", "To keep in mind:", "It is no diagnosis" }) plan.Text.ShouldContain(part);
        foreach (var (address, pages) in new[] { ("/practice", items == LongDivisions ? 3 : 2), ("/practice?print=large", 6), ("/faded", 2), ("/practice?kind=key", 1) })
        {
            var paper = Read(await made.Visitor.GetFileAsync($"{made.Plan}{address}{(address.Contains('?') ? "&" : "?")}as=pdf"));
            paper.Pages.ShouldBeLessThanOrEqualTo(pages, address);
            paper.Text.ShouldContain(made.Code);
            paper.Text.ShouldNotContain("Wren"); // the name is the specialist's own
            paper.Width.ShouldBe(595, 1); // A4, in points
        }

        Read(await made.Visitor.GetFileAsync($"{made.Plan}?as=pdf&size=letter")).Width.ShouldBe(612, 1);
        Read(await made.Visitor.GetFileAsync($"/pages/{made.Page}/sheet?as=pdf&kind=key&size=letter")).Text.ShouldContain("Answers that tell");
    }

    [Theory]
    [InlineData(Dropped)]
    [InlineData(LongDivisions)]
    [InlineData("7 1/4 - 2 5/6 = 5 5/12\n6 1/5 - 2 4/5 = 4 2/5\n5 2/3 - 1 1/2 = 4 1/6\n8 1/6 - 3 5/6 = 5 1/3\n9 3/8 - 4 7/8 = 5 1/2\n4 1/3 - 1 2/3 = 3 2/3")]
    [InlineData("factor x^2 + 2x - 15 = (x - 5)(x + 3)\nfactor x^2 - 4x - 21 = (x + 7)(x - 3)\nfactor x^2 + 3x - 28 = (x - 7)(x + 4)\nfactor x^2 - 6x - 16 = (x + 8)(x - 2)\nfactor x^2 - 7x + 12 = (x - 3)(x - 4)")]
    public async Task The_card_of_a_session_is_one_page_with_its_key(string items)
    {
        var made = await AcceptAsync(items);
        foreach (var size in new[] { "a4", "letter" })
        {
            var file = Read(await made.Visitor.GetFileAsync($"{made.Plan}/card?as=pdf&size={size}"));
            file.Pages.ShouldBe(1, size);
            foreach (var part in new[] { "Ask first, 2 min:", "Show it, ", "Alone 3", "Exit", "When it goes wrong:", "At the end:" }) file.Text.ShouldContain(part);
        }

        var card = await made.Visitor.GetAsync($"{made.Plan}/card");
        card.QuerySelectorAll("table.ticks tbody tr").Length.ShouldBeInRange(9, 11);
        card.QuerySelectorAll("article.card svg").Length.ShouldBeGreaterThan(1);
        made.Visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task The_list_of_the_week_names_what_to_bring_and_for_whom()
    {
        var made = await AcceptAsync(Dropped);
        var list = await made.Visitor.GetAsync("/materials");
        var row = list.QuerySelectorAll("tbody tr").Single(r => r.QuerySelectorAll("td")[1].TextContent == "place-value mat");
        row.TextContent.ShouldContain(made.Code);
        row.QuerySelector("a[href*='kind=mat']").ShouldNotBeNull();
    }

    [Fact]
    public async Task The_key_of_a_practice_sheet_is_a_paper_of_its_own()
    {
        var made = await AcceptAsync(Dropped);
        var sheet = await made.Visitor.GetAsync($"{made.Plan}/practice");
        sheet.QuerySelectorAll("article table").Length.ShouldBe(0);
        sheet.QuerySelectorAll("article svg.working").Length.ShouldBe(12);
        var key = await made.Visitor.GetAsync($"{made.Plan}/practice?kind=key&print=large");
        key.QuerySelectorAll("article svg").Length.ShouldBe(0);
        key.QuerySelectorAll("article tbody tr").Length.ShouldBe(12);
        key.QuerySelector("article")!.ClassList.ShouldContain("largeprint");
    }

    [Theory]
    [InlineData("squared&square=10", 1, "")]
    [InlineData("mat", 1, "hundreds")]
    [InlineData("multiples&of=24", 1, "240")]
    [InlineData("strips", 1, "1/12")]
    [InlineData("wholes-parts", 1, "parts")]
    [InlineData("hundreds", 1, "")]
    [InlineData("tiles", 1, "Cut them out")]
    [InlineData("pairs", 1, "product")]
    [InlineData("crosses", 1, "")]
    [InlineData("both-sides", 1, "=")]
    [InlineData("root-line", 1, "squares")]
    public async Task Paper_aids_are_files_of_one_page(string kind, int pages, string says)
    {
        var visitor = await new Visitor(app).SignInAsync();
        var file = Read(await visitor.GetFileAsync($"/paper?as=pdf&code=K-06&kind={kind}"));
        file.Pages.ShouldBe(pages);
        file.Text.ShouldContain("K-06");
        file.Text.ShouldContain(says);
    }

    [Fact]
    public async Task Sentences_of_a_plan_are_changed_marked_and_put_back()
    {
        var made = await AcceptAsync(Dropped);
        var form = await made.Visitor.GetAsync($"{made.Plan}/words");
        var say = form.QuerySelector("[name='sentence[say]']")!.TextContent;
        var refused = await made.Visitor.PostAsync($"{made.Plan}/words", ("sentence[say]", "Count the ten too."), ("sentence[aim]", ""));
        refused.QuerySelector(".fault[role=alert]")!.TextContent.ShouldBe("Aim: nothing is left of it. Only steps of the example can be left out.");
        refused.QuerySelector("[name='sentence[say]']")!.TextContent.ShouldBe("Count the ten too."); // nothing that was typed is lost
        (await made.Visitor.GetAsync(made.Plan)).QuerySelector("article")!.TextContent.ShouldContain(say[..20]);

        await made.Visitor.GetAsync($"{made.Plan}/words");
        var plan = await made.Visitor.PostAsync($"{made.Plan}/words", ("sentence[say]", "Count the ten too."), ("sentence[step-1]", ""));
        plan.QuerySelector("article")!.TextContent.ShouldContain("Count the ten too. changed");
        plan.QuerySelectorAll("article ol li").Length.ShouldBe(form.QuerySelectorAll("[name^='sentence[step-']").Length - 1);
        (await made.Visitor.GetAsync($"{made.Plan}/words")).QuerySelector("[data-put='s-say']")!.GetAttribute("data-text").ShouldBe(say);
    }

    [Fact]
    public async Task A_plan_that_is_not_printed_follows_the_classroom_and_a_printed_one_stays()
    {
        var made = await AcceptAsync(Dropped);
        var before = (await made.Visitor.GetAsync(made.Plan)).QuerySelector("article")!.TextContent;
        before.ShouldNotContain("under the line");
        await ChangeAsync("1");
        (await made.Visitor.GetAsync($"/students/{made.Code}")).Body!.TextContent.ShouldContain("A carry is noted under the line, below the next column.");
        (await made.Visitor.GetAsync(made.Plan)).QuerySelector("article")!.TextContent.ShouldContain("under the line, below the next column");

        await made.Visitor.PostAsync(made.Plan, ("printed", "true"));
        await ChangeAsync("2");
        var printed = await made.Visitor.GetAsync(made.Plan);
        printed.QuerySelector("article")!.TextContent.ShouldContain("under the line, below the next column");
        printed.Body!.TextContent.ShouldContain("The printed plan stays as it is.");
        var anew = await made.Visitor.PostAsync($"{made.Plan}?handler=Anew");
        made.Visitor.Address.ShouldNotBe(made.Plan);
        anew.QuerySelector("article")!.TextContent.ShouldContain("small, beside the next digit");

        // Both side by side: what differs stands in bold, and their items are the same.
        var beside = await made.Visitor.GetAsync(anew.QuerySelector("a[href*='/beside/']")!.GetAttribute("href")!);
        beside.QuerySelectorAll("tbody tr").First(r => r.TextContent.StartsWith("Say")).QuerySelectorAll("strong").Length.ShouldBe(2);
        beside.QuerySelectorAll("tbody tr").First(r => r.TextContent.StartsWith("Practice, first day")).QuerySelectorAll("strong").Length.ShouldBe(0);

        async Task ChangeAsync(string answer)
        {
            await made.Visitor.GetAsync($"/students/{made.Code}/edit");
            await made.Visitor.PostAsync($"/students/{made.Code}/edit", ("code", made.Code), ("callName", "Wren"), ("word", "Regroup"), ("school[carry-mark]", answer));
        }
    }

    [Fact]
    public async Task A_plan_is_read_from_a_file_and_what_is_none_is_said()
    {
        var made = await AcceptAsync(Dropped);
        var content = (string)(await app.SqlAsync($"select content from plans where id = '{made.Plan["/plans/".Length..]}'"))!;
        var file = $$"""{"format":"yellow-pencil.plan","version":1,"student":"X-1","plan":{{content}},"why":null}""";
        await made.Visitor.GetAsync($"/students/{made.Code}");
        (await made.Visitor.PostFileAsync($"/students/{made.Code}?handler=Plan", "file", file.Replace("\"version\":1", "\"version\":3"))).QuerySelector(".fault")!.TextContent.ShouldBe("This file holds no plan: version: must be 1");
        (await made.Visitor.PostFileAsync($"/students/{made.Code}?handler=Plan", "file", "{")).QuerySelector(".fault")!.TextContent.ShouldStartWith("This file holds no plan:");
        var read = await made.Visitor.PostFileAsync($"/students/{made.Code}?handler=Plan", "file", file);
        made.Visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        made.Visitor.Address.ShouldStartWith("/plans/");
        made.Visitor.Address.ShouldNotBe(made.Plan);
        read.QuerySelector("h1")!.TextContent.ShouldStartWith(made.Code); // not X-1: it is kept under the student whose file it was read into
        read.QuerySelectorAll("article table:not(.writein) tbody tr").Length.ShouldBe(12);
        (await made.Visitor.GetAsync($"/students/{made.Code}")).Body!.TextContent.ShouldContain("Plan: read from a file");
        (await made.Visitor.GetAsync("/")).Body!.TextContent.ShouldContain(made.Code);
    }
}
