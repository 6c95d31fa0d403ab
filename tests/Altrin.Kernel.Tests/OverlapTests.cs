using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>
/// A router with one subnet on both sides: what the kernel makes of it in each order, with reverse-path check and with answers
/// across its sides on and off. Altrin leaves the order to luck; every end that it names must come to pass, and no other.
/// </summary>
public sealed class OverlapTests : KernelTests
{
    public static TheoryData<string, bool, bool> Cases
    {
        get
        {
            var cases = new TheoryData<string, bool, bool>();
            foreach (var lan in new[] { "192.168.8.1/24", "192.168.8.2/24", "192.168.8.129/25", "192.168.0.9/16" })
            {
                cases.Add(lan, false, false);
                cases.Add(lan, false, true);
                cases.Add(lan, true, false);
                cases.Add(lan, true, true);
            }
            return cases;
        }
    }

    [Theory]
    [MemberData(nameof(Cases))]
    public async Task Both_orders_show_what_Altrin_leaves_to_luck_and_nothing_else(string lan, bool check, bool across)
    {
        Machine.Need();
        var design = Home.WithGateway()
            .Wired("out", "gw/lan2", "192.168.8.7/24")
            .Router("in", lan, wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1", Inside(lan), lan[..lan.IndexOf('/', StringComparison.Ordinal)])
            .Habits(
                "in",
                new()
                {
                    OnOverlap = OverlapHabit.CarriesOn,
                    ChecksReversePath = check ? Known.Yes : Known.No,
                    AnswersAcross = across ? Known.Yes : Known.No,
                    ForwardsOutside = Known.Yes,
                }
            )
            .Habits("gw", new() { AnswersAcross = Known.No })
            .Design;
        var seen = Observer.Observe(Compiler.Compile(design, Situation.Settled));
        var said = new[]
        {
            ("internet", seen.Sheet.Internet.Single(i => i.Device == "a").Packets),
            ("beyond", seen.Reach("a", "out")!.Answer),
            ("internet outside", seen.Sheet.Internet.Single(i => i.Device == "out").Packets),
        };
        var shown = new Dictionary<string, HashSet<bool>>();
        foreach (var outerFirst in new[] { false, true })
        {
            using var built = new Built(new(design, new() { OuterFirst = outerFirst ? ["in"] : [] }));
            Note("internet", (await built.Connect("a", Provider.Host, Services.Port))?.Who == Lab.Internet);
            Note("beyond", (await built.Connect("a", Home.At("192.168.8.7"), Services.Port))?.Who == "out");
            Note("internet outside", (await built.Connect("out", Provider.Host, Services.Port))?.Who == Lab.Internet);
        }
        Assert.All(said, fact =>
        {
            HashSet<bool> possible = fact.Item2.Kind switch
            {
                AnswerKind.Yes => [true],
                AnswerKind.No => [false],
                _ => [.. fact.Item2.Outcomes.Select(o => o.Result == AnswerKind.Yes)],
            };
            Assert.True(
                // Which of two that answer for one address is heard first is beyond the order of setting up.
                fact.Item2.Outcomes.Any(o => o.When.Contains("answers for", StringComparison.Ordinal))
                    ? shown[fact.Item1].IsSubsetOf(possible)
                    : possible.SetEquals(shown[fact.Item1]),
                $"{fact.Item1}: Altrin says {fact.Item2.Kind} {fact.Item2.Why} [{string.Join("; ", fact.Item2.Outcomes.Select(o => $"{o.When}: {o.Result}"))}], both orders show {string.Join(", ", shown[fact.Item1])}"
            );
        });

        void Note(string fact, bool so) => (shown.TryGetValue(fact, out var there) ? there : shown[fact] = []).Add(so);
    }

    [Fact]
    public Task A_router_that_refuses_is_as_Altrin_says() =>
        AsAltrinSays(
            "a router that refuses",
            Home.WithGateway()
                .Router("in", "192.168.8.2/24", "192.168.8.20-192.168.8.99")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2", "192.168.8.5/24")
                .Habits("in", new() { OnOverlap = OverlapHabit.Refuses, AnswersAcross = Known.No })
                .Design
        );

    private static string Inside(string lan) =>
        lan switch
        {
            "192.168.8.129/25" => "192.168.8.140/25",
            "192.168.0.9/16" => "192.168.40.5/16",
            _ => "192.168.8.40/24",
        };
}
