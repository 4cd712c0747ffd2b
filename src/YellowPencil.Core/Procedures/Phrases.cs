namespace YellowPencil.Core.Procedures;

/// <summary>What somebody does who makes a choice, given as one phrase a choice.</summary>
internal static class Phrases
{
    /// <summary>The phrases in the order in which the choices are declared.</summary>
    /// <exception cref="ArgumentException">There are not as many phrases as choices.</exception>
    public static Func<TChoice, string> InOrder<TChoice>(params string[] phrases)
        where TChoice : struct, Enum
    {
        var count = Choice<TChoice>.Count;
        if (count != phrases.Length) throw new ArgumentException($"{typeof(TChoice).Name} has {count} choices, not {phrases.Length}", nameof(phrases));
        return choice => phrases[Choice<TChoice>.Number(choice)];
    }
}
