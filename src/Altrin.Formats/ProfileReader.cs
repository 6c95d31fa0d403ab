using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads what one kind of box can do.</summary>
internal static class ProfileReader
{
    public static Profile Read(ProfileDocument profile, string pointer, ReadErrors errors)
    {
        errors.Unique(profile.Ports, p => p.Id, i => $"{pointer}/ports/{i}/id", "a port id of a box");
        errors.Unique(profile.Radios, r => r.Id, i => $"{pointer}/radios/{i}/id", "a radio id of a box");
        errors.Unique(profile.Modes, m => m.ToString(), i => $"{pointer}/modes/{i}", "a mode of a box");
        if (
            profile is { FactoryAddress: { } own, FactoryPool: { } pool }
            && InterfaceAddress.Parse(own) is { Ok: true } lan
            && AddressRange.Parse(pool) is { Ok: true } range
        )
        {
            errors.Wrong($"{pointer}/factoryPool", pool, PageChecks.WrongPool(range.Value, lan.Value));
        }
        return new(
            profile.ShelfId,
            errors.Plain($"{pointer}/name", profile.Name),
            profile.Kind,
            profile.Modes,
            [
                .. profile.Ports.Select(
                    (p, i) =>
                        new Port(p.Id, errors.Plain($"{pointer}/ports/{i}/label", p.Label), p.Role, p.SpeedMbps)
                        {
                            Kind = p.Kind ?? PortKind.Unknown,
                        }
                ),
            ],
            [.. profile.Radios.Select((r, i) => ReadRadio(r, $"{pointer}/radios/{i}", errors))],
            errors.ReadOptional($"{pointer}/factoryAddress", profile.FactoryAddress, InterfaceAddress.Parse),
            errors.ReadOptional($"{pointer}/factoryPool", profile.FactoryPool, AddressRange.Parse),
            profile.WanPortJoins
        )
        {
            Habits = Habits(profile.Habits),
            Passes = profile.Passes ?? [],
            Kit = profile.Kit,
            KeptPorts = profile.KeptPorts ?? [],
            RoutesMbps = profile.RoutesMbps,
            Edition = profile.Edition ?? 1,
            Traits = PagesReader.Read(profile, pointer, errors),
        };
    }

    public static Known Habit(bool? known) =>
        known switch
        {
            true => Known.Yes,
            false => Known.No,
            null => Known.Unknown,
        };

    private static BoxHabits Habits(HabitsDocument? habits) =>
        habits is null
            ? BoxHabits.NotKnown
            : new()
            {
                ChecksOffer = Habit(habits.ChecksOffer),
                ChecksLease = Habit(habits.ChecksLease),
                OnOverlap = habits.OnOverlap ?? OverlapHabit.Unknown,
                AnswersAcross = Habit(habits.AnswersAcross),
                ChecksReversePath = Habit(habits.ChecksReversePath),
                AnswersPings = Habit(habits.AnswersPings),
                ForwardsOutside = Habit(habits.ForwardsOutside),
                FirewallWithoutNat = Habit(habits.FirewallWithoutNat),
                ServesWhenAlone = Habit(habits.ServesWhenAlone),
                GuestsApart = Habit(habits.GuestsApart),
                LoopsBack = Habit(habits.LoopsBack),
                LeasesThrough = Habit(habits.LeasesThrough),
                StopsRings = Habit(habits.StopsRings),
                KeepsOthers = Habit(habits.KeepsOthers),
                WifiOffWhilePassing = Habit(habits.WifiOffWhilePassing),
                KeepsServices = Habit(habits.KeepsServices),
                AnnouncesIpv6 = Habit(habits.AnnouncesIpv6),
            };

    private static BoxRadio ReadRadio(RadioDocument radio, string pointer, ReadErrors errors)
    {
        var channels = radio.Channels ?? [];
        for (var i = 0; i < channels.Count; i++)
        {
            errors.Wrong($"{pointer}/channels/{i}", $"{channels[i]}", PageChecks.WrongChannel(radio.Band, channels[i], null));
        }
        return new(radio.Id, radio.Band)
        {
            Channels = channels,
            NewestSecurity = radio.NewestSecurity,
            FourAddress = Habit(radio.FourAddress),
            Generation = radio.Generation ?? WifiGeneration.Unknown,
            Streams = radio.Streams,
            WidestMhz = radio.WidestMhz,
            MostNames = radio.MostNames,
        };
    }
}
