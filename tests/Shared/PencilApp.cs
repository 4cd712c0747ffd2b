using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace YellowPencil.Tests.Shared;

/// <summary>The whole application on a database of its own in the real PostgreSQL that ./test starts.</summary>
public sealed class PencilApp : WebApplicationFactory<Program>
{
    /// <summary>A database with the demo data, made once in this process by the application itself and copied for every test.</summary>
    private static readonly Lazy<string> Demo = new(() =>
    {
        var first = new PencilApp("", []) { isTemplate = true };
        first.StartServer();
        first.DisposeAsync().AsTask().GetAwaiter().GetResult();
        Postgres($"select pg_terminate_backend(pid) from pg_stat_activity where datname = '{first.database}'");
        return first.database;
    });

    private string database = $"test_{Guid.NewGuid():N}";

    private readonly (string Name, string Value)[] settings;

    private bool isTemplate; // or beside another one: the database stays

    public PencilApp()
        : this([])
    {
    }

    /// <summary>The application with settings of its own.</summary>
    internal PencilApp(params (string Name, string Value)[] settings)
        : this(Demo.Value, settings)
    {
    }

    private PencilApp(string template, (string Name, string Value)[] settings)
    {
        this.settings = settings;
        if (template.Length > 0) Postgres($"create database {database} template {template}");
        UseKestrel(0);
    }

    /// <summary>The application on a database that SQL makes.</summary>
    internal static async Task<PencilApp> OnAsync(string sql, params (string Name, string Value)[] settings)
    {
        var app = new PencilApp("template0", settings);
        await app.SqlAsync(sql);
        return app;
    }

    /// <summary>Another instance on the same database; it ends before the first does.</summary>
    internal PencilApp Beside(params (string Name, string Value)[] settings) => new("", settings) { database = database, isTemplate = true };

    private static string Cluster => Environment.GetEnvironmentVariable("YELLOWPENCIL_TEST_DB")
        ?? throw new InvalidOperationException("YELLOWPENCIL_TEST_DB is not set: run ./test, which starts a throw-away PostgreSQL");

    /// <summary>Adds services after the application's own.</summary>
    internal Action<IServiceCollection> More { get; init; } = _ => { };

    /// <summary>The connection to the application's database.</summary>
    public string ConnectionString => $"{Cluster};Database={database};Timeout=300;Command Timeout=900";

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
        if (!isTemplate) Postgres($"drop database if exists {database} with (force)");
        GC.SuppressFinalize(this);
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        builder.ConfigureAppConfiguration((_, configuration) => configuration.AddInMemoryCollection(new Dictionary<string, string?>
        {
            ["Serilog:MinimumLevel:Default"] = "Fatal",
            ["Serilog:MinimumLevel:Override:YellowPencil"] = "Fatal",
            ["Serilog:MinimumLevel:Override:Microsoft.AspNetCore.DataProtection"] = "Fatal",
        }));
        builder.UseSetting("ConnectionStrings:Pencil", ConnectionString);
        builder.UseSetting("Migrate", "true");
        builder.UseSetting("Demo", "true");
        builder.UseSetting("WarmUp", "false");

        // Tests wait for what happens, not for a clock: on a machine that stands still for a minute nothing is given up.
        builder.UseSetting("Requests:LongestSeconds", "900");
        builder.UseSetting("Requests:PatienceSeconds", "900");
        foreach (var (name, value) in settings) builder.UseSetting(name, value);
        builder.ConfigureTestServices(More);
    }

    private static void Postgres(string sql)
    {
        using var source = NpgsqlDataSource.Create($"{Cluster};Database=postgres");
        using var command = source.CreateCommand(sql);
        command.ExecuteNonQuery();
    }
}
