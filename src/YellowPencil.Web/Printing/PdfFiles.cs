using System.Text;
using PdfSharp.Fonts;
using PdfSharp.Pdf;
using PdfSharp.Pdf.IO;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Pages.Plans;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Printing;

/// <summary>Sheets, keys, plans and paper aids as PDF files. On none of them stands more of a student than the code.</summary>
public sealed class PdfFiles
{
    /// <summary>In a plan squares are only looked at: their side in mm.</summary>
    private const double SquareInPlans = 5;

    /// <summary>On a card all has to stand on one page: the side of its squares in mm, its text in points.</summary>
    private const double SquareOnCards = 3.6;
    private const double TextOnCards = 8.5;

    /// <summary>Items of up to so many characters, with answers of up to so many, stand beside each other in a key.</summary>
    private const int LongestItemBeside = 22;
    private const int LongestAnswerBeside = 10;

    private readonly bool hasComma;

    /// <summary>Makes ready to write files for somebody, with the fonts that the browser is served.</summary>
    public PdfFiles(IWebHostEnvironment host, CurrentSpecialist who)
    {
        hasComma = who.Account?.HasDecimalComma == true;

        // The library keeps one resolver for the process.
        if (GlobalFontSettings.FontResolver is null) GlobalFontSettings.FontResolver = new PdfFonts(Path.Combine(host.WebRootPath, "dist", "fonts"));
    }

    /// <summary>A sheet for each student, or the key to it.</summary>
    public byte[] Sheet(PaperView view, bool hasNameLine)
    {
        var title = view.Title.Length > 0 ? view.Title : "Sheet";
        using var paper = new PdfPaper(title, view.Wish.Paper, view.Wish.IsLarge, view.Wish.IsLarge ? null : ItemBands.Sides[view.Side]) { HasComma = hasComma };
        if (view.IsKey)
        {
            paper.Begin($"Key: {title}");
            paper.Heading($"Key: {title}");
            paper.Say("", view.KeySays);
            paper.Table([0.1, 0.25, 0.15, 0.5], ["Item", "", "Right", "Answers that tell"], view.Key.Select(k => (IReadOnlyList<string>)[k.Name, k.Written, k.Right, string.Join("; ", k.Telling.Select(t => $"{t.Answer} {t.Tells}"))]));
            return paper.Finish();
        }

        foreach (var code in view.Codes)
        {
            paper.Begin(code);
            paper.Heads(code, hasNameLine);
            if (view.Heads.Length > 0) paper.Say("", view.Heads);
            foreach (var part in view.Parts)
            {
                if (part.Title.Length > 0) paper.Heading(part.Title, 120);
                paper.Items([.. part.Items.Select(i => (i.Name, i.Picture.Sketch()))]);
            }
        }

        return paper.Finish();
    }

    /// <summary>Paper to lay beside the writing.</summary>
    public byte[] Aid(PaperSize size, string code, Sketch sketch)
    {
        using var paper = new PdfPaper("Paper", size) { HasComma = hasComma };
        paper.Begin(code);
        paper.Draw(sketch);
        return paper.Finish();
    }

