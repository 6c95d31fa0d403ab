using Altrin.Core.Addressing;
using CsCheck;

namespace Altrin.Core.Tests.Addressing;

public sealed class RangeAndPlanTests
{
    private static Ipv4Address At(string text) => Ipv4Address.Parse(text).Value;

    private static AddressPlan Plan(string subnet, string? pool, string[]? reserved = null, string[]? taken = null) =>
        new(
            Subnet.Parse(subnet).Value,
            pool is null ? null : AddressRange.Parse(pool).Value,
            (reserved ?? []).Select(At).ToHashSet(),
            (taken ?? []).Select(At).ToHashSet()
        );

    [Theory]
    [InlineData("192.168.8.20-192.168.8.199", 180)]
    [InlineData("10.0.0.1-10.0.0.1", 1)]
    public void Both_ends_belong_to_a_range(string text, long count)
    {
        var range = AddressRange.Parse(text).Value;
        Assert.Equal(count, range.Count);
        Assert.True(range.Contains(range.First) && range.Contains(range.Last));
        Assert.False(range.Contains(range.Last.Plus(1)!.Value));
    }

    [Theory]
    [InlineData("192.168.8.199-192.168.8.20")]
    [InlineData("192.168.8.20")]
    [InlineData("192.168.8.20-")]
    [InlineData("192.168.8.20 - 192.168.8.30")]
    [InlineData("")]
    [InlineData(null)]
    public void Refuses_what_is_no_range(string? text) => Assert.False(AddressRange.Parse(text).Ok);

    [Fact]
    public void Says_what_was_typed_instead_of_a_range() => Assert.StartsWith("'192.168.8.20'", AddressRange.Parse("192.168.8.20").Error);

    [Fact]
    public void Carving_leaves_everything_else_and_nothing_twice() =>
        Property.Check(Draw.SmallRange.Select(Draw.Address.Array[0, 6], Gen.Int[0, 300].Array[0, 6]), (range, far, near) =>
        {
            var carved = far.Concat(near.Select(n => new Ipv4Address((uint)Math.Min(range.First.Bits + n, uint.MaxValue)))).ToList();
            var left = range.Without(carved);
            Assert.Equal(range.Count - carved.Where(range.Contains).Distinct().Count(), left.Sum(r => r.Count));
            Assert.All(carved, c => Assert.DoesNotContain(left, r => r.Contains(c)));
            Assert.All(left.Zip(left.Skip(1)), p => Assert.True(p.First.Last < p.Second.First));
            Assert.Equal(left.Select(r => r.Count).DefaultIfEmpty().Max(), range.LongestWithout(carved)?.Count ?? 0);
        });

    [Fact]
    public void Ranges_are_sets_of_addresses() =>
        Property.Check(Gen.Int[0, 9].Select(Gen.Int[0, 9], Gen.Int[0, 9], Gen.Int[0, 9], Near), (a, b) =>
        {
            HashSet<Ipv4Address> Set(AddressRange r) => [.. Enumerable.Range(0, (int)r.Count).Select(i => r.First.Plus(i)!.Value)];
            var (ours, theirs) = (Set(a), Set(b));
            Assert.Equal(ours.Overlaps(theirs), a.Overlaps(b));
            Assert.Equal(ours.IsSupersetOf(theirs), a.Contains(b));
            Assert.Equal(ours.Intersect(theirs).Order(), a.Intersect(b) is { } shared ? Set(shared).Order() : []);
            Assert.Equal(ours.Except(theirs).Order(), a.Outside(b).SelectMany(Set));
            Assert.All(a.Outside(b), left => Assert.True(left.Count >= 1));
            Assert.Equal((a.First, a.Last).CompareTo((b.First, b.Last)), a.CompareTo(b));
            Assert.Equal(a, AddressRange.Parse(a.ToString()).Value);
            Assert.Equal(ours.Except(theirs).Order().Select(x => (Ipv4Address?)x).FirstOrDefault(), a.FirstFree(theirs));
            Assert.Equal(ours.Except(theirs).Order().Select(x => (Ipv4Address?)x).LastOrDefault(), a.LastFree(theirs));
        });

