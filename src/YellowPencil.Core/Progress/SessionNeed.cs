using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Progress;

/// <summary>How many sessions a week a plan wants as it stands, how long, and how much it needs them.</summary>
/// <param name="Sessions">How many sessions a week: two to four while it is taught, one of mixed practice when it loosens, none when it is gone.</param>
/// <param name="Need">How much, from 1 to 4: what is stuck or came back first.</param>
/// <param name="Minutes">How long a session is: mixed practice only is short.</param>
public sealed record SessionNeed(int Sessions, int Need, int Minutes)
{
    /// <summary>The minutes of mixed practice by itself.</summary>
    private const int Practice = 10;

    private static readonly SessionNeed None = new(0, 1, 0);

    /// <summary>What a state asks for.</summary>
    public static SessionNeed Of(ProgressState state) => state switch
    {
        ProgressState.UnderAim or ProgressState.Back => new SessionNeed(4, 4, SessionCard.UsualMinutes),
        ProgressState.TooFewChecks => new SessionNeed(3, 3, SessionCard.UsualMinutes),
        ProgressState.GoOn => new SessionNeed(3, 2, SessionCard.UsualMinutes),
        ProgressState.AboveAim => new SessionNeed(2, 1, SessionCard.UsualMinutes),
        ProgressState.Loosening => new SessionNeed(1, 1, Practice),
        ProgressState.Gone or ProgressState.StillGone or ProgressState.SlipsRemain or ProgressState.Replaced => None,
        _ => throw new ArgumentOutOfRangeException(nameof(state), state, "no such state"),
    };
}
