using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Notation;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The files of the students.</summary>
public sealed partial class StudentFiles(PencilContext data, TimeProvider clock)
{
    /// <summary>Opens a file.</summary>
    /// <returns>What is wrong, in a sentence; null when the file was opened.</returns>
    public async Task<string?> AddAsync(string code, string callName, ClassroomWord word)
    {
        code = code.Trim();
        if (!CodeShape().IsMatch(code)) return "A code has 1 to 40 letters, digits, dashes or dots, without spaces: for example K-17.";
        if (callName.Trim().Length > 40) return "The name has more than 40 characters; a first name or nickname is enough.";
        if (!Enum.IsDefined(word)) return "Choose one of the words.";
        if (await data.Students.AnyAsync(s => s.Code == code)) return $"There is already a student with the code {code}.";
        data.Students.Add(new Student { Id = Guid.CreateVersion7(clock.GetUtcNow()), Code = code, CallName = callName.Trim(), Word = word, CreatedAt = clock.GetUtcNow() });
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>A file with its pages, readings, decisions and plans; null when there is none of this owner.</summary>
    public Task<Student?> FindAsync(string code) => data.Students
        .Include(s => s.Pages).ThenInclude(p => p.Readings)
        .Include(s => s.Pages).ThenInclude(p => p.Decisions)
        .Include(s => s.Plans)
        .AsSplitQuery().FirstOrDefaultAsync(s => s.Code == code);

    /// <summary>Changes the classroom's word.</summary>
    public async Task ChangeWordAsync(Student student, ClassroomWord word)
    {
        student.Word = word;
        await data.SaveChangesAsync();
    }

    [GeneratedRegex(@"^[\p{L}\p{Nd}][\p{L}\p{Nd}.\-_]{0,39}$")]
    private static partial Regex CodeShape();
}
