using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>The marks that stand in the places of one field, each place with its marks in the order of writing.</summary>
public sealed class PlaceMarks
{
    private readonly SortedDictionary<int, List<string>> byPlace = [];

    /// <summary>The places that carry a mark, smallest first.</summary>
    public IEnumerable<int> Places => byPlace.Keys;

    /// <summary>The marks in a place, in the order of writing; empty where there are none.</summary>
    public IReadOnlyList<string> At(int place) => byPlace.TryGetValue(place, out var marks) ? marks : [];

    internal static PlaceMarks Of(IEnumerable<Mark> marks)
    {
        var places = new PlaceMarks();
        foreach (var mark in marks) places.Add(mark.At.Place ?? 0, mark.Text);
        return places;
    }

    internal static PlaceMarks Read(SheetField field)
    {
        var marks = new PlaceMarks();
        foreach (var (name, value) in field.Properties())
        {
            var place = SheetPlace.Named(name) ?? throw value.Wrong(SheetPlace.Rule);
            if (value.Kind == JsonValueKind.Array)
                foreach (var one in value.Elements(Limits.MarksInOnePlace)) marks.Add(place, one.Text(Limits.Mark));
            else marks.Add(place, value.Text(Limits.Mark));
        }

        return marks;
    }

    internal void Write(Utf8JsonWriter json)
    {
        json.WriteStartObject();
        foreach (var (place, marks) in byPlace)
        {
            json.WritePropertyName(SheetPlace.Name(place));
            if (marks.Count > 1) json.WriteStartArray();
            foreach (var mark in marks) json.WriteStringValue(mark);
            if (marks.Count > 1) json.WriteEndArray();
        }

        json.WriteEndObject();
    }

    internal IEnumerable<Mark> Marks(WorkField field, int line = 0, int part = 0) =>
        byPlace.SelectMany(place => place.Value.Select(text => new Mark(field, new Spot(line, place.Key, part), text)));

    /// <summary>Compares place by place: the last mark of each is what stands there.</summary>
    /// <param name="due">The marks that are due.</param>
    /// <param name="shift">So many columns to the left of where they are named stand those that are due.</param>
    /// <param name="isComplete">Whether a mark that is due and does not stand there is missing.</param>
    internal FieldMatch Compare(IEnumerable<Mark> due, int shift, bool isComplete)
    {
        var last = new Dictionary<int, string>();
        foreach (var mark in due) last[(mark.At.Place ?? 0) + shift] = mark.Text;
        var match = new FieldMatch(0, 0, isComplete ? last.Keys.Count(place => !byPlace.ContainsKey(place)) : 0, 0);
        foreach (var (place, marks) in byPlace)
            match += last.TryGetValue(place, out var text) ? FieldMatch.Of(text == marks[^1].Trim()) : new FieldMatch(0, 0, 0, 1);
        return match;
    }

    private void Add(int place, string text)
    {
        if (!byPlace.TryGetValue(place, out var marks)) byPlace[place] = marks = [];
        marks.Add(text);
    }
}

/// <summary>A field that holds its marks by place.</summary>
public abstract class PlaceField : WorkField<PlaceMarks>
{
    private protected PlaceField(string name)
        : base(name)
    {
    }

    /// <inheritdoc/>
    public override bool StandsInColumns => true;

    /// <summary>Whether a mark that is due and does not stand there is missing; where the answer tells it anyway, it is not.</summary>
    private protected virtual bool IsComplete => true;

    private protected override PlaceMarks ReadValue(SheetField json) => PlaceMarks.Read(json);

    private protected override void WriteValue(Utf8JsonWriter json, PlaceMarks value) => value.Write(json);

    private protected override IEnumerable<Mark> Marks(PlaceMarks value) => value.Marks(this);

    private protected override PlaceMarks Value(IReadOnlyList<Mark> marks) => PlaceMarks.Of(marks);

    private protected override IEnumerable<FieldMatch> Match(ItemTask task, PlaceMarks seen, IReadOnlyList<Mark> due) =>
        [Shifts(task).Select(shift => seen.Compare(due, shift, IsComplete)).MinBy(match => match.Off)];

    // A product of decimals has no places of its own while it is worked: columns may be named from its last digit or from the first number's.
    private static IEnumerable<int> Shifts(ItemTask task) =>
        task.SetOperation == PairOperation.Times && task.Numbers is [var first, var second]
            ? new[] { 0, -first.Places, -first.Places - second.Places }.Distinct()
            : [0];
}
