using YellowPencil.Data;

namespace YellowPencil.Web.Accounts;

/// <summary>Whoever is signed in, as the cookie check has found them; the owner of the rows that are shown.</summary>
public sealed class CurrentSpecialist(IHttpContextAccessor accessor) : ICurrentOwner
{
    private const string Key = "specialist";
    private Specialist? servedInBackground;

    /// <summary>The account, not tracked; null when nobody is signed in.</summary>
    public Specialist? Account => servedInBackground ?? accessor.HttpContext?.Items[Key] as Specialist;

    /// <inheritdoc/>
    public Guid? Id => Account?.Id;

    /// <summary>The name that stands beside what this specialist decides.</summary>
    public string Name => Account?.DisplayName ?? "";

    /// <summary>Says for whom work is done that no request waits for.</summary>
    public void Serve(Specialist account) => servedInBackground = account;

    /// <summary>Remembers, for the rest of the request, whom the cookie belongs to.</summary>
    public static void Remember(HttpContext context, Specialist account) => context.Items[Key] = account;
}
