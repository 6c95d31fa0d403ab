using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Words for a port.</summary>
public static class PortWords
{
    /// <summary>"port in of Loft router", "Printer", "the street".</summary>
    public static string Of(Design design, PortRef end) =>
        design.Box(end.Owner)?.Profile.Port(end.Port) is { } port
            ? $"port {port.Label} of {design.NameOf(end.Owner)}"
            : design.NameOf(end.Owner);
}
