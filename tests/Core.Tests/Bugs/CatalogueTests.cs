using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Bugs;

public class CatalogueTests
{
    public static TheoryData<Family, int> Floors => new()
    {
        { FamilyList.Addition, 30 }, { FamilyList.Subtraction, 45 }, { FamilyList.Multiplication, 35 }, { FamilyList.Division, 30 },
        { FamilyList.DecimalSums, 30 }, { FamilyList.DecimalProducts, 25 }, { FamilyList.DecimalDivision, 20 }, { FamilyList.Integers, 20 },
    };

    public static TheoryData<Family> Families => [.. FamilyList.All];

    private static string[] AnswersOf(Family family, Bug? bug)
    {
        var run = new MethodRun();
        DeviationSet[] outcomes = bug is null ? [DeviationSet.Taught] : [.. bug.Outcomes.Select(o => o.Alone)];
        return [.. ItemPool.Of(family, 500, seed: 11).Select(task => string.Join(" or ", outcomes.Select(set =>
        {
            Method.Run(task, run, set);
            return run.Page.Answer.ToString();
        })))];
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void No_two_bugs_give_the_same_answers_over_500_tasks(Family family)
    {
        var answers = Catalogue.DeclaredFor(family).Select(b => (b.Id, Answers: AnswersOf(family, b))).ToList();
        var same = from a in answers
                   from b in answers
                   where string.CompareOrdinal(a.Id, b.Id) < 0 && a.Answers.SequenceEqual(b.Answers)
                   select $"{a.Id} = {b.Id}";
        same.ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Every_bug_changes_an_answer(Family family)
    {
        var right = AnswersOf(family, null);
        Catalogue.DeclaredFor(family).Where(b => AnswersOf(family, b).SequenceEqual(right)).Select(b => b.Id).ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Every_bug_is_reached_on_at_least_three_tasks(Family family)
    {
        var right = AnswersOf(family, null);
        Catalogue.DeclaredFor(family)
            .Select(b => (b.Id, Shown: AnswersOf(family, b).Zip(right).Count(p => p.First != p.Second)))
            .Where(b => b.Shown < 3).ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Floors))]
    public void A_family_has_at_least_so_many_bugs_each_with_its_words(Family family, int floor)
    {
        var bugs = Catalogue.DeclaredFor(family);
        bugs.Count.ShouldBeGreaterThanOrEqualTo(floor);
        bugs.Select(b => b.Id).ShouldBeUnique();
        foreach (var bug in bugs)
        {
            bug.Text.ShouldEndWith(".");
            bug.Reason.Length.ShouldBeGreaterThan(20);
            bug.Id.ShouldStartWith(family.Name + ".");
            TaughtFamily.Of(family).Decisions.ShouldContain(bug.Decision);
        }
    }

    [Theory]
    [InlineData("multiplication", "addition.carry-dropped")]
    [InlineData("division", "subtraction.turns-column-round")]
    [InlineData("division", "multiplication.carry-dropped")]
    [InlineData("decimal-sums", "addition.writes-both-digits")]
    [InlineData("decimal-sums", "subtraction.zeros-skipped")]
    [InlineData("decimal-products", "multiplication.placeholder-missing")]
    [InlineData("decimal-products", "integers.product-sign-dropped")]
    [InlineData("decimal-division", "division.zero-left-out")]
    [InlineData("decimal-division", "subtraction.turns-column-round")]
    [InlineData("integers", "subtraction.turns-column-round")]
    public void A_bug_of_a_part_is_a_bug_of_the_whole_by_the_same_id(string family, string bug)
    {
        Catalogue.Of(FamilyList.Named(family)).ShouldContain(Catalogue.Find(bug)!);
        AnswersOf(FamilyList.Named(family), Catalogue.Find(bug)).ShouldNotBe(AnswersOf(FamilyList.Named(family), null));
    }

    [Fact]
    public void Names_are_our_own_and_say_what_the_student_does()
    {
        var names = FamilyList.All.SelectMany(Catalogue.DeclaredFor).Select(b => $"{b.Id} {b.Name}").ToList();
        names.ShouldAllBe(n => !n.Contains("smaller-from-larger") && !n.Contains("Smaller from larger") && !n.Contains("0 take away n"));
        Catalogue.Find("subtraction.turns-column-round")!.Name.ShouldBe("Turns the column round");
        Catalogue.Find("subtraction.turns-round-beside-zero")!.Name.ShouldBe("Turns the column round beside a zero");
    }

    [Fact]
    public void The_published_list_is_the_catalogue() =>
        (File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "bugs.md")) == CatalogueText.Markdown()).ShouldBeTrue("docs/bugs.md is out of date; run: dotnet run --project bench/YellowPencil.Bench catalogue");

    [Fact]
    public void The_table_of_breadths_is_what_is_measured()
    {
        var measured = Catalogue.BreadthTable().Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(line => line.Split(' ')).ToDictionary(e => e[0], e => int.Parse(e[1]));
        measured.Keys.Order(StringComparer.Ordinal).ShouldBe(Catalogue.All.Select(b => b.Id).Order(StringComparer.Ordinal));
        foreach (var bug in Catalogue.All)
            Catalogue.Breadth(bug).ShouldBe(measured[bug.Id], $"{bug.Id}; run: dotnet run --project bench/YellowPencil.Bench catalogue");
    }
}
