namespace Altrin.Core.Sites;

/// <summary>Wi-Fi protection.</summary>
public enum WifiSecurity
{
    /// <summary>None.</summary>
    Open,

    /// <summary>The first protection, broken long ago.</summary>
    Wep,

    /// <summary>WPA with TKIP, or mixed with it.</summary>
    WpaTkip,

    /// <summary>WPA2 with AES.</summary>
    Wpa2,

    /// <summary>WPA2 and WPA3 side by side.</summary>
    Wpa2Wpa3,

    /// <summary>WPA3 alone.</summary>
    Wpa3,
}
