using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.Configuration;
using Npgsql;

namespace YellowPencil.Tests.Shared;

/// <summary>The whole application on a database of its own in the real PostgreSQL that ./test starts.</summary>
public sealed class PencilApp : WebApplicationFactory<Program>
{
    private readonly string database = $"test_{Guid.NewGuid():N}";

    private readonly (string Name, string Value)[] settings;

    public PencilApp()
        : this([])
    {
    }

    /// <summary>The application with settings of its own.</summary>
    internal PencilApp(params (string Name, string Value)[] settings)
    {
        this.settings = settings;
        UseKestrel(0);
    }

    private static string Postgres => Environment.GetEnvironmentVariable("YELLOWPENCIL_TEST_DB")
        ?? throw new InvalidOperationException("YELLOWPENCIL_TEST_DB is not set: run ./test, which starts a throw-away PostgreSQL");

    /// <summary>The connection to the application's database.</summary>
    public string ConnectionString => $"{Postgres};Database={database}";

    /// <summary>Runs SQL on the application's database.</summary>
    public async Task<object?> SqlAsync(string sql)
    {
        await using var connection = new NpgsqlConnection(ConnectionString);
        await connection.OpenAsync();
        await using var command = new NpgsqlCommand(sql, connection);
        return await command.ExecuteScalarAsync();
    }

    public override async ValueTask DisposeAsync()
    {
        await base.DisposeAsync();
        NpgsqlConnection.ClearAllPools();
        await using var connection = new NpgsqlConnection($"{Postgres};Database=postgres");
        await connection.OpenAsync();
        await using var command = new NpgsqlCommand($"drop database if exists {database} with (force)", connection);
        await command.ExecuteNonQueryAsync();
        GC.SuppressFinalize(this);
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        builder.ConfigureAppConfiguration((_, configuration) => configuration.AddInMemoryCollection(new Dictionary<string, string?>
        {
            ["Serilog:MinimumLevel:Default"] = "Fatal",
            ["Serilog:MinimumLevel:Override:YellowPencil"] = "Fatal",
        }));
        builder.UseSetting("ConnectionStrings:Pencil", ConnectionString);
        builder.UseSetting("Migrate", "true");
        builder.UseSetting("Demo", "true");
        builder.UseSetting("WarmUp", "false");
        foreach (var (name, value) in settings) builder.UseSetting(name, value);
    }
}
