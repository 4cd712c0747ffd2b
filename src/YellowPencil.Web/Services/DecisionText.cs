using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>Decisions in words.</summary>
public static class DecisionText
{
    /// <summary>What was done, as the beginning of a line.</summary>
    public static string Did(DecisionKind kind) => kind switch
    {
        DecisionKind.Accepted => "Accepted",
        DecisionKind.Rejected => "Rejected",
        DecisionKind.Renamed => "Named",
        DecisionKind.Noted => "Noted",
        DecisionKind.Restored => "Taken back",
        DecisionKind.Own => "Said in own words",
        _ => "Put aside",
    };
}
