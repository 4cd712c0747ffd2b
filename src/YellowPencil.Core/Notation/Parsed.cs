using System.Diagnostics.CodeAnalysis;

namespace YellowPencil.Core.Notation;

/// <summary>What is wrong with a piece of text, and where.</summary>
/// <param name="Message">One sentence for the person who typed it.</param>
/// <param name="Position">Index, from 0, of the first character that cannot be read.</param>
/// <param name="Field">The name of the field beside the text that is at fault; null where it is the text itself.</param>
public readonly record struct TextFault(string Message, int Position, string? Field = null)
{
    /// <inheritdoc/>
    public override string ToString() => Field is null ? $"{Message} (at character {Position + 1})" : Message;
}

/// <summary>The result of reading text that a person typed: a value, or what is wrong with the text. Never an exception.</summary>
public readonly struct Parsed<T>
    where T : class
{
    private Parsed(T? value, TextFault fault)
    {
        Value = value;
        Fault = fault;
    }

    /// <summary>The value; null when the text could not be read.</summary>
    public T? Value { get; }

    /// <summary>What is wrong; meaningful only when <see cref="Value"/> is null.</summary>
    public TextFault Fault { get; }

    /// <summary>Whether the text was read.</summary>
    [MemberNotNullWhen(true, nameof(Value))]
    public bool Succeeded => Value is not null;

    internal static Parsed<T> Of(T value) => new(value, default);

    internal static Parsed<T> Failed(string message, int position, string? field = null) => new(null, new TextFault(message, position, field));

    /// <summary>The same result of text that begins at a position of a longer one.</summary>
    internal Parsed<T> At(int position) => Succeeded ? this : Failed(Fault.Message, position + Fault.Position, Fault.Field);
}
