using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>What a designed sheet is to be like, as the form asks for it.</summary>
/// <param name="Family">The families, by their names; none for subtraction.</param>
/// <param name="Designed">How many items; null where no design is asked for.</param>
/// <param name="Digits">The most digits of a number.</param>
/// <param name="Zeros">"none" for no zeros inside numbers.</param>
/// <param name="Regroups">"none" for nothing to be carried or renamed.</param>
/// <param name="Variant">Counted up for other numbers.</param>
public sealed record DesignWish(string[]? Family = null, int? Designed = null, int Digits = DesignWish.PlainDigits, string? Zeros = null, string? Regroups = null, int Variant = 0)
{
    /// <summary>The longest number where nothing is said about it.</summary>
    public const int PlainDigits = 3;

    /// <summary>The families.</summary>
    public IReadOnlyList<Family> Families
    {
        get
        {
            List<Family> named = [.. (Family ?? []).OfType<string>().Select(name => FamilyList.TryParse(name, out var family) ? family : (Family?)null).OfType<Family>().Where(BeginModel.Families.Contains).Distinct()];
            return named.Count > 0 ? named : [FamilyList.Subtraction];
        }
    }

    /// <summary>How hard the items may be.</summary>
    public SheetWish Hard => new(Math.Clamp(Digits, 1, SheetWish.MostDigits), Zeros != "none", Regroups != "none");
}

/// <summary>Choosing the items of a sheet, for one student or for a class.</summary>
public abstract class BeginModel : PageModel
{
    /// <summary>The most items of a designed sheet.</summary>
    public const int MostDesigned = 30;

    /// <summary>The families that these pages take.</summary>
    internal static readonly IReadOnlyCollection<Family> Families = [.. FamilyList.All];

    /// <summary>The items as typed.</summary>
    [BindProperty]
    public string? Items { get; set; }

    /// <summary>The name of the page.</summary>
    [BindProperty(Name = "title")]
    public string? PageTitle { get; set; }

    /// <summary>When it was written.</summary>
    [BindProperty]
    public DateOnly? WrittenOn { get; set; }

    /// <summary>What is asked of a designed sheet.</summary>
    public DesignWish Wish { get; private set; } = new();

    /// <summary>What is to be known about the items that were put in; null for nothing.</summary>
    public string? Notice { get; private set; }

    /// <summary>What is wrong, line by line.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>The name under which the browser keeps what is typed.</summary>
    public abstract string KeptAs { get; }

    /// <summary>Whether answers may stand behind the items.</summary>
    public virtual bool TakesAnswers => true;

    /// <summary>Puts designed items into the form, where they are asked for.</summary>
    /// <param name="wish">What they are to be like.</param>
    /// <param name="seed">The seed of their numbers.</param>
    protected void Design(DesignWish wish, int seed)
    {
        Wish = wish;
        if (wish.Designed is not { } count) return;
        count = Math.Clamp(count, 1, MostDesigned);
        var tasks = SheetDesign.Of(wish.Families, count, seed + wish.Variant, wish.Hard);
        Items = string.Join('\n', tasks.OrderBy(SheetWish.IsRegrouped).ThenBy(t => t.Steps).Select(ItemList.Written));
        Notice = tasks.Count == 0 ? "No items are like that: allow longer numbers, zeros or carrying." : tasks.Count < count ? $"Only {tasks.Count} items are like that." : null;
    }

    /// <summary>Puts items into the form that ask the same as others with other numbers.</summary>
    protected void Parallel(IReadOnlyList<WorkedItem> items, string title, int seed)
    {
        Items = string.Join('\n', ParallelForm.Of([.. items.Select(i => i.Task)], seed).Select(ItemList.Written));
        PageTitle = title.Length == 0 ? "" : $"{title}, again";
        Notice = "Other numbers that ask the same, item for item.";
    }

    /// <summary>The items that were sent; null with <see cref="Faults"/> where something is wrong.</summary>
    protected IReadOnlyList<WorkedItem>? Sent(params IEnumerable<string> more)
    {
        var items = ItemList.TryParse(Items ?? "", Families, out var faults);
        if (PageTitle is { Length: > 200 }) faults = [.. faults, "The name of the page has more than 200 characters."];
        if (!ModelState.IsValid) faults = [.. faults, "The date cannot be read."];
        Faults = [.. faults, .. more];
        return Faults.Count == 0 ? items : null;
    }
}
