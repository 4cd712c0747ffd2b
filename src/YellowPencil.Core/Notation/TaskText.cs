namespace YellowPencil.Core.Notation;

/// <summary>Reads the task grammar of the worked-sheet format.</summary>
public static class TaskText
{
    private const int MaxLength = 400;

    /// <summary>
    /// Reads one task. Families whose methods are not in the product yet are refused with a message that says so.
    /// </summary>
    /// <param name="text">For example <c>604 - 278</c>; a typed dash of any kind counts as minus, × and ÷ as * and /.</param>
    /// <param name="form">The form of answer asked for, where the grammar names one.</param>
    public static Parsed<ItemTask> TryParse(string text, string? form = null)
    {
        if (string.IsNullOrWhiteSpace(text)) return Failed("the task is empty", 0);
        if (text.Length > MaxLength) return Failed($"a task has at most {MaxLength} characters", MaxLength);

        var terms = new List<Term>();
        var fault = Terms(text, terms);
        if (fault is { } wrong) return Failed(wrong.Message, wrong.Position);
        if (terms.Count < 2) return Failed("a sign is missing: write what is to be done, such as 604 - 278", text.Length);
        foreach (var later in terms.Skip(2).Where(t => t.Sign != terms[1].Sign || t.Sign != '+'))
            return Failed("one operation an item: only sums have more than two numbers", later.SignAt);
        if (terms.Count > ColumnSum.MaxAddends) return Failed($"a sum has at most {ColumnSum.MaxAddends} addends", terms[ColumnSum.MaxAddends].At);
        return Task(terms, form);
    }

    private static Parsed<ItemTask> Task(List<Term> terms, string? form)
    {
        var sign = terms[1].Sign;
        var (first, second) = (terms[0].Number, terms[1].Number);
        var hasPoint = terms.Exists(t => t.Number.HasPoint);
        if (terms.Find(t => t.Number.IsNegative) is { } negative && (sign is '+' or '-' || !hasPoint))
        {
            if (hasPoint) return Failed("sums of decimals with signs are not read: decimals with signs come in products and quotients", negative.At);
            if (terms.Count > 2) return Failed("with signs, an item has two numbers", terms[2].At);
            return Placed(SignedPair.TryMake(first.Unscaled, Operation(sign), second.Unscaled), terms[1].At);
        }

        if (!hasPoint)
        {
            var numbers = terms.ConvertAll(t => WholeNumber.TryParse(t.Number.Text).Value!);
            return sign switch
            {
                '+' => Parsed<ItemTask>.Of(new ColumnSum(numbers)),
                '-' => Parsed<ItemTask>.Of(new ColumnDifference(numbers[0], numbers[1])),
                '*' => Parsed<ItemTask>.Of(new ColumnProduct(numbers[0], numbers[1])),
                _ => Division(numbers[0], numbers[1], form, terms[1].At),
            };
        }

        return sign switch
        {
            '*' => Parsed<ItemTask>.Of(new DecimalProduct(first, second)),
            '/' => Placed(DecimalQuotient.TryMake(first, second), terms[1].At),
            _ => Parsed<ItemTask>.Of(new DecimalSum(terms.ConvertAll(t => t.Number), sign == '-')),
        };
    }

    private static Parsed<ItemTask> Division(WholeNumber dividend, WholeNumber divisor, string? form, int at) => form switch
    {
        null or "remainder" => Placed(LongDivision.TryMake(dividend, divisor, QuotientForm.WithRemainder), at),
        "fraction" => Placed(LongDivision.TryMake(dividend, divisor, QuotientForm.WithFraction), at),
        "decimal" => Placed(LongDivision.TryMake(dividend, divisor, QuotientForm.AsDecimal), at),
        _ => Failed("the form of a division is \"remainder\", \"fraction\" or \"decimal\"", at),
    };

    /// <summary>Takes the text apart into numbers with the sign of operation before each; the fault, where there is one.</summary>
    private static TextFault? Terms(string text, List<Term> terms)
    {
        var sign = ' ';
        var signAt = 0;
        var i = 0;
        while (true)
        {
            while (i < text.Length && char.IsWhiteSpace(text[i])) i++;
            var start = i;
            if (i < text.Length && IsMinus(text[i])) i++;
            while (i < text.Length && (char.IsAsciiDigit(text[i]) || text[i] is '.' or ',')) i++;
            if (i == start || (i == start + 1 && IsMinus(text[start]))) return new TextFault(i < text.Length ? Unknown(text[i]) : "a number is missing here", i);
            var number = DecimalNumber.TryParse(text[start..i]);
            if (!number.Succeeded) return new TextFault(number.Fault.Message, start + number.Fault.Position);
            terms.Add(new Term(sign, signAt, number.Value, start));

            var afterNumber = i;
            while (i < text.Length && char.IsWhiteSpace(text[i])) i++;
            if (i == text.Length) return null;
            signAt = i;
            sign = text[i] switch { '+' => '+', '*' or '×' => '*', '÷' => '/', '/' => '/', _ when IsMinus(text[i]) => '-', _ => ' ' };
            if (sign == ' ') return new TextFault(char.IsAsciiDigit(text[i]) ? "a sign is missing between the numbers" : Unknown(text[i]), i);
            if (text[i] == '/' && afterNumber == i) return new TextFault("fractions cannot be read so far; a slash that divides has a space on both sides", i);
            i++;
        }
    }

    private static string Unknown(char sign) => char.IsAsciiLetter(sign) || sign is '(' or '=' or '^'
        ? "only numbers with + - * / between them can be read so far, such as 604 - 278"
        : $"'{sign}' does not belong in a task";

    private static bool IsMinus(char sign) => sign is '-' or '−' or '–' or '—' or '‐' or '‑' or '‒' or '﹣' or '－';

    private static PairOperation Operation(char sign) => sign switch { '+' => PairOperation.Plus, '-' => PairOperation.Minus, '*' => PairOperation.Times, _ => PairOperation.DividedBy };

    private static Parsed<ItemTask> Placed(Parsed<ItemTask> task, int at) => task.Succeeded ? task : Failed(task.Fault.Message, at + task.Fault.Position);

    private static Parsed<ItemTask> Failed(string message, int position) => Parsed<ItemTask>.Failed(message, position);

    /// <summary>A number of a task with the sign of operation before it.</summary>
    private sealed record Term(char Sign, int SignAt, DecimalNumber Number, int At);
}
