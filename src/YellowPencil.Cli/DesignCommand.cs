using System.CommandLine;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Cli;

internal static class DesignCommand
{
    private const int MostItems = 60;
    private const int MostNamed = 3;

    public static Command Make(Streams streams)
    {
        var family = new Option<string>("--family") { Description = "the family of methods", Required = true };
        var items = new Option<int>("--items") { Description = $"how many items, 1 to {MostItems}", Required = true };
        var seed = new Option<int>("--seed") { Description = "seed of the numbers", DefaultValueFactory = _ => 7 };
        var command = new Command("design", "a sheet of items chosen to tell the catalogue's bugs apart") { family, items, seed };
        command.SetAction(call =>
        {
            var count = call.GetValue(items);
            if (count is < 1 or > MostItems) throw new UnusableInput($"--items: must lie between 1 and {MostItems}");
            var tasks = SheetDesign.Of(CommandLine.FamilyInProduct(call.GetValue(family)!), count, call.GetValue(seed));
            streams.Output.WriteLine(SheetWriter.Write(new WorkedSheet
            {
                Student = "unassigned",
                Sheet = $"{call.GetValue(family)}, designed, seed {call.GetValue(seed)}",
                Items = [.. tasks.Select((t, i) => WorkedItem.Of((i + 1).ToString(), t))],
            }));
            if (WhatCannotShow(tasks) is { } note) streams.Error.WriteLine(note);
            return CommandLine.Done;
        });
        return command;
    }

    // Beside the sheet, for people: what it cannot tell, the bugs of parts among it.
    private static string? WhatCannotShow(IReadOnlyList<ItemTask> tasks)
    {
        var coverage = new SheetCoverage(tasks);
        var parts = TaughtFamily.Of(tasks[0].Family).Parts.Select(p => FamilyList.Named(p.Family)).Distinct().Where(part => !coverage.PartsThatShow.Contains(part)).Select(p => p.Title).ToList();
        List<string> said = [];
        if (coverage.Never.Count > 0) said.Add($"{coverage.Never.Count} of {coverage.Bugs.Count} rules cannot show on this sheet: {string.Join(", ", coverage.Never.Take(MostNamed).Select(b => b.Id))}{(coverage.Never.Count > MostNamed ? $" and {coverage.Never.Count - MostNamed} more" : "")}");
        if (parts.Count > 0) said.Add($"no rule of {string.Join(", ", parts)} can show here: design a sheet of that family");
        return said.Count > 0 ? string.Join("; ", said) : null;
    }
}
