using System.Globalization;
using System.Text.Json;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>
/// How fast cabled ways are: links of the kernel are shaped to the rates of their ports, and iperf3 measures the way. A shaped link never
/// carries more than its rate, and less while the machine is busy with other things: the best of several runs is what it carries.
/// </summary>
[Collection(typeof(Alone))]
public sealed class SpeedTests
{
    /// <summary>How far what is measured may be from what was computed; it stood before anything was measured.</summary>
    private const double Tolerance = 0.07;

    /// <summary>How many runs are made at most until one is as fast as computed.</summary>
    private const int Tries = 8;

    /// <summary>Preamble, checksum and gap of a frame, of which the kernel knows nothing, in octets (IEEE 802.3).</summary>
    private const int Unseen = 24;

    /// <summary>WAN port and LAN port of the gateway, the ports of the switch, in Mb/s; which link is the slowest.</summary>
    [Theory]
    [InlineData(40, 20, 30, "gw-lan1-sw-lan1")]
    [InlineData(15, 30, 30, "street-gw-wan")]
    [InlineData(40, 40, 10, "sw-lan2-pc")]
    public void A_cabled_way_is_as_fast_as_its_slowest_link(int wan, int lan, int ports, string slowest)
    {
        Machine.Need();
        var design = Home.WithGateway()
            .Switch("sw")
            .Cable("gw/lan1", "sw/lan1")
            .Wired("pc", "sw/lan2", "192.168.8.5/24")
            .Service(new PublicDynamic(null, null) { Line = Home.Asked })
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = x.Role == PortRole.Wan ? wan : lan })] })
            .Profile("sw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = ports })] })
            .Design;
        var rate = Observer.Observe(Compiler.Compile(design, Situation.Settled)).Rates.ToInternet("pc")!;
        Assert.Equal(slowest, rate.LimitDown);
        using var built = new Built(new Lab(design));
        var lab = built.Lab;
        var speeds = new Dictionary<string, int>
        {
            ["street gw"] = wan,
            ["gw sw"] = Math.Min(lan, ports),
            ["pc sw"] = ports,
        };
        foreach (var (joint, ends) in lab.Wires)
        {
            var mbps = speeds.First(s => s.Key.Split(' ').Order().SequenceEqual(new[] { joint.A.Owner, joint.B.Owner }.Order())).Value;
            Shape(lab.Of(joint.A.Owner), ends.A, mbps);
            Shape(lab.Of(joint.B.Owner), ends.B, mbps);
        }
        // A frame by itself, as it is on a wire: the kernel would hand on bundles of them.
        foreach (var end in new[] { "pc", Lab.Internet })
        {
            Namespaces.Batch(lab.Of(end), ["link set eth0 gso_max_segs 1"]);
        }
        var file = Path.Combine(lab.Folder, "iperf3.pid");
        Assert.Equal(0, Namespaces.In(lab.Of(Lab.Internet), "iperf3", ["-s", "-D", "--pidfile", file]).Status);
        lab.Spaces.Runs(file);
        var up = Best(lab, rate.Up.Usual!.Value);
        var down = Best(lab, rate.Down.Usual!.Value, "-R");
        Report.Say($"{slowest} is the slowest: {rate.Down.Usual} Mb/s computed, {down:0.0} down and {up:0.0} up measured");
        Assert.InRange(down, rate.Down.Usual!.Value * (1 - Tolerance), rate.Down.Usual!.Value * (1 + Tolerance));
        Assert.InRange(up, rate.Up.Usual!.Value * (1 - Tolerance), rate.Up.Usual!.Value * (1 + Tolerance));
    }

    private static void Shape(string space, string device, int mbps)
    {
        var rate = string.Create(CultureInfo.InvariantCulture, $"{mbps}mbit");
        string[] qdisc = ["qdisc", "add", "dev", device, "root", "handle", "1:", "stab", "overhead", $"{Unseen}", "linklayer", "ethernet"];
        var (status, output) = Namespaces.In(space, "tc", [.. qdisc, "tbf", "rate", rate, "burst", "32kb", "latency", "60ms"]);
        Assert.True(status == 0, output);
    }

    private static double Best(Lab lab, double computed, params string[] options)
    {
        var best = 0.0;
        for (var tries = 0; tries < Tries && best < computed * (1 - Tolerance); tries++)
        {
            best = Math.Max(best, Measured(lab, options));
        }
        return best;
    }

    /// <summary>What arrives in three seconds after the first, in Mb/s.</summary>
    private static double Measured(Lab lab, params string[] options)
    {
        var (status, output) = Namespaces.In(lab.Of("pc"), "iperf3", ["-c", $"{Provider.Host}", "-t", "3", "-O", "1", "-J", .. options]);
        Assert.True(status == 0 && !output.Contains("\"error\"", StringComparison.Ordinal), output);
        using var told = JsonDocument.Parse(output);
        return told.RootElement.GetProperty("end").GetProperty("sum_received").GetProperty("bits_per_second").GetDouble() / 1e6;
    }
}
