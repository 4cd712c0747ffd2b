namespace YellowPencil.Core.Pages;

/// <summary>How the tasks of one family are written.</summary>
internal abstract class TaskGrammar
{
    /// <summary>The word in front of its tasks; null where none stands there.</summary>
    public virtual string? Word => null;

    /// <summary>Whether a text without a word in front, that is not read as a calculation, is a task of this family.</summary>
    /// <param name="text">The text, signs in their plain spelling.</param>
    public virtual bool ClaimsText(string text) => false;

    /// <summary>The values of <c>form</c> that the family knows.</summary>
    public virtual IReadOnlyList<string> Forms => [];

    /// <summary>The values of <c>over</c> that the family knows.</summary>
    public virtual IReadOnlyList<string> Overs => [];

    /// <summary>The values of <c>to</c> that the family knows.</summary>
    public virtual IReadOnlyList<string> Places => [];

    /// <summary>Reads a task.</summary>
    /// <param name="text">The whole text, signs in their plain spelling.</param>
    /// <param name="from">Where it goes on behind the word in front.</param>
    /// <param name="asked">What is asked for; the values are those that the family knows.</param>
    public abstract Parsed<ItemTask> Read(string text, int from, Asked asked);
}

/// <summary>A grammar of numbers with one operation between them, without a word in front.</summary>
internal abstract class CalculationGrammar : TaskGrammar
{
    /// <summary>Whether a calculation is one of this family.</summary>
    public abstract bool Claims(Calculation calculation);

    /// <summary>Makes the task of a calculation that the family claims.</summary>
    public abstract Parsed<ItemTask> Read(Calculation calculation, Asked asked);

    public sealed override Parsed<ItemTask> Read(string text, int from, Asked asked) => throw new NotSupportedException("calculations have no word in front");
}
