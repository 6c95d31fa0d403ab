using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>How long boxes and hands take: as a profile notes it, else as is usual (common practice).</summary>
public static class Durations
{
    /// <summary>A cable is plugged in or out, or a plug is pulled.</summary>
    public static Duration Hand { get; } = Duration.Seconds(10, 20, 60);

    /// <summary>A box is carried to another place, with a look at its lights there.</summary>
    public static Duration Carry { get; } = Duration.Seconds(60, 180, 600);

    /// <summary>A page is opened and logged in to.</summary>
    public static Duration Open { get; } = Duration.Seconds(10, 30, 120);

    /// <summary>The laptop joins a Wi-Fi, or leaves one, or gets another address.</summary>
    public static Duration LaptopSetting { get; } = Duration.Seconds(10, 30, 90);

    /// <summary>Something is read off and written down.</summary>
    public static Duration Note { get; } = Duration.Seconds(30, 120, 600);

    /// <summary>A household's device is set or restarted.</summary>
    public static Duration AtDevice { get; } = Duration.Seconds(30, 90, 600);

    /// <summary>An address table is searched for a MAC address, every address of the subnet asked first.</summary>
    public static Duration Search { get; } = Duration.Seconds(30, 60, 300);

    /// <summary>Settings are typed: some seconds each.</summary>
    public static Duration Typing(int settings) => Duration.Seconds(5 * settings, 15 * settings, 60 * settings);

    /// <summary>From power on until a box answers.</summary>
    public static Duration Boot(Profile profile) =>
        Duration.Of(profile.Traits.BootSeconds, Routes(profile) ? Duration.Seconds(120, 150, 240) : Duration.Seconds(30, 60, 180));

    /// <summary>A save that restarts the box.</summary>
    public static Duration SaveAndRestart(Profile profile) => Duration.Of(profile.Traits.SaveSeconds, Duration.Seconds(60, 80, 180));

    /// <summary>A save that does not.</summary>
    public static Duration Save { get; } = Duration.Seconds(3, 10, 30);

    /// <summary>How long the reset is held.</summary>
    public static Duration ResetHold(Profile profile) => Duration.Of(profile.Traits.Reset?.HoldSeconds, Duration.Seconds(5, 10, 30));

    /// <summary>From the reset until the box is back: 30 to 60 s, of a gateway 3 to 10 min.</summary>
    public static Duration AfterReset(Profile profile) =>
        profile.Kind == BoxKind.Gateway
            ? Duration.Seconds(180, 300, 600)
            : Duration.Of(profile.Traits.BootSeconds, Duration.Seconds(30, 45, 60));

    /// <summary>New firmware, power left on.</summary>
    public static Duration Firmware { get; } = Duration.Seconds(120, 300, 900);

    private static bool Routes(Profile profile) => profile.Modes.Contains(ModeKind.Router);
}
