using System.Globalization;
using CsvHelper.Configuration;

namespace YellowPencil.Web.Services;

/// <summary>How tables are written: what a spreadsheet would take for a formula is text.</summary>
internal static class Csv
{
    public static readonly CsvConfiguration Safe = Between(",");

    /// <summary>For spreadsheets of places where the comma is the decimal sign.</summary>
    public static readonly CsvConfiguration SafeWithSemicolons = Between(";");

    private static CsvConfiguration Between(string delimiter) => new(CultureInfo.InvariantCulture)
    {
        Delimiter = delimiter,
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
        InjectionCharacters = ['=', '@', '\t', '\r'],
        InjectionEscapeCharacter = '\'',
    };
}
