using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>Why a packet goes no further.</summary>
/// <param name="By">Who stops it, by id.</param>
/// <param name="Why">The cause.</param>
internal readonly record struct Refused(string By, Cause Why);

/// <summary>What the provider does with the packets of a home: what it takes from whom, what it drops, and carrier-grade NAT.</summary>
internal sealed class ProviderEdge(World world, Addresses addresses, Trail trail)
{
    /// <summary>Why the provider does not take a packet that is sent to it; null where it does, or where it is not sent to it.</summary>
    public Refused? Refuses(Hop hop, Interface at, Packet packet, bool answer)
    {
        if (!Takes(hop))
        {
            return null;
        }
        if (world.WrongAtStreet(hop.Out) is { } wrong)
        {
            return new(hop.Out.Owner, wrong);
        }
        if (!answer && at == hop.Out && trail.Forwarded(at.Owner))
        {
            return new(
                at.Owner,
                Cause.Of(
                    CauseCodes.NoRoute,
                    $"{world.Name(at.Owner)} forwards port {packet.Port} to {packet.Target}, and has no route there.",
                    at.Owner
                )
            );
        }
        return !answer && packet.Source != addresses.Of(hop.Out)
            ? new Refused(
                at.Owner,
                Cause.Of(
                    CauseCodes.NoNat,
                    $"{world.Name(at.Owner)} sends {packet.Source} out without NAT, and the provider drops it.",
                    at.Owner
                )
            )
            : null;
    }

    /// <summary>Why a connection from the internet does not get to the home; null where it does.</summary>
    public Cause? KeepsOut(bool answer) =>
        world.Service is CarrierNat && !answer
            ? Cause.Of(CauseCodes.CarrierNat, "Carrier-grade NAT: no connection from outside gets to the home over IPv4.", PortRef.Street)
            : null;

    /// <summary>Why nothing is carried to an address; null where it is.</summary>
    public static Cause? Drops(Ipv4Address target) =>
        SpecialBlock.UseOf(target) is AddressUse.Private or AddressUse.CarrierShared or AddressUse.LinkLocal
            ? Cause.Of(CauseCodes.NoRoute, $"The provider carries nothing to {target}.", PortRef.Street)
            : null;

    /// <summary>Carrier-grade NAT: a connection from the home gets the provider's address.</summary>
    public void Translate(ref Packet packet, bool answer)
    {
        if (world.Service is CarrierNat && !answer)
        {
            trail.Translate(PortRef.Street, ref packet, Provider.CarrierPublic);
        }
    }

    /// <summary>What goes to a neighbour on the line does not pass the provider.</summary>
    private bool Takes(Hop hop) =>
        hop.Out.Segment == PortRef.Street
        && (hop.ByDefault || hop.Next == World.Own(world.Street).Address)
        && addresses.Takers(hop.Out, hop.Next) is var takers
        && (takers.Count == 0 || takers.Any(t => t.Side == Side.Provider));
}
