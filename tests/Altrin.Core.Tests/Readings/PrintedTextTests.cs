using Altrin.Core.Readings;

namespace Altrin.Core.Tests.Readings;

/// <summary>What terminals, web pages and printers leave in a text changes nothing of what is read of it.</summary>
public sealed class PrintedTextTests
{
    private const string Plainly = "inet addr rows\nIP address: 192.168.8.34\nGateway: 192.168.8.1\nMAC: 02:00:5e:00:53:31\n";

    private static string Read(string text) => Plain.Of(ReadingText.Read(text).Value);

    /// <summary>Put into the middle of an address, of a label and of a MAC address.</summary>
    [Theory]
    [InlineData("\u001b[m")]
    [InlineData("\u001b[1;31m")]
    [InlineData("\u001b[K")]
    [InlineData("\u001b[?25l")]
    [InlineData("\u001b[ @")]
    [InlineData("\u001b[0~")]
    [InlineData("\u001b[1;2;3;4;5;6;7;8;9;10;11;12;m")]
    [InlineData("\u0007")]
    [InlineData("\ufeff")]
    [InlineData("\u200b")]
    [InlineData("\u200c")]
    [InlineData("\u200d")]
    [InlineData("\u200e")]
    [InlineData("\u200f")]
    [InlineData("\u202a")]
    [InlineData("\u202b")]
    [InlineData("\u202e")]
    [InlineData("\u2066")]
    [InlineData("\u2069")]
    public void What_is_not_seen_is_not_read(string mark) =>
        Assert.Equal(
            Read(Plainly),
            Read(
                Plainly
                    .Replace("168.8.34", $"16{mark}8.8.34", StringComparison.Ordinal)
                    .Replace("Gateway", $"{mark}Gate{mark}way", StringComparison.Ordinal)
                    .Replace("5e:", $"{mark}5e{mark}:", StringComparison.Ordinal)
            )
        );

    /// <summary>What is seen is not dropped: it parts an address, or stands in it.</summary>
    [Theory]
    [InlineData("x")]
    [InlineData("\u2010")]
    [InlineData("\u2029")]
    [InlineData("\u202f")]
    [InlineData("\u2065")]
    [InlineData("\u206a")]
    [InlineData("\u001b[1\u00e9")]
    [InlineData("\u001b[1;2;3;4;5;6;7;8;9;10;11;12;13;14;m")]
    [InlineData("[1m")]
    public void What_is_seen_is_read(string mark) =>
        Assert.NotEqual(Read(Plainly), Read(Plainly.Replace("168.8.34", $"16{mark}8.8.34", StringComparison.Ordinal)));

    [Theory]
    [InlineData("\u00a0")]
    [InlineData("\u202f")]
    [InlineData("\u3000")]
    [InlineData("\u2000")]
    [InlineData("\u2007")]
    [InlineData("\u200a")]
    public void Every_blank_is_one(string blank) =>
        Assert.Equal(Read(Plainly), Read(Plainly.Replace(" ", blank, StringComparison.Ordinal)));

    [Theory]
    [InlineData("\r\n")]
    [InlineData("\r")]
    [InlineData("\u2028")]
    [InlineData("\u2029")]
    [InlineData("\u0085")]
    public void Every_line_end_is_one(string end) =>
        Assert.Equal(Read(Plainly), Read(Plainly.Replace("\n", end, StringComparison.Ordinal)));

    [Fact]
    public void A_colon_as_wide_as_its_script_is_one() =>
        Assert.Equal(Read(Plainly), Read(Plainly.Replace(": 1", "\uff1a 1", StringComparison.Ordinal)));

    /// <summary>A text that ends in the middle of an escape sequence is read up to there.</summary>
    [Theory]
    [InlineData("\u001b")]
    [InlineData("\u001b[")]
    [InlineData("\u001b[1;3")]
    public void A_text_may_end_anywhere(string end) =>
        Assert.Equal("192.168.8.1", ReadingText.Read(Plainly + end).Value.Adapters.Single().Gateway.ToString());

