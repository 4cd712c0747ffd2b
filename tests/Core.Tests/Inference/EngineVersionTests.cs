using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>The version of a reading is a fingerprint of what made it.</summary>
public class EngineVersionTests
{
    private static class Numbers
    {
        public const double One = 0.3;
        public static readonly (double Value, double Weight)[] Table = [(0.9, 0.5), (0.5, 0.5)];
    }

    private static class OtherNumbers
    {
        public const double One = 0.31;
        public static readonly (double Value, double Weight)[] Table = [(0.9, 0.5), (0.5, 0.5)];
    }

    [Fact]
    public void It_is_that_of_the_engine() =>
        EngineVersion.Current.ShouldBe(EngineVersion.Measure(), "the engine reads otherwise than before: put the other text into EngineVersion.cs, so that kept readings are made anew");

    [Fact]
    public void A_bug_less_a_changed_number_or_another_behaviour_changes_it()
    {
        var now = EngineVersion.Of(Catalogue.All, EngineVersion.Numbers(typeof(Numbers)), "604 - 278 = 326");
        EngineVersion.Of(Catalogue.All, EngineVersion.Numbers(typeof(Numbers)), "604 - 278 = 326").ShouldBe(now);
        EngineVersion.Of(Catalogue.All.Skip(1), EngineVersion.Numbers(typeof(Numbers)), "604 - 278 = 326").ShouldNotBe(now);
        EngineVersion.Of(Catalogue.All, EngineVersion.Numbers(typeof(OtherNumbers)), "604 - 278 = 326").ShouldNotBe(now);
        EngineVersion.Of(Catalogue.All, EngineVersion.Numbers(typeof(Numbers)), "604 - 278 = 336").ShouldNotBe(now);
    }

    [Fact]
    public void Every_number_before_the_evidence_counts()
    {
        var numbers = EngineVersion.Numbers(typeof(Priors));
        foreach (var name in new[] { "Sound", "OneWrongFact", "MarkMistaken", "Consistency", "SlipRate", "OtherSlip" }) numbers.ShouldContain(name + "=");
        numbers.ShouldContain("(0.98, 0.42)");
    }
}
