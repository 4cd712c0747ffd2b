using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;

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

    /// <summary>The name under which the browser keeps what is typed.</summary>
    public abstract string KeptAs { get; }

    /// <summary>What is wrong, if anything.</summary>
    public string? Message { get; protected set; }
}
