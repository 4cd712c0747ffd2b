using System.CommandLine;
using System.Threading.Tasks.Dataflow;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Cli;

internal static class DiagnoseCommand
{
    /// <summary>So many sheets a core are on their way at once: enough to keep all cores busy, few enough to keep memory flat.</summary>
    private const int SheetsPerCore = 4;

    public static Command Make(Streams streams)
    {
        var file = new Argument<string>("FILE") { Description = "a worked sheet; - for the standard input" };
        var batch = new Option<bool>("--batch") { Description = "the file holds one sheet a line" };
        var text = new Option<bool>("--text") { Description = "for people instead of programs" };
        var command = new Command("diagnose", "reads one sheet, or a batch of them") { file, batch, text };
        command.SetAction(call => call.GetValue(batch)
            ? Batch(call.GetValue(file)!, call.GetValue(text), streams)
            : One(call.GetValue(file)!, call.GetValue(text), streams));
        return command;
    }

    private static int One(string file, bool asText, Streams streams)
    {
        streams.Output.WriteLine(Read(CommandLine.Sheet(file, streams), asText));
        return CommandLine.Done;
    }

    /// <summary>Reads sheet by sheet as they come in, on all cores, and writes the readings in the order of the sheets.</summary>
    private static int Batch(string file, bool asText, Streams streams)
    {
        var status = CommandLine.Done;
        var cores = Environment.ProcessorCount;
        var reading = new TransformBlock<(int Number, string? Text, string? Fault), (string? Reading, string? Fault)>(
            line => Read(line.Number, line.Text, line.Fault, asText),
            new ExecutionDataflowBlockOptions { MaxDegreeOfParallelism = cores, BoundedCapacity = SheetsPerCore * cores, EnsureOrdered = true, SingleProducerConstrained = true });
        var writing = new ActionBlock<(string? Reading, string? Fault)>(
            read =>
            {
                if (read.Fault is not null)
                {
                    status = CommandLine.Unusable;
                    streams.Error.WriteLine($"yellowpencil: {read.Fault}");
                    return;
                }

                streams.Output.WriteLine(read.Reading);
                streams.Output.Flush();
            },
            new ExecutionDataflowBlockOptions { BoundedCapacity = SheetsPerCore * cores });
        reading.LinkTo(writing, new DataflowLinkOptions { PropagateCompletion = true });

        // Where writing fails, the blocks decline what is sent: then nothing more is read.
        foreach (var line in streams.ReadLines(file))
        {
            if (writing.Completion.IsFaulted || !SendTo(line)) break;
        }

        reading.Complete();
        writing.Completion.GetAwaiter().GetResult();
        return status;

        bool SendTo((int, string?, string?) line)
        {
            var sent = reading.SendAsync(line);
            Task.WhenAny(sent, writing.Completion).GetAwaiter().GetResult();
            return sent.IsCompleted && sent.Result;
        }
    }

    private static (string? Reading, string? Fault) Read(int number, string? text, string? fault, bool asText)
    {
        if (text is null) return (null, $"line {number}: {fault}");
        try
        {
            return SheetReader.TryRead(text, out var wrong) is { } sheet ? (Read(sheet, asText), null) : (null, (wrong! with { Line = number }).ToString());
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            return (null, $"line {number}: this sheet failed inside, which is a fault of the program: {e.GetType().Name}: {e.Message}");
        }
    }

    private static string Read(WorkedSheet sheet, bool asText)
    {
        var reading = SheetDiagnosis.Read(sheet);
        var next = NextItems.For(reading);
        return asText ? CommandLine.Printable(ReadingText.Write(reading, next)) : ReadingWriter.Write(reading, next);
    }
}
