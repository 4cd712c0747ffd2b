using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>Reads a sheet: which explanations there are, and how probable each is. Depends on nothing but the sheet.</summary>
public static class SheetDiagnosis
{
    /// <summary>The probability from which an explanation is held.</summary>
    public const double Threshold = 0.8;

    /// <summary>The fewest items from which anything is said to be known: one or two wrong answers have too many causes.</summary>
    public const int LeastItems = 3;

    /// <summary>The fewest items on which a rule must have shown before it is held.</summary>
    public const int ShowingsNeeded = 2;

    /// <summary>A page with more than one in so many items left out is not called sound for what stands there.</summary>
    private const int MostLeftOut = 4;

    /// <summary>Of students who do everything right so far, the part without any rule, from which work is called sound.</summary>
    private const double SoundShare = 0.5;

    internal const double Reported = 0.005;

    /// <summary>
    /// Explanations that say the same are both in question as long as none is held alone, and neither is so many times as probable as the other.
    /// </summary>
    private const double Comparable = 20;

    /// <summary>More facts than this, wrong on more items than are right, are no facts but something systematic.</summary>
    private const int MostFactsOfSoundWork = 2;

    private const int MostReported = 12;

    /// <summary>Reads a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="cancellation">Ends the reading early.</param>
    /// <returns>The reading; also for a sheet without a single answer.</returns>
    /// <exception cref="OperationCanceledException">The reading was ended.</exception>
    public static Reading Read(WorkedSheet sheet, CancellationToken cancellation = default) => Read(sheet, AllBugs, [], KnownBefore.Nothing, cancellation);

    /// <summary>The same where somebody who knows the student says of some explanations that they are not it.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="rejected">The rules of each of them, joined by +; none for "no systematic bug".</param>
    /// <param name="known">What older pages say of the student; null for nothing.</param>
    /// <param name="cancellation">Ends the reading early.</param>
    public static Reading Read(WorkedSheet sheet, IReadOnlyCollection<string> rejected, KnownBefore? known = null, CancellationToken cancellation = default) =>
        Read(sheet, AllBugs, rejected, known ?? KnownBefore.Nothing, cancellation);

    /// <summary>The same with another catalogue, to see what becomes of a student whose bug is not in it.</summary>
    internal static Reading Read(WorkedSheet sheet, Func<IReadOnlyList<Family>, IReadOnlyList<Bug>> bugsOf) => Read(sheet, bugsOf, [], KnownBefore.Nothing, default);

    /// <summary>How one explanation, whoever thought of it, stands to the answers of a sheet. Its probability is left at 0.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="hypothesis">The explanation.</param>
    public static Explanation Try(WorkedSheet sheet, Hypothesis hypothesis)
    {
        var (_, _, likelihoods) = Prepare(sheet, AllBugs, KnownBefore.Nothing, default);
        var likelihood = likelihoods.Find(l => l.Sound.School == hypothesis.School) ?? likelihoods[0];
        var student = new Hypothesis(hypothesis.Bugs, hypothesis.Unlisted, hypothesis.Facts, likelihood.Sound.School);
        return Explain(likelihood.Refine(likelihood.Rough(student)), likelihood);
    }

    private static IReadOnlyList<Bug> AllBugs(IReadOnlyList<Family> families) => [.. families.SelectMany(Catalogue.Of).Distinct()];

