using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;
using Decision = YellowPencil.Data.Decision;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>A decision as it is told: what, by whom, about which explanation; the note or name.</summary>
public sealed record DecisionLine(string What, string Text, bool IsOutOfDate);

/// <summary>A reading as it is shown: the page, the explanations with one of them chosen, what was decided, and the next step.</summary>
public sealed class ReadingView
{
    private const int MostShown = 6;
    private readonly RuleNaming names;
    private readonly SchoolTime time;

    /// <summary>Puts the view together.</summary>
    /// <param name="page">The page with its student, decisions and plans.</param>
    /// <param name="reading">Its reading.</param>
    /// <param name="rules">The rules of the explanation to be drawn over the page; null, or none of them, for the likeliest.</param>
    /// <param name="names">The names of rules, loaded.</param>
    /// <param name="time">The school's clock.</param>
    public ReadingView(StudentPage page, Reading reading, string? rules, RuleNaming names, SchoolTime time)
    {
        (Page, Reading, this.names, this.time) = (page, reading, names, time);
        Rejected = PageDesk.Rejected(page);
        Turned = page.IsWrittenSo == true ? null : TurnedPage.Of(reading);
        var found = reading.Explanations.FirstOrDefault(e => ReadingDesk.RulesOf(e) == rules);
        Tried = found is null && rules is not null && !Rejected.Contains(rules) ? ReadingDesk.TryOn(page, rules) : null;
        Chosen = found ?? Tried ?? reading.Best;
        Shown = [.. reading.OneByOne.Where(e => e.Probability >= ReadingText.LeastPrinted).Take(MostShown)];
        if (!Shown.Contains(Chosen) && Tried is null) Shown = [.. Shown, Chosen];
        var next = NextStep.After(reading, NextItems.For(reading));
        Step = next.Kind != NextStepKind.Plan || Chosen.IsSound || PlanMaker.CanPlan(Chosen.Hypothesis)
            ? next
            : NextStep.TalkThrough(reading, "Nothing is planned before this is talked about: what the student says is worth keeping.");
    }

    /// <summary>The page.</summary>
    public StudentPage Page { get; }

    /// <summary>The student.</summary>
    public Student Student => Page.Student!;

    /// <summary>The reading.</summary>
    public Reading Reading { get; }

    /// <summary>What is asked about the page before anything is said of it: whether it was typed in from the other side; null where nothing is.</summary>
    public TurnedPage? Turned { get; }

    /// <summary>The rules of the explanations that were rejected on the page as it stands.</summary>
    public IReadOnlyList<string> Rejected { get; }

    /// <summary>The specialist's own explanation that is tried on the page; null where none is.</summary>
    public Explanation? Tried { get; }

    /// <summary>The rules of the catalogue that could be tried, by family.</summary>
    public IEnumerable<IGrouping<Family, Bug>> Catalogue => Reading.Sheet.Items.Select(i => i.Task.Family).Distinct().SelectMany(Core.Families.Catalogue.Of).Distinct()
        .Where(b => !Rejected.Contains(b.Id)).OrderBy(b => b.Name, StringComparer.Ordinal).GroupBy(b => b.Family);

    /// <summary>The items that are wrong, by which a rule can be looked for.</summary>
    public IEnumerable<ItemReading> Wrong => Reading.Items.Where(i => i.Verdict == Verdict.Wrong);

    /// <summary>The name of rules joined by +.</summary>
    public string NameOf(string rules) => rules.Length == 0 ? "no systematic bug" : names.Of(rules, Word);

    /// <summary>The explanations shown.</summary>
    public IReadOnlyList<Explanation> Shown { get; }

    /// <summary>The explanations shown, those together that say the same on every item of the page.</summary>
    public IReadOnlyList<IReadOnlyList<Explanation>> Classes =>
        [.. Shown.GroupBy(e => string.Join('|', e.Predictions.OrderBy(p => p.Key, StringComparer.Ordinal).Select(p => p.Value))).Select(g => (IReadOnlyList<Explanation>)[.. g])];

    /// <summary>The explanation drawn over the page.</summary>
    public Explanation Chosen { get; }

    /// <summary>Its rules, joined by +.</summary>
    public string ChosenRules => ReadingDesk.RulesOf(Chosen);

    /// <summary>The one thing to do next.</summary>
    public NextStep Step { get; }

    /// <summary>
    /// Whether the chosen explanation can be accepted beside the next step: not where that step does so already, where it is accepted, or where
    /// hardly a rule could show and it says that there is none.
    /// </summary>
    public bool CanAcceptAside =>
        !(Chosen.IsSound && Reading.Outcome == Outcome.TooFewChances)
        && (Settled is { } settled ? settled.Kind != DecisionKind.Accepted || settled.Rules != ChosenRules
            : Step.Kind is not (NextStepKind.Plan or NextStepKind.TypeIn) && (Chosen.IsSound || PlanMaker.CanPlan(Chosen.Hypothesis)) && !(Chosen.IsSound && Step.Kind == NextStepKind.FileAsSound));

