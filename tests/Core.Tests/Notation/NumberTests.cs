using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Tests.Notation;

/// <summary>Decimals, quotients and signed numbers as they are written.</summary>
public class NumberTests
{
    [Theory]
    [InlineData("0.50", 50, 2, 3)]
    [InlineData(".5", 5, 1, 1)]
    [InlineData("-2.40", -240, 2, 3)]
    [InlineData("1,234.5", 12345, 1, 5)]
    [InlineData("7", 7, 0, 1)]
    [InlineData("7.", 7, 0, 1)]
    public void A_decimal_keeps_its_text_its_places_and_its_value(string text, int unscaled, int places, int length)
    {
        var number = DecimalNumber.TryParse(text).Value!;
        number.Text.ShouldBe(text);
        number.Unscaled.ShouldBe(unscaled);
        number.Places.ShouldBe(places);
        number.Length.ShouldBe(length);
    }

    [Theory]
    [InlineData("")]
    [InlineData("-")]
    [InlineData(".")]
    [InlineData("1.2.3")]
    [InlineData("1.2,3")]
    [InlineData("12a")]
    [InlineData("--1")]
    public void What_is_no_decimal_is_refused_with_a_position_in_the_text(string text)
    {
        var parsed = DecimalNumber.TryParse(text);
        parsed.Succeeded.ShouldBeFalse();
        parsed.Fault.Position.ShouldBeInRange(0, text.Length);
    }

    [Theory]
    [InlineData("0.50", "0.5")]
    [InlineData(".5", "0.5")]
    [InlineData("007.10", "7.1")]
    [InlineData("10.0", "10")]
    [InlineData("-0.0", "0")]
    [InlineData("+3.5", "3.5")]
    [InlineData("−1,250.0", "-1250")]
    [InlineData("3,5", "3,5")]
    [InlineData("1,204", "1204")]
    [InlineData("12,04", "12,04")]
    [InlineData("1,20,4", "1,20,4")]
    [InlineData("0,125", "0,125")]
    [InlineData("1,204.50", "1204.5")]
    [InlineData("3 26", "326")]
    [InlineData("+326.0", "326")]
    [InlineData("—7", "-7")]
    [InlineData("about 3", "about 3")]
    public void Decimals_of_the_same_value_have_one_spelling(string written, string canonical) => DecimalNumber.Canonical(written).ShouldBe(canonical);

    [Fact]
    public void Digits_are_found_by_their_place()
    {
        var number = DecimalNumber.TryParse("36.05").Value!;
        new[] { 1, 0, -1, -2, -3, 2 }.Select(number.Digit).ShouldBe([3, 6, 0, 5, -1, -1]);
    }

    [Theory]
    [InlineData(8164, 260, "31.4")]
    [InlineData(1, 8, "0.125")]
    [InlineData(-9, 4, "-2.25")]
    [InlineData(10, 5, "2")]
    [InlineData(1, 3, null)]
    [InlineData(7, 14, "0.5")]
    public void A_quotient_is_an_exact_decimal_or_none(int dividend, int divisor, string? quotient) => DecimalNumber.Quotient(dividend, divisor).ShouldBe(quotient);

    [Fact]
    public void Writing_and_reading_a_decimal_gives_its_value() => Gen.Select(Gen.Int[-999_999, 999_999], Gen.Int[0, 8]).Sample((unscaled, places) =>
    {
        var number = DecimalNumber.Of(unscaled, places);
        return number.Unscaled == unscaled && number.Places == places && DecimalNumber.Canonical(number.Text) == DecimalNumber.Exact(unscaled, places);
    });

    [Fact]
    public void The_spelling_of_a_value_does_not_depend_on_its_last_zeros() => Gen.Select(Gen.Int[-99_999, 99_999], Gen.Int[0, 4], Gen.Int[0, 4]).Sample((unscaled, places, zeros) =>
        DecimalNumber.Exact(unscaled, places) == DecimalNumber.Exact(unscaled * BigInteger.Pow(10, zeros), places + zeros));

    [Theory]
    [InlineData("239 r 2", "239 r 2")]
    [InlineData("239R2", "239 r 2")]
    [InlineData("239 r2", "239 r 2")]
    [InlineData("239 r 0", "239")]
    [InlineData("0239", "239")]
    [InlineData("1,239 r 2", "1239 r 2")]
    [InlineData("239 1/2", "239 1/2")]
    [InlineData("239.50", "239.5")]
    [InlineData("none", "none")]
    public void Quotients_of_the_same_value_and_form_have_one_spelling(string written, string canonical) =>
        LongDivision.Of(958, 4).Canonical(written).ShouldBe(canonical);

    [Theory]
    [InlineData(nameof(QuotientForm.WithRemainder), "3 r 1")]
    [InlineData(nameof(QuotientForm.WithFraction), "3 1/4")]
    [InlineData(nameof(QuotientForm.AsDecimal), "3.25")]
    public void A_quotient_is_given_in_the_form_asked_for(string form, string answer) => LongDivision.Of(13, 4, Enum.Parse<QuotientForm>(form)).RightAnswer.ShouldBe(answer);

    [Theory]
    [InlineData("12 / 0")]
    [InlineData("0 / 0")]
    [InlineData("-6 / 0")]
    [InlineData("1.5 / 0")]
    [InlineData("1.5 / 0.0")]
    public void Nothing_is_divided_by_0(string task) => TaskText.TryParse(task).Fault.Message.ShouldContain("divided by 0");

    [Theory]
    [InlineData("1 / 3", "decimal")]
    [InlineData("1.5 / 0.7", null)]
    public void A_quotient_that_never_ends_is_no_decimal_task(string task, string? form) => TaskText.TryParse(task, form).Fault.Message.ShouldContain("never ends");

    [Fact]
    public void Signs_that_do_not_come_out_even_are_refused() => TaskText.TryParse("-7 / 2").Succeeded.ShouldBeFalse();

    [Theory]
    [InlineData("+5", "5")]
    [InlineData("−5", "-5")]
    [InlineData("-0", "0")]
    [InlineData("++5", "++5")]
    [InlineData("5-", "5-")]
    public void Signed_answers_of_the_same_value_have_one_spelling(string written, string canonical) =>
        TaskText.TryParse("-7 - -12").Value!.Canonical(written).ShouldBe(canonical);

    [Fact]
    public void Every_family_has_a_name_for_a_sentence()
    {
        foreach (var family in FamilyList.All) family.Title.ShouldNotBeEmpty();
        FamilyList.DecimalSums.Title.ShouldBe("sums and differences of decimals");
        FamilyList.Division.Title.ShouldBe("long division");
    }
}
