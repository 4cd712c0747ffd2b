using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;

namespace YellowPencil.Bench;

/// <summary>How well the bugs of each family are told apart by 500 items: a table, and the pairs that are not.</summary>
internal static class Distinctness
{
    private const int Items = 500;

    public static void Print()
    {
        Console.WriteLine("| family | declared | of its parts | silent on all items | pairs with the same answers, own | with those of parts | least items told apart |");
        Console.WriteLine("|---|---|---|---|---|---|---|");
        foreach (var family in FamilyList.All)
        {
            var pool = ItemPool.Of(family, Items, seed: 11);
            var run = new MethodRun();
            var right = pool.Select(t => t.RightAnswer).ToArray();
            var answers = Catalogue.Of(family).Select(bug => (Bug: bug, Answers: Answers(bug.Alone))).ToList();
            var silent = answers.Where(a => a.Answers.SequenceEqual(right)).Select(a => a.Bug.Id).ToList();
            var shown = answers.Where(a => !silent.Contains(a.Bug.Id)).ToList();
            var least = Items;
            List<string> own = [], inherited = [];
            for (var a = 0; a < shown.Count; a++)
                for (var b = 0; b < a; b++)
                {
                    var apart = shown[a].Answers.Zip(shown[b].Answers).Count(p => p.First != p.Second);
                    if (apart > 0) least = Math.Min(least, apart);
                    else if (shown[a].Bug.Family == family && shown[b].Bug.Family == family) own.Add($"{shown[b].Bug.Id} = {shown[a].Bug.Id}");
                    else inherited.Add($"{shown[b].Bug.Id} = {shown[a].Bug.Id}");
                }

            Console.WriteLine($"| {family.Name} | {Catalogue.DeclaredFor(family).Count} | {answers.Count - Catalogue.DeclaredFor(family).Count} | {silent.Count} | {own.Count} | {inherited.Count} | {least} |");
            foreach (var id in silent.Where(id => id.StartsWith(family.Name + ".", StringComparison.Ordinal))) Console.Error.WriteLine($"  silent: {id}");
            foreach (var pair in own) Console.Error.WriteLine($"  same: {pair}");
            foreach (var pair in inherited.Where(p => p.Contains(" = " + family.Name) || p.StartsWith(family.Name + ".", StringComparison.Ordinal))) Console.Error.WriteLine($"  same as a part's: {pair}");
            var few = answers.Where(a => a.Bug.Family == family).Select(a => (a.Bug.Id, Shown: a.Answers.Zip(right).Count(p => p.First != p.Second))).Where(a => a.Shown is > 0 and < 5);
            foreach (var (id, count) in few) Console.Error.WriteLine($"  shows on {count} only: {id}");

            string[] Answers(DeviationSet set) => [.. pool.Select(task =>
            {
                Method.Run(task, run, set);
                return run.Page.Answer.ToString();
            })];
        }
    }
}
