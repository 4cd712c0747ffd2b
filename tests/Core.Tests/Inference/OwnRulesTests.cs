using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Students who follow a rule that nobody listed: what they would answer to fresh tasks is foretold.</summary>
public class OwnRulesTests
{
    private const int OnPage = 15;
    private const int Shown = 7;
    private const int Fresh = 6;

    public static TheoryData<Family> Families => [.. OwnRules.All.Select(r => r.Family).Distinct()];

    [Theory]
    [MemberData(nameof(Families))]
    public void Fresh_answers_are_foretold(Family family)
    {
        var (asked, foretold, missed) = (0, 0, new List<string>());
        foreach (var (_, name, answer) in OwnRules.All.Where(r => r.Family == family))
        {
            var pool = ItemPool.Of(family, 600, seed: 17).Where(t => t.Asked == default && answer(t) is not null).ToList();
            var shows = pool.Where(t => t.Canonical(answer(t)!) != t.RightAnswer).ToList();
            shows.Count.ShouldBeGreaterThan(Shown + Fresh, name);
            var page = shows.Take(Shown).Concat(pool.Except(shows).Take(OnPage - Shown)).ToList();
            var fresh = shows.Skip(Shown).Take(Fresh).ToList();
            var reading = SheetDiagnosis.Read(new WorkedSheet
            {
                Student = "O",
                Items = [.. page.Select((t, i) => WorkedItem.Of($"{i}", t) with { Answer = answer(t) })],
                Predict = [.. fresh.Select(t => new SetItem { Task = t, TaskAsWritten = t.Text })],
            });
            for (var i = 0; i < fresh.Count; i++)
            {
                asked++;
                if (fresh[i].Canonical(reading.Predictions[i].Answer ?? "") == fresh[i].Canonical(answer(fresh[i])!)) foretold++;
                else missed.Add($"{name}: {fresh[i].Text} = {answer(fresh[i])}, foretold {reading.Predictions[i].Answer}");
            }
        }

        foretold.ShouldBeGreaterThanOrEqualTo((int)(0.8 * asked), string.Join('\n', missed));
    }
}
