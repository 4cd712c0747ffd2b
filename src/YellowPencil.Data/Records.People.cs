using Microsoft.AspNetCore.Identity;

namespace YellowPencil.Data;

/// <summary>From which side a specialist types answers in.</summary>
public enum TypingDirection
{
    /// <summary>Not asked yet.</summary>
    NotAsked,

    /// <summary>From the left, as the answer is read.</summary>
    FromLeft,

    /// <summary>From the right, as the columns are worked.</summary>
    FromRight,
}

/// <summary>A user of the application who can sign in; owns students and everything about them.</summary>
public sealed class Specialist : IdentityUser<Guid>
{
    /// <summary>The name shown beside decisions.</summary>
    public string DisplayName { get; set; } = "";

    /// <summary>The school's time zone by its name in the tz database, for example "Europe/Lisbon"; empty is UTC.</summary>
    public string TimeZone { get; set; } = "";

    /// <summary>Whether the student's sheets have a line for a name, as some schools want.</summary>
    public bool HasNameLine { get; set; }

    /// <summary>Whether numbers are shown and typed with a decimal comma; null where it was not set: with a point.</summary>
    public bool? HasDecimalComma { get; set; }

    /// <summary>How many students sit together at most; null where it was not set.</summary>
    public int? GroupSize { get; set; }

    /// <summary>What the private address of the calendar is known by: the SHA-256 of its key, in hexadecimal; null where there is none.</summary>
    public string? CalendarKey { get; set; }

    /// <summary>From which side answers are typed in.</summary>
    public TypingDirection TypingDirection { get; set; }

    /// <summary>After how many months without anything new a student's file is thrown away by itself; null where it stays until somebody does.</summary>
    public int? MonthsKept { get; set; }
}

/// <summary>
/// One browser in which a specialist is signed in. A cookie counts only while its row is here, so that signing out ends it wherever
/// it was copied to.
/// </summary>
public sealed class SignedInBrowser
{
    /// <summary>The key, which the cookie carries.</summary>
    public Guid Id { get; set; }

    /// <summary>Who is signed in.</summary>
    public Guid SpecialistId { get; set; }

    /// <summary>Since when.</summary>
    public DateTimeOffset Since { get; set; }
}

/// <summary>How often something that is limited was tried lately: a password, an invitation.</summary>
public sealed class Attempts
{
    /// <summary>What was tried, and from where.</summary>
    public required string Key { get; set; }

    /// <summary>Since when it is counted.</summary>
    public DateTimeOffset Since { get; set; }

    /// <summary>How often since then.</summary>
    public int Count { get; set; }
}

/// <summary>The specialist's own name for a rule or a set of rules; the latest counts, earlier ones stay as they were.</summary>
public sealed class RuleName : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The rules, joined by +.</summary>
    public required string Rules { get; set; }

    /// <summary>The name.</summary>
    public required string Name { get; set; }

    /// <summary>Who gave it.</summary>
    public required string ByName { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A form that was sent and taken in, so that sending it again makes nothing a second time.</summary>
public sealed class SentForm : IOwned
{
    /// <summary>The key that the form carried.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>Where the answer led.</summary>
    public string Address { get; set; } = "";

    /// <summary>When it was sent.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>Something that was thrown away: hidden at once, erased when the time for undoing is over, logged for good.</summary>
public sealed class Removal : IOwned
{
    /// <summary>How long a removal can be undone.</summary>
    public static readonly TimeSpan TimeToUndo = TimeSpan.FromMinutes(10);

    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>What was thrown away: student, page or plan.</summary>
    public required string What { get; set; }

    /// <summary>The code of the student concerned.</summary>
    public required string Code { get; set; }

    /// <summary>Who did it.</summary>
    public required string ByName { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>When it was taken back, or null.</summary>
    public DateTimeOffset? UndoneAt { get; set; }

    /// <summary>When it was erased for good, or null.</summary>
    public DateTimeOffset? ErasedAt { get; set; }
}

/// <summary>A row that can be thrown away; while it carries a removal it is not shown.</summary>
public interface IRemovable
{
    /// <summary>The removal it fell under, or null.</summary>
    Guid? RemovalId { get; set; }
}
