using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Forms;

/// <summary>
/// Takes each form in whole and once. Whatever a form does is done in one transaction: all of it or nothing. A form with a key keeps that key in the same
/// transaction, so that a double click, a reload or a repeated request leads where the first one led and makes nothing a second time; one that comes back
/// with a message keeps nothing, and can be sent again.
/// </summary>
public sealed class OnceFilter(PencilContext data, CurrentSpecialist who, TimeProvider clock, ITempDataDictionaryFactory temp) : IAsyncPageFilter
{
    /// <summary>The field with the key.</summary>
    public const string Field = "once";

    /// <summary>The field that names the texts which the browser keeps until the form is taken in.</summary>
    public const string Taken = "taken";

    /// <inheritdoc/>
    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    /// <inheritdoc/>
    public async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        var request = context.HttpContext.Request;
        if (!HttpMethods.IsPost(request.Method))
        {
            await next();
            return;
        }

        await using var transaction = await data.Database.BeginTransactionAsync();
        if (who.Id is not { } owner || !request.HasFormContentType || !Guid.TryParse(request.Form[Field], out var key))
        {
            // What is written down of a refused sign-in is kept as well: only an exception undoes it.
            if ((await next()) is { Exception: null } or { ExceptionHandled: true }) await transaction.CommitAsync();
            return;
        }

        var isFirst = await data.Database.ExecuteSqlAsync(
            $"insert into sent_forms (id, owner_id, address, at) values ({key}, {owner}, '', {clock.GetUtcNow()}) on conflict do nothing") == 1;
        if (!isFirst)
        {
            context.Result = new LocalRedirectResult(await data.SentForms.Where(f => f.Id == key).Select(f => f.Address).FirstAsync());
        }
        else
        {
            var address = (await next()).Result switch { RedirectResult redirect => redirect.Url, LocalRedirectResult redirect => redirect.Url, _ => null };
            if (address is null) return;
            await data.Database.ExecuteSqlAsync($"update sent_forms set address = {address} where id = {key} and owner_id = {owner}");
            await transaction.CommitAsync();
        }

        temp.GetTempData(context.HttpContext)["Taken"] = request.Form[Taken].ToString();
    }
}
