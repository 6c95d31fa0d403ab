using Altrin.Core.Facts;

namespace Altrin.Formats.Printouts;

/// <summary>The commands ipconfig /all, arp -a, ping and tracert (layout from memory).</summary>
internal static class IpconfigPrintout
{
    public static IReadOnlyList<Printout> Of(string name, IReadOnlyList<Adapter> adapters, Trace? trace) =>
        [
            new("ipconfig /all", Lines.Join(["", "IP Configuration", "", Row("Host Name", name), .. adapters.SelectMany(Adapter)])),
            new("arp -a", Lines.Join(adapters.Where(a => a is { Linked: true, Address: not null }).SelectMany(Table))),
            .. trace is null
                ? Array.Empty<Printout>()
                : [new($"ping {trace.Target}", Ping(adapters, trace)), new($"tracert -d {trace.Target}", Route(trace))],
        ];

    /// <summary>A label filled up with dots to the width at which values begin.</summary>
    private static string Row(string label, string value)
    {
        var left = 34 - label.Length;
        return $"   {label}{(left % 2 == 0 ? "" : " ")}{string.Concat(Enumerable.Repeat(". ", left / 2))}: {value}".TrimEnd();
    }

    private static string More(object value) => $"{new string(' ', 39)}{value}";

    private static IEnumerable<string> Adapter(Adapter a)
    {
        yield return "";
        yield return $"Ethernet adapter Ethernet{(a.Number == 0 ? "" : $" {a.Number + 1}")}:";
        yield return "";
        if (!a.Linked)
        {
            yield return Row("Media State", "Media disconnected");
        }
        yield return Row("Connection-specific DNS Suffix ", a.Domain ?? "");
        yield return Row("Physical Address", Lines.Hyphens(a.Mac));
        yield return Row("DHCP Enabled", a.Asks ? "Yes" : "No");
        // Where nothing is plugged in, not even a typed address is printed.
        if (!a.Linked || a.Address is not { } own)
        {
            yield break;
        }
        yield return Row(a.SelfAssigned ? "Autoconfiguration IPv4 Address" : "IPv4 Address", $"{own.Address}(Preferred)");
        yield return Row("Subnet Mask", $"{own.Subnet.Mask}");
        yield return Row("Default Gateway", $"{a.Gateway}");
        if (a.Server is { } server)
        {
            yield return Row("DHCP Server", $"{server}");
        }
        if (a.DnsServers.Count > 0)
        {
            yield return Row("DNS Servers", $"{a.DnsServers[0]}");
            foreach (var further in a.DnsServers.Skip(1))
            {
                yield return More(further);
            }
        }
    }

    private static IEnumerable<string> Table(Adapter a) =>
        [
            "",
            $"Interface: {a.Address!.Value.Address} --- 0x{a.Number + 4:x}",
            "  Internet Address      Physical Address      Type",
            .. a.Neighbours.Select(n => $"  {n.Address, -22}{n.Mac.ToString().Replace(':', '-'), -22}dynamic"),
            $"  {Lines.Everybody(a.Address.Value), -22}{"ff-ff-ff-ff-ff-ff", -22}static",
        ];

    private static string Ping(IReadOnlyList<Adapter> adapters, Trace trace)
    {
        var near =
            trace.Hops.Count == 0 && adapters.FirstOrDefault(a => a.Address is { } own && own.Subnet.Contains(trace.Target)) is { } seat
                ? seat.Address
                : null;
        var answer =
            Lines.Answered(trace) ? $"Reply from {trace.Target}: bytes=32 time=1ms TTL={Lines.HopsLeft(trace)}"
            : near is { } own2 ? $"Reply from {own2.Address}: Destination host unreachable."
            : "Request timed out.";
        var got = Lines.Answered(trace) || near is not null ? 4 : 0;
        return Lines.Join([
            "",
            $"Pinging {trace.Target} with 32 bytes of data:",
            .. Enumerable.Repeat(answer, 4),
            "",
            $"Ping statistics for {trace.Target}:",
            $"    Packets: Sent = 4, Received = {got}, Lost = {4 - got} ({(4 - got) * 25}% loss),",
            .. Lines.Answered(trace)
                ? ["Approximate round trip times in milli-seconds:", "    Minimum = 1ms, Maximum = 1ms, Average = 1ms"]
                : Array.Empty<string>(),
        ]);
    }

    private static string Route(Trace trace) =>
        Lines.Join([
            "",
            $"Tracing route to {trace.Target} over a maximum of {Lines.MostHops} hops",
            "",
            .. trace.Hops.Select(
                (h, i) => h.Address is { } address ? $"{i + 1, 3}     1 ms     1 ms     1 ms  {address} " : Silence(i + 1)
            ),
            .. Lines.Answered(trace) ? ["", "Trace complete."] : Enumerable.Range(trace.Hops.Count + 1, Lines.Silent).Select(Silence),
        ]);

    private static string Silence(int hop) => $"{hop, 3}     *        *        *     Request timed out.";
}
