using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Altrin.Core.Sites;

/// <summary>
/// What an installer wants to know of one kind of box and the network does not: how to get in, how long it takes, what its lights
/// mean, what power it wants. What is left out was not found out.
/// </summary>
public sealed record Traits
{
    /// <summary>Nothing found out.</summary>
    public static Traits NotKnown { get; } = new();

    /// <summary>How one gets in after a reset.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public LoginHabit Login { get; init; }

    /// <summary>
    /// Its factory Wi-Fi name; {last4} stands for the last four digits of its MAC address (common practice), {digits} for what its label
    /// says.
    /// </summary>
    [StringLength(Limits.WifiName, MinimumLength = 1)]
    public string? NamePattern { get; init; }

    /// <summary>How it is reset.</summary>
    public ResetWay? Reset { get; init; }

    /// <summary>From power on until it answers, in seconds.</summary>
    [Range(0, 3600)]
    public int? BootSeconds { get; init; }

    /// <summary>From saving until its settings are in force, in seconds.</summary>
    [Range(0, 3600)]
    public int? SaveSeconds { get; init; }

    /// <summary>A restart from its page, in seconds.</summary>
    [Range(0, 3600)]
    public int? RebootSeconds { get; init; }

    /// <summary>What its lights say, phase by phase: one sign can mean two things.</summary>
    [MaxLength(40)]
    public IReadOnlyList<LightSign>? Lights { get; init; }

    /// <summary>How the MAC addresses of its other sides follow from the one on its label.</summary>
    [MaxLength(10)]
    public IReadOnlyList<NextMac>? Neighbours { get; init; }

    /// <summary>What becomes of it in each mode.</summary>
    [MaxLength(8)]
    public IReadOnlyList<ModeEffect>? Effects { get; init; }

    /// <summary>Its pages; left out where that was not found out, empty where it has none.</summary>
    [MaxLength(40)]
    public IReadOnlyList<SettingsPage>? Pages { get; init; }

    /// <summary>From where its pages can be opened; left out where that was not found out.</summary>
    [MaxLength(4)]
    public IReadOnlyList<PageSide>? PageSides { get; init; }

    /// <summary>What is set with an application on a telephone; left out where nothing is.</summary>
    public AppSetUp? App { get; init; }

    /// <summary>What power it takes and gives.</summary>
    public PowerFacts? Power { get; init; }

    /// <summary>The coldest air that it stands, in degrees Celsius.</summary>
    [Range(-60, 60)]
    public int? LeastCelsius { get; init; }

    /// <summary>The hottest air that it stands, in degrees Celsius.</summary>
    [Range(0, 100)]
    public int? MostCelsius { get; init; }

    /// <summary>Whether it may stand outdoors and in the damp.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known Outdoors { get; init; }

    /// <summary>What it draws in use, in watts.</summary>
    [Range(0.1, 500)]
    public double? Watts { get; init; }

    /// <summary>Whether a gateway can send every unclaimed connection to one host (DMZ).</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known TakesDmz { get; init; }
}

/// <summary>How one gets into a box after a reset.</summary>
public enum LoginHabit
{
    /// <summary>Not found out.</summary>
    Unknown,

    /// <summary>A password of its own stands on the label.</summary>
    OnLabel,

    /// <summary>The same words on every box of its kind.</summary>
    SameForAll,

    /// <summary>Without a password.</summary>
    None,

    /// <summary>It asks for a new password first.</summary>
    SetAtFirst,

    /// <summary>With an application on a telephone only.</summary>
    ByPhone,
}

/// <summary>How a box is reset.</summary>
/// <param name="By">By what.</param>
public sealed record ResetWay(ResetBy By)
{
    /// <summary>How long it is held, in seconds, 1 to 30 (common practice); null where not found out.</summary>
    [Range(1, 60)]
    public int? HoldSeconds { get; init; }

    /// <summary>Whether a short press does something else, such as starting to pair.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known ShortPressPairs { get; init; }

    /// <summary>
    /// What comes back by itself after a reset, such as the login of a gateway that its provider loads; left out where that was not found
    /// out, empty where nothing does.
    /// </summary>
    [MaxLength(40)]
    public IReadOnlyList<Setting>? Keeps { get; init; }
}

/// <summary>By what a box is reset.</summary>
public enum ResetBy
{
    /// <summary>A hole for a pin.</summary>
    Pinhole,

    /// <summary>A button.</summary>
    Button,

    /// <summary>Its page only.</summary>
    Page,

    /// <summary>Switching it off and on several times.</summary>
    PowerCycles,
}

/// <summary>Phases in which one and the same light can mean different things.</summary>
public enum LightPhase
{
    /// <summary>While it starts.</summary>
    Starting,

    /// <summary>Before it is set up.</summary>
    BeforeSetUp,

    /// <summary>While it looks for another box, or is being paired.</summary>
    Joining,

