namespace Altrin.Core.Sites;

/// <summary>What a socket in the wall carries.</summary>
public enum SocketKind
{
    /// <summary>Network cable.</summary>
    Data,

    /// <summary>Telephone line.</summary>
    Telephone,

    /// <summary>Television cable.</summary>
    Coax,

    /// <summary>Optical fibre.</summary>
    Fibre,

    /// <summary>Mains.</summary>
    Mains,
}
