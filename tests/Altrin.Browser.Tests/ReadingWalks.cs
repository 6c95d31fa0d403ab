using Altrin.Testing;
using OpenQA.Selenium;

namespace Altrin.Browser.Tests;

/// <summary>Readings as an installer takes them: pasted, held against what is recorded, accepted, kept, compared, searched.</summary>
public sealed class ReadingWalks(RunningServer server, Browser browser) : IClassFixture<Browser>
{
    private const string Says = "//section[@aria-label='What it says']";
    private const string Printed = "What the machine printed, as it is";

    private const string Laptop = """
        C:\Users\bench>ipconfig /all

        IP-Konfiguration

        Ethernet-Adapter Ethernet:

           Verbindungsspezifisches DNS-Suffix:
           Physische Adresse . . . . . . . . : 02-00-5E-00-53-99
           DHCP aktiviert. . . . . . . . . . : Nein
           Autokonfiguration aktiviert . . . : Ja
           IPv4-Adresse  . . . . . . . . . . : 192.168.8.7(Bevorzugt)
           Subnetzmaske  . . . . . . . . . . : 255.255.255.0
           Standardgateway . . . . . . . . . : 192.168.8.1
           DNS-Server  . . . . . . . . . . . : 192.168.8.1

        C:\Users\bench>arp -a

        Schnittstelle: 192.168.8.7 --- 0xc
          Internetadresse       Physische Adresse     Typ
          192.168.8.1           00-00-5e-00-53-01     dynamisch
          192.168.8.60          00-00-5e-00-53-e0     dynamisch
          192.168.8.255         ff-ff-ff-ff-ff-ff     statisch
        Der Kessel pfeift
        """;

    /// <summary>Pasted through the clipboard's event, as a person's paste is one act and not a key a character.</summary>
    private void Paste(string label, string text) =>
        browser.Until(
            () =>
            {
                var field = browser.Field(label);
                browser.Driver.ExecuteScript(
                    "const [e, t] = arguments; Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(e, t); e.dispatchEvent(new Event('input', { bubbles: true }));",
                    field,
                    text
                );
                return field.GetAttribute("value")!.Length > 0 ? label : null;
            },
            $"to paste into {label}"
        );

