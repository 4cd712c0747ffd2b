using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;

namespace YellowPencil.Web.Drawing;

/// <content>Drawings that belong to one idea.</content>
internal sealed partial class ModelSketch
{
    private void Half(HalfLine line)
    {
        const double Left = 40, Long = 480, Base = 60;
        double At(int side) => Left + Long / 2 + side * Long * 0.36;
        Stroke("rail", Left, Base, Left + Long, Base);
        foreach (var (side, number) in new[] { (-1, line.Half - line.Gap), (0, line.Half), (1, line.Half + line.Gap) })
        {
            Stroke(side == 0 ? "jump" : "rail", At(side), Base - (side == 0 ? 16 : 9), At(side), Base + (side == 0 ? 16 : 9));
            Text(side == 0 ? "bold" : "plain", At(side), Base + 30, Signs.Printed(number.Text));
            if (side == 0) continue;
            shapes.Add(new ArcShape("jump", At(0), Base - 18, (At(0) + At(side)) / 2, Base - 52, At(side)));
            Text("plain", (At(0) + At(side)) / 2, Base - 46, $"{(side < 0 ? "−" : "+")} {Signs.Printed(line.Gap.Text)}");
        }

        Text("label", At(0), Base + 50, "half of the sum");
        Grow(Left + Long + 40, Base + 64);
    }

    // To scale in both directions, each by itself; the curve as so many short straight pieces that it looks bent.
    private void Curve(CurveAndChord curve)
    {
        const double Left = 60, Top = 16, Wide = 440, High = 230;
        const int Pieces = 60;
        var (below, above) = (curve.Lower * curve.Lower, (curve.Lower + 1) * (curve.Lower + 1));
        double X(double number) => Left + Wide * (number - below) / (above - below);
        double Y(double root) => Top + High * (curve.Lower + 1 - root);
        Stroke("rail", Left, Top + High, Left + Wide, Top + High);
        Stroke("rail", Left, Top, Left, Top + High);
        for (var piece = 0; piece < Pieces; piece++)
        {
            double Number(int at) => below + (above - below) * at / (double)Pieces;
            Stroke("jump", X(Number(piece)), Y(Math.Sqrt(Number(piece))), X(Number(piece + 1)), Y(Math.Sqrt(Number(piece + 1))));
        }

        Stroke("cross", X(below), Y(curve.Lower), X(above), Y(curve.Lower + 1));
        foreach (var square in new[] { below, above }) Text("bold", X(square), Top + High + 18, $"{square}");
        foreach (var root in new[] { curve.Lower, curve.Lower + 1 }) Text("bold", Left - 18, Y(root), $"{root}");
        var number = (double)curve.Number.Numerator / (double)curve.Number.Denominator;
        Stroke("rail", X(number), Top + High, X(number), Y(Math.Sqrt(number)));
        Text("plain", X(number), Top + High + 18, RootLine.InPlaces(curve.Number));
        var isRight = X(number) < Left + Wide * 0.55;
        Text("plain", X(number) + (isRight ? 96 : -100), Y(Math.Sqrt(number)) + (isRight ? 46 : -6), $"curve {curve.OnCurve}");
        Text("plain", X(number) + (isRight ? 96 : -100), Y(Math.Sqrt(number)) + (isRight ? 66 : 14), $"line {curve.OnChord}");
        Text("label", Left + Wide - 30, Top + High + 36, "numbers");
        Text("label", Left - 24, Top - 6, "roots");
        Grow(Left + Wide + 40, Top + High + 48);
    }
}
