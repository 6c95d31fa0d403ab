using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using CsCheck;

namespace Altrin.Core.Tests.Readings;

/// <summary>Lists before and after, the box that moved, the outside view, and what speed runs are worth.</summary>
public sealed class ReadingToolTests
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

    /// <summary>
    /// The table of the outside view: what is seen, what the box has, whether something beyond translates, and what must be said.
    /// </summary>
    [Theory]
    [InlineData("203.0.113.80", "203.0.113.80", Known.No, "Only a connection opened from outside proves")]
    [InlineData("203.0.113.80", "203.0.113.80", Known.No, "share one public address by ports")]
    [InlineData("203.0.113.80", "203.0.113.81", Known.Yes, "asked another way")]
    [InlineData("203.0.113.80", "10.4.0.7", Known.Yes, "the building, or the provider")]
    [InlineData("203.0.113.80", "192.168.1.10", Known.Yes, "Whose NAT it is, is not known")]
    [InlineData("203.0.113.80", "100.64.3.3", Known.Yes, "opened from inside")]
    [InlineData("203.0.113.80", "192.0.0.2", Known.Yes, "opened from inside")]
    [InlineData("203.0.113.80", "169.254.3.3", Known.Unknown, "the box has none at its WAN side")]
    [InlineData("203.0.113.80", null, Known.Unknown, "Read the WAN address")]
    [InlineData("192.168.1.1", "203.0.113.80", Known.Unknown, "no address of the internet")]
    [InlineData(null, "203.0.113.80", Known.Unknown, "IPv6")]
    [InlineData(null, "10.4.0.7", Known.Yes, "Whose NAT it is, is not known")]
    public void The_outside_view_says(string? seen, string? wan, Known beyond, string unproven)
    {
        var view = OutsideView.Of(seen is null ? null : Home.At(seen), wan is null ? null : Home.At(wan), 2);
        Assert.Equal(beyond, view.Beyond);
        Assert.Contains(view.Unproven, u => u.Contains(unproven, StringComparison.Ordinal));
        Assert.Equal(beyond != Known.Unknown, view.Translations.StartsWith("Double NAT in the home", StringComparison.Ordinal));
    }

    private static BaselineGroup Group(int? sold, SpeedLimit? carries, params SpeedRun[] runs) =>
        Assert.Single(Baseline.Of(runs, new PublicDynamic(sold, null), _ => carries is null ? null : new(carries), p => p));

    private static SpeedRun Run(double down, double? seconds = 30, double? megabytes = null, RunBy by = RunBy.Cable) =>
        new(1, "", "hall", by, "", seconds, megabytes, down, null);

    [Fact]
    public void Three_runs_have_a_middle_and_a_spread()
    {
        var group = Group(1000, null, Run(468), Run(471), Run(300));
        Assert.Equal((468, 300, 471, 3), (group.Down!.Median, group.Down.Least, group.Down.Most, group.Usable));
        Assert.Contains(group.Says, s => s.StartsWith("They lie far apart", StringComparison.Ordinal));
        Assert.Contains(group.Says, s => s.StartsWith("Less than the 1000 Mb/s sold", StringComparison.Ordinal));
    }

    /// <summary>A 20 MB file at 800 Mb/s lasts 0.2 s and measures nothing.</summary>
    [Fact]
    public void Runs_that_are_too_short_for_their_rate_do_not_count()
    {
        var group = Group(500, null, Run(800, null, 20), Run(480), Run(470, 4));
        Assert.Equal((3, 1, 480), (group.Runs, group.Usable, group.Down!.Median));
        Assert.Contains(group.Says, s =>
            s.StartsWith("20 MB at 800 Mb/s last 0.2 s and measure nothing", StringComparison.Ordinal)
            && s.Contains("3000 MB in 30 s", StringComparison.Ordinal)
        );
        Assert.Contains("A run of 4 s is too short: 30 s are usual.", group.Says);
        Assert.Contains("1 of at least 3 runs: one more could move the middle.", group.Says);
    }

    [Theory]
    [InlineData(500, 1000, 480, "The service stops it: 500 Mb/s were sold.")]
    [InlineData(500, 100, 93, "It is as much as the port carries, 100 Mb/s, of which 94 arrive. 500 Mb/s were sold.")]
    [InlineData(
        500,
        1000,
        210,
        "Less than the 500 Mb/s sold, and than the 500 Mb/s that arrive over everything in between: measure at the outermost box next, by cable."
    )]
    [InlineData(500, 25, 35, "More than the port carries, of whose 25 Mb/s 24 arrive: what is noted of it is not so")]
    [InlineData(500, 100, 102, "It is as much as the port carries")]
    [InlineData(500, 100, 104, "More than the port carries")]
    [InlineData(1000, 1000, 935, "The service stops it: 1000 Mb/s were sold.")]
    [InlineData(null, 1000, 935, "The rate sold was not noted: hold it against that.")]
    public void Runs_are_held_to_what_was_sold_and_what_the_wires_carry(int? sold, int carries, double down, string says) =>
        Assert.Contains(Group(sold, SpeedLimit.OfWire(carries, "the port"), Run(down), Run(down), Run(down)).Says, s =>
            s.StartsWith(says, StringComparison.Ordinal)
        );

    [Fact]
    public void Each_place_and_medium_is_held_to_the_best_of_all()
    {
        SpeedRun At(string place, double down, RunBy by = RunBy.Cable) => new(1, "", place, by, "", 30, null, down, null);
        SpeedRun[] runs =
        [
            At("hall", 480),
            At("hall", 500),
            At("hall", 490),
            At("loft", 120, RunBy.Ghz5),
            At("loft", 98),
            new(1, "", "shed", RunBy.Ghz2, "", 2, null, 90, null),
        ];
        var groups = Baseline.Of(runs, new PublicDynamic(500, null), _ => null, p => p);
        Assert.Equal(
            ["", "24 % of what arrives in hall by cable, the best of all.", "20 % of what arrives in hall by cable, the best of all.", ""],
            groups.Select(g => g.Says.FirstOrDefault(s => s.Contains("best of all", StringComparison.Ordinal)) ?? "")
        );
        // One run alone is its own best.
        Assert.DoesNotContain(Group(500, null, Run(480)).Says, s => s.Contains("best of all", StringComparison.Ordinal));
    }

    /// <summary>
    /// What was sold says nothing of a run within the home, and each is held to the best with the same other end; where it went over all
    /// that a slower run over the internet did, it is not the home that stops that one.
    /// </summary>
    [Theory]
    [InlineData(1000, 480, 900, "ab", "a", true)]
    [InlineData(1000, 480, 500, "ab", "a", false)]
    [InlineData(1000, 480, 900, "b", "a", false)]
    public void Runs_within_the_home_are_told_from_the_others(
        int carries,
        double outer,
        double inner,
        string over,
        string out1,
        bool cleared
    )
    {
        SpeedRun At(string place, double down, string to = "") => new(1, "", place, RunBy.Cable, "", 30, null, down, null, to);
        var groups = Baseline.Of(
            [
                .. Enumerable.Repeat(At("hall", outer), 3),
                .. Enumerable.Repeat(At("hall", inner, "nas"), 3),
                .. Enumerable.Repeat(At("loft", 90, "nas"), 3),
            ],
            new PublicDynamic(600, null),
            r =>
                r.Place == "loft"
                    ? null
                    : new(SpeedLimit.OfWire(carries, "the port")) { Links = [.. (r.To.Length == 0 ? out1 : over).Select(c => $"{c}")] },
            p => p
        );
        Assert.Equal([null, "nas", "nas"], groups.Select(g => g.To));
        var clears =
            $"It is not the home that stops it: {inner} Mb/s went over the same ways to nas. Measure at the outermost box, by cable.";
        Assert.Equal(
            cleared ? new[] { clears } : [],
            groups.SelectMany(g => g.Says).Where(s => s.StartsWith("It is not the home", StringComparison.Ordinal))
        );
        Assert.DoesNotContain(groups.Skip(1).SelectMany(g => g.Says), s => s.Contains("were sold", StringComparison.Ordinal));
        Assert.DoesNotContain(groups[0].Says, s => s.Contains("best of all", StringComparison.Ordinal));
        Assert.Contains($"{90 / inner * 100:0} % of what arrives in hall by cable, the best of all to nas.", groups[2].Says);
        Assert.Contains(groups[2].Says, s =>
            s.StartsWith("It is a run within the home, apart from what was sold. Where", StringComparison.Ordinal)
        );
    }

    /// <summary>A long table costs so many looks at the network and no more, and is told whole.</summary>
    [Fact]
    public void A_long_table_of_runs_is_looked_at_in_part()
    {
        var looks = 0;
        var runs = Enumerable
            .Range(0, 20_000)
            .Select(i => new SpeedRun(i, "", "", RunBy.Cable, "", 30, null, 90 + (i % 7), null, $"end {i}"));
        var groups = Baseline.Of(
            [.. runs],
            new PublicDynamic(500, null),
            _ =>
            {
                looks++;
                return new(null);
            },
            p => p
        );
        Assert.Equal((Baseline.MostPaths, 20_000), (looks, groups.Count));
    }

    /// <summary>Against the definition: half of the values are not above the median, half not below.</summary>
    [Fact]
    public void The_middle_is_the_median() => Property.Check(Gen.Double[1, 1000].Array[1, 9], values =>
        {
            var spread = MedianSpread.Of(values);
            Assert.True(
                values.Count(v => v <= spread.Median) * 2 >= values.Length && values.Count(v => v >= spread.Median) * 2 >= values.Length
            );
            Assert.Equal((values.Min(), values.Max()), (spread.Least, spread.Most));
        });

    [Fact]
    public void Typed_readings_read_back()
    {
        SpeedRun[] runs =
        [
            new(2, "2026-11-24 09:02", "hall", RunBy.Ghz5, "copy of a file", null, 20.5, 800, null),
            new(3, "", "", RunBy.Cable, "", 30, null, 93.75, 41),
        ];
        Assert.Equal(runs, ReadingText.Read(TypedReader.WriteRuns(runs)).Value.Runs);
        SpeedRun[] within = [runs[0] with { To = "recorder" }, runs[1]];
        Assert.Equal(within, ReadingText.Read(TypedReader.WriteRuns(within)).Value.Runs);
        Assert.Equal("", Assert.Single(ReadingText.Read($"{TypedReader.Heads}, To\n,,cable,,30,,93,, Internet\n").Value.Runs).To);
        Assert.Equal(
            [new OutsideRead(1, Home.At("203.0.113.80"), null)],
            ReadingText.Read(TypedReader.WriteOutside("203.0.113.80", null)).Value.Outside
        );
        Assert.Equal(
            [new OutsideRead(1, null, Home.At("10.0.0.4"))],
            ReadingText.Read(TypedReader.WriteOutside("2001:db8::7", Home.At("10.0.0.4"))).Value.Outside
        );
    }

    [Theory]
    [InlineData(",,smoke,,,,93,", "cable, 2.4 GHz, 5 GHz or 6 GHz")]
    [InlineData(",,cable,,,,,", "A rate in Mb/s")]
    [InlineData(",,cable,,,,-5,", "A rate in Mb/s")]
    [InlineData(",,cable,,half a minute,,93,", "Seconds, megabytes")]
    public void A_run_that_cannot_be_read_says_why(string row, string why)
    {
        var read = ReadingText.Read($"{TypedReader.Heads}\n{row}\n").Value;
        Assert.Empty(read.Runs);
        Assert.Contains(why, Assert.Single(read.Unread).Why, StringComparison.Ordinal);
    }
}
