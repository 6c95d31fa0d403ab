using Altrin.Core.Networks;

namespace Altrin.Kernel.Tests;

/// <summary>Rings of cables: bridges with spanning tree (IEEE 802.1D) shut as many ports as there are rings.</summary>
public sealed class RingTests
{
    public static TheoryData<string> Names => [.. Homes.Keys];

    private static readonly Dictionary<string, Home> Homes = new()
    {
        ["three switches in a ring"] = Home.WithGateway()
            .Switch("s1")
            .Switch("s2")
            .Cable("gw/lan1", "s1/lan1")
            .Cable("s1/lan2", "s2/lan1")
            .Cable("s2/lan2", "gw/lan2"),
        ["two cables between two switches"] = Home.WithGateway().Switch("s1").Cable("gw/lan1", "s1/lan1").Cable("gw/lan2", "s1/lan2"),
        ["a router between, no ring"] = Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Switch("s").Cable("in/lan1", "s/lan1"),
    };

    [Theory]
    [MemberData(nameof(Names))]
    public void As_many_ports_are_shut_as_rings_are_named(string name)
    {
        Machine.Need();
        var design = Homes[name].Design;
        using var lab = new Lab(design, new() { SpanningTree = true });
        var rings = Compiler.Compile(design, Situation.Settled).Segments.Sum(s => s.Loops.Count);
        // Ports listen and learn before they forward: settled is when none does that any more.
        var since = System.Diagnostics.Stopwatch.StartNew();
        string all;
        do
        {
            all = string.Concat(lab.Owners.Select(o => Namespaces.In(lab.Of(o), "bridge", ["link"]).Output));
        } while (
            (all.Contains("state listening", StringComparison.Ordinal) || all.Contains("state learning", StringComparison.Ordinal))
            && since.Elapsed < TimeSpan.FromSeconds(40)
        );
        Assert.Equal(rings, all.Split("state blocking").Length - 1);
    }
}
