using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Browser.Tests;

/// <summary>The application with a Chromium in front of it that draws into no window: half the work of one that does.</summary>
public sealed class Browser : IAsyncDisposable
{
    private bool isBeside;

    public Browser()
        : this(new PencilApp())
    {
    }

    private Browser(PencilApp app)
    {
        App = app;
        App.StartServer();
        var options = new ChromeOptions { BinaryLocation = "/usr/lib/chromium/chromium-headless-shell" };
        options.AddArguments(
            "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--window-size=1280,943");
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options);
    }

    public PencilApp App { get; }

    /// <summary>Another browser, as on another device, in front of the same application.</summary>
    public Browser Beside() => new(App) { isBeside = true };

    /// <summary>A browser in front of an application that was made otherwise; it ends with the browser.</summary>
    internal static Browser On(PencilApp app) => new(app);

    public ChromeDriver Driver { get; }

    /// <summary>The text of an element.</summary>
    public string TextOf(string selector) => Driver.FindElement(By.CssSelector(selector)).Text;

    /// <summary>What a script gives back.</summary>
    public T Script<T>(string script, params object[] arguments) => (T)Driver.ExecuteScript(script, arguments)!;

    /// <summary>Makes the window so large, in pixels of the page, while something is done.</summary>
    public void Sized(int width, int height, Action act)
    {
        var size = new Dictionary<string, object?> { ["width"] = width, ["height"] = height, ["deviceScaleFactor"] = 1, ["mobile"] = false };
        Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", size);
        try
        {
            act();
        }
        finally
        {
            Driver.ExecuteCdpCommand("Emulation.clearDeviceMetricsOverride", []);
        }
    }

    public string Text => Driver.FindElement(By.TagName("body")).Text;

    public Uri Base => App.ClientOptions.BaseAddress;

    public void Go(string path) => Driver.Navigate().GoToUrl(new Uri(Base, path));

    public void Keys(string keys) => new Actions(Driver).SendKeys(keys).Perform();

    /// <summary>Clicks what is to be found, as soon as it can be clicked.</summary>
    public void Click(By what) => Until(b =>
    {
        b.Driver.FindElement(what).Click();
        return true;
    }, $"{what} to be clicked");

    /// <summary>Clicks what a CSS selector finds.</summary>
    public void Click(string selector) => Click(By.CssSelector(selector));

    /// <summary>Follows a link of the page's menu.</summary>
    public void FromMenu(string link)
    {
        Click("details[data-menu] summary");
        Click(By.LinkText(link));
    }

    public void Undo() => new Actions(Driver).KeyDown(OpenQA.Selenium.Keys.Control).SendKeys("z").KeyUp(OpenQA.Selenium.Keys.Control).Perform();

    /// <summary>Does something while the browser has no connection.</summary>
    public void Offline(Action act)
    {
        Driver.NetworkConditions = new OpenQA.Selenium.Chromium.ChromiumNetworkConditions { IsOffline = true, Latency = TimeSpan.Zero };
        try
        {
            act();
        }
        finally
        {
            Driver.ClearNetworkConditions();
        }
    }

    /// <summary>Begins a page of K-06 with its items and goes to where it is typed in.</summary>
    public void BeginPage(string items, string direction = "FromRight")
    {
        Go("/students/K-06/pages/new");
        if (Driver.Url.Contains("/sign-in")) SignIn();
        App.SqlAsync($"update \"AspNetUsers\" set typing_direction = '{direction}'").GetAwaiter().GetResult();
        Script<object?>("localStorage.clear()");
        ConsoleErrors(); // What another test left there is none of this one's.
        Go("/students/K-06/pages/new");
        Until(b => b.Script<bool>("return document.activeElement.matches('textarea')"), "the hand in the field");
        Keys(items);
        Click("form button.next");
        Until(b => b.Driver.Url.Contains("/pages/") && b.TextOf("[data-saving]") == "Saved.", "the typing page");
    }

    /// <summary>The path of the page that is open, without what stands behind it.</summary>
    public string PagePath => string.Join('/', new Uri(Driver.Url).AbsolutePath.Split('/').Take(3));

    /// <summary>The content of the page that is open, as it is stored.</summary>
    public string Stored() => (string)App.SqlAsync($"select content::text from pages where id = '{PagePath.Split('/')[^1]}'").GetAwaiter().GetResult()!;

    /// <summary>Shows the page as on paper, or with other media features, while something is looked at.</summary>
    public void As(string media, string? feature, Action act)
    {
        var features = feature is null ? [] : new[] { new Dictionary<string, object?> { ["name"] = feature.Split(':')[0], ["value"] = feature.Split(':')[1] } };
        Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["media"] = media, ["features"] = features });
        try
        {
            act();
        }
        finally
        {
            Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["media"] = "", ["features"] = Array.Empty<object>() });
        }
    }

    /// <summary>Does something while what is typed does not reach the server, though pages do load.</summary>
    public void WithoutTyping(Action act)
    {
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand("Network.setBlockedURLs", new Dictionary<string, object?> { ["urls"] = new[] { "*/api/*" } });
        try
        {
            act();
        }
        finally
        {
            Driver.ExecuteCdpCommand("Network.setBlockedURLs", new Dictionary<string, object?> { ["urls"] = Array.Empty<string>() });
        }
    }

    /// <summary>Presses Tab until the element has the focus.</summary>
    public void TabTo(string selector)
    {
        for (var i = 0; i < 80; i++)
        {
            if ((bool)Driver.ExecuteScript("return document.activeElement.matches(arguments[0])", selector)!) return;
            Keys(OpenQA.Selenium.Keys.Tab);
        }

        throw new InvalidOperationException($"Tab does not reach {selector} on {Driver.Url}");
    }

    public void Until(Func<Browser, bool> holds, string what)
    {
        var wait = new WebDriverWait(Driver, TimeSpan.FromMinutes(3)) { Message = what, PollingInterval = TimeSpan.FromMilliseconds(50) };
        wait.IgnoreExceptionTypes(typeof(WebDriverException));
        try
        {
            wait.Until(_ => holds(this));
        }
        catch (WebDriverTimeoutException late)
        {
            throw new TimeoutException($"{what}, on {Driver.Url}: {Text}", late);
        }
    }

    /// <summary>Signs the demo's specialist in, who types from the given side.</summary>
    public void SignIn(string direction = "FromRight")
    {
        App.SqlAsync($"update \"AspNetUsers\" set typing_direction = '{direction}'").GetAwaiter().GetResult();
        Go("/sign-in");
        Until(b => b.Script<bool>("return document.activeElement.matches('input')"), "the hand in the field");
        Keys("demo@kite-workshop.example" + OpenQA.Selenium.Keys.Tab + "against the wind" + OpenQA.Selenium.Keys.Enter);
        Until(b => b.Text.Contains("Your desk"), "signed in");
    }

    /// <summary>What axe-core finds against WCAG 2.2 A and AA on the page as it stands.</summary>
    public IReadOnlyList<string> AccessibilityFaults()
    {
        Driver.ExecuteScript(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "axe.min.js")));
        var found = (IReadOnlyCollection<object>)Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            axe.run({ runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] })
              .then(r => done(r.violations.flatMap(v => v.nodes.map(n => v.id + ": " + n.html.slice(0, 160) + " " + n.failureSummary))));
            """)!;
        return [.. found.Select(f => (string)f)];
    }

    public IReadOnlyList<string> ConsoleErrors() =>
        [.. Driver.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message)];

    public async ValueTask DisposeAsync()
    {
        Driver.Quit();
        Driver.Dispose();
        if (!isBeside) await App.DisposeAsync();
    }
}
