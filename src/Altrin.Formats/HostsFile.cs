using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Formats;

/// <summary>
/// The address book as a hosts file (hosts(5)): names of what has a certain address. What is leased stands as a comment, since
/// its address may change; of a box with several sides the one that faces its own network has the plain name.
/// </summary>
public static class HostsFile
{
    /// <summary>The file, with a heading for each territory.</summary>
    public static string Write(string home, IReadOnlyList<BookEntry> book)
    {
        var lines = new List<string> { $"# Hosts of {Plain(home)}", "127.0.0.1 localhost" };
        foreach (
            var territory in book.Where(e => e.Side != Side.Provider && e.Origin != AddressOrigin.None)
                .GroupBy(e => (e.Segment, e.Territory))
        )
        {
            lines.AddRange(["", $"# {Plain(territory.Key.Territory)}"]);
            lines.AddRange(
                territory.Select(e =>
                    e.Address is { } address && !e.Clashes ? $"{address}\t{Name(e.Owner, e.Side)}"
                    : e.Address is { } twice ? $"# {twice}\t{Name(e.Owner, e.Side)}, which another host may have too"
                    : $"# {e.From}\t{Name(e.Owner, e.Side)}, leased"
                )
            );
        }
        return string.Join('\n', lines) + "\n";
    }

    /// <summary>What a side of a box or device is called among hosts; the one that faces its own network has the plain name.</summary>
    internal static string Name(string owner, Side side) =>
        side switch
        {
            Side.Wan => $"{owner}-outer",
            Side.Guest => $"{owner}-guests",
            _ => owner,
        };

    /// <summary>Names come from people: a line break in one must not begin a line of its own.</summary>
    internal static string Plain(string text) => string.Concat(text.Select(c => char.IsControl(c) ? ' ' : c));
}
