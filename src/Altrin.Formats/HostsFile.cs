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
                    e.Address is { } address && !e.Clashes ? $"{address}\t{Name(e)}"
                    : e.Address is { } twice ? $"# {twice}\t{Name(e)}, which another host may have too"
                    : $"# {e.From}\t{Name(e)}, leased"
                )
            );
        }
        return string.Join('\n', lines) + "\n";
    }

    private static string Name(BookEntry entry) =>
        entry.Side switch
        {
            Side.Wan => $"{entry.Owner}-outer",
            Side.Guest => $"{entry.Owner}-guests",
            _ => entry.Owner,
        };

    /// <summary>Names come from people: a line break in one must not begin a line of its own.</summary>
    private static string Plain(string text) => string.Concat(text.Select(c => char.IsControl(c) ? ' ' : c));
}
