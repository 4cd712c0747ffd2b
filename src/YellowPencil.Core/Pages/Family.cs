namespace YellowPencil.Core.Pages;

/// <summary>
/// A family of methods, as far as the worked-sheet format and the catalogue name it; what is known about it hangs on the same object further up.
/// </summary>
public abstract class Family
{
    private protected Family(string name, string title) => (Name, Title) = (name, title);

    /// <summary>The name in the format, for example <c>decimal-sums</c>; never changed.</summary>
    public string Name { get; }

    /// <summary>The name in a sentence, for example "sums and differences of decimals".</summary>
    public string Title { get; }

    /// <inheritdoc/>
    public override string ToString() => Name;
}
