using System.Text.Json;
using Microsoft.AspNetCore.Antiforgery;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>One item as the browser sends it while it is typed.</summary>
/// <param name="Id">The item.</param>
/// <param name="Version">The version that the browser last saw.</param>
/// <param name="Answer">The answer; null is blank.</param>
/// <param name="Work">The work, in the worked-sheet format, or null.</param>
public sealed record TypedItem(string Id, int Version, string? Answer, JsonElement? Work);

/// <summary>Takes in what is typed, item by item, and gives back the reading so far, without the item being typed.</summary>
internal static class TypingApi
{
    public static void Map(WebApplication app) => app.MapPut("/api/pages/{id:guid}/items", SaveAsync).RequireAuthorization();

    private static async Task<IResult> SaveAsync(Guid id, TypedItem[] items, string? typing, HttpContext context, IAntiforgery antiforgery, PageTyping pages)
    {
        if (!await antiforgery.IsRequestValidAsync(context))
            return Results.Json(new { message = "This form has expired. Reload the page; what you typed is kept in this browser." }, statusCode: StatusCodes.Status400BadRequest);
        var saved = await pages.SaveAsync(id, items);
        if (saved is null) return Results.NotFound();
        if (saved.Fault is not null) return Results.Json(new { message = saved.Fault }, statusCode: StatusCodes.Status422UnprocessableEntity);
        return Results.Json(new { saved.Versions, saved.Conflicts, margin = Margin(saved.Page!, typing) });
    }

    // The item under the hand is half written, so it says nothing yet.
    private static object Margin(StudentPage page, string? typing)
    {
        var sheet = PageDesk.Sheet(page);
        var reading = SheetDiagnosis.Read(sheet with { Items = [.. sheet.Items.Select(i => i.Id == typing ? i with { Answer = null } : i)] });
        var word = page.Student!.Word;
        return new
        {
            outcome = ReadingText.Say(reading.Outcome),
            enough = reading.Outcome is Outcome.Bug or Outcome.Sound,
            typed = sheet.Items.Count(i => i.Answer is not null),
            of = reading.Items.Count,
            explanations = reading.Explanations.Where(e => e.Probability >= 0.05).Take(3)
                .Select(e => new { sure = $"{Math.Floor(100 * e.Probability):0} %", text = e.Text.In(word) }),
        };
    }
}
