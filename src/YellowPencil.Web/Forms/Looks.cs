using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Forms;

/// <summary>Says of a page that it shows no student.</summary>
[AttributeUsage(AttributeTargets.Class)]
internal sealed class ShowsNoStudentAttribute : Attribute;

/// <summary>Whom a page shows.</summary>
internal static class Looks
{
    private const string Key = "looks";

    /// <summary>Says what of which students is shown; it is logged when the page is.</summary>
    public static void Shows(this PageModel page, string what, params IEnumerable<Guid> students) => page.HttpContext.Items[Key] = new Look(what, [.. students.Distinct()]);

    /// <summary>What was said of this request; null where nothing was.</summary>
    public static Look? Of(HttpContext context) => context.Items[Key] as Look;

    /// <summary>What is shown of which students.</summary>
    public sealed record Look(string What, Guid[] Students);
}

/// <summary>
/// Logs who looked at which student. Every page that shows anything either says whom it shows, or carries <see cref="ShowsNoStudentAttribute"/>: one that does
/// neither is not shown. The same look again within ten minutes is one look.
/// </summary>
public sealed class LookFilter(PencilContext data, CurrentSpecialist who, TimeProvider clock) : IAsyncPageFilter
{
    private static readonly TimeSpan OneLook = TimeSpan.FromMinutes(10);

    /// <inheritdoc/>
    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    /// <inheritdoc/>
    public async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        var done = await next();
        if (done.Result is not (PageResult or FileResult or null) || done.Exception is not null || who.Id is not { } owner) return;
        if (Looks.Of(context.HttpContext) is { } look) await LogAsync(owner, look);
        else if (!context.ActionDescriptor.ModelTypeInfo!.IsDefined(typeof(ShowsNoStudentAttribute), inherit: true))
            throw new InvalidOperationException($"{context.ActionDescriptor.ModelTypeInfo} does not say whom it shows");
    }

    private Task<int> LogAsync(Guid owner, Looks.Look look)
    {
        var now = clock.GetUtcNow();
        return data.Database.ExecuteSqlAsync($"""
            insert into looks (owner_id, student_id, by_name, what, at)
            select {owner}, student, {who.Name}, {look.What}, {now} from unnest({look.Students}) student
            where not exists (select 1 from looks l where l.student_id = student and l.what = {look.What} and l.by_name = {who.Name} and l.at > {now - OneLook})
            """);
    }
}
