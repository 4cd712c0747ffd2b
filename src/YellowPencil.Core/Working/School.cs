namespace YellowPencil.Core.Working;

/// <summary>A question on which schools teach differently, as a name under <c>methods</c> in the worked-sheet format.</summary>
public abstract class SchoolQuestion
{
    private protected SchoolQuestion(string name, int ordinal, IReadOnlyList<string> values, IReadOnlyList<double> weights)
    {
        Name = name;
        Ordinal = ordinal;
        Values = values;
        Weights = weights;
    }

    /// <summary>The name in the format, for example <c>mixed-numbers</c>.</summary>
    public string Name { get; }

    /// <summary>The answers that there are, as the format names them; the first is taken where nothing is known.</summary>
    public IReadOnlyList<string> Values { get; }

    /// <summary>How common each answer is before anything is known; they sum to 1.</summary>
    public IReadOnlyList<double> Weights { get; }

    internal int Ordinal { get; }
}

/// <summary>A question with its answers as an enum.</summary>
/// <typeparam name="TAnswer">The answers, in the order of the format.</typeparam>
public sealed class SchoolQuestion<TAnswer> : SchoolQuestion
    where TAnswer : struct, Enum
{
    internal SchoolQuestion(string name, int ordinal, params IReadOnlyList<double> weights)
        : base(name, ordinal, [.. Enum.GetNames<TAnswer>().Select(Notation.FamilyNames.Kebab)], weights)
    {
    }
}

/// <summary>How sums of fractions get one denominator.</summary>
public enum FractionSchool { LeastDenominator, ProductOfDenominators }

/// <summary>How mixed numbers are added and taken away.</summary>
public enum MixedNumberSchool { ImproperFirst, RenameAWhole }

/// <summary>How binomials are multiplied.</summary>
public enum BinomialSchool { Box, FourProducts }

/// <summary>Where a carry mark stands.</summary>
public enum CarryMarkSchool { Above, Below, Beside }

/// <summary>How a quadratic is factored.</summary>
public enum FactoringSchool { CrossAndBox, TrialPairs, MiddleAndGap }

/// <summary>How a square root is estimated.</summary>
public enum RootSchool { StraightLine, NumberLine }

/// <summary>When the sign of a product or quotient is decided.</summary>
public enum ProductSignSchool { SignFirst, SignLast }

/// <summary>When the point is put into an answer.</summary>
public enum DecimalPointSchool { PointFirst, PointLast }

/// <summary>What a student was taught where schools differ: an answer to each question, or the usual one.</summary>
public sealed class School
{
    /// <summary>How sums of fractions get one denominator.</summary>
    public static readonly SchoolQuestion<FractionSchool> Fractions = new("fractions", 0, 0.6, 0.4);

    /// <summary>How mixed numbers are added and taken away.</summary>
    public static readonly SchoolQuestion<MixedNumberSchool> MixedNumbers = new("mixed-numbers", 1, 0.5, 0.5);

    /// <summary>How binomials are multiplied.</summary>
    public static readonly SchoolQuestion<BinomialSchool> Binomials = new("binomials", 2, 0.5, 0.5);

    /// <summary>Where a carry mark stands.</summary>
    public static readonly SchoolQuestion<CarryMarkSchool> CarryMark = new("carry-mark", 3, 0.5, 0.3, 0.2);

    /// <summary>How a quadratic is factored.</summary>
    public static readonly SchoolQuestion<FactoringSchool> Factoring = new("factoring", 4, 0.4, 0.4, 0.2);

    /// <summary>How a square root is estimated.</summary>
    public static readonly SchoolQuestion<RootSchool> Roots = new("roots", 5, 0.5, 0.5);

    /// <summary>When the sign of a product or quotient is decided.</summary>
    public static readonly SchoolQuestion<ProductSignSchool> ProductSign = new("product-sign", 6, 0.5, 0.5);

    /// <summary>When the point is put into an answer.</summary>
    public static readonly SchoolQuestion<DecimalPointSchool> DecimalPoint = new("decimal-point", 7, 0.5, 0.5);

    /// <summary>Every question of the format.</summary>
    public static readonly IReadOnlyList<SchoolQuestion> Questions = [Fractions, MixedNumbers, Binomials, CarryMark, Factoring, Roots, ProductSign, DecimalPoint];

    /// <summary>The school of which nothing is known.</summary>
    public static readonly School Usual = new(new int[Questions.Count]);

    private readonly int[] answers;

    private School(int[] answers) => this.answers = answers;

    /// <summary>The answer to a question.</summary>
    public TAnswer Of<TAnswer>(SchoolQuestion<TAnswer> question)
        where TAnswer : struct, Enum => Answers<TAnswer>.All[answers[question.Ordinal]];

    /// <summary>A text that is the same for the same school; empty for the usual one.</summary>
    public string Key => string.Join(',', Questions.Where(q => answers[q.Ordinal] > 0).Select(q => $"{q.Name}={q.Values[answers[q.Ordinal]]}"));

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
        foreach (var question in Questions)
            if (methods.TryGetValue(question.Name, out var value)) school = school.With(question, question.Values.Index().First(v => v.Item == value).Index);
        return school;
    }

    /// <summary>The schools that a student can come from, with how probable each is before any evidence: what is named is certain, and questions that change nothing on the page are not asked.</summary>
    /// <param name="methods">Names and values of the format.</param>
    /// <param name="asked">The questions on which what is written depends.</param>
    public static IReadOnlyList<(School School, double Weight)> Possible(IReadOnlyDictionary<string, string> methods, IEnumerable<SchoolQuestion> asked)
    {
        List<(School School, double Weight)> possible = [(Named(methods), 1)];
        foreach (var question in asked.Distinct().Where(q => !methods.ContainsKey(q.Name)))
            possible = [.. possible.SelectMany(p => question.Weights.Select((weight, answer) => (p.School.With(question, answer), p.Weight * weight)))];
        return possible;
    }

    private static class Answers<TAnswer>
        where TAnswer : struct, Enum
    {
        public static readonly TAnswer[] All = Enum.GetValues<TAnswer>();
    }
}
