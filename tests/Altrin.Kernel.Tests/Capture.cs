using System.Buffers.Binary;

namespace Altrin.Kernel.Tests;

/// <summary>Frames as a file of a capture, as common tools write it.</summary>
internal static class Capture
{
    /// <summary>Frames in the classic container, little end first.</summary>
    public static byte[] Of(IEnumerable<byte[]> frames)
    {
        using var file = new MemoryStream();
        file.Write([0xD4, 0xC3, 0xB2, 0xA1, 2, 0, 4, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0xFF, 0xFF, 0, 0, 1, 0, 0, 0]);
        Span<byte> head = stackalloc byte[16];
        foreach (var frame in frames)
        {
            BinaryPrimitives.WriteInt32LittleEndian(head[8..], frame.Length);
            BinaryPrimitives.WriteInt32LittleEndian(head[12..], frame.Length);
            file.Write(head);
            file.Write(frame);
        }
        return file.ToArray();
    }
}
