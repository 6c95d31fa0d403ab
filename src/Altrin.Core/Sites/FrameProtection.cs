namespace Altrin.Core.Sites;

/// <summary>Protection of management frames (IEEE 802.11w).</summary>
public enum FrameProtection
{
    /// <summary>Not offered.</summary>
    Off,

    /// <summary>Offered, and used by devices that can.</summary>
    Optional,

    /// <summary>Required: a device that cannot is kept out.</summary>
    Required,
}
