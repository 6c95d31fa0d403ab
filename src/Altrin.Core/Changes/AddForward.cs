using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Lets a port in from the WAN side.</summary>
public sealed record AddForward(string Box, PortForward Forward) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
            router.Forwards.Any(f => f.Protocol == Forward.Protocol && f.OutsidePort == Forward.OutsidePort)
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} already forwards port {Forward.OutsidePort}; a port is forwarded once.")
                : Edit.Unless<BoxMode>(
                    (
                        router.Forwards.Count >= RouterMode.MostForwards
                            ? $"At most {RouterMode.MostForwards} port forwardings are kept."
                            : null
                    )
                        ?? PageChecks.WrongTransportPort(Forward.OutsidePort)
                        ?? PageChecks.WrongTransportPort(Forward.InsidePort)
                        ?? PageChecks.WrongHost(Forward.To),
                    router with
                    {
                        Forwards = [.. router.Forwards, Forward],
                    }
                )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} forwards port {Forward.OutsidePort} to {Forward.To}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Forward, Box, Forward.Key)];
}
