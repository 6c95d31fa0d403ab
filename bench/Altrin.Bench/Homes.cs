using Altrin.Core.Sites;
using Altrin.Testing;

namespace Altrin.Bench;

/// <summary>
/// Sound homes of a given size: a gateway, a switch that feeds switches, each of which feeds access points, devices spread over them.
/// </summary>
internal static class Homes
{
    /// <summary>A home with that many boxes besides the gateway and the first switch, and devices.</summary>
    public static Design Sound(int boxes, int devices)
    {
        // A wide subnet, so that a large home stays one network and its pool holds everybody.
        var home = Home.New().Gateway(lan: "172.16.0.1/16", pool: "172.16.1.0-172.16.99.255").Cable("street", "gw/wan");
        home.Switch("core", 1 + ((boxes + 3) / 4)).Cable("gw/lan1", "core/lan1");
        for (var i = 0; i < boxes; i++)
        {
            if (i % 4 == 0)
            {
                home.Switch($"s{i}", 4).Cable($"core/lan{2 + (i / 4)}", $"s{i}/lan1");
            }
            else
            {
                home.Point($"p{i}", $"172.16.{i / 200}.{10 + (i % 200)}/16").Cable($"s{i - (i % 4)}/lan{1 + (i % 4)}", $"p{i}/wan");
            }
        }
        for (var i = 0; i < devices; i++)
        {
            var box = i % boxes;
            home.Wifi($"d{i}", box % 4 == 0 ? "gw" : $"p{box}");
        }
        return home.Reserve("gw", "d1", "172.16.0.250").Forward("gw", 8443, "172.16.0.250").Reach("d1", 8443).Found("d2").Design;
    }
}
