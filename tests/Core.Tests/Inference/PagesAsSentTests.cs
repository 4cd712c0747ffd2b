using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Pages as they come in: lazy, half marked, reversed, torn, all right in an unusual way; each with what a careful specialist would come to.</summary>
public class PagesAsSentTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "Pages", "AsSent");

    [Fact]
    public void Every_page_has_its_reading() =>
        Directory.GetFiles(Folder, "*.json").Length.ShouldBe(typeof(PagesAsSentTests).GetMethod(nameof(The_reading_is_the_careful_one))!.GetCustomAttributesData().Count(a => a.AttributeType == typeof(InlineDataAttribute)));

    [Theory]
    [InlineData("01-sfl-loosening", "bug", "subtraction.turns-column-round")]
    [InlineData("02-sound-slips", "sound", "")]
    [InlineData("03-lazy", "too-few-chances", "")]
    [InlineData("04-blanks", "bug", "subtraction.turns-column-round", "are blank: left out when the first number has a 0")]
    [InlineData("05-division-zero", "bug", "division.zero-left-out")]
    [InlineData("06-fact78", "sound", "", "fact: 7 * 8 = 54")]
    [InlineData("07-dec-align", "bug", "decimal-sums.right-ends-lined-up")]
    [InlineData("08-integers", "bug", "integers.two-negatives-make-positive")]
    [InlineData("09-two-bugs", "not-told-apart", "subtraction.equal-left-blank+subtraction.zero-top-gives-bottom")]
    [InlineData("10-lone-added-twice", "bug", "unlisted:task.reading/always/front-digit-repeated", "Repeats the first digit of a shorter number")]
    [InlineData("11-equal-additions", "sound", "")]
    [InlineData("12-placeholder", "bug", "multiplication.placeholder-missing")]
    [InlineData("13-reversed", "bug", "unlisted:answer.writing/always/last-two-exchanged", "sight, motor control")]
    [InlineData("14-mixed", "bug", "addition.carry-dropped")]
    [InlineData("15-dec-product", "bug", "decimal-products.point-as-in-sums")]
    [InlineData("16-three", "bug", "subtraction.turns-column-round")]
    [InlineData("17-chaos", "unexplained", "")]
    [InlineData("18-dec-div", "bug", "decimal-division.divisor-point-only")]
    [InlineData("19-add-marks", "bug", "addition.carry-not-counted-with-zero")]
    [InlineData("20-zero-marks", "bug", "subtraction.zeros-skipped")]
    [InlineData("21-careless", "sound", "", "are of one kind")]
    [InlineData("22-sign-twice", "too-few-chances", "subtraction.minus-read-as-plus")]
    [InlineData("23-rem", "bug", "division.remainder-as-decimal")]
    [InlineData("24-ragged-add", "bug", "addition.lines-up-left")]
    [InlineData("30-all-blank", "too-few-chances", "")]
    [InlineData("31-sound-only-lender", "sound", "")]
    [InlineData("32-sound-only-receiver", "sound", "")]
    [InlineData("33-sound-mental", "sound", "")]
    [InlineData("34-leading-zero", "sound", "")]
    [InlineData("35-add-sound", "sound", "")]
    [InlineData("36-one-wrong", "sound", "")]
    [InlineData("38-zero-blank", "too-few-chances", "", "are blank: left out when")]
    [InlineData("39-add-both", "bug", "addition.writes-both-digits")]
    [InlineData("40-mul-carryfirst", "bug", "multiplication.carry-added-first")]
    [InlineData("41-div-decimals", "sound", "")]
    [InlineData("42-shifted", "unexplained", "", "right for the items after them")]
    [InlineData("43-copy-error", "sound", "", "copied wrongly (640 for 604, 532 for 523)")]
    [InlineData("50-add-slips", "sound", "", "the carried 1 is not counted")]
    [InlineData("51-mul-slips", "sound", "", "does not add the carried digit")]
    [InlineData("52-int-slips", "sound", "")]
    [InlineData("53-dec-slips", "sound", "", "stay at 3, though they lend")]
    [InlineData("54-div-slips", "sound", "")]
    [InlineData("55-short-one-slip", "too-few-chances", "")]
    [InlineData("56-fact-sub", "sound", "", "fact: 13 - 8 = 6")]
    [InlineData("57-mixed-two-families", "bug", "addition.writes-both-digits+subtraction.turns-column-round")]
    [InlineData("58-ran-out", "not-told-apart", "subtraction.turns-column-round", "time or will may have run out")]
    [InlineData("59-decimal-longer-is-larger", "bug", "decimal-sums.two-numbers")]
    [InlineData("71-lines-skipped", "sound", "")]
    [InlineData("72-two-columns", "sound", "")]
    [InlineData("73-x-only", "sound", "")]
    [InlineData("74-crossed-out-and-mended", "sound", "")]
    [InlineData("75-answer-only-squares", "bug", "expanding.square-of-terms-sign-kept")]
    [InlineData("76-not-finished", "not-told-apart", "fractions.never-reduced")]
    [InlineData("77-wrong-line-then-right-on", "not-told-apart", "polynomials.minus-first-term-only")]
    [InlineData("78-two-wrong-of-three", "too-few-chances", "equations.number-taken-away")]
    [InlineData("79-two-families", "not-told-apart", "fractions.across")]
    [InlineData("80-torn-in-the-middle", "bug", "mixed-numbers.smaller-fraction-from-larger")]
    [InlineData("81-turned-round-nearly-always", "bug", "subtraction.turns-column-round")]
    [InlineData("82-carry-dropped-but-for-two", "bug", "addition.carry-dropped")]
    [InlineData("83-fact-in-products", "sound", "", "fact: 7 * 8 = 54")]
    [InlineData("84-three-errors-once-each", "too-few-chances", "subtraction.turns-column-round")]
    [InlineData("85-fractions-across-unreduced", "not-told-apart", "fractions.across-unlike+fractions.never-finished")]
    [InlineData("86-minus-moved-as-it-stands", "bug", "equations.negative-number-taken-away", "with the same sign")]
    [InlineData("87-minus-minus", "bug", "integers.minus-minus-stays-minus")]
    [InlineData("88-quotient-zeros", "not-told-apart", "division.zero-inside-left-out", "Ask next: 700 ÷ 7")]
    [InlineData("89-decimals-and-one-division", "not-told-apart", "decimal-sums.decimals-lined-up-right", "This once: 2 is less than 6")]
    [InlineData("90-wholes-less-fractions", "bug", "mixed-numbers.no-fraction-copies+mixed-numbers.smaller-fraction-from-larger")]
    [InlineData("91-brackets-first-term", "bug", "expanding.first-and-last-only+expanding.first-term-only")]
    [InlineData("92-minus-before-a-bracket", "not-told-apart", "polynomials.minus-first-term-only", "The last term keeps its sign")]
    [InlineData("93-half-for-root", "bug", "roots.half-of-the-number")]
    [InlineData("94-points-as-in-sums", "bug", "decimal-products.point-as-in-sums")]
    [InlineData("95-divisor-point-only", "bug", "decimal-division.divisor-point-only")]
    [InlineData("96-left-edge", "bug", "addition.lines-up-left")]
    [InlineData("97-one-slip-in-four-families", "sound", "", "The tens stay at 2, though they lend")]
    [InlineData("98-fraction-lines-merged", "bug", "fractions.across-unlike+fractions.never-finished")]
    [InlineData("99-middle-and-gap", "bug", "factoring.last-added-to-square", "6 of 6 items")]
    [InlineData("100-roots-with-lines", "bug", "roots.both-ends-counted", "6 of 6 items")]
    public void The_reading_is_the_careful_one(string page, string outcome, string best, string says = "")
    {
        var sheet = SheetReader.TryRead(File.ReadAllText(Path.Combine(Folder, page + ".json")), out var fault);
        sheet.ShouldNotBeNull(fault?.ToString());

        var reading = SheetDiagnosis.Read(sheet);

        var text = ReadingText.Write(reading, NextItems.For(reading), ClassroomWord.Rename);
        Spelling.Of(reading.Outcome).ShouldBe(outcome, text);
        string.Join('+', reading.Best.Hypothesis.RuleIds.Order()).ShouldBe(best, text);
        text.ShouldContain(says, Case.Sensitive);
        reading.Explanations.ShouldAllBe(e => e.Probability < 0.9999);
        text.ShouldNotContain("100 %");
    }

    /// <summary>The commonest slip of all is told as what it is.</summary>
    [Theory]
    [InlineData("47 + 25 = 62", "The carried 1 is not counted")]
    [InlineData("395 + 248 = 633", "The carried 1 is not counted")]
    [InlineData("186 + 347 = 523", "The carried 1 is not counted")]
    [InlineData("123 * 4 = 482", "Does not add the carried digit")]
    [InlineData("73 - 28 = 55", "The tens stay at 7, though they lend")]
    [InlineData("452 - 319 = 143", "The tens stay at 5, though they lend")]
    [InlineData("940 - 386 = 564", "The tens stay at 4, though they lend")]
    [InlineData("523 - 168 = 365", "The tens stay at 2, though they lend")]
    [InlineData("5.3 - 1.27 = 4.13", "The tenths stay at 3, though they lend")]
    public void A_forgotten_ten_is_told_as_that(string line, string says)
    {
        string[] page = [line, "64 - 21 = 43", "90 - 37 = 53", "81 - 45 = 36", "52 - 19 = 33", "76 + 28 = 104", "85 + 61 = 146", "38 + 47 = 85", "23 * 4 = 92", "36 * 2 = 72", "45 * 3 = 135"];
        var sheet = new WorkedSheet { Student = "S", Items = ItemList.TryParse(string.Join('\n', page), null, out var faults) };
        faults.ShouldBeEmpty();
        var wrong = SheetDiagnosis.Read(sheet).Items[0];
        wrong.Cause.ShouldBe(Cause.Slip);
        wrong.FirstWrongStep!.Text.ShouldStartWith("This once: ");
        wrong.FirstWrongStep.Text.ShouldContain(says, Case.Insensitive);
    }
}
