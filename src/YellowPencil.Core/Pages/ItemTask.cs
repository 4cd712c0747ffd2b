using System.Text.Json.Serialization;

namespace YellowPencil.Core.Pages;

/// <summary>Whether an answer is what was asked for.</summary>
public enum Verdict
{
    /// <summary>Right in value and in form.</summary>
    [JsonStringEnumMemberName("right")]
    Right,

    /// <summary>Right in value, not in the form asked for.</summary>
    [JsonStringEnumMemberName("unfinished")]
    Unfinished,

    /// <summary>Written, and not right.</summary>
    [JsonStringEnumMemberName("wrong")]
    Wrong,

    /// <summary>Nothing was written.</summary>
    [JsonStringEnumMemberName("blank")]
    Blank,

    /// <summary>Something was written that cannot be read.</summary>
    [JsonStringEnumMemberName("unreadable")]
    Unreadable,
}

/// <summary>What an answer is written as, and so in which ways it can be miswritten.</summary>
public enum AnswerForm
{
    /// <summary>A number, with a remainder behind it or not.</summary>
    Number,

    /// <summary>A whole number and a fraction.</summary>
    Mixed,

    /// <summary>A sum of terms.</summary>
    Terms,

    /// <summary>Brackets with something before them.</summary>
    Brackets,

    /// <summary>What the letter is.</summary>
    Solution,
}

/// <summary>What can be seen of a task besides its numbers.</summary>
[Flags]
public enum TaskTraits
{
    /// <summary>Nothing.</summary>
    None = 0,

    /// <summary>A bracket is squared.</summary>
    SquareOfBracket = 1,

    /// <summary>Two different brackets are multiplied.</summary>
    TwoBrackets = 2,

    /// <summary>One term stands before a bracket.</summary>
    TermBeforeBracket = 4,

    /// <summary>Both factors are the same.</summary>
    SameFactors = 8,

    /// <summary>There is no term in the middle.</summary>
    NoMiddle = 16,
}

/// <summary>What was set as one item: the text, its exact answer, and how an answer to it is read.</summary>
public abstract class ItemTask : IEquatable<ItemTask>
{
    private protected ItemTask(string text, Family family, Asked asked = default)
    {
        Text = text;
        Family = family;
        Asked = asked;
    }

    /// <summary>The task in the grammar of the worked-sheet format.</summary>
    public string Text { get; }

    /// <summary>What stands on the page where the work begins: the task, or the line from which it goes on.</summary>
    public virtual string StandsThere => Text;

    /// <summary>The family of methods that the task calls for.</summary>
    public Family Family { get; }

    /// <summary>What is asked for, in the words of the worked-sheet format; nothing where it is what the family usually asks for.</summary>
    public Asked Asked { get; }

    /// <summary>What is asked for as it is printed behind the task: also what the format takes for granted where nothing is said.</summary>
    public virtual string AskedInPrint => Asked.Words;

    /// <summary>The operation that is set; null where the task is not one operation.</summary>
    public abstract PairOperation? SetOperation { get; }

    /// <summary>What an answer is written as.</summary>
    public virtual AnswerForm Answers => AnswerForm.Number;

    /// <summary>What can be seen of the task besides its numbers.</summary>
    public virtual TaskTraits Traits => TaskTraits.None;

    /// <summary>
    /// About how many steps the taught method takes: what a reading of the item costs grows with it. The limits of a sheet are in these steps.
    /// </summary>
    public abstract int Steps { get; }

    /// <summary>The numbers of the task in their order, as written.</summary>
    public abstract IReadOnlyList<DecimalNumber> Numbers { get; }

    /// <summary>The same task with other numbers; null where there is none of this family.</summary>
    public abstract ItemTask? With(IReadOnlyList<DecimalNumber> numbers);

    /// <summary>What the task becomes when its numbers are read in other ways, as far as that was worked out.</summary>
    internal OtherReading?[] OtherReadings => otherReadings ??= new OtherReading?[OtherReading.Most];

    private OtherReading?[]? otherReadings;

    /// <summary>Two tasks are the same item where the same is asked of the same numbers, from where the work stands.</summary>
    public bool Equals(ItemTask? other) =>
        other is not null && Text == other.Text && Asked == other.Asked && Family == other.Family && StandsThere == other.StandsThere;

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as ItemTask);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Text, Asked);

    /// <summary>The exact answer in its canonical spelling.</summary>
    public abstract string RightAnswer { get; }

    /// <summary>
    /// One spelling for all answers of the same value and form, so that answers are compared as text:
    /// thousands commas, spaces and leading zeros go. What is no answer in kind stays as it was written.
    /// </summary>
    public abstract string Canonical(string answer);

    /// <summary>Another spelling of the same answer by which a student's procedure may come to it, as 3/2 for 1.5; null where there is none.</summary>
    /// <param name="canonical">The answer in its canonical spelling.</param>
    public virtual string? OtherSpelling(string canonical) => null;

    /// <summary>Judges an answer as written; null is blank and "?" unreadable.</summary>
    public virtual Verdict Judge(string? answer) => answer?.Trim() switch
    {
        null or "" => Verdict.Blank,
        "?" => Verdict.Unreadable,
        _ => Canonical(answer) == RightAnswer ? Verdict.Right : Verdict.Wrong,
    };

    /// <summary>Whether an answer says all that was asked for and more, in another form: what led to it is right.</summary>
    public virtual bool IsMoreThanAsked(string answer) => false;

    /// <inheritdoc/>
    public override string ToString() => Text;
}

/// <summary>A task read in another way.</summary>
/// <param name="Task">The task that is worked then; null where there is none.</param>
internal sealed record OtherReading(ItemTask? Task)
{
    /// <summary>At most so many ways of reading a task are kept.</summary>
    public const int Most = 64;
}
