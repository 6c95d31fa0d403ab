using Altrin.Testing;
using OpenQA.Selenium;

namespace Altrin.Browser.Tests;

/// <summary>The Proof station, part by part, as someone uses it who wants to be convinced.</summary>
public sealed class ProofWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Book = "//table[@aria-label='Address book']";

    private void Open(string part) => browser.OpenCopy(server.Address, "proof", $"?part={part}");

    private string[] Column(int column) => [.. browser.Driver.FindElements(By.XPath($"{Book}/tbody/tr/td[{column}]")).Select(c => c.Text)];

    [Fact]
    public void The_address_book_is_sorted_searched_and_asked_about_an_address()
    {
        Open("addresses");
        browser.See("Kitchen phone", Book);
        browser.Click($"{Book}//button[normalize-space(.)='Who']");
        browser.Until(
            () => Column(1) is var names && names.SequenceEqual(names.Order(StringComparer.OrdinalIgnoreCase)) ? "sorted" : null,
            "the names to be in order"
        );
        browser.Click($"{Book}//button[normalize-space(.)='Who']");
        browser.Until(
            () => Column(1) is var names && names.SequenceEqual(names.OrderDescending(StringComparer.OrdinalIgnoreCase)) ? "sorted" : null,
            "the names to be in the other order"
        );
        browser.Type("Show only what contains", "00:00:5e:00:53:08" + Keys.Tab);
        browser.Until(() => Column(1) is ["Printer"] ? "found" : null, "the printer alone");
        browser.Driver.Navigate().Refresh();
        browser.Until(() => Column(1) is ["Printer"] ? "kept" : null, "the same after a reload");
        browser.Type("What is this address?", "192.168.8.2" + Keys.Enter);
        browser.See("Hall gateway: 192.168.8.2 is free: safe to set by hand.");
        browser.Type("What is this address?", "192.168.8.300" + Keys.Enter);
        browser.See("'192.168.8.300'");
    }

    [Fact]
    public void A_field_of_the_matrix_explains_itself_and_is_drawn()
    {
        Open("reach");
        browser.Click(
            "//button[starts-with(@title,'Kiln controller, Loft console, Loft phone to Kiln controller, Loft console, Loft phone')]"
        );
        browser.See("Kiln controller reaches Loft console directly, inside one network.", "//section[@aria-label='Why']");
        browser.Until(
            () => browser.Driver.FindElements(By.CssSelector("path.path")).Count == 2 ? "drawn" : null,
            "both cables to be marked"
        );
        browser.Click("//section[@aria-label='Why']//button[normalize-space(.)='Loft phone → Loft console']");
        browser.See("Loft phone reaches Loft console directly", "//section[@aria-label='Why']");
        browser.See("The slowest part is ", "//section[@aria-label='Why']");
        browser.Click("//section[@aria-label='From the internet inward']//button");
        browser.See("A host on the internet does not reach Kiln controller, and ", "//section[@aria-label='Why']");
    }

    /// <summary>What a device gets and why, then the channels: planned, set in one act by keys, and taken back.</summary>
    [Fact]
    public void Speeds_are_explained_and_channels_are_set_and_taken_back()
    {
        const string Rates = "//section[@aria-labelledby='rates']";
        const string Plan = "//section[@aria-labelledby='channels']";
        Open("air");
        browser.See("110 Mb/s", Rates);
        browser.Find($"{Rates}//button[contains(.,'Wheel tablet')]").SendKeys(Keys.Enter);
        browser.See("The mains wiring behind Hall gateway", Rates);
        browser.See("as measured over it", Rates);
        browser.See("the slowest part", Rates);
        browser.Driver.Navigate().Refresh();
        browser.See("the slowest part", Rates);
        browser.See("measured; computed -30 dBm", "//section[@aria-labelledby='heard']");
        // Without what was measured over the mains wiring, what is usual counts.
        browser.See("measured; computed 150 Mb/s", Rates);
        browser.Click("//button[@aria-label='Forget 141 Mb/s at Studio access point']");
        browser.See("60 Mb/s", Rates);
        browser.Click("//button[normalize-space(.)='Undo']");
        browser.See("110 Mb/s", Rates);
        browser.See("chooses itself", Plan);
        browser.Find($"{Plan}//button[normalize-space(.)='Set these channels']").SendKeys(Keys.Enter);
        browser.See("No other channels would be better.", Plan);
        browser.Click("//button[normalize-space(.)='Undo']");
        browser.See("chooses itself", Plan);
    }

    [Fact]
    public void A_laptop_in_a_free_port_sees_what_its_commands_print()
    {
        Open("stand");
        browser.Choose("Look from", "laptop in port 4 of Hall gateway");
        browser.See("inet 192.168.8.20/24", "//section[@aria-label='ip addr']");
        browser.Choose("As printed by", "ipconfig, arp");
        browser.See("Default Gateway . . . . . . . . . : 192.168.8.1", "//section[@aria-label='ipconfig /all']");
        browser.Choose("Ping and trace", "an address that I type");
        browser.Type("Address", "192.168.8.77" + Keys.Enter);
        browser.See("No host answers at 192.168.8.77 beside the laptop.");
        browser.See("Destination host unreachable", "//section[@aria-label='ping 192.168.8.77']");
    }

    [Fact]
    public void A_lease_is_gone_through_step_by_step_and_taken_along_as_a_capture()
    {
        Open("steps");
        browser.See("House laptop is leased an address: yes");
        browser.Button("Next step");
        browser.See("2 of 8");
        browser.See("Hall gateway offers 192.168.8.20", "//section[@aria-label='What stands in it']");
        browser.See("86400 s", "//section[@aria-label='What stands in it']");
        var capture = browser.Find("//section[@aria-label='Captures']//a").GetAttribute("href")!;
        // The classic format begins with its magic number, little end first.
        Assert.Equal(
            "d4c3b2a1",
            browser.Driver.ExecuteAsyncScript(
                "const done=arguments[1]; fetch(arguments[0]).then(r=>r.arrayBuffer()).then(b=>done([...new Uint8Array(b).slice(0,4)].map(x=>x.toString(16).padStart(2,'0')).join('')))",
                capture
            )
        );
        browser.Choose("What is shown", "A connection comes from outside");
        browser.See("Kiln controller is reached from outside on port 8443: no");
        browser.Choose("What is shown", "A device looks for another");
        browser.Choose("Who", "House laptop");
        browser.Choose("Looks for", "Printer");
        browser.See("House laptop looks for Printer");
    }

    [Fact]
    public void What_if_tells_what_an_unplugged_cable_takes_along_and_keeps_nothing()
    {
        Open("whatIf");
        browser.Button("The cable from port 1 of Loft router to Kiln controller is unplugged");
        browser.See("Internet of Kiln controller", "//section[@aria-label='What would happen']");
        browser.See("The cable of Kiln controller is unplugged.", "//section[@aria-label='What would happen']");
        browser.Button("Power fails");
        browser.See("Start in this order: ", "//section[@aria-label='What would happen']");
        browser.See("version 1", "//header");
    }

    [Fact]
    public void A_home_put_right_is_better_than_it_was_found()
    {
        var address = browser.OpenCopy(server.Address, "plan", "?view=list");
        browser.Button("Set Loft router to access-point mode");
        browser.Button("Move Studio access point to");
        browser.See("version 3", "//header");
        browser.Driver.Navigate().GoToUrl(address.Replace("plan?view=list", "proof?part=before", StringComparison.Ordinal));
        browser.See("Before: found");
        browser.See("Internet of Loft phone: by luck → yes", "//section[@aria-label='Got better']");
        browser.See("stayed as they were", "//section[@aria-label='What moved']");
    }

    [Fact]
    public void The_proof_is_printed_without_what_can_be_pressed()
    {
        Open("paper");
        browser.See("Who has which address");
        var file = browser.Find("//a[contains(.,'Hosts file')]").GetAttribute("href")!;
        Assert.Contains(
            "192.168.8.1\thall-gateway",
            (string)browser.Driver.ExecuteAsyncScript("const done=arguments[1]; fetch(arguments[0]).then(r=>r.text()).then(done)", file)!
        );
        browser.Click("//select[@aria-label='Colours']/option[@value='dark']");
        browser.Until(() => Dark() ? "dark" : null, "the dark colours");
        browser.Cdp("Emulation.setEmulatedMedia", new() { ["media"] = "print" });
        try
        {
            browser.Until(() => Dark() ? null : "light", "light colours on paper");
            Assert.All(browser.Driver.FindElements(By.XPath("//header | //main//button")), e => Assert.False(e.Displayed));
            Assert.True(browser.Find("//table").Displayed);
        }
        finally
        {
            browser.Cdp("Emulation.setEmulatedMedia", new() { ["media"] = "" });
            browser.Script("localStorage.removeItem('altrin-colours')");
        }

        bool Dark() => browser.Script("return document.documentElement.classList.contains('dark')") is true;
    }
}
