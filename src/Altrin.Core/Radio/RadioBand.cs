namespace Altrin.Core.Radio;

/// <summary>Wi-Fi bands.</summary>
public enum RadioBand
{
    /// <summary>2.4 GHz.</summary>
    Ghz2,

    /// <summary>5 GHz.</summary>
    Ghz5,

    /// <summary>6 GHz.</summary>
    Ghz6,
}
