using Shouldly;
using Xunit;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Tests.Notation;

/// <summary>Sums in numbers, as they are written beside a working.</summary>
public class NumberSentenceTests
{
    [Theory]
    [InlineData("4 + 21", "25")]
    [InlineData("-22/2", "-11")]
    [InlineData("(-3)^2 - 8", "1")]
    [InlineData("-3^2", "-9")]
    [InlineData("7 : 2", "7/2")]
    [InlineData("5/2 * 4", "10")]
    [InlineData("2.5²", "25/4")]
    [InlineData("√25", "5")]
    [InlineData("sqrt(9/4)", "3/2")]
    [InlineData("6 − −2", "8")]
    [InlineData("sqrt(6)", null)]
    [InlineData("4 / 0", null)]
    [InlineData("4 +", null)]
    [InlineData("(4", null)]
    [InlineData("x + 2", null)]
    [InlineData("", null)]
    [InlineData("1234567890", null)]
    public void A_sum_comes_to_its_value(string text, string? value) => NumberSentence.Value(text)?.Text.ShouldBe(value);

    [Theory]
    [InlineData("9 * (-8)", "9 -8")]
    [InlineData("9 - 8", "9 -8")]
    [InlineData("-9 + 8", "-9 8")]
    [InlineData("3 * 4 * 5", null)]
    [InlineData("9", null)]
    public void Two_numbers_are_read_with_their_signs(string text, string? numbers) =>
        (NumberSentence.TwoNumbers(text) is { } two ? $"{two.One.Text} {two.Other.Text}" : null).ShouldBe(numbers);
}
