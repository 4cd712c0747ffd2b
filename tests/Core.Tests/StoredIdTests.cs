using System.Text;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests;

/// <summary>
/// What stands in files and in the database is never renamed: a specialist's decision about a rule hangs on its id. New ids are added to the list; one that is
/// missing from what the program knows is a decision lost.
/// </summary>
public class StoredIdTests
{
    [Fact]
    public void Every_id_that_was_ever_stored_is_still_known()
    {
        var known = Ids();
        var golden = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "StoredIds.txt"));
        if (known != golden) File.WriteAllText(Path.Combine(AppContext.BaseDirectory, "StoredIds.now.txt"), known);
        Each(golden).Except(Each(known)).ShouldBeEmpty("ids that are gone");
        Each(known).Except(Each(golden)).ShouldBeEmpty("ids that StoredIds.txt does not list yet: what there is now was written beside it as StoredIds.now.txt");
    }

    // What a specialist decided about a rule before its choice became one of another decision.
    [Theory]
    [InlineData("equations.number-before/bare/sign-lost", "equations.minus-before/bare/lost")]
    [InlineData("equations.number-before/leaves-rest/whole-part", "equations.solution-written/leaves-rest/whole-part")]
    [InlineData("equations.number-before/always/rest-behind-point", "equations.solution-written/always/rest-behind-point")]
    [InlineData("equations.number-before/always/not-in-lowest-terms", "equations.solution-written/always/not-in-lowest-terms")]
    [InlineData("equations.number-before/second-from-10/with-remainder", "equations.solution-written/second-from-10/with-remainder")]
    [InlineData("equations.number-before/first-negative/rounded-to-whole", "equations.solution-written/first-negative/rounded-to-whole")]
    [InlineData("equations.number-before/always/rounded-down", "equations.solution-written/always/rounded-down")]
    [InlineData("equations.number-before/always/rounded-up", "equations.solution-written/always/rounded-up")]
    [InlineData("equations.number-before/always/one-place", "equations.solution-written/always/one-place")]
    [InlineData("polynomials.like-terms/power/sum-powers-added", "polynomials.power-of-like/power/added")]
    [InlineData("polynomials.like-terms/letter/sum-without-letter", "polynomials.power-of-like/letter/letter-off")]
    public void A_rule_that_moved_is_found_by_its_old_id(string old, string now) => UnlistedRules.Find(old).ShouldNotBeNull().Id.ShouldBe(now);

    // A line lists ids of one thing; each counts by itself.
    private static IEnumerable<string> Each(string text) =>
        text.Split('\n').Select(line => line.Split(": ", 2)).SelectMany(parts => parts.Length == 1 ? [parts[0]] : parts[1].Split(' ').Select(id => $"{parts[0]}: {id}"));

    private static string Ids()
    {
        var text = new StringBuilder();
        foreach (var family in FamilyList.All) text.Append($"family {family.Name}\n");
        foreach (var question in School.All) text.Append($"school {question.Name}: {string.Join(' ', question.Values)}\n");
        text.Append($"outcome {string.Join(' ', Spelling.All<Outcome>())}\n");
        text.Append($"verdict {string.Join(' ', Spelling.All<Verdict>())}\n");
        text.Append($"cause {string.Join(' ', Spelling.All<Cause>())}\n");
        text.Append($"stand {string.Join(' ', Spelling.All<Stand>())}\n");
        var lines = new Lines(text);
        foreach (var decision in FamilyList.All.SelectMany(f => TaughtFamily.Of(f).Decisions).Distinct().OrderBy(d => d.Id, StringComparer.Ordinal)) decision.Accept(lines);
        foreach (var bug in Catalogue.All) text.Append($"bug {bug.Id}\n");
        return text.ToString();
    }

    private sealed class Lines(StringBuilder text) : IDecisionVisitor
    {
        public void Visit<TContext>(Decision<TContext> decision)
            where TContext : struct, IDecisionContext
        {
            var made = decision is ValueDecision<TContext> value ? "numbers " + string.Join(' ', value.Numbers.Select(n => n.Id)) : "choices " + string.Join(' ', decision.Options.Select(d => d.Id));
            text.Append($"decision {decision.Id}: {made}\n");
            text.Append($"kinds {decision.Id}: {string.Join(' ', decision.Kinds.Select(k => k.Id).Concat(decision.Properties.Select(p => $"{p.Id}({string.Join(',', p.Values)})")))}\n");
        }
    }
}
