using YellowPencil.Core.Progress;

namespace YellowPencil.Data;

/// <summary>A session in which a plan was taught.</summary>
public sealed class Session : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The plan.</summary>
    public Guid PlanId { get; set; }

    /// <summary>The plan.</summary>
    public Plan? Plan { get; set; }

    /// <summary>The day.</summary>
    public DateOnly HeldOn { get; set; }

    /// <summary>How each item went, by its name.</summary>
    public Dictionary<string, Ticked> Ticks { get; set; } = [];

    /// <summary>The learner's own words.</summary>
    public string Said { get; set; } = "";

    /// <summary>What was taught in another way than planned; empty for as planned.</summary>
    public string Changed { get; set; } = "";

    /// <summary>What the specialist decided comes next, where it is not what the rule says; null for the rule.</summary>
    public SessionNext? Overruled { get; set; }

    /// <summary>Counted up with every change.</summary>
    public int Version { get; set; } = 1;

    /// <summary>Who taught.</summary>
    public required string ByName { get; set; }

    /// <summary>When the row was begun.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A check that was set: a short page that is looked through for one rule.</summary>
public sealed class Check : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The plan whose rule is looked for.</summary>
    public Guid PlanId { get; set; }

    /// <summary>The plan whose rule is looked for.</summary>
    public Plan? Plan { get; set; }

    /// <summary>Which of the plan's checks it is, from 1.</summary>
    public int Number { get; set; }

    /// <summary>The page that is typed in and read.</summary>
    public Guid PageId { get; set; }

    /// <summary>The page that is typed in and read.</summary>
    public StudentPage? Page { get; set; }

    /// <summary>What each item of the page is for and what the old rule gives, in the order of the page, as JSON.</summary>
    public required string Content { get; set; }

    /// <summary>When it was set, or counted.</summary>
    public DateTimeOffset MadeAt { get; set; }

    /// <summary>Whether it is a page that was written for something else, such as a class sheet, and counts as a check; null and false for one that was set.</summary>
    public bool? IsCounted { get; set; }
}

/// <summary>A report as it was given out.</summary>
public sealed class SentReport : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The plan that it is about.</summary>
    public Guid PlanId { get; set; }

    /// <summary>The plan that it is about.</summary>
    public Plan? Plan { get; set; }

    /// <summary>To whom it went.</summary>
    public ReportKind Kind { get; set; }

    /// <summary>What it says, a line a paragraph.</summary>
    public required string Text { get; set; }

    /// <summary>Who gave it out.</summary>
    public required string ByName { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A number fact that a student learns on a track of its own.</summary>
public sealed class LearntFact : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The student.</summary>
    public Guid StudentId { get; set; }

    /// <summary>The fact, such as "7 * 8".</summary>
    public required string Fact { get; set; }

    /// <summary>What the student took it to be.</summary>
    public int Written { get; set; }

    /// <summary>When it was first taught.</summary>
    public DateOnly BegunOn { get; set; }

    /// <summary>Its checks.</summary>
    public List<FactCheck> Checks { get; } = [];
}

/// <summary>A short check of a number fact.</summary>
public sealed class FactCheck : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The fact.</summary>
    public Guid LearntFactId { get; set; }

    /// <summary>The day.</summary>
    public DateOnly On { get; set; }

    /// <summary>How many were right.</summary>
    public int Right { get; set; }

    /// <summary>How many were asked.</summary>
    public int Asked { get; set; }
}