    /// <summary>Whether the rules that were accepted have no plan, as it was thrown away.</summary>
    public bool IsPlanMissing => Settled is { Kind: DecisionKind.Accepted, Rules.Length: > 0 } && Plan is null;

    /// <summary>The student's name or code.</summary>
    public string Who => Student.CallName.Length > 0 ? Student.CallName : Student.Code;

    /// <summary>The short name of the rule that was found, where the headline does not say it already.</summary>
    public string? ShortName => Turned is null && Settled is not { Kind: DecisionKind.Own } && Reading.Outcome == Outcome.Bug && names.Own(ReadingDesk.RulesOf(Reading.Best)) is null && Reading.Best.Hypothesis.Unlisted.Count == 0
        ? NameOf(Reading.Best) : null;

    /// <summary>What the student does, in one sentence.</summary>
    public string Headline => Turned is { } turned ? turned.Text
        : Settled is { Kind: DecisionKind.Own, Text: var words } ? $"“{words}”"
        : RejectedText + Said;

    private string RejectedText => Rejected.Count == 0 ? "" : $"You rejected {string.Join(" and ", Rejected.Select(r => $"“{NameOf(r)}”"))}. ";

    private string Said => $"{(Reading.Outcome == Outcome.Bug && names.Own(ReadingDesk.RulesOf(Reading.Best)) is { } own ? $"“{own}”: " : "")}{ReadingText.Headline(Reading, Who, Word, NameOf)}";

    /// <summary>The decision that settles the page as it stands now; null while it waits.</summary>
    public Decision? Settled => Page.Decisions.LastOrDefault(d => d.Kind is DecisionKind.Accepted or DecisionKind.PutAside or DecisionKind.Own && d.PageVersion == Page.Version);

    /// <summary>Whether it was decided on before the page was changed, and not since.</summary>
    public bool IsDecisionOutOfDate => Settled is null && Page.Decisions.Exists(d => d.Kind is DecisionKind.Accepted or DecisionKind.PutAside or DecisionKind.Rejected && d.PageVersion != Page.Version);

    /// <summary>The plan of the explanation that was accepted.</summary>
    public Plan? Plan => Page.Plans.Find(p => p.Rules == Settled?.Rules && p.PageVersion == Page.Version);

    /// <summary>The plan that was made before the page was changed, as long as nothing is decided on the page as it is now; null where there is none.</summary>
    public Plan? PlanBefore => Settled is null ? Page.Plans.Where(p => p.PageVersion < Page.Version && p.RemovalId == null).MaxBy(p => p.MadeAt) : null;

    /// <summary>Whether the page as it is now comes to what that plan is for.</summary>
    public bool PlanStillFits => PlanBefore is { } before && Reading.Outcome is Outcome.Bug or Outcome.NotToldApart && Shown.Any(e => ReadingDesk.RulesOf(e) == before.Rules && e.Probability >= Reading.Best.Probability / 2);

    /// <summary>Decisions about explanations that are no longer among those shown, and about the page.</summary>
    public IReadOnlyList<Decision> Earlier => [.. Page.Decisions.Where(d => d.Kind is DecisionKind.PutAside or DecisionKind.Own || Shown.All(e => ReadingDesk.RulesOf(e) != d.Rules))];

    /// <summary>What was tried to explain the page, in a phrase.</summary>
    public string Effort => $"{Reading.Tried.Rules} listed rules, {Reading.Tried.Weighed} of them and of their combinations weighed item by item{(Reading.Tried.Unlisted > 0 ? $", {Reading.Tried.Unlisted} rules outside the catalogue" : "")}, and one slip an item.";

    /// <summary>What to ask about the item that is talked through; empty where there is nothing but how it was done.</summary>
    public string Aloud => Step.Question is { } question ? $" Then, at the place: “{question.In(Word)}”" : "";

    private ClassroomWord Word => Student.Word;

    /// <summary>The picture of an item, with the circle and with what the chosen explanation predicts; plain while the page is asked about.</summary>
    public PagePicture Picture(ItemReading item)
    {
        var plain = PagePicture.Of(item.Item, Student.Classroom.School).WithNotRead(Page.NotReadOn(item.Item.Id));
        if (Turned is not null) return plain;
        var picture = plain.WithReading(item);
        return !Chosen.IsSound && Chosen.Predictions.TryGetValue(item.Item.Id, out var answer) && answer != item.Item.Task.RightAnswer
            ? picture.WithPrediction(answer)
            : picture;
    }

    /// <summary>What stands struck out on the page, item by item, and whether it is what the chosen explanation predicts, or the right answer.</summary>
    public IEnumerable<string> StruckOut =>
        from item in Reading.Items
        let struck = Page.NotReadOn(item.Item.Id).Where(s => !s.IsSideWork).ToList()
        where struck.Count > 0
        select $"item {item.Item.Id}: {string.Join(", then ", struck.Select(s => Signs.Printed(s.Text) + Meaning(item.Item, s.Text)))}";

