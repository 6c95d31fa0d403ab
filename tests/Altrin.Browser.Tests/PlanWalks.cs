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
}
