namespace YellowPencil.Core.Pages;

/// <summary>How much one field may hold; the same numbers stand in the schema and in the contract.</summary>
internal static class Limits
{
    public const int MarksInOnePlace = 12;
    public const int Entries = 60;
    public const int Entry = 60;
    public const int Mark = 20;
    public const int Line = 200;
    public const int FarthestPlace = 60;
}
