using System.Text.Json;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Services;

/// <summary>What the typing script asks for: saving items, a new token, and remembering the direction.</summary>
internal static class TypingApi
{
    public static void Map(WebApplication app)
    {
        app.MapPut("/api/pages/{id:guid}/items", SaveAsync).RequireAuthorization();
        app.MapPut("/api/direction", SetHabitAsync).RequireAuthorization();
        app.MapPut("/api/pages/{id:guid}/direction", SetDirectionAsync).RequireAuthorization();
        app.MapPut("/api/pages/{id:guid}/written-so", LeaveAsWrittenAsync).RequireAuthorization();
        app.MapGet("/api/line", BuildUp).RequireAuthorization();
        app.MapGet("/api/token", (HttpContext context, IAntiforgery forms) => Results.Json(new { token = forms.GetAndStoreTokens(context).RequestToken })).RequireAuthorization();
    }

    /// <summary>Takes in what is typed, item by item, and gives back the reading so far, without the item being typed.</summary>
    private static async Task<IResult> SaveAsync(Guid id, string? typing, HttpContext context, IAntiforgery forms, PageTyping pages, ReadingCache readings, RuleNaming names)
    {
        if (!await forms.IsRequestValidAsync(context)) return Expired();
        var items = await TypedItem.ReadAsync(context.Request.Body, context.RequestAborted);
        if (items.Fault is { } fault) return Refuse(fault);
        TypingSaved? saved;
        try
        {
            saved = await pages.SaveAsync(id, items.Items);
        }
        catch (UnreadablePageException e)
        {
            return Refuse($"this page cannot be read as it is stored ({e.Fault}); open it to mend it");
        }

        if (saved is null) return Results.NotFound();
        await names.LoadAsync();
        return Results.Json(new
        {
            saved.Versions,
            conflicts = saved.Conflicts.Select(item => JsonDocument.Parse(TypingJson.Write(item, saved.Page)).RootElement),
            saved.Refused,
            margin = Margin(saved.Page, typing, readings, names, context.RequestAborted),
        });
    }

    /// <summary>A line as it is built up, and what keeps it from that: lines are laid out in one place.</summary>
    private static IResult BuildUp(string? text)
    {
        if (text is not { Length: > 0 and <= WorkedItem.LongestAnswer }) return Refuse($"a line of 1 to {WorkedItem.LongestAnswer} characters is expected");
        if (TypedLines.NotReadIn(text) is { } other) return Results.Json(new { svg = LinesPicture.Line(other)?.ToString() ?? "" });
        var line = WrittenLine.Read(text);
        return Results.Json(new { svg = LinesPicture.Line(line).ToString(), at = line.Fault?.At, message = line.Fault?.Message, stays = LineChange.Stays(line) });
    }

    /// <summary>From which side the specialist types, where a page does not say otherwise.</summary>
    private static async Task<IResult> SetHabitAsync(HttpContext context, IAntiforgery forms, CurrentSpecialist who, PencilContext data)
    {
        if (!await forms.IsRequestValidAsync(context)) return Expired();
        if (await DirectionIn(context) is not { } direction) return NoDirection();
        await data.Users.Where(u => u.Id == who.Id).ExecuteUpdateAsync(set => set.SetProperty(u => u.TypingDirection, direction));
        return Results.NoContent();
    }

    /// <summary>From which side the answers of one page are typed.</summary>
    private static async Task<IResult> SetDirectionAsync(Guid id, HttpContext context, IAntiforgery forms, PencilContext data)
    {
        if (!await forms.IsRequestValidAsync(context)) return Expired();
        if (await DirectionIn(context) is not { } direction) return NoDirection();
        return await data.Pages.Where(p => p.Id == id).ExecuteUpdateAsync(set => set.SetProperty(p => p.Direction, direction)) > 0 ? Results.NoContent() : Results.NotFound();
    }

    private static async Task<IResult> LeaveAsWrittenAsync(Guid id, HttpContext context, IAntiforgery forms, PencilContext data)
    {
        if (!await forms.IsRequestValidAsync(context)) return Expired();
        return await data.Pages.Where(p => p.Id == id).ExecuteUpdateAsync(set => set.SetProperty(p => p.IsWrittenSo, true)) > 0 ? Results.NoContent() : Results.NotFound();
    }

    private static async Task<TypingDirection?> DirectionIn(HttpContext context)
    {
        var text = await new StreamReader(context.Request.Body).ReadToEndAsync(context.RequestAborted);
        return Enum.TryParse<TypingDirection>(text.Trim('"'), out var direction) && direction is TypingDirection.FromLeft or TypingDirection.FromRight ? direction : null;
    }

    private static IResult NoDirection() => Refuse("the direction is \"FromLeft\" or \"FromRight\"");

    internal static IResult Expired() => Refuse("this form has expired; reload the page: what you typed is kept in this browser");

    internal static IResult Refuse(string message) => Results.Json(new { message }, statusCode: StatusCodes.Status400BadRequest);

    // The item under the hand is half written, so it says nothing yet.
    private static object Margin(StudentPage page, string? typing, ReadingCache readings, RuleNaming names, CancellationToken cancellation)
    {
        var sheet = PageDesk.Sheet(page);
        var so = sheet with { Items = [.. sheet.Items.Select(i => i.Id == typing ? i with { Answer = null } : i)] };
        var reading = readings.Read(page, so, cancellation);
        var turned = page.IsWrittenSo == true ? null : TurnedPage.Of(reading);
        return new
        {
            outcome = turned?.Text ?? ReadingText.Say(reading),
            enough = turned is null && reading.Outcome is Outcome.Bug or Outcome.Sound,
            typed = sheet.Items.Count(i => i.Answer is not null),
            of = reading.Items.Count,
            turned = (turned?.Items ?? TurnedAnswers.In(reading)).Select(t => new { id = t.Id, answer = t.Answer, other = t.Other }),
            wholePage = turned?.Text,
            explanations = (turned is null ? reading.OneByOne : []).Where(e => e.Probability >= 0.05).Take(3)
                .Select(e => new { sure = Shares.Percent(e.Alone), text = names.Told(e, page.Student!.Word) }),
        };
    }
}
