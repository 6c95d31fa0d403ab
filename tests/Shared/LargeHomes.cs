using System.Globalization;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Homes that are large in the ways that cost most: one behind the other, or many beside each other by radio.</summary>
public static class LargeHomes
{
    /// <summary>Every shape by its name, with the number that goes with it.</summary>
    public static Design Of(string shape, int count) =>
        shape switch
        {
            "routers in a row" => Routers(count, i => string.Create(CultureInfo.InvariantCulture, $"10.{i / 250}.{i % 250}.1/24")),
            "routers of one subnet in a row" => Routers(count, _ => "192.168.8.1/24"),
            "repeaters in a star" => Repeaters(count, chain: false),
            "repeaters in a chain" => Repeaters(count, chain: true),
            _ => throw new ArgumentOutOfRangeException(nameof(shape), shape, "no such shape"),
        };

    /// <summary>Each router with its WAN port at the one before it, and with a computer and a phone of its own.</summary>
    private static Design Routers(int count, Func<int, string> lan)
    {
        var home = Home.WithGateway();
        for (var i = 0; i < count; i++)
        {
            home.Router(Id('r', i), lan(i)).Cable(i == 0 ? "gw/lan1" : $"{Id('r', i - 1)}/lan1", $"{Id('r', i)}/wan");
            home.Wired(Id('c', i), $"{Id('r', i)}/lan2").Wifi(Id('p', i), Id('r', i));
        }
        return home.Design;
    }

    /// <summary>Repeaters that join the gateway, or each the one before it, with a phone each.</summary>
    private static Design Repeaters(int count, bool chain)
    {
        var home = Home.WithGateway();
        for (var i = 0; i < count; i++)
        {
            home.Repeater(Id('r', i), chain && i > 0 ? Id('r', i - 1) : "gw").Wifi(Id('p', i), Id('r', i));
        }
        return home.Design;
    }

    private static string Id(char kind, int number) => string.Create(CultureInfo.InvariantCulture, $"{kind}{number:000}");
}
