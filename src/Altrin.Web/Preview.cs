using Altrin.Formats;

namespace Altrin.Web;

/// <summary>What changes would do; nothing is stored.</summary>
/// <param name="Version">The version that it was worked out on.</param>
/// <param name="Label">What the changes do, in words.</param>
/// <param name="Design">The site with the set-up as it would be.</param>
/// <param name="Proof">What would be proven of it.</param>
internal sealed record Preview(long Version, string Label, DesignDocument Design, ProofDocument Proof);
