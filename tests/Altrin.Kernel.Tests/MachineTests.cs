using Altrin.Core.Networks;
using Altrin.Kernel.Tests.Evenings;

namespace Altrin.Kernel.Tests;

public sealed class MachineTests
{
    // A process that does not exist any more left it; one of a process that runs is let alone.
    [Fact]
    public void Namespaces_of_processes_that_are_gone_are_swept()
    {
        Machine.Need();
        var (gone, ours) = ("altrin-999999999-1", $"altrin-{Environment.ProcessId}-999999");
        Namespaces.Batch(null, [$"netns add {gone}", $"netns add {ours}"]);
        try
        {
            Namespaces.Sweep();
            var left = Namespaces.Run("ip", ["netns", "list"]).Output.Split('\n').Select(l => l.Split(' ')[0]).ToList();
            Assert.DoesNotContain(gone, left);
            Assert.Contains(ours, left);
        }
        finally
        {
            Namespaces.Batch(null, [$"netns del {ours}"]);
        }
    }

    // Servers and clients stay in the background for as long as the home does.
    [Fact]
    public void No_process_outlives_a_home_that_was_changed_in_place()
    {
        Machine.Need();
        string folder;
        using (var home = new LiveHome(Home.WithGateway().Wired("tv", "gw/lan1").Wired("pc", "gw/lan2").Design))
        {
            folder = home.Lab.Folder;
            home.Become(Moment.Morning(Home.WithGateway().Wired("tv", "gw/lan1").Wired("pc", "gw/lan2").Design));
            Assert.Equal(3, home.Leases.Held.Count);
            Assert.True(Of(folder).Count >= 6);
        }
        Assert.Empty(Of(folder));

        static IReadOnlyList<string> Of(string folder) =>
            [
                .. Directory
                    .GetDirectories("/proc")
                    .Where(p => int.TryParse(Path.GetFileName(p), out _))
                    .Select(Line)
                    .Where(l => l.Contains(folder, StringComparison.Ordinal)),
            ];

        static string Line(string process)
        {
            try
            {
                return File.ReadAllText($"{process}/cmdline");
            }
            catch (IOException)
            {
                return "";
            }
        }
    }

    // The comparison is known to be able to fail: two homes that differ in one setting are told apart.
    [Theory]
    [InlineData("lease")]
    [InlineData("translators")]
    [InlineData("inbound")]
    public async Task A_design_that_is_not_the_one_built_is_told(string fact)
    {
        Machine.Need();
        static Home Told(string pool, bool cascade, int port) =>
            (
                cascade
                    ? Home.New().Gateway(pool: pool).Cable("street", "gw/wan").Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1")
                    : Home.New()
                        .Gateway(pool: pool)
                        .Cable("street", "gw/wan")
                        .Router("in", "192.168.8.2/24", server: false)
                        .Cable("gw/lan1", "in/lan1")
                        .Wired("a", "in/lan2")
            )
                .Wired("b", "gw/lan2", "192.168.8.9/24")
                .Forward("gw", port, "192.168.8.9");
        using var built = new Built(new(Told("192.168.8.20-192.168.8.40", fact == "translators", 8443).Design, new() { Ports = [8443] }));
        var other = Told(
            fact == "lease" ? "192.168.8.100-192.168.8.120" : "192.168.8.20-192.168.8.40",
            false,
            fact == "inbound" ? 8444 : 8443
        ).Design;
        Assert.Contains((await Comparison.Of(built, other)).Differences, d => d.Contains(fact, StringComparison.Ordinal));
    }
}
