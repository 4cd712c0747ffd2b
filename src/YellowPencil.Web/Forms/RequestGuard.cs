using Microsoft.Extensions.Primitives;

namespace YellowPencil.Web.Forms;

/// <summary>
/// Refuses what no page and no script of the application sends: other methods, forms that are no forms or have far too many fields, and NUL characters, which
/// no field means and the database cannot keep.
/// </summary>
internal static class RequestGuard
{
    /// <summary>The most fields of a form or an address: a page of 200 items has about 400.</summary>
    private const int MostFields = 1_000;

    public static async Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        if (!IsKnown(request.Method))
        {
            context.Response.StatusCode = StatusCodes.Status405MethodNotAllowed;
            return;
        }

        if (await IsTakenAsync(request))
        {
            await next(context);
            return;
        }

        // The page that says so must not read the form again.
        request.Method = HttpMethods.Get;
        request.ContentType = null;
        request.QueryString = QueryString.Empty;
        context.Response.StatusCode = StatusCodes.Status400BadRequest;
    }

    private static bool IsKnown(string method) =>
        HttpMethods.IsGet(method) || HttpMethods.IsHead(method) || HttpMethods.IsPost(method) || HttpMethods.IsPut(method);

    private static async Task<bool> IsTakenAsync(HttpRequest request)
    {
        if ((request.Path.Value ?? "").Contains('\0') || !AreTaken(request.Query)) return false;
        if (!request.HasFormContentType) return true;
        try
        {
            // The framework's reader refuses NUL characters, forms that are no forms, and character sets that it does not know.
            return AreTaken(await request.ReadFormAsync());
        }
        catch (Exception e) when (e is InvalidDataException or IOException or NotSupportedException or ArgumentException)
        {
            return false;
        }
    }

    private static bool AreTaken(IEnumerable<KeyValuePair<string, StringValues>> fields)
    {
        var count = 0;
        foreach (var (name, values) in fields)
            if ((count += values.Count) > MostFields || name.Contains('\0') || values.Any(v => v?.Contains('\0') ?? false)) return false;
        return true;
    }
}
