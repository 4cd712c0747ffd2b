using System.CommandLine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;

namespace YellowPencil.Cli;

internal static class DiagnoseCommand
{
    public static Command Make(Streams streams)
    {
        var file = new Argument<string>("FILE") { Description = "a worked sheet; - for the standard input" };
        var batch = new Option<bool>("--batch") { Description = "the file holds one sheet a line" };
        var text = new Option<bool>("--text") { Description = "for people instead of programs" };
        var command = new Command("diagnose", "reads one sheet, or a batch of them") { file, batch, text };
        command.SetAction(call =>
        {
            var all = streams.ReadAll(call.GetValue(file)!);
            return call.GetValue(batch) ? Batch(all, call.GetValue(text), streams) : One(all, call.GetValue(text), streams);
        });
        return command;
    }

    private static int One(string json, bool asText, Streams streams)
    {
        if (SheetReader.TryRead(json, out var fault) is not { } sheet) throw new UnusableInput(fault!.ToString());
        streams.Output.WriteLine(Read(sheet, asText));
        return CommandLine.Done;
    }

    private static int Batch(string text, bool asText, Streams streams)
    {
        var status = CommandLine.Done;
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            if (string.IsNullOrWhiteSpace(line)) continue;
            if (SheetReader.TryRead(line, out var fault) is { } sheet)
            {
                streams.Output.WriteLine(Read(sheet, asText));
                continue;
            }

            streams.Error.WriteLine($"yellowpencil: {fault! with { Line = number }}");
            status = CommandLine.Unusable;
        }

        return status;
    }

    private static string Read(WorkedSheet sheet, bool asText)
    {
        var reading = SheetDiagnosis.Read(sheet);
        var next = NextItems.For(reading);
        return asText ? ReadingText.Write(reading, next) : ReadingWriter.Write(reading, next);
    }
}
