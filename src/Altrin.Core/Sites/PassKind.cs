namespace Altrin.Core.Sites;

/// <summary>Ways to pass a public address on.</summary>
public enum PassKind
{
    /// <summary>Pass-through to whatever is in one port.</summary>
    Port,

    /// <summary>Pass-through to one MAC address.</summary>
    MacAddress,

    /// <summary>Public-address mapping: the inner box gets the public address too, and the gateway goes on tracking sessions.</summary>
    Mapping,
}