    /// <summary>A plan for the specialist's hand.</summary>
    public byte[] Plan(RemediationPlan plan, PaperSize size, string headed)
    {
        using var paper = new PdfPaper($"{plan.Student}: {plan.Idea.Name}", size, square: SquareInPlans) { HasComma = hasComma };
        paper.Begin(headed);
        paper.Heading($"{plan.Student}: {plan.Idea.Name}");
        paper.Say("Aim:", plan.Script.Aim);
        paper.Say("The old rule:", $"{plan.OldRule} {plan.Reason}");
        paper.Say("What is missing:", plan.Idea.Statement);
        paper.Say("Why this first:", plan.WhyFirst + (plan.Waiting.Count > 0 ? $" Waiting: {string.Join("; ", plan.Waiting.Select(w => w.Name))}." : ""));
        paper.Heading($"What must come first: {plan.Script.First}");
        foreach (var question in plan.First) paper.Say("", $"{question.Question}  ({question.Answer})", 10);
        if (plan.Gate.Length > 0) paper.Say("", plan.Gate);
        paper.Heading("Contrast");
        paper.Say("", plan.Works is { } works
            ? $"Here the old rule happens to be right: {works.Written}: {works.RightWritten}." : plan.WithoutContrast());
        paper.Say("", $"{(plan.Works is null ? "" : "Here it does not: ")}{plan.Fails.Written}: {plan.Fails.RightWritten}; the old rule gives {plan.Fails.OldWritten}.");
        if (plan.Differs.Length > 0) paper.Say("", plan.Differs);
        paper.Heading("Worked example, with the why", 150);
        paper.Items([(plan.Example.Written, ShowModel.Solved(plan).Sketch())]);
        foreach (var (number, step) in plan.ExampleSteps.Index().Where(s => s.Item.Length > 0))
            paper.Step(number + 1, Signs.Printed(plan.ExampleLines.ElementAtOrDefault(number) ?? ""), step, number == plan.DecidingStep);
        paper.Say("Why it works:", plan.Script.Why);
        paper.Say("With:", plan.Script.Material);
        paper.Say("To bring:", Materials.Listed(Materials.In(plan.Script.Material)));
        if (SessionCard.Drawing(plan) is { } drawing) paper.Picture($"To draw: {drawing.Name.ToLowerInvariant()}", ModelSketch.Of(drawing));
        Practised(paper, "Two together", plan.Script.Say, plan, plan.Together);
        Practised(paper, "Alone", $"Stop before each answer is shown: “{plan.Script.StopAt}”", plan, plan.Alone);
        paper.Say("Check:", plan.Check);
        paper.Say("Exit question:", $"{plan.Exit.Written}: {plan.Exit.RightWritten}; the old rule gives {plan.Exit.OldWritten}.");
        if (plan.Guard is { } guard) paper.Say("And one for the new habit:", $"{guard.Written}: {guard.RightWritten}; {guard.GuardsAgainst}.");
        if (plan.Facts.Count > 0) paper.Say("Facts by themselves:", $"{string.Join(", ", plan.Facts)}. Two minutes a session, asked and checked apart from this; no item here needs them.");
        if (plan.Afterwards.Count > 0) paper.Heading("At the end of the session", 80);
        foreach (var next in plan.Afterwards) paper.Say("", next, 10);
        if (plan.OnceMore is { } more) paper.Say("Once more together:", $"{more.Written}: {more.RightWritten}; the old rule gives {more.OldWritten}.");
        paper.Heading("Practice, with key", 150);
        Key(paper, plan);
        paper.Say("To keep in mind:", string.Join(' ', plan.Cautions.Prepend("An answer under “old rule” is the old rule come back.")));
        return paper.Finish();
    }

    // Short items stand in two columns: those of the first day, and beside them those of a later one.
    private static void Key(PdfPaper paper, RemediationPlan plan)
    {
        var rows = plan.PracticeFirst.Concat(plan.PracticeMixed).Select((item, i) => (string[])[$"{i + 1}", item.Written, item.RightWritten, item.Shows ? item.OldWritten : "the same"]).ToList();
        var first = plan.PracticeFirst.Count;
        if (first != plan.PracticeMixed.Count || rows.Exists(r => r[1].Length > LongestItemBeside || r[2].Length > LongestAnswerBeside || r[3].Length > LongestAnswerBeside)) paper.Table([0.1, 0.4, 0.25, 0.25], ["", "Item", "Right", "Old rule"], rows);
        else paper.Table([0.04, 0.24, 0.11, 0.11, 0.04, 0.24, 0.11, 0.11], ["", "First", "Right", "Old rule", "", "Later", "Right", "Old rule"], Enumerable.Range(0, first).Select(i => (string[])[.. rows[i], .. rows[first + i]]));
    }

