using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>New habits that are right wherever an old rule shows, and wrong elsewhere.</summary>
public class NewHabitTests
{
    private static string? Habit(string rule, string item, params string[] showing) =>
        new NewHabits([.. showing.Select(Task)], School.Usual, Catalogue.Find(rule)!.Deviations.Select(d => d.Decision!).ToHashSet()).AnswerOn(Task(item));

    private static Pages.ItemTask Task(string text) => TaskText.TryParse(text).Value!;

    [Theory]
    [InlineData("subtraction.turns-column-round", "18 - 9", null, "52 - 38", "604 - 278")] // the ones are renamed either way
    [InlineData("subtraction.lender-unchanged", "22 - 2", "110", "52 - 38", "81 - 27")] // renames where nothing is short: 12 - 2 is 10, written whole, behind 1
    [InlineData("integers.minus-minus-stays-minus", "2 + -4", "6", "2 - -3", "-5 - -2")] // every two signs are a plus
    [InlineData("equations.number-added-when-positive", "solve x - 8 = 6", "x = -2", "solve a + 6 = 2", "solve x + 3 = 9")] // takes away on both sides, always
    [InlineData("expanding.first-term-only", "expand (4y + 6)(y + 3)", "4y^2 + 6y + 18", "expand 7(x + 3)", "expand 2(x + 5)")] // 4y · 3 left out
    [InlineData("addition.carry-dropped", "30 + 616", null)] // nothing shows
    [InlineData("addition.carry-dropped", "30 + 616", null, "17 + 23", "48 + 37")] // to carry always is wrong in the tens of those too
    public void A_habit_is_right_where_the_old_rule_shows_and_wrong_where_nothing_is_due(string rule, string item, string? answer, params string[] showing) =>
        Habit(rule, item, showing).ShouldBe(answer);
}
