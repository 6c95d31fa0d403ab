using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>Which jobs are listed, and in which order; the part of a name that is looked for stands beside it.</summary>
/// <param name="Archived">Whether those in the archive are listed, or the others.</param>
/// <param name="Order">One of the orders of jobs, by its name.</param>
/// <param name="Page">Which part of the list, from 1.</param>
/// <param name="PerPage">How many jobs a part holds.</param>
internal sealed record JobListQuery(
    [FromQuery(Name = "archived")] bool Archived = false,
    [FromQuery(Name = "order")] string Order = "changed",
    [FromQuery(Name = "page")] int Page = 1,
    [FromQuery(Name = "perPage")] int PerPage = 20
);
