using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;
using Altrin.Core.Trials;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Trials;

/// <summary>All that may happen to homes of four kinds, as approved.</summary>
public sealed class TrialSnapshotTests
{
    [Theory]
    [InlineData("techniques", "cascade")]
    [InlineData("techniques", "daisy chain of access points and switches")]
    [InlineData("traps", "two DHCP servers")]
    [InlineData("radio", "mesh by radio, by cable, chained (T14)")]
    public void What_may_happen_is_as_approved(string family, string home)
    {
        Tell(Families.Of(family)[home], $"Trials.{home.Split(' ')[0]}");
    }

    /// <summary>Half of the boxes of each home are taken out of use first: what stands on the shelf may be plugged in.</summary>
    [Theory]
    [InlineData(3)]
    [InlineData(8)]
    [InlineData(14)]
    [InlineData(21)]
    [InlineData(30)]
    public void What_may_happen_to_homes_with_a_shelf_is_as_approved(int seed)
    {
        var design = DesignGenerator.Make(seed, 6);
        foreach (var box in design.SetUp.Boxes.Where((_, i) => i % 2 == 1).ToList())
        {
            design = new TakeOutOfUse(box.Box).ApplyTo(design) is { Ok: true } done ? design with { SetUp = done.Value } : design;
        }
        Tell(design, $"Trials.shelf-{seed}");
    }

    /// <summary>Whatever was changed of a home, both ways: what is gone, what came, and which of it is worse.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(31)]
    public void What_changes_come_to_is_as_approved(int first)
    {
        var text = new StringBuilder();
        for (var seed = first; seed < first + 30; seed++)
        {
            var dice = new Random(seed);
            var before = DesignGenerator.Make(seed, 6);
            var after = before;
            for (var act = 0; act < 1 + (seed % 6); act++)
            {
                after = ChangeGenerator.Make(dice, after).ApplyTo(after) is { Ok: true } done ? after with { SetUp = done.Value } : after;
            }
            // Every third home loses devices too: what is gone is told in an order of its own.
            foreach (var device in before.SetUp.Devices.Where((_, i) => seed % 3 == 0 && i % 2 == 0))
            {
                after = new TakeOutOfUse(device.Device).ApplyTo(after) is { Ok: true } done ? after with { SetUp = done.Value } : after;
            }
            var (was, now) = (Judging.Prove(before), Judging.Prove(after));
            text.Append($"\n# Home {seed}\n{Plain.Of(ProofDifference.Between(was, now))}\n");
            text.Append($"and back\n{Plain.Of(ProofDifference.Between(now, was))}\n");
        }
        Snapshot.Match(text.ToString(), $"Differences.{first}");
    }

    private static void Tell(Design design, string name)
    {
        var text = new StringBuilder();
        foreach (var trial in WhatIf.Of(design))
        {
            var result = WhatIf.Try(design, trial.Id).Value;
            text.Append($"\n{trial.Id}: {trial.Label}\n  {result.How}\n");
            foreach (var phase in result.Phases)
            {
                text.Append($"  {phase.When}\n    {Plain.Of(phase.Difference)}\n");
            }
        }
        Snapshot.Match(text.ToString(), name);
    }
}
