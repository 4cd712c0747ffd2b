using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Services;

/// <summary>What the page on which items are chosen asks for while they are written.</summary>
internal static class SheetApi
{
    private const int LongestText = 20_000;

    public static void Map(WebApplication app) => app.MapPost("/api/coverage", CoverAsync).RequireAuthorization();

    /// <summary>Says what the items of a list can tell, as far as they can be read.</summary>
    private static async Task<IResult> CoverAsync(HttpRequest request, CancellationToken cancellation)
    {
        var text = await new StreamReader(request.Body).ReadToEndAsync(cancellation);
        if (text.Length > LongestText) return Results.Json(new { text = "This is too long for a sheet." });
        var items = ItemList.TryParse(text, Pages.Sheets.BeginModel.Families, out var faults);
        if (items.Count == 0) return Results.Json(new { text = string.IsNullOrWhiteSpace(text) ? "Write the items, and here stands which rules could show on them." : string.Join(" ", faults.Take(3)) });
        if (items.Count > ItemList.MaxOnOnePage || items.Sum(i => (long)i.Effort) > WorkedSheet.MaxEffort) return Results.Json(new { text = string.Join(" ", faults) });
        var coverage = new SheetCoverage([.. items.Select(i => i.Task)]);
        return Results.Json(new
        {
            text = $"Of {coverage.Bugs.Count} listed rules of {string.Join(" and ", items.Select(i => i.Task.Family).Distinct().Select(f => f.Title.ToLowerInvariant()))}, {coverage.Often.Count} can be held on these {items.Count} items."
                + (faults.Count > 0 ? $" Not read yet: {string.Join(" ", faults.Take(3))}" : ""),
            once = new { text = $"{coverage.Once.Count} show on one item only: enough to ask further, not to hold", names = Names(coverage.Once) },
            never = new { text = $"{coverage.Never.Count} cannot show", names = Names(coverage.Never) },
            together = new { text = $"{coverage.Together.Count} groups are not told apart by the answers", names = coverage.Together.Select(g => string.Join(" / ", Names(g))) },
        });
    }

    private static IEnumerable<string> Names(IEnumerable<Bug> bugs) => bugs.Select(b => b.Name.In(ClassroomWord.Rename));
}
