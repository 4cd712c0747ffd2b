namespace YellowPencil.Core.Procedures;

/// <summary>What somebody does who makes a choice, given as one phrase a choice.</summary>
internal static class Phrases
{
    /// <summary>The phrases in the order in which the choices are declared.</summary>
    /// <exception cref="ArgumentException">There are not as many phrases as choices.</exception>
    public static Func<TChoice, string> InOrder<TChoice>(params string[] phrases)
        where TChoice : struct, Enum
    {
        var choices = Enum.GetValues<TChoice>();
        if (choices.Length != phrases.Length) throw new ArgumentException($"{typeof(TChoice).Name} has {choices.Length} choices, not {phrases.Length}", nameof(phrases));
        return choice => phrases[Array.IndexOf(choices, choice)];
    }
}
