using System.Globalization;
using CsvHelper.Configuration;

namespace YellowPencil.Web.Services;

/// <summary>How tables are written: what a spreadsheet would take for a formula is text.</summary>
internal static class Csv
{
    public static readonly CsvConfiguration Safe = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
        InjectionCharacters = ['=', '@', '\t', '\r'],
        InjectionEscapeCharacter = '\'',
    };
}
