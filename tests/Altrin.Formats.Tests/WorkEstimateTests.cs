using Altrin.Core.Procedures;

namespace Altrin.Formats.Tests;

/// <summary>Evenings typed by hand take no less than what is estimated of them without an order.</summary>
public sealed class WorkEstimateTests
{
    public static TheoryData<string> Names => [.. Samples.Evenings];

    [Theory]
    [MemberData(nameof(Names))]
    public void An_evening_takes_no_less_than_its_estimate(string name)
    {
        var (acts, home) = (ActsFile.Read(Samples.Evening(name)).Value!, Samples.Home(name));
        var (from, to) = (home.Design(acts.Begins)!, home.Design(acts.Ends)!.SetUp);
        var play = Play.Of(State.Morning(from), acts.Acts, to, TestContext.Current.CancellationToken);
        var estimate = WorkEstimate.Between(from, to);
        Assert.InRange(estimate.Work.Usual.TotalSeconds, 1, play.Steps.Sum(s => s.Takes.Usual.TotalSeconds));
        Assert.InRange(estimate.Work.Least.TotalSeconds, 1, play.Steps.Sum(s => s.Takes.Least.TotalSeconds));
        Assert.True(estimate.Work.Usual <= play.End.Time);
        Assert.InRange(estimate.Saves, 0, play.Steps.Count(s => s.Act is Core.Procedures.Acts.SavePage or Core.Procedures.Acts.SetInApp));
        Assert.Empty(estimate.Touched.Except(play.End.Ledger.Touched));
    }

    /// <summary>It says more than that something is to be done: of the time of these evenings a good part is in it.</summary>
    [Fact]
    public void A_fifth_of_all_evenings_is_in_their_estimates()
    {
        var (estimated, taken) = (TimeSpan.Zero, TimeSpan.Zero);
        foreach (var name in Samples.Evenings)
        {
            var (acts, home) = (ActsFile.Read(Samples.Evening(name)).Value!, Samples.Home(name));
            estimated += WorkEstimate.Between(home.Design(acts.Begins)!, home.Design(acts.Ends)!.SetUp).Work.Usual;
            taken += Play.Of(State.Morning(home.Design(acts.Begins)!), acts.Acts, null, TestContext.Current.CancellationToken).End.Time;
        }
        Assert.InRange(estimated / taken, 0.2, 1);
    }
}
