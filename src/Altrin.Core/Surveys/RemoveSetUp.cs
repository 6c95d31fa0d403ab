using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Takes off a set-up that was kept beside what was found and what is planned, such as an option that was not taken.</summary>
/// <param name="Name">Its name.</param>
public sealed record RemoveSetUp(string Name) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Name is HomeFile.FoundName or HomeFile.PlannedName ? Parsed<HomeFile>.Fail($"The set-up '{Name}' stays; undo takes a plan back.")
        : home.SetUps.All(s => s.Name != Name) ? Parsed<HomeFile>.Fail($"There is no set-up '{Ipv4Address.Shown(Name)}'.")
        : home.SetUps.Count == 1 ? Parsed<HomeFile>.Fail("A home keeps one set-up at least.")
        : home with { SetUps = [.. home.SetUps.Where(s => s.Name != Name)] };

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"The set-up '{Name}' is removed";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.SetUp, Name)];
}
