using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>How a gateway passes its public address on.</summary>
/// <param name="Kind">By what it knows the box that gets it.</param>
/// <param name="Port">By port: which of its ports; null otherwise.</param>
/// <param name="To">By MAC address or mapping: whose; null otherwise.</param>
public sealed record Passing(PassKind Kind, string? Port, MacAddress? To);
