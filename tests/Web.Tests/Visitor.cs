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

    public Visitor(PencilApp app)
    {
        app.StartServer();
        var address = new Uri(app.ClientOptions.BaseAddress.ToString());
        client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = true, CookieContainer = new CookieContainer() }) { BaseAddress = address };
    }

    public HttpResponseMessage? Last { get; private set; }

    public string Address => Last!.RequestMessage!.RequestUri!.PathAndQuery;

    public async Task<IHtmlDocument> GetAsync(string address)
    {
        Last = await client.GetAsync(address);
        return await ReadAsync();
    }

    public async Task<IHtmlDocument> PostAsync(string address, params (string Name, string Value)[] fields)
    {
        var form = fields.Append(("__RequestVerificationToken", token)).Select(f => KeyValuePair.Create(f.Item1, f.Item2));
        Last = await client.PostAsync(address, new FormUrlEncodedContent(form));
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

    public void Dispose() => client.Dispose();

    private async Task<IHtmlDocument> ReadAsync()
    {
        var page = await new HtmlParser().ParseDocumentAsync(await Last!.Content.ReadAsStringAsync());
        token = page.QuerySelector("input[name=__RequestVerificationToken]")?.GetAttribute("value")
            ?? page.QuerySelector("[data-token]")?.GetAttribute("data-token") ?? token;
        return page;
    }
}
