using System.Text.Json.Serialization;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Progress;

/// <summary>What an answer in a session was.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Tick>))]
public enum Tick
{
    /// <summary>Right.</summary>
    [JsonStringEnumMemberName("right")]
    Right,

    /// <summary>What the old rule gives.</summary>
    [JsonStringEnumMemberName("old")]
    OldRule,

    /// <summary>Another wrong answer.</summary>
    [JsonStringEnumMemberName("other")]
    Other,
}

/// <summary>An item of a session as it went.</summary>
/// <param name="Answer">What the answer was; null where it was not asked.</param>
/// <param name="IsHelped">Whether it was done with help.</param>
/// <param name="IsChecked">Whether the learner checked it without being asked.</param>
public sealed record Ticked(
    [property: JsonPropertyName("answer")] Tick? Answer, [property: JsonPropertyName("helped")] bool IsHelped = false, [property: JsonPropertyName("checked")] bool IsChecked = false)
{
    /// <summary>Right, and without help.</summary>
    [JsonIgnore]
    public bool IsRightAlone => Answer == Tick.Right && !IsHelped;
}

/// <summary>What comes after a session.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SessionNext>))]
public enum SessionNext
{
    /// <summary>Too little was done to say.</summary>
    [JsonStringEnumMemberName("not-said")]
    NotSaid,

    /// <summary>What must come first is not sure yet.</summary>
    [JsonStringEnumMemberName("first-things")]
    FirstThings,

    /// <summary>Another model, and nothing more of the same.</summary>
    [JsonStringEnumMemberName("another-model")]
    AnotherModel,

    /// <summary>Mixed practice on another day.</summary>
    [JsonStringEnumMemberName("mixed")]
    Mixed,

    /// <summary>Once more together.</summary>
    [JsonStringEnumMemberName("once-more")]
    OnceMore,

    /// <summary>Back to the material, one thing smaller.</summary>
    [JsonStringEnumMemberName("material")]
    Material,
}

/// <summary>What comes next by how a session went, with its numbers; the specialist can say otherwise.</summary>
/// <param name="Next">What comes next.</param>
/// <param name="Because">The numbers, in a sentence.</param>
public sealed record SessionEnd(SessionNext Next, string Because)
{
    private const int GatePassed = 2;

    /// <summary>What comes next, in a sentence.</summary>
    public string Text => TextOf(Next);

    /// <summary>What comes next, in a sentence.</summary>
    public static string TextOf(SessionNext next) => next switch
    {
        SessionNext.FirstThings => "Begin with what must come first, another day.",
        SessionNext.AnotherModel => "Stop here. Another model next time, not more of the same.",
        SessionNext.Mixed => "The mixed practice on another day, then a check.",
        SessionNext.OnceMore => "Once more together, and the exit question again.",
        SessionNext.Material => "Back to the material with one thing smaller, and no new item today.",
        _ => "Tick what was done alone, and the exit question.",
    };

    /// <summary>The rule for the end of a session.</summary>
    /// <param name="items">What was to be answered, in order.</param>
    /// <param name="ticks">How it went, by the names of the items.</param>
    public static SessionEnd Of(IReadOnlyList<SessionItem> items, IReadOnlyDictionary<string, Ticked> ticks)
    {
        Ticked? At(SessionItem item) => ticks.TryGetValue(item.Name, out var tick) && tick.Answer is not null ? tick : null;
        List<(SessionItem Item, Ticked Tick)> done = [.. items.Select(i => (Item: i, Tick: At(i))).Where(i => i.Tick is not null).Select(i => (i.Item, i.Tick!))];

        // The old rule twice after a right answer: more of the same makes it worse.
        var taught = done.FindAll(d => d.Item.Part != SessionPart.First);
        var firstRight = taught.FindIndex(d => d.Tick.Answer == Tick.Right);
        if (firstRight >= 0 && taught.Skip(firstRight).Count(d => d.Tick.Answer == Tick.OldRule) is >= 2 and var back)
            return new SessionEnd(SessionNext.AnotherModel, $"The old rule came {back} times after a right answer.");

        var alone = done.FindAll(d => d.Item.Part == SessionPart.Alone);
        var gate = done.FindAll(d => d.Item.Part == SessionPart.First);
        var (gateRight, gateAsked) = (gate.Count(d => d.Tick.IsRightAlone), items.Count(i => i.Part == SessionPart.First));
        if (alone.Count == 0 && gate.Count == gateAsked && gateRight < GatePassed) return new SessionEnd(SessionNext.FirstThings, $"{gateRight} of {gateAsked} of what must come first were right.");

        var (right, asked) = (alone.Count(d => d.Tick.IsRightAlone), items.Count(i => i.Part == SessionPart.Alone));
        if (alone.Count < asked) return new SessionEnd(SessionNext.NotSaid, alone.Count == 0 ? "Nothing was done alone yet." : $"{alone.Count} of {asked} were done alone.");
        var numbers = $"{right} of {asked} alone right";
        if (right < asked - 1) return new SessionEnd(SessionNext.Material, numbers + ".");
        var exit = done.Find(d => d.Item is { Part: SessionPart.Exit, Old.Length: > 0 });
        if (exit.Tick is null) return new SessionEnd(SessionNext.NotSaid, $"{numbers}; the exit question is open.");
        var said = exit.Tick.Answer switch { Tick.Right => "the exit question right", Tick.OldRule => "the exit question by the old rule", _ => "the exit question wrong in another way" };
        return right == asked && exit.Tick.Answer == Tick.Right
            ? new SessionEnd(SessionNext.Mixed, $"{numbers}, {said}.")
            : new SessionEnd(SessionNext.OnceMore, $"{numbers}, {said}.");
    }
}
