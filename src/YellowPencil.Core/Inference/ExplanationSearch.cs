namespace YellowPencil.Core.Inference;

/// <summary>
/// Finds the hypotheses worth weighing for one sheet. Every single bug is weighed; one of numbers inside the workings where it gives two wrong items. Larger
/// sets grow from the best smaller ones, by bugs that explain at least as many more items as they lose; the best of all are then weighed with every slip. Wrong
/// facts and unlisted rules are tried where items stay unexplained.
/// </summary>
internal sealed class ExplanationSearch(SheetLikelihood sheet)
{
    private const int BeamWidth = 6;

    /// <summary>After so many items of common length under which a slip was looked for, no more candidates are looked at.</summary>
    private const int MostSlipSearches = 40;

    /// <summary>A set this far below the best of its size, as a logarithm, is not grown: about four unexplained items.</summary>
    private const double InReach = 20;

    /// <summary>How many times likelier than the average slip a slip that is looked for can come out.</summary>
    private const double MostSlipGain = 3;

    /// <summary>The most that a candidate can gain, as a logarithm, by meeting one more item.</summary>
    private const double MostGain = 8;

    /// <summary>A candidate this far below the best, as a logarithm, does not count.</summary>
    private const double Negligible = 8;

    /// <summary>Wrong facts are looked for under so many candidates,</summary>
    private const int CandidatesWithFacts = 3;

    /// <summary>that are no further than this, as a logarithm, below the best: what a few items explained bring; and under no bug at all.</summary>
    private const double InReachByFacts = 15;

    /// <summary>Wrong facts are not looked for behind more items than this: they would be rules.</summary>
    private const int MostUnmetByFacts = 8;

    /// <summary>A bug that explains less than one in so many of the unexplained items in which it could show is not added.</summary>
    private const int LeastShare = 6;

    /// <summary>A bug that gives none of the first so many unexplained items in which it could show is not looked at further.</summary>
    private const int MostInVain = 6;

    private const int FactsTried = 4;

    /// <summary>Of the values that a fact could be taken to be, the nearest.</summary>
    private const int NearValuesTried = 10;

    private const int UnlistedKept = 8;
    private const int UnlistedGrown = 3;

    /// <summary>Two rules that each give a single item at the most are looked for behind so many.</summary>
    private const int LeastForTwo = 4;

    /// <summary>So many of the shortest items that nothing explains a pair of listed rules has to give, to be looked at further.</summary>
    private const int PairsTriedOn = 2;

    /// <summary>So many of the best are tried with one rule less.</summary>
    private const int LessTried = 3;

    private readonly Dictionary<string, Candidate> candidates = [];

    /// <summary>How many rules outside the catalogue were tried, beside the student beside whom most were; 0 where none were looked for.</summary>
    public int UnlistedTried { get; private set; }

    /// <summary>The candidates, the student without bugs among them; no two of the same hypothesis.</summary>
    public IReadOnlyList<Candidate> Search()
    {
        candidates[""] = sheet.Rough(sheet.Sound);
        AddKnown();
        var beam = Singles();
        for (var size = 2; size <= Hypothesis.MostRules; size++) beam = Grow(beam);
        RefineBest();
        AddPairs();
        AddFacts();
        AddUnlisted();
        LeaveOut();
        return [.. candidates.Values.Where(c => !IsRedundant(c))];
    }

    // What older pages say is weighed wherever it can show, whether this page alone would lead there or not.
    private void AddKnown()
    {
        foreach (var before in sheet.Known.Students.Where(s => s.RuleCount > 0 && s.Bugs.All(sheet.Listed.Rules.Contains)))
        {
            var student = new Hypothesis(before.Bugs, before.Unlisted, [], sheet.Sound.School);
            if (sheet.Items.Any(item => !sheet.IsSilent(student, item))) candidates[student.Key] = sheet.Rough(student);
        }
    }

    private List<Candidate> Singles()
    {
        foreach (var bug in sheet.Listed.Rules.Where(sheet.Listed.HasAny))
        {
            var hypothesis = sheet.Sound.With(bug);
            var wrong = sheet.Items.Where(i => !i.IsRight && sheet.Listed.OnTaughtWay(bug, i) > 0).ToList();
            if (IsInVain(hypothesis, wrong) || (sheet.IsBeside(bug) && wrong.Count(i => sheet.Gives(hypothesis, i)) < SheetDiagnosis.ShowingsNeeded)) continue;

            // What leaves so much open has to give most of what is wrong, or it says nothing.
            if (bug.IsOpen && 2 * wrong.Count(i => sheet.Gives(hypothesis, i)) < wrong.Count) continue;
            var candidate = sheet.Rough(hypothesis);
            candidates[candidate.Hypothesis.Key] = candidate;
        }

        return Best([.. candidates.Values.Where(c => c.Hypothesis.RuleCount == 1 && !c.Hypothesis.IsOpen)]);
    }

