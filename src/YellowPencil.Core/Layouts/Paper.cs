namespace YellowPencil.Core.Layouts;

/// <summary>An item being laid out: rows are added from the top, and prints, lines and strips into them.</summary>
internal sealed class Paper
{
    private readonly List<Printed> prints = [];
    private readonly List<PaperLine> lines = [];
    private readonly List<Strip> strips = [];

    /// <summary>How many rows there are.</summary>
    public int Rows { get; private set; }

    /// <summary>How many columns there are.</summary>
    public int Columns { get; set; }

    /// <summary>The column of the ones.</summary>
    public int Ones { get; init; }

    public IReadOnlyList<Printed> Prints => prints;

    public IReadOnlyList<PaperLine> Lines => lines;

    public IReadOnlyList<Strip> Strips => strips;

    /// <summary>Adds a row below the others.</summary>
    public int NextRow() => Rows++;

    /// <summary>Prints a text, a sign to a square and a point beside its digit, that ends in a column.</summary>
    public void Print(string text, int row, int lastColumn)
    {
        foreach (var (column, sign) in Squares.Spread(text, lastColumn))
        {
            prints.Add(new Printed(column, row, sign));
            Columns = Math.Max(Columns, column + 1);
        }
    }

    /// <summary>Prints a word that begins in a column.</summary>
    public void PrintWord(string word, int row, int column) => prints.Add(new Printed(column, row, word));

    /// <summary>Draws a line along the top of a row.</summary>
    public void Line(int row, int right, int left, int? until = null) => lines.Add(new PaperLine(row, right, left, Until: until));

    /// <summary>Draws a line down the right of a column.</summary>
    public void LineDown(int row, int lastRow, int column) => lines.Add(new PaperLine(row, lastRow, column, IsDown: true));

    /// <summary>Adds a strip.</summary>
    public void Add(Strip strip)
    {
        strips.Add(strip.Ones == 0 ? strip with { Ones = Ones } : strip);
        Columns = Math.Max(Columns, strip.Left + 1);
    }

    /// <summary>Adds a strip of small marks by place.</summary>
    public void Marks(
        string id, string name, MarkKind kind, int row, int right, int left, int line = 0, int level = 0, int? strikes = null, bool isRare = false) =>
        Add(new Strip
        {
            Id = id,
            Name = name,
            Kind = StripKind.Places,
            Mark = kind,
            Line = line,
            Level = level,
            Row = row,
            Right = right,
            Left = left,
            IsSmall = true,
            IsWork = true,
            Strikes = strikes,
            IsRare = isRare,
        });

    /// <summary>Adds a strip with a text of the work.</summary>
    public void Text(string id, string name, MarkKind kind, int row, int right, int left, int line = 0, int? due = null) => Add(new Strip
    {
        Id = id,
        Name = name,
        Kind = StripKind.Text,
        Mark = kind,
        Line = line,
        Due = due,
        Row = row,
        Right = right,
        Left = left,
        IsWork = true,
    });

    /// <summary>Adds a strip for a note from the left.</summary>
    public void Note(string id, string name, MarkKind kind, int row, int right, int left, string signs, int line = 0) => Add(new Strip
    {
        Id = id,
        Name = name,
        Kind = StripKind.Note,
        Mark = kind,
        Line = line,
        Row = row,
        Right = right,
        Left = left,
        IsWork = true,
        FromLeft = true,
        Signs = signs,
    });

    /// <summary>Adds the answer.</summary>
    public void Answer(int row, int right, int left, string signs = "", bool isByPoint = false, bool fromLeft = false) => Add(new Strip
    {
        Id = "answer",
        Name = "answer",
        Kind = StripKind.Answer,
        Row = row,
        Right = right,
        Left = left,
        Signs = signs,
        IsByPoint = isByPoint,
        FromLeft = fromLeft,
    });
}
