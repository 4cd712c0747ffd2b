using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>
/// The demo: a small school by an estuary with a kite workshop, whose stock books of spars, line, sailcloth and tails give the
/// pages their names. Everybody in it is made up.
/// </summary>
public sealed class DemoLoader(PencilContext data, UserManager<Specialist> users, TimeProvider clock)
{
    /// <summary>The demo's sign-in.</summary>
    public const string Email = "demo@kite-workshop.example";

    /// <summary>The demo's password.</summary>
    public const string Password = "against the wind";

    /// <summary>Loads the demo into an empty database.</summary>
    public async Task LoadIfEmptyAsync()
    {
        if (await data.Users.AnyAsync()) return;
        var specialist = new Specialist { Id = Guid.CreateVersion7(), UserName = Email, Email = Email, DisplayName = "Demo specialist" };
        var made = await users.CreateAsync(specialist, Password);
        if (!made.Succeeded) throw new InvalidOperationException(string.Join(" ", made.Errors.Select(e => e.Description)));
        foreach (var student in DemoStudents.All.Concat(DemoLines.All)) Add(student, specialist.Id);
        DemoWeeks.Add(data, specialist.Id, specialist.DisplayName, clock.GetUtcNow());
        DemoClass.Add(data, specialist.Id, clock.GetUtcNow());
        await data.SaveChangesAsync();
    }

    private void Add(DemoStudent demo, Guid owner)
    {
        var now = clock.GetUtcNow();
        var student = new Student { Id = Guid.CreateVersion7(now), OwnerId = owner, Code = demo.Code, CallName = demo.CallName, Word = demo.Word, School = demo.School, CreatedAt = now.AddDays(-20) };
        data.Students.Add(student);
        foreach (var page in demo.Pages)
        {
            var written = DateOnly.FromDateTime(now.AddDays(-page.DaysAgo).UtcDateTime);
            var kept = PageDesk.New(student, page.Title, written, page.Items(), now.AddDays(-page.DaysAgo));
            if (PageDesk.StoredSheet(kept).Items.Any(i => i.IsAnswered)) kept.State = PageState.Typed;
            data.Pages.Add(kept);
            if (page.IsRead) data.Readings.Add(ReadingDesk.Keep(kept, SheetDiagnosis.Read(PageDesk.Sheet(kept)), now));
        }
    }
}

/// <summary>A made-up student.</summary>
internal sealed record DemoStudent(string Code, string CallName, ClassroomWord Word, IReadOnlyList<DemoPage> Pages, string School = "");

/// <summary>A page of a made-up student, written by hand or by the simulator.</summary>
internal sealed record DemoPage(string Title, int DaysAgo, Func<IReadOnlyList<WorkedItem>> Items, bool IsRead = false);

/// <summary>The made-up students of the demo.</summary>
internal static class DemoStudents
{
    private static readonly string[] Ordinary =
    [
        "604 - 278", "523 - 168", "80 - 36", "415 - 203", "703 - 245", "952 - 367", "500 - 123", "867 - 452", "731 - 480", "640 - 58", "3006 - 749", "8214 - 5060",
    ];

    private static readonly string[] Products =
        ["47 * 6", "38 * 24", "69 * 19", "58 * 38", "83 * 3", "46 * 35", "169 * 203", "27 * 58", "96 * 14", "34 * 21", "76 * 18", "49 * 13"];

    private static readonly string[] Quotients =
        ["856 / 8", "846 / 6", "612 / 3", "735 / 7", "960 / 4", "4212 / 6", "952 / 7", "3054 / 3", "648 / 12", "1839 / 9", "7035 / 5", "2448 / 24"];

    private static readonly string[] DecimalSums =
        ["4.56 + 3.7", "12.5 + 0.34", "6 - 2.45", "0.8 + 0.15", "7.2 - 0.35", "2.5 + 1.25", "15.06 + 4.3", "9.4 - 3.27", "3.4 + 2.1", "8.75 - 6.5", "0.6 + 0.27", "10 - 0.4"];

