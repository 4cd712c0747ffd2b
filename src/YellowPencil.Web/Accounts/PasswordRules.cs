using Microsoft.AspNetCore.Identity;
using YellowPencil.Data;

namespace YellowPencil.Web.Accounts;

/// <summary>
/// Refuses passwords that are guessed first: the e-mail, few different characters, rows of the keyboard or of digits, and common words with nothing but
/// digits round them, which is what the commonest passwords of twelve characters and more are made of.
/// </summary>
internal sealed class PasswordRules : IPasswordValidator<Specialist>
{
    private const int Longest = 200;
    private const int FewestDifferent = 5;
    private const int LongestRun = 5;

    private static readonly string[] Rows = ["abcdefghijklmnopqrstuvwxyz", "qwertyuiop", "asdfghjkl", "zxcvbnm", "qwertzuiop", "azertyuiop", "01234567890", "1qaz2wsx3edc4rfv5tgb", "1q2w3e4r5t6y7u8i9o0p"];

    private static readonly HashSet<string> Words =
    [
        .. """
            access account admin administrator adobe alexander amanda america andrea andrew angel angels anthony apple ashley august autumn awesome babygirl
            badboy bailey banana barcelona barney baseball basketball batman beautiful biteme blessed blink buddy buster butterfly carlos changeme charlie
            cheese chelsea chicken chocolate christian classroom coffee computer cookie cooper corvette cowboy daniel december default diamond dolphin donald
            dragon eagles education elephant eminem everton family fender ferrari flower football forever freedom friend friends fuckoff fuckyou george ginger
            godzilla golden google guest guitar hannah happy harley heather hello hockey hottie house hunter iceman iloveu iloveyou iloveme internet january
            jasmine jennifer jessica jesus jesuschrist jordan joshua junior justin killer knight lakers letmein liverpool login london lovely loveme lover
            loveyou maggie manager marina martin master matrix matthew maverick mercedes merlin michael michelle mickey midnight monday money monkey monster
            morgan mother mustang myspace naruto nicole ninja nothing november october orange password passwort passw0rd p@ssw0rd p@ssword peanut pepper phoenix
            please pokemon porsche power princess private purple qazwsx qwerty rainbow ranger redsox richard robert samantha samsung school scooter secret
            september server shadow silver slipknot snoopy soccer spring starwars steelers student summer sunday sunshine superman superstar sweet sweetheart
            system taylor teacher tennis test teste testing thomas thunder tigger trustno trustno1 user victoria welcome whatever william winner winter wizard
            yankees yellow you zxcvbn
            """.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries),
    ];

    /// <inheritdoc/>
    public Task<IdentityResult> ValidateAsync(UserManager<Specialist> manager, Specialist user, string? password)
    {
        var text = (password ?? "").ToLowerInvariant();
        var email = user.Email ?? "";
        var fault = text.Length > Longest ? $"it has more than {Longest} characters"
            : email.Length > 0 && (text.Contains(email, StringComparison.OrdinalIgnoreCase) || IsWord(text, email.Split('@')[0].ToLowerInvariant())) ? "it is your e-mail address"
            : text.Distinct().Count() < FewestDifferent ? $"it has fewer than {FewestDifferent} different characters"
            : IsMadeOfRows(text) ? "it runs along the keyboard or counts"
            : IsMadeOfWords(text) ? "it is a common word with digits, which is guessed first"
            : null;
        return Task.FromResult(fault is null ? IdentityResult.Success : IdentityResult.Failed(new IdentityError { Code = "PasswordGuessed", Description = $"Take another password: {fault}. A few words that do not belong together are good." }));
    }

    private static bool IsWord(string text, string word) => Letters(text) is var left && left.Length > 0 && left == Letters(word);

    // Nothing but words of the list, also more than one or the same again, with digits and signs before, between and behind.
    private static bool IsMadeOfWords(string text)
    {
        var trimmed = text.Trim([.. "0123456789 .,!?-_*#@$%&+="]);
        return Words.Contains(trimmed) || IsMade(Letters(text), 0);

        static bool IsMade(string letters, int from) => from == letters.Length
            ? from > 0
            : Words.Any(w => letters.AsSpan(from).StartsWith(w, StringComparison.Ordinal) && IsMade(letters, from + w.Length));
    }

    private static bool IsMadeOfRows(string text)
    {
        for (var at = 0; at < text.Length;)
        {
            var run = Enumerable.Range(1, text.Length - at).Reverse().FirstOrDefault(length => Rows.Any(r => IsOn(r, text.AsSpan(at, length))));
            if (run < Math.Min(LongestRun, text.Length - at)) return false;
            at += run;
        }

        return true;
    }

    private static bool IsOn(string row, ReadOnlySpan<char> part)
    {
        if (row.AsSpan().Contains(part, StringComparison.Ordinal)) return true;
        Span<char> reversed = stackalloc char[part.Length];
        part.CopyTo(reversed);
        reversed.Reverse();
        return row.AsSpan().Contains(reversed, StringComparison.Ordinal);
    }

    private static string Letters(string text) => string.Concat(text.Where(char.IsLetter));
}
