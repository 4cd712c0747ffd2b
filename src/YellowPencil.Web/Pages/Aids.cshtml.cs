using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Layouts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Pages;

/// <summary>Which paper is asked for.</summary>
public sealed record AidWish(string Kind = "squared", int Square = 7, int Of = 7, int From = -10, int To = 10, string? Code = null, string? Size = null, string? As = null);

/// <summary>Paper that is laid beside the writing: squared, place-value mats, number lines, areas, multiples.</summary>
[ShowsNoStudent]
public sealed class AidsModel(PdfFiles pdf) : PageModel
{
    /// <summary>The kinds, with their names.</summary>
    public static readonly IReadOnlyList<(string Kind, string Name)> Kinds =
    [
        ("squared", "squared paper"), ("mat", "place-value mat, thousands to ones"), ("decimal-mat", "place-value mat with a point"), ("lines", "number lines"),
        ("areas", "areas cut in two by two"), ("areas-3", "areas cut in three by three"), ("multiples", "list of multiples"), ("multiples-open", "list of multiples, to fill in"),
        ("strips", "strips cut into parts"), ("wholes-parts", "mats of wholes and parts"), ("hundreds", "ten by ten squares"), ("tiles", "tiles to cut out"), ("pairs", "tables of pairs, products and sums"),
        ("crosses", "crosses"), ("both-sides", "equations, both sides"), ("root-line", "lines, squares above and roots below"),
    ];

    /// <summary>The sides of squares, in mm.</summary>
    public static readonly IReadOnlyList<int> Squares = [5, 7, 10];

    /// <summary>The longest number line, in steps.</summary>
    private const int LongestLine = 60;

    /// <summary>The numbers on a line lie between this and its opposite.</summary>
    private const int LargestOnLine = 9_999;

    /// <summary>What is asked for.</summary>
    public AidWish Wish { get; private set; } = new();

    /// <summary>The paper.</summary>
    public PaperSize Paper { get; private set; } = PaperSize.A4;

    /// <summary>The picture.</summary>
    public IHtmlContent Picture { get; private set; } = HtmlString.Empty;

    /// <summary>What cannot be drawn as it is asked for.</summary>
    public string? Fault { get; private set; }

    /// <summary>Shows the paper.</summary>
    public IActionResult OnGet(AidWish wish)
    {
        Wish = wish;
        Paper = wish.Size == "letter" ? PaperSize.Letter : PaperSize.A4;
        if (wish.Kind == "lines" && !(IsOnLine(wish.From) && IsOnLine(wish.To) && wish.From < wish.To && wish.To - wish.From <= LongestLine))
        {
            Fault = $"A line goes from a smaller to a larger number, at most {LongestLine} steps and no further than {LargestOnLine}: this one is from −10 to 10.";
            wish = wish with { From = -10, To = 10 };
        }

        var square = Squares.Contains(wish.Square) ? wish.Square : 7;
        var sketch = wish.Kind switch
        {
            "mat" => Drawing.Aids.Mat(Paper, 3, 0),
            "decimal-mat" => Drawing.Aids.Mat(Paper, 1, -2),
            "lines" => Drawing.Aids.Lines(Paper, wish.From, wish.To),
            "areas" => Drawing.Aids.Areas(Paper, 2),
            "areas-3" => Drawing.Aids.Areas(Paper, 3),
            "multiples" or "multiples-open" => Drawing.Aids.Multiples(Paper, Math.Clamp(wish.Of, 2, 99), wish.Kind == "multiples"),
            "strips" => Drawing.Aids.Strips(Paper),
            "wholes-parts" => Drawing.Aids.WholesAndParts(Paper),
            "hundreds" => Drawing.Aids.Hundreds(Paper),
            "tiles" => Drawing.Aids.Tiles(Paper),
            "pairs" => Drawing.Aids.Pairs(Paper),
            "crosses" => Drawing.Aids.Crosses(Paper),
            "both-sides" => Drawing.Aids.BothSides(Paper),
            "root-line" => Drawing.Aids.RootLines(Paper),
            _ => Drawing.Aids.Squared(Paper, square),
        };
        if (wish.As == "pdf") return File(pdf.Aid(Paper, wish.Code ?? "", sketch), "application/pdf", PdfFiles.Name(wish.Code ?? "", wish.Kind));
        Picture = sketch.Svg("aid", $"{Paper.Width}mm", $"{Paper.Height}mm");
        return Page();
    }

    private static bool IsOnLine(int number) => number is >= -LargestOnLine and <= LargestOnLine;
}
