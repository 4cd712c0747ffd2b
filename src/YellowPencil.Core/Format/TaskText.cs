using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Format;

/// <summary>Reads the task grammar of the worked-sheet format: each family has a small grammar of its own, found by the word in front of the task.</summary>
public static class TaskText
{
    /// <summary>The longest task that is read, in characters.</summary>
    public const int MaxLength = 400;

    private static readonly Dictionary<string, TaughtFamily> ByHeadWord = FamilyList.All.Where(f => f.Grammar.Word is not null)
        .ToDictionary(f => f.Grammar.Word!, StringComparer.OrdinalIgnoreCase);

    /// <summary>Reads one task that asks for a given form of answer, or for the usual one.</summary>
    public static Parsed<ItemTask> TryParse(string text, string? form = null) => TryParse(text, new Asked(form));

    /// <summary>
    /// Reads one task. Families whose methods are not in the product yet are refused with a message that says so.
    /// </summary>
    /// <param name="text">For example <c>604 - 278</c>; any dash counts as minus, ×, · and x as *, ÷ and : as /.</param>
    /// <param name="asked">What kind of answer is asked for.</param>
    public static Parsed<ItemTask> TryParse(string text, Asked asked)
    {
        if (string.IsNullOrWhiteSpace(text)) return Failed("the task is empty", 0);
        if (text.Length > MaxLength) return Failed($"a task has at most {MaxLength} characters", MaxLength);
        var plain = Signs.Plain(text);
        var start = plain.Length - plain.TrimStart().Length;
        var word = string.Concat(plain.Skip(start).TakeWhile(char.IsAsciiLetter));
        if (word.Length > 0)
        {
            return ByHeadWord.TryGetValue(word, out var named)
                ? Asks(named, asked) ?? named.Grammar.Read(plain, start + word.Length, asked)
                : Failed($"no task begins with \"{word}\": write numbers with a sign between them, such as 604 - 278", start);
        }

        if (FamilyList.All.FirstOrDefault(f => f.Grammar.ClaimsText(plain)) is { } claiming)
            return Asks(claiming, asked) ?? claiming.Grammar.Read(plain, 0, asked);
        var calculation = Calculation.TryParse(plain);
        if (!calculation.Succeeded) return Failed(calculation.Fault.Message, calculation.Fault.Position);
        foreach (var family in FamilyList.All)
            if (family.Grammar is CalculationGrammar grammar && grammar.Claims(calculation.Value))
                return Asks(family, asked) ?? grammar.Read(calculation.Value, asked);
        return Failed(
            calculation.Value.Terms.Count > 2 ? "one operation an item: only sums have more than two numbers" : "numbers like these cannot be put together so",
            calculation.Value.Terms[^1].At);
    }

    /// <summary>What is asked for and does not belong to the family, if anything.</summary>
    private static Parsed<ItemTask>? Asks(TaughtFamily family, Asked asked)
    {
        var grammar = family.Grammar;
        foreach (
            var (name, value, values) in new[] { ("form", asked.Form, grammar.Forms), ("over", asked.Over, grammar.Overs), ("to", asked.To, grammar.Places) })
        {
            if (value is null || values.Contains(value)) continue;
            return Parsed<ItemTask>.Failed(
                values.Count == 0 ? $"\"{name}\" does not belong to {family.Title}" : $"\"{name}\" must be one of {string.Join(", ", values)}", 0, name);
        }

        return null;
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);
}
