using System.Globalization;
using Altrin.Formats;
using Altrin.Testing;

namespace Altrin.InterfaceBench;

/// <summary>
/// From a change to the painted verdict, in the real page with the demo home and with one of fifteen boxes, 50 times each way: tried (an
/// arrow key on the pool's end) and kept (the DHCP server switched). The reference is one empty round trip to the same server and a frame.
/// </summary>
internal static class Measurement
{
    private const int Times = 50;

    private const string Painted = """
        const painted = () => new Promise(done => requestAnimationFrame(() => setTimeout(done, 0)));
        const changed = (act, where) => new Promise(done => {
          const start = performance.now();
          const watch = new MutationObserver(() => { watch.disconnect(); painted().then(() => done(performance.now() - start)); });
          watch.observe(document.querySelector(where), { subtree: true, childList: true, characterData: true });
          act();
        });
        const rest = () => new Promise(done => setTimeout(done, 120));
        """;

    private static void Main()
    {
        using var server = new RunningServer();
        using (var browser = new Browser.Tests.Browser())
        {
            browser.OpenCopy(server.Address, "plan", "?box=hall-gateway");
            Measure(browser, "demo home", "hall-gateway");
        }
        using (var browser = new Browser.Tests.Browser())
        {
            using var client = new HttpClient { BaseAddress = server.Address };
            using var design = new StringContent(Fifteen(), System.Text.Encoding.UTF8, "application/json");
            using var made = client.PostAsync(new Uri("/api/jobs/import", UriKind.Relative), design).GetAwaiter().GetResult();
            browser
                .Driver.Navigate()
                .GoToUrl(
                    new Uri(
                        server.Address,
                        $"{made.Headers.Location!.ToString().Replace("/api", "", StringComparison.Ordinal)}/plan?box=gw"
                    )
                );
            Measure(browser, "fifteen boxes", "gw");
        }
    }

    /// <summary>A gateway, a switch, thirteen access points on it, and twenty devices.</summary>
    private static string Fifteen()
    {
        var home = Home.WithGateway().Switch("core", 16).Cable("gw/lan1", "core/lan1");
        for (var i = 1; i <= 13; i++)
        {
            home.Point($"point-{i}", $"192.168.8.{i + 1}/24").Cable($"core/lan{i + 1}", $"point-{i}/wan");
        }
        for (var i = 1; i <= 20; i++)
        {
            home.Wifi($"phone-{i}", $"point-{1 + (i % 13)}");
        }
        return DesignFile.Write(new(home.Design.Site, [home.Design.SetUp]));
    }

    private static void Measure(Browser.Tests.Browser browser, string home, string gateway)
    {
        browser.Find($"//*[@data-key='box {gateway}']");
        // On a low screen the address rule is folded, and its pool has no ends to move.
        browser.Script("[...document.querySelectorAll('button')].find(b => b.textContent === 'Unfold')?.click()");
        browser.Find("//*[@role='slider'][starts-with(@aria-label, 'Last')]");
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);

        var reference = Measure(
            browser,
            "const start = performance.now(); await fetch('/health'); await painted(); return performance.now() - start;"
        );
        var tried = Measure(
            browser,
            """
            const end = document.querySelector('[role=slider][aria-label^="Last"]');
            return changed(() => end.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 ? 'ArrowLeft' : 'ArrowRight', bubbles: true })), '[aria-label=Verdict]');
            """
        );
        browser.Script(
            "document.querySelector('[role=slider][aria-label^=\"Last\"]').dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))"
        );
        var kept = Measure(
            browser,
            """
            const box = [...document.querySelectorAll('label')].find(l => l.textContent.includes('DHCP server on')).querySelector('input');
            return changed(() => box.click(), '[aria-label=Verdict]');
            """
        );
        Say($"{home}: empty round trip and a frame", reference, reference);
        Say($"{home}: change tried, verdict painted", tried, reference);
        Say($"{home}: change kept, verdict painted", kept, reference);
    }

    private static double[] Measure(Browser.Tests.Browser browser, string once) => [.. (
                (IEnumerable<object>)
                    browser.Driver.ExecuteAsyncScript(
                        $$"""
                        const done = arguments[arguments.length - 1];
                        (async () => {
                          {{Painted}}
                          const once = async i => { {{once}} };
                          const took = [];
                          for (let i = 0; i < {{Times}} + 3; i++) { took.push(await once(i)); await rest(); }
                          done(took.slice(3));
                        })();
                        """
                    )!
            ).Select(n => Convert.ToDouble(n, CultureInfo.InvariantCulture)).Order()];

    private static void Say(string what, double[] took, double[] reference) =>
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{what}: median {took[Times / 2]:0} ms, worst {took[^1]:0} ms of {Times}; {took[Times / 2] / reference[Times / 2]:0.0} times the reference"
            )
        );
}
