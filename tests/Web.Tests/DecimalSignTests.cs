using System.Text.RegularExpressions;
using Shouldly;
using UglyToad.PdfPig;
using UglyToad.PdfPig.DocumentLayoutAnalysis.TextExtractor;
using Xunit;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Tests;

/// <summary>An account that writes numbers with a comma: on paper and in tables; what is stored keeps the point.</summary>
public sealed class DecimalSignTests(PencilApp app) : IClassFixture<PencilApp>
{
    // Lined up on the right: worked by hand.
    private const string LinedUpRight = "4.56 + 3.7 = 4.93\n0.6 + 0.07 = 0.13\n12.5 + 3.25 = 4.50\n6.3 + 2.15 = 2.78\n8.04 + 1.5 = 8.19\n5.2 + 1.34 = 1.86\n3.4 + 2.1 = 5.5";

    [Theory]
    [InlineData("4.56 + 3.7 = 8.26", "4,56 + 3,7 = 8,26")]
    [InlineData("Ask: 3.7 - 0.97, 3 + 1.3", "Ask: 3,7 - 0,97; 3 + 1,3")]
    [InlineData("The gaps are filled with zeros: 5.7 is 5.70.", "The gaps are filled with zeros: 5,7 is 5,70.")]
    [InlineData("Points stand under points. The decimal point stands straight below.", "Commas stand under commas. The decimal comma stands straight below.")]
    [InlineData("Items 1, 2 and 3. Next: 14", "Items 1, 2 and 3. Next: 14")]
    [InlineData("pointed at 3", "pointed at 3")]
    public void A_text_is_shown_with_commas(string text, string shown) => DecimalSign.WithComma(text).ShouldBe(shown);

    [Fact]
    public async Task Paper_and_tables_have_the_comma_and_what_is_stored_the_point()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/account");
        await visitor.PostAsync("/account", ("name", "Ms Tern"), ("zone", ""), ("direction", "FromLeft"), ("comma", "true"));
        var account = await visitor.GetAsync("/account");
        account.QuerySelector("#comma option[selected]")!.TextContent.ShouldBe("with a comma: 4,56");
        account.Body!.GetAttribute("data-decimal").ShouldBe("comma");

        await visitor.GetAsync("/students/K-06/pages/new");
        await visitor.PostAsync("/students/K-06/pages/new", ("items", LinedUpRight), ("title", "Cord"));
        var page = visitor.Address["/pages/".Length..];
        ((string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))!).ShouldContain("\"4.56 + 3.7\"");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        var rules = reading.QuerySelectorAll("form").First(f => f.TextContent.Contains("Accept and plan")).QuerySelector("input[name=rules]")!.GetAttribute("value")!;
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", rules));
        var plan = visitor.Address;
        foreach (var file in new[] { $"{plan}?as=pdf", $"{plan}/card?as=pdf", $"{plan}/practice?as=pdf", $"/pages/{page}/sheet?as=pdf" })
        {
            using var pdf = PdfDocument.Open(await visitor.GetFileAsync(file));
            var text = string.Join('\n', pdf.GetPages().Select(p => ContentOrderTextExtractor.GetText(p)));
            text.ShouldContain(",", customMessage: file);
            Regex.Matches(text, @".{0,20}\d\.\d.{0,20}|\bpoints?\b").Select(m => m.Value).ShouldBeEmpty(file);
        }
    }
}
