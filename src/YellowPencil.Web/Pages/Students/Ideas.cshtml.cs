using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>The map of ideas, with how each stands with a student.</summary>
public sealed class IdeasModel(StudentFiles files, StudentIdeas ideas) : PageModel
{
    /// <summary>The states, with the mark of each and what it says.</summary>
    public static readonly IReadOnlyList<(IdeaState State, string Mark, string Text)> Key =
        [(IdeaState.Missing, "!", "missing"), (IdeaState.Shaky, "~", "shaky"), (IdeaState.Understood, "✓", "held"), (IdeaState.NotSeen, "·", "not seen")];

    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <summary>Every idea as it stands.</summary>
    public IReadOnlyDictionary<MissingIdea, IdeaStanding> Standings { get; private set; } = new Dictionary<MissingIdea, IdeaStanding>();

    /// <summary>How many pages are not read.</summary>
    public int Unread { get; private set; }

    /// <summary>The strands with the ideas of which the pages say something.</summary>
    public IEnumerable<(string Name, IReadOnlyList<MissingIdea> Ideas)> Seen => Strands(idea => Standings[idea].Evidence.Count > 0);

    /// <summary>The strands with the others.</summary>
    public IEnumerable<(string Name, IReadOnlyList<MissingIdea> Ideas)> NotSeen => Strands(idea => Standings[idea].Evidence.Count == 0);

    private static IEnumerable<(string Name, IReadOnlyList<MissingIdea> Ideas)> Strands(Func<MissingIdea, bool> isOf) =>
        IdeaMap.Strands.Select(s => (s.Name, Ideas: (IReadOnlyList<MissingIdea>)[.. s.Ideas.Where(isOf)])).Where(s => s.Ideas.Count > 0);

    /// <summary>The mark of a state.</summary>
    public static string MarkOf(IdeaState state) => Key.First(k => k.State == state).Mark;

    /// <summary>A state in words.</summary>
    public static string Told(IdeaState state) => Key.First(k => k.State == state).Text;

    /// <summary>Shows the map.</summary>
    public async Task<IActionResult> OnGetAsync(string code)
    {
        if ((Student = await files.FindAsync(code)) is null) return NotFound();
        this.Shows("ideas", Student.Id);
        (Standings, Unread) = await ideas.OfAsync(Student);
        return Page();
    }
}
