using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Radio;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using CsCheck;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>The box that moved, and lists before and after.</summary>
public sealed class MovedBoxTests
{
    private static MacAddress Hw(string text) => MacAddress.Parse(text).Value;

    private static NeighbourRead Near(string mac, string? address = null, string? name = null) =>
        new(1, address is null ? null : Home.At(address), Hw(mac)) { Name = name };

    /// <summary>A router whose label ends in 53:0a, with a radio that its kind has two above with the local bit.</summary>
    private static Site Loft(string? label = "02:00:5e:00:53:0a") =>
        Home.WithGateway()
            .Router("loft")
            .Box("loft", b => b with { Mac = label is null ? null : Hw(label), WanMac = null })
            .Traits("loft", new() { Neighbours = [new("wan", 1), new("r5", 16)] })
            .Wired("a", "gw/lan1")
            .Device("a", d => d with { Mac = Hw("02:00:5e:00:53:40") })
            .Design.Site;

    [Theory]
    [InlineData("02:00:5e:00:53:0a", KinKind.Same)]
    [InlineData("02:00:5e:00:53:0b", KinKind.Side)]
    [InlineData("02:00:5e:00:53:1a", KinKind.Side)]
    [InlineData("02:00:5e:00:53:08", KinKind.Next)]
    [InlineData("02:00:5e:00:53:0c", KinKind.Next)]
    [InlineData("00:00:5e:00:53:0a", KinKind.Local)]
    [InlineData("00:00:5e:00:53:0c", KinKind.Local)]
    [InlineData("02:00:5e:00:53:0d", null)]
    [InlineData("02:00:5e:00:63:0a", null)]
    public void A_mac_address_belongs_to_a_label(string seen, KinKind? kind) =>
        Assert.Equal(kind, MacKin.Of(Loft().Boxes.Single(b => b.Id == "loft"), Hw(seen))?.Kind);

    [Theory]
    [InlineData("530a", "02:00:5e:00:53:0a", KinKind.LastDigits, 0)]
    [InlineData("0a", "12:34:56:78:9a:0b", KinKind.LastDigits, 1)]
    [InlineData("53:0A", "02:00:5e:00:53:08", KinKind.LastDigits, 2)]
    [InlineData("530a", "02:00:5e:00:53:0d", null, 0)]
    [InlineData("00005e00530a", "02:00:5e:00:53:0b", KinKind.Local, 1)]
    [InlineData("02005e00530a", "02:00:5e:00:53:0a", KinKind.Same, 0)]
    public void A_mac_address_belongs_to_digits(string digits, string seen, KinKind? kind, int off)
    {
        var kin = MacKin.OfDigits(digits.Replace(":", "", StringComparison.Ordinal), Hw(seen));
        Assert.Equal((kind, off), (kin?.Kind, kin?.Off ?? 0));
    }

    /// <summary>The rank orders as the sureness does, and one that is nearer is never behind one that is further.</summary>
    [Fact]
    public void Candidates_are_ranked_by_how_near_they_are() => Property.Check(Gen.Int[-3, 3].Array[1, 8], offs =>
        {
            var site = Loft();
            var table = offs.Select(
                    (o, i) =>
                        new NeighbourRead(i + 1, Home.At($"192.168.8.{i + 20}"), new(Hw("02:00:5e:00:53:0a").Bits + (ulong)(o + 3) - 3))
                )
                .ToList();
            var found = MovedBox.Find(site, site.Boxes.Single(b => b.Id == "loft"), null, table, null).Value;
            Assert.Equal(offs.Count(o => Math.Abs(o) <= 2), found.Candidates.Count);
            Assert.Equal(offs.Contains(0) || offs.Contains(1), found.Candidates.Count > 0 && found.Candidates[0].Sure);
        });

    [Fact]
    public void A_box_is_found_and_what_is_of_someone_else_is_left_out()
    {
        var site = Loft();
        var box = site.Boxes.Single(b => b.Id == "loft");
        NeighbourRead[] table =
        [
            Near("02:00:5e:00:53:40", "192.168.8.20"),
            Near("02:00:5e:00:53:0b", "192.168.8.57"),
            Near("02:00:5e:00:53:09", "192.168.8.58"),
        ];
        var found = MovedBox.Find(site, box, null, table, Subnet.Parse("192.168.8.0/24").Value).Value;
        Assert.Equal(["192.168.8.57", "192.168.8.58"], found.Candidates.Select(c => $"{c.Address}"));
        Assert.StartsWith("It answers at 192.168.8.57.", found.Says, StringComparison.Ordinal);
        Assert.All(found.Sweep, s => Assert.Contains("192.168.8.", s, StringComparison.Ordinal));
        var none = MovedBox.Find(site, box, null, [Near("02:00:5e:00:53:99", "192.168.8.9")], Subnet.Parse("192.168.8.0/24").Value).Value;
        Assert.Empty(none.Candidates);
        Assert.Contains("speak to every address first", none.Says, StringComparison.Ordinal);
        // The digits of a device that the survey knows do not make it the box.
        Assert.Empty(MovedBox.Find(site, null, "5340", table, null).Value.Candidates);
    }

