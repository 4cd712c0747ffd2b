using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.SignRules;

/// <summary>Which sign a product or a quotient gets.</summary>
internal enum ProductSign { ByRule, Positive, Negative, AsFirst, AsSecond, OfLarger, Opposite, NegativeIfAny }

/// <summary>The two signs of a product or a quotient.</summary>
/// <param name="FirstIsNegative">Whether the first number has a minus sign.</param>
/// <param name="SecondIsNegative">Whether the second has.</param>
/// <param name="FirstIsLarger">Whether the first is the larger without its sign.</param>
/// <param name="IsQuotient">Whether it is a division.</param>
internal readonly record struct SignsContext(bool FirstIsNegative, bool SecondIsNegative, bool FirstIsLarger, bool IsQuotient) : IDecisionContext
{
    /// <summary>Whether both signs are minus.</summary>
    public bool AreBothNegative => FirstIsNegative && SecondIsNegative;

    /// <summary>Whether the signs are different.</summary>
    public bool AreDifferent => FirstIsNegative != SecondIsNegative;
}

/// <summary>The decision about the sign of products and quotients, wherever numbers have signs.</summary>
internal static class SignDecisions
{
    public static readonly Decision<SignsContext, ProductSign, bool> OfProduct = new(
        "integers.product-sign", "Which sign does the answer get?", ProductSign.ByRule)
    {
        [ProductSign.ByRule] = new("by-rule", "gives the sign by the rule", c => c.AreDifferent),
        [ProductSign.Positive] = new("positive", "writes no minus sign", _ => false),
        [ProductSign.Negative] = new("negative", "writes a minus sign", _ => true),
        [ProductSign.AsFirst] = new("as-first", "keeps the sign of the first number", c => c.FirstIsNegative),
        [ProductSign.AsSecond] = new("as-second", "keeps the sign of the second number", c => c.SecondIsNegative),
        [ProductSign.OfLarger] = new("of-larger", "takes the sign of the larger number", c => c.FirstIsLarger ? c.FirstIsNegative : c.SecondIsNegative),
        [ProductSign.Opposite] = new("opposite", "takes the opposite sign", c => !c.AreDifferent) { Slip = 3 },
        [ProductSign.NegativeIfAny] = new("negative-if-any", "writes a minus sign if there is any", _ => true),
        Kinds = [
            new("always", "always", _ => true), new(
                "both", "when both numbers are negative", c => c.AreBothNegative), new("different", "when the signs are different", c => c.AreDifferent),
            new("first", "when only the first number is negative", c => c.FirstIsNegative && !c.SecondIsNegative), new(
                "second", "when only the second number is negative", c => !c.FirstIsNegative && c.SecondIsNegative),
            new("quotient", "in divisions", c => c.IsQuotient), new("product", "in products", c => !c.IsQuotient),
        ],
        ShowsIn = WorkFields.Sign,
        Idea = Ideas.SameSignsPositive,
        IsTold = true,
    };

    /// <summary>Whether a product of terms or a quotient is negative, where no sign is noted beside the work.</summary>
    internal static bool IsNegativeAside(MethodRun run, SignsContext context)
    {
        run.Page.IsAside = true;
        var isNegative = IsNegative(run, context);
        run.Page.IsAside = false;
        return isNegative;
    }

    /// <summary>Whether the sign is decided before the digits are worked; by the other school it is put on at the end.</summary>
    internal static bool ComesFirst(MethodRun run) => run.School.Of(School.ProductSign) == ProductSignSchool.SignFirst;

    /// <summary>Asks for the sign where there is one; whether the answer is negative.</summary>
    internal static bool IsNegative(MethodRun run, SignsContext context)
    {
        if (!context.FirstIsNegative && !context.SecondIsNegative) return false;
        var isNegative = run.Do(OfProduct, context);
        run.Page.Write(WorkFields.Sign, null, isNegative ? "-" : "+");
        return isNegative;
    }
}
