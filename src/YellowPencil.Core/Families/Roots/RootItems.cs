namespace YellowPencil.Core.Families.Roots;

/// <summary>Numbers up to 400, a few of them squares, a few with a tenth.</summary>
internal sealed class RootItems(int seed)
{
    private readonly Random random = new(seed);

    public RootTask Next()
    {
        var number = random.Next(8) switch
        {
            0 => $"{random.Next(2, 60)}.{random.Next(1, 10)}",
            1 when random.Next(3) == 0 => random.Next(2, 21) is var root ? $"{root * root}" : "",
            < 4 => $"{random.Next(2, 100)}",
            _ => $"{random.Next(100, 400)}",
        };
        return new RootTask(DecimalNumber.TryParse(number).Value!, RootTask.UsualPlaces);
    }
}
