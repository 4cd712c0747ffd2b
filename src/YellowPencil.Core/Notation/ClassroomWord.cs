using System.Text.RegularExpressions;

namespace YellowPencil.Core.Notation;

/// <summary>The classroom's word for exchanging one of a place for ten of the next smaller place.</summary>
public enum ClassroomWord
{
    /// <summary>"rename"</summary>
    Rename,

    /// <summary>"borrow"</summary>
    Borrow,

    /// <summary>"regroup"</summary>
    Regroup,

    /// <summary>"exchange"</summary>
    Exchange,
}

/// <summary>
/// Puts the classroom's word into sentences written with <c>{rename}</c>, <c>{renames}</c>, <c>{renamed}</c> and <c>{renaming}</c>. Where a sentence has
/// wordings for schools (<c>{question?one|other}</c>) and none is named, the usual one stands.
/// </summary>
public static partial class ClassroomWords
{
    private static readonly string[] Forms = ["rename", "renames", "renamed", "renaming"];

    /// <summary>The sentence in the classroom's word; a sentence that begins with a form keeps its capital.</summary>
    public static string In(this string sentence, ClassroomWord word)
    {
        if (!sentence.Contains('{')) return sentence;
        string[] words = word switch
        {
            ClassroomWord.Borrow => ["borrow", "borrows", "borrowed", "borrowing"],
            ClassroomWord.Regroup => ["regroup", "regroups", "regrouped", "regrouping"],
            ClassroomWord.Exchange => ["exchange", "exchanges", "exchanged", "exchanging"],
            _ => Forms,
        };
        if (sentence.Contains('?')) sentence = Wordings().Replace(sentence, "${usual}");
        for (var i = 0; i < Forms.Length; i++)
        {
            sentence = sentence.Replace($"{{{Forms[i]}}}", words[i], StringComparison.Ordinal);
            var capital = char.ToUpperInvariant(Forms[i][0]) + Forms[i][1..];
            sentence = sentence.Replace($"{{{capital}}}", char.ToUpperInvariant(words[i][0]) + words[i][1..], StringComparison.Ordinal);
        }

        return sentence;
    }

    /// <summary>Reads a word as typed on the command line or in a form.</summary>
    public static bool TryParse(string text, out ClassroomWord word) =>
        Enum.TryParse(text, ignoreCase: true, out word) && Enum.IsDefined(word) && text.All(char.IsAsciiLetter);

    [GeneratedRegex(@"\{[a-z-]+\?(?<usual>[^{}|]*)[^{}]*\}")]
    private static partial Regex Wordings();
}
