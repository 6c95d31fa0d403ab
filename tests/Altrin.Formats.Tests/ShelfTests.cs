using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats.Tests;

public sealed class ShelfTests
{
    private static readonly Shelf Shelf = ProfileFile.BuiltIn;

    [Fact]
    public void It_holds_enough_kinds_and_reads_and_writes_back_to_the_letter()
    {
        Assert.True(Shelf.Profiles.Count >= 25);
        var written = ProfileFile.Write(Shelf.Profiles);
        Assert.Equal(written, ProfileFile.Write(ProfileFile.Read(written).Value!.Profiles));
        Assert.All(Enum.GetValues<BoxKind>(), kind => Assert.Contains(Shelf.Profiles, p => p.Kind == kind));
        Assert.All(Enum.GetValues<ModeKind>(), mode => Assert.Contains(Shelf.Profiles, p => p.Modes.Contains(mode)));
    }

    /// <summary>
    /// Every kind is there for what it does otherwise than all others: put in the same places, no two give equal facts in all of them.
    /// </summary>
    [Fact]
    public void No_two_kinds_give_equal_facts_in_every_technique()
    {
        var seen = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var profile in Shelf.Profiles)
        {
            var facts = string.Join('\n', Techniques(profile));
            Assert.True(
                seen.TryAdd(facts, profile.ShelfId),
                $"{profile.ShelfId} does nothing otherwise than {seen.GetValueOrDefault(facts)}"
            );
        }
    }

    /// <summary>A word or two of its name finds each kind, so that quick entry never needs a list.</summary>
    [Fact]
    public void Each_kind_is_meant_by_its_own_name() => Assert.All(Shelf.Profiles, p =>
        {
            Assert.Equal(p.ShelfId, Shelf.Meant(p.Name).Value.ShelfId);
            Assert.Equal(p.ShelfId, Shelf.Meant(p.ShelfId).Value.ShelfId);
        });

    /// <summary>The same sign of the same light can mean two things in two phases; inside one phase it means one.</summary>
    [Fact]
    public void Lights_are_told_by_phase()
    {
        Assert.All(Shelf.Profiles, p =>
            Assert.Equal((p.Traits.Lights ?? []).Count, (p.Traits.Lights ?? []).DistinctBy(l => (l.Phase, l.Light, l.Shows)).Count())
        );
        Assert.Contains(Shelf.Profiles, p =>
            (p.Traits.Lights ?? []).GroupBy(l => (l.Light, l.Shows)).Any(g => g.Select(l => l.Means).Distinct().Count() > 1)
        );
    }

    [Theory]
    [InlineData("/profiles/0/kind", "\"teapot\"", "/profiles/0/kind", "gateway, router")]
    [InlineData("/profiles/0/shelfId", "\"desk-router\"", "/profiles/9/shelfId", "used once")]
    [InlineData("/profiles/0/traits/reset/holdSeconds", "99", "/profiles/0/traits/reset/holdSeconds", "at most 60")]
    [InlineData("/profiles/0/traits/colour", "1", "/profiles/0/traits/colour", "allowed: login")]
    [InlineData("/profiles/0/factoryPool", "\"192.168.9.2-192.168.9.9\"", "/profiles/0/factoryPool", "does not lie inside")]
    [InlineData(
        "/profiles/0/traits/pages/1/sets",
        "[\"homeName\"]",
        "/profiles/0/traits/pages/1/sets/0",
        "a setting that it has in that mode: mode, lanAddress"
    )]
    [InlineData(
        "/profiles/0/traits/pages/1/sets",
        "[\"satellite\"]",
        "/profiles/0/traits/pages/1/sets/0",
        "a setting that it has in that mode: mode"
    )]
    [InlineData(
        "/profiles/0/traits/pages/1/sets",
        "[\"dhcpServer\"]",
        "/profiles/0/traits/pages/2/sets/0",
        "no other page has in the same mode"
    )]
    [InlineData(
        "/profiles/0/traits/pages/1/modes",
        "[\"switch\"]",
        "/profiles/0/traits/pages/1/modes/0",
        "one of its modes: router, bridge"
    )]
    [InlineData("/profiles/0/traits/pages/1/sets", "[]", "/profiles/0/traits/pages/1/sets", "at least 1")]
    [InlineData("/profiles/0/traits/pages/1/area", "\"\"", "/profiles/0/traits/pages/1/area", "at least 1")]
    [InlineData("/profiles/0/traits/pageSides", "[\"roof\"]", "/profiles/0/traits/pageSides/0", "cable, wifi, guest, wan")]
    [InlineData("/profiles/0/traits/effects/1/clears", "[\"wifiName\"]", "/profiles/0/traits/effects/1/clears/0", "pageAddress")]
    [InlineData("/profiles/0/traits/reset/keeps", "[\"vlans\"]", "/profiles/0/traits/reset/keeps/0", "a setting that it has")]
    [InlineData("/profiles/0/traits/app", "{\"sets\":[\"need\"]}", "/profiles/0/traits/app/sets/0", "a setting that it has")]
    [InlineData("/formatVersion", "3", "/formatVersion", "newer Altrin")]
    [InlineData("/format", "\"altrin-design\"", "/format", "altrin-profiles")]
    public void Bad_places_of_a_file_are_named(string at, string value, string pointer, string says)
    {
        var root = JsonNode.Parse(ProfileFile.Write(Shelf.Profiles))!;
        var steps = at.Split('/')[1..];
        var parent = steps[..^1]
            .Aggregate(root, (node, step) =>
                node is JsonArray list ? list[int.Parse(step, System.Globalization.CultureInfo.InvariantCulture)]! : node[step]!
            );
        parent[steps[^1]] = JsonNode.Parse(value);
        var error = ProfileFile.Read(root.ToJsonString()).Errors[0];
        Assert.Equal(pointer, error.Pointer);
        Assert.Contains(says, error.Allowed, StringComparison.Ordinal);
    }

    /// <summary>
    /// The facts of one kind in each of its modes: at the line, behind a gateway by each side, with and without habits showing.
    /// </summary>
    private static IEnumerable<string> Techniques(Profile profile)
    {
        foreach (var mode in profile.Modes)
        {
            foreach (var (at, inner) in new[] { ("street", false), ("gw", false), ("gw", true) })
            {
                if (Put(profile, mode, at, inner) is { } design)
                {
                    yield return $"{mode} {at} {inner} {JsonSerializer.Serialize(ProofDocument.Of(Judging.Prove(design)), AltrinJson.Options)}";
                }
            }
        }
    }

    private static Design? Put(Profile profile, ModeKind mode, string at, bool inner)
    {
        var box = new Box(
            "it",
            "It",
            profile with
            {
                ShelfId = "it",
                Name = "It",
                Traits = Traits.NotKnown with { Power = profile.Traits.Power },
            },
            new(0x00005E005399),
            new(0x00005E00539A)
        );
        // A gateway that hands out what many boxes come with, so that it shows what each does about it; a kit's main node of the same kit.
        var home = Home.New()
            .Gateway(lan: "192.168.1.1/24", pool: "192.168.1.100-192.168.1.199")
            .Profile("gw", p => p with { Kit = profile.Kit, Passes = [] });
        var design =
            at == "street" ? Home.New().Design : home.Cable("street", "gw/wan").Wired("near", "gw/lan2").Wifi("phone", "gw").Design;
        design = design with
        {
            Site = design.Site with
            {
                Service = new PublicDynamic(900, 100) { Line = Home.Asked },
                Boxes = [.. design.Site.Boxes, box, new("fed", "Fed", Shelf.Find("ceiling-point")!, new(0x00005E0053B1), null)],
                Devices =
                [
                    .. design.Site.Devices,
                    .. Enumerable
                        .Range(1, 8)
                        .Select(i => new Device($"far{i}", $"Far {i}", DeviceKind.Computer, new((ulong)(0x00005E005380 + i)))),
                    new("air", "Air", DeviceKind.Phone, new(0x00005E0053F2)),
                ],
            },
        };
        var ports = profile.Ports.Where(p => p.Role == PortRole.Lan).ToList();
        var entry = inner ? ports.FirstOrDefault() : profile.Ports.FirstOrDefault(p => p.Role == PortRole.Wan) ?? ports.FirstOrDefault();
        var rest = ports.Where(p => p != entry).ToList();
        var changes = new List<Core.Changes.Change> { new Core.Changes.SetMode("it", mode) };
        if (entry is not null)
        {
            changes.Add(
                new Core.Changes.Patch(
                    at == "street" ? PortRef.AtStreet : new("gw", "lan1"),
                    new("it", entry.Id),
                    new(Medium.Cat6a, 5, null, null)
                )
            );
        }
        // Every socket that is left takes a device: more sockets are what some kinds are for.
        changes.AddRange(
            rest.SkipLast(1)
                .Take(8)
                .SelectMany(
                    (p, i) =>
                        new Core.Changes.Change[]
                        {
                            new Core.Changes.SetDeviceAddress($"far{i + 1}", new Automatic()),
                            new Core.Changes.Patch(new("it", p.Id), PortRef.OfDevice($"far{i + 1}"), new(Medium.Cat6a, 5, null, null)),
                        }
                )
        );
        if (rest.Count > 0)
        {
            // One that lives on power from the cable shows who gives any.
            changes.AddRange([
                new Core.Changes.SetMode("fed", ModeKind.AccessPoint),
                new Core.Changes.Patch(new("it", rest[^1].Id), new("fed", "wan"), new(Medium.Cat6a, 5, null, null)),
            ]);
        }
        foreach (var radio in profile.Radios)
        {
            changes.Add(
                new Core.Changes.SetRadio("it", radio.Id, Home.All(new RadioSetting(radio.Id, true, "home", WifiSecurity.Wpa2, "key")))
            );
        }
        changes.Add(new Core.Changes.SetPointGuest("it", Home.All(new GuestName("guests", WifiSecurity.Wpa2, "guest-key"))));
        changes.Add(new Core.Changes.SetDeviceAddress("air", new Automatic()));
        changes.Add(new Core.Changes.JoinWifi("air", new("it", "home", "key")));
        foreach (var change in changes)
        {
            var done = change.ApplyTo(design);
            design = done.Ok ? design with { SetUp = done.Value } : design;
        }
        return design.Mode("it") is null ? null : design;
    }
}
