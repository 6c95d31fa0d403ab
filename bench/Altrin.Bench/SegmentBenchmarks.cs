using Altrin.Core.Networks;
using Altrin.Core.Sites;
using BenchmarkDotNet.Attributes;
using QuikGraph;
using QuikGraph.Algorithms.ConnectedComponents;

namespace Altrin.Bench;

/// <summary>
/// Finding the segments of a home, beside the connected components of a general graph library on the same graph: the goal is at most its
/// time.
/// </summary>
[MemoryDiagnoser]
public class SegmentBenchmarks
{
    private Design _design = null!;
    private IReadOnlyList<Group> _groups = null!;
    private IReadOnlyList<Link> _links = null!;

    [Params(100, 1000)]
    public int Devices { get; set; }

    [GlobalSetup]
    public void Prepare()
    {
        _design = Homes.Sound(Devices / 10, Devices);
        var layer = LinkLayer.Of(_design, Situation.Settled, new(CancellationToken.None));
        (_groups, _links) = ([.. layer.Domains().SelectMany(d => d)], layer.Links);
        if (Ours() != Theirs())
        {
            throw new InvalidOperationException($"{Ours()} segments against {Theirs()} components");
        }
    }

    /// <summary>Reads the design too: who bridges what, who gets into which Wi-Fi.</summary>
    [Benchmark]
    public int Ours() => LinkLayer.Of(_design, Situation.Settled, new(CancellationToken.None)).Domains().Count();

    /// <summary>The graph given, as vertices and edges.</summary>
    [Benchmark(Baseline = true)]
    public int Theirs()
    {
        var graph = new UndirectedGraph<Group, SEdge<Group>>(true);
        graph.AddVertexRange(_groups);
        foreach (var link in _links)
        {
            graph.AddEdge(new(link.From, link.To));
        }
        var algorithm = new ConnectedComponentsAlgorithm<Group, SEdge<Group>>(graph);
        algorithm.Compute();
        return algorithm.ComponentCount;
    }
}
