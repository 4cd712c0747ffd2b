namespace YellowPencil.Core.Inference;

/// <summary>One of several rules that explain a page together, by itself.</summary>
/// <param name="Rule">Its id.</param>
/// <param name="Text">It in a sentence; may hold the classroom's word.</param>
/// <param name="Stands">How each item stands to it: agrees where it was followed, against where it could have shown and was not.</param>
public sealed record RuleStanding(string Rule, string Text, IReadOnlyDictionary<string, Stand> Stands)
{
    /// <summary>On how many of the items on which it would show it does.</summary>
    public string CountText => Stands.Values.Count(s => s != Stand.Silent) is var all && all == 1
        ? $"{Stands.Values.Count(s => s == Stand.Agrees)} of 1 item" : $"{Stands.Values.Count(s => s == Stand.Agrees)} of {all} items";

    /// <summary>The rules of an explanation each by itself, in the order in which they are told; none where there is only one.</summary>
    internal static IReadOnlyList<RuleStanding> Of(Explanation explanation, IReadOnlyList<ItemEvidence> evidence)
    {
        var hypothesis = explanation.Hypothesis;
        if (hypothesis.RuleCount < 2) return [];
        var (procedures, run) = (new ProcedureSearch(), new MethodRun());
        var stands = hypothesis.RuleIds.ToDictionary(id => id, _ => new Dictionary<string, Stand>());
        foreach (var item in evidence)
        {
            var way = procedures.LikeliestWay(item, hypothesis, explanation.Consistency);
            item.Run(run, (way?.Hypothesis ?? hypothesis).Deviations, way?.Declined ?? 0);
            var owners = (way?.Hypothesis ?? hypothesis).RuleIds;
            foreach (var (id, items) in stands)
            {
                var owner = Owner(owners, id, hypothesis.RuleIds);
                var stand = run.ChancesOf(owner) == 0 || (way is null && item.IsRight) ? Stand.Silent : way is not null && run.FollowedOf(owner) > 0 ? Stand.Agrees : Stand.Against;
                items[item.Item.Id] = Together(items.GetValueOrDefault(item.Item.Id, Stand.Silent), stand);
            }
        }

        return [.. explanation.AsTold.Select(bug => (bug.Id, bug.Text)).Concat(hypothesis.Unlisted.Select((u, at) => (hypothesis.RuleIds[hypothesis.Bugs.Count + at], $"A rule that is not in the catalogue. {u.Text}.")))
            .Select(rule => new RuleStanding(rule.Item1, rule.Item2, stands[rule.Item1]))];
    }

    // An outcome of a rule that leaves open what comes of it stands for that rule.
    private static int Owner(IReadOnlyList<string> owners, string id, IReadOnlyList<string> rules)
    {
        for (var i = 0; i < owners.Count; i++)
            if (owners[i] == id) return i;
        for (var i = 0; i < owners.Count; i++)
            if (!rules.Contains(owners[i])) return i;
        throw new InvalidOperationException($"{id} is not followed in {string.Join('+', owners)}");
    }

    // What was done once on an item was followed there; what was not done on any of its stretches was not.
    private static Stand Together(Stand one, Stand other) =>
        one == Stand.Agrees || other == Stand.Agrees ? Stand.Agrees : one == Stand.Against || other == Stand.Against ? Stand.Against : Stand.Silent;
}
