using System.Text.Json;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sessions;

/// <summary>A session as it is ticked.</summary>
/// <param name="Session">The session, with its plan and student.</param>
/// <param name="Card">The card of the plan.</param>
/// <param name="IsOfGroup">Whether others are ticked on the same page.</param>
public sealed record SessionView(Session Session, SessionCard Card, bool IsOfGroup = false)
{
    /// <summary>What can be said comes next instead of what the rule says.</summary>
    public static IReadOnlyList<SessionNext> Choices { get; } = [SessionNext.Mixed, SessionNext.OnceMore, SessionNext.Material, SessionNext.AnotherModel, SessionNext.FirstThings];

    /// <summary>The session as the script takes it.</summary>
    public string Json => JsonSerializer.Serialize(SessionApi.Written(Session, Card));

    /// <summary>What a part of a session is called.</summary>
    public static string NameOf(SessionPart part) => part switch
    {
        SessionPart.First => "Ask first",
        SessionPart.Together => "Together",
        SessionPart.Alone => "Alone",
        SessionPart.Exit => "Exit",
        _ => throw new ArgumentOutOfRangeException(nameof(part), part, null),
    };
}

/// <summary>An item of a session with the answers that can be ticked.</summary>
/// <param name="Session">The session.</param>
/// <param name="Item">The item.</param>
/// <param name="Who">Whose it is, where several are taught; empty for one.</param>
public sealed record TickRow(Guid Session, SessionItem Item, string Who = "");
