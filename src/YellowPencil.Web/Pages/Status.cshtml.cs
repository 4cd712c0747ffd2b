using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Web.Forms;

namespace YellowPencil.Web.Pages;

/// <summary>What is shown instead of a page that cannot be shown.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
[ShowsNoStudent]
public sealed class StatusModel : PageModel
{
    /// <summary>What happened.</summary>
    public string Headline { get; private set; } = "";

    /// <summary>What to do next.</summary>
    public string Advice { get; private set; } = "";

    /// <summary>Shows the page for a status.</summary>
    public void OnGet([FromRoute] int code) => Say(code);

    /// <summary>The same, where the request that failed was a form.</summary>
    public void OnPost([FromRoute] int code) => Say(code);

    private static readonly (string, string) NoRoom =
        ("There is no room left on the server", "Nothing was changed, and nothing that was saved is lost. Tell whoever runs it to make room on its disk; what you typed on a student’s page is kept in this browser and sent again.");

    private void Say(int code) => (Headline, Advice) = Response.StatusCode == StatusCodes.Status507InsufficientStorage ? NoRoom : code switch
    {
        400 => ("This form was not taken in", "It has expired, or holds something that cannot be kept. Go back, reload the page and send it again. What you typed on a student’s page is kept in this browser until it is saved."),
        404 => ("There is nothing here", "The address is wrong, or what it names is not in your files. Your students are on your desk."),
        >= 500 => ("Something went wrong on our side", "It was noted. What you typed is kept in this browser; go back and try again in a moment."),
        _ => ("This cannot be done", "Go back to your desk and try another way."),
    };
}
