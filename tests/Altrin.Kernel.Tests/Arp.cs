using System.Net;
using System.Net.NetworkInformation;
using Altrin.Core.Addressing;
using PacketDotNet;

namespace Altrin.Kernel.Tests;

/// <summary>Who answers for an address.</summary>
internal static class Arp
{
    /// <summary>Owners that answer when a seat asks who has an address, without saying its own (RFC 5227).</summary>
    public static IReadOnlySet<string> Holders(Lab lab, Seat client, Ipv4Address address, TimeSpan most) =>
        Namespaces.Inside(lab.Of(client.Owner), () =>
        {
            using var socket = new PacketSocket(client.Device);
            var own = Clients.Physical(lab.Mac(client));
            var question = new ArpPacket(
                ArpOperation.Request,
                PhysicalAddress.Parse("00-00-00-00-00-00"),
                IPAddress.Parse($"{address}"),
                own,
                IPAddress.Any
            );
            socket.Send(
                new EthernetPacket(own, PhysicalAddress.Parse("FF-FF-FF-FF-FF-FF"), EthernetType.Arp) { PayloadPacket = question }.Bytes
            );
            var answers = new HashSet<string>();
            foreach (var (frame, sent) in socket.Hear(most))
            {
                if (
                    !sent
                    && Packet.ParsePacket(LinkLayers.Ethernet, frame).Extract<ArpPacket>() is { Operation: ArpOperation.Response } answer
                    && $"{answer.SenderProtocolAddress}" == $"{address}"
                )
                {
                    answers.Add(lab.Whose(Clients.Mac(answer.SenderHardwareAddress))?.Owner ?? $"{answer.SenderHardwareAddress}");
                }
            }
            return answers;
        });
}
