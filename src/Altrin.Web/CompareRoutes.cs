using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;
using Altrin.Core.Trials;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>Which two versions of a job are compared.</summary>
/// <param name="Id">The job.</param>
/// <param name="Before">The revision before.</param>
/// <param name="After">The revision after.</param>
/// <param name="BeforeSetUp">The set-up of the one before.</param>
/// <param name="AfterSetUp">The set-up of the one after.</param>
internal sealed record VersionsRequest(
    [FromRoute(Name = "id")] long Id,
    [FromQuery(Name = "before")] long Before,
    [FromQuery(Name = "after")] long After,
    [FromQuery(Name = "beforeSetUp")] string BeforeSetUp,
    [FromQuery(Name = "afterSetUp")] string AfterSetUp
);

/// <summary>One of two versions that are compared.</summary>
/// <param name="Revision">Which revision of the job.</param>
/// <param name="SetUp">Which set-up of it.</param>
/// <param name="Design">The site with that set-up.</param>
/// <param name="Proof">What is proven of it.</param>
internal sealed record ComparedVersion(RevisionInfo Revision, string SetUp, DesignDocument Design, ProofDocument Proof);

/// <summary>One thing that differs.</summary>
/// <param name="Text">What has to be done, in words.</param>
/// <param name="Subjects">Ids of boxes, devices and cables, and names of ports, that it is about.</param>
internal sealed record Differs(string Text, IReadOnlyList<string> Subjects);

/// <summary>What has to be done to get from one version to the other.</summary>
/// <param name="Before">The first version.</param>
/// <param name="After">The second version.</param>
/// <param name="Changes">The changes between them, in an order in which they can be made; none where they are alike.</param>
/// <param name="Unreachable">What differs and cannot be set on any page, in sentences; empty where the changes lead all the way.</param>
/// <param name="Moved">What got better, worse, or otherwise by it.</param>
internal sealed record Comparison(
    ComparedVersion Before,
    ComparedVersion After,
    IReadOnlyList<Differs> Changes,
    IReadOnlyList<string> Unreachable,
    ProofDifference Moved
);

/// <summary>Compares any two versions of a job's set-ups.</summary>
internal static class CompareRoutes
{
    public static void Map(RouteGroupBuilder jobs) =>
        jobs.MapGet("/{id:long}/compare", Compare).WithName("CompareVersions").ProducesProblem(StatusCodes.Status404NotFound);

    private static async Task<Results<Ok<Comparison>, ProblemHttpResult>> Compare(
        [AsParameters] VersionsRequest asked,
        JobStore store,
        Proofs proofs,
        CancellationToken cancel
    )
    {
        var (id, before, after, beforeSetUp, afterSetUp) = asked;
        if (await store.Find(id, cancel) is null)
        {
            return Problems.NoJob(id);
        }
        if (await store.Revision(id, before, cancel) is not { } first)
        {
            return NoRevision(before);
        }
        if (await store.Revision(id, after, cancel) is not { } second)
        {
            return NoRevision(after);
        }
        if (first.Home.Design(beforeSetUp) is not { } from)
        {
            return DesignRoutes.NoSetUp(first.Home, beforeSetUp);
        }
        if (second.Home.Design(afterSetUp) is not { } to)
        {
            return DesignRoutes.NoSetUp(second.Home, afterSetUp);
        }
        // What is compared is what is set: both on a site that knows everything that either speaks of.
        var at = new Design(Site.Joined(to.Site, from.Site), from.SetUp);
        var difference = Difference.Between(at.Site, from.SetUp, to.SetUp);
        var changes = new List<Differs>();
        foreach (var change in difference.Changes)
        {
            changes.Add(new(change.Describe(at), change.Subjects()));
            at = at with { SetUp = change.ApplyTo(at).Value };
        }
        // Of the radios of one box the same is said once.
        List<Differs> said =
        [
            .. changes.GroupBy(c => c.Text).Select(g => new Differs(g.Key, [.. g.SelectMany(c => c.Subjects).Distinct()])),
        ];
        var (was, now, moved) = await proofs.Do(
            id,
            c =>
                (Judging.Prove(from, null, new(c)), Judging.Prove(to, null, new(c))) is var (a, b)
                    ? (a, b, ProofDifference.Between(a, b))
                    : default,
            cancel
        );
        return TypedResults.Ok(
            new Comparison(Version(first.Revision, from, was), Version(second.Revision, to, now), said, difference.Unreachable, moved)
        );
    }

    private static ComparedVersion Version(RevisionInfo revision, Design design, Proof proof) =>
        new(revision, design.SetUp.Name, DesignWriter.Document(new(design.Site, [design.SetUp])), ProofDocument.Of(proof));

    private static ProblemHttpResult NoRevision(long revision) =>
        Problems.Of(
            StatusCodes.Status404NotFound,
            "no-revision",
            $"This job has no version {revision}.",
            "Its versions are listed under revisions."
        );
}
