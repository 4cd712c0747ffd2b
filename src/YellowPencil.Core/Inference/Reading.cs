using System.Text.Json.Serialization;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Inference;

/// <summary>What a reading comes to.</summary>
public enum Outcome
{
    /// <summary>One explanation with a bug, listed or not, is held at <see cref="SheetDiagnosis.Threshold"/> or more.</summary>
    [JsonStringEnumMemberName("bug")]
    Bug,

    /// <summary>A bug is held, but this page does not say which of several.</summary>
    [JsonStringEnumMemberName("not-told-apart")]
    NotToldApart,

    /// <summary>No systematic bug.</summary>
    [JsonStringEnumMemberName("sound")]
    Sound,

    /// <summary>Not enough on this page to say.</summary>
    [JsonStringEnumMemberName("too-few-chances")]
    TooFewChances,

    /// <summary>Something systematic that nothing found fits.</summary>
    [JsonStringEnumMemberName("unexplained")]
    Unexplained,
}

/// <summary>Why an item is wrong or unfinished.</summary>
public enum Cause
{
    /// <summary>A rule followed.</summary>
    [JsonStringEnumMemberName("bug")]
    Bug,

    /// <summary>A one-off.</summary>
    [JsonStringEnumMemberName("slip")]
    Slip,

    /// <summary>A number fact held wrongly.</summary>
    [JsonStringEnumMemberName("fact")]
    Fact,

    /// <summary>Nothing found fits.</summary>
    [JsonStringEnumMemberName("unexplained")]
    Unexplained,
}

/// <summary>How one item stands to an explanation.</summary>
public enum Stand
{
    /// <summary>The explanation says something else than the taught method, and the student did it.</summary>
    [JsonStringEnumMemberName("agrees")]
    Agrees,

    /// <summary>The student did something else than the explanation says.</summary>
    [JsonStringEnumMemberName("against")]
    Against,

    /// <summary>The explanation and the taught method say the same.</summary>
    [JsonStringEnumMemberName("silent")]
    Silent,
}

/// <summary>The first step that went wrong.</summary>
/// <param name="Step">The decision point, or <c>fact</c>, or <c>answer</c> where only the answer is known to differ.</param>
/// <param name="Field">The marks on which it shows.</param>
/// <param name="Row">The row, cycle or line, from 1; null where the work has none.</param>
/// <param name="Place">The column, as a power of ten: in a row that of its digit, in a cycle that of the digit of the quotient, of a point the place before
/// which it stands; null where the whole item is concerned.</param>
/// <param name="Expected">What should stand there.</param>
/// <param name="Written">What stands there.</param>
/// <param name="Text">In a sentence.</param>
public sealed record WrongStep(string Step, WorkField Field, int? Row, int? Place, string Expected, string Written, string Text)
{
    /// <summary>Of a line: the line of the taught method that comes closest to it, from the line before; null where none is known.</summary>
    public string? Due { get; init; }

    /// <summary>Which part of a mark that has several: an end of the X, a cell of a box; null where the whole mark is concerned.</summary>
    public int? Part { get; init; }
}

/// <summary>One item as read.</summary>
public sealed record ItemReading(WorkedItem Item, Verdict Verdict, Cause? Cause, WrongStep? FirstWrongStep, ItemReplay Replay)
{
    /// <summary>The lines behind the first wrong one that follow rightly from the line before them, from 0 as <see cref="LineLayout"/> counts them.</summary>
    public IReadOnlyList<int> FollowingLines { get; init; } = [];

    /// <summary>
    /// The first wrong step in a sentence with its numbers: where the sentence names none, what stands there and what is due, unless that is the answer, which
    /// is told beside it. Empty where nothing is wrong.
    /// </summary>
    public string Told
    {
        get
        {
            if (FirstWrongStep is not { } step) return "";
            var due = step.Due ?? step.Expected;
            var isNamed = step.Text.Any(char.IsAsciiDigit) || !due.Any(char.IsAsciiDigit) || step.Text.Contains(step.Written, StringComparison.OrdinalIgnoreCase);
            return isNamed || Item.Task.Canonical(step.Written) == Item.Task.Canonical(Item.Answer ?? "")
                ? step.Text
                : $"{step.Text.TrimEnd('.')}: {Notation.Signs.Printed(step.Written)}; due is {Notation.Signs.Printed(due)}.";
        }
    }

