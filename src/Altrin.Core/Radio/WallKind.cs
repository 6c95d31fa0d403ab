namespace Altrin.Core.Radio;

/// <summary>What walls are made of, as far as radio cares.</summary>
public enum WallKind
{
    /// <summary>Not looked at.</summary>
    Unknown,

    /// <summary>Plasterboard or timber.</summary>
    Light,

    /// <summary>Brick or block.</summary>
    Brick,

    /// <summary>Thick stone.</summary>
    Stone,

    /// <summary>Concrete.</summary>
    Concrete,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Metal, or insulation faced with it.</summary>
    Metal,
}
