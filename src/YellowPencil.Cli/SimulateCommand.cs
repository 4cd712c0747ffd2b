using System.CommandLine;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Cli;

internal static class SimulateCommand
{
    public static Command Make(Streams streams)
    {
        var bugs = new Option<string>("--bugs") { Description = "ids of bugs, separated by commas; empty for a student without bugs", Required = true };
        var tasks = new Option<string>("--tasks") { Description = "a file with one task a line, or worked sheets whose items are taken; - for the standard input", Required = true };
        var slip = new Option<double>("--slip") { Description = "probability of a slip on one item, 0 to 1", DefaultValueFactory = _ => 0.05 };
        var consistency = new Option<double>("--consistency") { Description = "how often the bugs are followed where they apply, 0 to 1", DefaultValueFactory = _ => 0.9 };
        var seed = new Option<int>("--seed") { Description = "seed of what is left to chance", DefaultValueFactory = _ => 7 };
        var command = new Command("simulate", "writes sheets as a student with given bugs would") { bugs, tasks, slip, consistency, seed };
        command.SetAction(call =>
        {
            var student = Student(call.GetValue(bugs)!);
            var sheets = Tasks(call.GetValue(tasks)!, streams);
            var hand = new SimulatedStudent(student, Rate(call.GetValue(consistency), "--consistency"), Rate(call.GetValue(slip), "--slip"), call.GetValue(seed));
            foreach (var sheet in sheets)
                streams.Output.WriteLine(SheetWriter.Write(sheet with { Items = [.. sheet.Items.Select(hand.Write)] }));
            return CommandLine.Done;
        });
        return command;
    }

    private static Hypothesis Student(string list)
    {
        var found = new List<Bug>();
        foreach (var id in list.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
            found.Add(Catalogue.Find(id) ?? throw new UnusableInput($"--bugs: there is no bug \"{id}\"; `yellowpencil bugs` lists them"));
        return found.Distinct().Count() <= 3
            ? new Hypothesis([.. found.Distinct()], [], [])
            : throw new UnusableInput("--bugs: a student has at most three bugs at once");
    }

    private static List<WorkedSheet> Tasks(string file, Streams streams)
    {
        var text = streams.ReadAll(file);
        if (text.TrimStart().StartsWith('{')) return Sheets(file, text);
        var items = new List<WorkedItem>();
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            if (string.IsNullOrWhiteSpace(line)) continue;
            var task = TaskText.TryParse(line.Trim());
            if (!task.Succeeded) throw new UnusableInput($"{file}: line {number}: {task.Fault}");
            items.Add(new WorkedItem { Id = (items.Count + 1).ToString(), Task = task.Value, TaskAsWritten = line.Trim() });
        }

        return items.Count > 0 ? [new WorkedSheet { Student = "simulated", Items = items }] : throw new UnusableInput($"{file}: there is no task in it");
    }

    /// <summary>One sheet, over several lines or not, or one a line.</summary>
    private static List<WorkedSheet> Sheets(string file, string text)
    {
        var lines = text.Split('\n').Index().Where(l => !string.IsNullOrWhiteSpace(l.Item)).ToList();
        var isOnePerLine = lines.Count > 1 && (SheetReader.TryRead(lines[0].Item, out var first) is not null || first!.Line is null);
        if (!isOnePerLine) return [SheetReader.TryRead(text, out var fault) ?? throw new UnusableInput($"{file}: {fault}")];
        return [.. lines.Select(l => SheetReader.TryRead(l.Item, out var fault) ?? throw new UnusableInput($"{file}: {fault! with { Line = l.Index + 1 }}"))];
    }

    private static double Rate(double value, string option) =>
        value is >= 0 and <= 1 ? value : throw new UnusableInput($"{option}: must lie between 0 and 1");
}
