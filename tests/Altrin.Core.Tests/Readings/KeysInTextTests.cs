using Altrin.Core.Readings;

namespace Altrin.Core.Tests.Readings;

public sealed class KeysInTextTests
{
    [Theory]
    [InlineData("    Key Content            : planted-kazoo-7731", "    Key Content            : [key left out]")]
    [InlineData("    Schlüsselinhalt        : planted kazoo, 7731", "    Schlüsselinhalt        : [key left out]")]
    [InlineData("    Contenu de la clé  : planted\r\nnext", "    Contenu de la clé  : [key left out]\r\nnext")]
    [InlineData("    Содержимое ключа  : planted", "    Содержимое ключа  : [key left out]")]
    [InlineData("    关键内容            : planted", "    关键内容            : [key left out]")]
    [InlineData("802-11-wireless-security.psk:planted", "802-11-wireless-security.psk:[key left out]")]
    [InlineData("802-11-wireless-security.psk:   <hidden>", "802-11-wireless-security.psk:   <hidden>")]
    [InlineData("802-11-wireless-security.psk:   --", "802-11-wireless-security.psk:   --")]
    [InlineData("\tpsk=\"planted kazoo\"", "\tpsk=[key left out]")]
    [InlineData("\tpsk=\"planted kazoo", "\tpsk=[key left out]")]
    [InlineData("wpa_passphrase=planted kazoo", "wpa_passphrase=[key left out]")]
    [InlineData("{ \"password\": \"planted\", \"ssid\": \"Home\" }", "{ \"password\": [key left out], \"ssid\": \"Home\" }")]
    [InlineData("PASSWORD: planted", "PASSWORD: [key left out]")]
    [InlineData("WLAN-Schlüssel: planted", "WLAN-Schlüssel: [key left out]")]
    [InlineData("Wi-Fi password: planted", "Wi-Fi password: [key left out]")]
    [InlineData("          Encryption key:on", "          Encryption key:on")]
    [InlineData("          Encryption key:1234-5678-90", "          Encryption key:[key left out]")]
    [InlineData("          Key:s:planted   Security mode:open", "          Key:[key left out]   Security mode:open")]
    [InlineData("WIFI:T:WPA;S:Pass\\;P;P:pla\\;nted;H:true;;", "WIFI:T:WPA;S:Pass\\;P;P:[key left out];H:true;;")]
    [InlineData("    Security key           : Present", "    Security key           : Present")]
    [InlineData("    Password : required", "    Password : required")]
    [InlineData("inet 192.168.8.20/24 brd 192.168.8.255", "inet 192.168.8.20/24 brd 192.168.8.255")]
    [InlineData("keys are 7731 steps away: planted", "keys are 7731 steps away: planted")]
    [InlineData("ESSID:\"Our password: none\"", "ESSID:\"Our password: none\"")]
    public void Keys_are_left_out_and_nothing_else(string text, string expected) => Assert.Equal(expected, KeysInText.LeaveOut(text, []));

    [Fact]
    public void Known_values_are_left_out_wherever_they_stand()
    {
        Assert.Equal(
            "at [key left out] and [key left out]s, not abc",
            KeysInText.LeaveOut("at planted-kazoo and planted-kazoo-7731s, not abc", ["abc", "planted-kazoo", "planted-kazoo-7731"])
        );
    }

    /// <summary>
    /// Lines that a pattern would come back to at each of their places: looked at once, they end; otherwise not before the test is given
    /// up.
    /// </summary>
    [Theory]
    [InlineData("password password: key \"", 40_000, "")]
    [InlineData(" ", 900_000, "psk=planted")]
    [InlineData("WIFI:", 200_000, "")]
    [InlineData("password   ", 90_000, "")]
    [InlineData("psk='", 200_000, "")]
    public void Long_lines_come_to_an_end(string part, int times, string before)
    {
        var text = before + string.Concat(Enumerable.Repeat(part, times)) + ".";
        Assert.DoesNotContain("planted", KeysInText.LeaveOut(text, []), StringComparison.Ordinal);
    }
}
