using System.CommandLine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Remediation;
using YellowPencil.Core.Working;

namespace YellowPencil.Cli;

internal static class PlanCommand
{
    public static Command Make(Streams streams)
    {
        var file = new Argument<string>("FILE") { Description = "a worked sheet; - for the standard input" };
        var json = new Option<bool>("--json") { Description = "as data instead of Markdown" };
        var word = new Option<string>("--word") { Description = "the classroom's word: rename, borrow, regroup or exchange", DefaultValueFactory = _ => "rename" };
        var command = new Command("plan", "the remediation plan for a sheet") { file, json, word };
        command.SetAction(call =>
        {
            if (!ClassroomWords.TryParse(call.GetValue(word)!, out var classroom))
                throw new UnusableInput($"--word: must be one of {string.Join(", ", Enum.GetNames<ClassroomWord>()).ToLowerInvariant()}");
            if (SheetReader.TryRead(streams.ReadAll(call.GetValue(file)!), out var fault) is not { } sheet) throw new UnusableInput(fault!.ToString());
            var reading = SheetDiagnosis.Read(sheet);
            var isHeld = reading.Outcome is Outcome.Bug or Outcome.NotToldApart && reading.BestBug is not null;
            if (!isHeld || !PlanMaker.CanPlan(reading.BestBug!.Hypothesis))
            {
                streams.Output.WriteLine(call.GetValue(json) ? ReadingWriter.Write(reading, NextItems.For(reading), classroom) : NoPlan(reading));
                return CommandLine.Done;
            }

            var plan = PlanMaker.Make(sheet.Student, reading.BestBug!.Hypothesis, [.. reading.Facts.Select(f => f.Fact)], classroom, PlanMaker.DigitsOf(sheet));
            streams.Output.WriteLine(call.GetValue(json) ? PlanText.Json(plan) : Doubt(reading) + PlanText.Markdown(plan));
            return CommandLine.Done;
        });
        return command;
    }

    private static string NoPlan(Reading reading) => reading.Outcome is Outcome.Bug or Outcome.NotToldApart
        ? $"# No plan yet for {reading.Sheet.Student}\n\nPlans are made for column subtraction only, so far. {reading.BestBug!.Text.In(ClassroomWord.Rename)}"
        : $"# No plan yet for {reading.Sheet.Student}\n\n{ReadingText.Say(reading.Outcome)}\n\n{ReadingText.AskNext(NextItems.For(reading))}";

    private static string Doubt(Reading reading) => reading.Outcome == Outcome.Bug
        ? ""
        : $"> {ReadingText.Say(reading.Outcome)} This plan is for the likeliest of them. {ReadingText.AskNext(NextItems.For(reading))}\n\n";
}
