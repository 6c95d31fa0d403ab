using System.Buffers.Binary;
using Altrin.Core.Exchanges;

namespace Altrin.Formats;

/// <summary>
/// Frames as a packet capture that any dissector reads: the classic pcap format, version 2.4, microseconds, little end first,
/// link type 1 (Ethernet).
/// </summary>
public static class CaptureFile
{
    /// <summary>The media type under which captures are sent (registered with IANA, from memory).</summary>
    public const string MediaType = "application/vnd.tcpdump.pcap";

    /// <summary>Midnight before the year 2000: times in a capture are examples, and equal homes give equal files.</summary>
    private const long Start = 946_684_800;

    /// <summary>What a capture in one segment holds.</summary>
    /// <param name="ladder">Who says what.</param>
    /// <param name="segment">Where one listens; one of the ladder's segments.</param>
    public static byte[] Write(Ladder ladder, string segment)
    {
        using var file = new MemoryStream();
        Span<byte> head = stackalloc byte[24];
        BinaryPrimitives.WriteUInt32LittleEndian(head, 0xA1B2C3D4);
        BinaryPrimitives.WriteUInt16LittleEndian(head[4..], 2);
        BinaryPrimitives.WriteUInt16LittleEndian(head[6..], 4);
        BinaryPrimitives.WriteUInt32LittleEndian(head[16..], 65535);
        BinaryPrimitives.WriteUInt32LittleEndian(head[20..], 1);
        file.Write(head);
        Span<byte> record = stackalloc byte[16];
        foreach (var frame in ladder.Frames.Where(f => f.Segment == segment))
        {
            var bytes = FrameBytes.Of(frame);
            BinaryPrimitives.WriteUInt32LittleEndian(record, (uint)(Start + (long)frame.At.TotalSeconds));
            BinaryPrimitives.WriteUInt32LittleEndian(
                record[4..],
                (uint)(frame.At.Ticks % TimeSpan.TicksPerSecond / TimeSpan.TicksPerMicrosecond)
            );
            BinaryPrimitives.WriteUInt32LittleEndian(record[8..], (uint)bytes.Length);
            BinaryPrimitives.WriteUInt32LittleEndian(record[12..], (uint)bytes.Length);
            file.Write(record);
            file.Write(bytes);
        }
        return file.ToArray();
    }
}
