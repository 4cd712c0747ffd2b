using System.Text;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Telling;

/// <summary>Writes the reading of a class, for programs and for people.</summary>
public static class ClassWriter
{
    /// <summary>The value of <c>format</c>.</summary>
    public const string Format = "yellow-pencil.class-reading";

    /// <summary>Of the wrong answers to an item, so many are told to people.</summary>
    private const int MostAnswers = 4;

    /// <summary>One line of JSON, sentences in the classroom's word.</summary>
    public static string Write(ClassReading reading, ClassroomWord word = ClassroomWord.Rename) => JsonText.Write(false, json =>
    {
        json.WriteStartObject();
        json.WriteString("format", Format);
        json.WriteNumber("version", 1);
        json.WriteNumber("students", reading.Students);
        ReadingWriter.WriteList(json, "rules", reading.Rules, rule =>
        {
            json.WriteStartObject();
            ReadingWriter.WriteTexts(json, "bugs", [rule.Rule]);
            json.WriteString("text", rule.Text.In(word));
            ReadingWriter.WriteList(json, "students", rule.Students, student =>
            {
                json.WriteStartObject();
                json.WriteString("student", student.Student);
                ReadingWriter.WriteShare(json, "probability", student.Followed.Probability);
                json.WriteNumber("shown", student.Followed.Shown);
                json.WriteNumber("chances", student.Followed.Chances);
                json.WriteEndObject();
            });
            json.WriteEndObject();
        });
        ReadingWriter.WriteList(json, "items", reading.Items, item =>
        {
            json.WriteStartObject();
            json.WriteString("task", item.Task.Text);
            item.Task.Asked.Write(json);
            json.WriteNumber("right", item.Right);
            json.WriteNumber("wrong", item.Wrong);
            json.WriteNumber("blank", item.Blank);
            ReadingWriter.WriteList(json, "answers", item.Answers, answer =>
            {
                json.WriteStartObject();
                json.WriteString("answer", answer.Answer);
                ReadingWriter.WriteTexts(json, "students", answer.Students);
                ReadingWriter.WriteList(json, "bugs", answer.Rules, rules =>
                {
                    json.WriteStartArray();
                    foreach (var rule in rules) json.WriteStringValue(rule);
                    json.WriteEndArray();
                });
                json.WriteEndObject();
            });
            json.WriteEndObject();
        });
        ReadingWriter.WriteList(json, "lookAgain", reading.LookAgain, look =>
        {
            json.WriteStartObject();
            json.WriteString("student", look.Student);
            json.WriteString("why", Spelling.Of(look.Why));
            json.WriteEndObject();
        });
        json.WriteEndObject();
    });

    /// <summary>The same for people.</summary>
    public static string Text(ClassReading reading, ClassroomWord word = ClassroomWord.Rename)
    {
        var text = new StringBuilder();
        text.Append($"{reading.Students} {(reading.Students == 1 ? "student" : "students")}\n\nRules that are shared\n");
        if (reading.Rules.Count == 0) text.Append("  No rule was found.\n");
        foreach (var rule in reading.Rules)
        {
            text.Append($"  {rule.Students.Count,3} × {rule.Text.In(word)}\n");
            text.Append(
                $"        {string.Join(", ", rule.Students.Select(s => $"{s.Student} ({s.Followed.Shown} of {s.Followed.Chances}, {Math.Min(99, 100 * s.Followed.Probability):0} %)"))}\n");
        }

        text.Append("\nItems\n");
        foreach (var item in reading.Items)
        {
            text.Append($"  {Signs.Printed(item.Task.Text)} = {item.Task.RightAnswer}: {item.Right} right, {item.Wrong} wrong, {item.Blank} blank");
            if (item.Answers.Count > 0) text.Append($"; {string.Join(", ", item.Answers.Take(MostAnswers).Select(a => $"{a.Answer} by {a.Students.Count}"))}");
            if (item.IsNobodys) text.Append($"; {ReadingText.Nobodys(item)}");
            text.Append('\n');
        }

        if (reading.LookAgain.Count == 0) return text.ToString().TrimEnd();
        text.Append("\nLook again\n");
        foreach (var (student, why) in reading.LookAgain) text.Append($"  {student}: {ReadingText.Say(why)}\n");
        return text.ToString().TrimEnd();
    }
}
