using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// Networks on the air: netsh wlan show networks mode=bssid in any language, nmcli device wifi as a table or with colons, and iw … scan
/// (layouts from memory).
/// </summary>
internal static class ScanReader
{
    public static int Read(PrintedText sheet, int at, Found found)
    {
        var count =
            Named(sheet, at, found) is var named and > 0 ? named
            : Scanned(sheet, at, found) is var scanned and > 0 ? scanned
            : Listed(sheet, at, found) is var listed and > 0 ? listed
            : IsTitle(sheet, at) ? 1
            : 0;
        if (count > 0)
        {
            found.Block(ReadingKind.WifiScan, sheet, at, count);
        }
        return count;
    }

    /// <summary>"SSID 1 : name", then rows; "BSSID 1 : hardware" and its rows once for each radio that sends it.</summary>
    private static int Named(PrintedText sheet, int at, Found found)
    {
        var head = sheet[at];
        if (Numbered(head, "SSID") is not { } name || head.Indent > 0)
        {
            return 0;
        }
        var (security, radio, open, count) = ((WifiSecurity?)null, (NetworkRead?)null, true, 1);
        for (; sheet[at + count] is { Indent: > 0, IsBlank: false } line; count++)
        {
            if (Numbered(line, "BSSID") is not null)
            {
                Add();
                radio = new(line.Number, name, IpReader.Own(line.Mac)) { Security = security };
            }
            else if (radio is not null && Load(line) is { } busy)
            {
                radio = radio with { BusyPercent = busy };
            }
            else if (LinkReader.Pair(line) is var (_, value) && radio is null)
            {
                var read = RadioNumbers.Security(value);
                (security, open) = (security is null || read is WifiSecurity.WpaTkip ? read ?? security : security, false);
            }
            else if (LinkReader.Pair(line) is var (_, of) && radio is not null)
            {
                radio =
                    line.Numbers.ToList() is [{ Unit: "%" } percent] ? radio with { Level = RadioNumbers.OfQuality(percent.Value) }
                    : LinkReader.Ghz(of) is { } band ? radio with { Band = band }
                    : radio.Channel is null
                    && of.All(char.IsAsciiDigit)
                    && of.Length is > 0 and < 4
                    && int.Parse(of, System.Globalization.CultureInfo.InvariantCulture) is var channel
                        ? radio with
                        {
                            Channel = channel,
                            Band = radio.Band ?? RadioNumbers.BandOf(channel),
                        }
                    : radio;
            }
        }
        Add();
        if (radio is null)
        {
            found.Networks.Add(new(head.Number, name, null) { Security = security ?? (open ? null : WifiSecurity.Open) });
        }
        return count;

        void Add()
        {
            if (radio is not null)
            {
                // Open networks have no name of any protection in their rows.
                found.Networks.Add(radio with { Security = radio.Security ?? WifiSecurity.Open });
            }
        }
    }

    /// <summary>A row in any language that says a load twice, in parts of 255 and in percent: "… : 84 (32 %)".</summary>
    private static int? Load(TextLine line) =>
        line.Numbers.ToList() is [{ Unit: not "%" } parts, { Unit: "%" } percent]
        && RadioNumbers.OfLoad(parts.Value) is { } busy
        && Math.Abs(busy - percent.Value) <= 1
            ? busy
            : null;

    /// <summary>What stands over the first network: the adapter and how many there are.</summary>
    private static bool IsTitle(PrintedText sheet, int at) =>
        sheet[at] is { Indent: 0, Mac: null } line
        && line.Tokens.All(t => t.Kind == TokenKind.Number)
        && Enumerable.Range(at + 1, 3).Any(i => sheet[i].Indent == 0 && Numbered(sheet[i], "SSID") is not null);

    private static string? Numbered(TextLine line, string key)
    {
        var colon = line.Trimmed.IndexOf(':', StringComparison.Ordinal);
        return
            line.StartsWith(key + " ")
            && colon > 0
            && line.Trimmed[key.Length..colon].Trim() is { Length: > 0 and < 5 } number
            && number.All(char.IsAsciiDigit)
            ? line.Trimmed[(colon + 1)..].Trim()
            : null;
    }