    /// <summary>What a row of such a list says of one radio.</summary>
    [Theory]
    [InlineData("*  02:00:5E:00:53:05  Pottery  Infra  36  540 Mbit/s  70  x  WPA2", "True Pottery 36 Wpa2 02:00:5e:00:53:05")]
    [InlineData("   02:00:5E:00:53:05  A  B  Infra  36  54 Mbit/s  0  x  --", "False A  B 36 Open 02:00:5e:00:53:05")]
    [InlineData("   02:00:5E:00:53:05  Infra  36  54 Mbit/s  100  x  --", "False  36 Open 02:00:5e:00:53:05")]
    [InlineData("   Pottery  Infra  36  54 Mbit/s  70  x  WPA2", "False Pottery 36 Wpa2 ")]
    [InlineData("   02:00:5E:00:53:05  A  Infra  36  5 bit/s  70  x  WPA2", "False A 36 Wpa2 02:00:5e:00:53:05")]
    [InlineData("   02:00:5E:00:53:05  A  Infra  36  54 Mbit/s  101  x  WPA2", "none")]
    [InlineData("   02:00:5E:00:53:05  A  Infra  36  54 Mbit/s  -1  x  WPA2", "none")]
    [InlineData("   02:00:5E:00:53:05  A  Infra  36  54 Mbit/s", "none")]
    [InlineData("   02:00:5E:00:53:05  A  Infra  x  54 Mbit/s  70  x  WPA2", "none")]
    [InlineData("*:02\\:00\\:5E\\:00\\:53\\:05:Pottery:Infra:36:540 Mbit/s:70:x:WPA2", "True Pottery 36 Wpa2 02:00:5e:00:53:05")]
    [InlineData(" :02\\:00\\:5E\\:00\\:53\\:05:Pottery:Infra:36:540 Mbit/s:70:x:WPA2", "False Pottery 36 Wpa2 02:00:5e:00:53:05")]
    [InlineData(":02\\:00\\:5E\\:00\\:53\\:05:Next\\: door:Infra:6:270 Mbit/s:30:x:", "False Next: door 6 Open 02:00:5e:00:53:05")]
    public void A_row_of_a_list_of_networks_is_one_radio(string row, string says)
    {
        var head = "IN-USE  BSSID  SSID  MODE  CHAN  RATE  SIGNAL  BARS  SECURITY\n";
        var read = ReadingText.Read(row.Contains("\\:", StringComparison.Ordinal) ? row : head + row).Value.Networks;
        Assert.Equal(says, read is [var one] ? $"{one.Joined} {one.Name} {one.Channel} {one.Security} {one.Radio}" : "none");
    }

    /// <summary>A name without a radio has the protection that stands beside it; without any word of that none is known.</summary>
    [Theory]
    [InlineData(
        "SSID 1 : Pottery\n    Network type            : Infrastructure\n    Authentication          : WPA2-Personal",
        "Pottery Wpa2"
    )]
    [InlineData("SSID 1 : Pottery\n    Network type            : Infrastructure\n    Authentication          : Open", "Pottery Open")]
    [InlineData("SSID 1 : Pottery\n\n", "Pottery ")]
    public void A_name_may_stand_alone(string text, string says)
    {
        var read = ReadingText.Read("Interface name : Wi-Fi\n\n" + text).Value.Networks;
        Assert.Equal(says, read is [var one] ? $"{one.Name} {one.Security}" : "none");
    }

    /// <summary>The lines with times that follow a summary are part of it, with or without a heading of their own.</summary>
    [Theory]
    [InlineData("rtt min/avg/max/mdev = 0.4/0.5/0.6/0.1 ms", 0)]
    [InlineData("round-trip min/avg/max = 0.4/0.5/0.6 ms", 0)]
    [InlineData("rtt of nothing", 0)]
    [InlineData("round-trip of nothing", 0)]
    [InlineData("something else", 1)]
    [InlineData("Times:\n    min = 1ms, max = 2ms, avg = 1ms", 0)]
    [InlineData("Times:\n    min = 1ms, max = 2ms", 2)]
    public void What_follows_a_summary_belongs_to_it(string after, int unread)
    {
        var text =
            "PING 192.168.8.1 (192.168.8.1) 56(84) bytes of data.\n"
            + "64 bytes from 192.168.8.1: icmp_seq=1 ttl=64 time=0.5 ms\n\n"
            + "--- 192.168.8.1 ping statistics ---\n"
            + $"1 packets transmitted, 1 received, 0% packet loss, time 0ms\n{after}\n";
        Assert.Equal(unread, ReadingText.Read(text).Value.Unread.Count);
    }
}
