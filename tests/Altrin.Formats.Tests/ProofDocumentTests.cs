using System.Text.Json;
using Altrin.Core.Findings;

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
        var written = JsonSerializer.Serialize(ProofDocument.Of(Judging.Prove(home.Design("found") ?? home.Design("planned")!), detailed: true), AltrinJson.Indented) + "\n";
        var name = sample.Replace(".json", ".proof.json", StringComparison.Ordinal);
        if (Environment.GetEnvironmentVariable("ALTRIN_APPROVE") is { Length: > 0 } folder)
        {
            File.WriteAllText(Path.Combine(folder, name), written);
        }
        Assert.Equal(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Approved", name)), written);
    }

    [Fact]
    public void A_home_of_twelve_devices_is_answered_in_less_than_64_kB()
    {
        for (var seed = 1; seed <= 40; seed++)
        {
            var size = JsonSerializer.SerializeToUtf8Bytes(ProofDocument.Of(Judging.Prove(DesignGenerator.Make(seed, 12))), AltrinJson.Options).Length;
            Assert.True(size < 64 * 1024, $"seed {seed}: {size} bytes");
        }
    }
}
