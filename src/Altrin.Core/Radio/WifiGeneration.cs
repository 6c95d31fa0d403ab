namespace Altrin.Core.Radio;

/// <summary>Generations of Wi-Fi, by the letters of IEEE 802.11.</summary>
public enum WifiGeneration
{
    /// <summary>Not read.</summary>
    Unknown,

    /// <summary>b: 11 Mb/s at most, and all near it announce their frames first.</summary>
    B,

    /// <summary>a or g: 54 Mb/s at most.</summary>
    G,

    /// <summary>n, also called 4.</summary>
    N,

    /// <summary>ac, also called 5.</summary>
    Ac,

    /// <summary>ax, also called 6 and 6E.</summary>
    Ax,

    /// <summary>be, also called 7.</summary>
    Be,
}
