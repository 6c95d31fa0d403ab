using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes a port forward away.</summary>
public sealed record RemoveForward(string Box, Protocol Protocol, int OutsidePort) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
            router.Forwards.All(f => !Same(f))
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} does not forward port {OutsidePort}.")
                : router with
                {
                    Forwards = [.. router.Forwards.Where(f => !Same(f))],
                }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} no longer forwards port {OutsidePort}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Forward, Box, PortForward.KeyOf(Protocol, OutsidePort))];

    private bool Same(PortForward forward) => forward.Protocol == Protocol && forward.OutsidePort == OutsidePort;
}
