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

    /// <summary>
    /// Three different questions, not all with the same answer, made from the student's own digits as far as they go, and without the facts that the student does not
    /// have: those are learnt by themselves.
    /// </summary>
    /// <param name="random">Chooses among what is alike.</param>
    /// <param name="own">Items of the student's page on which the rule shows.</param>
    /// <param name="wrongFacts">Number facts that the student does not have.</param>
    public IReadOnlyList<CheckQuestion> FirstQuestions(Random random, IEnumerable<ItemTask>? own = null, IReadOnlyCollection<NumberFact>? wrongFacts = null)
    {
        var numbers = (own ?? []).SelectMany(t => Pairs(t)).Distinct().ToArray();
        random.Shuffle(numbers);
        var left = new Queue<int>(numbers);
        List<CheckQuestion> asked = [];
        for (var tries = 0; asked.Count < 3; tries++)
        {
            var number = left.TryDequeue(out var ofPage) ? ofPage : 10 * random.Next(2, 10) + random.Next(1, 10);
            var (question, answer) = Questions[asked.Count % Questions.Count](number);
            var isSure = wrongFacts?.Any(f => question.Contains(Signs.Printed(f.ToString()), StringComparison.Ordinal)) != true;
            var isNew = asked.TrueForAll(q => q.Question != question) && (asked.Count < 2 || asked.Exists(q => q.Answer != answer));
            if (isNew && (isSure || tries > MostTries)) asked.Add(new CheckQuestion(question, answer));
            if (tries % MostTries == MostTries - 1 && asked.Count == 2) asked.Clear();
        }

        return asked;
    }

    private const int MostTries = 200;

    /// <summary>The two-digit numbers without a zero that two digits of an item make, one after the other as they stand.</summary>
    private static IEnumerable<int> Pairs(ItemTask task)
    {
        var digits = task.Numbers.SelectMany(n => n.Text).Where(c => c is >= '1' and <= '9').Select(c => c - '0').ToList();
        return digits.Zip(digits.Skip(1), (tens, ones) => 10 * tens + ones).Where(n => n > 20);
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
