namespace YellowPencil.Core.Pages;

/// <summary>Where a mark stands on the page.</summary>
/// <param name="Line">The row, cycle or line, from 0, where the field has several.</param>
/// <param name="Place">The column, as a power of ten; in a cycle that of the digit of the quotient; null where there are no columns.</param>
/// <param name="Part">Which part of the row, cycle or pair, as the field counts them.</param>
public readonly record struct Spot(int Line = 0, int? Place = null, int Part = 0);

/// <summary>A kind of mark: a field of the format, or one part of its rows, cycles or pairs.</summary>
/// <param name="Field">The field.</param>
/// <param name="Part">The part, as the field counts them.</param>
public readonly record struct MarkKind(WorkField Field, int Part = 0)
{
    /// <summary>The first, or only, part of a field.</summary>
    public static implicit operator MarkKind(WorkField field) => new(field);
}

/// <summary>One mark on the page.</summary>
/// <param name="Field">What kind of mark it is.</param>
/// <param name="At">Where it stands.</param>
/// <param name="Text">What is written.</param>
public readonly record struct Mark(WorkField Field, Spot At, string Text)
{
    /// <summary>The field with the part of it.</summary>
    public MarkKind Kind => new(Field, At.Part);

    /// <summary>The mark with where it stands, in words.</summary>
    public override string ToString() => Field.Say(At, Text);
}

/// <summary>How the marks of one field on a page agree with those that are due.</summary>
/// <param name="Same">Marks that are as they are due.</param>
/// <param name="Differ">Marks that stand where one is due, and are another.</param>
/// <param name="Missing">Marks that are due and do not stand there.</param>
/// <param name="Extra">Marks that stand where none is due.</param>
public readonly record struct FieldMatch(int Same, int Differ, int Missing, int Extra)
{
    /// <summary>How many marks are not as they are due.</summary>
    public int Off => Differ + Missing + Extra;

    /// <summary>One mark that is as it is due, or not.</summary>
    public static FieldMatch Of(bool isSame) => isSame ? new FieldMatch(1, 0, 0, 0) : new FieldMatch(0, 1, 0, 0);

    /// <summary>Both together.</summary>
    public static FieldMatch operator +(FieldMatch a, FieldMatch b) => new(a.Same + b.Same, a.Differ + b.Differ, a.Missing + b.Missing, a.Extra + b.Extra);
}
