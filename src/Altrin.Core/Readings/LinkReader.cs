using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// What a link agreed on: ethtool and iw … link (not translated; from memory) and netsh wlan show interfaces, in any language: rows of a
/// label, a colon and a value, told by the names of protocols, units and their order (from memory).
/// </summary>
internal static class LinkReader
{
    public static int Read(PrintedText sheet, int at, Found found) =>
        Ethtool(sheet, at, found) is var cable and > 0 ? cable
        : Joined(sheet, at, found) is var joined and > 0 ? joined
        : Interface(sheet, at, found);

    private static int Ethtool(PrintedText sheet, int at, Found found)
    {
        var head = sheet[at];
        if (
            !head.Trimmed.EndsWith(':')
            || head.Indent > 0
            || sheet[at + 1] is not { Indent: > 0 } next
            || !next.Trimmed.Contains(": ", StringComparison.Ordinal)
            || !head.StartsWith("Settings for ")
        )
        {
            return 0;
        }
        var read = new CableLinkRead(head.Number, head.Trimmed["Settings for ".Length..].TrimEnd(':'), Known.Unknown, null);
        var (count, list) = (1, "");
        for (; sheet[at + count] is { Indent: > 0, IsBlank: false } line; count++)
        {
            var colon = line.Trimmed.IndexOf(':', StringComparison.Ordinal);
            var (key, value) = colon < 0 ? (list, line.Trimmed) : (line.Trimmed[..colon], line.Trimmed[(colon + 1)..].Trim());
            list = key;
            read = key switch
            {
                "Speed" => read with
                {
                    RateMbps = line
                        .Numbers.Where(n => n.Unit.StartsWith("Mb", StringComparison.Ordinal))
                        .Select(n => (int?)(int)n.Value)
                        .FirstOrDefault(),
                },
                "Duplex" => read with
                {
                    BothWays =
                        value == "Full" ? Known.Yes
                        : value == "Half" ? Known.No
                        : Known.Unknown,
                },
                "Link detected" => read with
                {
                    Linked =
                        value.StartsWith("yes", StringComparison.Ordinal) ? Known.Yes
                        : value.StartsWith("no", StringComparison.Ordinal) ? Known.No
                        : Known.Unknown,
                },
                "Supported link modes" => read with { OwnMostMbps = Most(read.OwnMostMbps, value) },
                "Link partner advertised link modes" => read with { OtherMostMbps = Most(read.OtherMostMbps, value) },
                _ => read,
            };
        }
        found.CableLinks.Add(read);
        found.Block(ReadingKind.CableLink, sheet, at, count);
        return count;
    }

    private static int? Most(int? before, string value) =>
        value.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(IfconfigReader.Media).Append(before).Max();

    /// <summary>iw dev wlan0 link.</summary>
    private static int Joined(PrintedText sheet, int at, Found found)
    {
        var head = sheet[at];
        if (head.Trimmed == "Not connected.")
        {
            found.Block(ReadingKind.WifiLink, sheet, at, 1);
            return 1;
        }
        if (!head.StartsWith("Connected to ") || head.Mac is null)
        {
            return 0;
        }
        var read = new NetworkRead(head.Number, "", IpReader.Own(head.Mac)) { Joined = true };
        var count = 1;
        for (; sheet[at + count] is var line && (line.IsBlank ? sheet[at + count + 1].Text is ['\t', ..] : line.Indent > 0); count++)
        {
            read = ScanReader.With(read, line);
        }
        found.Networks.Add(read);
        found.Block(ReadingKind.WifiLink, sheet, at, count);
        return count;
    }

    /// <summary>netsh wlan show interfaces: one block of rows an adapter, perhaps with a head.</summary>
    private static int Interface(PrintedText sheet, int at, Found found)
    {
        var first = Pair(sheet[at]) is null ? sheet.NotBlank(at + 1) : at;
        if (first > at && (sheet[at].Indent > 0 || !sheet[at].Trimmed.EndsWith(':') || Pair(sheet[first]) is null))
        {
            return 0;
        }
        var rows = new List<(TextLine Line, string Key, string Value)>();
        for (var i = first; Pair(sheet[i]) is var (key, value); i++)
        {
            rows.Add((sheet[i], key, value));
        }
        var name = rows.FindIndex(r => r.Key == "SSID");
        var physical = rows.Find(r => r.Line.Mac is not null);
        if (rows.Count < 4 || physical.Line is null)
        {
            return 0;
        }
        var count = first - at + rows.Count;
        if (name < 0)
        {
            // An adapter that is in no network.
            found.Adapters.Add(new(physical.Line.Number, rows[0].Value) { Mac = IpReader.Own(physical.Line.Mac), Linked = Known.No });
        }
        else
        {
            var generation = rows.FindIndex(r => r.Value.StartsWith("802.11", StringComparison.Ordinal));
            var radio = rows.Find(r => r.Key.EndsWith("BSSID", StringComparison.Ordinal));
            var numbers = rows.Skip(Math.Max(0, generation + 1))
                .Where(r =>
                    r.Line.Numbers.Any()
                    && double.TryParse(
                        r.Value.Replace(',', '.'),
                        System.Globalization.NumberStyles.Float,
                        System.Globalization.CultureInfo.InvariantCulture,
                        out _
                    )
                )
                .Select(r => r.Line.Numbers.Last().Value)
                .ToList();
            var channel = numbers.Count > 0 && generation >= 0 ? (int?)(int)numbers[0] : null;
            var signal = rows.Find(r => r.Value.EndsWith('%') || r.Value.StartsWith('%'));
            found.Networks.Add(
                new(rows[name].Line.Number, rows[name].Value, radio.Line is null ? null : IpReader.Own(radio.Line.Mac))
                {
                    Joined = true,
                    Channel = channel,
                    Band = rows.Select(r => Ghz(r.Value)).FirstOrDefault(b => b is not null)
                        ?? (channel is { } c ? RadioNumbers.BandOf(c) : null),
                    Level =
                        signal.Line is { } percent && percent.Numbers.Any() ? RadioNumbers.OfQuality(percent.Numbers.First().Value) : null,
                    ReceiveMbps = numbers.Count > 1 ? numbers[1] : null,
                    SendMbps = numbers.Count > 2 ? numbers[2] : null,
                    Security = rows.Select(r => RadioNumbers.Security(r.Value)).FirstOrDefault(s => s is not null),
                }
            );
        }
        found.Block(ReadingKind.WifiLink, sheet, at, count);
        return count;
    }

    /// <summary>The band in words such as "5 GHz"; null where there is none.</summary>
    internal static RadioBand? Ghz(string value) =>
        value.Trim().Replace(',', '.') switch
        {
            "2.4 GHz" => RadioBand.Ghz2,
            "5 GHz" => RadioBand.Ghz5,
            "6 GHz" => RadioBand.Ghz6,
            _ => null,
        };

    /// <summary>An indented row of a label, blanks, a colon and a value.</summary>
    internal static (string Key, string Value)? Pair(TextLine line)
    {
        var colon = line.Indent > 0 ? line.Trimmed.IndexOf(" :", StringComparison.Ordinal) : -1;
        return
            colon > 0
            && (colon + 2 == line.Trimmed.Length || line.Trimmed[colon + 2] == ' ')
            && !line.Trimmed.AsSpan(0, colon).Contains(". .", StringComparison.Ordinal)
            ? (line.Trimmed[..colon].TrimEnd(), line.Trimmed[(colon + 2)..].Trim())
            : null;
    }
}
