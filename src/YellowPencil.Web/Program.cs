using System.Net.Sockets;
using Microsoft.AspNetCore.Diagnostics.HealthChecks;
using Microsoft.AspNetCore.HttpOverrides;
using Npgsql;
using Serilog;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

try
{
    var areAccountsMeant = AccountCommands.AreMeant(args);
    var builder = WebApplication.CreateBuilder(areAccountsMeant ? [] : args);
    builder.Host.UseSerilog((context, log) => log.ReadFrom.Configuration(context.Configuration).Enrich.FromLogContext().WriteToConsole(context.Configuration["Logs"]));
    if (builder.Configuration.GetConnectionString("Pencil") is not { Length: > 0 } connection) return Stop("no database is named", "set ConnectionStrings__Pencil (docs/operating.md)");
    builder.AddCore(connection);
    if (areAccountsMeant) return await AccountCommands.RunAsync(args, builder.Build().Services, Console.Out, Console.Error);
    builder.Services.AddPages(builder.Configuration);
    builder.WebHost.ConfigureKestrel(kestrel => Limits.Configure(kestrel, builder.Configuration));
    builder.Services.Configure<ForwardedHeadersOptions>(options => Limits.Trust(options, builder.Configuration["Proxies"]));

    var app = builder.Build();
    app.UseForwardedHeaders();
    app.Use(SecurityHeaders.Add);
    app.UseExceptionHandler(new ExceptionHandlerOptions
    {
        ExceptionHandlingPath = "/status/500",
        StatusCodeSelector = e => e.IsFull() ? StatusCodes.Status507InsufficientStorage : StatusCodes.Status500InternalServerError,
    });
    app.UseStatusCodePagesWithReExecute("/status/{0}");
    if (!app.Environment.IsDevelopment() && app.Configuration.GetValue<bool>("Https")) app.UseHsts();
    app.UseStaticFiles();
    app.UseSerilogRequestLogging(options =>
    {
        // Of an address its route is logged, without what stands for a student in it.
        options.MessageTemplate = "HTTP {RequestMethod} {Route} responded {StatusCode} in {Elapsed:0} ms";
        options.EnrichDiagnosticContext = (log, context) => log.Set("Route", (context.GetEndpoint() as RouteEndpoint)?.RoutePattern.RawText ?? "no route");
    });
    app.Use(RequestGuard.CheckAsync);
    app.UseRouting();
    app.UseRequestTimeouts();
    app.UseRateLimiter();
    app.UseAuthentication();
    app.UseAuthorization();
    app.MapHealthChecks("/healthz", new HealthCheckOptions { Predicate = _ => false }).AllowAnonymous();
    app.MapHealthChecks("/readyz").AllowAnonymous();
    app.MapRazorPages();
    TypingApi.Map(app);
    SessionApi.Map(app);
    ClassApi.Map(app);
    SheetApi.Map(app);
    CalendarApi.Map(app);

    await using (var scope = app.Services.CreateAsyncScope())
    {
        if (app.Configuration.GetValue<bool>("Migrate")) await scope.ServiceProvider.GetRequiredService<PencilContext>().BringUpToDateAsync();
        if (app.Configuration.GetValue<bool>("Demo")) await scope.ServiceProvider.GetRequiredService<DemoLoader>().LoadIfEmptyAsync();
    }

    // Says to whoever started it that it listens; an answer on the port might be another program's.
    if (app.Configuration["ReadyFile"] is { } ready) app.Lifetime.ApplicationStarted.Register(() => File.WriteAllText(ready, string.Join('\n', app.Urls)));
    await app.RunAsync();
    return 0;
}
catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException || e.Message.Contains("bind", StringComparison.Ordinal))
{
    return Stop("the port is taken by another program", "choose another one with --urls http://127.0.0.1:PORT");
}
catch (OldDatabaseException e)
{
    return Stop(e.Message, "start the last version before this one once on it, which brings it there (docs/operating.md)");
}
catch (Exception e) when (e is NpgsqlException or SocketException || e.GetBaseException() is NpgsqlException or SocketException)
{
    return Stop($"the database does not answer: {e.GetBaseException().Message.Split('\n')[0]}", "check that PostgreSQL runs, and the connection string (docs/operating.md)");
}

static int Stop(string what, string advice)
{
    Console.Error.WriteLine($"! Yellow Pencil cannot start: {what}. What to do: {advice}.");
    return 1;
}

/// <summary>The application; named for the tests that host it.</summary>
public partial class Program;
