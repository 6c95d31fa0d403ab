using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// ipconfig, with and without /all, in any language: heads that end with a colon, rows of a label, dots and a value. What a row means is
/// told by its value and its place; of the labels only the names of protocols are looked at, which are the same in every language
/// (layout from memory).
/// </summary>
internal static class IpconfigReader
{
    public static int Read(PrintedText sheet, int at, Found found)
    {
        if (Row(sheet[at]) is null && !IsHead(sheet, at))
        {
            if (!IsTitle(sheet, at))
            {
                return 0;
            }
            found.Block(ReadingKind.Adapters, sheet, at, 1);
            return 1;
        }
        var head = sheet[at];
        var name = Row(head) is null ? head.Trimmed.TrimEnd(':', ' ') : "";
        var count = name.Length > 0 ? sheet.NotBlank(at + 1) - at : 0;
        var rows = new List<(string Label, List<TextLine> Values)>();
        for (; at + count < sheet.Lines.Count; count++)
        {
            var line = sheet[at + count];
            if (Loose(line) is { } label)
            {
                rows.Add((label, [new TextLine(line.Number, line.Text[(line.Text.IndexOf(':', StringComparison.Ordinal) + 1)..])]));
            }
            else if (rows.Count > 0 && line is { IsBlank: false, Indent: >= Deep })
            {
                rows[^1].Values.Add(line);
            }
            else
            {
                break;
            }
        }
        // Rows that were copied without their head and their mask are told by their labels alone.
        if (rows.Count == 0 || (name.Length == 0 && rows.Exists(r => First(r.Values) is not null) && MaskAt(rows) < 0))
        {
            return 0;
        }
        // The first rows are of the machine itself: they have neither an address nor a MAC address.
        if (
            rows.Exists(r => r.Values.Exists(v => v.Tokens.Any(t => t.Kind is TokenKind.Address or TokenKind.Mac or TokenKind.Address6)))
            || head.Trimmed is [.., ':']
        )
        {
            found.Adapters.Add(Adapter(head.Number, name, rows));
        }
        found.Block(ReadingKind.Adapters, sheet, at, count);
        return count;
    }

    /// <summary>How far values are set in that have a line of their own, in blanks.</summary>
    private const int Deep = 20;

    /// <summary>A line at the margin without an address, with rows behind it, at most one blank between.</summary>
    private static bool IsHead(PrintedText sheet, int at) =>
        sheet[at] is { Indent: 0, IsBlank: false } head
        && !head.Tokens.Any(t => t.Kind is TokenKind.Address or TokenKind.Mac)
        && sheet.NotBlank(at + 1) is var next
        && Loose(sheet[next]) is not null
        && Enumerable.Range(next, 3).Any(i => Row(sheet[i]) is not null);

    /// <summary>The line over everything, right before the head of the first adapter.</summary>
    private static bool IsTitle(PrintedText sheet, int at) =>
        sheet[at] is { Indent: 0, Tokens.Count: 0 }
        && sheet.NotBlank(at + 1, 4) is var next
        && sheet[next].Trimmed is [.., ':']
        && IsHead(sheet, next);

