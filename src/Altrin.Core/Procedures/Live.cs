using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>The live network: every segment that holds a customer's device or leads to the internet line just now.</summary>
internal static class Live
{
    /// <summary>Its segments.</summary>
    public static IEnumerable<Segment> Segments(State now) => now.Seen().Network.Segments.Where(s => Is(now, s));

    /// <summary>Whether a box is on it, by any of its sides.</summary>
    public static bool Has(State now, string box) =>
        Segments(now).Any(s => s.Interfaces.Any(i => i.Owner == box && i.Linked) || s.Boxes.Contains(box));

    private static bool Is(State now, Segment segment) =>
        segment.HasStreet
        || segment.Interfaces.Any(i => i.Side == Side.Device && i.Linked)
        || segment.Interfaces.Any(i =>
            i.IsInner
            && now.Seen().Network.Find(i.Owner, Side.Wan) is { Linked: true } wan
            && now.Seen().Tracer.ToInternet(wan).Answer.IsYes
        );

    /// <summary>The box that is plugged into the internet line; null where there is none.</summary>
    public static Box? Gateway(Design design) =>
        design
            .SetUp.Cables.Where(c => c.Ends(PortRef.Street))
            .Select(c => design.Box(c.A.Owner == PortRef.Street ? c.B.Owner : c.A.Owner))
            .FirstOrDefault(b => b is not null);

    /// <summary>The box whose settings an act changes; null where it changes none.</summary>
    public static string? ChangedBy(Act? act) =>
        act switch
        {
            SavePage save => save.Box,
            SetInApp set => set.Box,
            ResetBox reset => reset.Box,
            UpdateFirmware update => update.Box,
            PutBoxAway away => away.Box,
            _ => null,
        };
}
