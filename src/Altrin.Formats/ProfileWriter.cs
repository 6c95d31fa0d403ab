using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Turns a profile into the document that a design file or a file of profiles holds.</summary>
public static class ProfileWriter
{
    /// <summary>The document of a profile.</summary>
    public static ProfileDocument Document(Profile profile) =>
        new()
        {
            ShelfId = profile.ShelfId,
            Name = profile.Name,
            Kind = profile.Kind,
            Modes = profile.Modes,
            Ports =
            [
                .. profile.Ports.Select(p => new PortDocument
                {
                    Id = p.Id,
                    Label = p.Label,
                    Role = p.Role,
                    SpeedMbps = p.SpeedMbps,
                    Kind = p.Kind == PortKind.Unknown ? null : p.Kind,
                }),
            ],
            Radios =
            [
                .. profile.Radios.Select(r => new RadioDocument
                {
                    Id = r.Id,
                    Band = r.Band,
                    Channels = r.Channels.Count == 0 ? null : r.Channels,
                    NewestSecurity = r.NewestSecurity,
                    FourAddress = Habit(r.FourAddress),
                    Generation = r.Generation == WifiGeneration.Unknown ? null : r.Generation,
                    Streams = r.Streams,
                    WidestMhz = r.WidestMhz,
                    MostNames = r.MostNames,
                }),
            ],
            FactoryAddress = profile.FactoryAddress?.ToString(),
            FactoryPool = profile.FactoryPool?.ToString(),
            WanPortJoins = profile.WanPortJoins,
            Habits = profile.Habits == BoxHabits.NotKnown ? null : Habits(profile.Habits),
            Passes = profile.Passes.Count == 0 ? null : profile.Passes,
            Kit = profile.Kit,
            KeptPorts = profile.KeptPorts.Count == 0 ? null : profile.KeptPorts,
            RoutesMbps = profile.RoutesMbps,
            Edition = profile.Edition == 1 ? null : profile.Edition,
            Traits = profile.Traits == Traits.NotKnown ? null : profile.Traits,
        };

    private static HabitsDocument Habits(BoxHabits habits) =>
        new()
        {
            ChecksOffer = Habit(habits.ChecksOffer),
            ChecksLease = Habit(habits.ChecksLease),
            OnOverlap = habits.OnOverlap == OverlapHabit.Unknown ? null : habits.OnOverlap,
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

    internal static bool? Habit(Known known) =>
        known switch
        {
            Known.Yes => true,
            Known.No => false,
            _ => null,
        };
}