    [Fact]
    public void A_reading_is_pasted_held_against_the_survey_accepted_and_kept()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings");
        Paste(Printed, Laptop);
        browser.See("Say where it was taken to have it compared.", Says);
        browser.Choose("Taken at", "laptop in port 4 of Hall gateway", part: true);
        // What disagrees comes first, with what would explain it; the line that is none is said to be none.
        browser.See("The laptop has an address that was typed by hand.", Says);
        browser.See("Set it back to automatic", Says);
        browser.See("1 line was not read", Says);
        browser.See("Accept: Device 53E0 is a device of the home", Says);
        browser.Button("Accept 1 and keep the reading");
        browser.See("Kept. 1 accepted", Says);
        browser.Click("//nav[@aria-label='Readings']//button[.='Kept']");
        browser.See("Adapters, address table", "//section[@aria-label='Kept readings']");
        browser.Click("//nav[@aria-label='Parts of the survey']//button[.='What is here']");
        browser.See("Device 53E0");
        // Undo takes the device back; the reading stays.
        browser.Click("//button[starts-with(@aria-label,'Undo: Read from pasted')]");
        browser.Until(
            () => browser.Driver.FindElements(By.XPath("//*[contains(text(),'Device 53E0')]")).Count == 0 ? "gone" : null,
            "the device to be gone"
        );
        browser.Click("//nav[@aria-label='Parts of the survey']//button[.='Readings']");
        browser.Click("//nav[@aria-label='Readings']//button[.='Kept']");
        browser.See("Adapters, address table", "//section[@aria-label='Kept readings']");
    }

    [Fact]
    public void A_reading_that_disagrees_says_what_would_explain_it()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings");
        browser.Choose("Taken at", "laptop in port 4 of Hall gateway", part: true);
        Paste(Printed, "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.8.101 from 192.168.8.254\n");
        browser.See("2 DHCP servers answered: 192.168.8.1 (Hall gateway) and 192.168.8.254.", Says);
        browser.See("No recorded host is at 192.168.8.254", Says);
        browser.See("Disagrees (1)", Says);
        // Kept as it is, it can be looked at later and archived.
        browser.Button("Keep the reading");
        browser.See("Kept.", Says);
        browser.Click("//nav[@aria-label='Readings']//button[.='Kept']");
        browser.Click("//section[@aria-label='Kept readings']//tr[contains(., 'Leases')]//button");
        browser.See("2 DHCP servers answered", "//section[@aria-label='The chosen reading']");
        browser.Click("//section[@aria-label='The chosen reading']//button[.='Archive']");
        browser.Until(
            () =>
                browser.Driver.FindElements(By.XPath("//section[@aria-label='Kept readings']//tr[contains(., 'Leases')]")).Count == 0
                    ? "gone"
                    : null,
            "the reading to be archived"
        );
        browser.Button("Archived readings");
        browser.See("Leases", "//section[@aria-label='Kept readings']");
    }

    [Fact]
    public void Two_lists_tell_what_is_new_and_a_moved_box_is_found()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings&show=lists");
        browser.Click("(//fieldset)[1]//label[contains(., 'device list')]");
        browser.Choose("The box that is plugged in", "Studio access point");
        browser.Driver.ExecuteScript(
            "const e = document.querySelectorAll('textarea')[1]; Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(e, arguments[0]); e.dispatchEvent(new Event('input', { bubbles: true }));",
            "192.168.8.57 dev eth0 lladdr 00:00:5e:00:53:06 REACHABLE\n192.168.8.58 dev eth0 lladdr 06:00:5e:00:53:40 REACHABLE\n"
        );
        browser.See("Studio access point is new, at 192.168.8.57", "//section[@aria-label='What is new']");
        browser.See("New (2)", "//section[@aria-label='What is new']");
        browser.Click("//nav[@aria-label='Readings']//button[.='Find a box']");
        browser.Type("Last digits of its label", "53:05");
        browser.See("speak to every address first", "//section[@aria-label='Where it may be']");
        Paste(
            "Or one pasted",
            "192.168.8.57 dev eth0 lladdr 00:00:5e:00:53:06 REACHABLE\n192.168.8.99 dev eth0 lladdr 00:00:5e:00:53:99 REACHABLE\n"
        );
        browser.See("Its last digits are 1 above 5305", "//section[@aria-label='Where it may be']");
        browser.See("for i in $(seq 1 254)", "//section[@aria-label='Where it may be']");
    }

    [Fact]
    public void The_outside_view_and_speed_runs_are_typed_and_kept()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings&show=outside");
        browser.Type("The address that an outside service shows", "203.0.113.80");
        browser.Type("The WAN address on the page of the outermost box", "203.0.113.80");
        browser.See("Only a connection opened from outside proves that one arrives", "//section[@aria-label='What follows']");
        browser.Button("Keep the reading");
        browser.See("Kept.", "//section[@aria-label='What follows']");
        browser.Click("//nav[@aria-label='Readings']//button[.='Speed']");
        browser.Choose("In", "Hall");
        foreach (var down in new[] { "141", "139", "142" })
        {
            browser.Type("Down, Mb/s", down + Keys.Enter);
            browser.See(down, "//section[@aria-label='Runs']//table");
        }
        browser.See("141 (139 to 142) Mb/s down", "//section[@aria-label='What they are worth']");
        browser.See("The service stops it: 150 Mb/s were sold.", "//section[@aria-label='What they are worth']");
        browser.See("Say at which port or in which Wi-Fi it was taken", "//section[@aria-label='What they are worth']");
        browser.Choose("Taken at", "laptop in port 4 of Hall gateway");
        browser.See("141 Mb/s by cable in Hall, the median of 3 runs.", "//section[@aria-label='What they are worth']");
        browser.Button("Accept 1 and keep the reading");
        browser.See("Kept.", "//section[@aria-label='What they are worth']");
        browser.Type("Down, Mb/s", "-3" + Keys.Enter);
        browser.See("A rate towards the home in Mb/s is expected");
    }

    /// <summary>A file from a shell that writes UTF-16, and a capture, are picked as they are.</summary>
    [Fact]
    public void Files_are_read_in_the_encoding_that_their_shell_wrote()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings");
        var folder = Directory.CreateTempSubdirectory("altrin-walk-");
        try
        {
            var text = Path.Combine(folder.FullName, "arp.txt");
            File.WriteAllText(text, "192.168.8.1 dev eth0 lladdr 00:00:5e:00:53:01 REACHABLE\r\n", System.Text.Encoding.Unicode);
            browser.Find("//input[@type='file']").SendKeys(text);
            browser.See("00:00:5e:00:53:01 at 192.168.8.1: Hall gateway.", Says);
            var capture = Path.Combine(folder.FullName, "wire.pcap");
            File.Copy(Path.Combine(AppContext.BaseDirectory, "two-servers.pcap"), capture);
            browser.Find("//input[@type='file']").SendKeys(capture);
            browser.See("2 DHCP servers answered", Says);
            browser.See("wire.pcap");
        }
        finally
        {
            folder.Delete(true);
        }
    }

    [Fact]
    public void What_is_heard_in_a_room_is_noted_there_and_can_be_forgotten()
    {
        browser.OpenCopy(server.Address, "survey", "?part=readings");
        Paste(Printed, "BSS 06:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\n");
        browser.See("Say in which place it was taken", Says);
        browser.Choose("In", "Bedroom");
        browser.See("Accept: In Bedroom 1 network is heard", Says);
        browser.Button("Accept 1 and keep the reading");
        browser.See("1 accepted", Says);
        browser.Button("Kept");
        browser.Click("//section[@aria-label='Kept readings']//tbody/tr[1]//button");
        browser.See("Accepted then (1)", "//section[@aria-label='The chosen reading']");
        browser.Button("What is here");
        browser.Click("//button[starts-with(normalize-space(.), 'Bedroom')]");
        browser.See("Of neighbours: 2.4 GHz channel 6: 1, strongest -80 dBm.", "//section[@aria-label='Wi-Fi heard here']");
        browser.See("next door", "//table[@aria-label='Networks heard in Bedroom']");
        browser.Button("Forget what was heard here");
        browser.See("Not scanned yet.", "//section[@aria-label='Wi-Fi heard here']");
        browser.Find("//button[starts-with(@aria-label,'Undo: What is known of Bedroom is corrected')]");
    }
}
