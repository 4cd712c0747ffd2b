using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Forms;

/// <summary>Leads from every page that shows a stored page to where it can be mended, when it cannot be read.</summary>
internal sealed class UnreadableFilter : IExceptionFilter
{
    public void OnException(ExceptionContext context)
    {
        if (context.Exception is not UnreadablePageException unreadable) return;
        context.Result = new RedirectResult(Addresses.Mend(unreadable.Page));
        context.ExceptionHandled = true;
    }
}
