namespace YellowPencil.Core.Layouts;

/// <summary>How the items of a family stand on squared paper. A new family is one more of these.</summary>
internal abstract class FamilyLayout
{
    /// <summary>Lays an item out, with every square in which something could be written.</summary>
    public abstract Paper Lay(ItemTask task, School school);

    /// <summary>Marks with the places that were not recorded, as the method puts them.</summary>
    public virtual IEnumerable<Mark> InPlace(ItemTask task, IEnumerable<Mark> marks) => marks;

    /// <summary>How many zeros each row of work begins with by the taught method, only to hold its place; none in most families.</summary>
    public virtual IReadOnlyList<int> PlaceholdersOf(ItemTask task) => [];

    /// <summary>Whether a mark is the carry of a product, which some classrooms keep in the head; those of its row sum are none.</summary>
    public virtual bool IsProductCarry(ItemTask task, Mark mark) => mark.Kind == WorkFields.Rows.Carry;

    /// <summary>The marks of a field as the format has them, from what stands in the squares.</summary>
    public virtual IEnumerable<Mark> Recorded(WorkField field, IEnumerable<Mark> marks, Squares squares, Strip answer) => marks;
}
