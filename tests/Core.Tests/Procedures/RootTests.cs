using System.Globalization;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>Square roots by hand, along a straight line and by trying.</summary>
public sealed class RootTests
{
    private static readonly School Trying = School.Named(new Dictionary<string, string> { ["roots"] = "number-line" });

    private static string Answer(string task, DeviationSet set)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(task).Value!, run, set);
        return run.Page.Answer.ToString();
    }

    // Each answer by hand, as the sentence of the rule says.
    [Theory]
    [InlineData("half-of-the-number", "sqrt(31)", "15.5")]
    [InlineData("point-cut-off", "sqrt(31.6)", "5.5")] // 5 + 6/11
    [InlineData("squared-part-by-part", "sqrt(174)", "18.6")] // 18 + 10/17 between 164 and 181
    [InlineData("nearest-whole-root", "sqrt(43)", "7")]
    [InlineData("always-half-way", "sqrt(248)", "15.5")]
    [InlineData("nearest-root-added", "sqrt(44)", "7.4")] // 7 + 5/13
    [InlineData("gap-as-tenths", "sqrt(31)", "5.6")]
    [InlineData("both-ends-counted", "sqrt(12)", "3.6")] // 3 + 4/7
    [InlineData("over-lower-root", "sqrt(383)", "20.2")] // 19 + 22/19
    [InlineData("zero-behind-point-left-out", "sqrt(82)", "9.5")] // 1/19 is .05
    [InlineData("cut-off", "sqrt(26)", "5")] // 5.09
    [InlineData("always-up", "sqrt(211)", "14.6")] // 14.51
    [InlineData("rounded-twice", "sqrt(394)", "19.9")] // 19.846, 19.85
    [InlineData("to-nearest-half", "sqrt(95)", "9.5")] // 9.73
    public void A_rule_gives_the_answer_worked_by_hand(string rule, string task, string answer) => Answer(task, Catalogue.Find($"roots.{rule}")!.Alone).ShouldBe(answer);

    [Theory]
    [InlineData("sqrt(2)", "1.3", "1.4")]
    [InlineData("sqrt(14)", "3.7", "3.7")]
    [InlineData("sqrt(49)", "7", "7")]
    [InlineData("sqrt(12)", "3.4", "3.5")]
    public void Both_ways_are_right_where_the_line_lies_below_the_root(string task, string onTheLine, string root)
    {
        var set = TaskText.TryParse(task).Value!;
        set.Judge(onTheLine).ShouldBe(Verdict.Right);
        set.Judge(root).ShouldBe(Verdict.Right);
        Answer(task, DeviationSet.Taught).ShouldBe(onTheLine);
        Answer(task, new DeviationSet(Trying, [])).ShouldBe(root);
    }

    // 31: six elevenths of the way, 5.5 squared is 30.25, 5.6 squared 31.36. 12: 3.4 squared is 11.56, 3.5 squared 12.25. 90: 9.5 squared is 90.25, 9.4 squared 88.36.
    [Theory]
    [InlineData("sqrt(31)", "5.5 30.25 5.6 31.36", "5 + 6/11 5.54")]
    [InlineData("sqrt(12)", "3.4 11.56 3.5 12.25", "3 + 3/7 3.42")]
    [InlineData("sqrt(90)", "9.4 88.36 9.5 90.25", "9 + 9/19 9.47")]
    [InlineData("sqrt(49)", "", "")]
    public void Each_school_writes_what_it_takes(string task, string tried, string lines)
    {
        var set = TaskText.TryParse(task).Value!;
        var run = new MethodRun { Recording = true };
        Method.Run(set, run, new DeviationSet(Trying, []));
        string.Join(' ', run.Page.Marks.Where(m => m.Field == WorkFields.Tried).Select(m => m.Text)).ShouldBe(tried);
        Method.Run(set, run, DeviationSet.Taught);
        string.Join(' ', run.Page.Marks.Where(m => m.Field == WorkFields.Lines).Select(m => m.Text)).ShouldBe(lines);
        SchoolEffort.Questions(set).ShouldBe(tried.Length > 0 ? [School.Roots] : []);
        SchoolEffort.Of(set, School.Roots).Select(e => e.Trials).ShouldBe([0, tried.Split(' ').Length / 2]);
    }

    [Theory]
    [InlineData("""{"tried":[{"value":"5.5","result":"30.25"},{"value":"5.6","result":"31.36"}]}""", "number-line")]
    [InlineData("""{"lines":["5 + 6/11"]}""", "straight-line")]
    [InlineData("""{"lines":["31 - 25 = 6"]}""", null)]
    public void The_working_shows_the_school(string work, string? school)
    {
        var sheet = $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"R","items":[{"id":"1","task":"sqrt(31)","answer":"5.6","work":{{work}}}]}""";
        var shown = TaughtFamily.Of(FamilyList.Roots).SchoolsShown(SheetReader.TryRead(sheet, out _)!.Items[0]);
        shown.Select(s => School.Roots.Values[s.Answer]).SingleOrDefault().ShouldBe(school);
    }

    [Fact]
    public void The_line_lies_at_or_below_the_root_and_never_far_from_it()
    {
        for (var number = 2; number <= 9_999; number++)
        {
            var estimate = double.Parse(Answer($"sqrt({number})", DeviationSet.Taught), CultureInfo.InvariantCulture);
            (estimate - Math.Sqrt(number)).ShouldBeInRange(-0.18, 0.0501, $"{number}");
        }
    }

    [Theory]
    [InlineData("sqrt 31", 5)]
    [InlineData("sqrt(31", 7)]
    [InlineData("sqrt(-4)", 5)]
    [InlineData("sqrt(31) + 2", 8)]
    [InlineData("sqrt(123456)", 5)]
    public void What_cannot_be_read_is_refused_with_its_position(string task, int position) => TaskText.TryParse(task).Fault.Position.ShouldBe(position);
}
