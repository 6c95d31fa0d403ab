namespace Altrin.Core.Radio;

/// <summary>By whose rules a radio gives way to radar, as the list of countries numbers them.</summary>
public enum RadarRegion
{
    /// <summary>None that is known.</summary>
    None,

    /// <summary>As in North America.</summary>
    America,

    /// <summary>As in Europe.</summary>
    Europe,

    /// <summary>As in Japan.</summary>
    Japan,
}
