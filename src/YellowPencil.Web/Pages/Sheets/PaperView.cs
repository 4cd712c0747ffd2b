using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>How a sheet is printed.</summary>
/// <param name="Size">"letter", or A4.</param>
/// <param name="Print">"large", or the usual.</param>
/// <param name="Kind">"key" for the specialist's key, or the sheet for the student.</param>
/// <param name="As">"pdf" for a file, or a page to be printed.</param>
public sealed record PaperWish(string? Size = null, string? Print = null, string? Kind = null, string? As = null)
{
    /// <summary>Whether the key is asked for.</summary>
    public bool IsKey => Kind == "key";

    /// <summary>Whether a PDF is asked for.</summary>
    public bool IsPdf => As == "pdf";

    /// <summary>The paper.</summary>
    public PaperSize Paper => Size == "letter" ? PaperSize.Letter : PaperSize.A4;

    /// <summary>Whether it is printed large.</summary>
    public bool IsLarge => Print == "large";
}

/// <summary>One item on paper.</summary>
/// <param name="Name">Its number or name, with what form its answer has.</param>
/// <param name="Picture">The task, with room to work or with a part of the work.</param>
public sealed record PaperItem(string Name, PagePicture Picture);

/// <summary>Items under one title.</summary>
/// <param name="Title">The title; may be empty.</param>
/// <param name="Items">The items.</param>
public sealed record PaperPart(string Title, IReadOnlyList<PaperItem> Items);

/// <summary>A line of a key.</summary>
/// <param name="Name">The item's number or name.</param>
/// <param name="Written">The item.</param>
/// <param name="Right">The right answer.</param>
/// <param name="Telling">Wrong answers that tell, each with what it tells.</param>
public sealed record KeyLine(string Name, string Written, string Right, IReadOnlyList<(string Answer, string Tells)> Telling);

/// <summary>A sheet on paper: for each of the students, or the key to it.</summary>
/// <param name="Wish">How it is printed.</param>
/// <param name="Title">The name of the sheet.</param>
/// <param name="Codes">For whom; one sheet each.</param>
/// <param name="Parts">The items.</param>
/// <param name="Key">The key; empty where there is none.</param>
/// <param name="Heads">A sentence above the items; may be empty.</param>
/// <param name="KeySays">What stands above the key.</param>
public sealed record PaperView(PaperWish Wish, string Title, IReadOnlyList<string> Codes, IReadOnlyList<PaperPart> Parts, IReadOnlyList<KeyLine> Key, string Heads = "", string KeySays = "")
{
    /// <summary>The items, with the same room for all that look alike, and in columns where that takes no more paper.</summary>
    public IReadOnlyList<PaperPart> Parts { get; } = Arranged(Parts, Wish, Heads.Length > 0);

    /// <summary>Of the wrong answers to an item, so many stand in the key.</summary>
    private const int MostTelling = 4;

    /// <summary>Whether the key is shown.</summary>
    public bool IsKey => Wish.IsKey && Key.Count > 0;

    /// <summary>How many items there are.</summary>
    public int Count => Parts.Sum(p => p.Items.Count);

    /// <summary>Which side its squares have, from the usual to smaller ones.</summary>
    public int Side => Wish.IsLarge ? 0 : ItemBands.SideOf([.. Parts.Select(p => (p.Title.Length > 0, (IReadOnlyList<Sketch>)[.. p.Items.Select(i => i.Picture.Sketch())]))], Wish.Paper, Heads.Length > 0);

    /// <summary>Puts a sheet on paper.</summary>
    public static PaperView Of(PaperWish wish, string title, IEnumerable<string> codes, IReadOnlyList<WorkedItem> items, School? school = null) => new(
        wish, title, [.. codes], [new PaperPart("", [.. items.Select(i => new PaperItem($"{i.Id}{Behind(i.Asked)}", PagePicture.WithRoom(i.Task, school)))])], KeyOf(items),
        KeySays: "Not for the student. Beside the right answer stand answers that rules of the catalogue lead to; one such answer is no finding yet.");

    private static IReadOnlyList<PaperPart> Arranged(IReadOnlyList<PaperPart> parts, PaperWish wish, bool hasSentence)
    {
        PagePicture.LineUpAlike(parts.SelectMany(p => p.Items).Select(i => i.Picture));
        List<(bool HasTitle, IReadOnlyList<Sketch> Items)> own = [.. parts.Select(p => (p.Title.Length > 0, (IReadOnlyList<Sketch>)[.. p.Items.Select(i => i.Picture.Sketch())]))];
        var even = own.ConvertAll(p => (p.HasTitle, Items: (IReadOnlyList<Sketch>)[.. p.Items.Select(i => i with { Width = p.Items.Max(other => other.Width) })]));
        if (ItemBands.PagesOf(even, wish.Paper, wish.IsLarge, hasSentence) > ItemBands.PagesOf(own, wish.Paper, wish.IsLarge, hasSentence)) return parts;
        foreach (var (part, sketches) in parts.Zip(even))
            foreach (var (item, sketch) in part.Items.Zip(sketches.Items)) item.Picture.Widen(sketch.Width);
        return parts;
    }

    private static string Behind(Asked asked) => asked == default ? "" : " " + asked.Words;

    private static List<KeyLine> KeyOf(IReadOnlyList<WorkedItem> items) =>
    [
        .. items.Zip(new SheetCoverage([.. items.Select(i => i.Task)]).Telling, (item, telling) => new KeyLine(
            item.Id, Signs.Printed(item.TaskAsWritten) + Behind(item.Asked), Signs.Printed(item.Task.RightAnswer), [.. telling.Take(MostTelling).Select(t => (Signs.Printed(t.Answer), Tells(t)))])),
    ];

    private static string Tells(TellingAnswer answer) =>
        answer.Bugs[0].Name.In(ClassroomWord.Rename) + (answer.Bugs.Count > 1 ? $", or {(answer.Bugs.Count == 2 ? "another one" : $"one of {answer.Bugs.Count - 1} others")}" : "");
}
