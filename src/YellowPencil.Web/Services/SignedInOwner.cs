using System.Security.Claims;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The owner is whoever is signed in.</summary>
internal sealed class SignedInOwner(IHttpContextAccessor accessor) : ICurrentOwner
{
    public Guid? Id => Guid.TryParse(accessor.HttpContext?.User.FindFirstValue(ClaimTypes.NameIdentifier), out var id) ? id : null;
}
