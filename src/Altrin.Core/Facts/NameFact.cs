using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>A name on the air, and all that send it.</summary>
/// <param name="Name">The name.</param>
/// <param name="Senders">Who sends it, by box and radio.</param>
/// <param name="Groups">
/// How many groups of radios send it between which no device moves by itself: one where it is one network, more where it only looks like
/// one.
/// </param>
public sealed record NameFact(string Name, IReadOnlyList<NameSender> Senders, int Groups)
{
    /// <summary>The names of a home, in order.</summary>
    internal static IReadOnlyList<NameFact> Of(Network network, IReadOnlyList<Air> airs) =>
        [
            .. Roaming
                .Names(network)
                .Select(n => new NameFact(
                    n.Name,
                    [
                        .. airs.Where(a => a.Setting.Name == n.Name)
                            .Select(a => new NameSender(
                                a.Box,
                                a.Radio.Id,
                                a.Radio.Band,
                                a.Setting.Security,
                                a.Guest,
                                Roaming.SegmentOf(network, a),
                                1 + Array.FindIndex([.. n.Groups], g => g.Members.Contains(a))
                            )
                            {
                                Password = a.Setting.Password,
                            }),
                    ],
                    n.Groups.Count
                )),
        ];
}

/// <summary>One who sends a name.</summary>
/// <param name="Box">The box.</param>
/// <param name="Radio">Its radio.</param>
/// <param name="Band">The band.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Guest">Whether it is meant for guests.</param>
/// <param name="Segment">Where it leads.</param>
/// <param name="Group">Which of the groups of the name it is in, from 1: devices move by themselves within one.</param>
public sealed record NameSender(string Box, string Radio, RadioBand Band, WifiSecurity Security, bool Guest, string Segment, int Group)
{
    /// <summary>Reference to its password: equal passwords have one; null when open or not noted.</summary>
    public string? Password { get; init; }
}
