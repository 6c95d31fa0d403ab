using System.Text.Json.Nodes;

namespace Altrin.Formats;

/// <summary>Brings design files of older versions up to the newest, one step a version, JSON to JSON.</summary>
public static class DesignUpgrades
{
    /// <summary>What each version needs to become the next; the first entry is for version 1.</summary>
    private static readonly IReadOnlyList<Action<JsonObject>> Steps =
    [
        // 2 knows accepted findings; a file without any has accepted none.
        _ => { },
        // 3 knows what boxes do by themselves and more of what a router's page sets; left out, nothing is known and nothing set.
        _ => { },
        // 4 knows radio links, mesh kits, public addresses that are passed on, what lines ask for, VLANs and domain names; left out,
        // there are none.
        _ => { },
        // 5 knows places, sockets, runs, labels and more needs; left out, nothing of it was noted.
        _ => { },
        // 6 knows what was heard on the air in a place; left out, it was not scanned.
        _ => { },
        // 7 calls findings, by which accepted ones are named, and members of a label by the words of the trade.
        WordsOfVersion7.Upgrade,
        // 8 calls members and kinds by the words of the trade.
        WordsOfVersion8.Upgrade,
        // 9 knows what a router lets in and answers on its WAN side; left out, it was not found out.
        _ => { },
        // 10 knows which settings of a box are assumed; left out, none is.
        _ => { },
        // 11 knows the country and what spare boxes hold; left out, neither was noted.
        _ => { },
        // 12 knows the pages of a kind of box, and calls one way to pass an address on by another word; left out, a box has the pages
        // that every box is taken to have.
        WordsOfVersion12.Upgrade,
        // 13 knows what radios devices have, and where a box stood when it was heard; left out, neither was noted.
        _ => { },
        // 14 knows further names and the region of radios, what a box routes at most, kept speed runs and how busy a channel is; left
        // out, none of it was noted.
        _ => { },
        // 15 knows boxes that are to be bought; left out, none is.
        _ => { },
    ];

    /// <summary>The file in the newest version; unchanged where it has that already, or no version that is known.</summary>
    public static string ToNewest(string json) => JsonUpgrades.ToNewest(json, Steps);
}
