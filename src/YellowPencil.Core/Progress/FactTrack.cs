namespace YellowPencil.Core.Progress;

/// <summary>One short check of a number fact: a handful of questions, said aloud.</summary>
/// <param name="On">The day.</param>
/// <param name="Right">How many were right.</param>
/// <param name="Asked">How many were asked.</param>
public sealed record FactResult(DateOnly On, int Right, int Asked)
{
    /// <summary>Whether all were right.</summary>
    public bool IsAllRight => Right == Asked;
}

/// <summary>
/// A number fact on its own track, beside whatever else is taught: two minutes a session, checked at growing distances, and begun again where it is wrong. It
/// counts towards no rule and no rule's checks count towards it.
/// </summary>
public sealed class FactTrack
{
    /// <summary>Right so many checks in a row, a fact is held.</summary>
    public const int HeldAfter = 3;

    // So many days from one check to the next, by how many in a row were right.
    private static readonly int[] Days = [1, 2, 4, 14, 28];

    /// <summary>Puts a track together.</summary>
    /// <param name="begun">When the fact was first taught.</param>
    /// <param name="results">Its checks, in any order.</param>
    public FactTrack(DateOnly begun, IEnumerable<FactResult> results)
    {
        Begun = begun;
        Results = [.. results.OrderBy(r => r.On)];
        InARow = Results.Reverse().TakeWhile(r => r.IsAllRight).DistinctBy(r => r.On).Count();
        Due = Results.Count == 0 ? begun : InARow >= Days.Length ? null : Results[^1].On.AddDays(Days[InARow]);
    }

    /// <summary>When the fact was first taught.</summary>
    public DateOnly Begun { get; }

    /// <summary>The checks in the order of their days.</summary>
    public IReadOnlyList<FactResult> Results { get; }

    /// <summary>On how many different days in a row, up to the last check, everything was right.</summary>
    public int InARow { get; }

    /// <summary>When the next check is due; null where none is any more.</summary>
    public DateOnly? Due { get; }

    /// <summary>Whether it is held.</summary>
    public bool IsHeld => InARow >= HeldAfter;

    /// <summary>How it stands, with its numbers.</summary>
    public string Says => Results.Count == 0 ? "not checked yet"
        : IsHeld ? $"held: right on {InARow} days in a row"
        : InARow > 0 ? $"right on {InARow} of {HeldAfter} days in a row"
        : $"wrong in the last check ({Results[^1].Right} of {Results[^1].Asked})";
}
