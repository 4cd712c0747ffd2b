using System.Globalization;
using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;

namespace YellowPencil.Web.Drawing;

/// <content>Models of fractions, terms, roots and equations.</content>
internal sealed partial class ModelSketch
{
    private const double LabelWidth = 130;

    private void Fractions(FractionBars bars)
    {
        const int Longest = 560, High = 26, Row = 44, Between = 8;
        var wholes = bars.Bars.Max(b => b.Wholes);
        var whole = Math.Min(240, (Longest - Between * (wholes - 1.0)) / wholes);
        foreach (var (row, bar) in bars.Bars.Index())
        {
            var top = 6 + row * Row;
            Text("label", LabelWidth / 2, top + High / 2.0, bar.Label);
            for (var part = 0; part < bar.Wholes * bar.Parts; part++)
            {
                var (left, wide) = (LabelWidth + part / bar.Parts * (whole + Between) + part % bar.Parts * whole / bar.Parts, whole / bar.Parts);
                var isSecond = part < bar.Filled && part >= bar.Filled - bar.Second;
                Rect(part >= bar.Filled ? "edge" : !isSecond ? "piece" : bars.IsTakenAway ? "taken" : "counter", left, top, wide, High);
                if (isSecond && bars.IsTakenAway) Stroke("cross", left + 2, top + High - 3, left + wide - 2, top + 3);
            }

            if (bars.IsOff && row == bars.Bars.Count - 1) Rect("against", LabelWidth - 5, top - 5, (double)bar.Filled / bar.Parts * whole + (bar.Wholes - 1) * Between + 10, High + 10);
        }

        Grow(LabelWidth + wholes * (whole + Between) + 6, bars.Bars.Count * Row);
    }

    private void Tiles(TermTiles tiles)
    {
        const int Side = 26, Thin = 11, Gap = 4, Between = 16, Row = 42;
        const double Labels = 210;
        foreach (var (row, laid) in tiles.Rows.Index())
        {
            var (left, top) = (Labels, 6.0 + row * Row);
            Text("label", Labels / 2, top + Side / 2.0, laid.Label);
            foreach (var group in laid.Groups)
            {
                var (wide, high) = (group.Power == 0 ? Thin : Side, group.Power == 2 ? Side : Thin);
                for (var i = 0; i < group.Count; i++)
                {
                    // Long tiles lie two high, small ones too.
                    var isStacked = group.Power < 2;
                    var (column, level) = isStacked ? (i / 2, i % 2) : (i, 0);
                    var (x, y) = (left + column * (wide + Gap), top + level * (Thin + Gap));
                    Rect(group.IsMinus ? "taken" : "counter", x, y, wide, high);
                    if (group.IsMinus) Stroke("cross", x + 3, y + high / 2.0, x + wide - 3, y + high / 2.0);
                }

                left += (group.Power < 2 ? (group.Count + 1) / 2 : group.Count) * (wide + Gap) + Between;
            }

            if (tiles.IsOff && row == tiles.Rows.Count - 1) Rect("against", Labels - 6, top - 6, Math.Max(30, left - Labels - 4), Side + 12);
            Grow(left, top + Row);
        }
    }

    private void Box(AreaBox box)
    {
        const double Head = 74, Equal = 110, EqualRow = 46, Longest = 330, MostForOne = 16;
        var scale = box.IsToScale ? Math.Min(MostForOne, Longest / (double)box.LongerEdge) : 0;
        double Wide(BoxTerm term) => box.IsToScale ? scale * (double)term.AtTen!.Value : Equal;
        double High(BoxTerm term) => box.IsToScale ? scale * (double)term.AtTen!.Value : EqualRow;
        var (widths, heights) = (box.Top.Select(Wide).ToList(), box.Side.Select(High).ToList());
        for (var (at, x) = (0, Head); at < widths.Count; x += widths[at++]) Text("bold", x + widths[at] / 2, 14, box.Top[at].Text);
        for (var (row, y) = (0, 30.0); row < heights.Count; y += heights[row++])
        {
            Text("bold", Head / 2, y + heights[row] / 2, box.Side[row].Text);
            for (var (column, x) = (0, Head); column < widths.Count; x += widths[column++])
            {
                var piece = box.Pieces[row][column];
                Rect(piece.Text.Length > 0 ? "piece" : "edge", x, y, widths[column], heights[row]);
                Text("plain", x + widths[column] / 2, y + heights[row] / 2, piece.Text);
            }
        }

        if (box.Disagreement.Length > 0) Rect("against", Head - 6, 24, widths.Sum() + 12, heights.Sum() + 12);
        Grow(Head + widths.Sum() + 10, 44 + heights.Sum());
    }

