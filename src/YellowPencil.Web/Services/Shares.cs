namespace YellowPencil.Web.Services;

/// <summary>Shares as people read them.</summary>
internal static class Shares
{
    /// <summary>A share in per cent, never rounded up to certainty nor down to nothing.</summary>
    public static string Percent(double share) => share < 0.01 ? "under 1 %" : $"{Math.Floor(Math.Min(99, 100 * share)):0} %";
}
