using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Bench;

/// <summary>One setting of the study.</summary>
internal sealed record Setting(double Consistency, double SlipRate, bool Designed, bool Marks);

/// <summary>What came out of one setting.</summary>
internal sealed class Tally
{
    public int Students, Exact, WithinClass, PlainExact, FreshWrong, FreshPredicted, ExactPredicted, PlainPredicted;
    public double CalibrationError;
    public readonly SortedDictionary<string, int> Missed = new(StringComparer.Ordinal);
    public readonly SortedDictionary<string, int> NotPredicted = new(StringComparer.Ordinal);
}

/// <summary>
/// Simulated students over a catalogue: are their bugs found, and are their fresh wrong answers foretold? Beside it stands the
/// plain reading "the bug that matches most items".
/// </summary>
/// <param name="family">The family of the items.</param>
/// <param name="bugs">The bugs of the students.</param>
/// <param name="studentsPerBug">How many students have each bug.</param>
/// <param name="items">Items on a sheet.</param>
internal sealed class RecoveryStudy(Family family, IReadOnlyList<Bug> bugs, int studentsPerBug, int items)
{
    private const int FreshItems = 20;

    public Tally Run(Setting setting)
    {
        var tally = new Tally();
        var bins = new (int Count, double Sum, int Right)[10];
        var seed = 1000;
        foreach (var bug in bugs)
            for (var i = 0; i < studentsPerBug; i++) One(Hypothesis.Of(bug), setting, seed++, tally, bins);
        tally.CalibrationError = Error(bins);
        return tally;
    }

    /// <summary>Students whose bug is taken out of the catalogue before the reading: the share of fresh wrong answers that is still foretold.</summary>
    public (int FreshWrong, int Predicted) LeftOut(Setting setting, int students)
    {
        var (wrong, predicted) = (0, 0);
        var run = new MethodRun();
        foreach (var bug in bugs)
            for (var seed = 0; seed < students; seed++)
            {
                var fresh = ItemPool.Of(family, FreshItems, seed + 900);
                var sheet = Sheet(Hypothesis.Of(bug), setting, seed, Tasks(setting, seed)) with { Predict = [.. fresh.Select(SetItem.Of)] };
                var reading = SheetDiagnosis.Read(sheet, families => [.. families.SelectMany(Catalogue.Of).Where(b => b != bug)]);
                for (var i = 0; i < fresh.Count; i++)
                {
                    Method.Run(fresh[i], run, bug.Alone);
                    if (run.Page.Answer.SequenceEqual(fresh[i].RightAnswer)) continue;
                    wrong++;
                    if (run.Page.Answer.SequenceEqual(reading.Predictions[i].Answer)) predicted++;
                }
            }

        return (wrong, predicted);
    }

    private static double Error((int Count, double Sum, int Right)[] bins) =>
        bins.Sum(b => b.Count == 0 ? 0 : b.Count * Math.Abs(b.Sum / b.Count - (double)b.Right / b.Count)) / Math.Max(1, bins.Sum(b => b.Count));

    /// <summary>The same for students with two bugs that concern different decisions, drawn from the catalogue.</summary>
    public Tally RunPairs(Setting setting, int students)
    {
        var tally = new Tally();
        var bins = new (int Count, double Sum, int Right)[10];
        var random = new Random(17);
        while (tally.Students < students)
        {
            var (a, b) = (bugs[random.Next(bugs.Count)], bugs[random.Next(bugs.Count)]);
            if (a.Decision != b.Decision) One(Hypothesis.Of(a, b), setting, 90_000 + tally.Students, tally, bins);
        }

        tally.CalibrationError = Error(bins);
        return tally;
    }

    /// <summary>The shares of sound students in whom a bug is seen, and who are called sound; the rest is "not enough to say".</summary>
    public (double Buggy, double Sound) SoundStudents(Setting setting, int students)
    {
        int buggy = 0, sound = 0;
        for (var i = 0; i < students; i++)
        {
            var outcome = SheetDiagnosis.Read(Sheet(Hypothesis.Sound, setting, 50_000 + i, Tasks(setting, 50_000 + i))).Outcome;
            if (outcome is Outcome.Bug or Outcome.NotToldApart) buggy++;
            if (outcome == Outcome.Sound) sound++;
        }

        return ((double)buggy / students, (double)sound / students);
    }

