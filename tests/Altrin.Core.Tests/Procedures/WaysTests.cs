using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Procedures;

/// <summary>What departs from an installer's own ways is said; what is not known yet, and what has to be undone, is listed.</summary>
public sealed class WaysTests
{
    private const string New = "new";

    private static readonly Act ToNew = new LaptopToPort(PortRef.Read("new/lan2"));

    private static SavePage Saves(string box, Change change) => new SavePage(box, [change]);

    private static SavePage Own(string address) => Saves(New, new SetLanAddress(New, Home.Own(address)));

    private static SavePage Lease => Saves("gw", new SetLeaseTime("gw", 60));

    private static Home House() => InvariantTests.House().Traits(New, new() { Login = LoginHabit.SameForAll });

    public static TheoryData<string, Ways, Act[], string?> Cases =>
        new()
        {
            {
                "a known login, reset",
                new() { Reset = ResetSchool.IfLoginUnknown },
                [new ResetBox(New)],
                "The login of new is known"
            },
            { "reset always", Ways.Usual, [new ResetBox(New)], null },
            { "password first", Ways.Usual, [.. AtFactory, Named], "the admin password comes first" },
            { "password first, kept", Ways.Usual, [.. AtFactory, Locked, new WaitUntilReady(New), Named], null },
            {
                "password last",
                new() { Password = PasswordSchool.Last },
                [.. AtFactory, Locked],
                "it comes last"
            },
            {
                "password last, kept",
                new() { Password = PasswordSchool.Last },
                [.. AtFactory, Named, new WaitUntilReady(New), Locked],
                null
            },
            { "any address", Ways.Usual, [ToNew, Own("192.168.8.200/24")], null },
            {
                "low",
                new() { Address = AddressSchool.Low },
                [ToNew, Own("192.168.8.200/24")],
                "which is not below the pool"
            },
            {
                "low, kept",
                new() { Address = AddressSchool.Low },
                [ToNew, Own("192.168.8.2/24")],
                null
            },
            {
                "high",
                new() { Address = AddressSchool.High },
                [ToNew, Own("192.168.8.2/24")],
                "which is not above the pool"
            },
            {
                "high, kept",
                new() { Address = AddressSchool.High },
                [ToNew, Own("192.168.8.250/24")],
                null
            },
            {
                "reserved",
                new() { Address = AddressSchool.Reserved },
                [ToNew, Own("192.168.8.2/24")],
                "it should be leased and reserved"
            },
            {
                "devices left alone",
                new() { TouchesDevices = false },
                [new DeviceTakesAddress("a", new Fixed(Home.Own("192.168.8.9/24"), null, []))],
                "a is touched"
            },
            {
                "a device off and on",
                new() { TouchesDevices = false },
                [new NewLink("a")],
                null
            },
            {
                "gateway left alone",
                new() { TouchesGateway = false },
                [new LaptopToPort(PortRef.Read("gw/lan4")), Lease],
                "which the gateway should not be"
            },
            {
                "no socket",
                new() { Socket = false },
                [new LaptopToPort(PortRef.Read("gw/lan4"))],
                "has no Ethernet socket"
            },
            { "gateway changed", Ways.Usual, [new LaptopToPort(PortRef.Read("gw/lan4")), Lease], null },
        };

    private static Act[] AtFactory => [new ResetBox(New), new WaitUntilReady(New), ToNew];

    private static SavePage Locked => Saves(New, new SetPagePassword(New, "page"));

    private static SavePage Named => Saves(New, new SetRadio(New, "r5", Partial<RadioSetting>.With(r => r.Name, "rowan")));

    [Theory]
    [MemberData(nameof(Cases))]
    public void What_departs_from_a_way_is_said_and_done(string what, Ways ways, Act[] acts, string? says)
    {
        var play = Play.Of(State.Morning(House().Design), acts, null, ways, TestContext.Current.CancellationToken);
        Assert.All(play.Steps, s => Assert.True(s.Refused is null, $"{what}: {s.Says}: {s.Refused}"));
        var said = play.Steps.SelectMany(s => s.Departs).ToList();
        Assert.Equal(says is null ? 0 : 1, said.Count);
        Assert.All(said, d => Assert.Contains(says!, d, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(StoredState.LastHome, ResetSchool.Always, 1)]
    [InlineData(StoredState.LastHome, ResetSchool.IfLoginUnknown, 0)]
    [InlineData(StoredState.Factory, ResetSchool.Always, 0)]
    public void A_box_that_is_set_with_what_it_holds_of_its_last_home_is_told(StoredState held, ResetSchool reset, int times)
    {
        var home = House().Box(New, b => b with { Stored = new(held) });
        Act[] acts =
        [
            new PutBoxAway(New),
            new PowerOn(New),
            new WaitUntilReady(New),
            ToNew,
            new TryLogin(New),
            Locked,
            new WaitUntilReady(New),
            .. held == StoredState.LastHome ? (Act[])[new ResetBox(New), new WaitUntilReady(New), Locked] : [],
        ];
        var play = Play.Of(State.Morning(home.Design), acts, null, new() { Reset = reset }, TestContext.Current.CancellationToken);
        Assert.All(play.Steps, s => Assert.True(s.Refused is null, $"{s.Says}: {s.Refused}"));
        var told = play.Steps.SelectMany(s => s.Departs).Where(d => d.Contains("last home", StringComparison.Ordinal)).ToList();
        Assert.Equal(times, told.Count);
    }

    /// <summary>A page that is leased is blank until it is found; a reservation says what it will be.</summary>
    [Fact]
    public void What_is_not_known_yet_is_blank_until_it_is_filled()
    {
        var mac = new MacAddress(0x00005E0053AA);
        var home = Home.WithGateway()
            .Traits("gw", new() { PageSides = [PageSide.Cable] })
            .Point("point")
            .Box("point", b => b with { Mac = mac })
            .Point("other")
            .Box("other", b => b with { Mac = null, WanMac = null })
            .Cable("gw/lan1", "point/wan")
            .Cable("gw/lan2", "other/wan");
        var now = State.Morning(home.PagePassword("point", "page").Design);
        Assert.Equal(
            ["Login gw", "PageAddress point", "MacAddress other", "Login other", "PageAddress other"],
            Blank.Of(now).Select(b => $"{b.Kind} {b.Box}")
        );
        Assert.Equal("address of the page of other", Blank.Of(now)[^1].Says(now.Design));
        now = Then(now, new LaptopToPort(PortRef.Read("gw/lan4")), new TryLogin("gw"), new FindPage("point"));
        Assert.Equal(["MacAddress other", "Login other", "PageAddress other"], Blank.Of(now).Select(b => $"{b.Kind} {b.Box}"));
        Assert.Equal(
            $"{now.Ledger.Found[0].Address}",
            Blank.Of(State.Morning(home.Design)).First(b => b is { Kind: BlankKind.PageAddress, Box: "point" }).Example
        );
        var reserved = State.Morning(
            home.Edit<RouterMode>("gw", m => m with { Server = m.Server with { Reservations = [new(mac, Home.At("192.168.8.5"))] } }).Design
        );
        Assert.DoesNotContain(Blank.Of(reserved), b => b.Box == "point");
    }

    private static State Then(State now, params Act[] acts) =>
        acts.Aggregate(now, (at, act) =>
            act.From(at) is { Ok: true, Value: [var outcome, ..] } ? outcome.After : throw new InvalidOperationException($"{act}")
        );
}
