namespace YellowPencil.Core.Notation;

/// <summary>Reads the task grammar of the worked-sheet format.</summary>
public static class TaskText
{
    private const int MaxLength = 400;

    /// <summary>
    /// Reads one task. Families whose methods are not in the product yet are refused with a message that says so.
    /// </summary>
    /// <param name="text">For example <c>604 - 278</c>; a typed dash of any kind counts as minus.</param>
    public static Parsed<ItemTask> TryParse(string text)
    {
        if (string.IsNullOrWhiteSpace(text)) return Failed("the task is empty", 0);
        if (text.Length > MaxLength) return Failed($"a task has at most {MaxLength} characters", MaxLength);

        var plain = text.Replace('−', '-').Replace('–', '-');
        var other = plain.IndexOfAny(['*', '/', '×', '÷', '.', '(', '=', '^']);
        if (other >= 0 || plain.Any(char.IsAsciiLetter))
            return Failed("only sums and differences of whole numbers, such as 604 - 278, can be read so far", Math.Max(other, 0));
        return plain.Contains('+') ? Sum(plain) : Difference(plain);
    }

    private static Parsed<ItemTask> Sum(string text)
    {
        var minus = text.IndexOf('-');
        if (minus >= 0) return Failed("a sum has no minus sign: write sums and differences as items of their own", minus);
        var addends = new List<WholeNumber>();
        var start = 0;
        foreach (var part in text.Split('+'))
        {
            var addend = WholeNumber.TryParse(part);
            if (!addend.Succeeded) return Failed(addend.Fault.Message, start + addend.Fault.Position);
            if (addends.Count == ColumnSum.MaxAddends) return Failed($"a sum has at most {ColumnSum.MaxAddends} addends", start);
            addends.Add(addend.Value);
            start += part.Length + 1;
        }

        return Parsed<ItemTask>.Of(new ColumnSum(addends));
    }

    private static Parsed<ItemTask> Difference(string text)
    {
        var minus = text.IndexOf('-');
        if (minus < 0) return Failed("a sign is missing: write a sum or a difference such as 604 - 278", text.Length);
        if (text[..minus].Trim().Length == 0) return Failed("numbers with a minus sign in front cannot be read so far", minus);

        var top = WholeNumber.TryParse(text[..minus]);
        if (!top.Succeeded) return Failed(top.Fault.Message, top.Fault.Position);
        var second = text.IndexOf('-', minus + 1);
        if (second >= 0) return Failed("one minus sign is enough: write one difference an item", second);
        var bottom = WholeNumber.TryParse(text[(minus + 1)..]);
        if (!bottom.Succeeded) return Failed(bottom.Fault.Message, minus + 1 + bottom.Fault.Position);
        return Parsed<ItemTask>.Of(new ColumnDifference(top.Value, bottom.Value));
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);
}
