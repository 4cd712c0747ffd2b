namespace YellowPencil.Core.Notation;

/// <summary>An operation on two numbers.</summary>
public enum PairOperation
{
    /// <summary>a + b</summary>
    Plus,

    /// <summary>a - b</summary>
    Minus,

    /// <summary>a * b</summary>
    Times,

    /// <summary>a / b</summary>
    DividedBy,
}
