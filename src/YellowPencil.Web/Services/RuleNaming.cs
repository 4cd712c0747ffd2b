using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>What rules are called: the specialist's own name where one was given, else the catalogue's, in the classroom's word.</summary>
public sealed class RuleNaming(PencilContext data, TimeProvider clock)
{
    private Dictionary<string, string>? own;

    /// <summary>Loads the specialist's names, once a request.</summary>
    public async Task LoadAsync() => own ??= (await data.RuleNames.OrderBy(n => n.At).Select(n => new { n.Rules, n.Name }).ToListAsync())
        .GroupBy(n => n.Rules).ToDictionary(g => g.Key, g => g.Last().Name);

    /// <summary>The name of rules joined by +; "no systematic bug" for none. <see cref="LoadAsync"/> comes first.</summary>
    public string Of(string rules, ClassroomWord word)
    {
        if (rules.Length == 0) return "no systematic bug";
        return Own(rules) ?? string.Join(" and ", rules.Split('+').Select(id => Own(id) ?? Listed(id, word)));
    }

    /// <summary>The specialist's own name; null where none was given.</summary>
    public string? Own(string rules) => (own ?? throw new InvalidOperationException("the names have not been loaded")).GetValueOrDefault(rules);

    /// <summary>An explanation in a sentence, behind the specialist's own name where there is one.</summary>
    public string Told(Explanation explanation, ClassroomWord word) =>
        Own(ReadingDesk.RulesOf(explanation)) is { } name ? $"“{name}”: {explanation.Text.In(word)}" : explanation.Text.In(word);

    /// <summary>Gives a name, which counts everywhere from now on.</summary>
    public async Task GiveAsync(string rules, string name, string byName)
    {
        data.RuleNames.Add(new RuleName { Id = Guid.CreateVersion7(clock.GetUtcNow()), Rules = rules, Name = name, ByName = byName, At = clock.GetUtcNow() });
        await data.SaveChangesAsync();
        own = null;
    }

    private static string Listed(string id, ClassroomWord word) => Catalogue.Find(id)?.Name.In(word)
        ?? (id.StartsWith("unlisted:", StringComparison.Ordinal) ? "A rule that is not in the catalogue" : "A rule of an earlier catalogue");
}
