using System.CommandLine;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;

namespace YellowPencil.Cli;

internal static class BugsCommand
{
    public static Command Make(Streams streams)
    {
        var family = new Option<string>("--family") { Description = "only the bugs of one family" };
        var command = new Command("bugs", "the catalogue, one JSON object a line") { family };
        command.SetAction(call =>
        {
            var only = call.GetValue(family);
            var bugs = only is null ? Catalogue.All : Catalogue.DeclaredFor(CommandLine.FamilyInProduct(only));
            foreach (var bug in bugs) streams.Output.WriteLine(Line(bug));
            return CommandLine.Done;
        });
        return command;
    }

    private static string Line(Bug bug) => JsonText.Write(false, json =>
    {
        const ClassroomWord word = ClassroomWord.Rename;
        var example = BugExample.Of(bug);
        json.WriteStartObject();
        json.WriteString("id", bug.Id);
        json.WriteString("family", bug.Family.Name);
        json.WriteString("name", bug.Name.In(word));
        json.WriteString("text", bug.Text.In(word));
        json.WriteString("decision", bug.Decision.Id);
        json.WriteString("reason", bug.Reason.In(word));
        json.WriteString("idea", bug.Idea.Statement.In(word));
        json.WriteStartObject("example");
        json.WriteString("task", example.Task.Text);
        example.Task.Asked.Write(json);
        json.WriteString("right", example.Task.RightAnswer);
        json.WriteString("answer", example.Answer);
        json.WriteEndObject();
        json.WriteEndObject();
    });
}
