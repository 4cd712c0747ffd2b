using System.Runtime.CompilerServices;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Procedures;

/// <summary>
/// The choices of a decision point by their number: choices are declared from 0 on without gaps. Without the framework's generic helpers for enums, which
/// would be compiled anew for every kind of choice whenever the program starts.
/// </summary>
internal static class Choice<TChoice>
    where TChoice : struct, Enum
{
    private static readonly string[] Names = NamesOf();

    /// <summary>How many choices there are.</summary>
    public static int Count => Names.Length;

    /// <summary>The number of a choice.</summary>
    public static int Number(TChoice choice) => Unsafe.As<TChoice, int>(ref choice);

    /// <summary>The choice of a number.</summary>
    public static TChoice At(int number) => Unsafe.As<int, TChoice>(ref number);

    /// <summary>Whether two choices are the same.</summary>
    public static bool AreSame(TChoice one, TChoice other) => Number(one) == Number(other);

    /// <summary>The name of a choice as ids spell it.</summary>
    public static string Spelled(int number) => FamilyNames.Kebab(Names[number]);

    private static string[] NamesOf()
    {
        var type = typeof(TChoice);
        var values = Enum.GetValuesAsUnderlyingType(type);
        if (Unsafe.SizeOf<TChoice>() != sizeof(int) || values is not int[] numbers) throw new NotSupportedException($"{type.Name} is no list of choices");
        for (var i = 0; i < numbers.Length; i++)
            if (numbers[i] != i) throw new NotSupportedException($"the choices of {type.Name} are not numbered from 0 on");
        return Enum.GetNames(type);
    }
}
