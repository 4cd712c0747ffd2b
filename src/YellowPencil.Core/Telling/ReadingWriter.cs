using System.Text.Json;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>Writes a reading, with the items to ask next, in the format that the command line gives out.</summary>
public static class ReadingWriter
{
    /// <summary>The value of <c>format</c>.</summary>
    public const string Format = "yellow-pencil.reading";

    /// <summary>The reading as one line of JSON, sentences in the classroom's word.</summary>
    public static string Write(Reading reading, IReadOnlyList<NextItem> next, ClassroomWord word = ClassroomWord.Rename) => JsonText.Write(false, json =>
    {
        json.WriteStartObject();
        json.WriteString("format", Format);
        json.WriteNumber("version", 1);
        json.WriteString("student", reading.Sheet.Student);
        if (reading.Sheet.Sheet is not null) json.WriteString("sheet", reading.Sheet.Sheet);
        json.WriteString("outcome", Spelling.Of(reading.Outcome));
        WriteList(json, "items", reading.Items, item => WriteItem(json, item, word));
        WriteList(json, "explanations", reading.Explanations, e => WriteExplanation(json, e, reading.Sheet, word));
        WriteList(json, "facts", reading.Facts, fact =>
        {
            json.WriteStartObject();
            json.WriteString("fact", fact.Fact.ToString());
            json.WriteString("written", fact.Written.ToString());
            WriteTexts(json, "items", fact.Items);
            json.WriteEndObject();
        });
        WriteList(json, "predictions", reading.Predictions, prediction =>
        {
            json.WriteStartObject();
            json.WriteString("task", prediction.Task);
            json.WriteString("answer", prediction.Answer);
            WriteShare(json, "probability", prediction.Probability);
            json.WriteEndObject();
        });
        WriteList(json, "nextItems", next, item =>
        {
            json.WriteStartObject();
            json.WriteString("task", item.Task.Text);
            WriteShare(json, "gainBits", item.GainBits);
            WriteList(json, "answers", item.Answers, answer =>
            {
                json.WriteStartObject();
                WriteTexts(json, "bugs", answer.Rules);
                json.WriteString("answer", answer.Answer);
                json.WriteEndObject();
            });
            json.WriteEndObject();
        });
        json.WriteEndObject();
    });

    private static void WriteItem(Utf8JsonWriter json, ItemReading item, ClassroomWord word)
    {
        json.WriteStartObject();
        json.WriteString("id", item.Item.Id);
        json.WriteString("task", item.Item.TaskAsWritten);
        json.WriteString("correct", item.Item.Task.RightAnswer);
        json.WriteString("answer", item.Item.Answer);
        json.WriteString("verdict", Spelling.Of(item.Verdict));
        if (item.Cause is { } cause) json.WriteString("cause", Spelling.Of(cause));
        if (item.FirstWrongStep is { } step)
        {
            json.WriteStartObject("firstWrongStep");
            json.WriteString("step", step.Step);
            if (step.Row is { } row) json.WriteNumber("row", row);
            if (step.Place is { } place) json.WriteString("place", place.ToString());
            json.WriteString("expected", step.Expected.In(word));
            json.WriteString("written", step.Written.In(word));
            json.WriteString("text", step.Text.In(word));
            json.WriteEndObject();
        }

        json.WriteEndObject();
    }

    private static void WriteExplanation(Utf8JsonWriter json, Explanation explanation, WorkedSheet sheet, ClassroomWord word)
    {
        json.WriteStartObject();
        WriteTexts(json, "bugs", explanation.Hypothesis.RuleIds);
        WriteShare(json, "probability", explanation.Probability);
        WriteShare(json, "consistency", explanation.Chances > 0 ? (double)explanation.Followed / explanation.Chances : explanation.Consistency);
        json.WriteString("text", explanation.Text.In(word));
        foreach (var stand in Enum.GetValues<Stand>())
            WriteTexts(json, Spelling.Of(stand), explanation.Standing(stand, sheet));
        WriteList(json, "notSeparatedFrom", explanation.NotSeparatedFrom, rules =>
        {
            json.WriteStartArray();
            foreach (var rule in rules) json.WriteStringValue(rule);
            json.WriteEndArray();
        });
        json.WriteEndObject();
    }

    internal static void WriteList<T>(Utf8JsonWriter json, string name, IEnumerable<T> values, Action<T> write)
    {
        json.WriteStartArray(name);
        foreach (var value in values) write(value);
        json.WriteEndArray();
    }

    internal static void WriteTexts(Utf8JsonWriter json, string name, IEnumerable<string> texts) => WriteList(json, name, texts, json.WriteStringValue);

    internal static void WriteShare(Utf8JsonWriter json, string name, double value) => json.WriteNumber(name, Math.Floor(value * 1e4) / 1e4);
}
