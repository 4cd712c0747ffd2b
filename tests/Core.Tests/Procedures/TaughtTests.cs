using System.Numerics;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>Taught methods against plain arithmetic, over tasks in every spelling that people type.</summary>
public class TaughtTests
{
    private const int TasksPerFamily = 40_000;

    /// <summary>A number as it is typed, with its value times ten to the power of its places.</summary>
    private readonly record struct Typed(string Text, BigInteger Unscaled, int Places)
    {
        public BigInteger At(int places) => Unscaled * BigInteger.Pow(10, places - Places);
    }

    private sealed class Hand(int seed)
    {
        private readonly Random random = new(seed);

        public int Below(int most) => random.Next(most);

        public string Pick(params string[] from) => from[random.Next(from.Length)];

        public string Space => Pick("", " ", " ", "  ");

        public string Minus => Pick("-", "−", "–", "—", "‐", "‑", "‒", "－");

        public string Times => Pick("*", "×", "x", "X", "·", "⋅", "∙");

        /// <summary>A colon and ÷ divide however they stand; a slash needs its spaces.</summary>
        public string DividedBy => Pick(" / ", $"{Space}:{Space}", $"{Space}÷{Space}");

        public Typed Whole(int most = 5)
        {
            var digits = 1 + Below(most);
            var value = new BigInteger(random.NextInt64((long)Math.Pow(10, digits)));
            var text = Below(6) == 0 && value >= 1000 ? Grouped(value) : Below(8) == 0 ? value.ToString().PadLeft(1 + Below(digits + 2), '0') : value.ToString();
            return new Typed(text, value, 0);
        }

        /// <summary>.5, 5., 0.50, 00.7, 12.304 and the like.</summary>
        public Typed Decimal(int most = 4)
        {
            if (Below(6) == 0) return Whole(3);
            var places = Below(4);
            var unscaled = new BigInteger(random.NextInt64((long)Math.Pow(10, 1 + Below(most))));
            var digits = unscaled.ToString().PadLeft(places + 1 + (Below(10) == 0 ? 1 : 0), '0');
            var (before, after) = (digits[..^places], digits[^places..]);
            if (before.Trim('0').Length == 0 && places > 0 && Below(3) == 0) before = "";
            return new Typed(before + "." + after, unscaled, places);
        }

        public Typed Signed(Typed number) => Below(2) == 0 ? number : new Typed($"{Minus}{Pick("", "", " ")}{number.Text}".Replace(" ", ""), -number.Unscaled, number.Places);

        /// <summary>A second number with its sign may stand in brackets.</summary>
        public string InBrackets(Typed number) => number.Unscaled.Sign < 0 && Below(3) == 0 ? $"({number.Text})" : number.Text;

        private static string Grouped(BigInteger value)
        {
            var text = value.ToString();
            for (var i = text.Length - 3; i > 0; i -= 3) text = text.Insert(i, ",");
            return text;
        }
    }

    // Written apart from the product: a value times ten to a power without last zeros.
    private static string Exact(BigInteger unscaled, int places)
    {
        var digits = BigInteger.Abs(unscaled).ToString().PadLeft(places + 1, '0');
        var text = places == 0 ? digits : (digits[..^places] + "." + digits[^places..]).TrimEnd('0').TrimEnd('.');
        return unscaled.Sign < 0 ? "-" + text : text;
    }

    private static void MustBeRight(Func<Hand, (string Task, string? Form, Family Family, string Answer)?> make, int seed)
    {
        var hand = new Hand(seed);
        var run = new MethodRun();
        for (var done = 0; done < TasksPerFamily;)
        {
            if (make(hand) is not var (text, form, family, answer)) continue;
            done++;
            var task = TaskText.TryParse(text, form);
            if (!task.Succeeded) Assert.Fail($"{text}: {task.Fault}");
            if (task.Value.Family != family) Assert.Fail($"{text} is read as {task.Value.Family}");
            Method.Run(task.Value, run, DeviationSet.Taught);
            if (!run.Page.Answer.SequenceEqual(answer) || task.Value.RightAnswer != answer || task.Value.Judge(answer) != Verdict.Right)
                Assert.Fail($"{text} {form} is {answer}, not {run.Page.Answer} or {task.Value.RightAnswer}");
        }
    }

