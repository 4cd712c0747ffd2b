using YellowPencil.Core.Bugs;

namespace YellowPencil.Core.Remediation;

/// <summary>A short question with its answer, asked before teaching begins.</summary>
public sealed record CheckQuestion(string Question, string Answer);

/// <summary>How one missing idea is taught. Sentences may hold the classroom's word as <c>{rename}</c>.</summary>
public sealed record TeachingScript
{
    /// <summary>The idea.</summary>
    public required MissingIdea Idea { get; init; }

    /// <summary>The place of the idea in the order of learning; smaller comes first.</summary>
    public required int Order { get; init; }

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

    /// <summary>Three quick questions that check it, made from a seeded source of numbers.</summary>
    public required Func<Random, IReadOnlyList<CheckQuestion>> FirstQuestions { get; init; }
}
