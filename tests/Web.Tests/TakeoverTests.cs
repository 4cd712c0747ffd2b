using Npgsql;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>A database that an earlier version made: <c>OldDatabase.sql</c> is what pg_dump wrote of one, with its five migrations.</summary>
public sealed class TakeoverTests
{
    [Fact]
    public async Task An_older_database_is_taken_over_with_every_row_and_stands_in_the_schema_of_a_new_one()
    {
        await using var old = await PencilApp.OnAsync(OldDatabase.Sql);
        var before = await RowsAsync(old);
        before.Count(r => r.StartsWith("decisions:", StringComparison.Ordinal)).ShouldBe(5);
        old.StartServer();
        (await RowsAsync(old)).ShouldBe(before);
        await using var fresh = new PencilApp();
        fresh.StartServer();
        (await SchemaAsync(old)).ShouldBe(await SchemaAsync(fresh));

        using var visitor = await new Visitor(old).SignInAsync();
        var page = await old.SqlAsync("select page_id::text from plans order by id limit 1");
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelectorAll("a[href^='/plans/']").Length.ShouldBeGreaterThan(0);
    }

    /// <summary>Every row of every table; the keys for cookies and the list of migrations, which a start adds to, are left out.</summary>
    internal static async Task<IReadOnlyList<string>> RowsAsync(PencilApp app)
    {
        var tables = await ListAsync(app, "select table_name from information_schema.tables where table_schema = 'public' and table_name not in ('data_protection_keys', '__EFMigrationsHistory') order by 1");
        var rows = new List<string>();
        foreach (var table in tables) rows.AddRange((await ListAsync(app, $"select jsonb_strip_nulls(to_jsonb(t))::text from \"{table}\" t order by 1")).Select(r => $"{table}: {r}"));
        return rows;
    }

    private static Task<IReadOnlyList<string>> SchemaAsync(PencilApp app) => ListAsync(app, """
        select * from (
          select table_name || '.' || column_name || ' ' || data_type || coalesce('(' || character_maximum_length || ')', '') || ' ' || is_nullable
            from information_schema.columns where table_schema = 'public'
          union all select conrelid::regclass || ' ' || conname || ' ' || pg_get_constraintdef(oid) from pg_constraint where connamespace = 'public'::regnamespace
          union all select indexdef from pg_indexes where schemaname = 'public') s (line)
        order by line
        """);

    private static async Task<IReadOnlyList<string>> ListAsync(PencilApp app, string sql)
    {
        await using var source = NpgsqlDataSource.Create(app.ConnectionString);
        await using var reader = await source.CreateCommand(sql).ExecuteReaderAsync();
        var lines = new List<string>();
        while (await reader.ReadAsync()) lines.Add(reader.GetString(0));
        return lines;
    }
}
