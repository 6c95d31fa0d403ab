namespace Altrin.Core.Networks;

/// <summary>Why an internet line does not let a box on.</summary>
public enum LineFault
{
    /// <summary>The provider's login is not typed in.</summary>
    Login,

    /// <summary>The VLAN tag is missing, or is another one.</summary>
    Tag,

    /// <summary>The line is locked to another MAC address.</summary>
    Lock,
}
