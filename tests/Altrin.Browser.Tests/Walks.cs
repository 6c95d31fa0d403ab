using Altrin.Testing;
using OpenQA.Selenium;

[assembly: AssemblyFixture(typeof(RunningServer))]

namespace Altrin.Browser.Tests;

/// <summary>Whole tasks as a user does them, on a job of each walk's own.</summary>
public sealed class Walks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Verdict = "//section[@aria-label='Verdict']";

    private static string Gear(string name) => $"//ul[@aria-label='Gear']/li/button[starts-with(normalize-space(.), '{name}')]";

    /// <summary>Opens a copy of the demo home, as a list unless told otherwise, and answers its address.</summary>
    private string OpenDemo(string station = "plan", string query = "?view=list") => browser.OpenCopy(server.Address, station, query);

    [Fact]
    public void The_demo_is_opened_read_put_right_undone_and_still_so_after_a_reload()
    {
        OpenDemo();
        browser.See("Will not work", Verdict);
        browser.See("Loft router has 192.168.8.0/24 on both sides", Verdict);
        // Change what a box is.
        browser.Click(Gear("Loft router"));
        browser.Choose("Mode", "Access point");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Verdict)).Text.Contains("on both sides", StringComparison.Ordinal) ? null : "gone",
            "the overlap to go"
        );
        // Apply a remedy.
        browser.Click(Gear("Studio access point"));
        browser.Button("Move Studio access point to 192.168.8.2");
        browser.Until(
            () => browser.Field("Address and prefix").GetAttribute("value") == "192.168.8.2/24" ? "moved" : null,
            "the page to be at .2"
        );
        // Undo it, and redo it.
        browser.Click("//button[starts-with(@aria-label,'Undo: Studio access point')]");
        browser.Until(
            () => browser.Field("Address and prefix").GetAttribute("value") == "192.168.8.24/24" ? "back" : null,
            "the page to be back at .24"
        );
        browser.Click("//button[starts-with(@aria-label,'Redo: Studio access point')]");
        browser.Until(
            () => browser.Field("Address and prefix").GetAttribute("value") == "192.168.8.2/24" ? "again" : null,
            "the page to be at .2 again"
        );
        browser.Driver.Navigate().Refresh();
        browser.See("Studio access point", "//section[@aria-label='Studio access point']");
        Assert.Equal("192.168.8.2/24", browser.Field("Address and prefix").GetAttribute("value"));
    }

    [Fact]
    public void Every_cure_in_turn_makes_the_demo_sound()
    {
        OpenDemo();
        browser.Button("Set Loft router to access-point mode");
        browser.Button("Move Studio access point to");
        browser.Button("Call all of them \"pottery\"");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Verdict + "//h1")).Text is "Sound" or "Works" ? "turned" : null,
            "the verdict to turn"
        );
    }

    [Fact]
    public void An_address_is_typed_tried_refused_and_saved()
    {
        OpenDemo("plan", "?view=list&box=loft-router");
        browser.Type("LAN address", "192.168.20.1/24");
        browser.See("If you keep it: Loft router gets 192.168.20.1/24", Verdict);
        browser.Field("LAN address").SendKeys(Keys.Escape);
        browser.Until(
            () => browser.Field("LAN address").GetAttribute("value") == "192.168.8.1/24" ? "given up" : null,
            "the draft to be given up"
        );
        browser.Type("LAN address", "192.168.20.0/24" + Keys.Enter);
        browser.See("192.168.20.0 is the network address of 192.168.20.0/24");
        Assert.Equal("192.168.20.0/24", browser.Field("LAN address").GetAttribute("value"));
        browser.Type("LAN address", "192.168.20.1/24" + Keys.Enter);
        browser.Until(
            () => browser.Field("DHCP pool, first").GetAttribute("value") == "192.168.20.20" ? "moved" : null,
            "the pool to move along"
        );
    }

    [Fact]
    public void A_cable_is_pulled_and_plugged_in_by_choosing_two_ports()
    {
        OpenDemo("plan", "?view=list&box=hall-gateway");
        browser.Click("//button[@aria-label='Unplug the cable from port 1 of Hall gateway to port in of Loft router']");
        browser.See("Nothing is plugged into the WAN port of Loft router", Verdict);
        browser.Choose("to", "port in of Loft router");
        browser.Button("Plug in");
        browser.See("port 1 of Hall gateway to port in of Loft router", "//section[@aria-label='Cables']");
    }

    [Fact]
    public void A_device_is_given_a_Wi_Fi_and_an_address()
    {
        OpenDemo("plan", "?view=list&device=loft-phone");
        browser.Choose("Wi-Fi that it joins", "pottery at Hall gateway");
        browser.Until(
            () =>
                browser
                    .Driver.FindElement(By.XPath("//section[@aria-label='Loft phone']"))
                    .Text.Contains("leased by Hall gateway", StringComparison.Ordinal)
                    ? "moved"
                    : null,
            "the phone to move over"
        );
        browser.Choose("Its address", "typed by hand");
        browser.Type("Address and prefix", "10.0.0.9/24" + Keys.Enter);
        browser.See("Loft phone is set to 10.0.0.9, outside 192.168.8.0/24", Verdict);
    }

    [Fact]
    public void A_broken_file_is_read_error_by_error_and_a_good_one_opens()
    {
        var broken = Path.Combine(Path.GetTempPath(), $"altrin-broken-{Guid.NewGuid():n}.json");
        File.WriteAllText(broken, """{"format":"altrin-design","formatVersion":1,"site":{"name":"x","colour":1},"setUps":[]}""");
        try
        {
            browser.Driver.Navigate().GoToUrl(server.Address);
            browser.Field("Design file").SendKeys(broken);
            browser.See("things are wrong with it");
            browser.See("/site/colour");
            browser.See("allowed: name, naming, country, service, boxes, devices, buildings");
            browser.Field("Design file").SendKeys(Path.Combine(AppContext.BaseDirectory, "samples", "t03-cascade.json"));
            browser.See("Works", Verdict);
            browser.See("Double NAT: Lodger router behind Hall gateway", Verdict);
        }
        finally
        {
            File.Delete(broken);
        }
    }

    [Fact]
    public void Jobs_are_made_found_duplicated_renamed_and_put_away()
    {
        browser.Driver.Navigate().GoToUrl(server.Address);
        browser.Type("Name of the home", "Mill cottage");
        browser.Button("Create");
        browser.See("Begin with the box at which the internet comes in");
        browser.Driver.Navigate().GoToUrl(server.Address);
        browser.Type("Search by name", "mill");
        browser.Click("//button[@aria-label='Duplicate Mill cottage']");
        browser.See("Mill cottage, copy", "//header");
        browser.Driver.Navigate().GoToUrl(server.Address);
        browser.Click("//button[@aria-label='Rename Mill cottage, copy']");
        browser
            .Find("//input[@aria-label='New name of Mill cottage, copy']")
            .SendKeys(Keys.Control + "a" + Keys.Null + "Weir cottage" + Keys.Enter);
        browser.Click("//button[@aria-label='Archive Weir cottage']");
        browser.Until(
            () => browser.Driver.FindElement(By.TagName("main")).Text.Contains("Weir cottage", StringComparison.Ordinal) ? null : "gone",
            "the job to go"
        );
        browser.Button("Show archived jobs");
        browser.Click("//button[@aria-label='Unarchive Weir cottage']");
        browser.See("No job is archived.");
    }

    [Fact]
    public void A_page_that_is_told_it_is_offline_goes_on_working()
    {
        OpenDemo();
        browser.See("Will not work", Verdict);
        browser.Script("Object.defineProperty(navigator,'onLine',{get:()=>false}); window.dispatchEvent(new Event('offline'));");
        browser.Button("Give Loft router the subnet");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Verdict)).Text.Contains("on both sides", StringComparison.Ordinal) ? null : "gone",
            "the overlap to go"
        );
        browser.See("version 2", "//header");
        browser.Click("//nav[@aria-label='Stations']//a[starts-with(normalize-space(.),'Proof')]");
        browser.See("Ordinary internet");
    }

    [Fact]
    public void When_the_server_is_gone_the_draft_is_kept_and_saved_once_it_is_back()
    {
        OpenDemo("plan", "?view=list&box=loft-router");
        browser.See("Will not work", Verdict);
        browser.Cdp("Network.enable", []);
        browser.Cdp("Network.setBlockedURLs", new() { ["urls"] = new[] { "*/api/*", "*/health" } });
        browser.Type("LAN address", "192.168.20.1/24" + Keys.Enter);
        browser.See("Altrin does not answer");
        Assert.Equal("192.168.20.1/24", browser.Field("LAN address").GetAttribute("value"));
        browser.Cdp("Network.setBlockedURLs", new() { ["urls"] = Array.Empty<string>() });
        browser.See("version 2", "//header");
        browser.Until(
            () =>
                browser.Driver.FindElement(By.TagName("body")).Text.Contains("Altrin does not answer", StringComparison.Ordinal)
                    ? null
                    : "gone",
            "the bar to go"
        );
    }

    [Fact]
    public void Undo_asks_before_it_takes_back_what_another_tab_did()
    {
        var address = OpenDemo();
        browser.See("Will not work", Verdict);
        var first = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().NewWindow(WindowType.Tab);
        browser.Driver.Navigate().GoToUrl(address);
        browser.Button("Give Loft router the subnet");
        browser.See("version 2", "//header");
        browser.Driver.Close();
        browser.Driver.SwitchTo().Window(first);
        browser.Driver.Navigate().Refresh();
        browser.Click("//button[starts-with(@aria-label,'Undo: ')]");
        browser.See("The last change was made in another tab.");
        browser.Button("Undo it");
        browser.See("version 3", "//header");
        browser.See("on both sides", Verdict);
    }

    [Fact]
    public void A_change_on_top_of_another_tabs_is_made_again_and_told()
    {
        var address = OpenDemo("plan", "?view=list&box=loft-router");
        browser.See("Will not work", Verdict);
        browser.Driver.ExecuteAsyncScript(
            $"const done=arguments[0]; fetch('/api/jobs/{address.Split('/')[4]}/changes',{{method:'POST',headers:{{'content-type':'application/json','If-Match':'\"1\"'}},body:JSON.stringify({{setUp:'planned',changes:[{{kind:'switchDhcpServer',box:'hall-gateway',on:false}}]}})}}).then(()=>done())"
        );
        browser.Type("LAN address", "192.168.20.1/24" + Keys.Enter);
        browser.See("This job was also changed elsewhere");
        browser.See("version 3", "//header");
        browser.See("No DHCP server answers", Verdict);
    }

    public static TheoryData<string, string> Views =>
        new()
        {
            { "jobs", "light" },
            { "jobs", "dark" },
            { "plan", "light" },
            { "plan", "dark" },
            { "plan?view=list", "light" },
            { "plan?view=list&device=kitchen-phone", "dark" },
            { "plan?cable=hall-gateway-lan1-loft-router-wan", "light" },
            { "plan?port=hall-gateway/lan4", "dark" },
            { "plan?compare=", "light" },
            { "plan?compare=", "dark" },
            { "proof", "light" },
            { "proof", "dark" },
            { "proof?part=addresses", "light" },
            { "proof?part=reach&from=loft-console&to=printer", "dark" },
            { "proof?part=air&device=wheel-tablet", "light" },
            { "proof?part=air", "dark" },
            { "proof?part=stand", "light" },
            { "proof?part=steps", "dark" },
            { "proof?part=whatIf&trial=off:hall-gateway", "light" },
            { "proof?part=before", "dark" },
            { "proof?part=paper", "light" },
            { "run", "light" },
            { "run?step=save-loft-router-mode-access-point", "dark" },
            { "run?to=planned", "light" },
            { "run?part=paper", "dark" },
            { "run?sheet=1&step=37", "dark" },
            { "survey", "light" },
            { "survey", "dark" },
            { "survey?thing=hall-gateway", "dark" },
            { "survey?thing=old-router", "light" },
            { "survey?thing=service", "light" },
            { "survey?thing=studio", "dark" },
            { "survey?thing=printer", "light" },
            { "survey?part=cables", "dark" },
            { "survey?part=keys", "light" },
            { "survey?part=tables", "dark" },
            { "survey?part=readings", "light" },
            { "survey?part=readings&show=kept&reading=1", "dark" },
            { "survey?part=readings&show=lists", "light" },
            { "survey?part=readings&show=find", "dark" },
            { "survey?part=readings&show=speed", "light" },
            { "ways", "light" },
            { "ways", "dark" },
            { "shelf", "light" },
            { "shelf", "dark" },
        };

    /// <summary>axe finds no violation, and nothing that it leaves open is about contrast or names.</summary>
    [Theory]
    [MemberData(nameof(Views))]
    public void Views_are_accessible(string view, string colours)
    {
        if (view is "jobs" or "shelf" or "ways")
        {
            browser.Driver.Navigate().GoToUrl(view == "jobs" ? server.Address : new Uri(server.Address, view));
        }
        else
        {
            OpenDemo(view.Split('?')[0], view.Contains('?', StringComparison.Ordinal) ? "?" + view.Split('?')[1] : "");
        }
        browser.Find("//h1");
        // Rows that a list of its own scrolls out of sight cannot be judged: the window is as high as the longest of them.
        browser.Resize(1280, view.StartsWith("run", StringComparison.Ordinal) ? 7000 : 800);
        browser.Click($"//select[@aria-label='Colours']/option[@value='{colours}']");
        browser.Script("document.querySelectorAll('details').forEach(d => d.open = true)");
        browser.Script(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "axe.min.js")));
        // What is drawn lies on what is drawn, which axe cannot see through: those colours have a test of their own in the front end.
        var said = (string)
            browser.Driver.ExecuteAsyncScript(
                """
                const done = arguments[0];
                const told = r => [...r.violations, ...r.incomplete].map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ')).slice(0, 4).join(' | '));
                axe.run(document, { rules: { 'color-contrast': { enabled: false } } })
                  .then(a => axe.run({ exclude: ['svg'] }, { runOnly: ['color-contrast'] }).then(b => done([...told(a), ...told(b)].join('\n'))));
                """
            )!;
        browser.Resize(1280, 800);
        Assert.Empty(said);
    }

    [Theory]
    [InlineData("")]
    [InlineData("jobs/1/plan")]
    [InlineData("jobs/1/survey")]
    [InlineData("jobs/1/survey?thing=hall-gateway")]
    [InlineData("jobs/1/survey?thing=service")]
    [InlineData("jobs/1/survey?thing=studio")]
    [InlineData("jobs/1/survey?part=cables")]
    [InlineData("jobs/1/survey?part=keys")]
    [InlineData("jobs/1/survey?part=tables")]
    [InlineData("jobs/1/survey?part=readings")]
    [InlineData("jobs/1/survey?part=readings&show=kept&reading=1")]
    [InlineData("jobs/1/survey?part=readings&show=lists")]
    [InlineData("jobs/1/survey?part=readings&show=find")]
    [InlineData("jobs/1/survey?part=readings&show=outside")]
    [InlineData("jobs/1/survey?part=readings&show=speed")]
    [InlineData("shelf")]
    [InlineData("jobs/1/run")]
    [InlineData("jobs/1/run?step=save-loft-router-mode-access-point")]
    [InlineData("jobs/1/run?to=planned")]
    [InlineData("jobs/1/run?part=paper")]
    [InlineData("jobs/1/run?sheet=1&step=32")]
    [InlineData("jobs/1/proof")]
    [InlineData("jobs/1/proof?part=addresses")]
    [InlineData("jobs/1/proof?part=reach&from=loft-console&to=printer")]
    [InlineData("jobs/1/proof?part=air&device=wheel-tablet")]
    [InlineData("jobs/1/proof?part=stand")]
    [InlineData("jobs/1/proof?part=steps")]
    [InlineData("jobs/1/proof?part=whatIf&trial=off:hall-gateway")]
    [InlineData("jobs/1/proof?part=before")]
    [InlineData("jobs/1/proof?part=paper")]
    public void Nothing_is_cut_off_on_a_phone(string path)
    {
        browser.Resize(390, 844);
        try
        {
            browser.Driver.Navigate().GoToUrl(new Uri(server.Address, path));
            browser.Find("//h1");
            Assert.Equal(390L, browser.Script("return document.documentElement.scrollWidth"));
        }
        finally
        {
            browser.Resize(1280, 800);
        }
    }
}
