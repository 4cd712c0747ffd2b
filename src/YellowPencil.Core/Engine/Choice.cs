using System.Runtime.CompilerServices;

namespace YellowPencil.Core.Engine;

/// <summary>What can be done at a decision: everything that is known about one choice.</summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
/// <param name="Id">As stored ids spell it; never changed, whatever the choice is called in code.</param>
/// <param name="Does">What somebody does who makes it, without its context: for example "writes the top digit".</param>
public record Choice<TContext>(string Id, string Does)
{
    /// <summary>Where it can be made and something else comes of it than what is taught; everywhere where it is not given.</summary>
    public Func<TContext, bool>? Needs { get; init; }

    /// <summary>How likely somebody who knows the method does this by a slip; a number fact counts 3 in all.</summary>
    public double Slip { get; init; }

    /// <summary>The same where it depends on what can be seen.</summary>
    public Func<TContext, double>? SlipIn { get; init; }

    /// <summary>Whether it is one of many things that a rule leaves open, and no rule by itself.</summary>
    public bool IsOneOfMany { get; init; }

    /// <summary>A caption for it, with the classroom's word as <c>{rename}</c>; where it is not given, the place and what is done.</summary>
    public Func<TContext, string>? Says { get; init; }
}

/// <summary>A choice of which it is known what it gives.</summary>
/// <param name="Id">As stored ids spell it.</param>
/// <param name="Does">What somebody does who makes it.</param>
/// <param name="Gives">What comes of it in a context, as it would be written; nothing where it cannot be made, and the taught choice is made. Not given for
/// what is no result but ends or turns the work.</param>
public sealed record Choice<TContext, TResult>(string Id, string Does, Func<TContext, TResult?>? Gives = null) : Choice<TContext>(Id, Does)
    where TResult : struct;

/// <summary>
/// The names of the choices of a decision by their number: they are declared from 0 on without gaps. Without the framework's generic helpers for enums, which
/// would be compiled anew for every kind of choice whenever the program starts.
/// </summary>
internal static class ChoiceName<TName>
    where TName : struct, Enum
{
    /// <summary>How many choices there are.</summary>
    public static readonly int Count = CountOf();

    /// <summary>The number of a choice.</summary>
    public static int Number(TName name) => Unsafe.As<TName, int>(ref name);

    /// <summary>The choice of a number.</summary>
    public static TName At(int number) => Unsafe.As<int, TName>(ref number);

    private static int CountOf()
    {
        var type = typeof(TName);
        if (Unsafe.SizeOf<TName>() != sizeof(int) || Enum.GetValuesAsUnderlyingType(type) is not int[] numbers)
            throw new NotSupportedException($"{type.Name} is no list of choices");
        for (var i = 0; i < numbers.Length; i++)
            if (numbers[i] != i) throw new NotSupportedException($"the choices of {type.Name} are not numbered from 0 on");
        return numbers.Length;
    }
}
