using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Products;

/// <summary>A product of whole numbers worked in rows.</summary>
internal static class WrittenProduct
{
    /// <summary>The rows of a product, for other methods that come to one.</summary>
    public static void InRows(MethodRun run, WholeNumber first, WholeNumber second) =>
        run.Page.AppendCells(ProductWork.Multiply(run, DigitsOf(run, first), DigitsOf(run, second)));

    private static Span<int> DigitsOf(MethodRun run, WholeNumber number)
    {
        var digits = run.Take(number.Length);
        for (var place = 0; place < digits.Length; place++) digits[place] = number.Digit(place);
        return digits;
    }
}
