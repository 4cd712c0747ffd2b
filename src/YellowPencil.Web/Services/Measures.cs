using System.Diagnostics;
using System.Diagnostics.Metrics;
using Hangfire;
using OpenTelemetry.Metrics;
using OpenTelemetry.Resources;
using OpenTelemetry.Trace;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Services;

/// <summary>What is measured while the application runs: readings by family and time, and the queue. Nothing of a student stands in it.</summary>
public sealed class Measures : IDisposable
{
    /// <summary>The name of the meter and of the source of traces.</summary>
    public const string Name = "YellowPencil";

    private static readonly ActivitySource Source = new(Name);
    private readonly Meter meter;
    private readonly Histogram<double> readings;

    /// <summary>Makes the instruments.</summary>
    public Measures(IMeterFactory meters, IServiceProvider services)
    {
        meter = meters.Create(Name);
        readings = meter.CreateHistogram<double>("yellowpencil.reading.duration", "s", "How long a page was read, by its families.");
        meter.CreateObservableGauge("yellowpencil.queue.length", () => Waiting(services), "{job}", "Jobs that wait for a worker.");
    }

    /// <summary>Reads a sheet, without explanations that were rejected and with what is known of the student, and measures it.</summary>
    public Reading Read(WorkedSheet sheet, IReadOnlyCollection<string> rejected, KnownBefore known, CancellationToken cancellation)
    {
        var families = string.Join(',', sheet.Items.Select(i => i.Task.Family.Name).Distinct().Order(StringComparer.Ordinal));
        using var activity = Source.StartActivity("read a page");
        activity?.SetTag("yellowpencil.family", families).SetTag("yellowpencil.items", sheet.Items.Count);
        var since = Stopwatch.GetTimestamp();
        var reading = SheetDiagnosis.Read(sheet, rejected, known, cancellation);
        readings.Record(Stopwatch.GetElapsedTime(since).TotalSeconds, new KeyValuePair<string, object?>("family", families));
        return reading;
    }

    /// <inheritdoc/>
    public void Dispose() => meter.Dispose();

    private static IEnumerable<Measurement<long>> Waiting(IServiceProvider services)
    {
        long count;
        try
        {
            count = services.GetRequiredService<JobStorage>().GetMonitoringApi().EnqueuedCount("default");
        }
        catch (Npgsql.NpgsqlException)
        {
            yield break; // The database is away; what is not known is not measured.
        }

        yield return new Measurement<long>(count);
    }
}

/// <summary>Sends measures and traces to a collector, where one is named.</summary>
internal static class Telemetry
{
    /// <summary>The setting by which OpenTelemetry names the collector.</summary>
    private const string Endpoint = "OTEL_EXPORTER_OTLP_ENDPOINT";

    public static void AddTelemetry(this IServiceCollection services, IConfiguration configuration)
    {
        if (configuration[Endpoint] is not { Length: > 0 }) return;
        services.AddOpenTelemetry().ConfigureResource(resource => resource.AddService("yellow-pencil"))
            .WithMetrics(metrics => metrics.AddMeter(Measures.Name, "Microsoft.AspNetCore.Hosting", "Microsoft.AspNetCore.Server.Kestrel", "Microsoft.AspNetCore.RateLimiting", "Npgsql", "System.Runtime").AddOtlpExporter())
            // The address of a request names a student: only its route is told.
            .WithTracing(traces => traces.AddSource(Measures.Name).AddProcessor(new RoutesOnly()).AddAspNetCoreInstrumentation().AddOtlpExporter());
    }

    private sealed class RoutesOnly : OpenTelemetry.BaseProcessor<Activity>
    {
        public override void OnEnd(Activity data)
        {
            foreach (var tag in (string[])["url.path", "url.query", "url.full"]) data.SetTag(tag, null);
        }
    }
}
