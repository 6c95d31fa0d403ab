using Altrin.Core.Procedures;

namespace Altrin.Core.Tests.Procedures;

/// <summary>Whatever is done, in any order and with any detour, takes no less than what is estimated of where it led to.</summary>
public sealed class WorkEstimateTests
{
    private const int Seed = 20101;
    private const int Rounds = 300;

    [Fact]
    public void No_acts_lead_anywhere_in_less_than_the_estimate()
    {
        var (dice, far) = (new Random(Seed), 0);
        for (var round = 0; round < Rounds; round++)
        {
            var start = State.Morning(DesignGenerator.Make(Seed + round, 5));
            var (now, hands, said) = (start, Duration.None, new List<string>());
            for (var i = dice.Next(1, 25); i > 0; i--)
            {
                var step = Play.Of(now, [ActGenerator.Make(dice, now)], null, TestContext.Current.CancellationToken).Steps[0];
                if (step.Refused is null)
                {
                    (now, hands) = (step.After, hands + step.Takes);
                    said.Add(step.Says);
                }
            }
            var estimate = WorkEstimate.Between(start.Design, now.Design.SetUp);
            Assert.True(
                estimate.Work.Least <= hands.Least && estimate.Work.Usual <= hands.Usual && estimate.Work.Most <= hands.Most,
                $"seed {Seed}, round {round}: {estimate.Work.Usual} are estimated of {hands.Usual}: {string.Join("; ", said)}"
            );
            Assert.Empty(estimate.Touched.Except(now.Ledger.Touched));
            far += estimate.Work.Usual > TimeSpan.Zero ? 1 : 0;
        }
        Assert.InRange(far, Rounds / 3, Rounds);
    }

    [Fact]
    public void Nothing_to_do_takes_nothing()
    {
        for (var round = 0; round < 50; round++)
        {
            var design = DesignGenerator.Make(Seed + round, 6);
            var estimate = WorkEstimate.Between(design, design.SetUp);
            Assert.Equal(
                (TimeSpan.Zero, 0, 0, 0, 0),
                (estimate.Work.Most, estimate.Saves, estimate.Cables, estimate.Boxes, estimate.Touched.Count)
            );
        }
    }
}
