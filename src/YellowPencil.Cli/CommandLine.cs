using System.CommandLine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Cli;

/// <summary>The command line of the worked-sheet format. Data goes to the output, messages to the error output.</summary>
public static class CommandLine
{
    /// <summary>The exit status when everything was read.</summary>
    public const int Done = 0;

    /// <summary>The exit status for arguments or input that cannot be used, and for output that cannot be written.</summary>
    public const int Unusable = 2;

    /// <summary>Runs one call.</summary>
    /// <returns>The exit status.</returns>
    public static int Run(string[] args, Stream input, TextWriter output, TextWriter error)
    {
        try
        {
            var status = Call(args, new Streams(input, output, error));
            output.Flush();
            return status;
        }
        catch (UnusableInput fault)
        {
            return Failed(fault.Message);
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            return Failed($"the output cannot be written: {fault.Message}");
        }
        catch (Exception fault) when (fault is not OutOfMemoryException)
        {
            return Failed($"this call failed inside, which is a fault of the program: {fault.GetType().Name}: {fault.Message}");
        }

        int Failed(string message)
        {
            try
            {
                output.Flush();
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException)
            {
                // What could be written was.
            }

            error.WriteLine($"yellowpencil: {message}");
            return Unusable;
        }
    }

    private static int Call(string[] args, Streams streams)
    {
        var root = new RootCommand("Yellow Pencil reads written arithmetic: what a student is really doing, how sure that is, what to ask next.")
        {
            DiagnoseCommand.Make(streams),
            ClassCommand.Make(streams),
            SimulateCommand.Make(streams),
            BugsCommand.Make(streams),
            DesignCommand.Make(streams),
            PlanCommand.Make(streams),
        };
        var parsed = root.Parse(args, new ParserConfiguration { ResponseFileTokenReplacer = null });
        if (parsed.Errors.Count == 0) return parsed.Invoke(new InvocationConfiguration { Output = streams.Output, Error = streams.Error, EnableDefaultExceptionHandler = false });
        foreach (var fault in parsed.Errors) streams.Error.WriteLine($"yellowpencil: {fault.Message}");
        streams.Error.WriteLine("yellowpencil: --help lists the calls");
        return Unusable;
    }

    internal static WorkedSheet Sheet(string file, Streams streams) => Sheet(file, Text(file, streams));

    internal static WorkedSheet Sheet(string file, string text) => SheetReader.TryRead(text, out var fault) ?? throw new UnusableInput($"{file}: {fault}");

    internal static string Text(string file, Streams streams)
    {
        var text = streams.ReadAll(file);
        return text.Length <= Streams.LongestText ? text : throw new UnusableInput($"{file}: a sheet has at most {Streams.LongestText} bytes");
    }

    internal static Family FamilyInProduct(string name)
    {
        return FamilyList.TryParse(name, out var family)
            ? family
            : throw new UnusableInput($"--family: there is no family \"{name}\"; the families are {string.Join(", ", FamilyList.All.Select(f => f.Name))}");
    }

    /// <summary>Text for people without what a terminal would take for a command: control characters come from sheets that somebody else wrote.</summary>
    internal static string Printable(string text) => string.Concat(text.Select(c => char.IsControl(c) && c != '\n' ? '\uFFFD' : c));
}
