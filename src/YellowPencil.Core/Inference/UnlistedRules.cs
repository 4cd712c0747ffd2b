using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>Rules that nobody listed, by their ids.</summary>
internal static class UnlistedRules
{
    // What was one choice of a decision and has become one of another: what a specialist decided about it holds on.
    private static readonly Dictionary<(string Decision, string Choice), (string Decision, string Choice)> Moved = new()
    {
        [("equations.number-before", "sign-lost")] = ("equations.minus-before", "lost"),
        [("equations.number-before", "whole-part")] = ("equations.solution-written", "whole-part"),
        [("equations.number-before", "rest-behind-point")] = ("equations.solution-written", "rest-behind-point"),
        [("equations.number-before", "not-in-lowest-terms")] = ("equations.solution-written", "not-in-lowest-terms"),
        [("equations.number-before", "rounded-to-whole")] = ("equations.solution-written", "rounded-to-whole"),
        [("equations.number-before", "one-place")] = ("equations.solution-written", "one-place"),
        [("equations.number-before", "rounded-down")] = ("equations.solution-written", "rounded-down"),
        [("equations.number-before", "rounded-up")] = ("equations.solution-written", "rounded-up"),
        [("equations.number-before", "with-remainder")] = ("equations.solution-written", "with-remainder"),
        [("polynomials.like-terms", "sum-powers-added")] = ("polynomials.power-of-like", "added"),
        [("polynomials.like-terms", "sum-without-letter")] = ("polynomials.power-of-like", "letter-off"),
    };

    /// <summary>The rule of an id; null where there is none.</summary>
    public static UnlistedDeviation? Find(string id) => Now(id).Split('/') is [var decision, var kind, var choice]
        ? FamilyList.All.SelectMany(f => TaughtFamily.Of(f).Decisions).FirstOrDefault(d => d.Id == decision)?.FindDeviation(kind, choice)
        : null;

    /// <summary>Rules joined by +, as they were stored, each by the id that it has now.</summary>
    public static string Current(string rules) => string.Join('+', rules.Split('+').Select(Now));

    // With and without "unlisted:" before it.
    private static string Now(string id)
    {
        if (id.Split('/') is not [var decision, var kind, var choice]) return id;
        var from = decision.LastIndexOf(':') + 1;
        return Moved.TryGetValue((decision[from..], choice), out var moved) ? $"{decision[..from]}{moved.Decision}/{kind}/{moved.Choice}" : id;
    }
}