    private static readonly string[] DecimalProducts =
        ["4.6 * 3.7", "0.8 * 0.4", "2.35 * 6", "1.2 * 0.05", "7.5 * 2.4", "0.36 * 0.9", "12.4 * 3", "0.7 * 0.08", "3.25 * 1.6", "5.1 * 0.3"];

    private static readonly string[] Signed =
        ["-7 - -12", "4 - -3", "-8 + 5", "-6 - 9", "9 - -2", "-3 + -4", "-10 - -4", "6 - 11", "-5 * 3", "8 - -8"];

    private static readonly string[] Sums =
        ["456 + 378", "27 + 58", "604 + 297", "83 + 14", "745 + 86", "369 + 254", "512 + 203", "48 + 67 + 95", "1286 + 947", "70 + 25"];

    private static readonly string[] DecimalQuotients =
        ["8.4 / 0.6", "5.6 / 0.7", "0.36 / 0.4", "9 / 0.3", "7.2 / 8", "1.44 / 0.12", "6.5 / 0.5", "0.63 / 0.9", "4.8 / 0.16", "2.1 / 3"];

    private static readonly string[] LongDivisions =
        ["1003 / 27", "846 / 6", "2006 / 34", "960 / 24", "3001 / 43", "735 / 21", "4007 / 52", "912 / 38", "6005 / 63", "2004 / 28"];

