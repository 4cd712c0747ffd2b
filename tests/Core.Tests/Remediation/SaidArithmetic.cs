using System.Globalization;
using System.Text.RegularExpressions;
using Shouldly;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>Arithmetic that stands in sentences, such as "17 − 9 = 8": with the signs of print, whole numbers and decimals only.</summary>
internal static partial class SaidArithmetic
{
    /// <summary>Works each of a sentence's sums, differences, products and quotients; gives how many there were.</summary>
    public static int MustBeTrue(string sentence, string where)
    {
        var said = Said().Matches(sentence);
        foreach (Match one in said)
        {
            decimal Number(int at) => decimal.Parse(one.Groups[at].Value.Replace('−', '-'), CultureInfo.InvariantCulture);
            var (first, second) = (Number(1), Number(3));
            var result = one.Groups[2].Value switch { "+" => first + second, "−" => first - second, "×" => first * second, _ => first / second };
            result.ShouldBe(Number(4), 0.01m, $"{where}: {sentence}");
        }

        return said.Count;
    }

    [GeneratedRegex(@"(?<![\d.,·×÷−+/]|[·×÷−+] )(\d+(?:\.\d+)?) ([+−×÷]) (\d+(?:\.\d+)?) = (−?\d+(?:\.\d+)?)(?!\.?\d|[/a-z]| [\d+−×÷·])")]
    private static partial Regex Said();
}