    /// <summary>The card of a session, for the specialist's hand.</summary>
    public byte[] Card(SessionCard card, PaperSize size, string headed)
    {
        var plan = card.Plan;
        using var paper = new PdfPaper($"{plan.Student}: session card", size, square: SquareOnCards) { TextSize = TextOnCards, HasComma = hasComma };
        paper.Begin(headed);
        paper.Heading($"{plan.Student} · {plan.Idea.Name} · {card.AllMinutes} minutes");
        paper.Say("Aim:", plan.Script.Aim);
        paper.Say("To bring:", Materials.Listed(card.Bring));
        paper.Say($"Ask first, {card.Minutes(SessionPart.First)} min:", plan.Gate);
        var works = plan.Works is { } right ? $"{right.Written}: {right.RightWritten}, and the old rule is right here. " : "";
        paper.Say($"Two that look alike, {card.Minutes(SessionPart.Contrast)} min:", $"{works}{plan.Fails.Written}: {plan.Fails.RightWritten}, not {plan.Fails.OldWritten}. {plan.Differs}");
        var steps = plan.ExampleSteps.Index().Where(s => s.Item.Length > 0).Select(s => ($"({s.Index + 1}) {s.Item}", s.Index == plan.DecidingStep));
        paper.Say([($"Show it, {card.Minutes(SessionPart.Example)} min:", true), ($"{plan.Example.Written}.", false), .. steps]);
        paper.Say($"Together, {card.Minutes(SessionPart.Together)} min:", $"{plan.Script.Say} {card.Split}".TrimEnd());
        paper.Items([.. ShowModel.Worked(plan, plan.Together).Prepend(ShowModel.Solved(plan)).Select((p, i) => (i == 0 ? "shown" : $"together {i}", p.Sketch()))]);
        paper.Say($"Alone, {card.Minutes(SessionPart.Alone)} min:", $"Stop before each answer: “{plan.Script.StopAt}” The student checks: {plan.Check}");
        paper.Table(
            [0.12, 0.32, 0.16, 0.16, 0.12, 0.06, 0.06], ["", "", "Right", "Old rule", "Other", "Help", "Check"],
            card.Items.Select(i => (IReadOnlyList<string>)[i.Name, i.Written, $"[  ] {i.Right}", i.Old.Length > 0 ? $"[  ] {i.Old}" : "", i.NewHabit.Length > 0 ? $"[  ] as {i.NewHabit}" : "[  ]", "[  ]", i.Part == SessionPart.Alone ? "[  ]" : ""]));
        paper.Say("When it goes wrong:", $"{SessionCard.IfOldRule} {SessionCard.IfOther} {SessionCard.IfStuck}");
        paper.Say("At the end:", string.Join(' ', plan.Afterwards));
        if (plan.Facts.Count > 0) paper.Say("Facts, two minutes apart:", string.Join(", ", plan.Facts));
        paper.Say("Said:", "________________________________________   [  ] taught as planned   changed: ________________________");
        if (SessionCard.Drawing(plan) is { } drawing) paper.PictureWhereItFits($"To draw: {drawing.Name.ToLowerInvariant()}", ModelSketch.Of(drawing));
        return paper.Finish();
    }

    /// <summary>The card of those who are taught together: what is said once, and each student's own items.</summary>
    public byte[] Meeting(IReadOnlyList<SessionCard> cards, PaperSize size, string headed)
    {
        if (cards.Count == 1) return Card(cards[0], size, $"{cards[0].Plan.Student} · {headed}");
        var plan = cards[0].Plan;
        using var paper = new PdfPaper($"Session: {plan.Idea.Name}", size, square: SquareOnCards) { TextSize = TextOnCards, HasComma = hasComma };
        paper.Begin($"{string.Join(", ", cards.Select(c => c.Plan.Student))} · {headed}");
        paper.Heading($"{string.Join(", ", cards.Select(c => c.Plan.Student))} · {plan.Idea.Name} · {cards.Max(c => c.AllMinutes)} minutes");
        paper.Say("Aim:", plan.Script.Aim);
        if (cards.Select(c => c.Plan.Word).Distinct().Count() > 1) paper.Say("Words:", string.Join(", ", cards.Select(c => $"{c.Plan.Student} says {c.Plan.Word.ToString().ToLowerInvariant()}")) + ".");
        paper.Say("To bring:", Materials.Listed([.. cards.SelectMany(c => c.Bring).Distinct()]));
        var steps = plan.ExampleSteps.Index().Where(s => s.Item.Length > 0).Select(s => ($"({s.Index + 1}) {s.Item}", s.Index == plan.DecidingStep));
        paper.Say([($"Show it, {cards[0].Minutes(SessionPart.Example)} min:", true), ($"{plan.Example.Written}.", false), .. steps]);
        paper.Items([("shown", ShowModel.Solved(plan).Sketch())]);
        paper.Say("Together, then alone:", $"{plan.Script.Say} Stop before each answer: “{plan.Script.StopAt}”");
        foreach (var card in cards)
        {
            paper.Heading(card.Plan.Student, 60);
            paper.Table(
                [0.14, 0.32, 0.16, 0.16, 0.14, 0.08], ["", "", "Right", "Old rule", "Other", "Help"],
                card.Items.Where(i => i.Part != SessionPart.First).Select(i => (IReadOnlyList<string>)[i.Name, i.Written, $"[  ] {i.Right}", i.Old.Length > 0 ? $"[  ] {i.Old}" : "", i.NewHabit.Length > 0 ? $"[  ] as {i.NewHabit}" : "[  ]", "[  ]"]));
        }

        paper.Say("When it goes wrong:", $"{SessionCard.IfOldRule} {SessionCard.IfOther} {SessionCard.IfStuck}");
        paper.Say("At the end, for each:", string.Join(' ', plan.Afterwards));
        return paper.Finish();
    }

