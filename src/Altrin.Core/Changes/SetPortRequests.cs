using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Lets devices ask a router to open ports, or not.</summary>
public sealed record SetPortRequests(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port requests", router => router with { PortRequests = On });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} {(On ? "opens ports that devices ask for" : "opens no port on request")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.PortRequests, Box)];
}
