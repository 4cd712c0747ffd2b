using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>Fields of a few named numbers: the cross, middle and gap, and the two squares round a root.</summary>
public class PartsFieldTests
{
    [Theory]
    [InlineData("""{"between": ["25"]}""", "has 2 numbers")]
    [InlineData("""{"between": ["25", "36", "49"]}""", "has 2 numbers")]
    [InlineData("""{"between": "25"}""", "between")]
    [InlineData("""{"cross": {"sum": "1", "top": "6"}}""", "top")]
    [InlineData("""{"gap": ["3"]}""", "gap")]
    public void What_does_not_belong_there_is_named(string work, string says)
    {
        SheetReader.TryRead(Sheet("sqrt(31)", "5.5", work), out var fault).ShouldBeNull();
        fault!.ToString()!.ShouldContain(says);
    }

    [Theory]
    [InlineData("sqrt(31)", "5.5", """{"between":["25","36"]}""")]
    [InlineData("factor x^2 + x - 6", "(x + 3)(x - 2)", """{"cross":{"sum":"1","product":"-6","left":"3","right":"-2"}}""")]
    [InlineData("factor x^2 + x - 6", "(x + 3)(x - 2)", """{"cross":{"product":"-6"}}""")]
    public void What_was_read_is_written_again(string task, string answer, string work)
    {
        var sheet = SheetReader.TryRead(Sheet(task, answer, work), out var fault).ShouldNotBeNull(fault?.ToString());
        SheetWriter.Write(sheet).ShouldContain(work.Replace(" ", ""));
    }

    [Theory]
    [InlineData("""{"cross": {"sum": "1", "product": "-6", "left": "-2", "right": "3"}}""", 4, 0)]
    [InlineData("""{"cross": {"sum": "1", "product": "-6", "left": "3", "right": "-2"}}""", 4, 0)]
    [InlineData("""{"cross": {"sum": "1", "product": "6", "left": "-3", "right": "2"}}""", 1, 3)]
    [InlineData("""{"cross": {"left": "3"}}""", 1, 0)]
    [InlineData("""{"cross": {}}""", 0, 0)]
    public void The_sides_of_a_cross_may_change_places(string work, int same, int differ)
    {
        var sheet = SheetReader.TryRead(Sheet("factor x^2 + x - 6", "(x + 3)(x - 2)", work), out _)!;
        var run = new MethodRun();
        run.Page.KeepsMarks = true;
        Method.Run(sheet.Items[0].Task, run, DeviationSet.Taught);
        var match = WorkFields.Cross.Compare(sheet.Items[0].Task, sheet.Items[0].Work.Get(WorkFields.Cross)!, [.. run.Page.Marks.Where(m => m.Field == WorkFields.Cross)]).Aggregate(default(FieldMatch), (a, b) => a + b);
        (match.Same, match.Differ).ShouldBe((same, differ));
    }

    [Fact]
    public void The_two_squares_tell_a_root_taken_one_too_low()
    {
        // Each number is put between the squares below the right ones: 31 between 16 and 25.
        var sheet = SheetReader.TryRead(
            """
            {"format": "yellow-pencil.worked-sheet", "version": 1, "student": "R", "methods": {"roots": "straight-line"}, "items": [
              {"id": "1", "task": "sqrt(31)", "to": "0.1", "answer": "5.7", "work": {"between": ["16", "25"]}},
              {"id": "2", "task": "sqrt(40)", "to": "0.1", "answer": "6.4", "work": {"between": ["25", "36"]}},
              {"id": "3", "task": "sqrt(55)", "to": "0.1", "answer": "7.5", "work": {"between": ["36", "49"]}},
              {"id": "4", "task": "sqrt(70)", "to": "0.1", "answer": "8.4", "work": {"between": ["49", "64"]}},
              {"id": "5", "task": "sqrt(49)", "to": "0.1", "answer": "7"}]}
            """, out var fault).ShouldNotBeNull(fault?.ToString());
        var reading = SheetDiagnosis.Read(sheet);
        reading.Best.Text.ShouldContain("takes a lower square that is one too low", Case.Insensitive);
    }

    private static string Sheet(string task, string answer, string work) =>
        $$"""{"format": "yellow-pencil.worked-sheet", "version": 1, "student": "P", "items": [{"id": "1", "task": "{{task}}", "answer": "{{answer}}", "work": {{work}}}]}""";
}
