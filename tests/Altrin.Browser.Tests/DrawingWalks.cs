using Altrin.Testing;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Altrin.Browser.Tests;

/// <summary>The work on the drawing: by pointer, by keys alone, and what WCAG 2.2 asks of both.</summary>
public sealed class DrawingWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Verdict = "//section[@aria-label='Verdict']";

    private static string Thing(string key) => $"//*[@data-key='{key}']";

    private void OpenDemo(string query = "") => browser.OpenCopy(server.Address, "plan", query);

    private void Version(int number) => browser.See($"version {number}", "//header");

    private string Key() =>
        (string)
            browser.Script(
                "return document.activeElement.getAttribute('data-key') ?? document.activeElement.getAttribute('aria-label') ?? document.activeElement.textContent"
            )!;

    private void Press(string keys) => new Actions(browser.Driver).SendKeys(keys).Perform();

    /// <summary>Presses a key until something has the focus; at most so often.</summary>
    private void PressUntil(string keys, string focused, int most)
    {
        for (var i = 0; i < most && Key() != focused; i++)
        {
            Press(keys);
        }
        Assert.Equal(focused, Key());
    }

    /// <summary>Goes along the drawing with the arrow keys, always the longer way first, as the eye would.</summary>
    private void GoTo(string key)
    {
        for (var i = 0; i < 40 && Key() != key; i++)
        {
            var arrows = (
                (string)
                    browser.Script(
                        $$"""
                        const middle = e => { const r = e.getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]; };
                        const [a, b] = [middle(document.activeElement), middle(document.querySelector('[data-key="{{key}}"]'))];
                        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
                        const h = dx > 0 ? 'Right' : 'Left', v = dy > 0 ? 'Down' : 'Up';
                        return Math.abs(dx) > Math.abs(dy) ? h + ' ' + v : v + ' ' + h;
                        """
                    )!
            ).Split(' ');
            var before = Key();
            Press(Arrow(arrows[0]));
            if (Key() == before)
            {
                Press(Arrow(arrows[1]));
            }
        }
        Assert.Equal(key, Key());

        static string Arrow(string way) =>
            way switch
            {
                "Right" => Keys.ArrowRight,
                "Left" => Keys.ArrowLeft,
                "Up" => Keys.ArrowUp,
                _ => Keys.ArrowDown,
            };
    }

    private void Drag(IWebElement from, IWebElement to) =>
        new Actions(browser.Driver).MoveToElement(from).ClickAndHold().MoveToElement(from, 9, 9).MoveToElement(to).Release().Perform();

    [Fact]
    public void By_pointer_the_cause_is_found_cables_are_run_and_the_pool_is_moved()
    {
        OpenDemo();
        // The cause, from the verdict to the drawing.
        browser.Click("//section[@aria-label='Verdict']//button[contains(., 'on both sides')]");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Thing("box loft-router"))).GetAttribute("class")!.Contains("spoken") ? "yes" : null,
            "the loft router to be spoken of"
        );
        browser.Until(
            () => browser.Driver.Url.Contains("finding=overlapping-subnets", StringComparison.Ordinal) ? "there" : null,
            "the address to name the finding"
        );
        // A way to the internet line.
        browser.Click(Thing("device kiln-controller"));
        browser.See("Kiln controller", "//section[@aria-label='Kiln controller']");
        browser.Until(
            () => browser.Driver.FindElements(By.CssSelector("path.wire.path")).Count == 3 ? "three" : null,
            "the three links of its way"
        );
        // A cable pulled from port to port, and one run by two clicks.
        Drag(browser.Find(Thing("port hall-gateway/lan4")), browser.Find(Thing("port studio-point/lan1")));
        Version(2);
        browser.See("ring", Verdict);
        browser.Click("//button[starts-with(@aria-label,'Undo: Cable from')]");
        Version(3);
        browser.Click(Thing("port hall-gateway/lan4"));
        browser.Button("Run a cable from here");
        browser.See("Choose the other end of the cable");
        browser.Click(Thing("port loft-router/lan3"));
        Version(4);
        browser.See("by luck only", Verdict);
        // Unplugged again, from the drawing.
        browser.Find(Thing("cable hall-gateway-lan4-loft-router-lan3"));
        browser.Script("document.querySelector('[data-key=\"cable hall-gateway-lan4-loft-router-lan3\"]').focus()");
        Press(Keys.Enter);
        browser.See("Unplug it");
        Press(Keys.Delete);
        Version(5);
        // The end of the pool.
        browser.Click(Thing("terrace hall-gateway"));
        UnfoldRule();
        var last = browser.Find("//*[@role='slider' and contains(@aria-label,'Last address')]");
        new Actions(browser.Driver).MoveToElement(last).ClickAndHold().MoveByOffset(-60, 0).MoveByOffset(-60, 0).Release().Perform();
        Version(6);
        browser.Find("//button[starts-with(@aria-label,'Undo: Pool of Hall gateway ends at 192.168.8.1')]");
    }

    [Fact]
    public void By_keys_alone_a_home_is_put_right_and_compared_with_what_it_was()
    {
        OpenDemo();
        browser.See("Will not work", Verdict);
        // To the drawing, along it, and into the settings of a box.
        browser.Script("document.querySelector('[data-key][tabindex=\"0\"]').focus()");
        GoTo("box hall-gateway");
        GoTo("port hall-gateway/lan4");
        Press(Keys.Enter);
        browser.See("Port 4 of Hall gateway");
        PressUntil(Keys.Tab, "Run a cable from here", 40);
        Press(Keys.Enter);
        browser.See("Choose the other end of the cable");
        browser.Script("document.querySelector('[data-key][tabindex=\"0\"]').focus()");
        GoTo("port loft-router/lan3");
        browser.See("If you keep it: Cable from port 4 of Hall gateway to port 3 of Loft router", Verdict);
        Press(Keys.Escape);
        browser.Until(
            () => browser.Driver.FindElements(By.XPath("//*[contains(text(),'Choose the other end')]")).Count == 0 ? "gone" : null,
            "the cable to be given up"
        );
        // From problem to problem, why, and its cure.
        Press(Keys.Escape);
        Press(".");
        browser.Until(() => Key().Contains("Double NAT", StringComparison.Ordinal) ? "there" : null, "the first problem to have the focus");
        Press("w");
        browser.See("RFC 3022", Verdict);
        Press("a");
        Version(2);
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Verdict)).Text.Contains("on both sides", StringComparison.Ordinal) ? null : "gone",
            "the overlap to go"
        );
        // The pool's first end, by arrow keys; a free address, by stepping to it.
        UnfoldRule();
        browser.Find("//*[@role='slider']");
        browser.Script("document.querySelector('[role=slider]').focus()");
        Press(Keys.PageUp);
        Press(Keys.Enter);
        Version(3);
        browser.Script("document.querySelector('[aria-label=\"Address to give\"]').focus()");
        Press(Keys.ArrowUp);
        browser.Choose("Who gets the address", "Studio access point", byName: true);
        browser.Script("document.querySelector('[aria-label=\"Address to give\"]').focus()");
        Press(Keys.Enter);
        Version(4);
        // What was done, compared with the version before all of it.
        browser.Button("Compare");
        browser.See("What changed");
        browser.Choose("From version", "Duplicated", part: true);
        browser.See("Loft router becomes an access point", "//section[@aria-label='What changed']");
        browser.See("Pool of Hall gateway begins at 192.168.8.30", "//section[@aria-label='What changed']");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Thing("box loft-router"))).GetAttribute("class")!.Contains("changed") ? "yes" : null,
            "the loft router to be marked"
        );
    }

    [Fact]
    public void A_finding_is_accepted_with_a_name_and_taken_back()
    {
        OpenDemo();
        browser.Click("//button[starts-with(@aria-label,'Accept: ') and contains(@aria-label,' names: ')]");
        browser.Type("Reason", "The potter wants it so.");
        browser.Type("Accepted by", "A. Installer" + Keys.Enter);
        Version(2);
        browser.See("A. Installer: The potter wants it so.", Verdict);
        browser.See("1 accepted", Verdict);
        browser.Click("//button[starts-with(@aria-label,'Reopen: ')]");
        Version(3);
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Verdict)).Text.Contains("The potter wants", StringComparison.Ordinal) ? null : "gone",
            "the word to be taken back"
        );
    }

    [Fact]
    public void The_drawing_is_kept_as_SVG_and_as_PNG()
    {
        var folder = Directory.CreateTempSubdirectory("altrin-kept-").FullName;
        try
        {
            OpenDemo();
            browser.Cdp("Browser.setDownloadBehavior", new() { ["behavior"] = "allow", ["downloadPath"] = folder });
            browser.Find(Thing("box loft-router"));
            browser.Click("//button[@aria-label='Keep the drawing as SVG']");
            var svg = browser.Until(() => Directory.GetFiles(folder, "*.svg").FirstOrDefault(), "the SVG");
            var drawing = System.Xml.Linq.XDocument.Load(svg);
            Assert.Contains(drawing.Descendants().Where(e => e.Name.LocalName == "text"), t => t.Value == "Loft router");
            Assert.DoesNotContain(drawing.Descendants().SelectMany(e => e.Attributes()), a =>
                a.Name.LocalName is "class" or "role" or "tabindex"
            );
            Assert.DoesNotContain(
                "http",
                File.ReadAllText(svg).Replace("http://www.w3.org/", "", StringComparison.Ordinal),
                StringComparison.Ordinal
            );
            browser.Click("//button[@aria-label='Keep the drawing as PNG']");
            var png = browser.Until(() => Directory.GetFiles(folder, "*.png").FirstOrDefault(), "the PNG");
            Assert.Equal([0x89, 0x50, 0x4E, 0x47], File.ReadAllBytes(png)[..4]);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    // WCAG 2.2, 2.5.7: whatever is done by dragging is done by single presses too.
    [Fact]
    public void Nothing_needs_dragging()
    {
        OpenDemo("?port=studio-point/lan2");
        browser.Button("Run a cable from here");
        browser.Click(Thing("device wheel-tablet"));
        Version(2);
        browser.Click(Thing("box hall-gateway"));
        browser.Type("DHCP pool, last", "192.168.8.150" + Keys.Enter);
        Version(3);
        // A press on a free stretch of the rule chooses its address.
        UnfoldRule();
        browser.Click(Thing("box studio-point"));
        browser.Until(
            () =>
                browser.Find("//select[@aria-label='Who gets the address']/option[normalize-space(.)='Studio access point']").Selected
                    ? "meant"
                    : null,
            "the access point to be meant"
        );
        var rule = browser.Find("//section[@aria-label='Address rule']//*[@role='group' and starts-with(@aria-label,'Addresses ')]");
        new Actions(browser.Driver).MoveToElement(rule, rule.Size.Width / 2 - 20, 0).Click().Perform();
        browser.Until(
            () => browser.Find("//input[@aria-label='Address to give']").GetAttribute("value") == "192.168.8.2" ? null : "chosen",
            "an address to be chosen"
        );
        browser.Button("Give it");
        Version(4);
        browser.Find("//button[starts-with(@aria-label,'Undo: Studio access point')]");
    }

    // WCAG 2.2, 2.1.4: keys that act by themselves can be switched off, and do nothing in a field.
    [Fact]
    public void Single_keys_can_be_switched_off()
    {
        OpenDemo();
        browser.See("Will not work", Verdict);
        Press("?");
        browser.See("Single keys act by themselves");
        browser.Click("//dialog//input[@type='checkbox']");
        browser.Button("Close");
        try
        {
            Press(".");
            Press("a");
            Assert.DoesNotContain("finding=", browser.Driver.Url, StringComparison.Ordinal);
            browser.See("version 1", "//header");
        }
        finally
        {
            browser.Script("localStorage.removeItem('altrin-single-keys')");
        }
        OpenDemo("?view=list&box=loft-router");
        browser.Type("LAN address", "192.168.20.1/24.a");
        Assert.DoesNotContain("finding=", browser.Driver.Url, StringComparison.Ordinal);
    }

    // WCAG 2.2, 2.5.8: what is pressed is 24 px wide and high at least. On the drawing that holds at full size; the list has all of it too.
    [Theory]
    [InlineData("")]
    [InlineData("?view=list&box=loft-router")]
    [InlineData("?port=hall-gateway/lan4")]
    [InlineData("?compare=")]
    public void Targets_are_large_enough(string query)
    {
        OpenDemo(query);
        browser.Find("//h1");
        if (!query.Contains("list", StringComparison.Ordinal))
        {
            browser.Find(Thing("box loft-router"));
            browser.Script("[...document.querySelectorAll('button')].find(b => b.textContent.includes('Fit')).click()");
            while (
                (long)browser.Script("return parseInt(document.querySelector('[aria-label=\"Size of the drawing\"]').textContent)")! < 100
            )
            {
                browser.Click("//button[@aria-label='Larger']");
            }
        }
        var small = (string)
            browser.Script(
                """
                return [...document.querySelectorAll('button, select, input, summary, [role=button], [role=slider]')]
                  .filter(e => e.checkVisibility() && !e.closest('dialog') && !(e.dataset.key ?? '').startsWith('cable '))
                  .map(e => [e, (e.type === 'checkbox' ? e.closest('label') : e).getBoundingClientRect()])
                  .filter(([, r]) => r.width < 23.5 || r.height < 23.5)
                  .map(([e, r]) => `${e.dataset.key ?? e.getAttribute('aria-label') ?? e.textContent}: ${r.width} x ${r.height}`).join('\n')
                """
            )!;
        Assert.Empty(small);
    }

    // Interface: a home of up to six boxes is read from where one sits, and seen in its whole width.
    [Fact]
    public void The_drawing_of_a_small_home_is_large_enough_to_read_and_fits_its_frame()
    {
        OpenDemo();
        browser.Find(Thing("box loft-router"));
        var small = (string)
            browser.Script(
                """
                const svg = document.querySelector('svg[aria-label="Drawing of the network"]');
                const scale = svg.getBoundingClientRect().width / svg.viewBox.baseVal.width;
                return [...svg.querySelectorAll('text, tspan')]
                  .filter(t => parseFloat(getComputedStyle(t).fontSize) * scale < 11.99)
                  .map(t => `${t.textContent}: ${parseFloat(getComputedStyle(t).fontSize) * scale}`).join('\n')
                """
            )!;
        Assert.Empty(small);
        Assert.True(
            (bool)
                browser.Script(
                    "const f = document.querySelector('svg[aria-label=\"Drawing of the network\"]').parentElement; return f.scrollWidth <= f.clientWidth"
                )!
        );
    }

    /// <summary>At this size the address rule is a strip at first; it stays as it was left.</summary>
    private void UnfoldRule()
    {
        const string fold = "section[aria-label=\"Address rule\"] button[aria-expanded]";
        browser.Find("//section[@aria-label='Address rule']//button[@aria-expanded]");
        if ((bool)browser.Script($"return document.querySelector('{fold}').getAttribute('aria-expanded') === 'false'")!)
        {
            browser.Script($"document.querySelector('{fold}').focus()");
            Press(Keys.Enter);
        }
    }

    [Fact]
    public void What_just_changed_is_marked_and_the_mark_goes()
    {
        OpenDemo();
        browser.Button("Give Loft router the subnet");
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Thing("box loft-router"))).GetAttribute("class")!.Contains("changed") ? "yes" : null,
            "the loft router to be marked"
        );
        browser.Until(
            () => browser.Driver.FindElement(By.XPath(Thing("box loft-router"))).GetAttribute("class")!.Contains("changed") ? null : "gone",
            "the mark to go"
        );
    }
}
