namespace YellowPencil.Core.Notation;

/// <summary>Places of a decimal number, named by their power of ten: 0 is the ones, 1 the tens, -1 the tenths.</summary>
public static class Place
{
    private static readonly string[] Groups = ["", "thousands", "millions", "billions", "trillions"];

    /// <summary>The plain name of a place, for example "hundreds"; places without a common name are named by their power.</summary>
    public static string Name(int place) => place switch
    {
        0 => "ones",
        1 => "tens",
        2 => "hundreds",
        -1 => "tenths",
        -2 => "hundredths",
        -3 => "thousandths",
        > 2 when place / 3 < Groups.Length => (place % 3) switch
        {
            0 => Groups[place / 3],
            1 => "ten " + Groups[place / 3],
            _ => "hundred " + Groups[place / 3],
        },
        _ => $"place 10^{place}",
    };

    /// <summary>So many of a place, for example "7 tens" or "1 one".</summary>
    public static string Counted(int count, int place) => $"{count} {(count == 1 ? UnitName(place) : Name(place))}";

    /// <summary>The name of a place for one unit of it, for example "hundred".</summary>
    public static string UnitName(int place) => Name(place) is var name && name.EndsWith('s') ? name[..^1] : name;
}
