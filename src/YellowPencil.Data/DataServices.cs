using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace YellowPencil.Data;

/// <summary>Sets the database up.</summary>
public static class DataServices
{
    /// <summary>Adds the context. An <see cref="ICurrentOwner"/> must be registered too.</summary>
    public static IServiceCollection AddPencilData(this IServiceCollection services, string connectionString)
    {
        var source = DataSource(connectionString);
        services.AddSingleton(source);
        return services.AddDbContext<PencilContext>(options => Configure(options, source));
    }

    internal static NpgsqlDataSource DataSource(string connectionString)
    {
        var builder = new NpgsqlDataSourceBuilder(connectionString);
        builder.EnableDynamicJson();
        return builder.Build();
    }

    internal static void Configure(DbContextOptionsBuilder options, NpgsqlDataSource source) =>
        options.UseNpgsql(source, npgsql => npgsql.UseQuerySplittingBehavior(QuerySplittingBehavior.SplitQuery)).UseSnakeCaseNamingConvention();
}

/// <summary>Brings the database's schema up to date.</summary>
public static class Schema
{
    /// <summary>Makes the schema, or what is missing of it.</summary>
    /// <exception cref="OldDatabaseException">The database is older than the oldest version whose data are taken over.</exception>
    public static async Task BringUpToDateAsync(this PencilContext data)
    {
        var applied = (await data.Database.GetAppliedMigrationsAsync()).ToList();
        var first = data.Database.GetMigrations().First();
        if (applied.Count > 0 && !applied.Contains(first)) throw new OldDatabaseException($"the database's schema is {applied[^1]}, older than {first}");
        await data.Database.MigrateAsync();
    }
}

/// <summary>A database too old to be taken over.</summary>
public sealed class OldDatabaseException(string message) : Exception(message);

/// <summary>Makes a context for the migration tool, which needs no database.</summary>
internal sealed class DesignTimeContext : IDesignTimeDbContextFactory<PencilContext>
{
    public PencilContext CreateDbContext(string[] args)
    {
        var options = new DbContextOptionsBuilder<PencilContext>();
        DataServices.Configure(options, DataServices.DataSource("Host=localhost;Database=design"));
        return new PencilContext(options.Options, new Nobody());
    }

    private sealed class Nobody : ICurrentOwner
    {
        public Guid? Id => null;
    }
}