    public static IReadOnlyList<DemoStudent> All { get; } =
    [
        new("K-01", "Merrin", ClassroomWord.Borrow,
            [new("Spars in the stock book", 9, () => Simulated(["subtraction.turns-column-round"], 1, 0, 11)), new("Line on the reels", 2, () => Designed(12))]),
        new("K-02", "Tobiah", ClassroomWord.Regroup,
            [new("Sailcloth by the metre", 8, () => Simulated(["subtraction.zeros-skipped", "subtraction.zero-below-gives-zero"], 1, 0, 12))]),
        new("K-03", "Sela", ClassroomWord.Rename,
            [new("Tails cut on Monday", 8, () => Answers("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "902 - 456 = 546", "586 - 243 = 343", "78 - 35 = 43"), IsRead: true)]),
        new("K-04", "Corvan", ClassroomWord.Borrow,
            [new("Wind log, first week", 7, () => Answers("52 - 38 = 26", "63 - 47 = 24", "91 - 56 = 35", "84 - 29 = 65", "375 - 148 = 227", "462 - 271 = 211", "70 - 24 = 46", "581 - 346 = 245", "728 - 465 = 343", "943 - 618 = 335", "86 - 42 = 44", "647 - 215 = 432"), IsRead: true)]),
        new("K-05", "Ulla", ClassroomWord.Exchange,
            [new("Reels and spools", 6, () => Answers("604 - 278 = 326", "523 - 168 = 356", "80 - 36 = 44", "415 - 203 = 212", "703 - 245 = 458", "952 - 367 = 575", "500 - 123 = 377", "867 - 452 = 415", "731 - 480 = 251", "640 - 58 = 582", "7004 - 1586 = 5418", "340 - 127 = 213"), IsRead: true)]),
        new("K-06", "Perrick", ClassroomWord.Rename,
            [new("Three bridles", 6, () => Answers("86 - 42 = 44", "57 - 23 = 34", "95 - 71 = 24"), IsRead: true)]),
        new("K-07", "Nessa", ClassroomWord.Regroup,
            [new("Eyelets left in the box", 5, () => Answers("23 - 7 = 15", "153 - 47 = 105", "463 - 237 = 225", "604 - 278 = 326", "523 - 168 = 355", "80 - 36 = 44", "415 - 203 = 212", "703 - 245 = 458", "952 - 367 = 585", "500 - 123 = 377", "731 - 480 = 251", "640 - 58 = 582"))]),
        new("K-08", "Jory", ClassroomWord.Borrow,
            [new("Paper for the parade", 4, () => Answers("52 - 39 = 22", "673 - 194 = 569", "845 - 29 = 825", "761 - 590 = 261", "340 - 19 = 330", "604 - 278 = 326", "523 - 168 = 355", "80 - 36 = 44", "952 - 367 = 585", "731 - 480 = 251"))]),
        new("K-09", "Isolde", ClassroomWord.Regroup, [new("Beads for the tails", 4, () => Simulated(["multiplication.old-carry-used-again"], 1, 0, 21, Products))], "placeholder=row-shifted"),
        new("K-10", "Bram", ClassroomWord.Exchange, [new("Line shared among the reels", 3, () => Simulated(["division.zero-inside-left-out"], 1, 0, 22, Quotients))]),
        new("K-11", "Lowen", ClassroomWord.Rename, [new("Sailcloth in metres", 3, () => Simulated(["decimal-sums.right-ends-lined-up"], 1, 0, 23, DecimalSums))]),
        new("K-12", "Tamsin", ClassroomWord.Borrow, [new("What the cloth costs", 3, () => Simulated(["decimal-products.places-of-first-only"], 1, 0, 24, DecimalProducts))]),
        new("K-13", "Ewan", ClassroomWord.Regroup, [new("Above and below the tide mark", 2, () => Simulated(["integers.minus-minus-stays-minus"], 1, 0, 25, Signed))]),
        new("K-14", "Wenna", ClassroomWord.Exchange, [new("Spars and line, added up", 2, () => Simulated(["addition.carry-dropped"], 1, 0, 26, Sums))], "carry-mark=below"),
        new("K-15", "Jenifer", ClassroomWord.Rename, [new("Pegs in boxes", 1, () => Simulated(["subtraction.zeros-skipped"], 1, 0, 27, LongDivisions))]),
        new("K-17", "Kerra", ClassroomWord.Borrow,
            [
                new("Spars, first count", 23, () => Answers("604 - 278 = 236", "703 - 245 = 368", "805 - 347 = 368", "402 - 156 = 156", "900 - 431 = 379", "86 - 42 = 44", "73 - 28 = 45", "650 - 318 = 332"), IsRead: true),
                new("Spars, second count", 15, () => Answers("502 - 267 = 235", "801 - 354 = 357", "604 - 139 = 465", "300 - 146 = 64", "706 - 428 = 278", "401 - 265 = 46", "95 - 37 = 58", "548 - 213 = 335"), IsRead: true),
                new("Spars, third count", 5, () => Answers("803 - 456 = 347", "601 - 274 = 327", "500 - 238 = 262", "904 - 517 = 387", "702 - 385 = 317", "400 - 123 = 277", "64 - 29 = 35", "735 - 421 = 314"), IsRead: true),
            ]),
        new("K-16", "Digory", ClassroomWord.Borrow, [new("Cloth cut into tails", 1, () => Simulated(["decimal-division.divisor-point-only"], 1, 0, 28, DecimalQuotients))]),
    ];

    private static IReadOnlyList<WorkedItem> Answers(params string[] lines) => ItemList.TryParse(string.Join('\n', lines), null, out _);

    private static IReadOnlyList<WorkedItem> Designed(int count) =>
        [.. SheetDesign.Of(FamilyList.Subtraction, count, seed: 7).Select((t, i) => WorkedItem.Of((i + 1).ToString(), t))];

    private static IReadOnlyList<WorkedItem> Simulated(string[] bugs, double consistency, double slips, int seed) => Simulated(bugs, consistency, slips, seed, Ordinary);

    private static IReadOnlyList<WorkedItem> Simulated(string[] bugs, double consistency, double slips, int seed, IEnumerable<string> tasks)
    {
        var student = new SimulatedStudent(new Hypothesis([.. bugs.Select(b => Catalogue.Find(b)!)], [], []), consistency, slips, seed);
        return [.. tasks.Select((text, i) => student.Write((i + 1).ToString(), TaskText.TryParse(text).Value!))];
    }
}
