using System.Text.RegularExpressions;

namespace YellowPencil.Core.Pages;

/// <summary>How a classroom speaks and works: its word for renaming, and its side where schools differ.</summary>
/// <param name="Word">The word.</param>
/// <param name="School">The school.</param>
public sealed record Classroom(ClassroomWord Word, School School)
{
    /// <summary>A classroom of the usual school.</summary>
    public static Classroom Saying(ClassroomWord word) => new(word, School.Usual);
}

/// <summary>
/// Puts a classroom's side into sentences that are written with one wording for each answer to a question of schools, in the order of its answers:
/// <c>{carry-mark?over the next column|under the line|beside the next digit}</c>.
/// </summary>
public static partial class ClassroomSentences
{
    /// <summary>The sentence as this classroom says it.</summary>
    public static string In(this string sentence, Classroom classroom) => BySchool().Replace(sentence, match =>
    {
        var question = School.All.First(q => q.Name == match.Groups["question"].Value);
        return match.Groups["wordings"].Value.Split('|')[classroom.School.AnswerTo(question)];
    }).In(classroom.Word);

    /// <summary>The questions that a sentence depends on, each with the number of wordings that there are.</summary>
    public static IEnumerable<(string Question, int Wordings)> QuestionsIn(string sentence) =>
        BySchool().Matches(sentence).Select(m => (m.Groups["question"].Value, m.Groups["wordings"].Value.Split('|').Length));

    [GeneratedRegex(@"\{(?<question>[a-z-]+)\?(?<wordings>[^{}]*)\}")]
    private static partial Regex BySchool();
}
