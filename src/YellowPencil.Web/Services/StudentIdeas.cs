using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>How an idea stands with a student.</summary>
public enum IdeaState
{
    /// <summary>Too little on the pages to say.</summary>
    NotSeen,

    /// <summary>Items that need it come out right, and no rule says otherwise.</summary>
    Understood,

    /// <summary>A rule behind which it is missing is possible.</summary>
    Shaky,

    /// <summary>A rule behind which it is missing is held.</summary>
    Missing,
}

/// <summary>What a page says of an idea.</summary>
/// <param name="Text">What.</param>
/// <param name="Address">The reading of the page.</param>
public sealed record IdeaEvidence(string Text, string Address);

/// <summary>An idea as it stands with a student.</summary>
public sealed record IdeaStanding(MissingIdea Idea, IdeaState State, IReadOnlyList<IdeaEvidence> Evidence);

/// <summary>Which ideas a student holds, computed from the pages as they were read. The newest page that says something of an idea counts.</summary>
public sealed class StudentIdeas(PencilContext data, RuleNaming names, IMemoryCache needs)
{
    private const int MostPages = 60;
    private const int MostEvidence = 8;

    /// <summary>So many items that need an idea have to come out right for it to be held.</summary>
    private const int RightNeeded = 3;

    /// <summary>Every idea as it stands with the student; and how many pages with answers are not read.</summary>
    public async Task<(IReadOnlyDictionary<MissingIdea, IdeaStanding> Standings, int Unread)> OfAsync(Student student)
    {
        await names.LoadAsync();
        var pages = await data.Pages.AsNoTracking().Where(p => p.StudentId == student.Id).OrderByDescending(p => p.CreatedAt).Take(MostPages)
            .Select(p => new { Page = p, Line = p.Readings.Where(r => r.PageVersion == p.Version && r.ClassLine != null).OrderByDescending(r => r.MadeAt).Select(r => r.ClassLine).FirstOrDefault() }).ToListAsync();
        var unread = pages.Count(p => p.Line is null && Classes.ClassDesk.HasAnswers(p.Page));
        var seen = pages.Where(p => p.Line is not null).SelectMany(p => Of(p.Page, ClassLine.Parse(p.Line!), student.Word)).ToLookup(s => s.Idea);
        return (IdeaMap.All.ToDictionary(idea => idea, idea => new IdeaStanding(
            idea, seen[idea].Select(s => s.State).FirstOrDefault(s => s != IdeaState.NotSeen), [.. seen[idea].SelectMany(s => s.Evidence).Take(MostEvidence)])), unread);
    }

    /// <summary>What one page says.</summary>
    private List<IdeaStanding> Of(StudentPage page, ClassLine line, ClassroomWord word)
    {
        var address = Addresses.Reading(page.Id);
        var title = $"{(page.Title.Length > 0 ? page.Title : "A page")}{(page.WrittenOn is { } on ? $", {SchoolTime.Date(on)}" : "")}";
        var standings = new List<IdeaStanding>();
        foreach (var held in line.Rules)
            if (Catalogue.Find(held.Rule) is { } bug)
                standings.Add(new(bug.Idea, held.Probability >= SheetDiagnosis.Threshold ? IdeaState.Missing : IdeaState.Shaky, [new($"{title}: “{names.Of(bug.Id, word)}”, {Classes.ClassText.Chances(held)}", address)]));
        foreach (var rival in line.Rivals.SelectMany(r => r).Distinct())
            if (Catalogue.Find(rival) is { } bug && standings.TrueForAll(s => s.Idea != bug.Idea))
                standings.Add(new(bug.Idea, IdeaState.Shaky, [new($"{title}: “{names.Of(bug.Id, word)}” is one of the rules that the page does not tell apart", address)]));
        var right = line.Cells.Where(c => c.Verdict == Verdict.Right).SelectMany(cell => NeedsOf(cell).Select(idea => (Idea: idea, cell.Id))).ToLookup(n => n.Idea, n => n.Id);
        foreach (var idea in right.Where(r => standings.TrueForAll(s => s.Idea != r.Key)))
            standings.Add(new(idea.Key, idea.Count() >= RightNeeded ? IdeaState.Understood : IdeaState.NotSeen, [new($"{title}: {(idea.Count() == 1 ? "item" : "items")} {string.Join(", ", idea)} right", address)]));
        return standings;
    }

    private IReadOnlySet<MissingIdea> NeedsOf(ClassCell cell) => needs.GetOrCreate($"ideas {cell.Task} {cell.Asked.Words}", entry =>
    {
        entry.Size = 1;
        return TaskText.TryParse(cell.Task, cell.Asked).Value is { } task ? new IdeaNeeds(task.Family).Of(task) : new HashSet<MissingIdea>();
    })!;
}