    /// <summary>Whether a student gives none of so many items that another bug was looked for behind them in vain.</summary>
    private bool IsInVain(Hypothesis hypothesis, List<ItemEvidence> unmet) =>
        unmet.Count >= MostInVain && !unmet.Take(MostInVain).Any(item => sheet.Gives(hypothesis, item));

    private List<Candidate> Grow(List<Candidate> beam)
    {
        var grown = new List<Candidate>();
        var best = BestThatSays().LogScore;
        foreach (var smaller in beam)
        {
            var unmet = Unmet(smaller);
            if (unmet.Count == 0 || smaller.LogScore + unmet.Count * MostGain < best - Negligible) continue;
            var chances = sheet.Listed.Under(smaller.Hypothesis.Deviations);
            for (var i = 0; i < sheet.Listed.Rules.Count; i++)
            {
                var bug = sheet.Listed.Rules[i];
                if (!unmet.Exists(item => chances[item.Index][i] > 0) || smaller.Hypothesis.Bugs.Contains(bug) || bug.IsOpen) continue;
                var larger = smaller.Hypothesis.With(bug);
                if (candidates.ContainsKey(larger.Key)) continue;
                var shown = sheet.Items.Where(item => chances[item.Index][i] > 0).ToLookup(unmet.Contains);
                if (IsInVain(larger, [.. shown[true]])) continue;
                var gained = shown[true].Count(item => sheet.Gives(larger, item));
                if (
                    (sheet.IsBeside(bug) && gained < SheetDiagnosis.ShowingsNeeded)
                        || gained * LeastShare < shown[true].Count() || gained < shown[false].Count(item => !sheet.Gives(larger, item)))
                    continue;
                var candidate = sheet.Rough(larger);
                candidates[larger.Key] = candidate;
                grown.Add(candidate);
            }
        }

        return Best(grown);
    }

    /// <summary>
    /// Two listed rules at work on nearly every item: neither of them alone gives one, and none grows. Where most of what is wrong stays open, all pairs are tried
    /// that give both of the shortest such items.
    /// </summary>
    private void AddPairs()
    {
        List<ItemEvidence> wrong = Unmet(candidates[""]), first = [.. Unmet(BestThatSays()).OrderBy(sheet.Effort).Take(PairsTriedOn)];
        if (wrong.Count < LeastForTwo || 2 * Unmet(BestThatSays()).Count <= wrong.Count) return;
        var rules = sheet.Listed.Rules.Where(bug => !bug.IsOpen && !sheet.IsBeside(bug)).ToList();
        var pairs = new List<(Hypothesis Pair, int Given)>();
        foreach (var one in rules.Where(bug => first.TrueForAll(item => sheet.Listed.OnTaughtWay(bug, item) > 0)))
            foreach (var other in rules.Where(bug => bug != one))
            {
                var pair = sheet.Sound.With(one).With(other);
                if (candidates.ContainsKey(pair.Key) || !first.TrueForAll(item => sheet.Gives(pair, item))) continue;
                pairs.Add((pair, wrong.Count(item => sheet.Gives(pair, item))));
            }

        foreach (var (pair, _) in pairs.DistinctBy(p => p.Pair.Key).OrderByDescending(p => p.Given).ThenBy(p => p.Pair.Key, StringComparer.Ordinal).Take(BeamWidth))
            candidates[pair.Key] = sheet.Refine(sheet.Rough(pair));
    }

    /// <summary>The items that a candidate, followed throughout, does not give.</summary>
    private List<ItemEvidence> Unmet(Candidate candidate) => [.. sheet.Items.Where(i => !candidate.Items[i.Index].IsForetold)];

    /// <summary>The sets worth growing: the best, as far as they are in reach of the very best.</summary>
    private static List<Candidate> Best(List<Candidate> from)
    {
        var best = Ordered(from).Take(BeamWidth).ToList();
        return [.. best.Where(c => c.LogScore > best[0].LogScore - InReach)];
    }

    private static IOrderedEnumerable<Candidate> Ordered(IEnumerable<Candidate> from) =>
        from.OrderByDescending(c => c.LogScore).ThenBy(c => c.Hypothesis.Key, StringComparer.Ordinal);

