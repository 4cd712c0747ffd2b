namespace YellowPencil.Web.Services;

/// <summary>The headers that every answer carries: nothing is loaded from elsewhere, nothing inline runs, nobody frames a page.</summary>
internal static class SecurityHeaders
{
    private const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; " +
        "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public static Task Add(HttpContext context, RequestDelegate next)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Permissions-Policy"] = "camera=(), microphone=(), geolocation=()";
        if (!context.Request.Path.StartsWithSegments("/dist", StringComparison.Ordinal)) headers.CacheControl = "no-store";
        return next(context);
    }
}