    /// <summary>"BSS 02:00:5e:00:53:01(on wlan0)" and its indented rows.</summary>
    private static int Scanned(PrintedText sheet, int at, Found found)
    {
        var head = sheet[at];
        if (!head.StartsWith("BSS ") || head.Mac is null)
        {
            return 0;
        }
        var read = new NetworkRead(head.Number, "", IpReader.Own(head.Mac)) { Joined = head.Contains("associated") };
        var (count, secret, two, three, tkip) = (1, false, false, false, false);
        for (; sheet[at + count] is { Indent: > 0, IsBlank: false } line; count++)
        {
            read = With(read, line);
            secret |= line.StartsWith("capability:") && line.Contains("Privacy");
            two |= line.StartsWith("RSN:");
            tkip |= line.StartsWith("WPA:") || (line.Contains("ciphers:") && line.Contains("TKIP"));
            three |= line.Contains("Authentication suites:") && line.Contains("SAE");
            // Only keys of older phones stand beside the newer ones.
            two = three && line.Contains("Authentication suites:") ? line.Contains("PSK") : two;
        }
        found.Networks.Add(
            read with
            {
                Security =
                    three && two ? WifiSecurity.Wpa2Wpa3
                    : three ? WifiSecurity.Wpa3
                    : tkip ? WifiSecurity.WpaTkip
                    : two ? WifiSecurity.Wpa2
                    : secret ? WifiSecurity.Wep
                    : WifiSecurity.Open,
            }
        );
        return count;
    }

    /// <summary>What a row of iw adds.</summary>
    internal static NetworkRead With(NetworkRead read, TextLine line) =>
        line.StartsWith("SSID:") ? read with { Name = line.Trimmed[5..].Trim() }
        : line.StartsWith("freq:")
        && line.Numbers.FirstOrDefault() is { Kind: TokenKind.Number } mhz
        && RadioNumbers.Channel(Math.Round(mhz.Value)) is var (band, channel)
            ? read with
            {
                Band = band,
                Channel = channel,
            }
        : line.StartsWith("signal:") && line.Numbers.FirstOrDefault() is { Kind: TokenKind.Number } dbm
            ? read with
            {
                Level = new(dbm.Value, 0),
            }
        : line.StartsWith("* channel utilisation:") && line.Numbers.FirstOrDefault() is { Kind: TokenKind.Number } parts
            ? read with
            {
                BusyPercent = RadioNumbers.OfLoad(parts.Value),
            }
        : line.StartsWith("rx bitrate:") && line.Numbers.FirstOrDefault() is { Kind: TokenKind.Number } rx
            ? read with
            {
                ReceiveMbps = rx.Value,
            }
        : line.StartsWith("tx bitrate:") && line.Numbers.FirstOrDefault() is { Kind: TokenKind.Number } tx
            ? read with
            {
                SendMbps = tx.Value,
            }
        : read;

    /// <summary>
    /// A row with a rate in Mbit/s: before it the channel, before that the mode and the name, behind it the signal in percent, bars and the
    /// protection. With colons between the columns, those inside one are escaped.
    /// </summary>
    private static int Listed(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at];
        if (
            line.Contains("SSID")
            && line.Words.Length >= 6
            && line.Words.All(w => w.All(c => char.IsLetter(c) || c is '-' or '*'))
            && Row(sheet[at + 1]) is not null
        )
        {
            return 1;
        }
        if (Row(line) is not { } row)
        {
            return 0;
        }
        found.Networks.Add(row);
        return 1;
    }

    private static NetworkRead? Row(TextLine line)
    {
        if (!line.Contains("bit/s"))
        {
            return null;
        }
        const string Escaped = "\u0001";
        var terse = line.Trimmed.Contains("\\:", StringComparison.Ordinal);
        var cells = terse
            ?
            [
                .. line
                    .Trimmed.Replace("\\:", Escaped, StringComparison.Ordinal)
                    .Split(':')
                    .Select(c => c.Replace(Escaped, ":", StringComparison.Ordinal).Trim()),
            ]
            : line.Trimmed.Split("  ", StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).ToList();
        var rate = cells.FindIndex(c => c.EndsWith("bit/s", StringComparison.Ordinal) && c.Length > 6 && char.IsAsciiDigit(c[0]));
        if (
            rate < 2
            || rate + 1 >= cells.Count
            || !int.TryParse(cells[rate - 1], out var channel)
            || !double.TryParse(cells[rate + 1], System.Globalization.CultureInfo.InvariantCulture, out var percent)
            || percent is < 0 or > 100
        )
        {
            return null;
        }
        var joined = cells[0] is "*";
        var at = joined || (terse && cells[0].Length == 0) ? 1 : 0;
        var radio = MacAddress.Parse(cells[at]) is { Ok: true, Value: var mac } ? mac : (MacAddress?)null;
        at += radio is null ? 0 : 1;
        // The mode stands between name and channel; a name may hold two blanks of its own.
        var name = rate - 2 > at ? string.Join("  ", cells.Skip(at).Take(rate - 2 - at)) : "";
        var protection = cells.Skip(rate + 2).LastOrDefault() ?? "";
        return new(line.Number, name == "--" ? "" : name, radio)
        {
            Joined = joined,
            Channel = channel,
            Band = RadioNumbers.BandOf(channel),
            Level = RadioNumbers.OfSignal(percent),
            Security =
                protection is "" or "--" || protection.All(c => !char.IsLetter(c)) ? WifiSecurity.Open : RadioNumbers.Security(protection),
        };
    }
}
