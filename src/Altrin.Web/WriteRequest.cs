using Altrin.Data;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>A request that writes jobs and their passwords as one act, with what it is met with.</summary>
/// <param name="Store">Jobs.</param>
/// <param name="Secrets">Keys and passwords.</param>
/// <param name="Writing">Makes it one act.</param>
/// <param name="Tab">The tab that asks.</param>
/// <param name="Cancel">Stops the work.</param>
internal sealed record WriteRequest(
    JobStore Store,
    SecretStore Secrets,
    Writing Writing,
    [FromHeader(Name = HeadRoutes.TabHeader)] string? Tab,
    CancellationToken Cancel
);
