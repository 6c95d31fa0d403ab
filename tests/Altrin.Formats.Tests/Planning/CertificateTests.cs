using Altrin.Core.Packets;
using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>
/// Whatever the first option for a home leaves unmet cannot be had with the boxes that are there, for a reason that is looked up in the
/// survey; and nothing that is said to be impossible is met by any option. A few homes here, 500 with ALTRIN_SURVEYS=500.
/// </summary>
public sealed class CertificateTests(ITestOutputHelper output)
{
    private const int Seed = 22_500;

    private static int Homes =>
        int.TryParse(Environment.GetEnvironmentVariable("ALTRIN_SURVEYS"), System.Globalization.CultureInfo.InvariantCulture, out var n)
            ? n
            : 2;

    [Fact]
    public void What_an_option_leaves_unmet_cannot_be_had()
    {
        var wrong = new List<string>();
        // Two of them: one whose devices find no radio on their bands, and one where all is met.
        foreach (var seed in Homes <= 2 ? [Seed + 8, Seed + 10] : Enumerable.Range(Seed, Homes))
        {
            var found = CertificateSurveys.Of(seed);
            Assert.Empty(DesignFile.Read(DesignFile.Write(new(found.Site, [found.SetUp with { Name = "found" }]))).Errors);
            var answer = Planner.Plan(new(found), stop: TestContext.Current.CancellationToken);
            var certified = Certificate.Of(found);
            foreach (var certificate in certified)
            {
                Assert.True(Holds(found, certificate), $"Seed {seed}: {certificate} is not in the survey.");
            }
            var unmet = Unmet(answer.Options[0]);
            wrong.AddRange(unmet.Except(certified.Select(c => c.About)).Select(u => $"Seed {seed}: {u} is unmet without a reason."));
            wrong.AddRange(
                certified
                    .Where(c => answer.Options.Any(o => !Unmet(o).Contains(c.About)))
                    .Select(c => $"Seed {seed}: {c.About} is met, and cannot be: {c.Says}")
            );
            output.WriteLine($"Seed {seed}: {answer.Proven} set-ups, unmet: {string.Join(' ', unmet)}.");
        }
        Assert.Empty(wrong);
    }

    /// <summary>Each sort of reason, and the same survey but for one thing, in which there is none.</summary>
    [Fact]
    public void Each_reason_is_told_where_it_is_in_the_survey()
    {
        static IEnumerable<CertificateKind> Of(Home home) => Certificate.Of(home.Design).Select(c => c.Kind);
        var reach = Home.WithGateway().Wired("pc", "gw/lan1").Reach("pc", 443);
        Assert.Empty(Of(reach.Service(new PublicDynamic(100, 20))));
        Assert.Equal([CertificateKind.CarrierNat], Of(reach.Service(new CarrierNat(100, 20))));
        Home Gadget(RadioBand band, Known socket) =>
            Home.WithGateway().Loose("gadget").Device("gadget", d => d with { Bands = [band], HasSocket = socket }).Found("gadget");
        Assert.Empty(Of(Gadget(RadioBand.Ghz5, Known.No)));
        Assert.Empty(Of(Gadget(RadioBand.Ghz6, Known.Unknown)));
        Assert.Equal([CertificateKind.NoBand, CertificateKind.NoBand], Of(Gadget(RadioBand.Ghz6, Known.No)));
        Home Calls() => Home.WithGateway().Place("study").Need(new CallsInPlace("calls", "study"));
        Assert.Empty(Of(Calls()));
        Assert.Equal([CertificateKind.NoRadio], Of(Calls().Profile("gw", p => p with { Radios = [] })));
    }

    /// <summary>What is not met for certain, or by luck only.</summary>
    private static HashSet<string> Unmet(PlanOption option) =>
        [
            .. option.Proof.Observation.Sheet.Needs.Where(n => n.Answer.Kind is AnswerKind.No or AnswerKind.Luck).Select(n => n.Need),
            .. option.Proof.Observation.Sheet.Internet.Where(i => i.Answer.Kind is AnswerKind.No or AnswerKind.Luck).Select(i => i.Device),
        ];

    /// <summary>Whether a reason stands in the survey.</summary>
    private static bool Holds(Design found, Certificate certificate)
    {
        var site = found.Site;
        return certificate.Kind switch
        {
            CertificateKind.CarrierNat => site.Service is CarrierNat
                && site.Needs.Single(n => n.Id == certificate.About) is ReachFromOutside,
            CertificateKind.NoRadio => site.Boxes.All(b => b.Profile.Radios.Count == 0),
            // The device itself, the one that a need is about, or, where one has to be found by all, any of them.
            _ => site.Devices.Any(d =>
                (d.Id == certificate.About || site.Needs.Any(n => n.Id == certificate.About && (n is FoundByOthers || n.About == d.Id)))
                && d.HasSocket == Known.No
                && site.Boxes.All(b => b.Profile.Radios.All(r => d.Bands.Count > 0 && !d.Bands.Contains(r.Band)))
            ),
        };
    }
}
