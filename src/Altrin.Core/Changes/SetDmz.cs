using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Names the host that gets every connection from the WAN side which no forward claims; none for none.</summary>
public sealed record SetDmz(string Box, Ipv4Address? To) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "DMZ host", router =>
            Edit.Unless<BoxMode>(To is { } to ? PageChecks.WrongHost(to) : null, router with { Dmz = To })
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        To is { } to ? $"{design.NameOf(Box)} sends all that is not forwarded to DMZ host {to}" : $"{design.NameOf(Box)} has no DMZ host";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Dmz, Box)];
}
