using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What setting a box to another mode does beside that.</summary>
/// <param name="Clears">Settings that go back to their factory values.</param>
/// <param name="Address">What becomes of its address; never unknown.</param>
public sealed record ModeEffects(IReadOnlyList<Setting> Clears, AddressAfter Address)
{
    /// <summary>What may be cleared where that was not found out: what a box has in any mode.</summary>
    private static readonly IReadOnlyList<Setting> Everything = [.. ModeSettings.Radio, Setting.AdminPassword];

    /// <summary>
    /// What may come of it, the usual first: as the kind says; where that was not found out, each way that there is, at most four:
    /// nothing or everything is cleared, the address is kept or leased (common practice).
    /// </summary>
    public static IReadOnlyList<ModeEffects> Of(Profile profile, ModeKind mode)
    {
        var known = profile.Traits.Effects?.FirstOrDefault(e => e.Mode == mode);
        IReadOnlyList<AddressAfter> addresses =
            mode == ModeKind.Router ? [AddressAfter.Kept]
            : known is { Address: not AddressAfter.Unknown } ? [known.Address]
            : [AddressAfter.Leased, AddressAfter.Kept];
        IReadOnlyList<IReadOnlyList<Setting>> clears = known?.Clears is { } said
            ? [said]
            :
            [
                [],
                Everything,
            ];
        return [.. clears.SelectMany(_ => addresses, (c, a) => new ModeEffects(c, a))];
    }

    /// <summary>The set-up after a box in use was set to a mode with these effects, or why it cannot be.</summary>
    public Parsed<SetUp> Apply(Design design, string boxId, ModeKind mode)
    {
        if (design.Setting(boxId) is not { } before || design.Box(boxId) is not { } box)
        {
            return Parsed<SetUp>.Fail($"There is no box '{Ipv4Address.Shown(boxId)}' in use.");
        }
        return new SetMode(boxId, mode)
            .ApplyTo(design)
            .Then<SetUp>(made =>
                before.Mode.Kind == mode
                    ? made
                    : made with
                    {
                        Boxes = [.. made.Boxes.Select(b => b.Box == boxId ? After(design, box, before, b) : b)],
                    }
            );
    }

    private BoxSetting After(Design design, Box box, BoxSetting before, BoxSetting made)
    {
        var fresh = Factory.AsItComes(design, box, made.Mode.Kind);
        var mode = made.Mode.WithRadios([
            .. made.Mode.Radios.Select(r => fresh.Radios.FirstOrDefault(f => f.Radio == r.Radio) is { } f ? Cleared(r, f) : r),
        ]);
        if (Clears.Contains(Setting.Uplink))
        {
            mode = (mode, fresh) switch
            {
                (RepeaterMode m, RepeaterMode f) => m with { Link = f.Link },
                (WirelessBridgeMode m, WirelessBridgeMode f) => m with { Link = f.Link },
                _ => mode,
            };
        }
        return made with
        {
            Mode = Page(box, before.Mode) is { } page ? WithPage(mode, page) : mode,
            Password = Clears.Contains(Setting.AdminPassword) ? box.Label.Password : made.Password,
        };
    }

    private RadioSetting Cleared(RadioSetting now, RadioSetting fresh)
    {
        return new(
            now.Radio,
            Of(Setting.RadioOn).On,
            Of(Setting.WifiName).Name,
            Of(Setting.WifiSecurity).Security,
            Of(Setting.WifiPassword).Password
        )
        {
            Channel = Of(Setting.Channel).Channel,
            WidthMhz = Of(Setting.ChannelWidth).WidthMhz,
            Hidden = Of(Setting.HiddenName).Hidden,
            ProtectsFrames = Of(Setting.FrameProtection).ProtectsFrames,
            WdsPeers = Of(Setting.WdsPeers).WdsPeers,
            FurtherNames = Of(Setting.FurtherNames).FurtherNames,
            Region = Of(Setting.Region).Region,
        };

        RadioSetting Of(Setting setting) => Clears.Contains(setting) ? fresh : now;
    }

    /// <summary>How its page comes by its address then; null where the mode decides that.</summary>
    private HostAddress? Page(Box box, BoxMode before) =>
        Address switch
        {
            AddressAfter.Leased => new Automatic(),
            AddressAfter.Kept when before is RouterMode router => new Fixed(router.Lan, null, []),
            AddressAfter.ItsOwn when box.FactoryAddress is { } own => new Fixed(own, null, []),
            _ => null,
        };

    /// <summary>A mode with its page there; unchanged where its page is no setting of its own.</summary>
    internal static BoxMode WithPage(BoxMode mode, HostAddress page) =>
        mode switch
        {
            AccessPointMode m => m with { Page = page },
            RepeaterMode m => m with { Page = page },
            WirelessBridgeMode m => m with { Page = page },
            _ => mode,
        };
}
