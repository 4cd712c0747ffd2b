using System.Net;
using System.Text;

namespace YellowPencil.Core.Layouts;

/// <summary>Writes a line as MathML, from the same tree from which it is drawn, for screen readers.</summary>
public static class MathMarkup
{
    /// <summary>The line as a <c>math</c> element; one that does not parse as its text.</summary>
    public static string Of(WrittenLine line)
    {
        var markup = new StringBuilder("<math>");
        if (line.Root is { } root) Write(markup, root);
        else markup.Append("<mtext>").Append(WebUtility.HtmlEncode(line.Text)).Append("</mtext>");
        return markup.Append("</math>").ToString();
    }

    private static void Write(StringBuilder markup, Expression part)
    {
        switch (part)
        {
            case SignPart sign:
                var name = sign.Kind switch { SignKind.Number => "mn", SignKind.Letter => "mi", SignKind.Word => "mtext", _ => "mo" };
                markup.Append('<').Append(name).Append(sign.Kind == SignKind.Leading ? " form=\"prefix\">" : ">").Append(WebUtility.HtmlEncode(sign.Text)).Append("</").Append(name).Append('>');
                break;
            case SidePart side:
                markup.Append("<mrow>");
                for (var i = 0; i < side.Parts.Count; i++)
                {
                    // A power is one element with what it stands behind.
                    if (i + 1 < side.Parts.Count && side.Parts[i + 1] is PowerPart power) Both(markup, "msup", side.Parts[i], power.Exponent);
                    else if (side.Parts[i] is not PowerPart) Write(markup, side.Parts[i]);
                }

                markup.Append("</mrow>");
                break;
            case FractionPart fraction:
                Both(markup, "mfrac", fraction.Numerator, fraction.Denominator);
                break;
            case PowerPart power:
                Write(markup, power.Exponent);
                break;
            case RootPart root:
                markup.Append("<msqrt>");
                Write(markup, root.Radicand);
                markup.Append("</msqrt>");
                break;
            case BracketPart bracket:
                markup.Append("<mrow><mo>(</mo>");
                Write(markup, bracket.Inside);
                markup.Append("<mo>)</mo></mrow>");
                break;
            default:
                throw new InvalidOperationException($"no MathML of {part.GetType().Name}");
        }
    }

    private static void Both(StringBuilder markup, string element, Expression one, Expression other)
    {
        markup.Append('<').Append(element).Append('>');
        Write(markup, one);
        Write(markup, other);
        markup.Append("</").Append(element).Append('>');
    }
}
