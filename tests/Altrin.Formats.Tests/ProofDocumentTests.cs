using System.Text.Json;
using Altrin.Core.Findings;

namespace Altrin.Formats.Tests;

public sealed class ProofDocumentTests
{
    /// <summary>The proof of the demo home, approved by reading it. A changed fact shows here first.</summary>
    [Fact]
    public void The_proof_of_the_demo_home_is_as_approved()
    {
        var proof = Judging.Prove(Samples.Home("pottery-house.json").Design("found")!);
        var written = JsonSerializer.Serialize(ProofDocument.Of(proof, detailed: true), AltrinJson.Indented) + "\n";
        var approved = Path.Combine(AppContext.BaseDirectory, "Approved", "pottery-house.proof.json");
        if (Environment.GetEnvironmentVariable("ALTRIN_APPROVE") is { Length: > 0 } folder)
        {
            File.WriteAllText(Path.Combine(folder, "pottery-house.proof.json"), written);
        }
        Assert.Equal(File.ReadAllText(approved), written);
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