    /// <summary>In use.</summary>
    InUse,

    /// <summary>While its software is being renewed.</summary>
    Updating,
}

/// <summary>One sign of a light.</summary>
/// <param name="Phase">When.</param>
/// <param name="Light">Which light, as it is labelled.</param>
/// <param name="Shows">Colour and rhythm, such as "amber, blinking".</param>
/// <param name="Means">What it says.</param>
public sealed record LightSign(
    LightPhase Phase,
    [property: StringLength(40, MinimumLength = 1)] string Light,
    [property: StringLength(40, MinimumLength = 1)] string Shows,
    [property: StringLength(120, MinimumLength = 1)] string Means
);

/// <summary>How the MAC address of one side follows from the one on the label.</summary>
/// <param name="Side">Which side: "wan", or a radio by its id.</param>
/// <param name="Offset">What is added to the label's.</param>
public sealed record NextMac([property: RegularExpression(Slugs.Pattern)] string Side, [property: Range(-64, 64)] int Offset)
{
    /// <summary>Whether the local bit is set in it as well.</summary>
    public bool Local { get; init; }
}

/// <summary>What becomes of a box in one mode.</summary>
/// <param name="Mode">The mode.</param>
/// <param name="Address">What becomes of its address.</param>
public sealed record ModeEffect(ModeKind Mode, AddressAfter Address)
{
    /// <summary>Where its page has the switch, in general words; null where not found out.</summary>
    [StringLength(120, MinimumLength = 1)]
    public string? Menu { get; init; }

    /// <summary>
    /// What goes back to its factory value when the box is set to this mode from another; left out where that was not found out, empty
    /// where nothing does.
    /// </summary>
    [MaxLength(40)]
    public IReadOnlyList<Setting>? Clears { get; init; }

    /// <summary>What becomes of its sockets and radios, and of which menus, in a line.</summary>
    [StringLength(200, MinimumLength = 1)]
    public string? Then { get; init; }
}

/// <summary>What becomes of the address of a box that changes its mode.</summary>
public enum AddressAfter
{
    /// <summary>Not found out.</summary>
    Unknown,

    /// <summary>It keeps the one that it had.</summary>
    Kept,

    /// <summary>It leases one: look for it by its MAC address.</summary>
    Leased,

    /// <summary>It takes one that it has for this mode.</summary>
    ItsOwn,

    /// <summary>It has none.</summary>
    None,
}

/// <summary>Ways to put power on a data cable (IEEE 802.3af, at, bt; from memory).</summary>
public enum PowerKind
{
    /// <summary>Always on, without asking: it can damage what does not expect it (common practice).</summary>
    Passive,

    /// <summary>802.3af: 15.4 W at the source, 12.95 W at the device.</summary>
    Af,

    /// <summary>802.3at: 30 W at the source, 25.5 W at the device.</summary>
    At,

    /// <summary>802.3bt type 3: 60 W at the source, 51 W at the device.</summary>
    Bt3,

    /// <summary>802.3bt type 4: 90 W at the source, 71.3 W at the device.</summary>
    Bt4,
}

/// <summary>What power a box takes and gives over data cables.</summary>
public sealed record PowerFacts
{
    /// <summary>How it gives power to others; null where it does not.</summary>
    public PowerKind? Gives { get; init; }

    /// <summary>The ports that give power, by id; all inner ones where left out.</summary>
    [MaxLength(64)]
    public IReadOnlyList<string>? GivesAt { get; init; }

    /// <summary>What it can give in all, in watts at the source.</summary>
    [Range(1, 2000)]
    public double? BudgetWatts { get; init; }

    /// <summary>How it takes power from the cable; null where it does not.</summary>
    public PowerKind? Takes { get; init; }

    /// <summary>What it wants, in watts at its own socket.</summary>
    [Range(0.1, 100)]
    public double? NeedsWatts { get; init; }

    /// <summary>Whether it has a plug of its own as well, and needs none from the cable.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known OwnPlug { get; init; }

    /// <summary>
    /// What a source of a kind gives at the device at most, in watts, after the loss in 100 m of cable; null for passive ones (IEEE
    /// 802.3, from memory).
    /// </summary>
    public static double? AtDeviceWatts(PowerKind kind) =>
        kind switch
        {
            PowerKind.Af => 12.95,
            PowerKind.At => 25.5,
            PowerKind.Bt3 => 51,
            PowerKind.Bt4 => 71.3,
            _ => null,
        };

    /// <summary>What a source of a kind puts out at most, in watts; null for passive ones (IEEE 802.3, from memory).</summary>
    public static double? AtSourceWatts(PowerKind kind) =>
        kind switch
        {
            PowerKind.Af => 15.4,
            PowerKind.At => 30,
            PowerKind.Bt3 => 60,
            PowerKind.Bt4 => 90,
            _ => null,
        };
}
