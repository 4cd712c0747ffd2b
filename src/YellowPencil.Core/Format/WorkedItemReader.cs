using System.Text.Json;

namespace YellowPencil.Core.Format;

/// <summary>Reads a new answer and new work for an item that stands already.</summary>
public static class WorkedItemReader
{
    /// <summary>The item with what was written now. Fields of the work that are not given stay; those that are null are erased.</summary>
    /// <param name="item">The item as set.</param>
    /// <param name="answer">The answer; null is blank.</param>
    /// <param name="work">The fields of the work that were changed, in the worked-sheet format; null or absent: none.</param>
    /// <param name="fault">What is wrong, when null is returned.</param>
    public static WorkedItem? TryRead(WorkedItem item, string? answer, JsonElement? work, out SheetFault? fault)
    {
        fault = null;
        try
        {
            if (answer is { Length: > WorkedItem.LongestAnswer })
                throw new SheetField(null, $"items[{item.Id}].answer").Wrong($"has more than {WorkedItem.LongestAnswer} characters");
            return item with
            {
                Answer = answer is null ? null : Signs.Digits(answer),
                Work = item.Work.Changed(new SheetField(work?.Clone(), $"items[{item.Id}].work")),
            };
        }
        catch (SheetField.Unreadable e)
        {
            fault = e.Fault;
            return null;
        }
    }
}
