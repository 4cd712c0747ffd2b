using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>A short question with its answer, asked before teaching begins.</summary>
public sealed record CheckQuestion(string Question, string Answer);

/// <summary>How one missing idea is taught. Sentences may hold the classroom's word as <c>{rename}</c>.</summary>
public sealed record TeachingScript
{
    /// <summary>The idea.</summary>
    public required MissingIdea Idea { get; init; }

    /// <summary>The family that the script is for; null for every family without one of its own.</summary>
    public Family? OnlyIn { get; init; }

    /// <summary>The aim, as the student can say it.</summary>
    public required string Aim { get; init; }

    /// <summary>Why the taught way works.</summary>
    public required string Why { get; init; }

    /// <summary>The material and what is done with it.</summary>
    public required string Material { get; init; }

    /// <summary>What the specialist says while doing an item together.</summary>
    public required string Say { get; init; }

    /// <summary>The question to stop at before an answer is shown.</summary>
    public required string StopAt { get; init; }

    /// <summary>What must come first, in a phrase.</summary>
    public required string First { get; init; }

    /// <summary>Quick questions that check it, each made from a two-digit number without a zero.</summary>
    public required IReadOnlyList<Func<int, (string Question, string Answer)>> Questions { get; init; }

    /// <summary>Three different questions, not all with the same answer.</summary>
    public IReadOnlyList<CheckQuestion> FirstQuestions(Random random)
    {
        while (true)
        {
            var asked = Enumerable.Range(0, 3)
                .Select(i => Questions[i % Questions.Count](10 * random.Next(2, 10) + random.Next(1, 10))).Select(q => new CheckQuestion(q.Question, q.Answer))
                .ToList();
            if (asked.Select(q => q.Question).Distinct().Count() == 3 && asked.Select(q => q.Answer).Distinct().Count() > 1) return asked;
        }
    }

    /// <summary>Puts a script together.</summary>
    internal static TeachingScript Of(
        MissingIdea idea, string aim, string why, string material, string say, string stopAt, string first, params Func<int, (
            string Question, string Answer)>[] questions) => new()
            {
                Idea = idea,
                Aim = aim,
                Why = why,
                Material = material,
                Say = say,
                StopAt = stopAt,
                First = first,
                Questions = questions,
            };
}
