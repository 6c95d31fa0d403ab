using System.Text;
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
        var design = Families.Of(family)[home];
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
        Snapshot.Match(text.ToString(), $"Trials.{home.Split(' ')[0]}");
    }
}
