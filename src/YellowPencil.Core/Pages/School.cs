namespace YellowPencil.Core.Pages;

/// <summary>A question on which schools teach differently, as a name under <c>methods</c> in the worked-sheet format.</summary>
public abstract class SchoolQuestion
{
    private protected SchoolQuestion(string name, int ordinal, string asks, int values, IReadOnlyList<(string Id, string Says, double Weight)> answers)
    {
        if (values != answers.Count) throw new ArgumentException($"{name} needs an id and a sentence for each answer", nameof(answers));
        Name = name;
        Ordinal = ordinal;
        Asks = asks;
        Values = [.. answers.Select(a => a.Id)];
        Says = [.. answers.Select(a => a.Says)];
        Weights = [.. answers.Select(a => a.Weight)];
    }

    /// <summary>The question, as a specialist would ask it.</summary>
    public string Asks { get; }

    /// <summary>Each answer, as a specialist would give it.</summary>
    public IReadOnlyList<string> Says { get; }

    /// <summary>The name in the format, for example <c>mixed-numbers</c>.</summary>
    public string Name { get; }

    /// <summary>The answers that there are, as the format names them; the first is taken where nothing is known.</summary>
    public IReadOnlyList<string> Values { get; }

    /// <summary>How common each answer is before anything is known; they sum to 1.</summary>
    public IReadOnlyList<double> Weights { get; }

    /// <summary>The answer that leaves the same lines and answers as another one, marks apart; itself for most.</summary>
    internal Func<int, int> WritesLike { get; init; } = static answer => answer;

    internal int Ordinal { get; }
}

/// <summary>A question with its answers as an enum.</summary>
/// <typeparam name="TAnswer">The answers, in the order of the format.</typeparam>
public sealed class SchoolQuestion<TAnswer> : SchoolQuestion
    where TAnswer : struct, Enum
{
    internal SchoolQuestion(string name, int ordinal, string asks, params IReadOnlyList<(string Id, string Says, double Weight)> answers)
        : base(name, ordinal, asks, Enum.GetValues<TAnswer>().Length, answers)
    {
    }
}

/// <summary>What a student was taught where schools differ: an answer to each question, or the usual one.</summary>
public sealed class School
{
    /// <summary>How sums of fractions get one denominator.</summary>
    public static readonly SchoolQuestion<FractionSchool> Fractions = new(
        "fractions", 0, "Fractions get one denominator by", ("least-denominator", "the least common one", 0.6),
        ("product-of-denominators", "multiplying both", 0.4));

    /// <summary>How mixed numbers are added and taken away.</summary>
    public static readonly SchoolQuestion<MixedNumberSchool> MixedNumbers = new(
        "mixed-numbers", 1, "Mixed numbers are worked", ("improper-first", "as improper fractions", 0.5),
        ("rename-a-whole", "with a whole renamed where it is needed", 0.5));

    /// <summary>How binomials are multiplied.</summary>
    public static readonly SchoolQuestion<BinomialSchool> Binomials = new(
        "binomials", 2, "Two brackets are multiplied", ("box", "in a box", 0.5), ("four-products", "by four products", 0.5));

    /// <summary>Where a carry mark stands.</summary>
    public static readonly SchoolQuestion<CarryMarkSchool> CarryMark = new(
        "carry-mark", 3, "A carry is noted", ("above", "over the next column", 0.5), ("below", "under the line, below the next column", 0.3),
        ("beside", "small, beside the next digit of the answer", 0.2));

    /// <summary>How a quadratic is factored.</summary>
    public static readonly SchoolQuestion<FactoringSchool> Factoring = new(
        "factoring", 4, "Quadratics are factored", ("cross-and-box", "with X and box", 0.4), ("trial-pairs", "by trying pairs", 0.4),
        ("middle-and-gap", "by middle and gap", 0.2))
    {
        WritesLike = answer => answer == (int)FactoringSchool.TrialPairs ? (int)FactoringSchool.CrossAndBox : answer,
    };

    /// <summary>How a square root is estimated.</summary>
    public static readonly SchoolQuestion<RootSchool> Roots = new(
        "roots", 5, "Roots are estimated", ("straight-line", "on a straight line between two squares", 0.5),
        ("number-line", "on the number line, by trying", 0.5));

    /// <summary>When the sign of a product or quotient is decided.</summary>
    public static readonly SchoolQuestion<ProductSignSchool> ProductSign = new(
        "product-sign", 6, "The sign of a product is decided", ("sign-first", "first, before anything is worked", 0.5),
        ("sign-last", "last, when the number stands there", 0.5));

    /// <summary>When the point is put into an answer.</summary>
    public static readonly SchoolQuestion<DecimalPointSchool> DecimalPoint = new(
        "decimal-point", 7, "The point goes into a sum", ("point-first", "first, before the digits", 0.5),
        ("point-last", "last, when the digits stand there", 0.5));

    /// <summary>How the place is held with which a row of a product begins.</summary>
    public static readonly SchoolQuestion<PlaceholderSchool> Placeholder = new(
        "placeholder", 8, "A row of tens begins", ("zero-written", "with a zero that is written", 0.6),
        ("row-shifted", "one place further left, nothing written", 0.4));

    /// <summary>How the next digit of a quotient is found.</summary>
    public static readonly SchoolQuestion<QuotientDigitSchool> QuotientDigit = new(
        "quotient-digit", 9, "The next digit of a quotient comes from", ("facts", "multiplication facts", 0.5),
        ("skip-counting", "counting up by the divisor", 0.25), ("listed-multiples", "a list of multiples", 0.25));

