using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace YellowPencil.Web.Forms;

/// <summary>Gives every form that is posted the key by which it is taken in once, and the name under which the browser keeps its fields.</summary>
[HtmlTargetElement("form", Attributes = "[method=post]")]
public sealed class FormTagHelper : TagHelper
{
    /// <summary>The name under which the browser keeps the fields of the form until it is taken in; none by default.</summary>
    public string? KeepAs { get; set; }

    /// <inheritdoc/>
    public override void Process(TagHelperContext context, TagHelperOutput output)
    {
        output.PostContent.AppendHtml(Hidden(OnceFilter.Field, Guid.NewGuid().ToString()));
        if (KeepAs is not null) output.PostContent.AppendHtml(Hidden(OnceFilter.Taken, KeepAs));
    }

    private static TagBuilder Hidden(string name, string value)
    {
        var input = new TagBuilder("input") { TagRenderMode = TagRenderMode.SelfClosing };
        input.Attributes["type"] = "hidden";
        input.Attributes["name"] = name;
        input.Attributes["value"] = value;
        return input;
    }
}