    private static (IReadOnlyList<Family> Families, List<ItemEvidence> Evidence, List<SheetLikelihood> Likelihoods) Prepare(
        WorkedSheet sheet, Func<IReadOnlyList<Family>, IReadOnlyList<Bug>> bugsOf, KnownBefore known, CancellationToken cancellation)
    {
        var families = FamilyList.Of(sheet.Items.Select(i => i.Task));
        var shown = sheet.Items.Where(i => i.IsAnswered || i.IsBrokenOff).SelectMany(i => TaughtFamily.Of(i.Task.Family).SchoolsShown(i));
        var schools = School.Possible(sheet.Methods, families.SelectMany(f => TaughtFamily.Of(f).SchoolQuestions), shown);
        var evidence = new List<ItemEvidence>();

        // In an order of their own, so that not even the rounding of a sum depends on how the items stand on the page.
        var answered = sheet.Items.Where(i => i.IsAnswered || i.IsBrokenOff)
            .OrderBy(i => $"{i.Task.Text} {i.Task.Asked.Words} = {i.Answer}", StringComparer.Ordinal).ThenBy(i => i.Id, StringComparer.Ordinal);
        foreach (var item in answered)
            evidence.AddRange(ItemEvidence.Of(item, evidence.Count, [.. schools.Select(s => s.School)]));
        var bugs = bugsOf(families).Where(b => schools.Any(s => b.CanShowIn(s.School))).ToList();
        var confused = families.SelectMany(Catalogue.ConfusedWith).Distinct().Except(bugsOf(families)).ToList();
        var beside = families.SelectMany(Catalogue.WorkedBeside).Distinct().Except(bugsOf(families)).Except(confused).ToList();
        return (families, evidence, [.. schools.Select(s => new SheetLikelihood(evidence, bugs, confused, beside, s.School, s.Weight, known, cancellation))]);
    }

    private static Reading Read(
        WorkedSheet sheet, Func<IReadOnlyList<Family>, IReadOnlyList<Bug>> bugsOf, IReadOnlyCollection<string> rejected, KnownBefore known,
        CancellationToken cancellation)
    {
        var (families, evidence, likelihoods) = Prepare(sheet, bugsOf, known, cancellation);
        var searches = likelihoods.ConvertAll(l => new ExplanationSearch(l));
        var found = Without(searches.SelectMany(s => s.Search()).ToList(), rejected);
        var unseen = ShareWithoutChance(likelihoods, families);
        var weighed = Weighed.Of(found, evidence, unseen);
        var trusted = Trusted.Of(weighed, evidence);
        var best = weighed.Candidates[0].Candidate;
        var likelihood = likelihoods.Find(l => l.Sound.School == best.Hypothesis.School)!;
        var told = Told.Of(trusted, likelihood);
        var explanations = Explanations(told.Candidates, likelihood)
            .ConvertAll(e => e with
            {
                Alone = e.Probability * (1 - (e.IsSound ? 0 : AnotherBeside(e.Hypothesis.RuleCount, unseen))),
                Rules = RuleStanding.Of(e, likelihood.Items),
            });
        var items = new ItemReader(likelihood, [.. weighed.Candidates.Where(s => s.Candidate.Hypothesis.School == best.Hypothesis.School)], told)
            .Read(sheet.Items);

        var outcome = OutcomeOf(explanations, trusted, items, canBeSound: !rejected.Contains(""));
        return new Reading
        {
            Sheet = sheet,
            Outcome = outcome,
            Items = items,
            SeenOnce = told.Once,
            Explanations = explanations,
            SomethingElse = trusted.SomethingElse,
            NoChance = trusted.NoChance,
            AnotherHidden = ShareOfAnother(weighed.Candidates, unseen),
            Tried = new SearchEffort(likelihood.ListedCount, weighed.Candidates.Count, searches.Max(s => s.UnlistedTried)),
            Facts = Facts(best, items),
            Predictions = [.. sheet.Predict.Select(p => AnswerPrediction.Predict(p.TaskAsWritten, p.Task, weighed))],
        };
    }

    // Whoever rejects a rule rejects it beside others too, and an unlisted one in all its wordings.
    private static List<Candidate> Without(List<Candidate> found, IReadOnlyCollection<string> rejected)
    {
        var sets = rejected.Where(rules => rules.Length > 0).Select(rules => UnlistedRules.Current(rules).Split('+')).ToList();
        var wordings = found.Where(c => c.Hypothesis.Unlisted.Count > 0 && sets.Exists(rules => rules.ToHashSet().SetEquals(c.Hypothesis.RuleIds)))
            .Select(c => c.Signature).ToHashSet();
        return found.FindAll(c =>
            !sets.Exists(rules => rules.All(c.Hypothesis.RuleIds.Contains)) && !(c.Hypothesis.Unlisted.Count > 0 && wordings.Contains(c.Signature)));
    }

