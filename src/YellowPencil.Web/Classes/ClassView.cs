using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>A rule of a class as it is shown, or several that the sheet does not tell apart: under a letter, with whose it is.</summary>
/// <param name="Letter">The letter.</param>
/// <param name="Rule">Its id; empty for several that are not told apart.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Students">Whose it is.</param>
/// <param name="Items">The items on which it led somebody to a wrong answer.</param>
public sealed record LetteredRule(string Letter, string Rule, string Name, IReadOnlyList<RuleStudent> Students, IReadOnlyList<string> Items)
{
    /// <summary>Whether it is one of several.</summary>
    public bool IsOpen => Rule.Length == 0;
}

/// <summary>A student of a rule.</summary>
/// <param name="Code">The student's code.</param>
/// <param name="Chances">How sure it is, and the chances; empty where they are not known.</param>
/// <param name="IsThin">Whether it is held from no more than has to be.</param>
public sealed record RuleStudent(string Code, string Chances, bool IsThin);

/// <summary>A cell of the table: what was written, and the mark that says what it is.</summary>
/// <param name="Written">The answer as it was written.</param>
/// <param name="Mark">The mark.</param>
/// <param name="Kind">How the cell is drawn: right, rule, slip, fact, unexplained, unreadable, blank or unread.</param>
/// <param name="Says">What the mark means, in words.</param>
public sealed record MarkedCell(string Written, string Mark, string Kind, string Says);

/// <summary>The reading of a class as it is shown.</summary>
public sealed class ClassView
{
    private readonly RuleNaming names;
    private readonly Dictionary<string, string> byRule;
    private readonly Dictionary<string, string> byRivals;

    /// <summary>Puts the view together.</summary>
    /// <param name="board">The board.</param>
    /// <param name="names">The names of rules, loaded.</param>
    public ClassView(ClassBoard board, RuleNaming names)
    {
        (Board, this.names, Together) = (board, names, board.Together());
        var held = Together.Rules.Select((rule, at) => (rule.Rule, Lettered: new LetteredRule(
            Letter(at), rule.Rule, names.Of(rule.Rule, Word), [.. rule.Students.Select(f => new RuleStudent(f.Student, ClassText.Chances(f.Followed), f.Followed.IsThin))], rule.Items))).ToList();
        byRule = held.ToDictionary(r => r.Rule, r => r.Lettered.Letter);
        var open = board.Rows.Where(r => r.Line is { Rivals.Count: > 0 } line && !line.Rules.Any(h => byRule.ContainsKey(h.Rule))).GroupBy(r => Key(r.Line!)).OrderByDescending(g => g.Count())
            .Select((rows, at) => (rows.Key, Lettered: Open(Letter(held.Count + at), [.. rows]))).ToList();
        byRivals = open.ToDictionary(r => r.Key, r => r.Lettered.Letter);
        Rules = [.. held.Select(r => r.Lettered), .. open.Select(r => r.Lettered)];
        PageOf = board.Rows.GroupBy(r => r.Student.Code).ToDictionary(g => g.Key, g => g.First().Page.Id);
        Counts = Together.Items.Where(i => board.Items.Any(b => b.Id == i.Id && b.Task.Text == i.Task.Text)).ToDictionary(i => i.Id);
    }

    /// <summary>The board.</summary>
    public ClassBoard Board { get; }

    /// <summary>The class read together.</summary>
    public ClassReading Together { get; }

    /// <summary>The rules under their letters, those of most students first; behind them those that are not told apart.</summary>
    public IReadOnlyList<LetteredRule> Rules { get; }

    /// <summary>Each student's page, by code.</summary>
    public IReadOnlyDictionary<string, Guid> PageOf { get; }

    /// <summary>How each item was answered, by its id.</summary>
    public IReadOnlyDictionary<string, ClassItem> Counts { get; }

    /// <summary>The items that nobody got right.</summary>
    public IEnumerable<ClassItem> Nobodys => Together.Items.Where(i => i.IsNobodys);

    /// <summary>The classroom's word.</summary>
    public ClassroomWord Word => Board.Sheet.Class!.Word;

