using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>A number fact on its track.</summary>
/// <param name="Kept">As it is kept.</param>
/// <param name="Fact">The fact.</param>
/// <param name="Track">Its checks.</param>
/// <param name="Questions">What is asked in the next check.</param>
public sealed record TrackedFact(LearntFact Kept, NumberFact Fact, FactTrack Track, IReadOnlyList<(string Question, string Answer)> Questions);

/// <summary>Number facts that students learn on tracks of their own.</summary>
public sealed class FactDesk(PencilContext data, SchoolTime time, TimeProvider clock)
{
    /// <summary>Begins the track of a fact; one that the student has already goes on.</summary>
    public async Task BeginAsync(Student student, NumberFact fact, int written)
    {
        var (id, name) = (Guid.CreateVersion7(clock.GetUtcNow()), fact.Ordered.ToString());
        await data.Database.ExecuteSqlAsync($"""
            insert into learnt_facts (id, owner_id, student_id, fact, written, begun_on) values ({id}, {student.OwnerId}, {student.Id}, {name}, {written}, {time.Today}) on conflict do nothing
            """);
    }

    /// <summary>The facts of a student, those first whose check is due first.</summary>
    public async Task<IReadOnlyList<TrackedFact>> OfAsync(Student student) =>
        [.. (await data.LearntFacts.Include(f => f.Checks).Where(f => f.StudentId == student.Id).ToListAsync()).Select(Tracked).OrderBy(f => f.Track.Due ?? DateOnly.MaxValue).ThenBy(f => f.Kept.Fact, StringComparer.Ordinal)];

    /// <summary>All facts whose track goes on, with their students.</summary>
    public async Task<IReadOnlyList<(Student Student, TrackedFact Fact)>> AllAsync()
    {
        var students = await data.Students.Include(s => s.LearntFacts).ThenInclude(f => f.Checks).Where(s => s.LearntFacts.Count > 0).OrderBy(s => s.CodeKey).ToListAsync();
        return [.. students.SelectMany(s => s.LearntFacts.Select(f => (s, Tracked(f)))).Where(f => f.Item2.Track.Due is not null)];
    }

    /// <summary>Keeps a check of today.</summary>
    /// <returns>What is wrong, in a sentence; null where it was kept.</returns>
    public async Task<string?> CheckAsync(Student student, Guid id, int right)
    {
        if ((await OfAsync(student)).FirstOrDefault(f => f.Kept.Id == id) is not { } fact) return "This fact is not on the list any more.";
        var asked = fact.Questions.Count;
        if (right < 0 || right > asked) return $"Of {asked} questions 0 to {asked} can be right.";
        data.FactChecks.Add(new Data.FactCheck { Id = Guid.CreateVersion7(clock.GetUtcNow()), LearntFactId = id, On = time.Today, Right = right, Asked = asked });
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Takes a fact off the list, with its checks.</summary>
    public Task RemoveAsync(Student student, Guid id) => data.LearntFacts.Where(f => f.Id == id && f.StudentId == student.Id).ExecuteDeleteAsync();

    private static TrackedFact Tracked(LearntFact kept)
    {
        var fact = NumberFact.Parse(kept.Fact);
        var track = new FactTrack(kept.BegunOn, kept.Checks.Select(c => new FactResult(c.On, c.Right, c.Asked)));
        return new TrackedFact(kept, fact, track, FactPlan.Questions(fact, kept.Checks.Count));
    }
}
