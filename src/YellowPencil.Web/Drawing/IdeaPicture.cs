using System.Globalization;
using System.Net;
using System.Text;
using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Drawing;

/// <summary>An idea in its place on the map: a column for each step of learning, from the left, and rows from the top.</summary>
public sealed record PlacedIdea(MissingIdea Idea, int Column, int Row);

/// <summary>
/// The map of ideas as a picture: what was seen of a student, and what stands next to the ideas in question, joined by lines from what comes first to what
/// rests on it. Every idea leads to what is said of it further down.
/// </summary>
public static class IdeaPicture
{
    private const int Wide = 164;
    private const int High = 56;
    private const int Across = 36;
    private const int Apart = 12;
    private const int LettersInLine = 21;

    /// <summary>
    /// Which ideas are on the map: those that were seen, and the neighbours of those that are missing or shaky, or, where none is, of those that are held.
    /// </summary>
    public static IReadOnlyList<MissingIdea> Shown(IReadOnlyDictionary<MissingIdea, IdeaStanding> standings)
    {
        List<MissingIdea> seen = [.. IdeaMap.All.Where(i => standings[i].State != IdeaState.NotSeen)];
        List<MissingIdea> inQuestion = [.. seen.Where(i => standings[i].State is IdeaState.Missing or IdeaState.Shaky)];
        var middle = (inQuestion.Count > 0 ? inQuestion : seen).ToHashSet();
        return [.. IdeaMap.All.Where(i => seen.Contains(i) || IdeaMap.Needs(i).Any(middle.Contains) || middle.Any(m => IdeaMap.Needs(m).Contains(i)))];
    }

    /// <summary>Puts ideas in their places: each in a column behind all that it needs, and near to these.</summary>
    /// <param name="ideas">Ideas in an order in which none comes before one that it needs.</param>
    public static IReadOnlyList<PlacedIdea> Place(IReadOnlyList<MissingIdea> ideas)
    {
        var columns = new Dictionary<MissingIdea, int>();
        foreach (var idea in ideas) columns[idea] = Needs(idea, columns).Select(n => columns[n] + 1).DefaultIfEmpty(0).Max();
        var rows = new Dictionary<MissingIdea, int>();
        foreach (var column in ideas.GroupBy(i => columns[i]).OrderBy(c => c.Key))
        {
            var next = 0;
            foreach (var (idea, wish) in column.Select(i => (Idea: i, Wish: Needs(i, rows).Select(n => (double)rows[n]).DefaultIfEmpty(0).Average())).OrderBy(i => i.Wish))
            {
                rows[idea] = Math.Max(next, (int)Math.Round(wish));
                next = rows[idea] + 1;
            }
        }

        return [.. ideas.Select(i => new PlacedIdea(i, columns[i], rows[i]))];
    }

    /// <summary>Draws the map.</summary>
    /// <param name="standings">How every idea stands.</param>
    /// <param name="word">The classroom's word.</param>
    public static IHtmlContent Draw(IReadOnlyDictionary<MissingIdea, IdeaStanding> standings, ClassroomWord word)
    {
        var placed = Place(Shown(standings)).ToDictionary(p => p.Idea);
        var (width, height) = (placed.Values.Select(p => X(p) + Wide).DefaultIfEmpty(0).Max() + 4, placed.Values.Select(p => Y(p) + High).DefaultIfEmpty(0).Max() + 4);
        var svg = new StringBuilder();
        svg.Append(CultureInfo.InvariantCulture, $"<svg class=\"ideamap\" viewBox=\"0 0 {width} {height}\" width=\"{width / 16.0}rem\" height=\"{height / 16.0}rem\" role=\"group\" aria-label=\"Map: what comes first stands on the left\">");
        foreach (var to in placed.Values)
            foreach (var from in IdeaMap.Needs(to.Idea).Where(placed.ContainsKey).Select(n => placed[n])) Join(svg, from, to, standings[from.Idea].State);
        foreach (var place in placed.Values) Box(svg, place, standings[place.Idea].State, place.Idea.Name.In(word));
        return new HtmlString(svg.Append("</svg>").ToString());
    }

    private static IEnumerable<MissingIdea> Needs(MissingIdea idea, Dictionary<MissingIdea, int> among) => IdeaMap.Needs(idea).Where(among.ContainsKey);

    private static int X(PlacedIdea place) => 2 + place.Column * (Wide + Across);

    private static int Y(PlacedIdea place) => 2 + place.Row * (High + Apart);

    private static void Join(StringBuilder svg, PlacedIdea from, PlacedIdea to, IdeaState state)
    {
        var (x1, y1, x2, y2) = (X(from) + Wide, Y(from) + High / 2, X(to), Y(to) + High / 2);
        var bend = Across / 2 + (to.Column - from.Column - 1) * Across;
        svg.Append(CultureInfo.InvariantCulture, $"<path class=\"{state.ToString().ToLowerInvariant()}\" d=\"M{x1} {y1}C{x1 + bend} {y1} {x2 - bend} {y2} {x2} {y2}\"/>");
    }

    private static void Box(StringBuilder svg, PlacedIdea place, IdeaState state, string name)
    {
        // What is read aloud has in it what is seen, so a line ends with its space.
        var seen = $"{Pages.Students.IdeasModel.MarkOf(state)} {name}";
        var lines = Lines(seen);
        var top = Y(place) + High / 2.0 - (lines.Count - 1) * 8;
        svg.Append(CultureInfo.InvariantCulture, $"<a href=\"#{place.Idea.Id}\" class=\"{state.ToString().ToLowerInvariant()}\" aria-label=\"{WebUtility.HtmlEncode($"{seen}: {Pages.Students.IdeasModel.Told(state)}")}\"><rect x=\"{X(place)}\" y=\"{Y(place)}\" width=\"{Wide}\" height=\"{High}\"/>");
        foreach (var (number, line) in lines.Index()) svg.Append(CultureInfo.InvariantCulture, $"<text x=\"{X(place) + 8}\" y=\"{top + number * 16}\">{WebUtility.HtmlEncode(line)}{(number < lines.Count - 1 ? " " : "")}</text>");
        svg.Append("</a>");
    }

    private static List<string> Lines(string text)
    {
        List<string> lines = [""];
        foreach (var word in text.Split(' '))
            if (lines[^1].Length == 0) lines[^1] = word;
            else if (lines[^1].Length + 1 + word.Length <= LettersInLine) lines[^1] += " " + word;
            else lines.Add(word);
        return lines;
    }
}
