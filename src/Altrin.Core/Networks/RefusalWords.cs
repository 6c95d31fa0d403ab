namespace Altrin.Core.Networks;

/// <summary>What keeps a device or the laptop out of a Wi-Fi, in words.</summary>
internal static class RefusalWords
{
    /// <summary>As a sentence without its full stop.</summary>
    /// <param name="why">The reason.</param>
    /// <param name="device">The name of who asks.</param>
    /// <param name="wifi">The name of the Wi-Fi.</param>
    /// <param name="box">The name of the box.</param>
    public static string Of(RefusalReason why, string device, string wifi, string box) =>
        why switch
        {
            RefusalReason.NameNotSent => $"{device} looks for \"{wifi}\", which {box} does not send",
            RefusalReason.BandMissing => $"{device} finds \"{wifi}\" on no band that it knows at {box}",
            RefusalReason.SecurityDiffers => $"{device} does not know the protection of \"{wifi}\" at {box}",
            RefusalReason.FramesUnprotected => $"{box} asks for protected management frames, which {device} does not know",
            RefusalReason.PasswordDiffers => $"{device} has another password for \"{wifi}\"",
            _ => $"The password of \"{wifi}\" is not recorded for {device} or for {box}",
        };
}