    // Around the top of a block, where the last number goes back to zero.
    private static (AddressRange, AddressRange) Near(int a, int b, int c, int d)
    {
        Ipv4Address From(int n) => At("192.168.8.250").Plus(n)!.Value;
        return (AddressRange.Between(From(a), From(b)), AddressRange.Between(From(c), From(d)));
    }

    [Fact]
    public void Of_two_stretches_of_one_length_the_lower_is_the_longest() =>
        Assert.Equal("10.0.0.1-10.0.0.3", AddressRange.Parse("10.0.0.1-10.0.0.7").Value.LongestWithout([At("10.0.0.4")]).ToString());

    // A pool that starts at .10 keeps .1 to .9, not .1 to .10 (common practice: pools are inclusive).
    [Theory]
    [InlineData("192.168.8.9", AddressStanding.Free)]
    [InlineData("192.168.8.10", AddressStanding.InPool)]
    [InlineData("192.168.8.254", AddressStanding.Free)]
    [InlineData("192.168.8.255", AddressStanding.Outside)]
    [InlineData("192.168.8.0", AddressStanding.Outside)]
    [InlineData("192.168.9.9", AddressStanding.Outside)]
    [InlineData("192.168.8.5", AddressStanding.Reserved)]
    [InlineData("192.168.8.120", AddressStanding.Reserved)]
    [InlineData("192.168.8.1", AddressStanding.Taken)]
    public void Classifies_a_proposed_address(string address, AddressStanding standing) =>
        Assert.Equal(
            standing,
            Plan("192.168.8.0/24", "192.168.8.10-192.168.8.199", ["192.168.8.5", "192.168.8.120"], ["192.168.8.1"]).Classify(At(address))
        );

    [Theory]
    [InlineData("192.168.8.0/24", "192.168.8.20-192.168.8.199", "192.168.8.1", "192.168.8.2")]
    [InlineData("192.168.8.0/24", "192.168.8.2-192.168.8.250", "192.168.8.1", "192.168.8.251")]
    [InlineData("192.168.8.0/24", "192.168.8.1-192.168.8.254", "192.168.8.1", null)]
    [InlineData("192.168.8.0/29", "192.168.8.2-192.168.8.6", "192.168.8.1", null)]
    [InlineData("192.168.8.0/30", null, "192.168.8.1", "192.168.8.2")]
    public void Finds_the_first_free_address(string subnet, string? pool, string taken, string? expected) =>
        Assert.Equal(expected, Plan(subnet, pool, null, [taken]).FirstFree()?.ToString());

    [Theory]
    [InlineData("192.168.8.2", "192.168.8.3")]
    [InlineData("192.168.8.9", "192.168.8.2")]
    [InlineData("192.168.8.2 192.168.8.3 192.168.8.5", "192.168.8.4")]
    public void A_reserved_address_is_not_free(string reserved, string expected) =>
        Assert.Equal(
            expected,
            Plan("192.168.8.0/24", "192.168.8.20-192.168.8.199", reserved.Split(' '), ["192.168.8.1"]).FirstFree().ToString()
        );

    [Fact]
    public void What_it_finds_is_free() =>
        Property.Check(
            Draw.Subnet.Where(s => s.PrefixLength is >= 16 and <= 30).Select(Gen.Int[0, 300].Array[2], Gen.Int[0, 6].Array[0, 8]),
            (subnet, pool, reserved) =>
            {
                var hosts = subnet.Hosts;
                Ipv4Address Inside(int n) => new((uint)Math.Min(hosts.First.Bits + n, hosts.Last.Bits));
                var plan = new AddressPlan(
                    subnet,
                    AddressRange.Between(Inside(pool[0]), Inside(pool[1])),
                    reserved.Select(Inside).ToHashSet(),
                    new HashSet<Ipv4Address> { hosts.First }
                );
                var brute = Enumerable
                    .Range(0, (int)Math.Min(hosts.Count, 700))
                    .Select(Inside)
                    .Where(a => plan.Classify(a) == AddressStanding.Free)
                    .Select(a => (Ipv4Address?)a)
                    .FirstOrDefault();
                if (hosts.Count <= 700 || brute is not null)
                {
                    Assert.Equal(brute, plan.FirstFree());
                }
            }
        );
}