    private void One(Hypothesis truth, Setting setting, int seed, Tally tally, (int Count, double Sum, int Right)[] bins)
    {
        var tasks = Tasks(setting, seed);
        var fresh = ItemPool.Of(family, FreshItems, seed + 777_000);
        var sheet = Sheet(truth, setting, seed, tasks) with
        {
            Predict = [.. fresh.Select(SetItem.Of)],
        };
        var reading = SheetDiagnosis.Read(sheet);
        tally.Students++;
        var ids = truth.RuleIds;
        var exact = reading.Best.Hypothesis.RuleIds.SequenceEqual(ids);
        var within = exact || SaysTheSame(reading, truth);
        if (exact) tally.Exact++;
        if (within) tally.WithinClass++;
        else tally.Missed[string.Join('+', ids)] = tally.Missed.GetValueOrDefault(string.Join('+', ids)) + 1;
        var bin = Math.Min(9, (int)(ClassProbability(reading) * 10));
        bins[bin] = (bins[bin].Count + 1, bins[bin].Sum + ClassProbability(reading), bins[bin].Right + (within ? 1 : 0));

        var ceiling = ExactAnswers(sheet, fresh, setting, truth.School);
        var plain = PlainReading(sheet);
        if (plain.RuleIds.SequenceEqual(ids)) tally.PlainExact++;
        var run = new MethodRun();
        for (var i = 0; i < fresh.Count; i++)
        {
            Method.Run(fresh[i], run, truth.Deviations);
            var answer = run.Page.Answer.ToString();
            if (answer == fresh[i].RightAnswer) continue;
            tally.FreshWrong++;
            if (reading.Predictions[i].Answer == answer) tally.FreshPredicted++;
            else tally.NotPredicted[string.Join('+', ids)] = tally.NotPredicted.GetValueOrDefault(string.Join('+', ids)) + 1;
            if (ceiling[i] == answer) tally.ExactPredicted++;
            Method.Run(fresh[i], run, plain.Deviations);
            if (run.Page.Answer.SequenceEqual(answer)) tally.PlainPredicted++;
        }
    }

    /// <summary>Whether the best explanation predicts what the truth predicts on every item of the sheet: then both are one class.</summary>
    private static bool SaysTheSame(Reading reading, Hypothesis truth)
    {
        var run = new MethodRun();
        return reading.Sheet.Items.Where(i => i.IsAnswered).All(i =>
        {
            Method.Run(i.Task, run, truth.Deviations);
            return run.Page.Answer.SequenceEqual(reading.Best.Predictions[i.Id]);
        });
    }

    private static double ClassProbability(Reading reading)
    {
        var signature = Signature(reading.Best);
        return Math.Min(1, reading.Explanations.Where(e => Signature(e) == signature).Sum(e => e.Probability));
    }

    private static string Signature(Explanation e) => string.Join('|', e.Predictions.OrderBy(p => p.Key, StringComparer.Ordinal).Select(p => p.Value));

    private IReadOnlyList<ItemTask> Tasks(Setting setting, int seed) => setting.Designed
        ? designed ??= SheetDesign.Of(family, items, seed: 7)
        : ItemPool.Of(family, items, seed);

    private IReadOnlyList<ItemTask>? designed;

    private static WorkedSheet Sheet(Hypothesis student, Setting setting, int seed, IReadOnlyList<ItemTask> tasks)
    {
        var hand = new SimulatedStudent(student, setting.Consistency, setting.SlipRate, seed);
        var items = tasks.Select((t, i) => hand.Write((i + 1).ToString(), t)).Select(i => setting.Marks ? i : i with { Work = Work.None });
        return new WorkedSheet { Student = "simulated", Items = [.. items] };
    }

    /// <summary>What is foretold by one who knows the school, that there is one bug of the family, and how often it is followed and slipped from.</summary>
    private string[] ExactAnswers(WorkedSheet sheet, IReadOnlyList<ItemTask> fresh, Setting setting, School school)
    {
        var items = sheet.Items.Where(i => i.IsAnswered).SelectMany((item, i) => ItemEvidence.Of(item, i, [school])).ToList();
        var likelihood = new SheetLikelihood(items, bugs, [], school: school);
        var weighed = bugs.Select(b => likelihood.Sound.With(b)).Select(h =>
        {
            var exact = likelihood.Refine(likelihood.Rough(h));
            return (Hypothesis: h, Log: exact.LogPrior + exact.Items.Sum(i => Math.Log(Math.Max(1e-12, i.At(setting.Consistency, setting.SlipRate)))));
        }).ToList();
        var largest = weighed.Max(w => w.Log);
        var run = new MethodRun();
        return [.. fresh.Select(task =>
        {
            var answers = new Dictionary<string, double>();
            foreach (var (hypothesis, log) in weighed.Where(w => w.Log > largest - 15))
                foreach (var (answer, probability) in AnswerPrediction.Answers(task, hypothesis, setting.Consistency, run))
                    answers[answer] = answers.GetValueOrDefault(answer) + Math.Exp(log - largest) * probability;
            return answers.MaxBy(a => a.Value).Key;
        })];
    }

    private Hypothesis PlainReading(WorkedSheet sheet)
    {
        var run = new MethodRun();
        return Catalogue.Of(family).Select(b => Hypothesis.Of(b)).Prepend(Hypothesis.Sound).MaxBy(h => sheet.Items.Count(i =>
        {
            Method.Run(i.Task, run, h.Deviations);
            return run.Page.Answer.SequenceEqual(i.Answer ?? "");
        }))!;
    }
}
