namespace YellowPencil.Core.Working;

/// <summary>The taught methods that a sheet can name, as the format lists them.</summary>
public static class TaughtMethods
{
    /// <summary>The values allowed under each name in <c>methods</c>.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<string>> Values { get; } = new Dictionary<string, IReadOnlyList<string>>
    {
        ["fractions"] = ["least-denominator", "product-of-denominators"],
        ["mixed-numbers"] = ["improper-first", "rename-a-whole"],
        ["binomials"] = ["box", "four-products"],
        ["carry-mark"] = ["above", "below", "beside"],
        ["factoring"] = ["cross-and-box", "trial-pairs", "middle-and-gap"],
        ["roots"] = ["straight-line", "number-line"],
        ["product-sign"] = ["sign-first", "sign-last"],
        ["decimal-point"] = ["point-first", "point-last"],
    };
}
