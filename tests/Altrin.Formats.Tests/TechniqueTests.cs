using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;

namespace Altrin.Formats.Tests;

/// <summary>
/// The sound form of each technique: what its mode really does (common practice), and silence of every rule that does not
/// belong to it.
/// </summary>
public sealed class TechniqueTests
{
    private static Proof Prove(string sample) => Judging.Prove(Samples.Home(sample).Design("planned")!);

    [Theory]
    [InlineData("t01-access-point-by-hand.json")]
    [InlineData("t02-access-point-mode.json")]
    [InlineData("t03-cascade.json", "translated-twice")]
    [InlineData("t04-daisy-chain.json")]
    [InlineData("t09-behind-bridge.json")]
    [InlineData("t12-points-behind-gateway.json")]
    [InlineData("t13-behind-mobile-gateway.json", "carrier-translation", "translated-twice")]
    [InlineData("t15-switches.json")]
    public void Works_and_says_only_what_belongs_to_it(string sample, params string[] codes)
    {
        var proof = Prove(sample);
        Assert.All(proof.Observation.Sheet.Internet, i => Assert.Equal(AnswerKind.Yes, i.Answer.Kind));
        Assert.All(proof.Observation.Sheet.Needs, n => Assert.Equal(AnswerKind.Yes, n.Answer.Kind));
        Assert.Equal(codes, proof.Findings.Select(f => f.Code).Order(StringComparer.Ordinal));
        Assert.All(proof.Findings, f => Assert.Equal(Severity.Concern, f.Severity));
    }

    [Theory]
    [InlineData("t01-access-point-by-hand.json", "family-phone", "hall-gateway")]
    [InlineData("t02-access-point-mode.json", "family-phone", "hall-gateway")]
    [InlineData("t03-cascade.json", "lodger-laptop", "lodger-router,hall-gateway")]
    [InlineData("t09-behind-bridge.json", "family-phone", "main-router")]
    [InlineData("t13-behind-mobile-gateway.json", "family-phone", "main-router,mobile-gateway,street")]
    public void Translates_as_often_as_its_mode_does(string sample, string device, string translators) =>
        Assert.Equal(translators, string.Join(',', Prove(sample).Observation.Sheet.Internet.Single(i => i.Device == device).Translators));

    [Fact]
    public void An_access_point_mode_page_is_leased_and_reserved() => Assert.Equal(
        (AddressOrigin.Reserved, "192.168.8.2"),
        Prove("t02-access-point-mode.json").Observation.Sheet.Addresses.Where(a => a is { Owner: "upstairs-router", Side: Side.Page }).Select(a => (a.Origin, a.Address.ToString())).Single());

    [Fact]
    public void A_cascade_shields_the_inner_side_only()
    {
        var proof = Prove("t03-cascade.json").Observation;
        Assert.Equal(AnswerKind.Yes, proof.Reach("lodger-laptop", "family-computer")!.Answer.Kind);
        Assert.Equal(AnswerKind.No, proof.Reach("family-computer", "lodger-laptop")!.Answer.Kind);
    }

    /// <summary>The demo home as found: its findings, worst first, and that its cures make it sound.</summary>
    [Fact]
    public void The_demo_home_is_mended_cure_by_cure()
    {
        var design = Samples.Home("pottery-house.json").Design("found")!;
        var proof = Judging.Prove(design);
        Assert.Equal(VerdictKind.WillNotWork, proof.Verdict.Kind);
        Assert.Equal(
            ["same-subnet-both-sides(loft-router)", "translated-twice(loft-router)", "fixed-inside-pool(hall-gateway,studio-point)", "forward-to-lease(hall-gateway,loft-router)", "different-names(hall-gateway/r24,hall-gateway/r5,loft-router/r24,loft-router/r5,studio-point/r24,studio-point/r5)"],
            proof.Findings.Where(f => f.CausedBy.Count == 0).Select(f => f.Identity));
        for (var round = 0; round < 10 && proof.Findings.Any(f => f.Remedies.Count > 0); round++)
        {
            design = Core.Changes.ChangeList.Apply(design, proof.Findings.First(f => f.Remedies.Count > 0).Remedies[0].Changes).Value;
            proof = Judging.Prove(design);
        }
        Assert.Equal((VerdictKind.Sound, 0), (proof.Verdict.Kind, proof.Findings.Count));
    }
}
