using Altrin.Data;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>A request that moves the head of a job, with what it is met with.</summary>
/// <param name="Id">The job.</param>
/// <param name="Match">Its If-Match: the version that the caller saw.</param>
/// <param name="Tab">The tab that asks.</param>
/// <param name="Store">Jobs.</param>
/// <param name="Proofs">Works out what is answered.</param>
/// <param name="Context">The request itself.</param>
/// <param name="Cancel">Stops the work.</param>
internal sealed record HeadRequest(
    [FromRoute(Name = "id")] long Id,
    [FromHeader(Name = "If-Match")] string? Match,
    [FromHeader(Name = HeadRoutes.TabHeader)] string? Tab,
    JobStore Store,
    Proofs Proofs,
    HttpContext Context,
    CancellationToken Cancel
);
