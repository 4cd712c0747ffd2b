using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Pages.Students;

/// <summary>What stands on the cover of a student's file, as typed.</summary>
public abstract class CoverModel : PageModel
{
    /// <summary>The code.</summary>
    [BindProperty(Name = "code")]
    public string? Code { get; set; }

    /// <summary>The name.</summary>
    [BindProperty(Name = "callName")]
    public string? CallName { get; set; }

    /// <summary>The classroom's word.</summary>
    [BindProperty(Name = "word")]
    public ClassroomWord Word { get; set; }

    /// <summary>What the classroom teaches where schools differ: by the name of each question, which answer, counted from 0.</summary>
    [BindProperty(Name = "school")]
    public Dictionary<string, int> Answers { get; set; } = [];

    /// <summary>How the classroom speaks and works, as chosen.</summary>
    protected Classroom Classroom
    {
        get => new(Word, School.All.Aggregate(kept, (school, q) => Answers.TryGetValue(q.Name, out var answer) && answer >= 0 && answer < q.Values.Count ? school.With(q, answer) : school));
        set
        {
            (Word, kept) = (value.Word, value.School);
            Answers = School.All.ToDictionary(q => q.Name, value.School.AnswerTo);
        }
    }

    private School kept = School.Usual;

    /// <summary>The name under which the browser keeps what is typed.</summary>
    public abstract string KeptAs { get; }

    /// <summary>What is wrong, if anything.</summary>
    public string? Message { get; protected set; }
}
