using System.Net;
using System.Net.Http.Json;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Somebody with a browser's cookies who reads pages and sends their forms.</summary>
public sealed class Visitor : IDisposable
{
    private readonly HttpClient client;
    private string token = "";
    private string once = "";
    private string lastAddress = "";
    private List<KeyValuePair<string, string>> lastForm = [];
    private readonly CookieContainer cookies = new();

    public Visitor(PencilApp app)
        : this(AddressOf(app))
    {
    }

    public Visitor(Uri address)
    {
        client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = true, CookieContainer = cookies }) { BaseAddress = address, Timeout = Timeout.InfiniteTimeSpan };
    }

    public HttpResponseMessage? Last { get; private set; }

    public string Address => Last!.RequestMessage!.RequestUri!.PathAndQuery;

    public async Task<IHtmlDocument> GetAsync(string address)
    {
        Last = await client.GetAsync(address);
        return await ReadAsync();
    }

    /// <summary>Fills a form in without sending it; <see cref="PostAgainAsync"/> does.</summary>
    public Task PrepareAsync(string address, params (string Name, string Value)[] fields)
    {
        var form = fields.Append(("__RequestVerificationToken", token)).Append(("once", fields.FirstOrDefault(f => f.Name == "once").Value ?? once)).DistinctBy(f => f.Item1).Select(f => KeyValuePair.Create(f.Item1, f.Item2));
        (lastAddress, lastForm) = (address, [.. form]);
        return Task.CompletedTask;
    }

    public async Task<IHtmlDocument> PostAsync(string address, params (string Name, string Value)[] fields)
    {
        await PrepareAsync(address, fields);
        Last = await client.PostAsync(address, new FormUrlEncodedContent(lastForm));
        return await ReadAsync();
    }

    /// <summary>Sends a form in which a field stands more than once.</summary>
    public async Task<IHtmlDocument> PostManyAsync(string address, IReadOnlyList<(string Name, string Value)> fields)
    {
        (lastAddress, lastForm) = (address, [.. fields.Append(("__RequestVerificationToken", token)).Append(("once", once)).Select(f => KeyValuePair.Create(f.Item1, f.Item2))]);
        Last = await client.PostAsync(address, new FormUrlEncodedContent(lastForm));
        return await ReadAsync();
    }

    /// <summary>What an address gives as a file.</summary>
    public async Task<byte[]> GetFileAsync(string address)
    {
        Last = await client.GetAsync(address);
        return await Last.Content.ReadAsByteArrayAsync();
    }

    /// <summary>Sends a form with a file.</summary>
    public async Task<IHtmlDocument> PostFileAsync(string address, string name, string content)
    {
        using var form = new MultipartFormDataContent { { new StringContent(token), "__RequestVerificationToken" }, { new StringContent(once), "once" }, { new StringContent(content), name, "plan.json" } };
        Last = await client.PostAsync(address, form);
        return await ReadAsync();
    }

    public async Task<HttpResponseMessage> PutAsync(string address, object body, bool withToken = true)
    {
        var request = new HttpRequestMessage(HttpMethod.Put, address) { Content = JsonContent.Create(body) };
        if (withToken) request.Headers.Add("X-Antiforgery", token);
        return await client.SendAsync(request);
    }

    public async Task<Visitor> SignInAsync(string email = "demo@kite-workshop.example", string password = "against the wind")
    {
        await GetAsync("/sign-in");
        await PostAsync("/sign-in", ("email", email), ("password", password));
        return this;
    }

    /// <summary>Sends the last form again as it was, as a double click or a repeated request does.</summary>
    public async Task<HttpResponseMessage> PostAgainAsync() => await client.PostAsync(lastAddress, new FormUrlEncodedContent(lastForm));

    /// <summary>The key of the form that was sent last.</summary>
    public string SentKey => lastForm.Last(f => f.Key == "once").Value;

    /// <summary>The value of a cookie, as somebody could copy it.</summary>
    public string Cookie(string name) => cookies.GetAllCookies().First(c => c.Name == name).Value;

    /// <summary>A visitor who sets a cookie that was copied.</summary>
    public void SetCookie(string name, string value) => cookies.Add(client.BaseAddress!, new Cookie(name, value));

    /// <summary>Sends a request as it is.</summary>
    public Task<HttpResponseMessage> SendAsync(HttpRequestMessage request)
    {
        request.Headers.Add("X-Antiforgery", token);
        return client.SendAsync(request);
    }

    public void Dispose() => client.Dispose();

    private static Uri AddressOf(PencilApp app)
    {
        app.StartServer();
        return new Uri(app.ClientOptions.BaseAddress.ToString());
    }

    private async Task<IHtmlDocument> ReadAsync()
    {
        var page = await new HtmlParser().ParseDocumentAsync(await Last!.Content.ReadAsStringAsync());
        if (Last.StatusCode == HttpStatusCode.ServiceUnavailable) throw new HttpRequestException($"{Address} answered {(int)Last.StatusCode}: {page.Body?.TextContent.Trim()}");
        token = page.QuerySelector("input[name=__RequestVerificationToken]")?.GetAttribute("value")
            ?? page.QuerySelector("[data-token]")?.GetAttribute("data-token") ?? token;

        // A form of a page just shown has a key that was not sent yet; what a page says of one form holds for all of them.
        once = page.QuerySelector("input[name=once]") is null ? once : Guid.NewGuid().ToString();
        return page;
    }
}
