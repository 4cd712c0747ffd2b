using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Addition;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Families.Multiplication;
using YellowPencil.Core.Families.Subtraction;

namespace YellowPencil.Core.Asking;

/// <summary>
/// Chooses items for a sheet that tells the bugs of a family apart: greedily, each item separating the pairs of bugs that the
/// items before it have separated least. The first item is the plainest on which anything shows, and every third after it an ordinary one, on
/// which few bugs show, so that the student meets success. All items ask for the same form of answer.
/// </summary>
public static class SheetDesign
{
    private const int PoolSize = 400;

    /// <summary>Items of which few are as wished are looked for so many times as long.</summary>
    private const int Patience = 8;

    /// <summary>What one separation leaves of the wish to see a pair separated again.</summary>
    private const double AfterSeparation = 0.3;

    /// <summary>What a bug of a part weighs at the most beside one of the family itself: it has sheets of its own family.</summary>
    private const double OfPart = 0.3;

    /// <summary>What all bugs of parts weigh together at the most, beside all of the family itself.</summary>
    private const double OfParts = 0.3;

    /// <summary>What it weighs besides, to tell two bugs of parts from each other.</summary>
    private const double BetweenParts = 0.2;

    /// <summary>The items of a sheet.</summary>
    /// <param name="family">A family whose methods are in the product.</param>
    /// <param name="items">How many, 1 to 60.</param>
    /// <param name="seed">The seed.</param>
    /// <param name="wish">How hard they may be; null for anything.</param>
    /// <returns>The items; fewer where not so many are as wished.</returns>
    public static IReadOnlyList<ItemTask> Of(Family family, int items, int seed, SheetWish? wish = null)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(items);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(items, 60);
        var pool = Pool(family, items, seed, wish ?? SheetWish.Any);
        var students = Catalogue.Of(family).Select(b => b.Alone).Prepend(DeviationSet.Taught).ToList();
        var answers = Answers(pool, students);
        var effort = pool.ConvertAll(task => Math.Sqrt(Steps(task)));
        var shows = Enumerable.Range(0, pool.Count).Select(t => answers[t].Count(a => a != answers[t][0])).ToArray();
        var wishes = Wishes(family, students.Count);
        var left = Enumerable.Range(0, pool.Count).ToHashSet();
        var sheet = new List<ItemTask>();
        while (sheet.Count < items && left.Count > 0)
        {
            var ordinary = sheet.Count % 3 == 0;
            var best = sheet.Count == 0
                ? left.OrderBy(t => shows[t] == 0).ThenBy(t => Plainness(pool[t])).ThenByDescending(t => shows[t]).ThenBy(t => t).First()
                : ordinary
                ? left.OrderBy(t => shows[t]).ThenBy(t => pool[t].Text.Length).ThenBy(t => t).First()
                : left.OrderByDescending(t => Separated(answers[t], wishes) / effort[t]).ThenBy(t => pool[t].Text.Length).ThenBy(t => t).First();
            left.Remove(best);
            sheet.Add(pool[best]);
            Settle(answers[best], wishes);
        }

        return sheet;
    }

    /// <summary>Items of several families on one sheet, in turns.</summary>
    /// <param name="families">The families.</param>
    /// <param name="items">How many items there are together.</param>
    /// <param name="seed">The seed.</param>
    /// <param name="wish">How hard they may be; null for anything.</param>
    public static IReadOnlyList<ItemTask> Of(IReadOnlyList<Family> families, int items, int seed, SheetWish? wish = null)
    {
        var shares = families.Select((family, at) => (Family: family, Items: (items + families.Count - 1 - at) / families.Count))
            .Where(s => s.Items > 0).ToList();
        return [.. shares.SelectMany(s => Of(s.Family, s.Items, seed, wish).Select((task, turn) => (task, turn))).OrderBy(t => t.turn).Select(t => t.task)];
    }

    // Short before long; in columns a number of two digits on top.
    private static int Plainness(ItemTask task) =>
        task.Text.Length + (task is ColumnSum or ColumnDifference or ColumnProduct or LongDivision && task.Numbers[0].Length < 2 ? 2 : 0);

    private static List<ItemTask> Pool(Family family, int items, int seed, SheetWish wish)
    {
        List<ItemTask> pool = [.. OfOneForm(ItemPool.Of(family, PoolSize, seed).Where(wish.Allows))];
        return pool.Count >= 4 * items ? pool : [.. OfOneForm(ItemPool.Of(family, PoolSize * Patience, seed).Where(wish.Allows)).Take(PoolSize)];
    }

    // The usual form of answer where there are such items.
    private static IEnumerable<ItemTask> OfOneForm(IEnumerable<ItemTask> tasks) =>
        tasks.GroupBy(t => t.Asked)
            .OrderBy(g => g.Key != default).ThenByDescending(g => g.Count()).ThenBy(g => g.Key.Words, StringComparer.Ordinal).FirstOrDefault()
            ?? Enumerable.Empty<ItemTask>();

    /// <summary>The steps of an item: long items tell more, but not in proportion, and tire.</summary>
    private static int Steps(ItemTask task)
    {
        var run = new MethodRun();
        Method.Run(task, run, DeviationSet.Taught);
        return run.StepCount;
    }

    private static int[][] Answers(IReadOnlyList<ItemTask> pool, List<DeviationSet> students)
    {
        var run = new MethodRun();
        return [.. pool.Select(task =>
        {
            var known = new Dictionary<string, int>();
            return students.Select(student =>
            {
                Method.Run(task, run, student);
                var answer = run.Page.Answer.ToString();
                return known.TryGetValue(answer, out var number) ? number : known[answer] = known.Count;
            }).ToArray();
        })];
    }

    // Common bugs first; the pair of a bug and the sound student counts most, for it is what makes the bug show at all.
    private static double[,] Wishes(Family family, int count)
    {
        var bugs = Catalogue.Of(family);
        var own = bugs.Count(b => b.Family == family);
        var ofPart = Math.Min(OfPart, OfParts * own / Math.Max(1, bugs.Count - own));
        var weights = bugs.Select(b => (1 + Priority(b.Commonness)) * (b.Family == family ? 1 : ofPart)).Prepend(8.0).ToArray();
        var wishes = new double[count, count];
        for (var a = 0; a < count; a++)
            for (var b = a + 1; b < count; b++)
                wishes[a, b] = weights[a] * weights[b] * (a > 0 && bugs[a - 1].Family != family && bugs[b - 1].Family != family ? BetweenParts : 1);
        return wishes;
    }

    private static double Priority(Commonness commonness) => Inference.Priors.Weight(commonness) / 4;

    private static double Separated(int[] answers, double[,] wishes)
    {
        var sum = 0.0;
        for (var a = 0; a < answers.Length; a++)
            for (var b = a + 1; b < answers.Length; b++)
                if (answers[a] != answers[b]) sum += wishes[a, b];
        return sum;
    }

    private static void Settle(int[] answers, double[,] wishes)
    {
        for (var a = 0; a < answers.Length; a++)
            for (var b = a + 1; b < answers.Length; b++)
                if (answers[a] != answers[b]) wishes[a, b] *= AfterSeparation;
    }
}
