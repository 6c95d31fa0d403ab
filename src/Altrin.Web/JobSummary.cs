using Altrin.Data;

namespace Altrin.Web;

/// <summary>A job in the list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What the installer calls it.</param>
/// <param name="ChangedAt">When it last changed.</param>
/// <param name="Archived">Whether it is archived.</param>
internal sealed record JobSummary(long Id, string Name, DateTimeOffset ChangedAt, bool Archived)
{
    public static JobSummary Of(JobEntity job) => new(job.Id, job.Name, job.ChangedAt, job.ArchivedAt is not null);
}