    private void Square(SquareArea square)
    {
        var unit = Math.Min(18.0, 220.0 / square.Side);
        for (var row = 0; row < square.Side; row++)
            for (var column = 0; column < square.Side; column++)
                Rect("piece", 10 + column * unit, 10 + row * unit, unit, unit);
        var side = square.Side * unit;
        if (square.Written.Length > 0)
        {
            Text("plain", 10 + side / 2, side + 26, square.Side.ToString(CultureInfo.InvariantCulture));
            Text("hand", side + 60, 10 + side / 2, square.Written);
            if (square.Disagreement.Length > 0) Rect("against", side + 24, side / 2 - 8, 72, 36);
        }

        Grow(side + 110, side + 40);
    }

    private void Roots(RootLine line)
    {
        const double Left = 76, Long = 480, Base = 66;
        double X(double root) => Left + Long * (root - line.Lower + 0.15) / 1.3;
        Stroke("rail", Left - 12, Base, Left + Long + 12, Base);
        for (var tenth = 0; tenth <= 10; tenth++) Stroke("rail", X(line.Lower + tenth / 10.0), Base - (tenth % 10 == 0 ? 9 : 4), X(line.Lower + tenth / 10.0), Base + (tenth % 10 == 0 ? 9 : 4));
        foreach (var root in new[] { line.Lower, line.Lower + 1 })
        {
            Text("bold", X(root), Base - 22, (root * root).ToString(CultureInfo.InvariantCulture));
            Text("bold", X(root), Base + 24, root.ToString(CultureInfo.InvariantCulture));
        }

        Stroke("jump", X(line.Lower + line.Part), Base - 26, X(line.Lower + line.Part), Base - 2);
        Text("plain", X(line.Lower + line.Part), Base - 40, line.Number);
        Text("label", Left - 42, Base - 22, "squares");
        Text("label", Left - 42, Base + 24, "roots");
        if (line.WrittenText.Length > 0)
        {
            var at = Math.Clamp(line.Written is { } near ? X(near) : Left + Long + 40, Left + 30, Left + Long + 60);
            if (line.Written is not null) Stroke("rail", at, Base + 2, at, Base + 34);
            Text("hand", at, Base + 48, line.WrittenText);
            if (line.Disagreement.Length > 0) Rect("against", at - 28, Base + 34, 56, 28);
        }

        Grow(Left + Long + 100, Base + 70);
    }

    private void Bars(TwoSides sides)
    {
        const double Longest = 520, High = 30;
        var unit = Longest / Math.Max(sides.Left.Pieces.Sum(p => p.Length), sides.Right.Pieces.Sum(p => p.Length));
        foreach (var (row, side) in new[] { sides.Left, sides.Right }.Index())
        {
            var (left, top) = (10.0, 8 + row * (High + 8));
            foreach (var piece in side.Pieces)
            {
                var wide = piece.Length * unit;
                Rect(piece.HasLetter ? "piece" : "taken", left, top, wide, High);
                if (wide >= 9 * piece.Text.Length) Text("plain", left + wide / 2, top + High / 2, piece.Text);
                left += wide;
            }

            if (side.Value is { } value) Text("hand", Math.Max(left, 10) + 40, top + High / 2, Signs.Printed(value.Text));
            if (sides.Leans != 0 && row == 1) Rect("against", 4, 2, Longest + 12, 2 * High + 20);
        }

        if (sides.PutIn.Length > 0) Text("label", 120, 2 * High + 34, $"with {sides.PutIn}");
        Grow(Longest + 110, 2 * High + 44);
    }

    private void Balance(TwoSides sides)
    {
        const double Middle = 280, Arm = 190, Beam = 70;
        var lean = 16.0 * sides.Leans;
        foreach (var (at, side) in new[] { -1, 1 }.Zip([sides.Left, sides.Right]))
        {
            var (x, y) = (Middle + at * Arm, Beam + at * lean);
            Stroke("rail", x, y, x - 50, y + 44);
            Stroke("rail", x, y, x + 50, y + 44);
            Rect("piece", x - 84, y + 44, 168, 34);
            Text("plain", x, y + 61, side.Text);
            if (side.Value is { } value) Text("hand", x, y + 98, Signs.Printed(value.Text));
        }

        Stroke("jump", Middle - Arm, Beam - lean, Middle + Arm, Beam + lean);
        Stroke("rail", Middle, Beam, Middle, Beam + 104);
        Stroke("rail", Middle - 40, Beam + 104, Middle + 40, Beam + 104);
        if (sides.PutIn.Length > 0) Text("label", Middle, 20, $"with {sides.PutIn}");
        if (sides.Leans != 0) Rect("against", Middle - 120, 6, 240, 28);
        Grow(2 * Middle, Beam + 140);
    }
}
