using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Pages written out by hand, each with the reading that a careful specialist would come to.</summary>
public class HandWorkedPageTests
{
    public static TheoryData<string> Pages => [.. Directory.GetFiles(Folder, "*.json").Select(f => Path.GetFileNameWithoutExtension(f)).Order()];

    private static string Folder => Path.Combine(AppContext.BaseDirectory, "Pages");

    [Theory]
    [MemberData(nameof(Pages))]
    public void The_reading_is_the_careful_one(string page)
    {
        using var file = JsonDocument.Parse(File.ReadAllText(Path.Combine(Folder, page + ".json")));
        var expected = file.RootElement.GetProperty("expected");
        var sheet = SheetReader.TryRead(file.RootElement.GetProperty("sheet").GetRawText(), out var fault);
        sheet.ShouldNotBeNull(fault?.ToString());

        var reading = SheetDiagnosis.Read(sheet);

        var summary = ReadingText.Write(reading, NextItems.For(reading), ClassroomWord.Rename);
        Spelling.Of(reading.Outcome).ShouldBe(expected.GetProperty("outcome").GetString(), summary);
        if (expected.TryGetProperty("best", out var best)) reading.Best.Hypothesis.RuleIds.Order().ShouldBe(Texts(best).Order(), summary);
        if (expected.TryGetProperty("says", out var says)) reading.Best.Text.ShouldContain(says.GetString()!, Case.Sensitive, summary);
        if (expected.TryGetProperty("unlisted", out _)) reading.Best.Hypothesis.Unlisted.ShouldNotBeEmpty(summary);
        if (expected.TryGetProperty("among", out var among))
            foreach (var id in Texts(among))
                reading.Explanations.ShouldContain(e => e.Hypothesis.RuleIds.SequenceEqual(new[] { id }), summary);
        if (expected.TryGetProperty("chances", out var chances))
            (reading.Best.Followed, reading.Best.Chances).ShouldBe((expected.GetProperty("followed").GetInt32(), chances.GetInt32()), summary);
        if (expected.TryGetProperty("causes", out var causes))
            foreach (var cause in causes.EnumerateObject())
                Spelling.Of(reading.Items.Single(i => i.Item.Id == cause.Name).Cause!.Value).ShouldBe(cause.Value.GetString(), summary);
        if (expected.TryGetProperty("steps", out var steps))
            foreach (var step in steps.EnumerateObject())
                reading.Items.Single(i => i.Item.Id == step.Name).FirstWrongStep!.Step.ShouldBe(step.Value.GetString());
        if (expected.TryGetProperty("fact", out var fact)) reading.Facts.Single().Fact.ToString().ShouldBe(fact.GetString());
        if (expected.TryGetProperty("predictions", out var predictions))
            foreach (var prediction in predictions.EnumerateObject())
                reading.Predictions.Single(p => p.Task == prediction.Name).Answer.ShouldBe(prediction.Value.GetString());
    }

    private static IEnumerable<string> Texts(JsonElement list) => list.EnumerateArray().Select(e => e.GetString()!);
}