    /// <summary>How what stands behind a point is said.</summary>
    public static readonly SchoolQuestion<DecimalReadingSchool> DecimalReading = new(
        "decimal-reading", 10, "0.76 is said", ("by-place", "by place: seventy-six hundredths", 0.5),
        ("digit-by-digit", "digit by digit: nought point seven six", 0.5));

    /// <summary>Where the carries of a product are.</summary>
    public static readonly SchoolQuestion<ProductCarrySchool> ProductCarry = new(
        "product-carry", 11, "The carries of a product are", ("above", "noted above", 0.5), ("beside", "noted beside", 0.2),
        ("remembered", "kept in the head", 0.3));

    /// <summary>How number facts are found.</summary>
    public static readonly SchoolQuestion<FactSchool> Facts = new(
        "facts", 12, "Number facts are", ("recalled", "recalled", 0.6), ("counted", "counted, up or back in steps", 0.4));

    /// <summary>Whether a cycle of a division whose digit is 0 has its product and difference on the page.</summary>
    public static readonly SchoolQuestion<ZeroCycleSchool> ZeroCycle = new(
        "zero-cycle", 13, "A 0 in a quotient is", ("passed-over", "written, and the next digit brought down at once", 0.5),
        ("written", "worked like any digit: its product and what is left are written", 0.5));

    /// <summary>How something goes from one side of an equation to the other.</summary>
    public static readonly SchoolQuestion<EquationMoveSchool> EquationMoves = new(
        "equation-moves", 14, "In equations", ("both-sides", "the same is written on both sides", 0.5), ("across", "a term goes across with its other sign", 0.5));

    /// <summary>Every question of the worked-sheet format, in the order in which a specialist is asked.</summary>
    public static readonly IReadOnlyList<SchoolQuestion> All = [
        Facts, CarryMark, ProductCarry, Placeholder, QuotientDigit, ZeroCycle, DecimalPoint, DecimalReading, ProductSign, Fractions, MixedNumbers, Binomials,
        Factoring, Roots, EquationMoves,
    ];

    /// <summary>The school of which nothing is known.</summary>
    public static readonly School Usual = new(new int[All.Count]);

    private readonly int[] answers;

    private School(int[] answers) => this.answers = answers;

    /// <summary>The answer to a question.</summary>
    public TAnswer Of<TAnswer>(SchoolQuestion<TAnswer> question)
        where TAnswer : struct, Enum => Answers<TAnswer>.All[answers[question.Ordinal]];

    /// <summary>A text that is the same for the same school; empty for the usual one.</summary>
    public string Key => string.Join(',', All.Where(q => answers[q.Ordinal] > 0).Select(q => $"{q.Name}={q.Values[answers[q.Ordinal]]}"));

    /// <summary>Which answer is given to a question, counted from 0.</summary>
    public int AnswerTo(SchoolQuestion question) => answers[question.Ordinal];

    /// <summary>The school of a <see cref="Key"/>; what this version does not know is the usual.</summary>
    public static School Parse(string key)
    {
        var school = Usual;
        foreach (var answer in key.Split(',', StringSplitOptions.RemoveEmptyEntries).Select(a => a.Split('=')).Where(a => a.Length == 2))
            if (
                All.FirstOrDefault(q => q.Name == answer[0]) is { } question
                    && question.Values.Index().FirstOrDefault(v => v.Item == answer[1]) is { Item: not null } value)
                school = school.With(question, value.Index);
        return school;
    }

    /// <summary>The same school with another answer to one question.</summary>
    public School With(SchoolQuestion question, int answer)
    {
        var changed = (int[])answers.Clone();
        changed[question.Ordinal] = answer;
        return new School(changed);
    }

    /// <summary>The school that a sheet names under <c>methods</c>; what is not named is the usual.</summary>
    /// <param name="methods">Names and values of the format.</param>
    public static School Named(IReadOnlyDictionary<string, string> methods)
    {
        var school = Usual;
        foreach (var question in All)
            if (methods.TryGetValue(question.Name, out var value)) school = school.With(question, question.Values.Index().First(v => v.Item == value).Index);
        return school;
    }

    /// <summary>
    /// The schools that a student can come from, with how probable each is before any evidence: what is named is certain, what the working shows oftenest is
    /// taken, and questions that change nothing on the page are not asked.
    /// </summary>
    /// <param name="methods">Names and values of the format.</param>
    /// <param name="asked">The questions on which what is written depends.</param>
    /// <param name="shown">Answers that the working of single items shows.</param>
    public static IReadOnlyList<(School School, double Weight)> Possible(
        IReadOnlyDictionary<string, string> methods, IEnumerable<SchoolQuestion> asked, IEnumerable<(SchoolQuestion Question, int Answer)> shown)
    {
        var known = Named(methods);
        var open = asked.Distinct().Where(q => !methods.ContainsKey(q.Name)).ToList();
        foreach (var answers in shown.Where(s => !methods.ContainsKey(s.Question.Name)).ToLookup(s => s.Question, s => s.Answer))
        {
            known = known.With(answers.Key, answers.GroupBy(a => a).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key);
            open.Remove(answers.Key);
        }

        List<(School School, double Weight)> possible = [(known, 1)];
        foreach (var question in open)
            possible = [
                .. possible.SelectMany(
                    p =>
                        question.Weights.Index()
                            .GroupBy(w => question.WritesLike(w.Index), w => w.Item)
                            .Select(alike => (p.School.With(question, alike.Key), p.Weight * alike.Sum())))];
        return possible;
    }

    private static class Answers<TAnswer>
        where TAnswer : struct, Enum
    {
        public static readonly TAnswer[] All = Enum.GetValues<TAnswer>();
    }
}