    [Theory]
    [InlineData(null, null, "Say which box")]
    [InlineData("loft", null, "No MAC address of loft was noted")]
    [InlineData(null, "5", "the last two to twelve")]
    [InlineData(null, "53xy", "no digits of a MAC address")]
    [InlineData(null, "02005e0053010a", "the last two to twelve")]
    public void A_search_without_anything_to_go_by_is_refused(string? box, string? digits, string why)
    {
        var site = Loft(null);
        Assert.Contains(
            why,
            MovedBox.Find(site, site.Boxes.FirstOrDefault(b => b.Id == box), digits, [], null).Error,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Lists_are_compared_by_mac_address_and_pages_are_joined()
    {
        NeighbourRead[] before = [Near("02:00:5e:00:53:40", "192.168.8.20", "Laptop"), Near("02:00:5e:00:53:50", "192.168.8.21")];
        NeighbourRead[] after =
        [
            Near("02:00:5e:00:53:40", "192.168.8.33", "Renamed"),
            // The second page repeats an entry and adds three.
            Near("02:00:5e:00:53:40", "192.168.8.33"),
            Near("06:00:5e:00:53:60", "192.168.8.40") with
            {
                Link = new(false, RadioBand.Ghz5),
            },
            Near("02:00:5e:00:53:0b", "192.168.8.57"),
            Near("02:00:5e:00:53:70", "192.168.8.58"),
        ];
        var found = DeviceLists.Compare(Loft(), before, after, "loft");
        Assert.Equal(["02:00:5e:00:53:0b", "02:00:5e:00:53:70", "06:00:5e:00:53:60"], found.New.Select(e => $"{e.Mac}"));
        Assert.Contains("Perhaps loft", found.New[0].Says, StringComparison.Ordinal);
        Assert.Contains("private MAC address", found.New[2].Says, StringComparison.Ordinal);
        Assert.Equal([null, null, "on 5 GHz"], found.New.Select(e => e.Way));
        Assert.Equal("02:00:5e:00:53:50", $"{Assert.Single(found.Gone).Mac}");
        Assert.Equal(
            ("192.168.8.20", "192.168.8.33"),
            (Assert.Single(found.Moved).Before.ToString(), found.Moved[0].Entry.Address.ToString())
        );
        Assert.Equal(["loft is new, at 192.168.8.57: 02:00:5e:00:53:0b is its MAC address. 2 more are new."], found.Says);
        Assert.StartsWith(
            "3 are new; by its MAC address only 02:00:5e:00:53:0b",
            DeviceLists.Compare(Loft(), before, after, null).Says.Single(),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("02:00:5e:00:53:0a", "02:00:5e:00:53:99", "that one was taken after it was plugged in, not before")]
    [InlineData("02:00:5e:00:53:99", "02:00:5e:00:53:99", "Nothing is new")]
    [InlineData("02:00:5e:00:53:99", "02:00:5e:00:53:98", "Another device may have joined meanwhile")]
    [InlineData("02:00:5e:00:53:99", "02:00:5e:00:53:98", "None of them is loft by its label")]
    [InlineData("02:00:5e:00:53:99", "02:00:5e:00:53:0a", "loft is new: 02:00:5e:00:53:0a is its MAC address.")]
    public void What_the_difference_means_is_said(string before, string after, string said) =>
        Assert.Contains(DeviceLists.Compare(Loft(), [Near(before)], [Near(after)], "loft").Says, s =>
            s.Contains(said, StringComparison.Ordinal)
        );

    [Fact]
    public void An_empty_list_is_said_to_be_one() =>
        Assert.Equal(
            ["No MAC address was read in the earlier list: nothing can be compared."],
            DeviceLists.Compare(Loft(), [], [Near("02:00:5e:00:53:99")], null).Says
        );
}
