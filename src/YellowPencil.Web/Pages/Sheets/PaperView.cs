using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>How a sheet is printed.</summary>
/// <param name="Size">"letter", or A4.</param>
/// <param name="Print">"large", or the usual.</param>
/// <param name="Kind">"key" for the specialist's key, or the sheet for the student.</param>
public sealed record PaperWish(string? Size = null, string? Print = null, string? Kind = null)
{
    /// <summary>Whether the key is asked for.</summary>
    public bool IsKey => Kind == "key";

    /// <summary>The paper, as the style sheet calls it.</summary>
    public string Paper => Size == "letter" ? "letter" : "a4";

    /// <summary>Whether it is printed large.</summary>
    public bool IsLarge => Print == "large";
}

/// <summary>One item on paper.</summary>
/// <param name="Item">The item.</param>
/// <param name="Picture">The task with room to work.</param>
public sealed record PaperItem(WorkedItem Item, PagePicture Picture);

/// <summary>A sheet on paper: for each of the students, or the key to it.</summary>
/// <param name="Wish">How it is printed.</param>
/// <param name="Title">The name of the sheet.</param>
/// <param name="Codes">For whom; one sheet each.</param>
/// <param name="Items">The items.</param>
public sealed record PaperView(PaperWish Wish, string Title, IReadOnlyList<string> Codes, IReadOnlyList<PaperItem> Items)
{
    /// <summary>Of the wrong answers to an item, so many stand in the key.</summary>
    public const int MostTelling = 4;

    /// <summary>Puts a sheet on paper.</summary>
    public static PaperView Of(PaperWish wish, string title, IEnumerable<string> codes, IEnumerable<WorkedItem> items) =>
        new(wish, title, [.. codes], [.. items.Select(i => new PaperItem(i, PagePicture.WithRoom(i.Task)))]);

    /// <summary>For each item the answers that tell, with the rules that lead to them.</summary>
    public IReadOnlyList<IReadOnlyList<TellingAnswer>> Telling { get; } = Key(Wish, Items);

    /// <summary>An item as a list writes it.</summary>
    public static string Written(WorkedItem item) => Signs.Printed(item.TaskAsWritten) + (item.Form is { } form ? $" as a {form}" : "");

    private static IReadOnlyList<IReadOnlyList<TellingAnswer>> Key(PaperWish wish, IReadOnlyList<PaperItem> items) => wish.IsKey ? new SheetCoverage([.. items.Select(i => i.Item.Task)]).Telling : [];
}
