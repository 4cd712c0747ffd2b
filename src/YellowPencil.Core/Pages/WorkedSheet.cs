namespace YellowPencil.Core.Pages;

/// <summary>One sheet: what a student wrote, item by item.</summary>
public sealed record WorkedSheet
{
    /// <summary>The value of <c>format</c>.</summary>
    public const string Format = "yellow-pencil.worked-sheet";

    /// <summary>The most items that one sheet holds.</summary>
    public const int MaxItems = 500;

    /// <summary>The most effort that the items and predictions of one sheet take together: what is more is not read in two seconds on one core.</summary>
    public const int MaxEffort = 6_000;

    /// <summary>So many predictions take the effort of one item.</summary>
    public const int PredictionsForOneItem = 10;

    /// <summary>The longest code of a student, in characters.</summary>
    public const int LongestCode = 80;

    /// <summary>The code under which the student is kept.</summary>
    public required string Student { get; init; }

    /// <summary>A name for the set of items, or null.</summary>
    public string? Sheet { get; init; }

    /// <summary>The date on which it was written, or null.</summary>
    public DateOnly? Date { get; init; }

    /// <summary>The taught method by family, as far as known.</summary>
    public IReadOnlyDictionary<string, string> Methods { get; init; } = new Dictionary<string, string>();

    /// <summary>The items in the order on the page.</summary>
    public required IReadOnlyList<WorkedItem> Items { get; init; }

    /// <summary>Tasks for which the reader should say what this student would answer.</summary>
    public IReadOnlyList<SetItem> Predict { get; init; } = [];
}

/// <summary>A task with the kind of answer that was asked for.</summary>
public record SetItem
{
    /// <summary>The task, read.</summary>
    public required ItemTask Task { get; init; }

    /// <summary>The task as written.</summary>
    public required string TaskAsWritten { get; init; }

    /// <summary>The form asked for, where the grammar names one.</summary>
    public string? Form { get; init; }

    /// <summary>The numbers to factor over, where the grammar names them.</summary>
    public string? Over { get; init; }

    /// <summary>The place to estimate to, where the grammar names one.</summary>
    public string? To { get; init; }

    /// <summary>What is asked for, as it is written.</summary>
    public Asked Asked => new(Form, Over, To);

    /// <summary>What the reading of it costs: the steps of the task, and in long tasks as many again as there are steps that could have gone wrong.</summary>
    public virtual int Effort => Task.Steps + (int)Math.Min(int.MaxValue / 4, (long)Task.Steps * Task.Steps / 500);

    /// <summary>A task as it is set.</summary>
    public static SetItem Of(ItemTask task) =>
        new() { Task = task, TaskAsWritten = task.Text, Form = task.Asked.Form, Over = task.Asked.Over, To = task.Asked.To };
}

/// <summary>One item with what the student wrote.</summary>
public sealed record WorkedItem : SetItem
{
    /// <summary>The longest answer that is read, in characters.</summary>
    public const int LongestAnswer = 200;

    /// <summary>The name of the item, unique in the sheet.</summary>
    public required string Id { get; init; }

    /// <summary>The final answer exactly as written; null is blank, "?" is there but cannot be read.</summary>
    public string? Answer { get; init; }

    /// <summary>What stands on the page beside the answer.</summary>
    public Work Work { get; init; } = Work.None;

    /// <summary>Time taken in seconds, if it was measured.</summary>
    public double? Seconds { get; init; }

    /// <summary>Each line of a working is gone on from by itself.</summary>
    public override int Effort => base.Effort * (1 + 2 * (Work.Get(WorkFields.Lines)?.Count ?? 0));

    /// <summary>A task as it is set, with nothing written yet.</summary>
    public static WorkedItem Of(string id, ItemTask task) =>
        new() { Id = id, Task = task, TaskAsWritten = task.Text, Form = task.Asked.Form, Over = task.Asked.Over, To = task.Asked.To };

    /// <summary>The same work on another task.</summary>
    public WorkedItem Asking(ItemTask task) =>
        this with { Task = task, TaskAsWritten = task.Text, Form = task.Asked.Form, Over = task.Asked.Over, To = task.Asked.To };

    /// <summary>Whether there is an answer that can be read.</summary>
    public bool IsAnswered => !string.IsNullOrWhiteSpace(Answer) && Answer.Trim() != "?";

    /// <summary>Whether work stands there that came to no answer that can be read.</summary>
    public bool IsBrokenOff => !IsAnswered && WorkFields.All.Any(Work.Has);
}
