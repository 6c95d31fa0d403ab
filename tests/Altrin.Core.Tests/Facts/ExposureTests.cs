using Altrin.Core.Addressing;
using Altrin.Core.Packets;

namespace Altrin.Core.Tests.Facts;

/// <summary>How likely an address of a pool is leased to another, held to a plain simulation of each way of choosing.</summary>
public sealed class ExposureTests(ITestOutputHelper output)
{
    private const int Draws = 10_000;
    private const int Seed = 20_261_129;

    [Theory]
    [InlineData("192.168.8.20-192.168.8.199", "192.168.8.24", 4, "0 to 2 %", "4 to 100 %", false)]
    [InlineData("192.168.8.20-192.168.8.199", "192.168.8.150", 4, "0 to 2 %", "0 to 4 %", true)]
    [InlineData("192.168.8.20-192.168.8.199", "192.168.8.20", 1, "under 1 to 100 %", "1 to 100 %", false)]
    [InlineData("192.168.8.20-192.168.8.29", "192.168.8.29", 10, "100 %", "100 %", false)]
    [InlineData("192.168.8.20-192.168.8.29", "192.168.8.29", 0, "0 %", "0 %", true)]
    [InlineData("10.0.0.10-10.0.3.254", "10.0.2.1", 3, "0 to under 1 %", "0 to under 1 %", true)]
    public void An_address_in_a_pool(string pool, string address, int clients, string now, string doubled, bool small)
    {
        var exposure = Exposure.OfAddress(AddressRange.Parse(pool).Value, [], Home.At(address), clients);
        Assert.Equal((now, doubled, small), (exposure.Now.Words, exposure.Doubled.Words, exposure.IsSmall));
    }

    [Theory]
    [InlineData(51, 50, "2 %", true)]
    [InlineData(11, 10, "9 %", false)]
    [InlineData(2, 1, "50 %", false)]
    [InlineData(10, 10, "0 %", true)]
    public void A_client_of_a_pool_that_is_too_small(int clients, int free, string now, bool small)
    {
        var exposure = Exposure.OfClient(clients, free);
        Assert.Equal((now, small), (exposure.Now.Words, exposure.IsSmall));
    }

    [Theory]
    [InlineData(20, 3, 0, 5)]
    [InlineData(20, 3, 7, 5)]
    [InlineData(20, 3, 19, 9)]
    [InlineData(50, 0, 10, 12)]
    [InlineData(50, 10, 31, 30)]
    public void Draws_of_each_way_of_choosing_come_to_the_same(int size, int kept, int place, int clients)
    {
        output.WriteLine($"seed {Seed}");
        var dice = new Random(Seed);
        Ipv4Address At(int i) => new(Home.At("192.168.8.20").Bits + (uint)i);
        var away = Enumerable.Range(0, size).Where(i => i != place).OrderBy(_ => dice.Next()).Take(kept).Select(At).ToHashSet();
        Ipv4Address[] free = [.. Enumerable.Range(0, size).Select(At).Where(a => !away.Contains(a))];
        var told = Exposure.OfAddress(AddressRange.Between(At(0), At(size - 1)), away, At(place), clients);
        foreach (var (asking, chances) in new[] { (clients, told.Now), (2 * clients, told.Doubled) })
        {
            var leased = Math.Min(asking, free.Length);
            Assert.Equal(chances.LowestFree, Share(() => free.Take(leased)), 0.01);
            Assert.Equal(chances.NextAfterLast, Share(() => From(dice.Next(free.Length), leased)), 0.01);
            Assert.Equal(chances.ByHash, Share(() => Hashed(leased)), 0.01);
        }

        double Share(Func<IEnumerable<Ipv4Address>> leases) =>
            Enumerable.Range(0, Draws).Count(_ => leases().Contains(At(place))) / (double)Draws;

        IEnumerable<Ipv4Address> From(int start, int count) => Enumerable.Range(start, count).Select(i => free[i % free.Length]);

        // Each client's MAC address says where it begins; where that is taken, it gets the next that is free.
        HashSet<Ipv4Address> Hashed(int count)
        {
            var leased = new HashSet<Ipv4Address>();
            while (leased.Count < count)
            {
                for (var at = dice.Next(free.Length); !leased.Add(free[at % free.Length]); at++) { }
            }
            return leased;
        }
    }
}
