namespace YellowPencil.Core.Models;

/// <summary>
/// What the amounts do while an item is worked, beside what is written: counters on a place-value mat, an area cut by places, multiples on a ladder, a number
/// line. Amounts follow what is true of the numbers; where what is written says otherwise, the model says so.
/// </summary>
public abstract record ItemModel
{
    /// <summary>What the model is called.</summary>
    public abstract string Name { get; }

    /// <summary>What is to be seen, in sentences; for those who cannot see the picture, too.</summary>
    public abstract string Text { get; }

    /// <summary>Where what is written and the amounts disagree, in a sentence; empty where they agree so far.</summary>
    public abstract string Disagreement { get; }
}
