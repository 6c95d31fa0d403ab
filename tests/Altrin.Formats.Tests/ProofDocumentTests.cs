using System.Text.Json;
using Altrin.Core.Findings;
using Snapshooter.Xunit3;

namespace Altrin.Formats.Tests;

public sealed class ProofDocumentTests
{
    public static TheoryData<string> All => [.. Samples.All];

    /// <summary>The proof of the demo home and of each technique, approved by reading it. A changed fact shows here first.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void The_proof_of_a_sample_is_as_approved(string sample)
    {
        var home = Samples.Home(sample);
        var written =
            JsonSerializer.Serialize(
                // Of the demo what was found; of each technique its plan.
                ProofDocument.Of(Judging.Prove(home.Design(sample.StartsWith('t') ? "planned" : "found")!), detailed: true),
                AltrinJson.Indented
            ) + "\n";
        Snapshot.Match(written, sample.Replace(".json", ".proof", StringComparison.Ordinal));
    }

    [Fact]
    public void The_document_of_facts_names_the_version_that_is_written() =>
        Assert.Contains(
            $"\"format\": \"altrin-proof\", \"formatVersion\": {ProofDocument.NewestVersion},",
            Samples.Document("facts.md"),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_home_of_twelve_devices_is_answered_in_less_than_64_kB()
    {
        for (var seed = 1; seed <= 40; seed++)
        {
            var size = JsonSerializer
                .SerializeToUtf8Bytes(ProofDocument.Of(Judging.Prove(DesignGenerator.Make(seed, 12))), AltrinJson.Options)
                .Length;
            Assert.True(size < 64 * 1024, $"seed {seed}: {size} bytes");
        }
    }

    [Fact]
    public void An_answer_tells_the_first_of_each_long_list_and_counts_the_others()
    {
        var cut = 0;
        foreach (
            var design in Enumerable
                .Range(1, 12)
                .Select(seed => DesignGenerator.Make(seed, 60))
                .Append(LargeHomes.Of("routers in a row", 70))
        )
        {
            var proof = Judging.Prove(design);
            var (whole, brief) = (proof.Observation.Sheet, ProofDocument.Of(proof).Facts);
            Assert.Equal(whole.Internet.Select(f => f.Device), brief.Internet.Select(f => f.Device));
            foreach (var (all, told) in whole.Internet.Zip(brief.Internet))
            {
                Assert.Equal(all.NatBy.Take(BriefFacts.MostTranslators), told.NatBy);
                Assert.Equal(all.NatBy.Count, told.NatBy.Count + told.MoreNatBy);
                Assert.Equal(all.Links.Take(BriefFacts.MostLinks), told.Links);
                Assert.Equal(all.Links.Count, told.Links.Count + told.MoreLinks);
                Assert.Equal(all.Slowest, told.Slowest);
                cut += told.MoreLinks + told.MoreNatBy;
            }
            var answers = whole
                .Internet.Select(f => f.Answer)
                .Concat(whole.Needs.Select(f => f.Answer))
                .Concat(whole.Inbound.Select(f => f.Answer));
            var briefly = brief
                .Internet.Select(f => f.Answer)
                .Concat(brief.Needs.Select(f => f.Answer))
                .Concat(brief.Inbound.Select(f => f.Answer))
                .ToList();
            foreach (var (all, told) in answers.Zip(briefly, (a, b) => (a, b)))
            {
                Assert.Equal((all.Kind, all.Outcomes), (told.Kind, told.Outcomes));
                Assert.Equal(all.Causes.Take(BriefFacts.MostCauses), told.Causes);
                Assert.Equal(all.Causes.Count, told.Causes.Count + told.MoreCauses);
            }
            cut += briefly.Sum(a => a.MoreCauses) > 0 ? 1 : 0;
            Assert.Equal([.. whole.Needs.Select(f => (f.Need, f.StoppedBy))], brief.Needs.Select(f => (f.Need, f.StoppedBy)));
        }
        Assert.InRange(cut, 100, int.MaxValue);
    }
}
