using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>NAT is counted as it is met from the internet line inward (RFC 2663); the expected counts are drawn by hand.</summary>
public sealed class NatCountTests
{
    private static Home Two() => Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("tv", "in/lan1");

    private static string Counted(Home home) =>
        string.Join(
            ' ',
            Observer
                .Observe(Compiler.Compile(home.Design, Situation.Settled))
                .Sheet.Nats.Select(n =>
                    $"{n.Router}={(n.Does ? n.Number?.ToString(System.Globalization.CultureInfo.InvariantCulture) ?? "none above" : "off")}"
                )
        );

    private static Home Off(Home home, string router) => home.Edit<RouterMode>(router, m => m with { Nat = false });

    public static TheoryData<string, Home, string> Cases =>
        new()
        {
            { "one router", Home.WithGateway(), "gw=1" },
            { "two in a row", Two(), "gw=1 in=2" },
            { "the inner one without NAT", Off(Two(), "in"), "gw=1 in=off" },
            { "the outer one without NAT", Off(Two(), "gw"), "gw=off in=1" },
            { "behind carrier-grade NAT", Two().Service(new CarrierNat(100, 20) { Line = Home.Asked }), "gw=2 in=3" },
            {
                "a gateway in bridge mode",
                Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("in").Cable("gw/lan1", "in/wan"),
                "in=1"
            },
            { "a public address passed on", Two().Passes("gw", PassKind.Port, "lan1"), "gw=1 in=1" },
            {
                "another one beside it",
                Two().Passes("gw", PassKind.Port, "lan1").Router("aside").Cable("gw/lan2", "aside/wan"),
                "aside=2 gw=1 in=1"
            },
            { "a router connected by a LAN port", Home.WithGateway().Router("in").Cable("gw/lan1", "in/lan1"), "gw=1" },
            { "nothing above", Home.New().Router("in").Wired("tv", "in/lan1"), "in=none above" },
            {
                "an island of two",
                Home.New().Router("in").Router("deep", "192.168.30.1/24").Cable("in/lan1", "deep/wan"),
                "deep=2 in=none above"
            },
            {
                "through a switch",
                Home.WithGateway().Switch("sw").Cable("gw/lan1", "sw/lan1").Router("in").Cable("sw/lan2", "in/wan"),
                "gw=1 in=2"
            },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void It_is_counted_from_the_internet_line(string what, Home home, string counted) =>
        Assert.Equal((what, counted), (what, Counted(home)));
}
