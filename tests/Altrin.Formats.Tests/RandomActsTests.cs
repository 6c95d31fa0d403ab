using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>Whatever the boxes take, however foolish, the pipe answers and the file holds it.</summary>
public sealed class RandomActsTests
{
    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 60)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Forty_acts_later_everything_still_holds(int seed)
    {
        var dice = new Random(seed);
        var design = DesignGenerator.Make(seed, 3 + (seed % 8));
        var taken = 0;
        for (var act = 0; act < 40; act++)
        {
            var change = ChangeGenerator.Make(dice, design);
            Assert.NotEmpty(change.Describe(design));
            var applied = ChangeList.Apply(design, [change]);
            if (!applied.Ok)
            {
                Assert.EndsWith(".", applied.Error);
                continue;
            }
            taken++;
            design = applied.Value;
            Hold(design, $"seed {seed}, act {act}: {change}");
        }
        Assert.InRange(taken, 3, 40);
        var read = DesignFile.Read(DesignFile.Write(new(design.Site, [design.SetUp])));
        Assert.True(read.Value is not null, string.Join("; ", read.Errors));
    }

    private static void Hold(Design design, string at)
    {
        var proof = Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)));
        var identities = proof.Findings.Select(f => f.Identity).ToHashSet();
        var answers = proof.Observation.Sheet.Internet.Select(i => i.Answer).ToList();
        var unexplained = answers
            .Where(a => a.IsBroken && !a.Causes.Any(c => identities.Contains(c.Identity)))
            .SelectMany(a => a.Causes)
            .Select(c => c.Identity)
            .FirstOrDefault();
        Assert.True(unexplained is null, $"{at}: {unexplained} has no finding");
        Assert.True(proof.Findings.All(f => f.CausedBy.All(identities.Contains)), $"{at}: a finding follows from nothing");
        Assert.True(answers.All(a => a.IsYes == (a.Causes.Count == 0)), $"{at}: a yes with a cause, or a no without");
    }
}
