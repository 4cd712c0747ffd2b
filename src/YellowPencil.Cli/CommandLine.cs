using System.CommandLine;
using YellowPencil.Core.Notation;

namespace YellowPencil.Cli;

/// <summary>The command line of the worked-sheet format. Data goes to the output, messages to the error output.</summary>
public static class CommandLine
{
    /// <summary>The exit status when everything was read.</summary>
    public const int Done = 0;

    /// <summary>The exit status for arguments or input that cannot be used.</summary>
    public const int Unusable = 2;

    /// <summary>Runs one call.</summary>
    /// <returns>The exit status.</returns>
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        var streams = new Streams(input, output, error);
        var root = new RootCommand("Yellow Pencil reads written arithmetic: what a student is really doing, how sure that is, what to ask next.")
        {
            DiagnoseCommand.Make(streams),
            SimulateCommand.Make(streams),
            BugsCommand.Make(streams),
            DesignCommand.Make(streams),
            PlanCommand.Make(streams),
        };
        var parsed = root.Parse(args);
        if (parsed.Errors.Count > 0)
        {
            foreach (var fault in parsed.Errors) error.WriteLine($"yellowpencil: {fault.Message}");
            error.WriteLine("yellowpencil: --help lists the calls");
            return Unusable;
        }

        try
        {
            return parsed.Invoke(new InvocationConfiguration { Output = output, Error = error, EnableDefaultExceptionHandler = false });
        }
        catch (UnusableInput fault)
        {
            error.WriteLine($"yellowpencil: {fault.Message}");
            return Unusable;
        }
    }

    internal static Family Family(string name)
    {
        if (!FamilyNames.TryParse(name, out var family))
            throw new UnusableInput($"--family: there is no family \"{name}\"; the families are {string.Join(", ", Enum.GetValues<Family>().Select(f => f.Name()))}");
        return family;
    }

    internal static Family FamilyInProduct(string name)
    {
        var family = Family(name);
        return Core.Procedures.Method.Families.Contains(family)
            ? family
            : throw new UnusableInput($"--family: {name} is not in the product yet; so far there is {string.Join(", ", Core.Procedures.Method.Families.Select(f => f.Name()))}");
    }
}

/// <summary>Where a call reads and writes.</summary>
internal sealed record Streams(TextReader Input, TextWriter Output, TextWriter Error)
{
    /// <summary>The text of a file, or of the standard input for "-".</summary>
    public string ReadAll(string file)
    {
        if (file == "-") return Input.ReadToEnd();
        try
        {
            return File.ReadAllText(file);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new UnusableInput($"{file}: {e.Message}");
        }
    }
}

/// <summary>Input that cannot be used; the message says which and where.</summary>
internal sealed class UnusableInput(string message) : Exception(message);
