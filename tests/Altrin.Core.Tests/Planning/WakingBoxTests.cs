using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>Boxes that must not be plugged in as they lie there.</summary>
public sealed class WakingBoxTests
{
    // The mode that it wakes in, its factory address; who has it, and whether a DHCP server wakes.
    [Theory]
    [InlineData(ModeKind.Router, "192.168.8.1/24", "gw", true)]
    [InlineData(ModeKind.Router, "192.168.8.9/24", "printer", true)]
    [InlineData(ModeKind.Router, "192.168.1.1/24", null, true)]
    [InlineData(ModeKind.AccessPoint, "192.168.8.9/24", "printer", false)]
    [InlineData(ModeKind.AccessPoint, "192.168.8.77/24", null, false)]
    [InlineData(ModeKind.Router, null, null, true)]
    public void A_box_that_would_wake_in_the_way_is_not_plugged_in(ModeKind mode, string? address, string? holder, bool server)
    {
        var home = Home.WithGateway()
            .Wired("printer", "gw/lan1", "192.168.8.9/24")
            .Point("spare")
            .Profile("spare", p => p with { Modes = [mode], FactoryAddress = address is null ? null : Home.Own(address) });
        Assert.Empty(WakingBox.Of(home.Design));
        var design = home.Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")] } };
        var said = WakingBox.Of(design);
        Assert.Equal(holder is null && !server ? 0 : 1, said.Count);
        Assert.All(said, w =>
        {
            Assert.StartsWith("Do not plug it in yet", w.Says, StringComparison.Ordinal);
            Assert.Equal(holder is not null, w.Says.Contains($"which {holder} has", StringComparison.Ordinal));
            Assert.Equal(server, w.Says.Contains("DHCP server", StringComparison.Ordinal));
        });
    }

    /// <summary>What a box holds says how it wakes; what is not known of its last home is not made up.</summary>
    [Theory]
    [InlineData(StoredState.Unknown, null, null, Known.Unknown, "it may wake at 192.168.8.1, which gw has, and with its DHCP server on.")]
    [InlineData(StoredState.Factory, null, null, Known.Unknown, "it wakes at 192.168.8.1, which gw has, and with its DHCP server on.")]
    [InlineData(StoredState.LastHome, null, null, Known.Unknown, "it may wake with its DHCP server on, beside the one of the home.")]
    [InlineData(StoredState.LastHome, null, null, Known.Yes, "it wakes with its DHCP server on, beside the one of the home.")]
    [InlineData(StoredState.LastHome, null, null, Known.No, null)]
    [InlineData(StoredState.LastHome, ModeKind.AccessPoint, "192.168.8.7/24", Known.Unknown, null)]
    [InlineData(StoredState.LastHome, ModeKind.AccessPoint, "192.168.8.9/24", Known.Unknown, "it wakes at 192.168.8.9, which printer has.")]
    [InlineData(
        StoredState.LastHome,
        ModeKind.Router,
        "192.168.8.9/24",
        Known.Unknown,
        "it wakes at 192.168.8.9, which printer has, and perhaps with its DHCP server on."
    )]
    public void A_box_wakes_with_what_it_was_left_with(StoredState state, ModeKind? mode, string? address, Known server, string? says)
    {
        var design = Home.WithGateway()
            .Wired("printer", "gw/lan1", "192.168.8.9/24")
            .Router("spare")
            .Profile("spare", p => p with { FactoryAddress = Home.Own("192.168.8.1/24") })
            .Box("spare", b => b with { Stored = new(state)
                    {
                        Mode = mode,
                        Address = address is null ? null : Home.Own(address),
                        DhcpServer = server,
                    } })
            .Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")] } };
        Assert.Equal(
            says is null ? [] : new[] { $"Do not plug it in yet: {says} Set it at the laptop alone first." },
            WakingBox.Of(design).Select(w => w.Says)
        );
    }
}
