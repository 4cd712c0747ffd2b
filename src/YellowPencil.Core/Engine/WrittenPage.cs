namespace YellowPencil.Core.Engine;

/// <summary>The page that a run leaves: the marks in the order of writing, and the answer.</summary>
public sealed class WrittenPage
{
    private readonly List<Mark> marks = [];
    private readonly List<string> passed = [];
    private char[] answer = new char[64];
    private int answerLength;

    /// <summary>Whether marks are kept: texts that only a mark needs are not made otherwise.</summary>
    public bool KeepsMarks { get; set; }

    /// <summary>The answer; empty when nothing was written.</summary>
    public ReadOnlySpan<char> Answer => answer.AsSpan(0, answerLength);

    /// <summary>The marks, where they are kept.</summary>
    public IReadOnlyList<Mark> Marks => marks;

    /// <summary>The row or cycle in which marks stand from now on.</summary>
    public int Line { get; set; }

    /// <summary>Set while a part works whose columns do not stand on the page as such: its marks are not kept.</summary>
    public bool IsAside { get; set; }

    /// <summary>So many zeros were taken off the numbers and go to the end of the answer.</summary>
    internal int ZerosDue { get; set; }

    /// <summary>So many columns to the left of where the work counts them stand marks from now on.</summary>
    public int ColumnsMoved { get; set; }

    /// <summary>Leaves a mark.</summary>
    /// <param name="kind">What kind of mark.</param>
    /// <param name="place">The column; null where there are none.</param>
    /// <param name="value">What is written.</param>
    public void Write(MarkKind kind, int? place, int value)
    {
        if (KeepsMarks) Write(kind, place, SmallNumbers.Text(value));
    }

    /// <summary>Leaves a mark.</summary>
    public void Write(MarkKind kind, int? place, string text)
    {
        if (KeepsMarks && !IsAside) marks.Add(new Mark(kind.Field, new Spot(Line, place + ColumnsMoved, kind.Part), text));
    }

    /// <summary>The lines through which the work went, written or not, where marks are kept.</summary>
    public IReadOnlyList<string> Passed => passed;

    /// <summary>Goes through a line of a working.</summary>
    /// <param name="text">The line.</param>
    /// <param name="isWritten">Whether the method writes it; else somebody might, and is met here.</param>
    public void Pass(string text, bool isWritten)
    {
        if (!KeepsMarks || IsAside) return;
        if (isWritten) marks.Add(new Mark(WorkFields.Lines, new Spot(marks.Count(m => m.Field == WorkFields.Lines)), text));
        passed.Add(text);
    }

    /// <summary>Adds to the answer.</summary>
    public void Append(ReadOnlySpan<char> text)
    {
        if (answerLength + text.Length > answer.Length) Array.Resize(ref answer, 2 * (answerLength + text.Length));
        text.CopyTo(answer.AsSpan(answerLength));
        answerLength += text.Length;
    }

    /// <summary>Takes back what was added to the answer beyond a length: it was worked beside it.</summary>
    internal void ShortenAnswer(int length) => answerLength = length;

    internal void Clear()
    {
        marks.Clear();
        passed.Clear();
        answerLength = 0;
        Line = 0;
        ColumnsMoved = 0;
        ZerosDue = 0;
        IsAside = false;
    }
}

/// <summary>The texts of small whole numbers, made once.</summary>
internal static class SmallNumbers
{
    private static readonly string[] Texts = [.. Enumerable.Range(0, 200).Select(n => n.ToString())];

    public static string Text(int value) => (uint)value < Texts.Length ? Texts[value] : value.ToString();
}
