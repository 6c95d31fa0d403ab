namespace Altrin.Core.Sites;

/// <summary>Sorts of places. What a box must bear differs between them.</summary>
public enum PlaceKind
{
    /// <summary>A heated room.</summary>
    Room,

    /// <summary>A hall or stairwell.</summary>
    Hall,

    /// <summary>A cupboard: closed, and warm by what is in it.</summary>
    Cupboard,

    /// <summary>An unheated loft.</summary>
    Loft,

    /// <summary>A cellar or garage.</summary>
    Cellar,

    /// <summary>Outdoors.</summary>
    Outdoors,
}
