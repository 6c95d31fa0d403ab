using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Begins the set-up "planned" as a copy of what was found.</summary>
public sealed record StartPlan : Correction
{
    /// <summary>The set-up that the survey records.</summary>
    public const string Found = HomeFile.FoundName;

    /// <summary>The set-up that is planned.</summary>
    public const string Planned = HomeFile.PlannedName;

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        home.SetUps.Any(s => s.Name == Planned) ? Parsed<HomeFile>.Fail("There is a plan already.")
        : home.SetUps.FirstOrDefault(s => s.Name == Found) is not { } found
            ? Parsed<HomeFile>.Fail("Nothing was found yet: the survey comes first.")
        : home with { SetUps = [.. home.SetUps, found with { Name = Planned, Accepted = [] }] };

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => "The plan begins with what was found";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.SetUp, Planned)];
}
