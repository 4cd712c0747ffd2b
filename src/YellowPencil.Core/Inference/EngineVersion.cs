using YellowPencil.Core.Bugs;

namespace YellowPencil.Core.Inference;

/// <summary>What made a reading: kept with it, so that a later engine can be compared.</summary>
public static class EngineVersion
{
    /// <summary>Changes when the inference or the catalogue changes what a sheet is read as.</summary>
    public static string Current { get; } = $"1.0/{Catalogue.All.Count}";
}
