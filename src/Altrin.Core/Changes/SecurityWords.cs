using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Wi-Fi protection in words.</summary>
public static class SecurityWords
{
    /// <summary>As it stands in a sentence.</summary>
    public static string Of(WifiSecurity security) =>
        security switch
        {
            WifiSecurity.Open => "no protection",
            WifiSecurity.Wep => "WEP",
            WifiSecurity.WpaTkip => "WPA with TKIP",
            WifiSecurity.Wpa2 => "WPA2",
            WifiSecurity.Wpa2Wpa3 => "WPA2 and WPA3",
            WifiSecurity.Wpa3 => "WPA3",
            _ => throw new ArgumentOutOfRangeException(nameof(security)),
        };
}
