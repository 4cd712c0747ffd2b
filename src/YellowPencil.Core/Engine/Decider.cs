namespace YellowPencil.Core.Engine;

/// <summary>Decides in a student's place at some decision points, or only looks on.</summary>
internal abstract class Decider
{
    /// <summary>An item begins.</summary>
    public abstract void Begin();

    /// <summary>Who decides at a point; null where the student does.</summary>
    public abstract Decider? At(int ordinal);
}

/// <summary>Decides at one decision point.</summary>
internal abstract class Decider<TContext> : Decider
    where TContext : struct, IDecisionContext
{
    /// <summary>What is done in a context.</summary>
    /// <param name="context">The context.</param>
    /// <param name="taught">What is taught.</param>
    /// <param name="made">What the student would do.</param>
    public abstract int Decide(in TContext context, int taught, int made);
}
