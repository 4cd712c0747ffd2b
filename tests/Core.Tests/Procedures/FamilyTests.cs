using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>What holds for the method of every family.</summary>
public class FamilyTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "HandWorked");

    public static TheoryData<Family> Families => [.. FamilyList.All];

    /// <summary>The schools of a family that write different answers, lines or marks.</summary>
    private static List<School> SchoolsOf(Family family)
    {
        IEnumerable<SchoolQuestion> asked = [.. TaughtFamily.Of(family).SchoolQuestions, .. family == FamilyList.Expanding ? (SchoolQuestion[])[School.Binomials] : []];
        return [.. asked.Aggregate((IEnumerable<School>)[School.Usual], (schools, question) => schools.SelectMany(s => question.Values.Select((_, answer) => s.With(question, answer))))];
    }

    /// <summary>The families whose bugs stand worked by hand in files, a line each: bug, task, answer and, where one is asked for, the form.</summary>
    public static TheoryData<Family, string, string, string, string?> BugsByHand
    {
        get
        {
            var data = new TheoryData<Family, string, string, string, string?>();
            foreach (var (family, cells) in Lines()) data.Add(family, cells[0], cells[1], cells[2], cells.ElementAtOrDefault(3));
            return data;
        }
    }

    public static TheoryData<Family, int> ItemsByHand
    {
        get
        {
            var data = new TheoryData<Family, int>();
            foreach (var file in Directory.GetFiles(Folder, "*.json").Order())
                for (var i = 0; i < 10; i++) data.Add(FamilyOf(file), i);
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(BugsByHand))]
    public void A_bug_gives_the_answer_worked_by_hand(Family family, string bug, string task, string answer, string? form)
    {
        var run = new MethodRun();
        var item = TaskText.TryParse(task, form).Value!;
        Method.Run(item, run, Catalogue.Find($"{family.Name}.{bug}")!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
        run.Page.Answer.ToString().ShouldNotBe(item.RightAnswer);
    }

    [Fact]
    public void Every_bug_has_an_answer_worked_by_hand()
    {
        var worked = Lines().Select(l => $"{l.Family.Name}.{l.Cells[0]}").ToHashSet();
        FamilyList.All.Where(f => f != FamilyList.Addition && f != FamilyList.Subtraction).SelectMany(Catalogue.DeclaredFor).Select(b => b.Id).Where(id => !worked.Contains(id)).ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(ItemsByHand))]
    public void An_item_is_worked_with_the_marks_of_the_hand(Family family, int number)
    {
        var item = Sheet(family).Items[number];
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(item.Task, run, DeviationSet.Taught);
        run.Page.Answer.ToString().ShouldBe(item.Answer);
        var recorded = TaughtFamily.Of(family).Fields.Where(item.Work.Has).ToArray();
        recorded.ShouldNotBeEmpty();
        Written(WithoutCarries(Work.Of(run.Page.Marks, recorded))).ShouldBe(Written(item.Work));

        // Where the hand noted no carries in the rows, they are not compared.
        Work WithoutCarries(Work work) => item.Work.Get(WorkFields.Rows) is { } rows && rows.All(r => r.Carries is null)
            ? work.With(WorkFields.Rows, [.. work.Get(WorkFields.Rows)!.Select(r => r with { Carries = null })])
            : work;

        string Written(Work work) => SheetWriter.Write(new WorkedSheet { Student = "taught", Items = [item with { Work = work }] });
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Ten_items_of_a_family_stand_worked_by_hand(Family family)
    {
        if (family == FamilyList.Addition || family == FamilyList.Subtraction) return; // theirs stand in their own tests
        Sheet(family).Items.Count.ShouldBe(10);
    }

    [Fact]
    public void Products_are_exact() => Exact(Gen.Select(Whole, Whole, (a, b) => ($"{a} * {b}", (BigInteger)a * b, 0)));

    [Fact]
    public void Sums_and_differences_of_decimals_are_exact() => Exact(Gen.Select(Decimal, Decimal, Gen.Bool, (a, b, plus) =>
        ($"{Text(a)} {(plus ? "+" : "-")} {Text(b)}", plus ? Scaled(a) + Scaled(b) : Scaled(a) - Scaled(b), MostPlaces)));

    [Fact]
    public void Products_of_decimals_are_exact() => Exact(Gen.Select(Decimal, Decimal, Gen.Int[0, 3], (a, b, signs) =>
        ($"{Signed(Text(a), signs % 2)} * {Signed(Text(b), signs / 2)}", (signs is 1 or 2 ? -1 : 1) * Scaled(a) * Scaled(b), 2 * MostPlaces)));

    [Fact]
    public void Signed_sums_differences_and_products_are_exact() => Exact(Gen.Select(Gen.Int[-500, 500], Gen.Int[-500, 500], Gen.Int[0, 2])
        .Where((a, b, _) => a < 0 || b < 0).Select((a, b, way) => ($"{a} {"+-*"[way]} {b}", way switch { 0 => (BigInteger)a + b, 1 => (BigInteger)a - b, _ => (BigInteger)a * b }, 0)));

    [Fact]
    public void Signed_quotients_are_exact() => Exact(Gen.Select(Gen.Int[1, 300], Gen.Int[1, 99], Gen.Int[1, 3], (q, d, signs) =>
        ($"{(signs % 2 == 1 ? -q * d : q * d)} / {(signs / 2 == 1 ? -d : d)}", (BigInteger)(signs is 1 or 2 ? -q : q), 0)));

    [Fact]
    public void Quotients_with_a_remainder_are_exact() => Gen.Select(Whole, Gen.Int[1, 9_999]).Sample((dividend, divisor) =>
    {
        var quotient = BigInteger.DivRem(dividend, divisor, out var rest);
        return Answer($"{dividend} / {divisor}") == (rest.IsZero ? $"{quotient}" : $"{quotient} r {rest}");
    }, iter: 10_000);

    // A dividend is made as quotient times divisor, so that the quotient ends.
    [Fact]
    public void Quotients_of_decimals_are_exact() => Exact(Gen.Select(Decimal, Decimal).Where((q, d) => d.Digits > 0 && d.Digits < 10_000_000).Select((q, d) =>
        ($"{DecimalNumber.Written((BigInteger)q.Digits * d.Digits, q.Places + d.Places)} / {Text(d)}", Scaled(q), MostPlaces)).Where(t => t.Item1.Contains('.')));

    [Fact]
    public void Quotients_to_a_fraction_or_a_decimal_are_exact() => Gen.Select(Gen.Int[0, 99_999], Gen.Int[1, 8]).Sample((dividend, power) =>
    {
        var divisor = 1 << power;
        var (whole, rest) = (dividend / divisor, dividend % divisor);
        var common = (int)BigInteger.GreatestCommonDivisor(Math.Max(1, rest), divisor);
        var fraction = rest == 0 ? $"{whole}" : whole == 0 ? $"{rest / common}/{divisor / common}" : $"{whole} {rest / common}/{divisor / common}";
        return Answer($"{dividend} / {divisor}", "fraction") == fraction
            && Answer($"{dividend} / {divisor}", "decimal") == DecimalNumber.Exact(dividend * BigInteger.Pow(5, power), power);
    }, iter: 10_000);

    [Theory]
    [MemberData(nameof(Families))]
    public void A_bug_that_is_never_followed_changes_nothing(Family family)
    {
        var run = new MethodRun();
        var pool = ItemPool.Of(family, 40, seed: 4);
        foreach (var bug in Catalogue.Of(family))
            foreach (var task in pool)
            {
                Method.Run(task, run, bug.Alone, declined: ulong.MaxValue);
                run.Page.Answer.ToString().ShouldBe(task.RightAnswer, $"{bug.Id} on {task}");
            }
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void What_the_watch_counts_is_what_the_bug_meets(Family family)
    {
        var run = new MethodRun();
        var pool = ItemPool.Of(family, 15, seed: 8);
        foreach (var school in SchoolsOf(family))
        {
            var bugs = Catalogue.Of(family);
            var watch = new ChanceWatch([.. bugs.Select(b => b.Deviations)]);
            foreach (var task in pool)
            {
                watch.Clear();
                Method.Run(task, run, new DeviationSet(school, []), watching: watch);
                var seen = watch.Chances.ToArray();
                for (var i = 0; i < bugs.Count; i++)
                {
                    Method.Run(task, run, new DeviationSet(school, [bugs[i].Deviations]), declined: ulong.MaxValue);
                    (seen[i] > 0).ShouldBe(run.Chances > 0, $"{bugs[i].Id} on {task}");
                }
            }
        }
    }

    /// <summary>Every choice in every kind of context, with marks: no run throws, and what it leaves is an answer that stays as it is when it is read again.</summary>
    [Theory]
    [MemberData(nameof(Families))]
    public void Every_unlisted_deviation_ends_with_an_answer_or_a_blank(Family family)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        var items = ItemPool.Of(family, 8, seed: 2).SelectMany(task => SchoolsOf(family).Select(school => (task, school))).ToList();
        foreach (var unlisted in TaughtFamily.Of(family).Decisions.SelectMany(p => p.AllDeviations()))
            foreach (var (task, school) in items)
            {
                Method.Run(task, run, new DeviationSet(school, [[unlisted.Deviation]]));
                var answer = run.Page.Answer.ToString();
                if (answer.Length > 0 && task.Canonical(answer) != answer) Assert.Fail($"{unlisted.Id} on {task}: {answer} is read as {task.Canonical(answer)}");
            }
    }

    /// <summary>Rules that nobody would hold together, some followed at times: a run ends all the same.</summary>
    [Theory]
    [MemberData(nameof(Families))]
    public void Any_rules_together_end_with_an_answer_or_a_blank(Family family)
    {
        var random = new Random(3);
        var unlisted = TaughtFamily.Of(family).Decisions.SelectMany(p => p.AllDeviations()).ToList();
        var bugs = Catalogue.Of(family);
        var pool = ItemPool.Of(family, 100, seed: 15);
        var schools = SchoolsOf(family);
        var run = new MethodRun { Page = { KeepsMarks = true } };
        for (var i = 0; i < 20_000; i++)
        {
            var task = pool[random.Next(pool.Count)];
            Method.Run(task, run, new DeviationSet(schools[i % schools.Count], [[Unlisted()], Bug(), Bug(), [Unlisted()]]), (ulong)random.NextInt64() & (ulong)random.NextInt64());
            run.StepCount.ShouldBeLessThan(3_000, task.Text);
            var answer = run.Page.Answer.ToString();
            if (answer.Length > 0 && task.Canonical(answer) != answer) Assert.Fail($"{task}: {answer} is read as {task.Canonical(answer)}");
        }

        Deviation Unlisted() => unlisted[random.Next(unlisted.Count)].Deviation;

        IReadOnlyList<Deviation> Bug() => bugs[random.Next(bugs.Count)].Deviations;
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void A_recorded_run_comes_to_what_a_run_without_steps_comes_to(Family family)
    {
        var (plain, recorded) = (new MethodRun(), new MethodRun { Recording = true });
        var pool = ItemPool.Of(family, 6, seed: 9);
        foreach (var bug in Catalogue.Of(family))
            foreach (var task in pool)
            {
                Method.Run(task, plain, bug.Alone);
                Method.Run(task, recorded, bug.Alone);
                recorded.Page.Answer.ToString().ShouldBe(plain.Page.Answer.ToString());
                foreach (var step in recorded.Steps) (step.ChosenText.Length > 0 && step.TaughtText.Length > 0).ShouldBeTrue(bug.Id);
            }
    }

    private const int MostPlaces = 4;

    private static Gen<ulong> Whole => Gen.OneOf(Gen.ULong[0, 999], Gen.ULong[0, 99_999_999]);

    private static Gen<(int Digits, int Places)> Decimal => Gen.Select(Gen.Int[0, 999_999], Gen.Int[1, MostPlaces]);

    private static BigInteger Scaled((int Digits, int Places) number) => number.Digits * BigInteger.Pow(10, MostPlaces - number.Places);

    private static string Text((int Digits, int Places) number) => DecimalNumber.Written(number.Digits, number.Places);

    private static string Signed(string text, int minus) => minus == 1 ? "-" + text : text;

    private static void Exact(Gen<(string Task, BigInteger Value, int Places)> tasks) =>
        tasks.Sample(t => Answer(t.Task) == DecimalNumber.Exact(t.Value, t.Places), iter: 10_000);

    private static string Answer(string task, string? form = null)
    {
        var run = new MethodRun();
        var parsed = TaskText.TryParse(task, form);
        if (!parsed.Succeeded) throw new InvalidOperationException($"{task}: {parsed.Fault}");
        Method.Run(parsed.Value, run, DeviationSet.Taught);
        var answer = run.Page.Answer.ToString();
        return answer == parsed.Value.RightAnswer ? answer : $"{answer} is not {parsed.Value.RightAnswer}";
    }

    private static WorkedSheet Sheet(Family family) =>
        SheetReader.TryRead(File.ReadAllText(Path.Combine(Folder, family.Name + ".json")), out var fault) ?? throw new InvalidOperationException(fault!.ToString());

    private static TaughtFamily FamilyOf(string file) => FamilyList.TryParse(Path.GetFileNameWithoutExtension(file), out var family) ? family : throw new InvalidOperationException(file);

    private static IEnumerable<(TaughtFamily Family, string[] Cells)> Lines() => Directory.GetFiles(Folder, "*.txt").Order()
        .SelectMany(file => File.ReadAllLines(file).Select(line => (FamilyOf(file), line.Split(" | ", StringSplitOptions.TrimEntries))));
}