    private static AdapterRead Adapter(int line, string name, List<(string Label, List<TextLine> Values)> rows)
    {
        var maskAt = MaskAt(rows);
        var ownAt = maskAt > 0 && First(rows[maskAt - 1].Values) is not null ? maskAt - 1 : -1;
        InterfaceAddress? own =
            ownAt >= 0 && Subnet.PrefixOf(First(rows[maskAt].Values)!.Value) is { } prefix
                ? new(First(rows[ownAt].Values)!.Value, prefix)
                : null;
        var mac = rows.Select(r => r.Values[0])
            .Where(v => !v.Addresses.Any())
            .Select(v => IpReader.Own(v.Mac))
            .FirstOrDefault(h => h is not null);
        var after = maskAt < 0 ? [] : rows.Skip(maskAt + 1).ToList();
        var server = after
            .Where(r => Names(r.Label, "DHCP") && !Names(r.Label, "DHCPv6"))
            .Select(r => First(r.Values))
            .FirstOrDefault(a => a is not null);
        var asks = rows.FindIndex(r =>
            Names(r.Label, "DHCP") && !Names(r.Label, "DHCPv6") && First(r.Values) is null && r.Values[0].Tokens.Count == 0
        );
        var selfAssigned = own is { } held && SpecialBlock.UseOf(held.Address) == AddressUse.LinkLocal;
        // A second mask belongs to a second address of the adapter; the gateway is the first other row with an address, or with none at
        // all.
        var gateway = after
            .Where(
                (r, i) =>
                    !Names(r.Label, "DHCP")
                    && !Names(r.Label, "DNS")
                    && !Names(r.Label, "WINS")
                    && !Names(r.Label, "NetBIOS")
                    && !(i + 1 < after.Count && First(after[i + 1].Values) is { } next && IfconfigReader.IsMask(next))
            )
            .Where(r =>
                r.Values[0].IsBlank
                || r.Values.Exists(v => v.Tokens.Any(t => t.Kind == TokenKind.Address6))
                || First(r.Values) is { } a && !IfconfigReader.IsMask(a)
            )
            .Select(r => First(r.Values))
            .FirstOrDefault();
        return new(line, name)
        {
            Mac = mac,
            Address = own,
            // Where the row of the mask was left out, labels say what the others are.
            AddressAlone = maskAt < 0 ? Labelled(StatusReader.Field.Own) : null,
            Way =
                selfAssigned ? AddressWay.SelfAssigned
                : server is not null ? AddressWay.Leased
                : own is not null && mac is not null ? AddressWay.Fixed
                : AddressWay.Unknown,
            Gateway = gateway ?? (maskAt < 0 ? Labelled(StatusReader.Field.Gateway) : null),
            Server = server,
            DnsServers =
            [
                .. after.Where(r => Names(r.Label, "DNS")).SelectMany(r => r.Values).SelectMany(v => v.Addresses).Select(t => t.Address),
            ],
            Domain = rows.Take(maskAt < 0 ? rows.Count : maskAt)
                .Where(r => Names(r.Label, "DNS") && r.Values[0] is { IsBlank: false, Tokens.Count: 0 })
                .Select(r => r.Values[0].Trimmed)
                .FirstOrDefault(),
            // Where nothing is plugged in, the first row says so in words; where something is, it holds the suffix.
            Linked =
                rows.Count > 0 && !Names(rows[0].Label, "DNS") && rows[0].Values[0] is { IsBlank: false, Tokens.Count: 0 } && asks != 0
                    ? Known.No
                : own is not null ? Known.Yes
                : Known.Unknown,
            Inside = mac is null && rows.Count > 2 && asks > 0,
        };

        Ipv4Address? Labelled(StatusReader.Field field) =>
            rows.Where(r => StatusReader.Of(r.Label) == field).Select(r => First(r.Values)).FirstOrDefault(a => a is not null);
    }

    /// <summary>The row of the mask, which is no address of any host here; an address row stands right before it.</summary>
    private static int MaskAt(List<(string Label, List<TextLine> Values)> rows) =>
        rows.FindIndex(r => First(r.Values) is { } a && IfconfigReader.IsMask(a) && r.Values.Count == 1);

    private static Ipv4Address? First(List<TextLine> values) =>
        values.SelectMany(v => v.Addresses).Select(t => (Ipv4Address?)t.Address).FirstOrDefault();

    private static bool Names(string label, string protocol) => label.Contains(protocol, StringComparison.OrdinalIgnoreCase);

    /// <summary>The label of a row; null where the line is none.</summary>
    private static string? Row(TextLine line)
    {
        var colon = line.Indent > 0 ? Colon(line.Text) : -1;
        return colon < 0 ? null : line.Text[..colon].Trim(' ', '.', '\t');
    }

    /// <summary>The label of a row among others: where it is long, no dots are left before the colon.</summary>
    private static string? Loose(TextLine line) =>
        Row(line)
        ?? (
            line.Indent is > 0 and < Deep
            && line.Text.IndexOf(':', StringComparison.Ordinal) is var colon and > 3
            && line.Tokens is not [{ Start: 0 }, ..]
                ? line.Text[..colon].Trim(' ', '.', '\t')
                : null
        );

    /// <summary>Where the colon of a row stands: behind dots with blanks between.</summary>
    private static int Colon(string text)
    {
        var colon = text.IndexOf(':', StringComparison.Ordinal);
        if (colon < 4)
        {
            return -1;
        }
        var before = text.AsSpan(0, colon).TrimEnd();
        return
            before is [.., '.']
            && (before.Length < 3 || before[^2] is ' ' or '.' || colon - before.Length <= 1)
            && text.AsSpan(0, colon).Contains(". .", StringComparison.Ordinal)
            ? colon
            : -1;
    }
}
