using System.CommandLine;
using System.Text.Json;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;

namespace YellowPencil.Cli;

internal static class PlanCommand
{
    public static Command Make(Streams streams)
    {
        var file = new Argument<string>("FILE") { Description = "a worked sheet, or a plan that --json wrote; - for the standard input" };
        var json = new Option<bool>("--json") { Description = "as data instead of Markdown" };
        var word = new Option<string>("--word") { Description = "the classroom's word: rename, borrow, regroup or exchange", DefaultValueFactory = _ => "rename" };
        var command = new Command("plan", "the remediation plan for a sheet") { file, json, word };
        command.SetAction(call =>
        {
            if (!ClassroomWords.TryParse(call.GetValue(word)!, out var said))
                throw new UnusableInput($"--word: must be one of {string.Join(", ", Enum.GetNames<ClassroomWord>()).ToLowerInvariant()}");
            var (sheet, kept) = SheetOrPlan(call.GetValue(file)!, streams);
            if (kept is not null)
            {
                streams.Output.WriteLine(call.GetValue(json) ? PlanJson.Write(kept.Student, kept, null) : CommandLine.Printable(PlanText.Markdown(kept)));
                return CommandLine.Done;
            }

            var reading = SheetDiagnosis.Read(sheet!);
            var isHeld = reading.Outcome is Outcome.Bug or Outcome.NotToldApart && reading.BestBug is not null;
            if (!isHeld || !PlanMaker.CanPlan(reading.BestBug!.Hypothesis))
            {
                Say(NoPlan(reading));
                return CommandLine.Done;
            }

            void Say(string why) =>
                streams.Output.WriteLine(call.GetValue(json) ? PlanJson.Write(sheet!.Student, null, why) : CommandLine.Printable($"# No plan yet for {sheet!.Student}\n\n{why}"));

            try
            {
                var classroom = new Classroom(said, School.Named(sheet!.Methods));
                var plan = PlanMaker.Make(
                    sheet.Student, reading.BestBug!.Hypothesis, [.. reading.Facts.Select(f => f.Fact)], classroom, StudentSize.Of(sheet.Items.Select(i => i.Task)), rivals: ReadingText.RivalsOf(reading));
                streams.Output.WriteLine(call.GetValue(json) ? PlanJson.Write(sheet.Student, plan, null) : CommandLine.Printable(Doubt(reading) + PlanText.Markdown(plan)));
            }
            catch (TooFewItemsException none)
            {
                Say(none.Message);
            }

            return CommandLine.Done;
        });
        return command;
    }

    /// <summary>What a file holds: a worked sheet, or a plan that was written before.</summary>
    private static (WorkedSheet? Sheet, RemediationPlan? Plan) SheetOrPlan(string file, Streams streams)
    {
        var text = CommandLine.Text(file, streams);
        if (!IsPlan(text)) return (CommandLine.Sheet(file, text), null);
        try
        {
            using var document = JsonDocument.Parse(text);
            return (null, PlanJson.ReadFile(document.RootElement));
        }
        catch (JsonException fault)
        {
            throw new UnusableInput($"{file}: {fault.Message}");
        }
    }

    // Which of the two it is says the name of its format; what is wrong with a sheet is said by the reader of sheets.
    private static bool IsPlan(string text)
    {
        try
        {
            using var document = JsonDocument.Parse(text);
            return document.RootElement.ValueKind == JsonValueKind.Object && document.RootElement.TryGetProperty("format", out var format) && format.ValueKind == JsonValueKind.String && format.GetString() == PlanJson.Format;
        }
        catch (JsonException)
        {
            return false;
        }
    }

    private static string NoPlan(Reading reading) => reading.Outcome is Outcome.Bug or Outcome.NotToldApart
        ? !reading.BestBug!.Hypothesis.Bugs.All(b => TeachingScripts.Families.Contains(b.Family))
            ? $"Plans are made for the number families so far: {string.Join(", ", TeachingScripts.Families.Select(f => f.Title))}. {reading.BestBug!.Text.In(ClassroomWord.Rename)}"
            : $"The rule that was found points to no idea that could be taught: let the student talk an item through. {reading.BestBug!.Text.In(ClassroomWord.Rename)}"
        : $"{ReadingText.Say(reading.Outcome)} {ReadingText.AskNext(NextItems.For(reading))}".TrimEnd();

    private static string Doubt(Reading reading) => reading.Outcome == Outcome.Bug
        ? ""
        : $"> {ReadingText.Say(reading.Outcome)} This plan is for the likeliest of them. {ReadingText.AskNext(NextItems.For(reading))}\n\n";
}
