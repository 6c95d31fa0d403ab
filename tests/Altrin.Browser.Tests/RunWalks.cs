using Altrin.Testing;
using OpenQA.Selenium;

namespace Altrin.Browser.Tests;

/// <summary>The Run sheet station, as someone uses it on the evening.</summary>
public sealed class RunWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Step = "//section[@aria-label='This step']";
    private const string Steps = "//section[@aria-label='Steps']";
    private const string Seen = "//section[@aria-label='What you should see']";
    private const string Home = "//section[@aria-label='The home after this step']";

    /// <summary>From the plan to its sheet by keys: the steps, a step's drawing, the way back, the sheet on paper.</summary>
    [Fact]
    public void The_sheet_that_is_worked_out_is_walked_by_keys()
    {
        browser.OpenCopy(server.Address, "run", "");
        browser.See("No step of this order breaks a rule.", Steps);
        browser.See("Step 1 of 18 · baseline", Step);
        browser.See("See that Hall gateway works, and write down what it holds", Step);
        browser.See("Your laptop", Home);
        var body = browser.Driver.FindElement(By.TagName("body"));
        for (var step = 2; step <= 10; step++)
        {
            body.SendKeys("n");
            browser.See($"Step {step} of 18", Step);
        }
        browser.See("Choose access point mode at Loft router", Step);
        browser.See("area operating mode", Step);
        browser.See("access point", Step);
        browser.See("No way to the internet line", Home);
        browser.Click("//summary[.='Way back']");
        browser.See("From here back to found");
        browser.See("Hands at the main box");
        browser.Click("//summary[.='If you see something else']");
        browser.Find("//ul[@aria-label='What it may be']");
        // Its address is its own, whatever its number: reloaded, it is the same step.
        Assert.EndsWith("step=save-loft-router-mode-access-point", browser.Driver.Url, StringComparison.Ordinal);
        browser.Driver.Navigate().Refresh();
        browser.See("Choose access point mode at Loft router", Step);
        browser.Driver.FindElement(By.TagName("body")).SendKeys("p");
        browser.See("Step 9 of 18", Step);
        browser.Click("//a[contains(., 'Print or save')]");
        browser.Find("//button[contains(., 'Print this page')]");
        browser.See("18. Unplug the laptop, set it back to automatic, and let it forget this Wi-Fi");
        browser.Click("//a[.='Back to the steps']");
        browser.See("Step 1 of 18", Step);
    }

    /// <summary>A plan that does not work leads to the proof first; mended, its sheet is there at once.</summary>
    [Fact]
    public void A_plan_that_does_not_work_says_what_to_do_first()
    {
        browser.OpenCopy(server.Address, "run", "?to=planned");
        browser.See("The set-up planned does not work yet.");
        browser.See("Double NAT: Loft router behind Hall gateway");
        browser.Choose("From found to", "one-network");
        browser.See("Step 1 of 18", Step);
    }

    /// <summary>The page that needs no server: a step is ticked, and stays ticked when the page is opened again.</summary>
    [Fact]
    public async Task A_sheet_of_its_own_is_ticked_and_timed_without_a_server()
    {
        using var http = server.PatientClient();
        var file = Path.Combine(Directory.CreateTempSubdirectory("altrin-sheet-").FullName, "sheet.html");
        try
        {
            var cancel = TestContext.Current.CancellationToken;
            var page = await http.GetByteArrayAsync(new Uri("api/jobs/1/run/content", UriKind.Relative), cancel);
            await File.WriteAllBytesAsync(file, page, cancel);
            browser.Driver.Navigate().GoToUrl(new Uri(file));
            browser.See("0 of 18 steps ticked.");
            Assert.Empty(browser.Driver.FindElements(By.XPath("//noscript[contains(@style, 'block')]")));
            browser.Click("//li[@id='reset-loft-router']//input");
            browser.Click("//li[@id='reset-loft-router']//button[.='Start timer']");
            browser.See("1 of 18 steps ticked.");
            browser.Driver.Navigate().Refresh();
            browser.See("1 of 18 steps ticked.");
            browser.See(" left", "//li[@id='reset-loft-router']//button");
            // What may have gone wrong is folded on the screen, and open on paper.
            browser.Click("//li[@id='reset-loft-router']//summary");
            browser.See("was held too short", "//li[@id='reset-loft-router']//details");
            Assert.Equal("1", Open());
            browser.Driver.ExecuteScript("dispatchEvent(new Event('beforeprint'))");
            Assert.Equal($"{browser.Driver.FindElements(By.TagName("details")).Count}", Open());
            browser.Driver.ExecuteScript("dispatchEvent(new Event('afterprint'))");
            Assert.Equal("1", Open());
            browser.Button("Clear all ticks");
            browser.See("0 of 18 steps ticked.");
            browser.See("Start timer", "//li[@id='reset-loft-router']//button");
        }
        finally
        {
            Directory.Delete(Path.GetDirectoryName(file)!, recursive: true);
        }

        string Open() => $"{browser.Driver.FindElements(By.CssSelector("details[open]")).Count}";
    }

    [Fact]
    public void A_typed_evening_is_read_step_by_step_with_what_is_seen_and_drawn()
    {
        browser.OpenCopy(server.Address, "run", "");
        Typed();
        browser.See("Plays through from found to one-network, and breaks nothing.");
        browser.See("about 41 min; the changes alone take at least 8 min");
        browser.See("Step 1 of 65", Step);
        browser.See("Nothing that was not so before.", Seen);
        browser.Button("Next step");
        browser.See("Plug the laptop into port 4 of Hall gateway", Step);
        browser.See("192.168.8.250/24, gateway 192.168.8.1, DNS 192.168.8.1", Seen);
        browser.See("Your laptop", Home);
        // What it would mean if something else were seen.
        browser.Click("//summary[.='If you see something else']");
        browser.See("The plug is not in to the click, or the lead is dead.");
        browser.See("connected to nothing", "//*[@aria-label='Seen instead']");
        // By key, and back.
        browser.Driver.FindElement(By.TagName("body")).SendKeys("n");
        browser.See("Step 3 of 65", Step);
        browser.Driver.FindElement(By.TagName("body")).SendKeys("p");
        browser.See("Step 2 of 65", Step);
        // A save: what is typed stands field by field, a password is shown on request.
        browser.Click("//section[@aria-label='Steps']//button[contains(., 'Save the page \"wireless\" of Loft router')]");
        browser.See("Wi-Fi name, 2.4 GHz", Step);
        browser.See("ready after 10 s", Step);
        browser.Click("//button[@aria-label='Show: Wi-Fi password, 2.4 GHz']");
        browser.Find("//button[@aria-label='Hide: Wi-Fi password, 2.4 GHz']");
        browser.Until(
            () =>
                browser.Driver.FindElement(By.XPath(Step)).FindElements(By.XPath(".//dd")).Any(d => d.Text.Contains('•')) ? "hidden" : null,
            "the other password to stay hidden"
        );
        browser.See("radios off", Home);
        browser.Driver.Navigate().Refresh();
        browser.See("Save the page \"wireless\" of Loft router", Step);
    }

    /// <summary>A list that another person wrote: refused with its places, then taken in without them and read.</summary>
    [Fact]
    public void A_list_of_acts_is_taken_in_and_its_faults_are_told()
    {
        browser.OpenCopy(server.Address, "run", "");
        browser.Click("//summary[.='Typed by hand']");
        var folder = Directory.CreateTempSubdirectory("altrin-acts-");
        try
        {
            Take("bad.json", """[{ "act": "dance" }]""");
            browser.See("bad.json was not opened. One thing is wrong with it:");
            browser.See("/acts/0");
            Take("evening.json", """[{ "act": "openPage", "box": "hall-gateway" }, { "act": "powerOff", "id": "loft-router" }]""");
            browser.See("2 left undone", "//section[@aria-label='Steps']");
            browser.See("evening.json");
            browser.See("Cannot be done: The page of Hall gateway does not open at 192.168.8.1: The laptop is in its bag.", Step);
            browser.Button("Next step");
            browser.See("Switch Loft router off", Step);
            browser.See("router · off", Home);
            browser.Click("//summary[contains(., 'Other run sheets')]");
            browser.Choose("Shown", "typed by hand: one network");
            browser.See("Step 1 of 65", Step);
        }
        finally
        {
            folder.Delete(recursive: true);
        }

        void Take(string name, string acts)
        {
            var path = Path.Combine(folder.FullName, name);
            File.WriteAllText(path, $$"""{ "format": "altrin-acts", "formatVersion": 1, "to": "one-network", "acts": {{acts}} }""");
            browser.Field("Take in a list of acts").SendKeys(path);
        }
    }

    private void Typed()
    {
        browser.Click("//summary[.='Typed by hand']");
        browser.Choose("Shown", "typed by hand: one network");
    }
}
