namespace Altrin.Formats;

/// <summary>The tables of a survey.</summary>
public enum SurveyTable
{
    /// <summary>Boxes.</summary>
    Gear,

    /// <summary>Rooms and other places.</summary>
    Places,

    /// <summary>The customer's devices.</summary>
    Devices,

    /// <summary>Cables of what was found.</summary>
    Cables,
}
