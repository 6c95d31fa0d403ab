using System.Text.Json;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

/// <summary>Properties over 150 generated homes; a failure names the seed of its home.</summary>
public sealed class ProofPropertyTests
{
    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 150)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void A_remedy_cures_its_finding_and_brings_nothing_as_bad(int seed)
    {
        var design = DesignGenerator.Make(seed, 4 + (seed % 9));
        var before = Judging.Prove(design).Findings;
        var known = before.Select(f => f.Identity).ToHashSet();
        foreach (var (finding, remedy) in before.SelectMany(f => f.Remedies.Select(r => (f, r))))
        {
            var after = Judging.Prove(ChangeList.Apply(design, remedy.Changes).Value).Findings;
            Assert.DoesNotContain(after, f => f.Identity == finding.Identity);
            Assert.DoesNotContain(after, f => f.Severity >= finding.Severity && !known.Contains(f.Identity));
            Assert.Contains(finding.Identity, remedy.Settles);
            Assert.Equal(known.Except(after.Select(f => f.Identity)).Order(StringComparer.Ordinal), remedy.Settles);
        }
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Severity_follows_from_needs_and_internet(int seed)
    {
        var proof = Judging.Prove(DesignGenerator.Make(seed, 4 + (seed % 9)));
        var sheet = proof.Observation.Sheet;
        var broken = sheet.Internet.Any(i => i.Answer.IsBroken) || sheet.Needs.Any(n => n.Answer.IsBroken);
        Assert.Equal(broken, proof.Findings.Any(f => f.Severity == Severity.WillNotWork));
        Assert.Equal(broken, proof.Verdict.Kind == VerdictKind.WillNotWork);
        Assert.All(sheet.Internet.Select(i => i.Answer).Concat(sheet.Needs.Select(n => n.Answer)), a =>
            Assert.True(a.Outcomes.Count <= Answer.MostOutcomes)
        );
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Every_broken_answer_is_explained_by_a_finding(int seed)
    {
        var proof = Judging.Prove(DesignGenerator.Make(seed, 4 + (seed % 9)));
        var codes = proof.Findings.Select(f => f.Code).ToHashSet();
        // What is not let in, and who is apart, is said by the need itself.
        var unexplained = proof
            .Observation.Sheet.Internet.Select(i => i.Answer)
            .Concat(proof.Observation.Sheet.Needs.Select(n => n.Answer))
            .Where(a => a.IsBroken)
            .SelectMany(a => a.Causes)
            .Select(c => c.Code)
            .Where(c => c is not (CauseCodes.NotForwarded or CauseCodes.Apart) && !codes.Contains(c));
        Assert.Empty(unexplained);
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Order_and_names_of_things_do_not_matter(int seed)
    {
        var design = DesignGenerator.Make(seed, 4 + (seed % 9));
        var facts = Facts(design);
        Assert.Equal(facts, Facts(Reversed(design)));
        Assert.Equal(facts.Replace("dev-", "dew-", StringComparison.Ordinal), Facts(Renamed(design)));
    }

    private static string Facts(Design design)
    {
        var proof = Judging.Prove(design);
        return JsonSerializer.Serialize(
            new
            {
                proof.Observation.Sheet,
                proof.Verdict,
                Findings = proof.Findings.Select(f => new
                {
                    f.Identity,
                    f.Severity,
                    f.What,
                    f.Notice,
                    Cures = f.Remedies.Select(r => r.Label),
                }),
            }
        );
    }

    private static Design Reversed(Design design) =>
        new(
            design.Site with
            {
                Boxes = [.. design.Site.Boxes.Reverse()],
                Devices = [.. design.Site.Devices.Reverse()],
                Needs = [.. design.Site.Needs.Reverse()],
            },
            design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Reverse()],
                Cables = [.. design.SetUp.Cables.Reverse()],
                Devices = [.. design.SetUp.Devices.Reverse()],
            }
        );

    /// <summary>Every device called otherwise, in a way that keeps the order of ids.</summary>
    private static Design Renamed(Design design)
    {
        static string New(string id) => id.Replace("dev-", "dew-", StringComparison.Ordinal);
        static PortRef End(PortRef end) => end with { Owner = New(end.Owner) };
        return new(
            design.Site with
            {
                Devices = [.. design.Site.Devices.Select(d => d with { Id = New(d.Id), Name = New(d.Name) })],
                Needs =
                [
                    .. design.Site.Needs.Select(n =>
                        n switch
                        {
                            ReachFromOutside r => r with { Id = New(r.Id), Device = New(r.Device) },
                            FoundByOthers f => f with { Id = New(f.Id), Device = New(f.Device) },
                            _ => n with { Id = New(n.Id) },
                        }
                    ),
                ],
            },
            design.SetUp with
            {
                Devices = [.. design.SetUp.Devices.Select(d => d with { Device = New(d.Device) })],
                Cables = [.. design.SetUp.Cables.Select(c => c with { Id = New(c.Id), A = End(c.A), B = End(c.B) })],
            }
        );
    }
}
