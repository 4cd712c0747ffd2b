using System.CommandLine;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;

namespace YellowPencil.Cli;

internal static class DesignCommand
{
    private const int MostItems = 60;

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
            return CommandLine.Done;
        });
        return command;
    }
}
