using YellowPencil.Core.Inference;
using YellowPencil.Core.Telling;

namespace YellowPencil.Web.Services;

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
