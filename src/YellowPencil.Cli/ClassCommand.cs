using System.CommandLine;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Cli;

internal static class ClassCommand
{
    public static Command Make(Streams streams)
    {
        var file = new Argument<string>("FILE") { Description = "the sheets of a class, one a line; - for the standard input" };
        var text = new Option<bool>("--text") { Description = "for people instead of programs" };
        var command = new Command("class", "reads the sheets of a class together") { file, text };
        command.SetAction(call => Read(call.GetValue(file)!, call.GetValue(text), streams));
        return command;
    }

    /// <summary>Reads all sheets on all cores. One that cannot be read costs itself only: it is named, and the others are read.</summary>
    private static int Read(string file, bool asText, Streams streams)
    {
        var status = CommandLine.Done;
        var sheets = new List<WorkedSheet>();
        foreach (var (number, line, fault) in streams.ReadLines(file))
        {
            SheetFault? wrong = null;
            if (line is not null && SheetReader.TryRead(line, out wrong) is { } sheet)
            {
                sheets.Add(sheet);
                continue;
            }

            status = CommandLine.Unusable;
            streams.Error.WriteLine($"yellowpencil: {(wrong is null ? $"line {number}: {fault}" : (wrong with { Line = number }).ToString())}");
        }

        var lines = sheets.AsParallel().AsOrdered().Select(sheet => ClassLine.Of(SheetDiagnosis.Read(sheet))).ToList();
        var together = new ClassReading(lines);
        streams.Output.WriteLine(asText ? CommandLine.Printable(ClassWriter.Text(together)) : ClassWriter.Write(together));
        return status;
    }
}
