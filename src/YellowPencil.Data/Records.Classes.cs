using YellowPencil.Core.Notation;

namespace YellowPencil.Data;

/// <summary>A class: students under codes who write the same sheets.</summary>
public sealed class SchoolClass : IOwned, IRemovable
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <inheritdoc/>
    public Guid? RemovalId { get; set; }

    /// <summary>What it is called.</summary>
    public required string Name { get; set; }

    /// <summary>The classroom's word, for those whose file is opened with the class.</summary>
    public ClassroomWord Word { get; set; }

    /// <summary>When it was put together.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>The students.</summary>
    public List<Student> Students { get; } = [];

    /// <summary>The sheets that were set.</summary>
    public List<ClassSheet> Sheets { get; } = [];
}

/// <summary>A sheet that was set for a class or for some of it; each student who has it has a page of their own.</summary>
public sealed class ClassSheet : IOwned, IRemovable
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <inheritdoc/>
    public Guid? RemovalId { get; set; }

    /// <summary>The class.</summary>
    public Guid ClassId { get; set; }

    /// <summary>The class.</summary>
    public SchoolClass? Class { get; set; }

    /// <summary>A name for the set of items.</summary>
    public string Title { get; set; } = "";

    /// <summary>When it was written, if known.</summary>
    public DateOnly? WrittenOn { get; set; }

    /// <summary>The items, one a line, as an item list writes them; their ids are the numbers of the lines.</summary>
    public required string Items { get; set; }

    /// <summary>Whether what is typed is read by itself, in the background.</summary>
    public bool IsReadByItself { get; set; } = true;

    /// <summary>When it was set.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>The pages of those who have it.</summary>
    public List<StudentPage> Pages { get; } = [];
}
