using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Browser.Tests;

/// <summary>The application with a headless Chromium in front of it.</summary>
public sealed class Browser : IAsyncDisposable
{
    private readonly string profile = Directory.CreateTempSubdirectory("pencil-browser-").FullName;

    public Browser()
    {
        App.StartServer();
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--window-size=1280,943", $"--user-data-dir={profile}");
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options);
    }

    public PencilApp App { get; } = new();

    public ChromeDriver Driver { get; }

    public string Text => Driver.FindElement(By.TagName("body")).Text;

    public Uri Base => App.ClientOptions.BaseAddress;

    public void Go(string path) => Driver.Navigate().GoToUrl(new Uri(Base, path));

    public void Keys(string keys) => new Actions(Driver).SendKeys(keys).Perform();

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
        var wait = new WebDriverWait(Driver, TimeSpan.FromSeconds(10)) { Message = what };
        wait.IgnoreExceptionTypes(typeof(WebDriverException));
        wait.Until(_ => holds(this));
    }

    public void SignIn()
    {
        Go("/sign-in");
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
        await App.DisposeAsync();
        Directory.Delete(profile, recursive: true);
    }
}
