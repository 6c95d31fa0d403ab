using System.Text;
using ZstdSharp;

namespace Altrin.Data;

/// <summary>
/// The design of a revision as it is kept: compressed (Zstandard, RFC 8878), and where a whole one of the same job stands before it, as
/// what differs from that one, which then serves as the dictionary. A whole one is kept again once the differences have grown.
/// </summary>
internal static class PackedDesign
{
    /// <summary>A difference is kept while it is at most this share of what the whole one would take.</summary>
    private const double MostShare = 0.25;

    private const int Level = 9;

    /// <summary>A design, packed against a whole one where that is worth it; and whether it was.</summary>
    /// <param name="design">The text.</param>
    /// <param name="whole">The text of the last whole one of the job; null where there is none.</param>
    public static (byte[] Packed, bool Differs) Pack(string design, string? whole)
    {
        var bytes = Encoding.UTF8.GetBytes(design);
        using var plain = new Compressor(Level);
        var alone = plain.Wrap(bytes).ToArray();
        if (whole is null)
        {
            return (alone, false);
        }
        using var against = new Compressor(Level);
        against.LoadDictionary(Encoding.UTF8.GetBytes(whole));
        var difference = against.Wrap(bytes).ToArray();
        return difference.Length <= MostShare * alone.Length ? (difference, true) : (alone, false);
    }

    /// <summary>The text again.</summary>
    /// <param name="packed">What was packed.</param>
    /// <param name="whole">The text that it was packed against; null for a whole one.</param>
    /// <exception cref="InvalidDataException">The bytes are damaged.</exception>
    public static string Unpack(byte[] packed, string? whole)
    {
        try
        {
            using var open = new Decompressor();
            if (whole is not null)
            {
                open.LoadDictionary(Encoding.UTF8.GetBytes(whole));
            }
            return Encoding.UTF8.GetString(open.Unwrap(packed, MostBytes));
        }
        catch (ZstdException e)
        {
            throw new InvalidDataException($"A kept design is damaged: {e.Message}", e);
        }
    }

    /// <summary>More than this is never unpacked: no design that can be read is larger.</summary>
    private const int MostBytes = Formats.DesignFile.MostBytes;
}
