using System.CommandLine;
using System.Text.Json;
using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin look": what is seen from one seat of a home, and whether an address answers there.</summary>
internal static class LookCommand
{
    public static Command Make(Stream input, TextWriter output, TextWriter errors)
    {
        var file = new Argument<string>("FILE") { Description = "A design file; - for standard input." };
        var at = new Option<string>("--at")
        {
            Description =
                "A box or device; a free port such as hall-gateway/lan3 for a laptop plugged in there, a radio such as hall-gateway/r5 for one in its Wi-Fi, or both joined by \"+\".",
            HelpName = "SEAT",
            Required = true,
        };
        var to = new Option<string?>("--to")
        {
            Description = "A device, an address, or 'internet', to ping and to trace.",
            HelpName = "TARGET",
        };
        var json = new Option<bool>("--json") { Description = "Print what is seen as JSON (docs/facts.md)." };
        var setUp = new Option<string?>("--set-up")
        {
            Description = "Which set-up to look at; 'planned' where there is one, else the last.",
            HelpName = "NAME",
        };
        var command = new Command("look", "Says what is seen from one seat: addresses, address table, a ping and a route.")
        {
            file,
            at,
            to,
            json,
            setUp,
        };
        command.SetAction(parsed =>
        {
            if (DesignSource.Read(parsed.GetValue(file)!, parsed.GetValue(setUp), input, errors) is not { } design)
            {
                return ExitCode.BadInput;
            }
            var seen = Seats.At(design, parsed.GetValue(at)!);
            if (!seen.Ok)
            {
                errors.WriteLine($"altrin: {seen.Error}");
                return ExitCode.BadInput;
            }
            var (observation, seat) = seen.Value;
            Trace? trace = null;
            if (parsed.GetValue(to) is { } target)
            {
                var address = Seats.Target(observation, target);
                if (!address.Ok)
                {
                    errors.WriteLine($"altrin: {address.Error}");
                    return ExitCode.BadInput;
                }
                trace = Looking.To(observation, seat, address.Value);
            }
            var view = Looking.From(observation, seat)!;
            if (parsed.GetValue(json))
            {
                output.WriteLine(
                    JsonSerializer.Serialize(
                        new
                        {
                            view.At,
                            view.Addresses,
                            view.Table,
                            trace,
                        },
                        AltrinJson.Indented
                    )
                );
            }
            else
            {
                Print(output, observation.Network, view, trace);
            }
            return ExitCode.Sound;
        });
        return command;
    }

    private static void Print(TextWriter output, Network network, View view, Trace? trace)
    {
        output.WriteLine($"At {network.NameOf(view.At)}");
        foreach (var own in view.Addresses)
        {
            output.WriteLine(
                $"  address {Text(own.Address, own.From)}{(own.PrefixLength is { } prefix ? $"/{prefix}" : "")}, gateway {own.Gateway?.ToString() ?? "none"}, DNS {(own.DnsServers.Count == 0 ? "none" : string.Join(" ", own.DnsServers))}"
            );
        }
        output.WriteLine("Address table, once it has reached all");
        foreach (var entry in view.Table)
        {
            output.WriteLine(
                $"  {Text(entry.Address, entry.From), -34} {entry.Mac?.ToString() ?? "not read", -17}  {network.NameOf(entry.Owner)}{(entry.Certain ? "" : ", or another host")}"
            );
        }
        if (trace is not null)
        {
            output.WriteLine(
                $"Ping {trace.Target}: {trace.Ping.Kind switch { AnswerKind.Yes => "answered", AnswerKind.No => "not answered", AnswerKind.Luck => "by luck", _ => "not known" }}{(trace.Ping.IsYes ? "" : $": {trace.Ping.Why}")}"
            );
            foreach (var (hop, i) in trace.Hops.Select((h, i) => (h, i)))
            {
                output.WriteLine($"  {i + 1}  {hop.Address?.ToString() ?? "leased", -15}  {network.NameOf(hop.Owner)}");
            }
        }
    }

    private static string Text(Ipv4Address? address, AddressRange? from) =>
        address?.ToString() ?? (from is { } range ? $"one of {range.First} to {range.Last}" : "none");
}
