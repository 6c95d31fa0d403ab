using Altrin.Testing;
using OpenQA.Selenium;

namespace Altrin.Browser.Tests;

/// <summary>Options in the Plan station.</summary>
public sealed class PlanWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    /// <summary>From a plan that does not work to one that does, by keys: the options side by side, the first chosen, and undone.</summary>
    [Fact]
    public void An_option_is_chosen_by_keys_and_undone()
    {
        browser.OpenCopy(server.Address, "plan", "?setUp=planned");
        browser.See("Will not work");
        browser.Find("//button[.='Options']").SendKeys(Keys.Enter);
        const string Table = "//*[@role='region' and @aria-label='Options, table']";
        browser.See("access-point mode behind Hall gateway, Loft room", Table);
        browser.See("Kiln controller reached from outside on port 8443", Table);
        browser.Find("//button[@aria-label='Make option 1 the plan']").SendKeys(Keys.Enter);
        browser.See("nothing to settle");
        browser.See("Every device reaches the internet and every need is met.");
        Assert.DoesNotContain("options", browser.Driver.Url, StringComparison.Ordinal);
        browser.Button("Undo");
        browser.See("Will not work");
    }

    /// <summary>
    /// A school is changed, and the options change; a way that one has in mind is asked for, its price read, and it is the plan.
    /// </summary>
    [Fact]
    public void A_way_of_working_and_a_question_lead_to_another_plan()
    {
        browser.OpenCopy(server.Address, "plan", "?setUp=planned&options");
        const string Table = "//*[@role='region' and @aria-label='Options, table']";
        browser.See("access-point mode behind Hall gateway, Loft room", Table);
        browser.Find("//summary[starts-with(., 'My way of working')]").SendKeys(Keys.Enter);
        browser.Choose("A further router becomes", "access point (LAN to LAN, DHCP off)");
        browser.See("access point (LAN to LAN, DHCP off) behind Hall gateway, Loft room", Table);
        browser.See("My way of working: another one in this job");
        browser.Button("Back to my usual way");
        browser.See("access-point mode behind Hall gateway, Loft room", Table);
        browser.Choose("A box", "Loft router");
        browser.Choose("What it would be", "router behind a router (cascade)");
        browser.See("points more than the first option:");
        browser.Find("//button[@aria-label='Make this the plan']").SendKeys(Keys.Enter);
        browser.See("Every device reaches the internet");
        Assert.DoesNotContain("options", browser.Driver.Url, StringComparison.Ordinal);
    }
}
