using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>The installer's laptop, in a free port or in a Wi-Fi: who offers it an address, which it gets, and what it reaches.</summary>
public sealed class SeatTests : KernelTests
{
    public static TheoryData<string, string> Seats =>
        new()
        {
            { "cascade", "gw/lan4" },
            { "cascade", "in/lan4" },
            { "cascade", "in/r5" },
            { "guests of a router", "gw/guest" },
            { "two DHCP servers", "gw/lan4" },
            { "repeater with a subnet of its own (T5)", "rep/r5" },
            { "public-address mapping (T11)", "gw/lan4" },
        };

    [Theory]
    [MemberData(nameof(Seats))]
    public async Task A_laptop_sees_what_Altrin_says(string home, string seat)
    {
        Machine.Need();
        Assert.Empty(await Differences(home, Of(home), seat));
    }

    /// <summary>One seat of each of some random homes, an eighth as many as are compared whole.</summary>
    [Fact]
    public async Task Random_seats_are_as_Altrin_says()
    {
        Machine.Need();
        var told = new List<string>();
        for (var (seed, left) = (RandomTests.First, Math.Max(1, RandomTests.Count / 8)); left > 0; seed++)
        {
            var design = RandomTests.Buildable(DesignGenerator.Make(seed, 6));
            var free = Core.Facts.Seats.Of(design).Where(s => s.Kind is SeatKind.Port or SeatKind.Wifi).ToList();
            if (free.Count > 0 && !new Wiring(design).Ring)
            {
                told.AddRange(await Differences($"seed {seed}", design, free[new Random(seed).Next(free.Count)].Id));
                left--;
            }
        }
        Assert.True(told.Count == 0, string.Join("\n", told));
    }

    private static Design Of(string home) =>
        FixedDesigns.Techniques.GetValueOrDefault(home) ?? FixedDesigns.Traps.GetValueOrDefault(home) ?? RadioDesigns.All[home];

    private static async Task<IReadOnlyList<string>> Differences(string home, Design design, string seat)
    {
        var compared = await Comparison.OfSeat(design, seat);
        var left = Report.Unexplained($"{home} at {seat}", compared);
        Report.Say($"{home} at {seat}: {compared.Certain} facts compared, {compared.Open} left to luck or not known");
        Assert.True(compared.Certain + compared.Open > 3, $"only {compared.Certain} facts were compared");
        return [.. left.Select(l => $"{home} at {seat}: {l}")];
    }
}
