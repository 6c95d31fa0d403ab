using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>
/// A house and a barn, each a network of its own with addresses typed in, become one: what both have typed in is compared, and what clashes
/// or leads nowhere is renumbered (common practice).
/// </summary>
public sealed class TwoHomesTests
{
    private static readonly string Survey = Path.Combine(AppContext.BaseDirectory, "samples", "surveys", "house-and-barn.json");

    /// <summary>The house of the survey with a printer, and the barn with a router that serves, a recorder and a printer.</summary>
    /// <param name="barn">The first three numbers of the barn's network.</param>
    private static Design TwoHomes(string barn)
    {
        var found = DesignFile.Read(File.ReadAllText(Survey)).Value!.AsFound();
        var own = Interface($"{barn}.1");
        var pool = AddressRange.Parse($"{barn}.20-{barn}.199").Value;
        RadioSetting[] radios =
        [
            .. found.Box("barn-router")!.Profile.Radios.Select(r => new RadioSetting(r.Id, true, "barn", WifiSecurity.Wpa2, "barn-key")),
        ];
        var router = new RouterMode(new Automatic(), own, new(true, pool, null, [], []), [], radios);
        return new(
            found.Site with
            {
                Devices =
                [
                    .. found.Site.Devices,
                    new("printer", "House printer", DeviceKind.Printer, null) { Place = "hall" },
                    new("recorder", "Barn recorder", DeviceKind.Recorder, null) { Place = "barn-loft" },
                    new("barn-printer", "Barn printer", DeviceKind.Printer, null) { Place = "barn-loft" },
                ],
                Needs = [.. found.Site.Needs, new FoundByOthers("found", "barn-printer")],
            },
            found.SetUp with
            {
                Boxes = [.. found.SetUp.Boxes, new("barn-router", router) { Place = "barn-loft" }],
                Cables =
                [
                    .. found.SetUp.Cables,
                    Lead("c1", "gateway/lan1", "printer"),
                    Lead("c2", "barn-router/lan1", "recorder"),
                    Lead("c3", "barn-router/lan2", "barn-printer"),
                ],
                Devices =
                [
                    .. found.SetUp.Devices.Where(d => d.Device != "barn-tablet"),
                    new("barn-tablet", new Automatic(), new("barn-router", "barn", "barn-key")),
                    Typed("printer", "192.168.8", 10),
                    Typed("recorder", barn, 10),
                    Typed("barn-printer", barn, 11),
                ],
            }
        );
    }

    private static InterfaceAddress Interface(string address) => InterfaceAddress.Parse($"{address}/24").Value;

    private static Cable Lead(string id, string from, string to) =>
        new(id, new(from.Split('/')[0], from.Split('/')[1]), PortRef.OfDevice(to), CableFacts.Lead);

    private static DeviceSetting Typed(string device, string net, int host) =>
        new(device, new Fixed(Interface($"{net}.{host}"), Home.At($"{net}.1"), [Home.At($"{net}.1")]), null);

    /// <summary>Of two that have one address, one keeps it: which of them is all the same.</summary>
    [Theory]
    [InlineData(
        "192.168.8",
        "^Barn router: 192.168.8.1 becomes .*, since Hall gateway has 192.168.8.1\\.$",
        "^(Barn recorder|House printer): 192.168.8.10 becomes 192.168.8.[0-9]+, since (House printer|Barn recorder) has 192.168.8.10\\.$"
    )]
    [InlineData(
        "192.168.1",
        "^Barn printer: 192.168.1.11 becomes .*, its gateway 192.168.1.1 becomes 192.168.8.1, since 192.168.1.11 is outside .*there\\.$",
        "^Barn recorder: 192.168.1.10 becomes .*, its gateway 192.168.1.1 becomes 192.168.8.1, since 192.168.1.10 is outside .*there\\.$",
        "^Barn router: 192.168.1.1 becomes .*, since 192.168.1.1 is outside 192.168.8.0/24\\.$"
    )]
    public void What_both_have_typed_in_is_compared_and_renumbered(string barn, params string[] told)
    {
        var found = TwoHomes(barn);
        var option = Planner.Plan(new(found), stop: TestContext.Current.CancellationToken).Options[0];
        Assert.Equal((0, 0), (option.Score.Missed, option.Score.WillNotWork));
        Assert.Equal(RoleKind.Router, option.Roles.Single(r => r.Box == "gateway").Kind);
        Assert.DoesNotContain(option.Roles, r => r.Kind == RoleKind.Router && r.Box != "gateway");
        var renumbered = OptionDocument.Of(Compiler.Compile(found, Situation.Settled), option).Renumbered;
        Assert.Equal(told.Length, renumbered.Count);
        Assert.All(told, t => Assert.Single(renumbered, r => Regex.IsMatch(r, t)));
        // One network: nothing has the address of another, and what is typed in is no address that may be leased.
        var seen = option.Proof.Observation;
        Assert.Empty(seen.Sheet.Conflicts);
        var main = Assert.Single(seen.Sheet.Rulers);
        var typed = seen.Sheet.Addresses.Where(a => a.Segment == main.Segment && a.Origin == AddressOrigin.Fixed).ToList();
        Assert.Equal(
            ["barn-printer", "gateway", "printer", "recorder"],
            typed.Where(a => a.Side is Side.Device or Side.Lan).Select(a => a.Owner).Order(StringComparer.Ordinal)
        );
        Assert.All(typed, a => Assert.True(main.Subnet.IsHost(a.Address!.Value)));
        Assert.All(typed, a => Assert.DoesNotContain(main.Pools, p => p.On && p.Range.Contains(a.Address!.Value)));
        Assert.All(typed.Where(a => a.Side == Side.Device), a => Assert.Equal(main.Gateway, a.Gateway));
    }
}
