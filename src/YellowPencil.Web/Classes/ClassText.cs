using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Telling;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>Tells what was read of a class to people.</summary>
internal static class ClassText
{
    /// <summary>What a student's row came to, in a line.</summary>
    public static string Row(ClassRow row, RuleNaming names, ClassroomWord word)
    {
        if (!row.HasAnswers) return "nothing typed in yet";
        if (row.Line is not { } line) return "not read yet";
        return line.Rules.Count == 0 ? ReadingText.Say(line.Outcome)
            : string.Join("; ", line.Rules.Select(rule => $"{names.Of(rule.Rule, word)}, {Chances(rule)}")) + (line.Outcome == Outcome.NotToldApart ? "; or another rule, not told apart yet" : "");
    }

    /// <summary>How sure a rule is, and on how many of its chances it was followed.</summary>
    public static string Chances(FollowedRule rule) => $"{Shares.Percent(rule.Probability)}, {rule.Shown} of {rule.Chances} {(rule.Chances == 1 ? "chance" : "chances")}";
}
