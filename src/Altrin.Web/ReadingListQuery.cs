using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>Which readings of a job are listed.</summary>
/// <param name="Id">The job.</param>
/// <param name="Archived">Whether those in the archive are listed, or the others.</param>
/// <param name="Page">Which part of the list, from 1.</param>
/// <param name="PerPage">How many readings a part holds.</param>
internal sealed record ReadingListQuery(
    [FromRoute(Name = "id")] long Id,
    [FromQuery(Name = "archived")] bool Archived = false,
    [FromQuery(Name = "page")] int Page = 1,
    [FromQuery(Name = "perPage")] int PerPage = 50
);
