using Altrin.Core.Planning;
using Altrin.Data;
using Altrin.Formats;

namespace Altrin.Web;

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
            SurveyGaps.Of(head.Home.AsFound()).Count
        );
}
