namespace YellowPencil.Core.Notation;

/// <summary>What kind of answer a task asks for, in the words of the worked-sheet format; null where nothing is said.</summary>
/// <param name="Form">The form of a quotient: <c>remainder</c>, <c>fraction</c> or <c>decimal</c>.</param>
/// <param name="Over">The numbers to factor over: <c>integers</c>, <c>reals</c> or <c>complex</c>.</param>
/// <param name="To">The place to estimate to, for example <c>0.1</c>.</param>
public readonly record struct Asked(string? Form = null, string? Over = null, string? To = null);