    /// <summary>Several files as one.</summary>
    public static byte[] InOne(IEnumerable<byte[]> files)
    {
        using var all = new PdfDocument();
        foreach (var file in files)
        {
            using var one = PdfReader.Open(new MemoryStream(file), PdfDocumentOpenMode.Import);
            foreach (var page in one.Pages) all.AddPage(page);
        }

        using var bytes = new MemoryStream();
        all.Save(bytes);
        return bytes.ToArray();
    }

    /// <summary>The progress of a plan: how it stands, the chart, and the same in numbers.</summary>
    public byte[] Progress(PlanWeeks weeks, RemediationPlan plan, PaperSize size, string headed)
    {
        var (series, decision) = (weeks.Series, weeks.Series.Decision);
        using var paper = new PdfPaper($"{plan.Student}: progress", size) { HasComma = hasComma };
        paper.Begin(headed);
        paper.Heading($"{plan.Student}: {plan.Idea.Name}");
        paper.Say("How it stands:", $"{ProgressRules.NameOf(decision.State)}. {decision.Because}");
        paper.Say("Next:", decision.Next + (weeks.Due is { } due ? $" The next check is on {SchoolTime.Date(due)}." : ""));
        paper.Picture(ProgressChart.Says(series), ProgressChart.Of(series));
        paper.Table([0.2, 0.2, 0.2, 0.2, 0.2], ["When", "What", "Old rule, of chances", "Right, of answered", "Digits and signs"], series.Checks.Prepend(series.Beginning).Select((check, i) => (IReadOnlyList<string>)[
            SchoolTime.Date(check.On), i == 0 ? "where it began" : $"check {i}", $"{check.Followed} of {check.Chances}", $"{check.Right} of {check.Answered}", $"{check.SignsRight} of {check.Signs}"]));
        paper.Say("", "A check shows what was written on a day. It decides no grade, label or placement.");
        return paper.Finish();
    }

    /// <summary>A report, a line a paragraph, as it was given out.</summary>
    public byte[] Report(string name, string code, string text, PaperSize size, string headed)
    {
        using var paper = new PdfPaper($"{code}: {name}", size);
        paper.Begin(headed);
        paper.Heading($"{name}: {code}");
        foreach (var line in text.Split('\n', StringSplitOptions.RemoveEmptyEntries)) paper.Say("", line);
        return paper.Finish();
    }

    /// <summary>The name of a file, of signs that every system takes.</summary>
    public static string Name(params IEnumerable<string> parts)
    {
        var name = new StringBuilder();
        foreach (var c in string.Join('-', parts.Where(p => p.Length > 0)).ToLowerInvariant()) name.Append(char.IsAsciiLetterOrDigit(c) ? c : '-');
        return $"{name.ToString().Trim('-')}.pdf";
    }

    private static void Practised(PdfPaper paper, string title, string says, RemediationPlan plan, IReadOnlyList<PlanItem> items)
    {
        paper.Heading(title, 150);
        paper.Say("", says);
        paper.Items([.. items.Zip(ShowModel.Blanks(plan, items), (item, picture) => (item.Task.Asked.Words, picture.Sketch()))]);
    }
}
