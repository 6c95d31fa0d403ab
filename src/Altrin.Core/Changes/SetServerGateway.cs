using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets the default gateway that a router's DHCP server hands out; none for the router itself.</summary>
/// <param name="Box">Which router.</param>
/// <param name="Gateway">What it hands out.</param>
/// <param name="LeftOut">Whether it hands out no gateway at all; then <paramref name="Gateway"/> counts for nothing.</param>
public sealed record SetServerGateway(string Box, Ipv4Address? Gateway, bool LeftOut) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            Edit.Unless(
                Gateway is { } gateway ? PageChecks.WrongHost(gateway) : null,
                router.Server with
                {
                    Gateway = LeftOut ? null : Gateway,
                    LeavesOutGateway = LeftOut,
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(LeftOut ? "no gateway" : $"{(Gateway is { } gateway ? gateway.ToString() : "itself")} as gateway")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedGateway, Box)];
}
