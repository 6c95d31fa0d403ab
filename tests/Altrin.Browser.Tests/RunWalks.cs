using Altrin.Testing;
using OpenQA.Selenium;

namespace Altrin.Browser.Tests;

/// <summary>The Run sheet station, as someone uses it on the evening.</summary>
public sealed class RunWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Step = "//section[@aria-label='This step']";
    private const string Seen = "//section[@aria-label='What you should see']";
    private const string Home = "//section[@aria-label='The home after this step']";

    [Fact]
    public void An_evening_is_read_step_by_step_with_what_is_seen_and_drawn()
    {
        browser.OpenCopy(server.Address, "run", "");
        browser.See("Plays through from found to one-network, and breaks nothing.");
        browser.See("about 41 min; the changes alone take at least 8 min");
        browser.See("Step 1 of 65", Step);
        browser.See("connected to nothing", Seen);
        browser.Button("Next step");
        browser.See("Plug the laptop into port 4 of Hall gateway", Step);
        browser.See("192.168.8.250/24, gateway 192.168.8.1, DNS 192.168.8.1 new", Seen);
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
        browser.Click("//summary[contains(., 'Other run sheets')]");
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
}
