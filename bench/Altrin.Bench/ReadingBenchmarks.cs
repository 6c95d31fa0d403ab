using System.Text;
using Altrin.Core.Comparisons;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Testing;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>How reading grows with the length of a text, for texts of several makings.</summary>
[MemoryDiagnoser]
public class ReadingBenchmarks
{
    private readonly Design _home = DesignGenerator.Make(7, 12);
    private string _text = "";

    /// <summary>The length of the text, in thousands of characters.</summary>
    [Params(64, 250, 1000)]
    public int Thousands { get; set; }

    /// <summary>
    /// "printed": tables and blocks as machines print them; "prose": lines that nothing is read of; "line": one line without an end;
    /// "heads": heads of pings, each with nothing behind it; "routes": ways out, each through another adapter.
    /// </summary>
    [Params("printed", "prose", "line", "heads", "routes")]
    public string Making { get; set; } = "";

    [GlobalSetup]
    public void Make()
    {
        var text = new StringBuilder();
        for (var i = 0; text.Length < Thousands * 1000; i++)
        {
            text.Append(
                Making switch
                {
                    "printed" =>
                        $"{i % 9 + 2}: eth{i}: <BROADCAST,UP,LOWER_UP> mtu 1500\n    link/ether 02:00:5e:00:53:{i % 256:x2}\n    inet 192.168.{i % 250}.7/24 scope global eth{i}\n\n? (192.168.8.{i % 250}) at 02:00:5e:00:53:{i % 256:x2} [ether] on eth0\nPhone {i}\t192.168.8.{i % 250}\t02-00-5E-00-54-{i % 256:X2}\t5 GHz\n",
                    "prose" => $"The kettle number {i} is on, and 12 more of 192.168.8.{i % 250} wait for it\n",
                    "routes" => $"0.0.0.0 0.0.0.0 10.{i / 250 % 250}.{i % 250}.1 10.{i / 250 % 250}.{i % 250}.7 {i % 90}\n",
                    "line" => "192.168.8.7 02:00:5e:00:53:01 12 ms: ",
                    _ => $"PING 192.168.8.{i % 250} (192.168.8.{i % 250}): 56 data bytes\n",
                }
            );
        }
        _text = text.ToString(0, Thousands * 1000);
    }

    [Benchmark]
    public int Read() => ReadingText.Read(_text).Value.Blocks.Count;

    /// <summary>Read, and held against a home of twelve devices.</summary>
    [Benchmark]
    public int Compare() =>
        ReadingComparison
            .Of(
                new(_home.Site, [_home.SetUp]),
                _home,
                Seats.Of(_home).First(s => s.Kind == SeatKind.Port).Id,
                ReadingText.Read(_text).Value
            )
            .Statements.Count;
}