    [Fact]
    public void Sums() => MustBeRight(
        hand =>
        {
            var addends = Enumerable.Range(0, 2 + hand.Below(4)).Select(_ => hand.Whole()).ToList();
            return (string.Join($"{hand.Space}+{hand.Space}", addends.Select(a => a.Text)), null, FamilyList.Addition, addends.Aggregate(BigInteger.Zero, (sum, a) => sum + a.Unscaled).ToString());
        },
        seed: 1);

    [Fact]
    public void Differences() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Whole(), hand.Whole());
            return (first.Text + hand.Space + hand.Minus + hand.Space + second.Text, null, first.Unscaled < second.Unscaled ? FamilyList.Integers : FamilyList.Subtraction, (first.Unscaled - second.Unscaled).ToString());
        },
        seed: 2);

    [Fact]
    public void Products() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Whole(4), hand.Whole(3));
            return (first.Text + hand.Space + hand.Times + hand.Space + second.Text, null, FamilyList.Multiplication, (first.Unscaled * second.Unscaled).ToString());
        },
        seed: 3);

    [Fact]
    public void Quotients() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Whole(), hand.Whole(3));
            if (second.Unscaled.IsZero) return null;
            var (quotient, rest) = (first.Unscaled / second.Unscaled, first.Unscaled % second.Unscaled);
            var common = BigInteger.GreatestCommonDivisor(rest, second.Unscaled);
            var fraction = $"{rest / common}/{second.Unscaled / common}";
            var form = hand.Pick("remainder", "fraction", "decimal");
            if (form == "decimal" && !(first.Unscaled * 100_000 % second.Unscaled).IsZero) return null;
            var answer = form switch
            {
                "decimal" => Exact(first.Unscaled * 100_000 / second.Unscaled, 5),
                _ when rest.IsZero => quotient.ToString(),
                "fraction" => quotient.IsZero ? fraction : $"{quotient} {fraction}",
                _ => $"{quotient} r {rest}",
            };
            return (first.Text + hand.DividedBy + second.Text, form, FamilyList.Division, answer);
        },
        seed: 4);

    [Fact]
    public void Sums_and_differences_of_decimals() => MustBeRight(
        hand =>
        {
            var isDifference = hand.Below(2) == 0;
            var numbers = Enumerable.Range(0, isDifference ? 2 : 2 + hand.Below(4)).Select(_ => hand.Decimal()).ToList();
            if (!numbers.Exists(n => n.Text.Contains('.'))) return null;
            var places = numbers.Max(n => n.Places);
            var values = numbers.ConvertAll(n => n.At(places));
            var answer = isDifference ? values[0] - values[1] : values.Aggregate(BigInteger.Zero, (sum, v) => sum + v);
            return (string.Join(hand.Space + (isDifference ? hand.Minus : "+") + hand.Space, numbers.Select(n => n.Text)), null, FamilyList.DecimalSums, Exact(answer, places));
        },
        seed: 5);

    [Fact]
    public void Products_of_decimals() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Signed(hand.Decimal()), hand.Signed(hand.Decimal(3)));
            if (!first.Text.Contains('.') && !second.Text.Contains('.')) return null;
            return (first.Text + hand.Space + hand.Times + hand.Space + hand.InBrackets(second), null, FamilyList.DecimalProducts, Exact(first.Unscaled * second.Unscaled, first.Places + second.Places));
        },
        seed: 6);

    [Fact]
    public void Quotients_of_decimals() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Signed(hand.Decimal()), hand.Signed(hand.Decimal(2)));
            if (second.Unscaled.IsZero || (!first.Text.Contains('.') && !second.Text.Contains('.'))) return null;
            var (dividend, divisor) = (first.At(8) * 1000, second.At(8));
            if (!(dividend % divisor).IsZero) return null;
            return (first.Text + hand.DividedBy + hand.InBrackets(second), null, FamilyList.DecimalDivision, Exact(dividend / divisor, 3));
        },
        seed: 7);

    [Fact]
    public void Numbers_with_signs() => MustBeRight(
        hand =>
        {
            var (first, second) = (hand.Signed(hand.Whole(3)), hand.Signed(hand.Whole(3)));
            if (first.Text.All(c => char.IsAsciiDigit(c) || c == ',') && second.Text.All(c => char.IsAsciiDigit(c) || c == ',')) return null;
            var (a, b) = (first.Unscaled, second.Unscaled);
            var way = hand.Below(4);
            if (way == 3 && (b.IsZero || !(a % b).IsZero)) return null;
            var (sign, answer) = way switch { 0 => (hand.Space + "+" + hand.Space, a + b), 1 => (hand.Space + hand.Minus + hand.Space, a - b), 2 => (hand.Space + hand.Times + hand.Space, a * b), _ => (hand.DividedBy, a / b) };
            return (first.Text + sign + hand.InBrackets(second), null, FamilyList.Integers, answer.ToString());
        },
        seed: 8);

    [Theory]
    [InlineData(".5 + .7", "1.2")]
    [InlineData(".5 - .7", "-0.2")]
    [InlineData(".99 + .01", "1")]
    [InlineData("00 * 54", "0")]
    [InlineData("54 * 00", "0")]
    [InlineData("-7 - (-4)", "-3")]
    [InlineData("6:3", "2")]
    [InlineData("6 ÷ 3", "2")]
    [InlineData("47 x 36", "1692")]
    [InlineData("+5 + -3", "2")]
    public void Tasks_that_once_went_wrong(string text, string answer)
    {
        var task = TaskText.TryParse(text).Value!;
        var run = new MethodRun();
        Method.Run(task, run, DeviationSet.Taught);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Theory]
    [InlineData("3,5 + 2,5", "a comma groups thousands here, as in 1,204; for a decimal write a point, as in 3.5")]
    [InlineData("12,04 - 3", "for a decimal write a point")]
    [InlineData("1,20,4 - 3", "for a decimal write a point")]
    [InlineData("0,125 * 8", "for a decimal write a point")]
    [InlineData("-36.5 + 4.08", "decimals with signs come in products and quotients")]
    [InlineData("-24 / 5", "with a point, as in -24.0 / 5, it is a division of decimals")]
    [InlineData("5/8 * 1/6", "fractions are added and taken away; their products and quotients are not read")]
    [InlineData("5/8 + 1/0", "nothing can be divided by 0")]
    [InlineData("1 5/8 + 2.5", "a number has a point or a fraction, not both")]
    [InlineData("solve 5x - 3 = 2x^2 + 12", "only linear equations are read: no powers of the letter")]
    [InlineData("factor x - 5", "only quadratics are factored: the highest power is 2")]
    [InlineData("guess 5 + 3", "no task begins with \"guess\"")]
    [InlineData("5 - (-3", "a bracket is not closed")]
    [InlineData("5 + 3 - 2", "one operation an item")]
    public void What_is_not_read_says_why_or_what_to_write(string text, string message) => TaskText.TryParse(text).Fault.Message.ShouldContain(message);

    [Theory]
    [InlineData("52 - 38", "decimal", null, null, "form")]
    [InlineData("958 / 4", null, "reals", null, "over")]
    [InlineData("958 / 4", null, null, "0.1", "to")]
    [InlineData("958 / 4", "percent", null, null, "form")]
    [InlineData("factor x^2 - 5", null, "naturals", null, "over")]
    [InlineData("sqrt(31)", null, null, "0.5", "to")]
    public void What_is_asked_for_must_belong_to_the_family(string text, string? form, string? over, string? to, string field) =>
        TaskText.TryParse(text, new Asked(form, over, to)).Fault.Field.ShouldBe(field);
}
