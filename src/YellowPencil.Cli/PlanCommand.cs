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
            var sheet = CommandLine.Sheet(call.GetValue(file)!, streams);
            var reading = SheetDiagnosis.Read(sheet);
            var isHeld = reading.Outcome is Outcome.Bug or Outcome.NotToldApart && reading.BestBug is not null;
            if (!isHeld || !PlanMaker.CanPlan(reading.BestBug!.Hypothesis))
            {
                var why = NoPlan(reading);
                streams.Output.WriteLine(call.GetValue(json) ? PlanJson.Write(sheet.Student, null, why) : CommandLine.Printable($"# No plan yet for {sheet.Student}\n\n{why}"));
                return CommandLine.Done;
            }

            var plan = PlanMaker.Make(sheet.Student, reading.BestBug!.Hypothesis, [.. reading.Facts.Select(f => f.Fact)], classroom, PlanMaker.LevelOf(sheet, reading.BestBug!.Hypothesis), rivals: ReadingText.RivalsOf(reading));
            streams.Output.WriteLine(call.GetValue(json) ? PlanJson.Write(sheet.Student, plan, null) : CommandLine.Printable(Doubt(reading) + PlanText.Markdown(plan)));
            return CommandLine.Done;
        });
        return command;
    }

    private static string NoPlan(Reading reading) => reading.Outcome is Outcome.Bug or Outcome.NotToldApart
        ? $"The rule that was found points to no idea that could be taught: let the student talk an item through. {reading.BestBug!.Text.In(ClassroomWord.Rename)}"
        : $"{ReadingText.Say(reading.Outcome)} {ReadingText.AskNext(NextItems.For(reading))}".TrimEnd();

    private static string Doubt(Reading reading) => reading.Outcome == Outcome.Bug
        ? ""
        : $"> {ReadingText.Say(reading.Outcome)} This plan is for the likeliest of them. {ReadingText.AskNext(NextItems.For(reading))}\n\n";
}
