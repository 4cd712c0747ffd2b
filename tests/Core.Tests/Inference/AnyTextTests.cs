using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Whatever stands on a page, a reading comes of it.</summary>
public class AnyTextTests
{
    private static readonly IReadOnlyList<ItemTask> Tasks =
    [
        .. new[] { "386 + 75", "604 - 278", "47 * 36", "958 / 4", "36.5 + 4.08", "6 - 4.2", "-2.4 * 0.15", "8.164 / 0.26", "-7 - -4", "-6 * 9" }.Select(t => TaskText.TryParse(t).Value!),
        TaskText.TryParse("958 / 4", "fraction").Value!, TaskText.TryParse("958 / 4", "decimal").Value!,
    ];

    public static TheoryData<Family> Families => [.. FamilyList.All];

    // Half of the texts are made of the signs that answers are made of.
    private static Gen<string> Text => Gen.OneOf(Gen.String, Gen.Char["0123456789.,- r/x()+"].Array[0, 8].Select(c => new string(c)));

    private static Gen<PlaceMarks> Places => Gen.Select(Gen.Int[-3, 5], Text).Array[0, 3].Select(marks =>
    {
        var work = Work.Of(marks.Select(m => new Mark(WorkFields.Carries, new Spot(Place: m.Item1), m.Item2)), WorkFields.Carries);
        return work.Get(WorkFields.Carries)!;
    });

    private static Gen<Work> AnyWork => Gen.Select(Text.Array[0, 3], Places, Gen.Int[-3, 5], Text).Select((texts, places, place, text) => Work.None
        .With(WorkFields.Carries, places).With(WorkFields.Cells, places).With(WorkFields.Rewritten, places)
        .With(WorkFields.Operands, [.. texts.Select(t => new Operand(t, place))])
        .With(WorkFields.Order, OrderField.Values[Math.Abs(place) % 3])
        .With(WorkFields.Rows, [.. texts.Select(t => new PartialProduct(t, places, place))])
        .With(WorkFields.Cycles, [.. texts.Select(t => new DivisionCycle(t, text, t, text, place))])
        .With(WorkFields.Lines, texts)
        .With(WorkFields.Sign, text)
        .With(WorkFields.Places, text)
        .With(WorkFields.Scaled, new ScaledPair(text, texts.FirstOrDefault())));

    [Fact]
    public void Any_text_is_judged_and_compared() => Gen.Select(Gen.Int[0, 11], Text, AnyWork).Sample((number, answer, work) =>
    {
        var task = Tasks[number];
        task.Judge(answer);
        var evidence = ItemEvidence.Whole(new WorkedItem { Id = "1", Task = task, TaskAsWritten = task.Text, Answer = answer, Work = work });
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        return task.Canonical(evidence.Answer) == evidence.Answer && (evidence.MarksOf(run)?.Weight ?? 1) is > 0 and <= 1;
    }, iter: 100_000);

    [Fact]
    public void Any_text_is_read() => Gen.Select(Gen.Int[0, 11], Text, AnyWork).Array[1, 3].Sample(items =>
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "A",
            Items = [.. items.Select((item, i) => WorkedItem.Of($"{i}", Tasks[item.Item1]) with { Answer = item.Item2, Work = item.Item3 })],
        });
        ReadingWriter.Write(reading, []).ShouldNotBeEmpty();
        return Math.Abs(reading.Explanations.Sum(e => e.Probability) + reading.SomethingElse + reading.NoChance) <= 1 + 1e-9;
    }, iter: 200);

    [Theory]
    [MemberData(nameof(Families))]
    public void A_recorded_field_that_differs_makes_the_marks_less_probable(Family family)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        foreach (var task in ItemPool.Of(family, 40, seed: 6))
        {
            Method.Run(task, run, DeviationSet.Taught);
            var answer = run.Page.Answer.ToString();
            var fields = TaughtFamily.Of(family).Fields.Where(f => f != WorkFields.Lines && f != WorkFields.Multiples && run.Page.Marks.Any(m => m.Field == f)).ToArray();
            if (fields.Length == 0) continue;
            var marks = run.Page.Marks.ToList();
            Seen(marks).MarkMatches(run.Page.Marks).ShouldAllBe(m => m.Off == 0, task.Text);
            var last = marks.FindLastIndex(m => fields.Contains(m.Field) && m.Kind != WorkFields.Cycles.BroughtDown);
            marks[last] = marks[last] with { Text = marks[last].Field.Name switch { "order" => "both", "sign" => "x", _ => marks[last].Text + "7" } };
            if (marks[last].Field != WorkFields.Operands) Likelihood(marks).ShouldBeLessThan(Likelihood([.. run.Page.Marks]), $"{task} {marks[last]}");

            double Likelihood(List<Mark> page) => Seen(page).MarksOf(run)!.Weight;

            ItemEvidence Seen(List<Mark> page) => ItemEvidence.Whole(WorkedItem.Of("1", task) with { Answer = answer, Work = Work.Of(page, fields) });
        }
    }
}
