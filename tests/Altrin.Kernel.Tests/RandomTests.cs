using System.Globalization;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>Random homes, from a seed that is printed. ALTRIN_KERNEL_DESIGNS says how many, ALTRIN_KERNEL_SEED where they begin.</summary>
public sealed class RandomTests : KernelTests
{
    private const int Side = 4;
    internal static readonly int Count = Number("ALTRIN_KERNEL_DESIGNS", 25);
    internal static readonly int First = Number("ALTRIN_KERNEL_SEED", 4001);

    [Fact]
    public async Task Random_homes_are_as_Altrin_says()
    {
        Machine.Need();
        var (next, told) = (First - 1, new List<string>());
        var (certain, open, rings) = (0, 0, 0);
        var left = Count;
        await Task.WhenAll(
            Enumerable
                .Range(0, Side)
                .Select(_ =>
                    Task.Run(async () =>
                    {
                        while (Interlocked.Decrement(ref left) >= 0)
                        {
                            Design design;
                            int seed;
                            while (true)
                            {
                                seed = Interlocked.Increment(ref next);
                                design = Buildable(DesignGenerator.Make(seed, 6));
                                if (!new Wiring(design).Ring)
                                {
                                    break;
                                }
                                // A ring of plain switches cannot be built here: it would never be quiet again.
                                Interlocked.Increment(ref rings);
                            }
                            var compared = await Comparison.Of(design);
                            Interlocked.Add(ref certain, compared.Certain);
                            Interlocked.Add(ref open, compared.Open);
                            var wrong = Report.Unexplained($"seed {seed}", compared).Select(d => $"seed {seed}: {d}").ToList();
                            // Said at once: a run that is ended early keeps what it has.
                            Report.Say($"seed {seed}: {compared.Certain} facts compared, {compared.Open} left to luck or not known");
                            wrong.ForEach(Report.Say);
                            lock (told)
                            {
                                told.AddRange(wrong);
                            }
                        }
                    })
                )
        );
        Report.Say(
            $"{Count} random homes from seed {First}: {certain} facts compared, {open} left to luck or not known, {rings} with a ring left out, {told.Count} differences; {Report.Exceptions.Count} known exceptions on file, {Report.Known} met"
        );
        Assert.True(told.Count == 0, string.Join("\n", told));
    }

    /// <summary>What a box was not built to do here it does not do in the design either.</summary>
    internal static Design Buildable(Design design) =>
        design with
        {
            Site = design.Site with
            {
                Boxes =
                [
                    .. design.Site.Boxes.Select(b =>
                        b with
                        {
                            Profile = b.Profile with
                            {
                                // Conflicts have tests of their own; a server that tries each address first takes seconds for each.
                                Habits = b.Profile.Habits with
                                {
                                    ChecksOffer = Known.No,
                                    LeasesThrough = Known.Yes,
                                    KeepsOthers = Known.Yes,
                                    WifiOffWhilePassing = Known.No,
                                },
                            },
                        }
                    ),
                ],
            },
        };

    private static int Number(string name, int otherwise) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            ? number
            : otherwise;
}
