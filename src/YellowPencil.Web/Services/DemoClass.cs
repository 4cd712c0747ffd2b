using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Classes;

namespace YellowPencil.Web.Services;

/// <summary>
/// The class of the demo: 24 made-up students on one mixed sheet. On the copies that were handed out the zero of one item had not come out, so that
/// everybody worked another number: nobody has it right, and no rule says why.
/// </summary>
internal static class DemoClass
{
    private const string Misprinted = "9.05 + 3.6";
    private const string AsItCameOut = "13.1";

    private static readonly string[] Tasks =
    [
        "604 - 278", "523 - 168", "456 + 378", "703 - 245", "47 * 38", "80 - 36", "856 / 8", "4.56 + 3.7", "500 - 123", "612 / 3", "12.5 + 0.34", Misprinted, "640 - 58", "69 * 24", "735 / 7",
    ];

    /// <summary>What the students do: a rule of the catalogue, nothing, and how often they slip.</summary>
    private static readonly (string? Rule, int Students, double Slips)[] Ways =
    [
        ("subtraction.turns-column-round", 5, 0), (null, 4, 0.06), ("subtraction.zeros-skipped", 3, 0.03), ("decimal-sums.right-ends-lined-up", 3, 0), (null, 3, 0),
        ("division.zero-inside-left-out", 3, 0), ("multiplication.old-carry-used-again", 1, 0), ("addition.carry-dropped", 1, 0),
    ];

    public static void Add(PencilContext data, Guid owner, DateTimeOffset now)
    {
        var schoolClass = new SchoolClass { Id = Guid.CreateVersion7(now), OwnerId = owner, Name = "Sandpiper", Word = ClassroomWord.Regroup, CreatedAt = now.AddDays(-6) };
        var items = ItemList.TryParse(string.Join('\n', Tasks), null, out _);
        var sheet = ClassDesk.New(schoolClass, "Stock-taking before the spring flight", DateOnly.FromDateTime(now.AddDays(-1).UtcDateTime), items, now.AddDays(-5));
        data.Classes.Add(schoolClass);
        data.ClassSheets.Add(sheet);
        var ways = Ways.SelectMany(w => Enumerable.Repeat(w, w.Students)).Append((null, 1, 0)).ToList();
        for (var number = 1; number <= ways.Count; number++)
        {
            // The ways are dealt out over the list, so that those who do the same do not stand side by side.
            var (rule, _, slips) = ways[number * 7 % ways.Count];
            var student = new Student { Id = Guid.CreateVersion7(now), OwnerId = owner, Code = $"S-{number:00}", Word = schoolClass.Word, CreatedAt = now.AddDays(-6) };
            schoolClass.Students.Add(student);
            var page = ClassDesk.PageOf(sheet, student, number == ways.Count ? [.. Written(rule, slips, number).Take(4), .. items.Skip(4)] : Written(rule, slips, number), now.AddDays(-1));
            page.State = PageState.Typed;
            data.Pages.Add(page);
        }
    }

    private static List<WorkedItem> Written(string? rule, double slips, int seed)
    {
        var student = new SimulatedStudent(new Hypothesis(rule is null ? [] : [Catalogue.Find(rule)!], [], []), 1, slips, 40 + seed);
        return
        [
            .. Tasks.Select((text, i) => student.Write((i + 1).ToString(), TaskText.TryParse(text).Value!))
                .Select(item => item with { Answer = item.Task.Text == Misprinted ? AsItCameOut : item.Answer, Work = Work.None }),
        ];
    }
}
