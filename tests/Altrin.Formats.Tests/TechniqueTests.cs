using Altrin.Core.Findings;
using Altrin.Core.Packets;

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
    [InlineData("t03-cascade.json", "double-nat")]
    [InlineData("t04-daisy-chain.json")]
    [InlineData("t05-repeater.json")]
    [InlineData("t06-wds-pair.json")]
    [InlineData("t07-wireless-bridge.json")]
    [InlineData("t08-two-buildings.json")]
    [InlineData("t09-behind-bridge.json")]
    [InlineData("t10-pass-through.json")]
    [InlineData("t11-address-mapping.json")]
    [InlineData("t12-points-behind-gateway.json")]
    [InlineData("t13-behind-mobile-gateway.json", "carrier-nat", "double-nat")]
    [InlineData("t14-mesh.json")]
    [InlineData("t15-switches.json")]
    [InlineData("t16-powerline.json")]
    [InlineData("t17-injector.json")]
    [InlineData("t18-old-name-and-key.json")]
    public void Works_and_says_only_what_belongs_to_it(string sample, params string[] codes)
    {
        var proof = Prove(sample);
        Assert.All(proof.Observation.Sheet.Internet, i => Assert.Equal(AnswerKind.Yes, i.Answer.Kind));
        Assert.All(proof.Observation.Sheet.Needs, n => Assert.Equal(AnswerKind.Yes, n.Answer.Kind));
        Assert.Equal(codes, proof.Findings.Select(f => f.Code).Order(StringComparer.Ordinal));
        Assert.All(proof.Findings, f => Assert.Equal(Severity.Concern, f.Severity));
    }

    /// <summary>The demo home as found: its findings, worst first, and that its cures make it sound.</summary>
    [Fact]
    public void The_demo_home_is_put_right_cure_by_cure()
    {
        var design = Samples.Home("pottery-house.json").Design("found")!;
        var proof = Judging.Prove(design);
        Assert.Equal(VerdictKind.WillNotWork, proof.Verdict.Kind);
        Assert.Equal(
            [
                "double-nat(loft-router)",
                "overlapping-subnets(loft-router)",
                "fixed-address-in-pool(hall-gateway,studio-point)",
                "port-forward-to-lease(hall-gateway,loft-router)",
                "split-wifi-name(hall-gateway/r24,hall-gateway/r5,loft-router/r24,loft-router/r5,studio-point/r24,studio-point/r5)",
            ],
            proof.Findings.Where(f => f.CausedBy.Count == 0).Select(f => f.Identity)
        );
        for (var round = 0; round < 10 && proof.Findings.Any(f => f.Remedies.Count > 0); round++)
        {
            design = Core.Changes.ChangeList.Apply(design, proof.Findings.First(f => f.Remedies.Count > 0).Remedies[0].Changes).Value;
            proof = Judging.Prove(design);
        }
        Assert.Equal((VerdictKind.Sound, 0), (proof.Verdict.Kind, proof.Findings.Count));
    }
}
