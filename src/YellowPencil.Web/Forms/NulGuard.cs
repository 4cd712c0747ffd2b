namespace YellowPencil.Web.Forms;

/// <summary>Refuses requests whose address or form holds a NUL character, which no field means and the database cannot keep.</summary>
internal static class NulGuard
{
    public static async Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        var holdsNul = (request.Path.Value ?? "").Contains('\0') || request.Query.Any(q => q.Value.Any(HoldsNul));
        if (!holdsNul && request.HasFormContentType) holdsNul = (await request.ReadFormAsync(context.RequestAborted)).Any(f => f.Key.Contains('\0') || f.Value.Any(HoldsNul));
        if (holdsNul) context.Response.StatusCode = StatusCodes.Status400BadRequest;
        else await next(context);
    }

    private static bool HoldsNul(string? text) => text?.Contains('\0') ?? false;
}