    /// <summary>
    /// The probability that a student with the rules that are held has another besides, which had no chance on this page: how often students have
    /// one rule more, times the share of rules that could not show.
    /// </summary>
    private static double ShareOfAnother(IReadOnlyList<Share> candidates, double unseen) =>
        candidates.Where(s => s.Candidate.Hypothesis.RuleCount > 0).Sum(s => s.Probability * AnotherBeside(s.Candidate.Hypothesis.RuleCount, unseen));

    private static double AnotherBeside(int rules, double unseen)
    {
        var odds = Priors.Number(rules + 1) / Priors.Number(rules) * unseen;
        return odds / (1 + odds);
    }

    private static List<Explanation> Explanations(IReadOnlyList<Share> told, SheetLikelihood sheet)
    {
        var alike = told.GroupBy(s => s.Candidate.Signature)
            .SelectMany(g => g.Select(s => (s.Candidate, Members: g.ToList()))).ToDictionary(p => p.Candidate, p => p.Members);
        var reported = new Dictionary<string, Explanation>();
        var done = new HashSet<Candidate>();
        foreach (var (candidate, share) in told)
        {
            if (!done.Add(candidate)) continue;
            var members = alike[candidate];

            // Rules that give the same on every item are one explanation, told by the commoner.
            var same = members.FindAll(
                m => m.Probability >= Reported && !done.Contains(m.Candidate) && Twins.Are(candidate.Hypothesis, m.Candidate.Hypothesis, sheet.Families));
            done.UnionWith(same.Select(m => m.Candidate));

            // Wordings of one rule that the page cannot tell apart are one explanation, told by the likeliest; rules of the catalogue stand each for itself.
            var unlisted = members.FindAll(m => m.Candidate.Hypothesis.Unlisted.Count > 0);
            var teller = members[0].Candidate.Hypothesis.RuleCount > 0 ? members[0].Candidate : unlisted.Count > 0 ? unlisted[0].Candidate : null;
            if (candidate.Hypothesis.Unlisted.Count > 0 && teller != candidate) continue;
            var wordings = teller == candidate ? unlisted.Where(m => m.Candidate != candidate) : [];
            var probability = share + same.Sum(m => m.Probability) + wordings.Sum(m => m.Probability);
            var key = string.Join('+', candidate.Hypothesis.RuleIds);
            if (reported.TryGetValue(key, out var before))
            {
                reported[key] = before with { Probability = before.Probability + probability };
                continue;
            }

            reported[key] = Explain(candidate, sheet) with
            {
                Probability = probability,
                NotSeparatedFrom = candidate.Hypothesis.RuleCount == 0 || probability >= Threshold
                    ? []
                    : RulesOf(members.Except(unlisted).Except(same).Where(m => m.Probability >= probability / Comparable), candidate),
            };
        }

        var ordered = reported.Values.OrderByDescending(e => e.Probability).ThenBy(e => e.Hypothesis.Key, StringComparer.Ordinal).ToList();
        return [.. ordered.Where((e, i) => e.IsSound || (e.Probability >= Reported && i < MostReported))];
    }

    /// <summary>The rules of other explanations than this one.</summary>
    private static IReadOnlyList<IReadOnlyList<string>> RulesOf(IEnumerable<Share> members, Candidate candidate) =>
    [
        .. members.Where(m => m.Candidate.Hypothesis.RuleCount > 0 && m.Probability >= Reported).Select(m => m.Candidate.Hypothesis.RuleIds)
            .Where(ids => !ids.SequenceEqual(candidate.Hypothesis.RuleIds)).DistinctBy(ids => string.Join('+', ids)),
    ];

    /// <summary>Has every rule that is about as probable as the best stand as one that the page does not tell from it, and the other way round.</summary>
    private static void LeaveOpen(List<Explanation> explanations)
    {
        var open = explanations.Where(e => !e.IsSound && e.Probability >= explanations.First(x => !x.IsSound).Probability / Comparable).ToList();
        foreach (var one in open)
        {
            var others = open.Where(o => o.Hypothesis != one.Hypothesis).Select(o => o.Hypothesis.RuleIds);
            explanations[explanations.FindIndex(e => e.Hypothesis == one.Hypothesis)] = one with { NotSeparatedFrom = [.. others] };
        }
    }

