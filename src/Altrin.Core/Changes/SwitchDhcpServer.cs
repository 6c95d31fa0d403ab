using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Switches a router's DHCP server on or off; its settings are kept.</summary>
public sealed record SwitchDhcpServer(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router => router.Server with { On = On });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"DHCP server of {design.NameOf(Box)} {(On ? "on" : "off")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.DhcpServer, Box)];
}
