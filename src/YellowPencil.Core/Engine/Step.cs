namespace YellowPencil.Core.Engine;

/// <summary>Why a step went as it did.</summary>
public enum StepCause
{
    /// <summary>As the method is taught.</summary>
    AsTaught,

    /// <summary>A bug was followed.</summary>
    Bug,

    /// <summary>A number fact that the student holds wrongly.</summary>
    Fact,

    /// <summary>A slip: this once.</summary>
    Slip,
}

/// <summary>One decision or number fact of a recorded run.</summary>
/// <param name="Number">The number of the step, from 0.</param>
/// <param name="Decision">The decision; null for a number fact.</param>
/// <param name="Line">The row, cycle or line in which the run stood, from 0.</param>
/// <param name="Place">The place concerned; null where the whole item is.</param>
/// <param name="Taught">The index of the taught choice, or the value of the fact.</param>
/// <param name="Chosen">The index of the choice made, or the value taken.</param>
/// <param name="Cause">Why.</param>
/// <param name="TaughtText">What the method says here, in a sentence.</param>
/// <param name="ChosenText">What the student did here, in a sentence.</param>
/// <param name="MarksBefore">How many marks stood on the page before the step.</param>
/// <param name="Fact">The number fact, for a step that recalls one.</param>
public sealed record Step(
    int Number, Decision? Decision, int Line, int? Place, int Taught, int Chosen, StepCause Cause,
    string TaughtText, string ChosenText, int MarksBefore, NumberFact? Fact)
{
    /// <summary>What somebody does here once in a while by a slip, with relative weights; of a number fact, see <see cref="NumberFact.Near"/>.</summary>
    public IReadOnlyList<(int Chosen, double Weight)> Slips { get; init; } = [];

    /// <summary>The name of the kind of step.</summary>
    public string Name => Decision?.Id ?? "fact";
}
