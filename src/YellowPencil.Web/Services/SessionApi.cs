using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Antiforgery;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>What the script of a session asks for: keeping how it went. All of a session is one item of the outbox.</summary>
internal static class SessionApi
{
    /// <summary>The id of the one item.</summary>
    public const string Item = "session";

    private const int LongestWords = 1_000;
    private const int MostTicks = 40;

    public static void Map(WebApplication app) => app.MapPut("/api/sessions/{id:guid}", SaveAsync).RequireAuthorization();

    /// <summary>A session as the script takes it, with what the rule says comes next.</summary>
    public static object Written(Session session, SessionCard card)
    {
        var end = SessionEnd.Of(card.Items, session.Ticks);
        return new
        {
            id = Item,
            page = session.Id,
            code = session.Plan!.Student!.Code,
            title = $"session of {SchoolTime.Date(session.HeldOn)}",
            version = session.Version,
            ticks = session.Ticks,
            said = session.Said,
            changed = session.Changed,
            overruled = session.Overruled,
            next = SessionEnd.TextOf(session.Overruled ?? end.Next),
            because = end.Because,
        };
    }

    private static async Task<IResult> SaveAsync(Guid id, HttpContext context, IAntiforgery forms, WeeksDesk weeks, PlanDesk plans)
    {
        if (!await forms.IsRequestValidAsync(context)) return TypingApi.Expired();
        Sent? sent;
        try
        {
            sent = await JsonSerializer.DeserializeAsync<Sent>(context.Request.Body, cancellationToken: context.RequestAborted);
        }
        catch (JsonException fault)
        {
            return TypingApi.Refuse($"this is no session: {fault.Message}");
        }

        if (sent is null || sent.Ticks is null || sent.Ticks.Values.Any(t => t is null)) return TypingApi.Refuse("a session has ticks");
        if (await weeks.FindSessionAsync(id) is not { } session || await plans.ReadAsync(session.Plan!) is not { } made) return Results.NotFound();
        var card = new SessionCard(made);
        if (sent.Ticks.Count > MostTicks) return TypingApi.Refuse("there are more ticks than items");
        if (new[] { sent.Said, sent.Changed }.Any(t => t is { Length: > LongestWords })) return TypingApi.Refuse($"notes have at most {LongestWords} characters");
        var isKept = await weeks.SaveAsync(session, sent.Version, s =>
        {
            s.Ticks = sent.Ticks.Where(t => card.Items.Any(i => i.Name == t.Key)).ToDictionary();
            (s.Said, s.Changed, s.Overruled) = (sent.Said ?? "", sent.Changed ?? "", sent.Overruled);
        });
        var written = Written(session, card);
        return Results.Json(new { page = id, versions = isKept ? new Dictionary<string, int> { [Item] = session.Version } : [], conflicts = isKept ? Array.Empty<object>() : [written], refused = Array.Empty<object>(), session = written });
    }

    private sealed record Sent(
        [property: JsonPropertyName("version")] int Version, [property: JsonPropertyName("ticks")] Dictionary<string, Ticked>? Ticks, [property: JsonPropertyName("said")] string? Said,
        [property: JsonPropertyName("changed")] string? Changed, [property: JsonPropertyName("overruled")] SessionNext? Overruled);
}
