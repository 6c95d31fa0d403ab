namespace Altrin.Core.Procedures;

/// <summary>The schools in words, with what speaks for each answer (common practice).</summary>
public static class SchoolWords
{
    private const string Best = "whatever suits the home best";

    /// <summary>Every school, as a survey of the installer would ask them.</summary>
    public static IReadOnlyList<School> All { get; } =
    [
        new(
            nameof(Ways.Gateway),
            "The gateway becomes",
            [
                new(GatewaySchool.Any, Best, "The proof decides, with what lives in the gateway and what it can do."),
                new(GatewaySchool.Bridge, "bridge mode", "One NAT, and all of it in the customer's own router."),
                new(
                    GatewaySchool.StaysRouter,
                    "router, own boxes are access points",
                    "One NAT, and telephone and television stay as they are."
                ),
                new(
                    GatewaySchool.PassThrough,
                    "IP pass-through",
                    "The own router has the public address, and the gateway's services go on."
                ),
                new(GatewaySchool.Mapping, "public-address mapping", "Two public addresses: each router has its own."),
                new(GatewaySchool.Dmz, "router with a DMZ host", "Reach from outside where the gateway can do nothing better."),
                new(GatewaySchool.RouterBehind, "router, own router behind it", "The gateway is not touched, and can be swapped any day."),
            ]
        ),
        new(
            nameof(Ways.Further),
            "A further router becomes",
            [
                new(FurtherSchool.Any, Best, "The proof decides."),
                new(
                    FurtherSchool.LanToLan,
                    "access point (LAN to LAN, DHCP off)",
                    "Works on every router, also one without a mode for it."
                ),
                new(FurtherSchool.AccessPointMode, "access-point mode", "Tidy, and found in the main box's list."),
                new(FurtherSchool.Cascade, "router behind a router (cascade)", "Shields the inner side; double NAT is the price."),
            ]
        ),
        new(
            nameof(Ways.Backhaul),
            "Where no cable leads",
            [
                new(BackhaulSchool.Any, Best, "Steady first, laying a cable weighed by its length."),
                new(BackhaulSchool.Cable, "lay a cable", "The steadiest, and the full rate."),
                new(BackhaulSchool.Powerline, "powerline or coax units", "Steadier than radio through thick walls, and no drilling."),
                new(BackhaulSchool.Radio, "radio link", "Nothing to lay, and no mains in between."),
            ]
        ),
        new(
            nameof(Ways.Address),
            "Address of a further box",
            [
                new(AddressSchool.Any, "as it comes", "Nothing to type."),
                new(AddressSchool.Low, "typed, below the pool", "Easy to remember, near the gateway."),
                new(AddressSchool.High, "typed, above the pool", "Out of the way; .254 may be a gateway elsewhere."),
                new(AddressSchool.Reserved, "leased and reserved", "Visible in one place, and survives."),
            ]
        ),
        new(
            nameof(Ways.Names),
            "Wi-Fi names",
            [
                new(NamesSchool.AsNoted, "as the survey has it", "The customer decides."),
                new(NamesSchool.OneName, "one name everywhere", "People move about without touching anything, and devices keep working."),
                new(NamesSchool.OnePerBox, "one name per box", "It shows which box one is on, and no small device gets lost between two."),
                new(NamesSchool.OnePerBand, "one name per band", "Old devices that only know 2.4 GHz find their own."),
            ]
        ),
        new(
            nameof(Ways.Dns),
            "DNS servers that the router hands out",
            [
                new(DnsSchool.Any, "as they are found", "Nothing to type, and nothing that worked is changed."),
                new(DnsSchool.Provider, "the provider's, by the router", "Simple: the router asks whichever the provider names."),
                new(DnsSchool.Own, "own choice", "Steadier where the provider's fail; all of them must give the same answers."),
            ]
        )
        {
            Typed = new(nameof(Ways.OwnDns), "Addresses of your own choice, with a space between", DnsSchool.Own),
        },
        new(
            nameof(Ways.Upnp),
            "UPnP of a router used as an access point",
            [
                new(UpnpSchool.Leave, "stays as it is", "It translates nothing there, and a cable in its WAN port finds it as it was."),
                new(UpnpSchool.Off, "is switched off", "Nothing answers on its page that has no use; safe only while it does not route."),
            ]
        ),
        new(
            nameof(Ways.Reset),
            "A further box is reset",
            [
                new(ResetSchool.Always, "always", "A clean slate; never the gateway."),
                new(ResetSchool.IfLoginUnknown, "only where its login is not known", "Keeps the settings of a box that works."),
            ]
        ),
        new(
            nameof(Ways.Password),
            "Its admin password is changed",
            [
                new(PasswordSchool.First, "first thing", "Never exposed."),
                new(PasswordSchool.Last, "last thing", "Less typing while it restarts; must not be forgotten."),
            ]
        ),
        new(
            nameof(Ways.TouchesGateway),
            "The gateway's settings",
            [
                new(true, "may be changed", "More can be done, and reach from outside mostly needs it."),
                new(false, "stay as they are", "The provider's support goes on as before."),
            ]
        ),
        new(
            nameof(Ways.TouchesDevices),
            "Customer's devices",
            [
                new(true, "may be touched", "A device that has to learn another name or address is set right at once."),
                new(false, "stay as they are", "The household need not be there, and nothing of theirs can break."),
            ]
        ),
        new(
            nameof(Ways.Socket),
            "The laptop",
            [
                new(true, "has an Ethernet socket or an adapter", "A box is set up by cable, apart from the live network."),
                new(false, "has Wi-Fi only", "Every page is opened over the air: slower, and refused where a box has no Wi-Fi."),
            ]
        ),
    ];

    private static readonly Dictionary<object, string> Said = All.SelectMany(s => s.Answers)
        .Where(a => a.Value is Enum)
        .ToDictionary(a => a.Value, a => a.Says);

    /// <summary>An answer in words, such as "access point (LAN to LAN, DHCP off)".</summary>
    public static string Of(Enum answer) => Said[answer];
}
