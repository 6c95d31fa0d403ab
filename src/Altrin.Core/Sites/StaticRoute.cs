using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>A way typed into a router.</summary>
/// <param name="To">What lies there.</param>
/// <param name="Via">The router that leads there, on one of its sides.</param>
public sealed record StaticRoute(Subnet To, Ipv4Address Via);