    private string Meaning(WorkedItem item, string struck) =>
        item.Task.Canonical(struck) is not { } value ? ""
        : value == item.Task.Canonical(item.Task.RightAnswer) ? " (right)"
        : !Chosen.IsSound && Chosen.Predictions.TryGetValue(item.Id, out var answer) && value == item.Task.Canonical(answer) ? " (what this explanation predicts)"
        : "";

    /// <summary>What was known of the student when the page was begun, the likeliest first; empty where nothing was.</summary>
    public string KnownText => string.Join(", ", PageDesk.Known(Page).Shares.Where(s => s.Value >= 0.05).OrderByDescending(s => s.Value).ThenBy(s => s.Key, StringComparer.Ordinal)
        .Select(s => $"{(s.Key.Length > 0 ? $"“{NameOf(s.Key)}”" : "no rule")} {Shares.Percent(s.Value)}"));

    /// <summary>A word beside the number of an item.</summary>
    public static string Mark(ItemReading item) => item.Verdict switch
    {
        Verdict.Right => "right",
        Verdict.Blank or Verdict.Unreadable when item is { Item.IsBrokenOff: true, FirstWrongStep: not null } => "breaks off",
        Verdict.Blank => "blank",
        Verdict.Unreadable => "unreadable",
        Verdict.Unfinished when item.IsRightSoFar => "not finished",
        _ => item.Cause switch { Cause.Slip => "slip", Cause.Fact => "fact", Cause.Unexplained => "unexplained", _ => "bug" },
    };

    /// <summary>The explanation in a sentence, behind the specialist's own name where there is one.</summary>
    public string Text(Explanation e) => names.Told(e, Word);

    /// <summary>The explanation as one of those that the page does not tell apart: without the rules that they share.</summary>
    public string Text(Explanation e, IReadOnlyList<Explanation> together)
    {
        var shared = Shared(together);
        return shared.Count == 0 || shared.Count == e.Rules.Count || names.Own(ReadingDesk.RulesOf(e)) is not null
            ? Text(e)
            : string.Join(" Also: ", e.Rules.Where(r => shared.All(s => s.Rule != r.Rule)).Select(Told));
    }

    /// <summary>What explanations that the page does not tell apart have in common; empty where it is nothing.</summary>
    public string SharedText(IReadOnlyList<Explanation> together) => string.Join(" Also: ", Shared(together).Select(Told));

    private static IReadOnlyList<RuleStanding> Shared(IReadOnlyList<Explanation> together) =>
        together.Count < 2 ? [] : [.. together[0].Rules.Where(r => together.All(e => e.Rules.Any(other => other.Rule == r.Rule)))];

    private string Told(RuleStanding rule) => $"{rule.Text} {rule.CountText}.".In(Word);

    /// <summary>The name of an explanation.</summary>
    public string NameOf(Explanation e) => names.Of(ReadingDesk.RulesOf(e), Word);

    /// <summary>The specialist's own name for the chosen explanation.</summary>
    public string? OwnName => names.Own(ChosenRules);

    /// <summary>
    /// The strips of explanations that say the same on every item: one for each rule under its name, where one explanation has several or all share some; else
    /// one for all together.
    /// </summary>
    public IEnumerable<(string Label, IReadOnlyDictionary<string, Stand> Stands)> Strips(IReadOnlyList<Explanation> together)
    {
        var shared = Shared(together);
        return together[0].Rules.Count < 2 || (together.Count > 1 && shared.Count == 0) ? [("", together[0].Stands)]
            : together[0].Rules.Select(r => (together.Count == 1 || shared.Contains(r) ? names.Of(r.Rule, Word) : "the one that is not told apart", r.Stands));
    }

    /// <summary>A strip in words.</summary>
    public string StripText(IReadOnlyDictionary<string, Stand> stands) => string.Join("; ", Enum.GetValues<Stand>()
        .Select(stand => (Stand: stand, Items: Reading.Sheet.Items.Select(i => i.Id).Where(id => stands.TryGetValue(id, out var found) && found == stand).ToList())).Where(g => g.Items.Count > 0)
        .Select(g => $"{(g.Stand == Stand.Agrees ? "agrees on" : g.Stand == Stand.Against ? "against it" : "silent")} {string.Join(", ", g.Items)}"));

    /// <summary>What was decided about an explanation.</summary>
    public IEnumerable<Decision> DecisionsOn(Explanation e) => Page.Decisions.Where(d => d.Kind is not (DecisionKind.PutAside or DecisionKind.Own) && d.Rules == ReadingDesk.RulesOf(e));

    /// <summary>A decision as it is told.</summary>
    public DecisionLine Line(Decision decision) => new(
        $"{DecisionText.Did(decision.Kind)} by {decision.ByName}, {time.Moment(decision.At)}{(decision.Kind is DecisionKind.PutAside or DecisionKind.Own ? "" : $": “{NameOf(decision.Rules)}”")}", decision.Text, decision.PageVersion != Page.Version);
}
