using Microsoft.AspNetCore.Identity;

namespace YellowPencil.Data;

/// <summary>A signed-in user of the application; owns students and everything about them.</summary>
public sealed class Specialist : IdentityUser<Guid>
{
    /// <summary>The name shown beside decisions.</summary>
    public string DisplayName { get; set; } = "";
}
