using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

/// <summary>What a box holds that is not in use.</summary>
public sealed class SetStoredTests
{
    private static readonly Shelf Empty = new([]);

    private static HomeFile House()
    {
        var design = Home.WithGateway().Router("spare", "192.168.1.1/24").Design;
        return new(design.Site, [design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")] }]);
    }

    private static Parsed<HomeFile> Noted(HomeFile home, params Correction[] said) => CorrectionList.Apply(home, Empty, said);

    private static SetStored Of(Partial<StoredSettings> stored, string box = "spare") => new(box, stored);

    private static StoredSettings Stored(HomeFile home) => home.Site.Boxes.First(b => b.Id == "spare").Stored;

    [Fact]
    public void A_value_is_one_of_its_last_home_and_a_reset_leaves_none()
    {
        var home = Noted(
            House(),
            Of(Partial<StoredSettings>.With(s => s.Address, Home.Own("192.168.8.2/24"))),
            Of(Partial<StoredSettings>.With(s => s.DhcpServer, Known.No))
        ).Value;
        Assert.Equal(new(StoredState.LastHome) { Address = Home.Own("192.168.8.2/24"), DhcpServer = Known.No }, Stored(home));
        home = Noted(home, Of(Partial<StoredSettings>.With(s => s.State, StoredState.Factory))).Value;
        Assert.Equal(new(StoredState.Factory), Stored(home));
    }

    public static TheoryData<SetStored, string> Refusals =>
        new()
        {
            { Of(Partial<StoredSettings>.With(s => s.State, StoredState.Factory), "gw"), "is in use" },
            { Of(Partial<StoredSettings>.With(s => s.State, StoredState.Factory), "none"), "no box 'none'" },
            { Of(Partial<StoredSettings>.With(s => s.Mode, ModeKind.Satellite)), "It can be router or access point" },
            {
                Of(Partial<StoredSettings>.With(s => s.Mode, ModeKind.AccessPoint).And(s => s.DhcpServer, Known.Yes)),
                "Only a router has a DHCP server."
            },
            { Of(Partial<StoredSettings>.With(s => s.Address, Home.Own("192.168.1.0/24"))), "192.168.1.0" },
            { Of(Partial<StoredSettings>.With(s => s.WifiName, new string('x', 33))), "1 to 32 bytes" },
        };

    [Theory]
    [MemberData(nameof(Refusals))]
    public void What_it_cannot_hold_is_refused(SetStored said, string why) =>
        Assert.Contains(why, Noted(House(), said).Error, StringComparison.Ordinal);

    /// <summary>In use again it is as it was left, which is an assumption until its page is read.</summary>
    [Fact]
    public void A_box_that_comes_into_use_is_as_it_was_left()
    {
        var left = Partial<StoredSettings>
            .With(s => s.Address, Home.Own("192.168.8.2/24"))
            .And(s => s.DhcpServer, Known.No)
            .And(s => s.WifiName, "Elsewhere")
            .And(s => s.WifiPassword, "old-key");
        var home = Noted(House(), Of(left), new UseBox("spare", null, Connection.NotSaid)).Value;
        var router = Assert.IsType<RouterMode>(home.AsFound().Mode("spare"));
        Assert.Equal(
            ("192.168.8.2/24", false, "Elsewhere", "old-key"),
            (router.Lan.ToString(), router.Server.On, router.Wifi[0].Name, router.Wifi[0].Password)
        );
        var assumed = home.Site.Boxes.First(b => b.Id == "spare").Assumed;
        Assert.Equal((Home.Own("192.168.8.2/24"), false, "Elsewhere"), (assumed.LanAddress, assumed.DhcpServer, assumed.WifiName));
        // As an access point it has no such address, and keeps the rest.
        home = Noted(House(), Of(left.And(s => s.Mode, ModeKind.AccessPoint)), new UseBox("spare", null, Connection.NotSaid)).Value;
        Assert.Equal("Elsewhere", Assert.IsType<AccessPointMode>(home.AsFound().Mode("spare")).Wifi[0].Name);
    }

    /// <summary>What is planned stays planned, also where it holds what the box would have been taken to be set to.</summary>
    [Fact]
    public void Only_what_was_found_knows_how_it_was_left()
    {
        var (found, planned) = (House(), Home.WithGateway().Router("spare", "192.168.1.1/24").Design.SetUp);
        found = found with { SetUps = [found.SetUps[0] with { Name = StartPlan.Found }, planned with { Name = StartPlan.Planned }] };
        var left = Partial<StoredSettings>.With(s => s.Address, Home.Own("192.168.8.2/24")).And(s => s.WifiName, "Elsewhere");
        var home = Noted(found, Of(left), new UseBox("spare", null, Connection.NotSaid)).Value;
        Assert.Equal("192.168.8.2/24", ((RouterMode)home.AsFound().Mode("spare")!).Lan.ToString());
        Assert.Same(found.SetUps[1], home.SetUps[1]);
    }

    /// <summary>What contradicts itself is refused, and so is what was left of a box that is in use.</summary>
    [Theory]
    [InlineData("Old, box, spare, reset, dhcp off", "those of its last home")]
    [InlineData("Old, box, at gw, reset", "not in use")]
    [InlineData("Old, box, in use, not reset", "not in use")]
    public void A_quick_line_that_cannot_be_so_is_refused(string line, string why)
    {
        var profile = House().Site.Boxes.First(b => b.Id == "spare").Profile with { ShelfId = "box", Name = "Box" };
        var read = QuickEntry.Read(House(), new Shelf([profile]), QuickList.Gear, line);
        Assert.Null(read.Home);
        Assert.Contains(why, read.Lines[0].Error, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("Old, box, spare, reset", StoredState.Factory, Known.Unknown)]
    [InlineData("Old, box, reset", StoredState.Factory, Known.Unknown)]
    [InlineData("Old, box, spare, not reset", StoredState.LastHome, Known.Unknown)]
    [InlineData("Old, box, spare, dhcp off", StoredState.LastHome, Known.No)]
    [InlineData("Old, box, spare", StoredState.Unknown, Known.Unknown)]
    public void A_quick_line_says_what_a_spare_box_holds(string line, StoredState state, Known server)
    {
        var profile = House().Site.Boxes.First(b => b.Id == "spare").Profile with { ShelfId = "box", Name = "Box" };
        var shelf = new Shelf([profile]);
        var home = QuickEntry.Read(House(), shelf, QuickList.Gear, line).Home!;
        var box = home.Site.Boxes.First(b => b.Name == "Old");
        Assert.Equal((state, server), (box.Stored.State, box.Stored.DhcpServer));
        Assert.Null(home.AsFound().Mode(box.Id));
        // A box that is connected was left with nothing; how it is set is read on its page.
        Assert.NotNull(QuickEntry.Read(House(), shelf, QuickList.Gear, "Old, box, at gw, dhcp off").Home!.AsFound().Mode("old"));
    }
}
