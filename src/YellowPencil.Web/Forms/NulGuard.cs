namespace YellowPencil.Web.Forms;

/// <summary>Refuses requests whose address or form holds a NUL character, which no field means and the database cannot keep.</summary>
internal static class NulGuard
{
    public static async Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        if (!await HoldsNulAsync(context.Request))
        {
            await next(context);
            return;
        }

        // The page that says so must not read the form again.
        context.Request.Method = HttpMethods.Get;
        context.Request.ContentType = null;
        context.Request.QueryString = QueryString.Empty;
        context.Response.StatusCode = StatusCodes.Status400BadRequest;
    }

    private static async Task<bool> HoldsNulAsync(HttpRequest request)
    {
        if ((request.Path.Value ?? "").Contains('\0') || request.Query.Any(q => q.Value.Any(v => v?.Contains('\0') ?? false))) return true;
        if (!request.HasFormContentType) return false;
        try
        {
            await request.ReadFormAsync();
            return false;
        }
        catch (InvalidDataException)
        {
            // The framework's reader says so of NUL characters, and of forms that are no forms.
            return true;
        }
    }
}