    private static Explanation Explain(Candidate candidate, SheetLikelihood sheet)
    {
        var evidence = sheet.Items;
        var stands = new Dictionary<string, Stand>();

        // A chance behind a line is met again from the line on: of the stretches of an item, the one with most chances has them all.
        var counts = new Dictionary<string, (int Chances, int Declined)>();
        foreach (var item in evidence)
        {
            var likelihood = candidate.Items[item.Index];
            stands[item.Item.Id] = Together(
                stands.GetValueOrDefault(item.Item.Id, Stand.Silent), candidate.Hypothesis.RuleCount == 0 ? item.StandOfSound : item.StandOf(likelihood));
            var way = likelihood.MostProbable(candidate.Consistency) ?? (item.IsRight ? null : likelihood.Ways[0] with { Followed = 0 });
            if (way is not { } met || candidate.Hypothesis.RuleCount == 0) continue;
            var (chances, declined) = counts.GetValueOrDefault(item.Item.Id);
            counts[item.Item.Id] = (Math.Max(chances, met.Chances), Math.Max(declined, met.Chances - met.Followed));
        }

        var shown = sheet.Shown(candidate.Hypothesis);
        return new Explanation
        {
            Hypothesis = candidate.Hypothesis,
            AsTold = candidate.Hypothesis.Bugs.Count < 2
                ? candidate.Hypothesis.Bugs
                : [.. candidate.Hypothesis.Bugs.OrderBy(bug => !ChangesValues(bug, candidate.Hypothesis.School, sheet))],
            Probability = 0,
            Consistency = candidate.Consistency,
            Chances = counts.Values.Sum(c => c.Chances),
            Followed = counts.Values.Sum(c => c.Chances - c.Declined),
            ItemsWithChances = counts.Values.Count(c => c.Chances > 0),
            ItemsFollowed = counts.Values.Count(c => c.Chances > c.Declined),
            Stands = stands,
            Origin = string.Join(" ", candidate.Hypothesis.Bugs.Select(bug => OriginOf(bug, sheet)).Where(o => o.Length > 0)),
            LeastShown = shown.DefaultIfEmpty().Min(),
            MostShown = shown.DefaultIfEmpty().Max(),
            Predictions = evidence.Where(e => e.IsLast).ToDictionary(e => e.Item.Id, e => candidate.Items[e.Index].Foremost),
        };
    }

    /// <summary>Whether a bug by itself gives wrong values on the page, and not only another form of right ones.</summary>
    private static bool ChangesValues(Bug bug, School school, SheetLikelihood sheet)
    {
        var (run, alone) = (new MethodRun(), new DeviationSet(school, [bug.Deviations]));
        return sheet.Items.Any(item =>
        {
            Method.Run(item.Item.Task, run, alone);
            return item.Item.Task.Judge(run.Page.Answer.ToString()) == Verdict.Wrong;
        });
    }

    /// <summary>Where a bug of another family shows on the page, in a sentence; empty for a bug that shows in its own family only.</summary>
    private static string OriginOf(Bug bug, SheetLikelihood sheet)
    {
        var places = sheet.Items.Where(item => item.Task.Family != bug.Family && sheet.Listed.OnTaughtWay(bug, item) > 0)
            .SelectMany(item => TaughtFamily.Of(item.Task.Family).Parts.Where(p => p.Family == bug.Family.Name)).Select(p => p.Where).Distinct().ToList();
        if (sheet.Items.Any(item => TaughtFamily.Of(item.Task.Family).WorkedBeside.Contains(bug.Family.Name) && sheet.Listed.OnTaughtWay(bug, item) > 0))
            places.Add("in numbers inside the working");
        return places.Count == 0 ? "" : $"It is a bug of {bug.Family.Title} and shows here {string.Join(" and ", places)}.";
    }

    /// <summary>How an item of several stretches stands: against, if one is; else it agrees, if one does.</summary>
    private static Stand Together(Stand one, Stand other) =>
        one == Stand.Against || other == Stand.Against ? Stand.Against : one == Stand.Agrees || other == Stand.Agrees ? Stand.Agrees : Stand.Silent;

