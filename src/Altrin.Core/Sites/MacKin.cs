using System.Globalization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>How a MAC address that was seen belongs to one on a label.</summary>
public enum KinKind
{
    /// <summary>It is the one on the label.</summary>
    Same,

    /// <summary>It is what this kind of box has on another side.</summary>
    Side,

    /// <summary>It is one or two off, as sides of one box often are (common practice).</summary>
    Next,

    /// <summary>
    /// It is the one on the label, or one or two off, with the local bit set: a further network of its radio (common practice).
    /// </summary>
    Local,

    /// <summary>Only the last digits are the same, or one or two off.</summary>
    LastDigits,
}

/// <summary>How a MAC address belongs to a box.</summary>
/// <param name="Kind">How.</param>
/// <param name="Off">How far it is off, without sign.</param>
/// <param name="Text">The same in words.</param>
public sealed record MacKin(KinKind Kind, int Off, string Text)
{
    /// <summary>How far the addresses of one box's sides are apart at most (common practice).</summary>
    public const int Near = 2;

    private const ulong LocalBit = 1UL << 41;

    /// <summary>The lower, the surer.</summary>
    public int Rank => ((int)Kind * 10) + Off;

    /// <summary>How an address belongs to a box by what stands on its label; null where it does not.</summary>
    public static MacKin? Of(Box box, MacAddress seen)
    {
        (MacAddress? Address, string Side)[] labelled =
        [
            (box.Mac, "the MAC address"),
            (box.WanMac, "the WAN side's address"),
            (box.Label.RadioMac, "the radio's address"),
        ];
        if (Array.Find(labelled, l => l.Address == seen) is { Address: not null } same)
        {
            return new(KinKind.Same, 0, $"{same.Side} on the label of {box.Name}");
        }
        if (box.Mac is { } main)
        {
            foreach (var next in box.Profile.Traits.Neighbours ?? [])
            {
                if (Moved(main, next.Offset, next.Local) == seen.Bits)
                {
                    return new(
                        KinKind.Side,
                        Math.Abs(next.Offset),
                        $"what {box.Name} has at its {(next.Side == "wan" ? "WAN side" : $"radio {next.Side}")}, by its kind"
                    );
                }
            }
        }
        return labelled
            .Select(l => l.Address is { } address ? Near2(box, address, seen) : null)
            .Where(k => k is not null)
            .OrderBy(k => k!.Rank)
            .FirstOrDefault();
    }

    /// <summary>The box that an address most surely belongs to, and how; null where it belongs to none.</summary>
    public static (Box Box, MacKin Kin)? Owner(Site site, MacAddress? seen) =>
        seen is not { } address
            ? null
            : site
                .Boxes.Select(b => Of(b, address) is { } kin ? (b, kin) : ((Box Box, MacKin Kin)?)null)
                .Where(b => b is not null)
                .OrderBy(b => b!.Value.Kin.Rank)
                .ThenBy(b => b!.Value.Box.Id, StringComparer.Ordinal)
                .FirstOrDefault();

    /// <summary>
    /// How an address belongs to digits read off a label, two to twelve hexadecimal ones, its last; null where it does not.
    /// </summary>
    public static MacKin? OfDigits(string digits, MacAddress seen)
    {
        var wanted = ulong.Parse(digits, NumberStyles.HexNumber, CultureInfo.InvariantCulture);
        var size = 1UL << (4 * digits.Length);
        var own = seen.Bits & (size - 1);
        var off = (long)own - (long)wanted;
        var local = digits.Length >= 11 ? Math.Abs((long)(own & ~LocalBit) - (long)(wanted & ~LocalBit)) : long.MaxValue;
        return off == 0
                ? new(digits.Length == 12 ? KinKind.Same : KinKind.LastDigits, 0, $"its last digits are {digits.ToUpperInvariant()}")
            : Math.Abs(off) <= Near
                ? new(
                    KinKind.LastDigits,
                    (int)Math.Abs(off),
                    $"its last digits are {Math.Abs(off)} {(off > 0 ? "above" : "below")} {digits.ToUpperInvariant()}"
                )
            : local <= Near
                ? new(
                    KinKind.Local,
                    (int)local,
                    $"its digits are those of the label with the local bit{(local == 0 ? "" : $", {local} off")}"
                )
            : null;
    }

    private static MacKin? Near2(Box box, MacAddress label, MacAddress seen)
    {
        var off = (long)seen.Bits - (long)label.Bits;
        if (Math.Abs(off) <= Near)
        {
            return new(
                KinKind.Next,
                (int)Math.Abs(off),
                $"{Math.Abs(off)} {(off > 0 ? "above" : "below")} the address on the label of {box.Name}: often another side of the same box"
            );
        }
        var local = (long)(seen.Bits & ~LocalBit) - (long)(label.Bits & ~LocalBit);
        return seen.IsLocallyAdministered != label.IsLocallyAdministered && Math.Abs(local) <= Near
            ? new(
                KinKind.Local,
                (int)Math.Abs(local),
                $"the address on the label of {box.Name} with the local bit{(local == 0 ? "" : $", {Math.Abs(local)} off")}: often a further network of its radio"
            )
            : null;
    }

    private static ulong Moved(MacAddress main, int offset, bool local) =>
        ((ulong)((long)main.Bits + offset) & 0xFFFF_FFFF_FFFF) | (local ? LocalBit : 0);
}
