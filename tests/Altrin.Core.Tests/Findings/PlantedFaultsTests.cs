using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

/// <summary>
/// A sound home with two to five faults planted in places of their own; a failure names the seed. What follows from a fault is
/// said to follow from it, the cure that settles most is the first, and the one that takes first cures only ends up with a home
/// in which nothing is left that Altrin could mend.
/// </summary>
public sealed class PlantedFaultsTests
{
    private sealed record Fault(string Code, string Subject, Func<Home, Home> Plant, params string[] Beside);

    /// <summary>Each by the finding that it is, what that is about, and what is found beside it.</summary>
    private static readonly Fault[] Faults =
    [
        new("fixed-address-in-pool", "camera", h => h.Wired("camera", "row/lan7", "192.168.8.50/24")),
        new("subnet-mask-wrong", "scale", h => h.Wired("scale", "row/lan8", "192.168.8.8/16", "192.168.8.1")),
        new("gateway-wrong", "clock", h => h.Wired("clock", "row/lan9", "192.168.8.9/24", "192.168.8.77")),
        new("outside-subnet", "plotter", h => h.Wired("plotter", "row/lan10", "192.168.77.5/24")),
        new("double-nat", "annex", h => h.Router("annex").Cable("gw/lan2", "annex/wan").Wired("lathe", "annex/lan1").Found("lathe")),
        new(
            "overlapping-subnets",
            "shed",
            h => h.Router("shed", "192.168.8.1/24").Cable("gw/lan3", "shed/wan").Wired("saw", "shed/lan1"),
            "double-nat"
        ),
        new(
            "two-dhcp-servers",
            "gw",
            h => h.Router("stray", "192.168.8.250/24", "192.168.8.201-192.168.8.240").Cable("row/lan11", "stray/lan1"),
            "wrong-port",
            "wan-port-empty"
        ),
        new("loop", "den-lan1-row-lan12", h => h.Cable("den/lan1", "row/lan12")),
        new("wifi-not-joined", "tablet", h => h.Wifi("tablet", "den", key: "older-key")),
        new("wifi-password-differs", "attic/r5", h => h.Point("attic", "192.168.8.6/24", key: "other-key").Cable("row/lan13", "attic/wan")),
        new(
            "weak-wifi",
            "porch/r5",
            h => h.Point("porch", "192.168.8.7/24", name: "porch", key: null, security: WifiSecurity.Open).Cable("row/lan14", "porch/wan"),
            "split-wifi-name"
        ),
        new("upnp-on", "gw", h => h.Edit<RouterMode>("gw", m => m with { PortRequests = true })),
        new("dmz-exposed", "gw", h => h.Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.10") })),
        new("wan-port-empty", "cabin", h => h.Router("cabin", "192.168.40.1/24").Wired("pump", "cabin/lan1")),
        new("not-connected", "lamp", h => h.Loose("lamp")),
        new("uplink-not-joined", "stairs", h =>
            h.Repeater("stairs", "den", page: "192.168.8.11/24", link: l => l with { Password = "wrong" }).Wired("radio", "stairs/lan1")
        ),
        new("port-forward-to-lease", "gw", h =>
            h.Wired("recorder", "row/lan15").Reach("recorder", 8443).Forward("gw", 8443, "192.168.8.33")
        ),
        new("mains-slow", "row-lan2-den-wan", h => h.Medium("row-lan2-den-wan", Medium.Powerline)),
    ];

    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 120)];

    private static Home Sound() =>
        Home.WithGateway()
            .Switch("row", 16)
            .Cable("gw/lan1", "row/lan1")
            .Point("den", "192.168.8.3/24")
            .Cable("row/lan2", "den/wan")
            .Point("loft", "192.168.8.4/24")
            .Cable("row/lan3", "loft/wan")
            .Wired("desk", "row/lan4")
            .Wired("store", "row/lan5")
            .Reserve("gw", "store", "192.168.8.10")
            .Wired("printer", "row/lan6", "192.168.8.5/24")
            .Wifi("phone", "den")
            .Wifi("screen", "loft")
            .Found("printer");

    [Fact]
    public void The_home_is_sound_before() => Assert.Empty(Judging.Prove(Sound().Design).Findings);

    public static TheoryData<string> Each => [.. Faults.Select(f => $"{f.Code} {f.Subject}")];

    [Theory]
    [MemberData(nameof(Each))]
    public void A_fault_alone_is_the_only_cause(string fault) => Hold([Faults.Single(f => $"{f.Code} {f.Subject}" == fault)]);

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Several_faults_are_told_apart(int seed)
    {
        var dice = new Random(seed);
        var deck = Faults.ToArray();
        dice.Shuffle(deck);
        Hold(deck[..dice.Next(2, 6)]);
    }

    private static void Hold(Fault[] planted)
    {
        var names = string.Join(", ", planted.Select(f => f.Code));
        var design = planted.Aggregate(Sound(), (home, fault) => fault.Plant(home)).Design;
        var findings = Judging.Prove(design).Findings;
        var by = findings.ToDictionary(f => f.Identity);

        // Every chain of causes ends, and at something that was planted.
        foreach (var finding in findings)
        {
            var roots = Roots(finding, by, []);
            Assert.True(
                roots.Any(r => planted.Any(p => r.Code == p.Code || p.Beside.Contains(r.Code))),
                $"{finding.Identity} follows from {string.Join(", ", roots.Select(r => r.Identity))}, planted were {names}"
            );
        }
        // What can be mended together with most else, of the worst, comes first; and so do its cures.
        var worst = findings.Where(f => f.Severity == findings[0].Severity && f.CausedBy.Count == 0).ToList();
        Assert.True(findings[0].CausedBy.Count == 0, $"{findings[0].Identity} comes first and has a cause");
        Assert.All(worst, f => Assert.True(Most(f) <= Most(findings[0]), $"{f.Identity} settles more than the first of {names}"));
        Assert.All(findings, f =>
            Assert.True(
                f.Remedies.Count == 0 || f.Remedies[0].Settles.Count == Most(f),
                $"the first cure of {f.Identity} settles less than another"
            )
        );
        // A fault may be hidden by another until that one is mended; a forward goes with the cure of the need that it does not serve.
        var seen = findings.Concat(Mend(design, planted.Length, names)).ToList();
        Assert.All(planted, f =>
            Assert.True(
                seen.Any(found =>
                    (found.Code == f.Code && found.Subjects.Contains(f.Subject))
                    || (f.Code == "port-forward-to-lease" && found.Identity == "need-not-met(reach-recorder)")
                ),
                $"{f.Code} is not found among {names}"
            )
        );
    }

    private static int Most(Finding finding) => finding.Remedies.Select(r => r.Settles.Count).DefaultIfEmpty().Max();

    private static List<Finding> Roots(Finding finding, Dictionary<string, Finding> by, HashSet<string> seen)
    {
        Assert.True(seen.Add(finding.Identity) || finding.CausedBy.Count == 0, $"{finding.Identity} follows from itself");
        return finding.CausedBy.Count == 0 ? [finding] : [.. finding.CausedBy.SelectMany(c => Roots(by[c], by, [.. seen]))];
    }

    /// <summary>Takes the first cure of the first finding that has one until none has, and tells all that was found on the way.</summary>
    private static List<Finding> Mend(Design design, int faults, string names)
    {
        var (taken, seen) = (new List<string>(), new List<Finding>());
        for (var findings = Judging.Prove(design).Findings; findings.FirstOrDefault(f => f.Remedies.Count > 0) is { } next; )
        {
            taken.Add(next.Remedies[0].Label);
            Assert.True(taken.Count <= (faults * 2) + 2, $"{names}: no end after {string.Join("; ", taken)}");
            design = ChangeList.Apply(design, next.Remedies[0].Changes).Value;
            findings = Judging.Prove(design).Findings;
            Assert.DoesNotContain(findings, f => f.Identity == next.Identity);
            seen.AddRange(findings);
        }
        return seen;
    }
}
