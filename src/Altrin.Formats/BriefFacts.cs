using Altrin.Core.Facts;

namespace Altrin.Formats;

/// <summary>
/// Facts as a page takes them at once: what grows with the square of a home is cut to its first members, with the number of the others.
/// All of them are told for the one device or need that is asked for.
/// </summary>
public static class BriefFacts
{
    /// <summary>How many causes of an answer are written out.</summary>
    public const int MostCauses = 3;

    /// <summary>How many routers that do NAT, one behind the other, are written out for a device.</summary>
    public const int MostTranslators = 8;

    /// <summary>How many links of a device's way out are written out.</summary>
    public const int MostLinks = 24;

    /// <summary>
    /// The same sheet, cut. It no longer holds the network that it was seen on, so that it can be kept for little:
    /// what is worked out on demand is empty in it.
    /// </summary>
    public static FactSheet Of(FactSheet sheet) =>
        sheet with
        {
            Leases = [],
            Internet = [.. sheet.Internet.Select(f => f.Brief(MostCauses, MostTranslators, MostLinks))],
            Needs = [.. sheet.Needs.Select(f => f with { Answer = f.Answer.Brief(MostCauses) })],
            Inbound = [.. sheet.Inbound.Select(f => f with { Answer = f.Answer.Brief(MostCauses) })],
            AmongDevices = FactSheet.Nothing.AmongDevices,
        };
}
