namespace Altrin.Core.Sites;

/// <summary>What is known of Wi-Fi protection.</summary>
public static class WifiProtection
{
    /// <summary>Whether it is none, or broken: older than WPA2 (IEEE 802.11, TKIP and WEP deprecated; from memory).</summary>
    public static bool IsWeak(this WifiSecurity security) => security < WifiSecurity.Wpa2;
}
