using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace Altrin.Browser.Tests;

/// <summary>Debian's headless Chromium at 1280x800, which reaches loopback and nothing else.</summary>
public sealed class Browser : IDisposable
{
    private readonly string _profile = Directory.CreateTempSubdirectory("altrin-browser-").FullName;
    private readonly ChromeDriverService _service;

    public Browser()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-dev-shm-usage",
            "--disable-quic",
            "--no-first-run",
            "--no-default-browser-check",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-extensions",
            "--force-device-scale-factor=1",
            "--hide-scrollbars",
            "--lang=en-US",
            $"--user-data-dir={_profile}",
            "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"
        );
        _service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        _service.SuppressInitialDiagnosticInformation = true;
        Driver = new(_service, options);
        Resize(1280, 800);
        // How many times slower the page is to run: a walk that fails then would fail by chance on a busy machine.
        if (Environment.GetEnvironmentVariable("ALTRIN_SLOW") is { Length: > 0 } slow)
        {
            Cdp("Emulation.setCPUThrottlingRate", new() { ["rate"] = double.Parse(slow, CultureInfo.InvariantCulture) });
        }
    }

    public ChromeDriver Driver { get; }

    public void Dispose()
    {
        Driver.Dispose();
        _service.Dispose();
        Directory.Delete(_profile, recursive: true);
    }

    public void Resize(int width, int height) =>
        Cdp(
            "Emulation.setDeviceMetricsOverride",
            new()
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = width < 500,
            }
        );

    public void Cdp(string command, Dictionary<string, object?> parameters) => Driver.ExecuteCdpCommand(command, parameters);

    /// <summary>Opens a copy of the demo home of its own and answers its address.</summary>
    public string OpenCopy(Uri server, string station, string query)
    {
        Driver.Navigate().GoToUrl(server);
        var id = Driver.ExecuteAsyncScript(
            "const done=arguments[0]; fetch('/api/jobs',{method:'POST',headers:{'content-type':'application/json'},body:JSON.stringify({name:'Walk',from:1})}).then(r=>r.json()).then(j=>done(String(j.id)))"
        );
        var address = $"{server}jobs/{id}/{station}{query}";
        Driver.Navigate().GoToUrl(address);
        return address;
    }

    public object? Script(string script) => ((IJavaScriptExecutor)Driver).ExecuteScript(script);

    /// <summary>
    /// How long something may take until it counts as not there. On a busy machine a search for options is long by itself, and waits for
    /// others besides; nothing that comes about waits so long.
    /// </summary>
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(3);

    /// <summary>Waits until something holds; elements that are replaced meanwhile are looked up anew.</summary>
    public T Until<T>(Func<T?> look, string what)
        where T : class
    {
        var wait = new WebDriverWait(Driver, Longest) { PollingInterval = TimeSpan.FromMilliseconds(50), Message = what };
        wait.IgnoreExceptionTypes(
            typeof(NoSuchElementException),
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException)
        );
        return wait.Until(_ => look())!;
    }

    public IWebElement Find(string xpath) => Until(() => Driver.FindElement(By.XPath(xpath)), xpath);

    /// <summary>Waits for a text anywhere in the part of the page that a path names.</summary>
    public void See(string text, string within = "//body") =>
        Until(() => Driver.FindElement(By.XPath(within)).Text.Contains(text, StringComparison.Ordinal) ? text : null, $"to see '{text}'");

    public void Click(string xpath) =>
        Until(
            () =>
            {
                var found = Driver.FindElement(By.XPath(xpath));
                if (!found.Enabled)
                {
                    return null;
                }
                found.Click();
                return xpath;
            },
            xpath
        );

    public void Button(string text) => Click($"//button[contains(normalize-space(.), '{text}') and not(@disabled)]");

    /// <summary>The control that a label names.</summary>
    public IWebElement Field(string label) => Find($"//*[@id=//label[normalize-space(.)='{label}']/@for]");

    /// <summary>
    /// Chooses an option of a control that a label, or its own name, names; the first that has a text where a part is enough.
    /// </summary>
    public void Choose(string label, string option, bool byName = false, bool part = false) =>
        Until(
            () =>
            {
                var select = byName ? Find($"//select[@aria-label='{label}']") : Field(label);
                if (!select.Enabled)
                {
                    return null;
                }
                select
                    .FindElement(By.XPath(part ? $".//option[contains(., '{option}')]" : $".//option[normalize-space(.)='{option}']"))
                    .Click();
                return label;
            },
            label
        );

    public void Type(string label, string text)
    {
        var field = Field(label);
        field.Click();
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text);
    }
}
