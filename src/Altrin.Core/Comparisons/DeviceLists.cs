using Altrin.Core.Addressing;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>An entry of a device list, and who it may be.</summary>
/// <param name="Mac">Its MAC address.</param>
/// <param name="Address">Its address; null where the list has none.</param>
/// <param name="Name">What the list calls it; null where it does not.</param>
/// <param name="Owner">The box or device of the survey that it is for certain; null for none.</param>
/// <param name="Says">Who it is or may be, in words.</param>
/// <param name="Rank">The lower, the surer it is gear of the survey; 100 where nothing speaks for it.</param>
public sealed record ListEntry(MacAddress Mac, Ipv4Address? Address, string? Name, string? Owner, string Says, int Rank)
{
    /// <summary>How the list shows it to be connected, in words; null where it does not say.</summary>
    public string? Way { get; init; }
}

/// <summary>An entry that stands in both lists with another address.</summary>
/// <param name="Entry">How it stands in the later one.</param>
/// <param name="Before">The address that it had.</param>
public sealed record MovedEntry(ListEntry Entry, Ipv4Address Before);

/// <summary>What two device lists differ in.</summary>
/// <param name="New">Only in the later one, the surest first.</param>
/// <param name="Gone">Only in the earlier one.</param>
/// <param name="Moved">In both, with another address.</param>
/// <param name="Same">How many stand in both alike.</param>
/// <param name="Says">What that means, in sentences.</param>
public sealed record ListDifference(
    IReadOnlyList<ListEntry> New,
    IReadOnlyList<ListEntry> Gone,
    IReadOnlyList<MovedEntry> Moved,
    int Same,
    IReadOnlyList<string> Says
);

/// <summary>Compares device lists by MAC address; names change and addresses do.</summary>
public static class DeviceLists
{
    /// <summary>What a later list has that an earlier one has not.</summary>
    /// <param name="site">The survey.</param>
    /// <param name="before">Entries of the earlier list, of all its pages.</param>
    /// <param name="after">Entries of the later one.</param>
    /// <param name="expected">The box that is expected to be new; null for none in particular.</param>
    public static ListDifference Compare(Site site, IEnumerable<NeighbourRead> before, IEnumerable<NeighbourRead> after, string? expected)
    {
        var (earlier, later) = (Joined(before), Joined(after));
        var fresh = later
            .Where(e => !earlier.ContainsKey(e.Key))
            .Select(e => Entry(site, e.Value))
            .OrderBy(e => e.Rank)
            .ThenBy(e => e.Mac)
            .ToList();
        var gone = earlier.Where(e => !later.ContainsKey(e.Key)).Select(e => Entry(site, e.Value)).OrderBy(e => e.Mac).ToList();
        var moved = later
            .Where(e => earlier.TryGetValue(e.Key, out var old) && old.Address is { } was && e.Value.Address is { } now && was != now)
            .Select(e => new MovedEntry(Entry(site, e.Value), earlier[e.Key].Address!.Value))
            .OrderBy(m => m.Entry.Mac)
            .ToList();
        return new(
            fresh,
            gone,
            moved,
            later.Keys.Count(earlier.ContainsKey) - moved.Count,
            [.. Says(site, earlier, later, fresh, expected)]
        );
    }

    /// <summary>Who an entry is, or may be.</summary>
    public static ListEntry Entry(Site site, NeighbourRead near) => Who(site, near) with { Way = near.Link?.Words };

    private static ListEntry Who(Site site, NeighbourRead near)
    {
        var mac = near.Mac!.Value;
        var owner = MacKin.Owner(site, mac);
        var device = site.Devices.FirstOrDefault(d => d.Mac == mac);
        return owner is { Kin.Kind: KinKind.Same, Box: var own } ? new(mac, near.Address, near.Name, own.Id, own.Name, 0)
            : device is not null ? new(mac, near.Address, near.Name, device.Id, device.Name, 90)
            : owner is var (box, kin) ? new(mac, near.Address, near.Name, null, $"Perhaps {box.Name}: {kin.Text}", kin.Rank)
            : mac.IsLocallyAdministered
                ? new(
                    mac,
                    near.Address,
                    near.Name,
                    null,
                    "A private MAC address that its owner made up: a telephone, tablet or laptop as a rule",
                    100
                )
            : new(mac, near.Address, near.Name, null, "Not in the survey", 99);
    }

    /// <summary>Pages of one list, joined: each MAC address once, with the latest of what was said of it.</summary>
    private static SortedDictionary<MacAddress, NeighbourRead> Joined(IEnumerable<NeighbourRead> entries)
    {
        var joined = new SortedDictionary<MacAddress, NeighbourRead>();
        foreach (var entry in entries.Where(e => e.Mac is not null))
        {
            var old = joined.GetValueOrDefault(entry.Mac!.Value);
            joined[entry.Mac.Value] = entry with
            {
                Address = entry.Address ?? old?.Address,
                Name = entry.Name ?? old?.Name,
                Link = entry.Link ?? old?.Link,
            };
        }
        return joined;
    }

    private static IEnumerable<string> Says(
        Site site,
        SortedDictionary<MacAddress, NeighbourRead> earlier,
        SortedDictionary<MacAddress, NeighbourRead> later,
        List<ListEntry> fresh,
        string? expected
    )
    {
        if (earlier.Count == 0 || later.Count == 0)
        {
            yield return $"No MAC address was read in the {(earlier.Count == 0 ? "earlier" : "later")} list: nothing can be compared.";
            yield break;
        }
        var box = site.Boxes.FirstOrDefault(b => b.Id == expected);
        if (
            box is not null
            && earlier.Values.FirstOrDefault(e => MacKin.Of(box, e.Mac!.Value) is { Kind: KinKind.Same or KinKind.Side }) is { } early
        )
        {
            yield return $"{box.Name} stood in the earlier list already ({early.Mac}): that one was taken after it was plugged in, not before.";
        }
        var there = box is null
            ? null
            : fresh.Where(e => MacKin.Of(box, e.Mac) is not null).OrderBy(e => MacKin.Of(box, e.Mac)!.Rank).FirstOrDefault();
        if (there is not null)
        {
            yield return $"{box!.Name} is new{(there.Address is { } at ? $", at {at}" : "")}: {there.Mac} {(MacKin.Of(box, there.Mac) is { Kind: KinKind.Same or KinKind.Side } ? "is" : "may well be")} its MAC address.{(fresh.Count > 1 ? $" {fresh.Count - 1} more {(fresh.Count == 2 ? "is" : "are")} new." : "")}";
        }
        else if (fresh.Count == 0)
        {
            yield return "Nothing is new. Lists show only who was spoken to lately, and may run over several pages.";
        }
        else if (fresh.Count == 1)
        {
            yield return fresh[0].Rank is < 90
                ? "One is new, and its MAC address speaks for it."
                : "One is new. Another device may have joined meanwhile: hold its MAC address to the label before you trust it.";
        }
        else
        {
            yield return fresh.Count(e => e.Rank < 90) == 1
                ? $"{fresh.Count} are new; by its MAC address only {fresh[0].Mac} can be gear of the survey."
                : $"{fresh.Count} are new; hold each MAC address to the label.";
        }
        if (box is not null && fresh.Count > 0 && there is null)
        {
            yield return box.Mac is null && box.WanMac is null
                ? $"No MAC address of {box.Name} was noted: read its label first."
                : $"None of them is {box.Name} by its label.";
        }
    }
}
