namespace YellowPencil.Core.Families.Roots;

/// <summary><c>sqrt(31)</c>, <c>sqrt(31.6)</c></summary>
internal sealed class RootGrammar : TaskGrammar
{
    public override string Word => "sqrt";

    public override IReadOnlyList<string> Places => ["1", "0.1", "0.01", "0.001"];

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        var at = from;
        PolynomialText.Skip(text, ref at);
        if (at == text.Length || text[at] != '(') return Failed("a root is written with a bracket: sqrt(31)", at);
        var end = text.IndexOf(')', at);
        if (end < 0) return Failed("a bracket is not closed", text.Length);
        if (text[(end + 1)..].Trim().Length > 0) return Failed("one root an item", end + 1);
        var number = DecimalNumber.TryParse(text[(at + 1)..end].Trim());
        if (!number.Succeeded) return Failed(number.Fault.Message, at + 1);
        if (number.Value.IsNegative) return Failed("no number has a negative square", at + 1);
        if (number.Value.Unscaled > RootTask.Most || number.Value.Places > 2)
            return Failed($"roots are estimated of numbers up to {RootTask.Most} with all their digits, and two places", at + 1);
        if (number.Value.Unscaled.IsZero) return Failed("the root of 0 is 0: there is nothing to estimate", at + 1);
        return Parsed<ItemTask>.Of(new RootTask(number.Value, asked.To is { } place ? place.Length - (place.Length > 1 ? 2 : 1) : RootTask.UsualPlaces));
    }

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);
}
