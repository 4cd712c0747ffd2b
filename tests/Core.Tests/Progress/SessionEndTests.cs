using Shouldly;
using Xunit;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Progress;

/// <summary>What comes next by how a session went.</summary>
public class SessionEndTests
{
    private static readonly SessionItem[] Items =
    [
        new(SessionPart.First, "First 1", "", "", ""), new(SessionPart.First, "First 2", "", "", ""), new(SessionPart.First, "First 3", "", "", ""),
        new(SessionPart.Together, "Together 1", "", "", "5"), new(SessionPart.Together, "Once more", "", "", "5", IsSpare: true),
        new(SessionPart.Alone, "Alone 1", "", "", "5"), new(SessionPart.Alone, "Alone 2", "", "", "5"), new(SessionPart.Alone, "Alone 3", "", "", "5"),
        new(SessionPart.Exit, "Exit", "", "", "5"), new(SessionPart.Exit, "New habit", "", "", ""),
    ];

    // "r" right, "o" old rule, "x" other, "h" right with help, "." not asked; in the order of the items.
    private static SessionEnd End(string ticks) => SessionEnd.Of(
        Items, Items.Zip(ticks.Replace(" ", "")).Where(i => i.Second != '.').ToDictionary(
            i => i.First.Name, i => new Ticked(i.Second switch { 'o' => Tick.OldRule, 'x' => Tick.Other, _ => Tick.Right }, IsHelped: i.Second == 'h')));

    [Theory]
    [InlineData("rrr r. rrr r.", SessionNext.Mixed, "3 of 3 alone right, the exit question right.")]
    [InlineData("rrr r. rxr r.", SessionNext.OnceMore, "2 of 3 alone right, the exit question right.")]
    [InlineData("rrr r. rrh r.", SessionNext.OnceMore, "2 of 3 alone right, the exit question right.")] // with help is not alone
    [InlineData("rrr r. rrr o.", SessionNext.OnceMore, "3 of 3 alone right, the exit question by the old rule.")]
    [InlineData("rrr r. rrr x.", SessionNext.OnceMore, "3 of 3 alone right, the exit question wrong in another way.")]
    [InlineData("rrr r. rxx ..", SessionNext.Material, "1 of 3 alone right.")]
    [InlineData("rrr o. oor ..", SessionNext.Material, "1 of 3 alone right.")] // the old rule, but nothing right before it
    [InlineData("rrr r. oo. ..", SessionNext.AnotherModel, "The old rule came 2 times after a right answer.")]
    [InlineData("rxx .. ... ..", SessionNext.FirstThings, "1 of 3 of what must come first were right.")]
    [InlineData("rrx .. ... ..", SessionNext.NotSaid, "Nothing was done alone yet.")]
    [InlineData("rrr r. rr. ..", SessionNext.NotSaid, "2 of 3 were done alone.")]
    [InlineData("rrr r. rrr ..", SessionNext.NotSaid, "3 of 3 alone right; the exit question is open.")]
    [InlineData("... .. ... ..", SessionNext.NotSaid, "Nothing was done alone yet.")]
    public void The_rule_for_the_end_says_what_comes_next_and_why(string ticks, SessionNext next, string because) => End(ticks).ShouldBe(new SessionEnd(next, because));
}
