using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What a box that was out of use wakes with.</summary>
internal static class FromShelf
{
    /// <summary>
    /// The set-ups in which it may wake, the usual first, each with whether it is at factory and in words: one where it is known what it
    /// holds, two where not.
    /// </summary>
    public static IReadOnlyList<(SetUp SetUp, bool Factory, string Says)> Of(Design design, Box box)
    {
        var factory = (In(design, box, box.Profile.Modes[0], null), true, "it is at its factory settings");
        var last = (LastHome(design, box), false, "it holds the settings of its last home");
        return box.Stored.State switch
        {
            StoredState.Factory => [factory],
            StoredState.LastHome => [last],
            _ => PageAt.HasNone(box.Profile) ? [factory] : [factory, last],
        };
    }

    private static SetUp LastHome(Design design, Box box)
    {
        var held = box.Stored;
        return In(design, box, held.Mode is { } mode && box.Profile.Modes.Contains(mode) ? mode : box.Profile.Modes[0], held);
    }

    private static SetUp In(Design design, Box box, ModeKind kind, StoredSettings? held)
    {
        var bare = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes, new(box.Id, new SwitchMode(null))] } };
        var fresh = BoxReset.Of(bare, box.Id, []);
        var at =
            kind == box.Profile.Modes[0]
                ? fresh
                : new ModeEffects([], AddressAfter.Leased).Apply(bare with { SetUp = fresh }, box.Id, kind).Value;
        return held is null
            ? at
            : at with
            {
                Boxes = [.. at.Boxes.Select(b => b.Box == box.Id ? b with { Mode = With(b.Mode, held), Password = null } : b)],
            };
    }

    private static BoxMode With(BoxMode mode, StoredSettings held)
    {
        var sent = mode.WithRadios([
            .. mode.Radios.Select(r => held.WifiName is { } name ? r with { Name = name, Password = held.WifiPassword } : r),
        ]);
        return sent switch
        {
            RouterMode router => router with
            {
                Lan = held.Address ?? router.Lan,
                Server = FactoryPool(router, held) with { On = held.DhcpServer != Known.No },
            },
            _ => held.Address is { } own ? ModeEffects.WithPage(sent, new Fixed(own, null, [])) : sent,
        };
    }

    private static DhcpServerSetting FactoryPool(RouterMode router, StoredSettings held) =>
        held.Address is { } own ? Factory.Moved(router.Server, router.Lan, own) : router.Server;
}
