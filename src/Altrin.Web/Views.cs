using Altrin.Core.Changes;
using Altrin.Core.Planning;
using Altrin.Data;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>A job in the list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What the installer calls it.</param>
/// <param name="ChangedAt">When it last changed.</param>
/// <param name="Archived">Whether it was put away.</param>
internal sealed record JobSummary(long Id, string Name, DateTimeOffset ChangedAt, bool Archived)
{
    public static JobSummary Of(JobEntity job) => new(job.Id, job.Name, job.ChangedAt, job.ArchivedAt is not null);
}

/// <summary>A job at its head, with one set-up proven.</summary>
/// <param name="Job">The job.</param>
/// <param name="Version">The version that a save must name; also the ETag.</param>
/// <param name="Revision">The revision at the head.</param>
/// <param name="SetUps">Names of all set-ups.</param>
/// <param name="Design">The site with the set-up that is shown.</param>
/// <param name="Proof">What is proven of it.</param>
/// <param name="Undo">What undo would take back; null when nothing.</param>
/// <param name="Redo">What redo would bring back; null when nothing.</param>
/// <param name="Missing">How many things the survey leaves open.</param>
internal sealed record JobState(
    JobSummary Job,
    long Version,
    long Revision,
    IReadOnlyList<string> SetUps,
    DesignDocument Design,
    ProofDocument Proof,
    string? Undo,
    string? Redo,
    int Missing
)
{
    public static JobState Of(JobHead head, Core.Sites.Design design, ProofDocument proof) =>
        new(
            JobSummary.Of(head.Job),
            head.Job.Version,
            head.Revision.Id,
            [.. head.Home.SetUps.Select(s => s.Name)],
            DesignWriter.Document(new(design.Site, [design.SetUp])),
            proof,
            head.Undo,
            head.Redo,
            SurveyGaps.Of(SurveyRoutes.Found(head.Home)).Count
        );
}

/// <summary>What changes would do; nothing is stored.</summary>
/// <param name="Version">The version that it was worked out on.</param>
/// <param name="Label">What the changes do, in words.</param>
/// <param name="Design">The site with the set-up as it would be.</param>
/// <param name="Proof">What would be proven of it.</param>
internal sealed record Preview(long Version, string Label, DesignDocument Design, ProofDocument Proof);

/// <summary>Changes of one set-up.</summary>
/// <param name="SetUp">Name of the set-up.</param>
/// <param name="Changes">The changes, in order.</param>
internal sealed record ChangeRequest(string SetUp, IReadOnlyList<Change> Changes);

/// <summary>A new job.</summary>
/// <param name="Name">What the installer calls it; 1 to 80 characters.</param>
/// <param name="From">A job whose design it begins with; null for an empty home.</param>
internal sealed record NewJob(string Name, long? From);

/// <summary>Changes of a job itself.</summary>
/// <param name="Name">A new name; null to keep it.</param>
/// <param name="Archived">Whether it is put away; null to keep it.</param>
internal sealed record JobEdit(string? Name, bool? Archived);
