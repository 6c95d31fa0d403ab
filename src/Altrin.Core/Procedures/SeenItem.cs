using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>One thing that is seen in a state, in words: for a sheet, which tells after each step what is not as it was.</summary>
/// <param name="Key">What makes two lines of two states the same thing, such as "page 192.168.8.1".</param>
/// <param name="What">What is looked at.</param>
/// <param name="Says">What it says.</param>
/// <param name="Answer">Whether it is as one would wish; null where it is neither.</param>
public sealed record SeenItem(string Key, string What, string Says, AnswerKind? Answer)
{
    /// <summary>Everything that is seen, what the laptop has first.</summary>
    public static IReadOnlyList<SeenItem> Of(State now)
    {
        var (sees, names) = (Expectation.Of(now), now.Seen().Network);
        return [.. Laptop(now, sees), .. Pages(now, sees), .. Boxes(sees, names), .. Air(sees, names), Devices(sees, names)];
    }

    private static IEnumerable<SeenItem> Laptop(State now, Expectation sees)
    {
        if (now.Laptop is null)
        {
            yield return new("laptop", "Laptop", "connected to nothing", null);
            yield break;
        }
        foreach (var adapter in sees.Adapters)
        {
            var what = adapter.Owner == Networks.Laptop.CableId ? "Laptop, cable" : "Laptop, Wi-Fi";
            yield return adapter.Address is { } had && Words(had) is { } own
                ? new(
                    adapter.Owner,
                    what,
                    $"{own}, gateway {had.Gateway?.ToString() ?? "none"}, DNS {(had.DnsServers.Count == 0 ? "none" : string.Join(" ", had.DnsServers))}",
                    AnswerKind.Yes
                )
                : new(
                    adapter.Owner,
                    what,
                    adapter.Address?.Origin == AddressOrigin.SelfAssigned ? "169.254.x.x of its own: no DHCP server answers" : "no address",
                    AnswerKind.No
                );
        }
        var ping = sees.Internet?.Ping;
        yield return ping is null
            ? new("internet", "Internet at the laptop", "no way to it", AnswerKind.No)
            : new("internet", "Internet at the laptop", ping.IsYes ? "yes" : $"{AnswerWords.Of(ping.Kind)}: {ping.Why}", ping.Kind);
    }

    /// <summary>Which of a pool a server chooses is its own affair: the one on the simulated network is an example.</summary>
    private static string? Words(AddressFact had) =>
        had.Address is not { } own ? null
        : had.From is { } pool ? $"one of {pool.First} to {pool.Last} (for example {own}/{had.PrefixLength})"
        : $"{own}/{had.PrefixLength}";

    /// <summary>Pages that open, and those opened before that no longer do.</summary>
    private static IEnumerable<SeenItem> Pages(State now, Expectation sees) =>
        sees.Pages.Where(p => p.Answer == AnswerKind.Yes || now.Ledger.Opened.Any(o => o.Address == p.Address)).Select(p => OfPage(now, p));

    /// <summary>What opens at an address from where the laptop is.</summary>
    internal static SeenItem OfPage(State now, Ipv4Address address) => OfPage(now, PageReach.At(now, address));

    private static SeenItem OfPage(State now, PageReach reach) =>
        new(
            $"page {reach.Address}",
            $"Page at {reach.Address}",
            reach.Box is { } box ? now.Design.NameOf(box) : $"{AnswerWords.Of(reach.Answer)}: {reach.Why}",
            reach.Answer
        );

    /// <summary>Lights of boxes that are not simply in use.</summary>
    private static IEnumerable<SeenItem> Boxes(Expectation sees, Network names) =>
        sees
            .Lights.Where(l => l.Phase != LightPhase.InUse)
            .GroupBy(l => l.Box)
            .Select(g => new SeenItem(
                $"lights {g.Key}",
                $"Lights of {names.NameOf(g.Key)}",
                string.Join("; ", g.Select(l => $"{l.Light} {l.Shows} ({l.Means})")),
                null
            ));

    private static IEnumerable<SeenItem> Air(Expectation sees, Network names) =>
        sees.Names.Count == 0
            ? [new("air", "Wi-Fi names on the air", "none", null)]
            : sees
                .Names.GroupBy(n => n.Name)
                .Select(g => new SeenItem(
                    $"name {g.Key}",
                    $"Wi-Fi name \"{g.Key}\"",
                    $"from {string.Join(" and ", g.Select(n => names.NameOf(n.Box)).Distinct())}",
                    null
                ));

    private static SeenItem Devices(Expectation sees, Network names)
    {
        var off = sees.Online.Where(o => !o.Answer.IsYes).ToList();
        return new(
            "devices",
            "Devices without internet",
            off.Count == 0
                ? "none"
                : string.Join(
                    ", ",
                    off.Select(o =>
                        o.Answer.Kind == AnswerKind.No
                            ? names.NameOf(o.Device)
                            : $"{names.NameOf(o.Device)} ({AnswerWords.Of(o.Answer.Kind)})"
                    )
                ),
            off.Count == 0 ? AnswerKind.Yes : AnswerKind.No
        );
    }
}
