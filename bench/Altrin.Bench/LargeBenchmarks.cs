using System.Text.Json;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Formats;
using Altrin.Testing;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// The homes that cost most: proven and written, against the demo home; and how soon it ends when no caller waits any more.
/// </summary>
[MemoryDiagnoser]
public class LargeBenchmarks
{
    private Design _design = Homes.Sound(3, 12);

    [Params(
        "sound home, 12",
        "routers in a row, 20",
        "routers in a row, 40",
        "routers of one subnet in a row, 12",
        "repeaters in a star, 30",
        "repeaters in a star, 60",
        "repeaters in a chain, 30",
        "repeaters in a chain, 60"
    )]
    public string Shape { get; set; } = "";

    [GlobalSetup]
    public void Make()
    {
        var (shape, count) = (Shape.Split(", ")[0], int.Parse(Shape.Split(", ")[1], System.Globalization.CultureInfo.InvariantCulture));
        _design = shape == "sound home" ? Homes.Sound(3, count) : LargeHomes.Of(shape, count);
        Console.WriteLine($"// bytes for {Shape}: {Answer().Length}");
    }

    [Benchmark(Baseline = true)]
    public byte[] Answer() => JsonSerializer.SerializeToUtf8Bytes(ProofDocument.Of(Judging.Prove(_design)), AltrinJson.Options);

    /// <summary>Proves until something was done, is given up, and ends.</summary>
    [Benchmark]
    public bool Abandon()
    {
        using var waits = new CancellationTokenSource();
        var work = new Work(waits.Token);
        var proving = Task.Run(() =>
        {
            while (true)
            {
                Judging.Prove(_design, null, work);
                work.Check();
            }
        });
        SpinWait.SpinUntil(() => work.Done > 50);
        waits.Cancel();
        SpinWait.SpinUntil(() => proving.IsCompleted);
        return proving.IsCanceled;
    }
}
