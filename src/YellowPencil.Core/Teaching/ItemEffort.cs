using System.Globalization;
using System.Text.RegularExpressions;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Teaching;

/// <summary>How hard it is to see an idea, and nothing else, in an item.</summary>
internal static partial class ItemEffort
{
    /// <summary>
    /// An idea that an item needs beside the one that is taught, another place where the rule shows, or an answer in two parts makes an example as hard as so many
    /// steps more.
    /// </summary>
    private const int StepsAnIdea = 3;

    /// <summary>A fraction that comes out of whole numbers takes the eye like so many ideas.</summary>
    private const int FractionOfWholes = 3;

    /// <summary>In lines, numbers of so much together make an item as hard as a step more.</summary>
    private const int LargeForAStep = 10;

    /// <summary>A number of more digits counts as the largest.</summary>
    private const int MostDigits = 3;

    private const int MostCounted = 1000;

    /// <summary>Its effort: what takes the eye counts as an idea, a minus as a step, and in lines so do large numbers.</summary>
    public static int Of(WeighedItem item)
    {
        var (task, right) = (item.Item.Task, item.Item.Right);
        var odd = (right.Contains(' ') ? 1 : 0) + (ComesToAFraction(item) ? FractionOfWholes : 0) + (IsByOne(task) ? 1 : 0) + (HidesZeros(task) ? 1 : 0);
        var large = TaughtFamily.Of(task.Family).Layout is null
            ? Number().Matches(task.Text).Sum(n => n.Length <= MostDigits ? int.Parse(n.ValueSpan, CultureInfo.InvariantCulture) : MostCounted) / LargeForAStep
            : 0;
        return item.Pooled.Steps + task.Text.Count(c => c == '-') + large + StepsAnIdea * (item.Pooled.Ideas.Count + Math.Max(0, item.Chances - 1) + odd);
    }

    /// <summary>Whether a fraction comes out of whole numbers.</summary>
    public static bool ComesToAFraction(WeighedItem item) => item.Item.Right.Contains('/') && !item.Item.Task.Text.Contains('/');

    /// <summary>Whether it is times one, or divided by one: nothing becomes of it.</summary>
    public static bool IsByOne(ItemTask task) => task.SetOperation is PairOperation.Times or PairOperation.DividedBy && task.Numbers.Any(n => n.Text.Trim('-', '0', '.') == "1");

    /// <summary>Whether it is a product whose last decimals are zeros, which are not written: the places that are counted are not seen.</summary>
    public static bool HidesZeros(ItemTask task) =>
        task.SetOperation == PairOperation.Times && task.Text.Contains('.') && task.Numbers.Aggregate(1, (last, n) => last * LastDigit(n.Text) % 10) == 0;

    private static int LastDigit(string number) => number.Trim('-', '0', '.') is [.., var digit] ? digit - '0' : 0;

    [GeneratedRegex(@"(?<![\d^])\d+")]
    private static partial Regex Number();
}
