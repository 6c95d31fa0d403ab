namespace Altrin.Formats;

/// <summary>Kinds of needs.</summary>
public enum NeedKind
{
    /// <summary>A connection from outside must arrive; needs device, protocol and port.</summary>
    ReachFromOutside,

    /// <summary>Every other device must find it; needs device.</summary>
    FoundByOthers,

    /// <summary>Every other device must open connections to it; needs device. Since version 5.</summary>
    LocalServer,

    /// <summary>Games and calls on it must not stutter; needs device. Since version 5.</summary>
    LittleDelay,

    /// <summary>It must have internet all through the work; needs device. Since version 5.</summary>
    StaysOnline,

    /// <summary>Calls over Wi-Fi must hold in a place; needs place. Since version 5.</summary>
    CallsInPlace,

    /// <summary>A name for guests is sent, and guests get at nothing of the home. Since version 5.</summary>
    GuestsKeptApart,

    /// <summary>A Wi-Fi name and its key stay; needs name and security. Since version 5.</summary>
    KeepsNameAndPassword,

    /// <summary>Telephone, television or alarm goes on; needs service. Since version 5.</summary>
    ServiceLives,
}
