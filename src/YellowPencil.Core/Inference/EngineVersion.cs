using System.Reflection;
using System.Security.Cryptography;
using System.Text;
using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>What made a reading: kept with it, so that one that would come out otherwise today is known as out of date.</summary>
public static class EngineVersion
{
    private const int ItemsPerBug = 12;
    private const int SheetsPerFamily = 2;

    /// <summary>
    /// A fingerprint of the catalogue, the priors and the engine: of every bug as it is declared, of every number that stands before the evidence, and of what
    /// methods and inference make of a fixed set of tasks and sheets. Rebuilding or reformatting changes nothing. It stands here because taking it costs
    /// seconds of a processor; a test takes it anew and says what is to stand here.
    /// </summary>
    public const string Current = "35727a32fc43b322";

    /// <summary>Takes the fingerprint.</summary>
    internal static string Measure() => Of(Catalogue.All, Numbers(typeof(Priors)), Behaviour());

    internal static string Of(IEnumerable<Bug> bugs, string numbers, string behaviour)
    {
        var text = new StringBuilder();
        foreach (var bug in bugs)
            text.AppendJoin(
                '|', bug.Id, bug.Name, bug.Text, bug.Reason, bug.Idea.Id, bug.Commonness, string.Join(',', bug.Deviations.Select(d => d.Decision!.Id)))
                .Append('\n');
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text.Append(numbers).Append('\n').Append(behaviour).ToString())))[..16];
    }

    /// <summary>The constants and tables of a class, by name.</summary>
    internal static string Numbers(Type type) =>
        string.Join('\n', type.GetFields(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic).OrderBy(f => f.Name, StringComparer.Ordinal)
        .Select(
            f =>
                $"{f.Name}={(f.GetValue(null) is System.Collections.IEnumerable list and not string ? string.Join(',', list.Cast<object>()) : f.GetValue(null))}"));

    /// <summary>What every bug writes to some items, and what some sheets are read as.</summary>
    private static string Behaviour()
    {
        var text = new StringBuilder();
        var run = new MethodRun();
        foreach (var family in FamilyList.All)
        {
            var items = ItemPool.Of(family, ItemsPerBug, seed: 9);
            var bugs = Catalogue.Of(family);
            foreach (var does in bugs.SelectMany(b => b.Outcomes).Select(b => b.Deviations).Prepend(null))
            {
                var student = new DeviationSet(does is null ? [] : [does]);
                foreach (var item in items)
                {
                    Method.Run(item, run, student);
                    text.Append(run.Page.Answer).Append(' ').Append(run.Chances).Append(';');
                }
            }

            for (var i = 0; i < SheetsPerFamily; i++)
            {
                var hand = new SimulatedStudent(Hypothesis.Of(bugs[(7 * i + 3) % bugs.Count], bugs[(11 * i + 5) % bugs.Count]), 0.8, 0.15, i);
                var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "", Items = [.. items.Take(10).Select((task, n) => hand.Write($"{n}", task))] });
                text.Append($"{reading.Outcome} {reading.SomethingElse:F6} {reading.NoChance:F6}\n");
                foreach (var e in reading.Explanations) text.Append($"{e.Hypothesis.Key} {e.Probability:F6}\n");
                foreach (var item in reading.Items) text.Append($"{item.Verdict} {item.Cause} {item.FirstWrongStep}\n");
            }
        }

        return text.ToString();
    }
}
