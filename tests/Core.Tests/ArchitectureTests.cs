using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using Shouldly;
using Xunit;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace YellowPencil.Core.Tests;

/// <summary>The arrows of the house: in Core each folder uses only folders before it, and Core uses no web and no data package.</summary>
public class ArchitectureTests
{
    private static readonly string[] Folders = ["Notation", "Working", "Layouts", "Models", "Procedures", "Bugs", "Inference", "Probes", "Remediation", "Progress"];

    private static readonly Architecture Core = new ArchLoader().LoadAssemblies(typeof(YellowPencil.Core.Bugs.Bug).Assembly).Build();

    public static TheoryData<string, string> Forbidden
    {
        get
        {
            var pairs = new TheoryData<string, string>();
            for (var from = 0; from < Folders.Length; from++)
                for (var to = from + 1; to < Folders.Length; to++) pairs.Add(Folders[from], Folders[to]);
            return pairs;
        }
    }

    [Theory]
    [MemberData(nameof(Forbidden))]
    public void Arrows_point_up_the_list_only(string from, string to)
    {
        var rule = Types().That().ResideInNamespaceMatching($@"^YellowPencil\.Core\.{from}(\..*)?$")
            .Should().NotDependOnAny(Types().That().ResideInNamespaceMatching($@"^YellowPencil\.Core\.{to}(\..*)?$")).WithoutRequiringPositiveResults();
        rule.Evaluate(Core).Where(r => !r.Passed).Select(r => r.Description).ShouldBeEmpty();
    }

    [Fact]
    public void Core_references_the_platform_only() =>
        typeof(YellowPencil.Core.Bugs.Bug).Assembly.GetReferencedAssemblies().Select(a => a.Name!)
            .Where(n => !n.StartsWith("System", StringComparison.Ordinal)).ShouldBeEmpty();

    [Fact]
    public void Core_uses_no_clock_and_no_unseeded_chance()
    {
        var sources = Directory.GetFiles(Source(), "*.cs", SearchOption.AllDirectories).Where(f => !f.Contains("/obj/"));
        foreach (var source in sources)
        {
            var text = File.ReadAllText(source);
            text.ShouldNotContain("DateTime.Now");
            text.ShouldNotContain("UtcNow");
            text.ShouldNotContain("new Random()");
            text.ShouldNotContain("Random.Shared");
        }

        static string Source()
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(folder!.FullName, "YellowPencil.slnx"))) folder = folder.Parent;
            return Path.Combine(folder.FullName, "src", "YellowPencil.Core");
        }
    }
}
