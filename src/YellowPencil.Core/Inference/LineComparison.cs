using System.Numerics;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Inference;

/// <summary>
/// Compares the lines of a working with signed numbers with those foretold: a line may copy the task, be the foretold rewriting in any
/// order and spelling, or be a single number, which the answer is compared with elsewhere.
/// </summary>
internal static class LineComparison
{
    /// <summary>How many lines are neither.</summary>
    public static int Differing(ItemTask task, IReadOnlyList<string> observed, IReadOnlyList<string> predicted)
    {
        var due = predicted.Append(predicted.Count == 0 ? task.Text : "").Select(Terms).Where(t => t.Count > 0).ToList();
        return observed.Count(line => Plain(line) != Plain(task.Text) && Terms(line) is { Count: > 1 } terms && !due.Exists(d => d.SequenceEqual(terms)));
    }

    /// <summary>The terms that are added, each with its sign, in order of size; empty for what is no sum of whole numbers.</summary>
    private static List<BigInteger> Terms(string line)
    {
        var terms = new List<BigInteger>();
        var sign = 1;
        var digits = "";
        foreach (var letter in Plain(line[(line.LastIndexOf('=') + 1)..]) + "+")
        {
            if (char.IsAsciiDigit(letter))
            {
                digits += letter;
                continue;
            }

            if (letter is not ('+' or '-')) return [];
            if (digits.Length > 0)
            {
                terms.Add(sign * BigInteger.Parse(digits));
                (digits, sign) = ("", 1);
            }

            if (letter == '-') sign = -sign;
        }

        terms.Sort();
        return terms;
    }

    private static string Plain(string line) =>
        string.Concat(line.Replace('−', '-').Replace('×', '*').Replace('÷', '/').Where(c => !char.IsWhiteSpace(c) && c is not ('(' or ')')));
}
