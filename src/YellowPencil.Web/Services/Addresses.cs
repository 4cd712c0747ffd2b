namespace YellowPencil.Web.Services;

/// <summary>The addresses of the pages. A student's code stands only behind /students/, where no fixed word stands beside it.</summary>
public static class Addresses
{
    /// <summary>The desk.</summary>
    public const string Desk = "/";

    /// <summary>Adding a student.</summary>
    public const string AddStudent = "/add-student";

    /// <summary>What was thrown away.</summary>
    public const string ThrownAway = "/thrown-away";

    /// <summary>A student's file.</summary>
    public static string Student(string code) => $"/students/{Uri.EscapeDataString(code)}";

    /// <summary>Changing what a file says.</summary>
    public static string EditStudent(string code) => $"{Student(code)}/edit";

    /// <summary>Beginning a page.</summary>
    public static string BeginPage(string code) => $"{Student(code)}/pages/new";

    /// <summary>Typing a page in.</summary>
    public static string Page(Guid id) => $"/pages/{id}";

    /// <summary>Changing the items, name and date of a page.</summary>
    public static string EditPage(Guid id) => $"/pages/{id}/edit";

    /// <summary>The page on paper, for the student.</summary>
    public static string Sheet(Guid id) => $"/pages/{id}/sheet";

    /// <summary>The reading of a page, with one of its explanations chosen.</summary>
    public static string Reading(Guid id, string? rules = null) => $"/pages/{id}/reading{Chosen(rules)}";

    /// <summary>The replay of an item, by one of the explanations.</summary>
    public static string Item(Guid id, string item, string? rules = null) => $"/pages/{id}/items/{Uri.EscapeDataString(item)}{Chosen(rules)}";

    /// <summary>A plan.</summary>
    public static string Plan(Guid id) => $"/plans/{id}";

    /// <summary>The practice items of a plan on paper.</summary>
    public static string Practice(Guid id) => $"/plans/{id}/practice";

    /// <summary>The rules of an explanation as an address names them, which has a word for none.</summary>
    public static string? RulesIn(string? named) => named == Sound ? "" : named;

    private const string Sound = "sound";

    private static string Chosen(string? rules) => rules is null ? "" : $"?rules={Uri.EscapeDataString(rules.Length == 0 ? Sound : rules)}";
}
