using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Tests.Bugs;

/// <summary>Rules whose sentence and behaviour once disagreed, worked out by hand from the sentence.</summary>
public class SentenceTests
{
    [Theory]
    [InlineData("division.every-digit-alone-nothing-left", "612 / 3", "200")]
    [InlineData("division.every-digit-alone-nothing-left", "735 / 7", "100")]
    [InlineData("division.digits-alone", "735 / 7", "105")]
    [InlineData("division.first-digit-dropped", "236 / 6", "6")]
    [InlineData("division.first-digit-dropped", "1234 / 5", "46 r 4")]
    [InlineData("division.first-digit-dropped", "615 / 15", "41")]
    [InlineData("subtraction.lender-one-less-for-each-column", "203 - 24", "79")]
    [InlineData("subtraction.nothing-below-old-digit", "52 - 8", "44")]
    [InlineData("subtraction.turns-round-beside-zero", "500 - 263", "237")]
    [InlineData("subtraction.turns-round-beside-zero", "502 - 263", "241")]
    [InlineData("subtraction.turns-round-after-lending", "312 - 45", "267")]
    [InlineData("subtraction.counts-start-number", "57 - 20", "47")]
    [InlineData("subtraction.counts-one-too-far", "57 - 20", "27")]
    [InlineData("subtraction.counts-start-number-when-raised", "30 - 8", "23")]
    [InlineData("addition.single-left-blank", "123 + 45", "168")]
    [InlineData("addition.single-left-blank", "123 + 45 + 1", "69")]
    [InlineData("addition.nine-is-the-most", "57 + 68", "119")]
    [InlineData("multiplication.count-one-too-few", "12 * 3", "34")]
    [InlineData("multiplication.first-row-only", "25 * 40", "0")]
    [InlineData("multiplication.row-left-off", "25 * 40", "0")]
    [InlineData("multiplication.later-rows-left-off", "25 * 40", "0")]
    [InlineData("multiplication.second-row-repeats-digit", "25 * 40", "0")]
    [InlineData("multiplication.last-product-loses-tens", "25 * 40", "0")]
    [InlineData("decimal-products.point-as-in-sums-with-two-decimals", "0.3 * 0.4", "1.2")]
    [InlineData("decimal-products.point-as-in-sums-with-two-decimals", "3 * 0.4", "1.2")]
    [InlineData("decimal-products.zero-in-front-counted", "0.8 * 0.7", "0.0056")]
    [InlineData("decimal-sums.whole-read-as-decimals", "12 + 1.5", "1.62")]
    [InlineData("decimal-sums.whole-read-as-decimals", "103 - 56.16", "56.057")]
    [InlineData("integers.first-sign-passed-over", "-5 + 8", "13")]
    [InlineData("integers.first-sign-passed-over", "-5 * 8", "-40")]
    public void A_rule_does_what_its_sentence_says(string bug, string task, string answer)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(task).Value!, run, Catalogue.Find(bug)!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
    }
}
