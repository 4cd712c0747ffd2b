using System.Globalization;
using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>Places as the worked-sheet format names them: by their power of ten.</summary>
internal static class SheetPlace
{
    /// <summary>What is said of a name that is none.</summary>
    public const string Rule = "a place is named by its power of ten: \"0\" for the ones, \"1\" for the tens, \"-1\" for the tenths";

    /// <summary>The place of a name; null where it names none, or one that is too far from the ones.</summary>
    public static int? Named(string name) =>
        int.TryParse(name, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var place)
            && Name(place) == name && Math.Abs(place) <= Limits.FarthestPlace
            ? place
            : null;

    public static string Name(int place) => place.ToString(CultureInfo.InvariantCulture);

    /// <summary>Reads a place that stands as a value: a number, and text is taken too.</summary>
    public static int Read(SheetField field)
    {
        var place = field.Kind == JsonValueKind.String ? Named(field.Text(10)) ?? throw field.Wrong(Rule) : field.WholeNumber();
        return Math.Abs(place) <= Limits.FarthestPlace ? place : throw field.Wrong($"is farther than {Limits.FarthestPlace} places from the ones");
    }

    /// <summary>The same where it may be absent.</summary>
    public static int? ReadOptional(SheetField field) => field.IsAbsent ? null : Read(field);
}
