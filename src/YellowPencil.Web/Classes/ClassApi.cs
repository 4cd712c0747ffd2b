using System.Text.Json;
using Hangfire;
using Microsoft.AspNetCore.Antiforgery;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>What the script of a class's board asks for: saving answers, looking at a table before it is taken, and how far the reading is.</summary>
internal static class ClassApi
{
    public static void Map(WebApplication app)
    {
        app.MapPut("/api/class-sheets/{id:guid}/items", SaveAsync).RequireAuthorization();
        app.MapPost("/api/class-sheets/{id:guid}/table", PreviewAsync).RequireAuthorization();
        app.MapGet("/api/class-sheets/{id:guid}/state", StateAsync).RequireAuthorization();
        app.MapPut("/api/class-sheets/{id:guid}/by-itself", LetReadAsync).RequireAuthorization();
    }

    private static async Task<IResult> SaveAsync(
        Guid id, HttpContext context, IAntiforgery forms, PencilContext data, PageTyping typing, ClassDesk classes, RuleNaming names, IBackgroundJobClient jobs)
    {
        if (!await forms.IsRequestValidAsync(context)) return TypingApi.Expired();
        if (await classes.FindSheetAsync(id) is not { Class: not null } sheet) return Results.NotFound();
        var (pages, fault) = await TypedItem.ReadByPageAsync(context.Request.Body, context.RequestAborted);
        if (fault is not null) return TypingApi.Refuse(fault);
        var tasks = ClassDesk.ItemsOf(sheet).ToDictionary(i => i.Id, i => i.Task);
        var replies = new Dictionary<Guid, object>();
        foreach (var (page, items) in pages)
        {
            // A page that is not there any more costs itself only.
            var refused = items.Select(i => Refused(i, tasks.GetValueOrDefault(i.Id))).OfType<RefusedItem>().ToList();
            var saved = await SavePageAsync(typing, page, [.. items.Where(i => refused.TrueForAll(r => r.Id != i.Id))], id);
            replies[page] = saved is null
                ? new { versions = new Dictionary<string, int>(), conflicts = Array.Empty<object>(), refused = items.Select(i => new RefusedItem(i.Id, "this page is not on the sheet any more")) }
                : new { saved.Versions, conflicts = saved.Conflicts.Select(item => new { item.Id, item.Answer, version = saved.Page.ItemVersions.GetValueOrDefault(item.Id, 1) }), refused = saved.Refused.Concat(refused) };
        }

        ClassReader.Ask(jobs, sheet);
        return Results.Json(new { pages = replies, state = State((await ClassBoard.LoadAsync(data, id))!, names: await LoadedAsync(names)) });
    }

    // A page that cannot be read as it is stored takes nothing, and costs no other page anything.
    private static async Task<TypingSaved?> SavePageAsync(PageTyping typing, Guid page, IReadOnlyList<TypedItem> items, Guid sheet)
    {
        try
        {
            return await typing.SaveAsync(page, items, sheet);
        }
        catch (UnreadablePageException)
        {
            return null;
        }
    }

    // What is wrong with an answer; that an item is not there is said where it is saved.
    private static RefusedItem? Refused(TypedItem item, ItemTask? task) =>
        task is not null && item.Answer is { } answer && AnswerCheck.Read(task, answer, out var what, out var instead) is null ? new RefusedItem(item.Id, $"{what}: write {instead}") : null;

    private static async Task<IResult> PreviewAsync(Guid id, HttpContext context, IAntiforgery forms, PencilContext data)
    {
        if (!await forms.IsRequestValidAsync(context)) return TypingApi.Expired();
        if (await ClassBoard.LoadAsync(data, id) is not { } board) return Results.NotFound();
        Pasted? pasted;
        try
        {
            pasted = await JsonSerializer.DeserializeAsync<Pasted>(context.Request.Body, JsonSerializerOptions.Web, context.RequestAborted);
        }
        catch (JsonException)
        {
            return TypingApi.Refuse("this is not a table");
        }

        if (pasted?.Text is not { } text || text.Contains('\0')) return TypingApi.Refuse("this is not a table");
        var table = AnswerTable.Read(board, text, pasted.Page, pasted.Item);
        return Results.Json(new { table.Cells, table.Faults });
    }

    private static async Task<IResult> StateAsync(Guid id, PencilContext data, RuleNaming names) =>
        await ClassBoard.LoadAsync(data, id) is { } board ? Results.Json(State(board, await LoadedAsync(names))) : Results.NotFound();

    private static async Task<IResult> LetReadAsync(Guid id, HttpContext context, IAntiforgery forms, PencilContext data, ClassDesk classes, RuleNaming names, IBackgroundJobClient jobs)
    {
        if (!await forms.IsRequestValidAsync(context)) return TypingApi.Expired();
        if (await classes.FindSheetAsync(id) is not { Class: not null } sheet) return Results.NotFound();
        var text = await new StreamReader(context.Request.Body).ReadToEndAsync(context.RequestAborted);
        if (text is not ("true" or "false")) return TypingApi.Refuse("true or false is expected");
        await classes.LetReadAsync(id, text == "true");
        if (text == "true") ClassReader.Ask(jobs, sheet);
        return Results.Json(State((await ClassBoard.LoadAsync(data, id))!, await LoadedAsync(names)));
    }

    private static async Task<RuleNaming> LoadedAsync(RuleNaming names)
    {
        await names.LoadAsync();
        return names;
    }

    private static object State(ClassBoard board, RuleNaming names) => new
    {
        board.Read,
        board.Of,
        byItself = board.Sheet.IsReadByItself,
        rows = board.Rows.ToDictionary(r => r.Page.Id, r => new
        {
            says = ClassText.Row(r, names, board.Sheet.Class!.Word),
            verdicts = r.Sheet.Items.ToDictionary(i => i.Id, i => Spelling.Of(i.Task.Judge(i.Answer))),
        }),
    };

    private sealed record Pasted(string? Text, Guid? Page, string? Item);
}