    /// <summary>The class in one sentence.</summary>
    public string Headline
    {
        get
        {
            if (Board.Read == 0) return Board.Of == 0 ? "Nothing is typed in yet." : "Nothing is read yet.";
            var shared = Rules.Where(r => r.Students.Count > 1).ToList();
            var alone = Rules.Count - shared.Count;
            var first = shared.Count == 0 ? $"No rule is shared by two of the {Board.Read}." : $"{shared[0].Students.Count} of {Board.Read} share one rule: “{shared[0].Name}”.";
            var more = shared.Count > 1 ? $" {(shared.Count == 2 ? "One more rule is" : $"{shared.Count - 1} more rules are")} shared by {shared.Skip(1).SelectMany(r => r.Students).Select(s => s.Code).Distinct().Count()} students." : "";
            return first + more + (alone > 0 ? $" {(alone == 1 ? "One is" : $"{alone} are")} one student’s alone." : "");
        }
    }

    /// <summary>What the cell of a student holds; null where the student's page does not have the item.</summary>
    public MarkedCell? Cell(ClassRow row, string id)
    {
        if (row.Item(id) is not { } item) return null;
        var written = Signs.Printed(item.Answer ?? "");
        if (row.Line?.Cells.FirstOrDefault(c => c.Id == id) is not { } cell || !row.HasAnswers) return new MarkedCell(written, "", item.Answer is null ? "blank" : "unread", item.Answer is null ? "blank" : "not read yet");
        var letters = cell.Rules.Select(rules => string.Concat(rules.Select(r => byRule.GetValueOrDefault(r)))).FirstOrDefault(l => l.Length > 0)
            ?? (cell.Rules.Count > 0 && row.Line.Rivals.Count > 0 ? byRivals.GetValueOrDefault(Key(row.Line)) : null);
        return cell.Verdict switch
        {
            Verdict.Right => new MarkedCell(written, "✓", "right", "right"),
            Verdict.Blank => new MarkedCell("", "–", "blank", "blank"),
            Verdict.Unreadable => new MarkedCell(written, "", "unreadable", "cannot be read"),
            _ when letters is not null => new MarkedCell(written, letters, "rule", $"predicted by rule {letters}"),
            _ => cell.Cause switch
            {
                Cause.Slip => new MarkedCell(written, "s", "slip", "a slip"),
                Cause.Fact => new MarkedCell(written, "f", "fact", "a number fact"),
                _ => new MarkedCell(written, "x", "unexplained", "wrong, unexplained"),
            },
        };
    }

    /// <summary>What a row comes to, in a word or by its rules' letters.</summary>
    public string InShort(ClassRow row)
    {
        if (!row.HasAnswers) return "nothing typed in";
        if (row.Line is not { } line) return "not read yet";
        var rules = string.Join(", ", line.Rules.Where(r => byRule.ContainsKey(r.Rule)).Select(r => $"{byRule[r.Rule]} {Shares.Percent(r.Probability)}"));
        return line.Outcome switch
        {
            Outcome.Bug => rules.Length > 0 ? rules : "a rule",
            Outcome.NotToldApart => rules.Length > 0 ? $"{rules}, or another" : byRivals.TryGetValue(Key(line), out var letter) ? $"{letter}, not told apart" : "not told apart",
            Outcome.Sound => "as taught",
            Outcome.TooFewChances => "too few chances",
            _ => "unexplained",
        };
    }

    /// <summary>What a row comes to, in a sentence.</summary>
    public string Says(ClassRow row) => ClassText.Row(row, names, Word);

    private LetteredRule Open(string letter, IReadOnlyList<ClassRow> rows) => new(
        letter, "", string.Join(", or ", rows[0].Line!.Rivals.Select(rules => names.Of(string.Join('+', rules), Word))), [.. rows.Select(r => new RuleStudent(r.Student.Code, "", false))],
        [.. rows.SelectMany(r => r.Line!.Cells).Where(c => c.Rules.Count > 0).Select(c => c.Id).Distinct()]);

    private static string Key(ClassLine line) => string.Join('|', line.Rivals.Select(rules => string.Join('+', rules)).Order(StringComparer.Ordinal));

    private static string Letter(int at) => at < 26 ? ((char)('A' + at)).ToString() : Letter(at / 26 - 1) + Letter(at % 26);
}