    /// <summary>Whether all that stands there is right and only the end is missing.</summary>
    public bool IsRightSoFar => Verdict == Verdict.Unfinished && (FirstWrongStep is not { } wrong || wrong.Field == WorkFields.Cells
        || (wrong.Field == WorkFields.Lines && wrong.Row == LineLayout.Lines(Item).Count));
}

/// <summary>The student's procedure on one item, as far as it was found, for drawing beside the taught method.</summary>
/// <param name="Hypothesis">The rules followed.</param>
/// <param name="Declined">The chances not followed, as in <c>MethodRun.Begin</c>.</param>
/// <param name="Slip">The slip made, if one explains the item.</param>
/// <param name="IsExplained">Whether the procedure gives what the student wrote; where it does not, nothing is known of how it was written.</param>
public sealed record ItemReplay(Hypothesis Hypothesis, ulong Declined, Slip? Slip, bool IsExplained);

/// <summary>One explanation of a sheet.</summary>
public sealed record Explanation
{
    /// <summary>The rules; none is "no systematic bug".</summary>
    public required Hypothesis Hypothesis { get; init; }

    /// <summary>The probability after the evidence, 0 to 1.</summary>
    public required double Probability { get; init; }

    /// <summary>
    /// The probability that these rules are all: without another one besides that had no chance to show on this page. What people are shown.
    /// </summary>
    public double Alone { get; init; }

    /// <summary>The expected share of chances that are followed.</summary>
    public required double Consistency { get; init; }

    /// <summary>Chances on this page.</summary>
    public required int Chances { get; init; }

    /// <summary>How many of them were followed.</summary>
    public required int Followed { get; init; }

    /// <summary>On how many items there are chances.</summary>
    public int ItemsWithChances { get; init; }

    /// <summary>On how many of them one at least was followed.</summary>
    public int ItemsFollowed { get; init; }

    /// <summary>On how many wrong answers that the explanation gives each rule has a part; of the rule with fewest, how many.</summary>
    public int LeastShown { get; init; }

    /// <summary>The same of the rule with most.</summary>
    public int MostShown { get; init; }

    /// <summary>Whether it puts together several rules of which each shows on a single item: none of them is a rule yet.</summary>
    public bool IsOnceEach => Hypothesis.RuleCount > 1 && MostShown < SheetDiagnosis.ShowingsNeeded;

    /// <summary>How each answered item stands to it, by item id.</summary>
    public required IReadOnlyDictionary<string, Stand> Stands { get; init; }

    /// <summary>The ids of the items that stand so, in the order of the page.</summary>
    public IEnumerable<string> Standing(Stand stand, WorkedSheet page) =>
        page.Items.Select(i => i.Id).Where(id => Stands.TryGetValue(id, out var stands) && stands == stand);

    /// <summary>The answer it predicts for each answered item, by item id.</summary>
    public required IReadOnlyDictionary<string, string> Predictions { get; init; }

    /// <summary>Explanations that predict the same on every item of this page.</summary>
    public IReadOnlyList<IReadOnlyList<string>> NotSeparatedFrom { get; init; } = [];

    /// <summary>For bugs of a part, as of the subtractions inside a division: whose bug it is and where it shows here, in a sentence; else empty.</summary>
    public string Origin { get; init; } = "";

    /// <summary>Whether it says that there is no systematic bug.</summary>
    public bool IsSound => Hypothesis.RuleCount == 0;

    /// <summary>The listed bugs in the order in which they are told: what only leaves an answer in another form comes last.</summary>
    public required IReadOnlyList<Bug> AsTold { get; init; }

    /// <summary>Where there are several rules: each by itself, in the order in which they are told.</summary>
    public IReadOnlyList<RuleStanding> Rules { get; init; } = [];

    /// <summary>On how many of the items on which it would show it does; and where an item has more than one chance, on how many of these.</summary>
    public string CountText
    {
        get
        {
            var items = $"{ItemsFollowed} of {ItemsWithChances} {(ItemsWithChances == 1 ? "item" : "items")}";
            return (Followed, Chances) == (ItemsFollowed, ItemsWithChances) ? items : $"{items}, {Followed} of {Chances} {(Chances == 1 ? "chance" : "chances")}";
        }
    }

