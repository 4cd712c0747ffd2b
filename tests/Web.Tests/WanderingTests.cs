using AngleSharp.Html.Dom;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Somebody who follows any link, presses any button and writes anything into any field: whatever it is, the application has an answer to it.</summary>
public sealed class WanderingTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const int Steps = 150;

    private static readonly string[] Written =
    [
        "", "7", "x", "-1", "K-99", "604 - 278 = 474\n523 - 168 = 445\n80 - 36 = 56", "2/3 + 1/4 = 3/7\n1/2 + 1/3 = 2/5", "solve 2x + 3 = 9 = x = 3", "expand 3(x + 2) = 3x + 2",
        "958 / 4 as a decimal\t239.5", "2026-11-30", "2026-02-30", "25:00", "<b>&\"'", "é😀", "\0", "1e9", "subtraction.turns-column-round", "../..", "null", new string('a', 5000),
    ];

    private static readonly string[] Answers = ["7", "0", "", "-5", "474", "1/2", "2 1/3", "x = 3", "3x + 2", "12 r 3", "0.5", "??", "(x + 1)(x - 2)", "no"];

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public async Task Whatever_is_pressed_and_written_is_answered(int seed)
    {
        var (random, visitor) = (new Random(seed), await new Visitor(app).SignInAsync());
        var (known, seen) = (new List<string> { "/" }, new HashSet<string>());
        for (var step = 0; step < Steps; step++)
        {
            var fresh = known.FindAll(a => !seen.Contains(a));
            var address = Pick(random, fresh.Count > 0 && random.Next(5) < 3 ? fresh : known);
            seen.Add(address);
            var page = await visitor.GetAsync(address);
            Answered(visitor, address);
            known.AddRange(page.QuerySelectorAll("a[href^='/']").Select(a => a.GetAttribute("href")!.Split('#')[0]).Where(a => !known.Contains(a)).Distinct());
            if (page.QuerySelector("[data-typing]") is not null) await TypeAsync(visitor, random, known);
            else if (page.Forms.Where(CanBeSent).ToList() is { Count: > 0 } forms) await SendAsync(visitor, random, Pick(random, forms), known);
        }

        known.Count.ShouldBeGreaterThan(100, "it went about");
    }

    private static T Pick<T>(Random random, IReadOnlyList<T> of) => of[random.Next(of.Count)];

    private static void Answered(Visitor visitor, string what) => ((int)visitor.Last!.StatusCode).ShouldBeLessThan(500, what);

    // Nobody signs out or changes the password on the way.
    private static bool CanBeSent(IHtmlFormElement form) => form.GetAttribute("action")?.StartsWith("/sign", StringComparison.Ordinal) != true && form.QuerySelector("[type=password]") is null;

    private static async Task TypeAsync(Visitor visitor, Random random, List<string> known)
    {
        var answer = random.Next(2) == 0 ? Pick(random, Answers) : null;
        var items = Enumerable.Range(1, 8).SelectMany(id => new object[]
        {
            new { id = $"{id}", version = 1, answer = answer ?? Pick(random, Answers) },
            new { id = $"{id}", version = 1, lines = new[] { Pick(random, Answers), answer ?? Pick(random, Answers) } },
        }).ToList();
        var page = new Uri("http://any" + visitor.Address).AbsolutePath;
        ((int)(await visitor.PutAsync($"/api{page}/items", items)).StatusCode).ShouldBeLessThan(500, page);
        await visitor.GetAsync(page + "/reading");
        Answered(visitor, $"the reading of {page}, typed {answer}");
        if (!known.Contains(page + "/reading")) known.Add(page + "/reading");
    }

    private static async Task SendAsync(Visitor visitor, Random random, IHtmlFormElement form, List<string> known)
    {
        var buttons = form.QuerySelectorAll("button").OfType<IHtmlButtonElement>().Where(b => b.Type != "button").ToList();
        var button = buttons.Count > 0 ? Pick(random, buttons) : null;
        var fields = Fields(form, random).ToList();
        if (button?.Name is { Length: > 0 } name) fields.Add((name, button.Value ?? ""));
        var action = button?.GetAttribute("formaction") ?? form.GetAttribute("action") ?? visitor.Address;
        var what = $"{action} with {string.Join("&", fields.Select(f => $"{f.Name}={f.Value}"))}";
        if (string.Equals(form.Method, "post", StringComparison.OrdinalIgnoreCase)) await visitor.PostManyAsync(action, [.. fields.Where(f => f.Name is not ("__RequestVerificationToken" or "once"))]);
        else await visitor.GetAsync($"{action.Split('?')[0]}?{string.Join('&', fields.Select(f => $"{Uri.EscapeDataString(f.Name)}={Uri.EscapeDataString(f.Value)}"))}");
        Answered(visitor, what);
        if (visitor.Last!.IsSuccessStatusCode && !known.Contains(visitor.Address)) known.Add(visitor.Address);
    }

    private static IEnumerable<(string Name, string Value)> Fields(IHtmlFormElement form, Random random)
    {
        foreach (var input in form.QuerySelectorAll("input[name]").OfType<IHtmlInputElement>().Where(i => i.Type != "file"))
        {
            if (input.Type is "checkbox" or "radio" && random.Next(2) == 0) continue;
            var isKept = input.Type is "checkbox" or "radio" || (input.Type == "hidden" ? random.Next(12) > 0 : random.Next(2) == 0);
            yield return (input.Name!, isKept ? input.Value : Pick(random, Written));
        }

        foreach (var area in form.QuerySelectorAll("textarea[name]").OfType<IHtmlTextAreaElement>()) yield return (area.Name!, random.Next(3) == 0 ? area.Value : Pick(random, Written));
        foreach (var select in form.QuerySelectorAll("select[name]").OfType<IHtmlSelectElement>())
            yield return (select.Name!, random.Next(8) == 0 ? "zzz" : select.Options.Any() ? Pick(random, [.. select.Options]).Value : "");
    }
}