    /// <summary>
    /// Looks for every slip under the best candidates, down to those that no slip could bring near the best. Where there are too many of
    /// these, as on a page that nothing explains, the last ones are dropped.
    /// </summary>
    private void RefineBest()
    {
        var best = double.NegativeInfinity;
        var searches = 0.0;
        foreach (var candidate in Ordered(candidates.Values).ToList())
        {
            var unmet = candidate.Items.Count(i => !i.IsMet);
            if (candidate.LogScore + unmet * Math.Log(MostSlipGain) < best - Negligible) continue;
            searches += sheet.Items.Where(i => !candidate.Items[i.Index].IsMet).Sum(i => sheet.Effort(i));
            if (searches > MostSlipSearches && candidate.Hypothesis.RuleCount > 0)
            {
                candidates.Remove(candidate.Hypothesis.Key);
                continue;
            }

            var refined = sheet.Refine(candidate);
            candidates[candidate.Hypothesis.Key] = refined;
            best = Math.Max(best, refined.LogScore);
        }
    }

    /// <summary>A number fact that is wrong in the same way on at least two items is a fact, not slips.</summary>
    private void AddFacts()
    {
        var top = Ordered(candidates.Values).Take(CandidatesWithFacts).ToList();
        var inReach = top.Where(c => c.LogScore > top[0].LogScore - InReachByFacts).Append(candidates[""]).DistinctBy(c => c.Hypothesis.Key);
        foreach (var candidate in inReach.Where(c => Unmet(c).Count is >= 2 and <= MostUnmetByFacts))
        {
            var open = FactsBehind(candidate);
            for (var best = candidate; best is not null && open.Count > 0 && best.Hypothesis.RuleCount + best.Hypothesis.Facts.Count < DeviationSet.MaxOwners;)
                best = WithBestFact(best, open);
        }
    }

    /// <summary>
    /// The wrong facts that give most of the items that a candidate leaves open: of the facts used there, each near value is tried on all of them, and so are
    /// the multiples that are looked for in a division.
    /// </summary>
    private List<FactDeviation> FactsBehind(Candidate candidate)
    {
        var unmet = sheet.Items.Where(i => !candidate.Items[i.Index].IsMet).ToList();
        var pool = new Dictionary<NumberFact, List<ItemEvidence>>();
        foreach (var item in unmet)
            foreach (var fact in sheet.FactsUsed(candidate.Hypothesis, item).SelectMany(WithNextMultiple).Select(f => f.Ordered).Distinct())
            {
                if (!pool.TryGetValue(fact, out var items)) pool[fact] = items = [];
                items.Add(item);
            }

        var found = new List<(FactDeviation Fact, double Gain)>();
        foreach (var (fact, items) in pool.Where(p => p.Value.Count >= UnlistedSearch.LeastMet))
            foreach (var (value, weight) in fact.Near(fact.Value).OrderByDescending(n => n.Weight).Take(NearValuesTried))
            {
                var held = new FactDeviation(fact, value);
                var larger = candidate.Hypothesis.With(held);
                var gained = items.Count(item => sheet.Gives(larger, item));
                if (gained >= UnlistedSearch.LeastMet) found.Add((held, gained * Priors.FactWeight(fact)));
            }

        return [
            .. found.OrderByDescending(f => f.Gain)
                .ThenBy(f => $"{f.Fact.Fact} = {f.Fact.Written}", StringComparer.Ordinal).Take(FactsTried).Select(f => f.Fact)];
    }

    private static IEnumerable<NumberFact> WithNextMultiple(NumberFact fact) =>
        fact.Kind == FactKind.Times && fact is { First: < 9, Second: < 10 } ? [fact, fact with { First = fact.First + 1 }] : [fact];

    /// <summary>The candidate with that one of the facts that explains most; null where none makes it more probable.</summary>
    private Candidate? WithBestFact(Candidate candidate, List<FactDeviation> open)
    {
        var larger = Ordered(open.Select(fact => sheet.Refine(sheet.Rough(candidate.Hypothesis.With(fact))))).ToList();
        foreach (var one in larger) candidates[one.Hypothesis.Key] = one;
        if (larger[0].LogScore <= candidate.LogScore) return null;
        open.RemoveAll(f => larger[0].Hypothesis.Facts.Contains(f));
        return larger[0];
    }

