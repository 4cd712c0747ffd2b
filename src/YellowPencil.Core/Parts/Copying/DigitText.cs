namespace YellowPencil.Core.Parts.Copying;

/// <summary>A number as digits on paper: sign, digits and point, to be written over.</summary>
/// <param name="IsNegative">Whether a minus sign stands in front.</param>
/// <param name="Digits">All digits, without the point.</param>
/// <param name="Places">How many of them stand behind the point.</param>
/// <param name="HasPoint">Whether a point was written.</param>
internal readonly record struct DigitText(bool IsNegative, string Digits, int Places, bool HasPoint)
{
    /// <summary>Before the point.</summary>
    public string Whole => Digits[..(Digits.Length - Places)];

    /// <summary>Behind the point.</summary>
    public string Behind => Digits[(Digits.Length - Places)..];

    /// <summary>The digits of a number as written, without commas.</summary>
    public static DigitText Of(DecimalNumber number)
    {
        var digits = new char[number.Length];
        for (var i = 0; i < digits.Length; i++) digits[i] = (char)('0' + number.Digit(number.Length - 1 - i - number.Places));
        return new DigitText(number.IsNegative, new string(digits), number.Places, number.HasPoint);
    }

    /// <summary>The digits of a text in its canonical spelling; null for what is no number.</summary>
    public static DigitText? Of(string text) => DecimalNumber.TryParse(text) is { Succeeded: true } number ? Of(number.Value) : null;

    /// <summary>The same with other digits behind and before the point.</summary>
    public DigitText With(string whole, string behind) =>
        this with { Digits = whole + behind, Places = behind.Length, HasPoint = HasPoint && behind.Length > 0 };

    /// <summary>The same with the point so many places further left; zeros are filled in.</summary>
    public DigitText PointMovedLeft(int by)
    {
        var places = Places + by;
        var digits = places < 0 ? Digits + new string('0', -places) : Digits.PadLeft(places + 1, '0');
        return new DigitText(IsNegative, digits, Math.Max(0, places), places > 0);
    }

    /// <summary>The number; null where no digit is left, or too many are.</summary>
    public DecimalNumber? Number => Digits.Length > 0 && DecimalNumber.TryParse(ToString()) is { Succeeded: true } number ? number.Value : null;

    public override string ToString() =>
        (IsNegative ? "-" : "") + (Places == 0 ? Digits : $"{(Whole.Length == 0 && Digits.Length > 0 ? "0" : Whole)}.{Behind}");
}