    /// <summary>In sentences, with the count of items and chances; may hold the classroom's word as <c>{rename}</c>.</summary>
    public string Text
    {
        get
        {
            if (IsSound) return "No systematic bug: follows the method as taught.";
            if (Rules.Count > 1) return $"{string.Join(" Also: ", Rules.Select(r => $"{r.Text} {r.CountText}."))} {Origin}".TrimEnd();
            List<string> rules = [.. AsTold.Select(b => b.Text)];
            rules.AddRange(Hypothesis.Unlisted.Select(u => $"A rule that is not in the catalogue. {u.Text}."));
            var origin = Origin.Length == 0 ? "" : Origin + " ";
            return $"{string.Join(" Also: ", rules)} {origin}{CountText}.";
        }
    }
}

/// <summary>A wrong number fact that was found on several items.</summary>
/// <param name="Fact">The fact.</param>
/// <param name="Written">What the student takes it to be.</param>
/// <param name="Items">The ids of the items where it shows.</param>
public sealed record FactReading(NumberFact Fact, int Written, IReadOnlyList<string> Items);

/// <summary>What this student would answer.</summary>
/// <param name="Task">The task as written.</param>
/// <param name="Answer">The most probable answer, taken over all explanations.</param>
/// <param name="Probability">Its probability, where no slip is made.</param>
public sealed record Prediction(string Task, string Answer, double Probability);

/// <summary>Rules of which one shows on a single item, so that they are told as fewer; whether it shows again is worth asking.</summary>
/// <param name="Hypothesis">All of the rules.</param>
/// <param name="ToldAs">Those that show on more.</param>
/// <param name="Consistency">The expected share of chances that are followed.</param>
/// <param name="Probability">The part of the probability of the fewer that is theirs.</param>
public sealed record SeenOnce(Hypothesis Hypothesis, Hypothesis ToldAs, double Consistency, double Probability);

/// <summary>What was tried to explain a page.</summary>
/// <param name="Rules">Listed rules that could show in the families of the page.</param>
/// <param name="Weighed">Rules and sets of rules weighed against every answer.</param>
/// <param name="Unlisted">Rules outside the catalogue that were looked through; 0 where the listed ones left nothing open.</param>
public sealed record SearchEffort(int Rules, int Weighed, int Unlisted);

/// <summary>One sheet as read.</summary>
public sealed record Reading
{
    /// <summary>The sheet.</summary>
    public required WorkedSheet Sheet { get; init; }

    /// <summary>What it comes to.</summary>
    public required Outcome Outcome { get; init; }

    /// <summary>The items in the order of the sheet.</summary>
    public required IReadOnlyList<ItemReading> Items { get; init; }

    /// <summary>In falling order of probability; "no systematic bug" is always among them.</summary>
    public required IReadOnlyList<Explanation> Explanations { get; init; }

    /// <summary>
    /// The explanations that are told to people one by one: those that put together what happened once each are told together, by <see cref="OnceEach"/>.
    /// </summary>
    public IEnumerable<Explanation> OneByOne => Explanations.Where(e => !e.IsOnceEach);

    /// <summary>The probability that several rules are at work, each of which shows on a single item.</summary>
    public double OnceEach => Explanations.Where(e => e.IsOnceEach).Sum(e => e.Probability);

    /// <summary>What is told as fewer rules, as one of them shows on a single item.</summary>
    public IReadOnlyList<SeenOnce> SeenOnce { get; init; } = [];

    /// <summary>The probability that nothing listed or found fits.</summary>
    public required double SomethingElse { get; init; }

    /// <summary>The probability that the student has only bugs that had no chance to show on this page.</summary>
    public required double NoChance { get; init; }

    /// <summary>The probability that besides the rules that are held there is another one, which had no chance to show on this page.</summary>
    public required double AnotherHidden { get; init; }

    /// <summary>What was tried to explain the page.</summary>
    public required SearchEffort Tried { get; init; }

    /// <summary>Wrong number facts.</summary>
    public required IReadOnlyList<FactReading> Facts { get; init; }

    /// <summary>Answers to <see cref="WorkedSheet.Predict"/>, task by task.</summary>
    public required IReadOnlyList<Prediction> Predictions { get; init; }

    /// <summary>The most probable explanation.</summary>
    public Explanation Best => Explanations[0];

    /// <summary>The most probable explanation with a bug, if any was weighed.</summary>
    public Explanation? BestBug => Explanations.FirstOrDefault(e => !e.IsSound);
}