    /// <summary>
    /// The share of the bugs of the page's families, weighted by how common they are, that had no chance to show on it, whatever school the student comes from.
    /// </summary>
    private static double ShareWithoutChance(List<SheetLikelihood> schools, IReadOnlyList<Family> families)
    {
        double without = 0, all = 0;
        foreach (var bug in schools[0].Listed.Rules.Where(b => families.Contains(b.Family)))
        {
            var weight = Priors.Weight(bug.Commonness);
            all += weight;
            if (schools.TrueForAll(s => !s.Listed.HasAny(bug))) without += weight;
        }

        return all == 0 ? 1 : without / all;
    }

    // Of the many rules that nobody listed, one or another gives two slips of sound work, and is spoken against by a third item.
    private static bool IsThin(Explanation explanation) =>
        explanation.Hypothesis.Unlisted.Count > 0 && explanation.MostShown <= ShowingsNeeded && explanation.Stands.Values.Contains(Stand.Against);

    /// <summary>What the reading comes to. Where no single rule is held, but rules are, the explanations say which of them the page leaves open.</summary>
    private static Outcome OutcomeOf(List<Explanation> explanations, Trusted trusted, IReadOnlyList<ItemReading> items, bool canBeSound)
    {
        var answered = items.Where(i => i.Item.IsAnswered || i.Item.IsBrokenOff).ToList();
        if (answered.Count < LeastItems) return Outcome.TooFewChances;
        var best = explanations[0];
        if (!best.IsSound && Math.Min(best.LeastShown, best.Stands.Values.Count(s => s == Stand.Agrees)) < ShowingsNeeded) return Outcome.TooFewChances;
        var wrong = answered.Count(i => i.Verdict == Verdict.Wrong);
        var sound = explanations.First(e => e.IsSound).Probability;

        // Where most rules could have shown, and none did, those that could not, or that would show on one item, are no reason to leave it open.
        var isWhole = MostLeftOut * (items.Count - answered.Count) <= items.Count;
        var open = trusted.NoChance + explanations.Where(e => !e.IsSound && e.LeastShown < ShowingsNeeded).Sum(e => e.Probability);
        if (canBeSound && (sound >= Threshold || (isWhole && sound + open >= Threshold && sound >= SoundShare * (sound + open))))
            return 2 * wrong > answered.Count && explanations.First(e => e.IsSound).Hypothesis.Facts.Count > MostFactsOfSoundWork
                ? Outcome.Unexplained
                : Outcome.Sound;
        var isThin = IsThin(best);
        if (!best.IsSound && !isThin)
        {
            var together = best.Probability
                + best.NotSeparatedFrom.Sum(rules => explanations.Where(e => e.Hypothesis.RuleIds.SequenceEqual(rules)).Sum(e => e.Probability));
            if (together >= Threshold) return best.NotSeparatedFrom.Count > 0 ? Outcome.NotToldApart : Outcome.Bug;
        }

        if (trusted.SomethingElse >= 0.5) return wrong >= ShowingsNeeded ? Outcome.Unexplained : Outcome.TooFewChances;
        if (isThin || 1 - sound - trusted.SomethingElse - trusted.NoChance < Threshold || best.IsSound) return Outcome.TooFewChances;
        LeaveOpen(explanations);
        return explanations[0].NotSeparatedFrom.Count > 0 ? Outcome.NotToldApart : Outcome.TooFewChances;
    }

    private static List<FactReading> Facts(Candidate best, IReadOnlyList<ItemReading> items)
    {
        var run = new MethodRun { Recording = true };
        return [.. best.Hypothesis.Facts.Select(fact => new FactReading(fact.Fact, fact.Written,
            [.. items.Where(i => i.Verdict == Verdict.Wrong && i.Replay.IsExplained && Uses(i, fact)).Select(i => i.Item.Id)]))];

        bool Uses(ItemReading item, FactDeviation fact)
        {
            Method.Run(item.Item.Task, run, item.Replay.Hypothesis.Deviations, item.Replay.Declined, item.Replay.Slip);
            return run.Steps.Any(s => s.Fact is { } used && s.Cause == StepCause.Fact && fact.IsAbout(used));
        }
    }
}
