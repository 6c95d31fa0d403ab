using Altrin.Core.Radio;

namespace Altrin.Core.Readings;

/// <summary>
/// How a host in a box's list reaches that box. What hangs on another access point or repeater is listed by the way that one hangs
/// there: as on a cable, most often (common practice).
/// </summary>
/// <param name="ByCable">On a cable; else by radio.</param>
/// <param name="Band">The band of the radio; null where the list names none, and on a cable.</param>
public sealed record ListedLink(bool ByCable, RadioBand? Band)
{
    /// <summary>The longest cell that is looked at.</summary>
    private const int Longest = 32;

    // Names of standards and of systems' adapters, which pages in other languages show too; the two English words are a help only.
    private static readonly string[] Radios = ["wi-fi", "wifi", "wlan", "802.11", "wireless", "wl", "ath", "ra"];
    private static readonly string[] Cables = ["ethernet", "lan", "eth", "wired", "1000base-t", "100base-tx"];

    /// <summary>In words, such as "on 5 GHz".</summary>
    internal string Words =>
        ByCable ? "on a cable"
        : Band is { } band ? $"on {BandWords.Of(band)}"
        : "on the Wi-Fi";

    /// <summary>What the cells of a row say of it; null where they say nothing, or both.</summary>
    internal static ListedLink? Of(IEnumerable<string> cells)
    {
        var said = cells.Select(Cell).OfType<ListedLink>().ToList();
        return said.Count == 0 || said.Exists(l => l.ByCable != said[0].ByCable) ? null : said.Find(l => l.Band is not null) ?? said[0];
    }

    private static ListedLink? Cell(string cell)
    {
        if (cell.Length is 0 or > Longest)
        {
            return null;
        }
        var numbers = Scanner.Scan(cell);
        foreach (var number in numbers.Where(n => n.Kind == TokenKind.Number))
        {
            if (number.Unit.Equals("GHz", StringComparison.OrdinalIgnoreCase) && BandAt(number.Value) is { } band)
            {
                return new(false, band);
            }
            if (number.Unit.Equals("dBm", StringComparison.OrdinalIgnoreCase))
            {
                return new(false, null);
            }
        }
        return Is(cell, Radios) ? new(false, null)
            : Is(cell, Cables) ? new(true, null)
            : null;
    }

    private static RadioBand? BandAt(double ghz) =>
        ghz switch
        {
            >= 2.4 and < 2.5 => RadioBand.Ghz2,
            >= 5 and < 5.95 => RadioBand.Ghz5,
            >= 5.95 and <= 7.125 => RadioBand.Ghz6,
            _ => null,
        };

    /// <summary>
    /// Whether a cell is one of these names, with nothing behind it but the number of a port, an adapter or a generation.
    /// </summary>
    private static bool Is(string cell, string[] names)
    {
        var name = names.FirstOrDefault(n => cell.StartsWith(n, StringComparison.OrdinalIgnoreCase));
        var rest = name is null ? "" : cell[name.Length..].Trim(' ', '-', '_', ':', '#', '(', ')');
        // Two or three letters alone might begin any word: they are an adapter's with its number only.
        return name is not null
            && (name == "802.11" || (rest.All(char.IsAsciiDigit) && (rest.Length > 0 || name.Length > 3 || name == "lan")));
    }
}
