using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What the provider delivers at the street. Given: no remedy alters it.</summary>
/// <param name="DownMbps">Sold rate towards the home in Mb/s; null where not asked.</param>
/// <param name="UpMbps">Sold rate from the home in Mb/s; null where not asked.</param>
public abstract record Service(int? DownMbps, int? UpMbps);

/// <summary>One public address, leased and changing.</summary>
public sealed record PublicDynamic(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);

/// <summary>One public address that stays, set by hand on the box that takes it.</summary>
/// <param name="Address">The address with its prefix, as the provider's letter gives it.</param>
/// <param name="Gateway">The provider's side.</param>
/// <param name="DownMbps">Sold rate towards the home in Mb/s.</param>
/// <param name="UpMbps">Sold rate from the home in Mb/s.</param>
public sealed record PublicFixed(InterfaceAddress Address, Ipv4Address Gateway, int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);

/// <summary>The provider translates too: no public address of one's own (RFC 6598, from memory).</summary>
public sealed record CarrierTranslation(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);

/// <summary>Not asked yet: whether anything can come in from outside is not known.</summary>
public sealed record UnknownService(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);
