using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Corrects what is known of a cable that is in the walls already, what is not given stays; or notes one, where no id is given.
/// </summary>
/// <param name="Run">Its id; empty for a new one, whose id is made of its sockets.</param>
/// <param name="Known">What is said of it; of a new one at least its sockets and what it is.</param>
public sealed record SetRun(string Run, Partial<CableRun> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Runs, Run, IdIn(home), Known, r => r.Id, "cable in the walls")
            .Then<HomeFile>(run =>
                Edit.Unless(
                    new[] { run.A, run.B }
                        .Where(e => home.Site.Sockets.All(s => s.Id != e))
                        .Select(e => $"There is no socket '{Ipv4Address.Shown(e)}'.")
                        .FirstOrDefault()
                        ?? (run.A == run.B ? "A run has two ends; both were the same socket." : null)
                        ?? (
                            home.Site.Runs.Any(r => r.Id != run.Id && new[] { r.A, r.B }.Intersect([run.A, run.B]).Any())
                                ? "One of these sockets has a run already."
                                : null
                        )
                        ?? (run.Pairs is not (null or 2 or 4) ? "A run has 2 or 4 pairs connected." : null)
                        ?? CableFacts.WrongLength(run.LengthMetres)
                        ?? Given.WrongId(home.Site, run.Id, [.. home.Site.Runs.Select(r => r.Id)], Site.MostSockets, "runs"),
                    home.With(home.Site with { Runs = Given.With(home.Site.Runs, run, r => r.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => "A cable in the walls is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => Given.Touches(Setting.Run, Run, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) =>
        Run.Length > 0
            ? Run
            : Slugs.Of(
                Known.Alone((nameof(CableRun.Id), "")) is { Ok: true } run ? $"{run.Value.A} {run.Value.B}" : "",
                home.Site.Uses,
                "run"
            );
}
