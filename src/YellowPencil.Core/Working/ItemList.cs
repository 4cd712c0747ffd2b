using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Working;

/// <summary>Reads items as people list them: one task a line, with or without "= answer".</summary>
public static class ItemList
{
    private const int MaxOnOnePage = 60;

    /// <summary>The items, numbered from 1; empty lines are passed over.</summary>
    /// <param name="text">The lines.</param>
    /// <param name="families">The families that can be taken in; null for all that can be read.</param>
    /// <param name="faults">One sentence for each line that cannot be read; empty when all can.</param>
    public static IReadOnlyList<WorkedItem> TryParse(string text, IReadOnlyCollection<Family>? families, out IReadOnlyList<string> faults)
    {
        var items = new List<WorkedItem>();
        var found = new List<string>();
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            if (string.IsNullOrWhiteSpace(line)) continue;
            var sides = line.Split('=', 2);
            var task = TaskText.TryParse(sides[0].Trim());
            if (!task.Succeeded)
            {
                found.Add($"Line {number}, “{line.Trim()}”: {task.Fault}.");
                continue;
            }

            if (families is not null && !families.Contains(task.Value.Family))
            {
                found.Add($"Line {number}, “{line.Trim()}”: this page takes {string.Join(" and ", families.Select(f => f.Name()))} only, so far.");
                continue;
            }

            var answer = sides.Length == 2 ? sides[1].Trim() : "";
            items.Add(new WorkedItem
            {
                Id = (items.Count + 1).ToString(),
                Task = task.Value,
                TaskAsWritten = sides[0].Trim(),
                Answer = answer.Length == 0 ? null : answer,
            });
        }

        if (items.Count == 0 && found.Count == 0) found.Add("There is no item yet: write at least one, such as 604 - 278.");
        if (items.Count > MaxOnOnePage) found.Add($"A page holds at most {MaxOnOnePage} items; these are {items.Count}.");
        faults = found;
        return items;
    }
}
