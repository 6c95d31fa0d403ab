using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What is checked of a cable before it is taken.</summary>
internal static class Cables
{
    /// <summary>Why nothing like this is known of a cable; null where it may be.</summary>
    /// <param name="design">The design.</param>
    /// <param name="cable">The cable; null for one that is not plugged in yet.</param>
    /// <param name="known">What is said of it.</param>
    public static string? Wrong(Design design, string? cable, CableFacts known) =>
        CableFacts.WrongLength(known.LengthMetres) is { } wrong ? wrong
        : known.Pairs is not (null or 2 or 4) ? "A lead has 2 or 4 pairs connected."
        : known.Run is not { } run ? null
        : design.Site.Runs.All(r => r.Id != run) ? $"There is no run '{Ipv4Address.Shown(run)}' in the walls."
        : design.SetUp.Cables.FirstOrDefault(c => c.Run == run && c.Id != cable) is { } there
            ? $"That run is taken by the cable from {PortWords.Of(design, there.A)} to {PortWords.Of(design, there.B)}."
        : null;

    /// <summary>Why no new cable has this id; null where one can.</summary>
    public static string? WrongId(Design design, string id) =>
        !Cable.IsId(id) ? $"'{Ipv4Address.Shown(id)}' is no id of a cable: 1 to {Cable.LongestId} small letters, digits and hyphens."
        : design.SetUp.Cables.Any(c => c.Id == id) ? $"There is a cable '{Ipv4Address.Shown(id)}' already."
        : null;
}
