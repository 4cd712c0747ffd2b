using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using System.Text;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>What whoever runs it relies on: keys under a certificate, a real proxy in front, measures and traces, files kept as long as was set.</summary>
public sealed class OperatingTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task Keys_are_encrypted_by_the_certificate_that_is_given_and_every_instance_that_has_it_reads_them()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("pencil-key-").FullName, "keys.p12");
        using (var certificate = SelfSigned("yellow-pencil keys")) await File.WriteAllBytesAsync(file, certificate.Export(X509ContentType.Pkcs12, "between two clouds"));
        await using var locked = await PencilApp.OnAsync("select 1", ("Keys:Certificate", file), ("Keys:Password", "between two clouds"));
        using var visitor = await new Visitor(locked).SignInAsync();
        visitor.Address.ShouldBe("/");
        var keys = (string)(await locked.SqlAsync("""select string_agg(xml, '') from data_protection_keys"""))!;
        keys.ShouldContain("EncryptedXml");
        keys.ShouldNotContain("<masterKey");

        await using var second = locked.Beside(("Keys:Certificate", file), ("Keys:Password", "between two clouds"));
        using var there = new Visitor(second);
        there.SetCookie("pencil", visitor.Cookie("pencil"));
        (await there.GetAsync("/")).QuerySelector("h1")!.TextContent.ShouldBe("Your desk");

        await using var without = locked.Beside();
        using var stranger = new Visitor(without);
        stranger.SetCookie("pencil", visitor.Cookie("pencil"));
        await stranger.GetAsync("/");
        stranger.Address.ShouldStartWith("/sign-in");
    }

    [Fact]
    public async Task Whoever_tries_passwords_at_an_address_keeps_out_nobody_who_was_signed_in_there_before()
    {
        await using var strict = new PencilApp(("SignIn:FailuresFromOneAddress", "5"), ("SignIn:FailuresForOneEmail", "3"));
        using var member = await new Visitor(strict).SignInAsync();
        await member.GetAsync("/");
        await member.PostAsync("/sign-out");
        using var stranger = new Visitor(strict);
        for (var i = 0; i < 6; i++) await stranger.SignInAsync($"guess-{i}@kite-workshop.example", "wrong");
        await stranger.SignInAsync();
        stranger.Address.ShouldStartWith("/sign-in"); // too many from here
        await member.SignInAsync();
        member.Address.ShouldBe("/");

        // The cookie opens one account's door, and that only as often as any other.
        await member.PostAsync("/sign-out");
        (await AnswerAsync(member, "other@kite-workshop.example")).ShouldContain("Too many tries");
        for (var i = 0; i < 3; i++) (await AnswerAsync(member, "demo@kite-workshop.example")).ShouldContain("do not go together");
        (await AnswerAsync(member, "demo@kite-workshop.example", "against the wind")).ShouldContain("Too many tries");

        static async Task<string> AnswerAsync(Visitor who, string email, string password = "wrong")
        {
            await who.GetAsync("/sign-in");
            return (await who.PostAsync("/sign-in", ("email", email), ("password", password))).QuerySelector(".fault")!.TextContent;
        }
    }

    [Fact]
    public async Task Behind_a_real_proxy_addresses_and_https_are_the_visitors_and_not_what_they_say_of_themselves()
    {
        await using var behind = new PencilApp(("AllowedHosts", "pencil.school.example"), ("Https", "true"));
        behind.StartServer();
        using var nginx = await Proxy.StartAsync(behind.ClientOptions.BaseAddress.Port);
        using var client = nginx.Client(IPAddress.Parse("127.0.0.77"));
        var form = await client.GetAsync("/sign-in");
        form.StatusCode.ShouldBe(HttpStatusCode.OK);
        form.Headers.Contains("Strict-Transport-Security").ShouldBeTrue();
        form.Headers.GetValues("Set-Cookie").ShouldAllBe(c => c.Contains("; secure"));
        var token = System.Text.RegularExpressions.Regex.Match(await form.Content.ReadAsStringAsync(), "name=\"__RequestVerificationToken\"[^>]*value=\"([^\"]*)\"").Groups[1].Value;
        using var send = new HttpRequestMessage(HttpMethod.Post, "/sign-in") { Content = new FormUrlEncodedContent([new("email", "demo@kite-workshop.example"), new("password", "wrong"), new("__RequestVerificationToken", token)]) };
        send.Headers.Add("X-Forwarded-For", "198.51.100.9");
        (await client.SendAsync(send)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await behind.SqlAsync("select string_agg(key, '|') from attempts where key like 'sign-in %'"))!.ToString()!.Split('|').ShouldBe(["sign-in 127.0.0.77 DEMO@KITE-WORKSHOP.EXAMPLE", "sign-in 127.0.0.77"], ignoreOrder: true);
    }

    [Fact]
    public async Task Readings_and_requests_are_measured_and_traced_without_a_students_code()
    {
        using var collector = new Collector();
        string code;
        await using (var measured = new PencilApp(("OTEL_EXPORTER_OTLP_ENDPOINT", collector.Address), ("OTEL_EXPORTER_OTLP_PROTOCOL", "http/protobuf"), ("OTEL_METRIC_EXPORT_INTERVAL", "200")))
        {
            using var visitor = await new Visitor(measured).SignInAsync();
            code = (string)(await measured.SqlAsync("select code from students where code like 'K%' order by code limit 1"))!;
            await visitor.GetAsync($"/students/{code}");
            var page = await measured.SqlAsync($"select p.id::text from pages p join students s on s.id = p.student_id where s.code = '{code}' and state <> 'Typing' limit 1");
            await visitor.GetAsync($"/pages/{page}/reading");
            for (var tries = 0; tries < 1_200 && !(collector.Text("/v1/metrics").Contains("yellowpencil.queue.length") && collector.Text("/v1/traces").Contains("read a page")); tries++) await Task.Delay(100);
        }

        collector.Text("/v1/traces").ShouldContain("GET students/{code}");
        collector.Text("/v1/traces").ShouldContain("read a page");
        collector.Text("/v1/traces").ShouldNotContain($"/students/{code}");
        collector.Text("/v1/metrics").ShouldContain("yellowpencil.reading.duration");
        collector.Text("/v1/metrics").ShouldContain("yellowpencil.queue.length");
        collector.Text("/v1/metrics").ShouldContain("http.server.request.duration");
        collector.Text("/v1/metrics").ShouldNotContain($"/students/{code}");
    }

    [Fact]
    public async Task A_file_is_kept_as_long_as_was_set_and_says_until_when()
    {
        await using var keeping = new PencilApp();
        using var visitor = await new Visitor(keeping).SignInAsync();
        var (old, near, busy) = ("OLD-1", "NEAR-1", "BUSY-1");
        foreach (var code in new[] { old, near, busy })
        {
            await visitor.GetAsync("/add-student");
            await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"));
        }

        await visitor.GetAsync($"/students/{busy}/pages/new");
        await visitor.PostAsync($"/students/{busy}/pages/new", ("items", "604 - 278 = 474"), ("title", "Ropes"));
        await keeping.SqlAsync("update students set created_at = now() - interval '13 months' where code in ('OLD-1', 'BUSY-1')");
        await keeping.SqlAsync("update students set created_at = now() - interval '12 months' + interval '10 days' where code = 'NEAR-1'");
        await ThrowAsync();
        (await visitor.GetAsync($"/students/{old}")).QuerySelector("main")!.TextContent.ShouldNotContain("Kept until");

        await visitor.GetAsync("/account");
        (await visitor.PostAsync("/account", ("name", "Demo specialist"), ("kept", "7"))).QuerySelector(".fault")!.TextContent.ShouldBe("Choose one of the values offered.");
        (await visitor.PostAsync("/account", ("name", "Demo specialist"), ("kept", "12"))).QuerySelector("p.note")!.TextContent.ShouldBe("Saved.");
        (await visitor.GetAsync("/")).QuerySelector("main p.note").ShouldNotBeNull((await visitor.GetAsync("/")).QuerySelector("main")!.TextContent)!.TextContent.ShouldContain($"{near} on {SchoolTime.Date(DateOnly.FromDateTime(DateTime.UtcNow.AddMonths(-12).AddDays(10).AddMonths(12)))}");
        (await visitor.GetAsync($"/students/{busy}")).QuerySelector("main")!.TextContent.ShouldContain($"Kept until {SchoolTime.Date(DateOnly.FromDateTime(DateTime.UtcNow.AddMonths(12)))}");
        await ThrowAsync();
        await visitor.GetAsync($"/students/{old}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        foreach (var code in new[] { near, busy })
        {
            await visitor.GetAsync($"/students/{code}");
            visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK, code);
        }

        (await visitor.GetAsync("/thrown-away")).QuerySelector("main")!.TextContent.ShouldContain("by itself, 12 months after the last thing in it");

        async Task ThrowAsync()
        {
            await using var scope = keeping.Services.CreateAsyncScope();
            var owner = await scope.ServiceProvider.GetRequiredService<PencilContext>().Users.AsNoTracking().FirstAsync(u => u.Email == "demo@kite-workshop.example");
            scope.ServiceProvider.GetRequiredService<CurrentSpecialist>().Serve(owner);
            await scope.ServiceProvider.GetRequiredService<Retention>().ThrowAsync();
        }
    }

    private static X509Certificate2 SelfSigned(string name)
    {
        using var key = RSA.Create(2048);
        return new CertificateRequest($"CN={name}", key, HashAlgorithmName.SHA256, RSASignaturePadding.Pkcs1).CreateSelfSigned(DateTimeOffset.UtcNow.AddDays(-1), DateTimeOffset.UtcNow.AddDays(1));
    }

    /// <summary>An nginx of Debian's with the settings of docs/nginx.conf, on ports and files of its own.</summary>
    private sealed class Proxy(Process process, int port, string folder) : IDisposable
    {
        public static async Task<Proxy> StartAsync(int application)
        {
            var folder = Directory.CreateTempSubdirectory("pencil-nginx-").FullName;
            using (var certificate = SelfSigned("pencil.school.example"))
            {
                await File.WriteAllTextAsync(Path.Combine(folder, "tls.crt"), certificate.ExportCertificatePem());
                await File.WriteAllTextAsync(Path.Combine(folder, "tls.key"), certificate.GetRSAPrivateKey()!.ExportPkcs8PrivateKeyPem());
            }

            int port;
            using (var free = new TcpListener(IPAddress.Loopback, 0))
            {
                free.Start();
                port = ((IPEndPoint)free.LocalEndpoint).Port;
            }

            var server = (await File.ReadAllTextAsync(Path.Combine(StartedTests.Root, "docs", "nginx.conf")))
                .Replace("listen 443", $"listen 127.0.0.1:{port}").Replace("127.0.0.1:5000", $"127.0.0.1:{application}").Replace("/etc/yellow-pencil", folder);
            await File.WriteAllTextAsync(Path.Combine(folder, "nginx.conf"), $$"""
                daemon off; pid {{folder}}/pid; error_log {{folder}}/error.log; worker_processes 1;
                events {}
                http { access_log off; client_body_temp_path {{folder}}/a; proxy_temp_path {{folder}}/b; fastcgi_temp_path {{folder}}/c; uwsgi_temp_path {{folder}}/d; scgi_temp_path {{folder}}/e;
                {{server}} }
                """);
            var proxy = new Proxy(Process.Start(new ProcessStartInfo("/usr/sbin/nginx", ["-c", Path.Combine(folder, "nginx.conf"), "-e", Path.Combine(folder, "error.log")]))!, port, folder);
            while (!File.Exists(Path.Combine(folder, "pid")))
            {
                if (proxy.HasEnded) throw new InvalidOperationException(await File.ReadAllTextAsync(Path.Combine(folder, "error.log")));
                await Task.Delay(50);
            }

            return proxy;
        }

        private bool HasEnded => process.HasExited;

        /// <summary>A visitor who comes from an address.</summary>
        public HttpClient Client(IPAddress from) => new(new SocketsHttpHandler
        {
            SslOptions = { RemoteCertificateValidationCallback = (_, certificate, _, _) => certificate!.Subject == "CN=pencil.school.example" },
            ConnectCallback = async (_, stop) =>
            {
                var socket = new Socket(SocketType.Stream, ProtocolType.Tcp);
                socket.Bind(new IPEndPoint(from, 0));
                await socket.ConnectAsync(IPAddress.Loopback, port, stop);
                return new NetworkStream(socket, ownsSocket: true);
            },
        })
        { BaseAddress = new Uri("https://pencil.school.example") };

        public void Dispose()
        {
            Process.Start("kill", ["-TERM", process.Id.ToString()]).WaitForExit();
            process.WaitForExit();
            process.Dispose();
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>What an OpenTelemetry collector is to the application: something that takes what is posted.</summary>
    private sealed class Collector : IDisposable
    {
        private readonly HttpListener listener = new();
        private readonly List<(string Path, string Body)> taken = [];

        public Collector()
        {
            using (var free = new TcpListener(IPAddress.Loopback, 0))
            {
                free.Start();
                Address = $"http://127.0.0.1:{((IPEndPoint)free.LocalEndpoint).Port}";
            }

            listener.Prefixes.Add(Address + "/");
            listener.Start();
            _ = TakeAsync();
        }

        public string Address { get; }

        public string Text(string path)
        {
            lock (taken) return string.Concat(taken.Where(t => t.Path == path).Select(t => t.Body));
        }

        public void Dispose() => listener.Close();

        private async Task TakeAsync()
        {
            try
            {
                while (true)
                {
                    var context = await listener.GetContextAsync();
                    using var body = new MemoryStream();
                    await context.Request.InputStream.CopyToAsync(body);
                    lock (taken) taken.Add((context.Request.Url!.AbsolutePath, Encoding.Latin1.GetString(body.ToArray())));
                    context.Response.Close();
                }
            }
            catch (Exception e) when (e is HttpListenerException or ObjectDisposedException)
            {
                // Closed.
            }
        }
    }
}
