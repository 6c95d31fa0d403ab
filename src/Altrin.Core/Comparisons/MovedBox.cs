using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>An entry of an address table that may be the box that is looked for.</summary>
/// <param name="Address">Where it answers; null where the list has no address.</param>
/// <param name="Mac">Its MAC address.</param>
/// <param name="Name">What the list calls it.</param>
/// <param name="Says">What speaks for it.</param>
/// <param name="Sure">Whether it cannot well be anything else.</param>
public sealed record BoxCandidate(Ipv4Address? Address, MacAddress Mac, string? Name, string Says, bool Sure);

/// <summary>Where a box that left its old address may be.</summary>
/// <param name="Candidates">Who it may be, the surest first.</param>
/// <param name="Says">What to think of it, and what to do.</param>
/// <param name="Sweep">Commands that speak to every address, so that the table fills: one for each family of shells.</param>
public sealed record MovedBox(IReadOnlyList<BoxCandidate> Candidates, string Says, IReadOnlyList<string> Sweep)
{
    /// <summary>Looks for a box in an address table or device list.</summary>
    /// <param name="site">The survey: entries that are certainly another's are left out.</param>
    /// <param name="box">The box; null to go by digits alone.</param>
    /// <param name="digits">The last digits of its label, two to twelve hexadecimal ones, with or without marks between them; null to go
    /// by what the survey has.</param>
    /// <param name="table">The table.</param>
    /// <param name="subnet">The network that was looked through; null where it is not known.</param>
    public static Parsed<MovedBox> Find(Site site, Box? box, string? digits, IReadOnlyList<NeighbourRead> table, Subnet? subnet)
    {
        var plain = digits is null ? "" : string.Concat(digits.Where(c => c is not (':' or '-' or '.' or ' ')));
        if (digits is { Length: > 0 } && (plain.Length is < 2 or > 12 || !plain.All(char.IsAsciiHexDigit)))
        {
            return Parsed<MovedBox>.Fail(
                $"'{Ipv4Address.Shown(digits)}' are no digits of a MAC address; the last two to twelve are expected, such as 53:0a."
            );
        }
        if (plain.Length == 0 && (box is null || (box.Mac is null && box.WanMac is null && box.Label.RadioMac is null)))
        {
            return Parsed<MovedBox>.Fail(
                box is null
                    ? "Say which box, or type the last digits of its label."
                    : $"No MAC address of {box.Name} was noted; type the last digits of its label."
            );
        }
        var found = new List<(BoxCandidate Is, int Rank)>();
        foreach (var near in table.Where(n => n.Mac is not null).DistinctBy(n => (n.Mac, n.Address)))
        {
            var mac = near.Mac!.Value;
            var kin = new[] { box is null ? null : MacKin.Of(box, mac), plain.Length > 0 ? MacKin.OfDigits(plain, mac) : null }
                .Where(k => k is not null)
                .OrderBy(k => k!.Rank)
                .FirstOrDefault();
            var labelled = site.Boxes.FirstOrDefault(b => MacKin.Of(b, mac) is { Kind: KinKind.Same });
            if (kin is not null && site.Devices.All(d => d.Mac != mac) && (box is null || labelled is null || labelled == box))
            {
                var sure = kin.Kind is KinKind.Same or KinKind.Side || (kin is { Kind: KinKind.LastDigits, Off: 0 } && plain.Length >= 6);
                found.Add(
                    (
                        new(
                            near.Address,
                            mac,
                            near.Name,
                            $"{Capital(kin.Text)}{(box is null && labelled is not null ? $"; on the label of {labelled.Name}" : "")}",
                            sure
                        ),
                        kin.Rank
                    )
                );
            }
        }
        var ranked = found.OrderBy(f => f.Rank).ThenBy(f => f.Is.Mac).Select(f => f.Is).ToList();
        var says =
            ranked.Count == 0
                ? $"None of {table.Count(n => n.Mac is not null)} entries fits. An address table lists only whom the machine spoke to lately: speak to every address first, then print the table again."
            : ranked[0] is { Sure: true, Address: { } at } ? $"It answers at {at}. Reserve that address for it, or it may move again."
            : "Open the page of each at its address, the first one first; the label decides.";
        return new MovedBox(ranked, says, SweepOf(subnet));
    }

    /// <summary>
    /// Commands that ping each address of a /24 once (written for the shells that come with the systems; common practice).
    /// </summary>
    private static IReadOnlyList<string> SweepOf(Subnet? subnet)
    {
        if (subnet is not { PrefixLength: >= 24 and <= 30 } net)
        {
            return [];
        }
        var stem = string.Join('.', net.Network.ToString().Split('.').Take(3));
        var (first, last) = (net.Hosts.First.Bits & 255, net.Hosts.Last.Bits & 255);
        return
        [
            string.Create(CultureInfo.InvariantCulture, $"for /L %i in ({first},1,{last}) do @ping -n 1 -w 200 {stem}.%i >nul"),
            string.Create(
                CultureInfo.InvariantCulture,
                $"for i in $(seq {first} {last}); do ping -c 1 -W 1 {stem}.$i >/dev/null & done; wait; arp -a"
            ),
        ];
    }

    private static string Capital(string text) => string.Concat(text[..1].ToUpperInvariant(), text.AsSpan(1));
}
