using YellowPencil.Core.Inference;

namespace YellowPencil.Web.Services;

/// <summary>An answer that makes no sense as it stands, and does when it is read from the other side: probably typed in the wrong direction.</summary>
/// <param name="Id">The item.</param>
/// <param name="Answer">The answer as it was typed.</param>
/// <param name="Other">The same from the other side.</param>
internal sealed record TurnedAnswer(string Id, string Answer, string Other);

/// <summary>Finds answers that were probably typed in the wrong direction.</summary>
internal static class TurnedAnswers
{
    public static IEnumerable<TurnedAnswer> In(Reading reading)
    {
        foreach (var item in reading.Items.Where(i => i.Item.IsAnswered && i.Cause is not (null or Cause.Bug)))
        {
            var answer = item.Item.Answer!;
            var other = new string([.. answer.Reverse()]);
            if (answer.Length < 2 || other == answer || !answer.All(char.IsAsciiDigit)) continue;
            if (other == item.Item.Task.RightAnswer || reading.BestBug?.Predictions.GetValueOrDefault(item.Item.Id) == other) yield return new TurnedAnswer(item.Item.Id, answer, other);
        }
    }
}
