namespace YellowPencil.Data;

/// <summary>A time of every week at which the specialist teaches.</summary>
public sealed class Slot : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The day.</summary>
    public DayOfWeek Day { get; set; }

    /// <summary>When it begins, on the school's clock.</summary>
    public TimeOnly Start { get; set; }

    /// <summary>How long it is.</summary>
    public int Minutes { get; set; }

    /// <summary>Since when it is no slot any more; null while it is one. What was taught in it stays.</summary>
    public DateOnly? EndedOn { get; set; }

    /// <summary>Who cannot come.</summary>
    public List<NotFree> NotFree { get; } = [];
}

/// <summary>A slot at which a student cannot come.</summary>
public sealed class NotFree : IOwned
{
    /// <summary>The student.</summary>
    public Guid StudentId { get; set; }

    /// <summary>The slot.</summary>
    public Guid SlotId { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }
}

/// <summary>Days on which nobody is taught.</summary>
public sealed class Holiday : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The first day.</summary>
    public DateOnly First { get; set; }

    /// <summary>The last day.</summary>
    public DateOnly Last { get; set; }

    /// <summary>What it is called.</summary>
    public string Name { get; set; } = "";
}

/// <summary>A time at which the specialist is busy, from a calendar that was read in. What it was is not kept.</summary>
public sealed class BusyTime : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>From when.</summary>
    public DateTimeOffset From { get; set; }

    /// <summary>Until when.</summary>
    public DateTimeOffset Until { get; set; }
}

/// <summary>A plan that is taught in a slot every week; those in one slot are a group.</summary>
public sealed class Seat : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The plan.</summary>
    public Guid PlanId { get; set; }

    /// <summary>The plan.</summary>
    public Plan? Plan { get; set; }

    /// <summary>The slot.</summary>
    public Guid SlotId { get; set; }

    /// <summary>The slot.</summary>
    public Slot? Slot { get; set; }

    /// <summary>From which day.</summary>
    public DateOnly From { get; set; }

    /// <summary>From which day no more; null where it goes on.</summary>
    public DateOnly? Until { get; set; }

    /// <summary>What is otherwise on single days.</summary>
    public List<SeatChange> Changes { get; } = [];
}

/// <summary>A session of a week that is not where it usually is.</summary>
public sealed class SeatChange : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The seat.</summary>
    public Guid SeatId { get; set; }

    /// <summary>The day on which it would have been.</summary>
    public DateOnly On { get; set; }

    /// <summary>The day to which it moved; null where it was left out.</summary>
    public DateOnly? ToDay { get; set; }

    /// <summary>The slot to which it moved; null where it was left out.</summary>
    public Guid? ToSlotId { get; set; }

    /// <summary>Why, in a sentence.</summary>
    public string Because { get; set; } = "";

    /// <summary>Who changed it.</summary>
    public required string ByName { get; set; }

    /// <summary>When it was changed.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>How far the looking for a week has come.</summary>
public enum ProposalState
{
    /// <summary>It is looked for, or waits to be.</summary>
    Looking,

    /// <summary>It is found.</summary>
    Found,

    /// <summary>It was taken, and holds.</summary>
    Taken,

    /// <summary>It was put aside.</summary>
    PutAside,
}

/// <summary>A proposal of who is taught when, looked for in the background.</summary>
public sealed class WeekProposal : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>How far it has come.</summary>
    public ProposalState State { get; set; }

    /// <summary>Whether what is found so far is enough.</summary>
    public bool IsEnough { get; set; }

    /// <summary>The best so far, as JSON; empty before the first.</summary>
    public string Content { get; set; } = "";

    /// <summary>How many better ones were found.</summary>
    public int Found { get; set; }

    /// <summary>When it was asked for.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>When the looking began; null while it waits.</summary>
    public DateTimeOffset? BeganAt { get; set; }

    /// <summary>When the looking ended; null before.</summary>
    public DateTimeOffset? EndedAt { get; set; }
}