    /// <summary>
    /// Looks for rules that nobody listed: one beside nothing, beside the best explanation or beside one that stays out of what it leaves open, and one more
    /// beside the best of what was found, as long as items stay open.
    /// </summary>
    private void AddUnlisted()
    {
        var best = BestThatSays();
        if (Unmet(best).Count == 0) return;
        var found = new List<Candidate>();
        foreach (var smaller in new[] { candidates[""], best, Aside(Ordered(candidates.Values)) ?? best }.DistinctBy(c => c.Hypothesis.Key))
            if (!found.Exists(LeavesNothing)) found.AddRange(Unlisted(smaller));
        Keep(found);
        if (found.Exists(LeavesNothing) || Unmet(BestThatSays()).Count < UnlistedSearch.LeastMet) return;
        if (candidates[""] is var sound && Unmet(sound).Count >= LeastForTwo && 2 * Unmet(BestThatSays()).Count > Unmet(sound).Count)
        {
            // Where two rules are at work on nearly every item, either of them alone may give a single one.
            Keep([.. Unlisted(sound, leastMet: 1).Take(UnlistedGrown).SelectMany(c => Unlisted(c))]);
        }

        var grown = Grown(found).Where(c => Unmet(c).Count >= UnlistedSearch.LeastMet && c.LogScore > found.Max(f => f.LogScore) - InReach).ToList();
        Keep([.. grown.SelectMany(c => Unlisted(c))]);
        if (Unmet(BestThatSays()).Count >= UnlistedSearch.LeastMet) Keep(Unlisted(sound, isLast: true));
    }

    /// <summary>Those beside which another rule is looked for: the best, and the best of those that stay out of what they leave open.</summary>
    private IEnumerable<Candidate> Grown(List<Candidate> found)
    {
        var ordered = Ordered(found).ToList();
        return ordered.Take(UnlistedGrown).Concat(Aside(ordered) is { } aside ? [aside] : []).DistinctBy(c => c.Hypothesis.Key);
    }

    // The first student of one rule who is as taught in all that the rule leaves open.
    private Candidate? Aside(IEnumerable<Candidate> ordered) =>
        ordered.FirstOrDefault(c => c.Hypothesis.RuleCount == 1 && Unmet(c).TrueForAll(item => sheet.IsSilent(c.Hypothesis, item)));

    /// <summary>A rule that was found first may say nothing any more once another was found beside it: the best are tried with one rule less.</summary>
    private void LeaveOut()
    {
        var wrong = Unmet(candidates[""]);
        foreach (var whole in Ordered(candidates.Values).Take(LessTried).Select(c => c.Hypothesis).Where(h => h is { Unlisted.Count: > 0, RuleCount: > 1 }).ToList())
            for (var rule = 0; rule < whole.RuleCount; rule++)
            {
                var smaller = whole.Only(i => i != rule);
                if (!candidates.ContainsKey(smaller.Key) && wrong.Count(item => sheet.Gives(smaller, item)) >= UnlistedSearch.LeastMet)
                    candidates[smaller.Key] = sheet.Refine(sheet.Rough(smaller));
            }
    }

    // What leaves open what comes of it leaves room for a rule that does not.
    private Candidate BestThatSays() => Ordered(candidates.Values).First(c => !c.Hypothesis.IsOpen);

    private List<Candidate> Unlisted(Candidate student, int leastMet = UnlistedSearch.LeastMet, bool isLast = false)
    {
        var search = new UnlistedSearch(sheet, student, leastMet, isLast);
        var found = search.Search(sheet.Points);
        UnlistedTried = Math.Max(UnlistedTried, search.Tried);
        return found;
    }

    private bool LeavesNothing(Candidate candidate) => Unmet(candidate).Count == 0;

    private void Keep(List<Candidate> found)
    {
        foreach (var candidate in Ordered(found).Take(sheet.Affordable(UnlistedKept, least: 2)))
            candidates.TryAdd(candidate.Hypothesis.Key, sheet.Refine(candidate));
    }

    /// <summary>
    /// Whether a listed rule of the set changes nothing on this sheet: then the smaller set says as much. Rules that nobody listed were found because they
    /// change something.
    /// </summary>
    private bool IsRedundant(Candidate candidate)
    {
        var hypothesis = candidate.Hypothesis;
        if (hypothesis.Unlisted.Count > 0) return false;
        return hypothesis.Bugs.Any(bug =>
        {
            var without = hypothesis.Without(bug);
            var smaller = candidates.TryGetValue(without.Key, out var known) ? known : sheet.Rough(without);
            return smaller.Signature == candidate.Signature;
        });
    }
}
