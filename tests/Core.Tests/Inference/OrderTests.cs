using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>A reading depends on nothing but what stands on the sheet: not on the order of items or sheets, nor on how many are read at once.</summary>
public class OrderTests
{
    private static readonly IReadOnlyList<WorkedSheet> Sheets =
    [
        .. FamilyList.All.SelectMany(family => Enumerable.Range(0, 2).Select(seed =>
        {
            var bugs = Catalogue.Of(family);
            var hand = new SimulatedStudent(Hypothesis.Of(bugs[seed * 7 % bugs.Count], bugs[(seed * 11 + 3) % bugs.Count]), 0.8, 0.15, seed);
            return new WorkedSheet { Student = $"{family.Name}-{seed}", Items = [.. ItemPool.Of(family, 12, seed).Select((task, i) => hand.Write($"{i}", task))] };
        })),
    ];

    // What a reading says, without the order in which it says it.
    private static string Said(WorkedSheet sheet)
    {
        var reading = SheetDiagnosis.Read(sheet);
        return string.Join('\n',
        [
            $"{reading.Outcome} {reading.SomethingElse:R} {reading.NoChance:R}",
            .. reading.Explanations.Select(e => $"{e.Hypothesis.Key} {e.Probability:R} {string.Join(',', e.Stands.OrderBy(s => s.Key, StringComparer.Ordinal))}").Order(StringComparer.Ordinal),
            .. reading.Items.Select(i => $"{i.Item.Id} {i.Verdict} {i.Cause} {i.FirstWrongStep}").Order(StringComparer.Ordinal),
            .. reading.Facts.Select(f => $"{f.Fact} {f.Written}").Order(StringComparer.Ordinal),
        ]);
    }

    [Fact]
    public void The_order_of_the_items_changes_nothing() => Gen.Select(Gen.Int[0, Sheets.Count - 1], Gen.Int[0, 1_000_000]).Sample((number, seed) =>
    {
        var sheet = Sheets[number];
        var shuffled = sheet.Items.ToArray();
        new Random(seed).Shuffle(shuffled);
        Said(sheet with { Items = shuffled }).ShouldBe(Said(sheet), sheet.Student);
    }, iter: 40);

    [Fact]
    public void The_order_of_the_sheets_and_the_number_of_threads_change_nothing()
    {
        var alone = Sheets.ToDictionary(s => s.Student, s => ReadingWriter.Write(SheetDiagnosis.Read(s), []));
        var together = Sheets.Reverse().AsParallel().WithDegreeOfParallelism(8).Select(s => (s.Student, Text: ReadingWriter.Write(SheetDiagnosis.Read(s), []))).ToList();
        foreach (var (student, text) in together) text.ShouldBe(alone[student]);
    }

    [Fact]
    public void A_reading_can_be_ended_early()
    {
        using var ended = new CancellationTokenSource();
        ended.Cancel();
        Should.Throw<OperationCanceledException>(() => SheetDiagnosis.Read(Sheets[0], ended.Token));
    }
}
