using YellowPencil.Core.Inference;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Telling;

namespace YellowPencil.Web.Services;

/// <summary>The addresses of the pages. A student's code stands only behind /students/, where no fixed word stands beside it.</summary>
public static class Addresses
{
    /// <summary>The desk.</summary>
    public const string Desk = "/";

    /// <summary>Adding a student.</summary>
    public const string AddStudent = "/add-student";

    /// <summary>Putting a class together.</summary>
    public const string AddClass = "/add-class";

    /// <summary>What was thrown away.</summary>
    public const string ThrownAway = "/thrown-away";

    /// <summary>A student's file.</summary>
    public static string Student(string code) => $"/students/{Uri.EscapeDataString(code)}";

    /// <summary>The map of ideas as they stand with a student, at one of them where it is named.</summary>
    public static string Ideas(string code, string? idea = null) => $"{Student(code)}/ideas{(idea is null ? "" : $"#{idea}")}";

    /// <summary>The number facts that a student learns.</summary>
    public static string FactTracks(string code) => $"{Student(code)}/facts";

    /// <summary>Who looked at a student's file.</summary>
    public static string Looks(string code) => $"{Student(code)}/looks";

    /// <summary>Changing what a file says.</summary>
    public static string EditStudent(string code) => $"{Student(code)}/edit";

    /// <summary>Beginning a page.</summary>
    public static string BeginPage(string code) => $"{Student(code)}/pages/new";

    /// <summary>Beginning a page that asks the same as another with other numbers.</summary>
    public static string ParallelPage(string code, Guid other) => $"{BeginPage(code)}?parallelTo={other}";

    /// <summary>Setting a sheet that asks the same as another with other numbers.</summary>
    public static string ParallelSheet(Guid schoolClass, Guid other) => $"{SetSheet(schoolClass)}?parallelTo={other}";

    /// <summary>Typing a page in.</summary>
    public static string Page(Guid id) => $"/pages/{id}";

    /// <summary>Changing the items, name and date of a page.</summary>
    public static string EditPage(Guid id) => $"/pages/{id}/edit";

    /// <summary>Mending a page that cannot be read.</summary>
    public static string Mend(Guid id) => $"/pages/{id}/mend";

    /// <summary>The page on paper, for the student.</summary>
    public static string Sheet(Guid id) => $"/pages/{id}/sheet";

    /// <summary>Short plans for the number facts that a page shows.</summary>
    public static string Facts(Guid id) => $"/pages/{id}/facts";

    /// <summary>Paper aids: squared paper, mats, number lines, multiples.</summary>
    public const string Aids = "/paper";

    /// <summary>What has to be brought this week.</summary>
    public const string Materials = "/materials";

    /// <summary>The reading of a page, with one of its explanations chosen.</summary>
    public static string Reading(Guid id, string? rules = null) => $"/pages/{id}/reading{Chosen(rules)}";

    /// <summary>The replay of an item, by one of the explanations.</summary>
    public static string Item(Guid id, string item, string? rules = null) => $"/pages/{id}/items/{Uri.EscapeDataString(item)}{Chosen(rules)}";

    /// <summary>An item worked by each school.</summary>
    public static string Schools(Guid id, string item) => $"{Item(id, item)}/schools";

    /// <summary>A class.</summary>
    public static string Class(Guid id) => $"/classes/{id}";

    /// <summary>Changing a class.</summary>
    public static string EditClass(Guid id) => $"/classes/{id}/edit";

    /// <summary>Setting a sheet for a class.</summary>
    public static string SetSheet(Guid id) => $"/classes/{id}/set";

    /// <summary>Typing in what a class wrote.</summary>
    public static string ClassSheet(Guid id) => $"/class-sheets/{id}";

    /// <summary>The sheet of a class on paper.</summary>
    public static string ClassPaper(Guid id) => $"{ClassSheet(id)}/paper";

    /// <summary>The reading of a class, at a student's row where one is named.</summary>
    public static string ClassReading(Guid id, string? code = null) => $"/class-sheets/{id}/reading{(code is null ? "" : $"#{Row(code)}")}";

    /// <summary>The name of a student's row within the reading of a class.</summary>
    public static string Row(string code) => $"row-{Uri.EscapeDataString(code)}";

    /// <summary>A plan.</summary>
    public static string Plan(Guid id) => $"/plans/{id}";

    /// <summary>The sentences of a plan, to be changed.</summary>
    public static string PlanWords(Guid id) => $"{Plan(id)}/words";

    /// <summary>Two plans side by side.</summary>
    public static string Beside(Guid id, Guid other) => $"{Plan(id)}/beside/{other}";

    /// <summary>The faded examples of a plan on paper.</summary>
    public static string Faded(Guid id) => $"/plans/{id}/faded";

    /// <summary>The card of a session: a plan on one page.</summary>
    public static string Card(Guid id) => $"/plans/{id}/card";

    /// <summary>The weeks of a plan: sessions, checks and how it stands.</summary>
    public static string Progress(Guid id) => $"/plans/{id}/progress";

    /// <summary>Reports about a plan.</summary>
    public static string Reports(Guid id) => $"/plans/{id}/reports";

    /// <summary>A session, ticked while it is taught.</summary>
    public static string Session(Guid id) => $"/sessions/{id}";

    /// <summary>Paper of a kind for a student.</summary>
    public static string Aid(string kind, string code) => $"{Aids}?kind={kind}&code={Uri.EscapeDataString(code)}";

    /// <summary>The practice items of a plan on paper.</summary>
    public static string Practice(Guid id) => $"/plans/{id}/practice";

    /// <summary>The rules of an explanation as an address names them, which has a word for none.</summary>
    public static string? RulesIn(string? named) => named == Sound ? "" : named;

    private const string Sound = "sound";

    private static string Chosen(string? rules) => rules is null ? "" : $"?rules={Uri.EscapeDataString(rules.Length == 0 ? Sound : rules)}";
}
