namespace Altrin.Core.Sites;

/// <summary>By what a speed test ran.</summary>
public enum RunBy
{
    /// <summary>A cable.</summary>
    Cable,

    /// <summary>Wi-Fi at 2.4 GHz.</summary>
    Ghz2,

    /// <summary>Wi-Fi at 5 GHz.</summary>
    Ghz5,

    /// <summary>Wi-Fi at 6 GHz.</summary>
    Ghz6,
}
