namespace YellowPencil.Core.Knowledge;

/// <summary>An idea that a student who follows a bug does not have yet.</summary>
/// <param name="Id">The stable name.</param>
/// <param name="Name">A few words.</param>
/// <param name="Statement">The idea in a sentence, in the classroom's word where one is due.</param>
public sealed record MissingIdea(string Id, string Name, string Statement);
