using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Kernel.Tests;

/// <summary>The list of reservations beside a real server (dnsmasq): it takes the list, and hands out exactly these addresses.</summary>
public sealed class ReservationTests
{
    private static Home House() =>
        Home.New()
            .Gateway()
            .Cable("street", "gw/wan")
            .Wired("a", "gw/lan1")
            .Reserve("gw", "a", "192.168.8.7")
            .Wired("b", "gw/lan2")
            .Reserve("gw", "b", "192.168.8.150")
            .Wired("c", "gw/lan3");

    [Fact]
    public void A_real_server_hands_out_what_the_list_says()
    {
        Machine.Need();
        var home = House();
        var list = ReservationsFile.Write(Compiler.Compile(home.Design, Situation.Settled));
        // The list stands alone: the router of the home keeps none.
        var design = home.Edit<RouterMode>("gw", m => m with { Server = m.Server with { On = false, Reservations = [] } }).Design;
        using var lab = new Lab(design);
        var folder = Directory.CreateDirectory(Path.Combine(lab.Folder, "reservations"));
        var file = Path.Combine(folder.FullName, "home.conf");
        File.WriteAllText(file, list);
        var (status, output) = Namespaces.In(lab.Of("gw"), "dnsmasq", ["--test", $"--conf-file={file}"]);
        Assert.True(status == 0, output);
        lab.Spaces.Serve(
            lab.Of("gw"),
            lab.Folder,
            "--port=0",
            "--interface=lan",
            "--except-interface=lo",
            "--dhcp-range=192.168.8.20,192.168.8.199,255.255.255.0,60m",
            "--dhcp-authoritative",
            "--leasefile-ro",
            "--no-ping",
            $"--conf-dir={folder.FullName}"
        );
        Assert.Equal("192.168.8.7", $"{lab.Clients.Ask(new("a", "eth0"))!.Address}");
        Assert.Equal("192.168.8.150", $"{lab.Clients.Ask(new("b", "eth0"))!.Address}");
        var other = lab.Clients.Ask(new("c", "eth0"))!.Address;
        Assert.True(Home.At("192.168.8.20") <= other && other <= Home.At("192.168.8.199") && other != Home.At("192.168.8.150"));
    }

    /// <summary>It takes what every sample of a home has; one address for two hosts it does not take, so the test can fail.</summary>
    [Fact]
    public void A_real_server_takes_the_list_of_every_sample()
    {
        Machine.Need();
        var folder = Directory.CreateTempSubdirectory("altrin-reservations-");
        try
        {
            var file = Path.Combine(folder.FullName, "home.conf");
            foreach (var name in Samples.All)
            {
                foreach (var setUp in Samples.Home(name).SetUps)
                {
                    var list = ReservationsFile.Write(Compiler.Compile(Samples.Home(name).Design(setUp.Name)!, Situation.Settled));
                    var (status, output) = Takes(list);
                    Assert.True(status == 0, $"{name} {setUp.Name}: {output}\n{list}");
                }
            }
            Assert.NotEqual(0, Takes("dhcp-host=00:00:5e:00:53:04,192.168.8.5\ndhcp-host=00:00:5e:00:53:05,192.168.8.5\n").Status);

            (int Status, string Output) Takes(string list)
            {
                File.WriteAllText(file, list);
                return Namespaces.Run("dnsmasq", ["--test", $"--conf-file={file}"]);
            }
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }
}
