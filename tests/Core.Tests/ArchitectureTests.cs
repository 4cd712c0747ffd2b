using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Parts.DecimalColumns;

namespace YellowPencil.Core.Tests;

/// <summary>
/// The arrows of the house. In Core each folder uses only folders before it in the list, at every depth: a folder of families and parts is above its own
/// subfolders, no family knows another, and nothing goes round in a circle. Core uses no web and no data package.
/// </summary>
public class ArchitectureTests
{
    private const string Root = "YellowPencil.Core.";

    private static readonly string[] Folders =
        ["Notation", "Pages", "Layouts", "Models", "Knowledge", "Engine", "Parts", "Families", "Format", "Inference", "Asking", "Telling", "Teaching", "Progress"];

    private static readonly string[] PartsOfMethods =
        ["Columns", "Sums", "Differences", "Products", "Divisions", "Beside", "SignRules", "Fractions", "Terms", "DecimalColumns", "Copying"];

    private static readonly Architecture Core = new ArchLoader().LoadAssemblies(typeof(Bug).Assembly).Build();

    private static readonly IReadOnlyList<(string From, string To, string Example)> Arrows =
    [
        .. Core.Types.Where(t => t.FullName.StartsWith(Root, StringComparison.Ordinal))
            .SelectMany(t => t.Dependencies.Select(d => d.Target).Where(d => d.FullName.StartsWith(Root, StringComparison.Ordinal)).Select(d => (From: FolderOf(t), To: FolderOf(d), Example: $"{t.Name} uses {d.Name}")))
            .Where(a => a.From != a.To).DistinctBy(a => (a.From, a.To)),
    ];

    // The namespace without what it begins with; types inside others belong to these.
    private static string FolderOf(IType type) => type.Namespace.FullName[Root.Length..];

    [Fact]
    public void Every_folder_is_in_the_list() =>
        Core.Types.Where(t => t.FullName.StartsWith(Root, StringComparison.Ordinal)).Select(t => FolderOf(t).Split('.')[0]).Distinct().Order().ShouldBe(Folders.Order());

    [Fact]
    public void Arrows_point_up_the_list_only() => Arrows
        .Where(a => Array.IndexOf(Folders, a.From.Split('.')[0]) < Array.IndexOf(Folders, a.To.Split('.')[0])).Select(a => $"{a.From} -> {a.To}: {a.Example}").ShouldBeEmpty();

    [Fact]
    public void Inside_the_parts_arrows_point_up_their_list_too() => Arrows
        .Where(a => a.From.StartsWith("Parts.", StringComparison.Ordinal) && a.To.StartsWith("Parts", StringComparison.Ordinal))
        .Where(a => a.To == "Parts" || Array.IndexOf(PartsOfMethods, a.From.Split('.')[1]) < Array.IndexOf(PartsOfMethods, a.To.Split('.')[1])).Select(a => $"{a.From} -> {a.To}: {a.Example}").ShouldBeEmpty();

    [Fact]
    public void A_family_knows_its_own_folder_only_and_not_the_list() => Arrows
        .Where(a => a.From.StartsWith("Families.", StringComparison.Ordinal) && a.To.StartsWith("Families", StringComparison.Ordinal)).Select(a => $"{a.From} -> {a.To}: {a.Example}").ShouldBeEmpty();

    [Fact]
    public void Core_references_the_platform_only() =>
        typeof(Bug).Assembly.GetReferencedAssemblies().Select(a => a.Name!)
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
