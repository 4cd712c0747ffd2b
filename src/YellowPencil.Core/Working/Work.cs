using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Where one number of a column layout was put.</summary>
/// <param name="Text">The number as written.</param>
/// <param name="LastPlace">The column, by the first number's places, in which its last digit stands.</param>
public sealed record Operand(string Text, int LastPlace);

/// <summary>One partial product of a long multiplication.</summary>
/// <param name="Text">The row as written, placeholder zeros included.</param>
/// <param name="Carries">Its carry marks, or null where they were not recorded.</param>
/// <param name="LastPlace">The column of its last digit, where the row was shifted instead of filled with zeros.</param>
public sealed record PartialProduct(string Text, PlaceMarks? Carries = null, int? LastPlace = null);

/// <summary>One cycle of a long division; what was not written is null.</summary>
/// <param name="Quotient">The digit of the quotient.</param>
/// <param name="Product">What is taken away.</param>
/// <param name="Difference">What is left.</param>
/// <param name="BroughtDown">The digit brought down after it.</param>
/// <param name="Place">Over which digit of the dividend the digit of the quotient stands, by its place, or null where that was not seen.</param>
public sealed record DivisionCycle(string? Quotient, string? Product, string? Difference, string? BroughtDown, int? Place = null);

/// <summary>Both numbers of a division of decimals after their points were moved.</summary>
public sealed record ScaledPair(string? Divisor, string? Dividend);

/// <summary>
/// What stands on the page beside one answer. A field that is null, or a key that is absent, was not recorded and says
/// nothing; one that is there but empty says that no such mark was made.
/// </summary>
public sealed record Work
{
    /// <summary>Works from the ones to the left.</summary>
    public const string RightToLeft = "right-to-left";

    /// <summary>Works from the left to the ones.</summary>
    public const string LeftToRight = "left-to-right";

    /// <summary>The orders in which columns can be seen to have been worked.</summary>
    public static readonly IReadOnlyList<string> Orders = [RightToLeft, LeftToRight, "both"];

    /// <summary>Nothing was recorded.</summary>
    public static Work None { get; } = new();

    /// <summary>Where each number was put, or null.</summary>
    public IReadOnlyList<Operand>? Operands { get; init; }

    /// <summary>The order of the columns, one of <see cref="Orders"/>, or null.</summary>
    public string? Order { get; init; }

    /// <summary>The recorded marks of the fields that hold them by place: cells, carries and rewritten digits.</summary>
    public IReadOnlyDictionary<MarkField, PlaceMarks> Marks { get; init; } = new Dictionary<MarkField, PlaceMarks>();

    /// <summary>The partial products from the top, or null.</summary>
    public IReadOnlyList<PartialProduct>? Rows { get; init; }

    /// <summary>The cycles of a division in the order in which they were done, or null.</summary>
    public IReadOnlyList<DivisionCycle>? Steps { get; init; }

    /// <summary>The lines of the working from the top, or null.</summary>
    public IReadOnlyList<string>? Lines { get; init; }

    /// <summary>The sign noted beside the work, or null.</summary>
    public string? Sign { get; init; }

    /// <summary>The count of decimal places noted beside the work, or null.</summary>
    public string? Places { get; init; }

    /// <summary>Divisor and dividend after their points were moved, or null.</summary>
    public ScaledPair? Scaled { get; init; }

    /// <summary>Fields of the format that no family in the product reads yet, kept as they came, by name.</summary>
    public IReadOnlyDictionary<string, JsonElement> Kept { get; init; } = new Dictionary<string, JsonElement>();

    /// <summary>Whether nothing was recorded.</summary>
    public bool IsEmpty => Operands is null && Order is null && Marks.Count == 0 && Rows is null && Steps is null && Lines is null
        && Sign is null && Places is null && Scaled is null && Kept.Count == 0;

    /// <summary>Whether a field was recorded.</summary>
    public bool Has(MarkField field) => field switch
    {
        MarkField.Operands => Operands is not null,
        MarkField.Order => Order is not null,
        MarkField.Rows => Rows is not null,
        MarkField.RowCarries => Rows?.Any(r => r.Carries is not null) ?? false,
        MarkField.StepQuotient or MarkField.StepProduct or MarkField.StepDifference or MarkField.StepBroughtDown => Steps is not null,
        MarkField.Lines => Lines is not null,
        MarkField.Sign => Sign is not null,
        MarkField.Places => Places is not null,
        MarkField.ScaledDivisor => Scaled?.Divisor is not null,
        MarkField.ScaledDividend => Scaled?.Dividend is not null,
        _ => Marks.ContainsKey(field),
    };

    /// <summary>The page that a list of marks leaves, with every one of the given fields recorded.</summary>
    public static Work Of(IEnumerable<Mark> marks, params ReadOnlySpan<MarkField> recorded)
    {
        var fields = recorded.ToArray().ToHashSet();
        var kept = marks.Where(m => fields.Contains(m.Field)).ToList();
        var places = new Dictionary<MarkField, PlaceMarks>();
        foreach (var field in fields.Where(WorkReader.IsByPlace)) places[field] = PlacesOf(kept.Where(m => m.Field == field));
        return new Work
        {
            Marks = places,
            Operands = fields.Contains(MarkField.Operands) ? [.. kept.Where(m => m.Field == MarkField.Operands).Select(m => new Operand(m.Text, m.Place))] : null,
            Order = Last(MarkField.Order),
            Rows = fields.Contains(MarkField.Rows) ? [.. kept.Where(m => m.Field == MarkField.Rows).Select(RowOf)] : null,
            Steps = fields.Contains(MarkField.StepQuotient) ? [.. kept.Where(m => IsOfCycle(m.Field)).GroupBy(m => m.Row).OrderBy(g => g.Key).Select(CycleOf)] : null,
            Lines = fields.Contains(MarkField.Lines) ? [.. kept.Where(m => m.Field == MarkField.Lines).Select(m => m.Text)] : null,
            Sign = Last(MarkField.Sign),
            Places = Last(MarkField.Places),
            Scaled = Last(MarkField.ScaledDivisor) is { } divisor ? new ScaledPair(divisor, Last(MarkField.ScaledDividend)) : null,
        };

        string? Last(MarkField field) => kept.LastOrDefault(m => m.Field == field).Text;

        PartialProduct RowOf(Mark row) => new(
            row.Text,
            fields.Contains(MarkField.RowCarries) ? PlacesOf(kept.Where(m => m.Field == MarkField.RowCarries && m.Row == row.Row)) : null,
            row.Place == 0 ? null : row.Place);
    }

    private static bool IsOfCycle(MarkField field) =>
        field is MarkField.StepQuotient or MarkField.StepProduct or MarkField.StepDifference or MarkField.StepBroughtDown;

    private static DivisionCycle CycleOf(IEnumerable<Mark> marks)
    {
        var written = marks.ToLookup(m => m.Field, m => m.Text);
        return new DivisionCycle(
            written[MarkField.StepQuotient].LastOrDefault(), written[MarkField.StepProduct].LastOrDefault(),
            written[MarkField.StepDifference].LastOrDefault(), written[MarkField.StepBroughtDown].LastOrDefault());
    }

    private static PlaceMarks PlacesOf(IEnumerable<Mark> marks)
    {
        var places = new PlaceMarks();
        foreach (var mark in marks) places.Add(mark.Place, mark.Text);
        return places;
    }
}
