using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Reads a new answer and new work for an item that stands already.</summary>
public static class WorkedItemReader
{
    /// <summary>The item with what was written now. Fields of the work other than cells and rewritten digits stay where they are not given.</summary>
    /// <param name="item">The item as set.</param>
    /// <param name="answer">The answer; null is blank.</param>
    /// <param name="work">The work in the worked-sheet format; null or absent: nothing recorded.</param>
    /// <param name="fault">What is wrong, when null is returned.</param>
    public static WorkedItem? TryRead(WorkedItem item, string? answer, JsonElement? work, out SheetFault? fault)
    {
        fault = null;
        try
        {
            if (answer is { Length: > 200 }) throw new SheetField(null, $"items[{item.Id}].answer").Wrong("has more than 200 characters");
            var read = WorkReader.Read(new SheetField(work?.Clone(), $"items[{item.Id}].work"));
            return item with { Answer = answer, Work = Merge(item.Work, read) };
        }
        catch (SheetField.Unreadable e)
        {
            fault = e.Fault;
        }
        catch (InvalidOperationException)
        {
            fault = new SheetFault($"items[{item.Id}].work", "a field name holds characters that are not valid Unicode");
        }

        return null;
    }

    // What a person cannot type here stays; a field that had been recorded and now holds nothing is recorded as empty.
    private static Work Merge(Work before, Work typed)
    {
        var marks = new Dictionary<MarkField, PlaceMarks>(typed.Marks);
        foreach (var (field, standing) in before.Marks)
        {
            if (field == MarkField.Rewritten) marks.TryAdd(field, new PlaceMarks());
            else if (field != MarkField.Cells) marks.TryAdd(field, standing);
        }

        return typed with
        {
            Marks = marks,
            Operands = typed.Operands ?? before.Operands,
            Order = typed.Order ?? before.Order,
            Rows = typed.Rows ?? before.Rows,
            Steps = typed.Steps ?? before.Steps,
            Lines = typed.Lines ?? before.Lines,
            Sign = typed.Sign ?? before.Sign,
            Places = typed.Places ?? before.Places,
            Scaled = typed.Scaled ?? before.Scaled,
            Kept = before.Kept,
        };
    }
}
