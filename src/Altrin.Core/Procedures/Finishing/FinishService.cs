using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>What the customer notices: devices, what was asked for, one NAT, the rate.</summary>
internal static class FinishService
{
    /// <summary>The items of a plan.</summary>
    public static IEnumerable<CheckItem> Of(State planned) => [.. Devices(planned), .. Needs(planned), .. Nat(planned), Rates(planned)];

    private static IEnumerable<CheckItem> Devices(State planned)
    {
        var (design, sheet) = (planned.Design, planned.Seen().Sheet);
        return CheckItem.OfEach(
            "devices",
            "Devices",
            "Each device of the list made at the start is back, known by its MAC address. One that is not is named: asleep, off, or to be "
                + "set by hand, and by whom.",
            sheet.Internet.Select(i =>
            {
                var mac = design.Device(i.Device)?.Mac is { } known ? $" ({known})" : "";
                var at = sheet.Addresses.FirstOrDefault(a => a.Owner == i.Device && a.Side == Side.Device) is { } address
                    ? At(address)
                    : "";
                return $"{design.NameOf(i.Device)}{mac}: {(i.Answer.IsYes ? "internet" : "no internet in the plan")}{at}";
            })
        );
    }

    private static string At(AddressFact fact) =>
        fact switch
        {
            { Origin: AddressOrigin.Fixed, Address: { } typed } => $", {typed} typed",
            { Origin: AddressOrigin.Reserved, Address: { } kept } => $", {kept} reserved",
            { Origin: AddressOrigin.Leased, From: { } pool } => $", an address of {pool}",
            { Origin: AddressOrigin.Leased, PrefixLength: { } length, Address: { } leased } =>
                $", an address of {new InterfaceAddress(leased, length).Subnet}",
            _ => "",
        };

    private static IEnumerable<CheckItem> Needs(State planned)
    {
        var (design, facts) = (planned.Design, planned.Seen().Sheet.Needs);
        foreach (var need in design.Site.Needs.Where(n => !n.DuringWork))
        {
            var (subject, asked) = NeedWords.Of(design, need);
            var fact = facts.FirstOrDefault(f => f.Need == need.Id);
            yield return new(
                $"need-{need.Id}",
                $"{subject}: {asked}",
                fact is { Answer.Kind: AnswerKind.No }
                    ? $"The plan does not meet it, and the customer has been told. {fact.Answer.Why}"
                    : Tried(design, need),
                []
            );
        }
    }

    private static string Tried(Design design, Need need) =>
        need switch
        {
            ReachFromOutside reach =>
                $"A phone on mobile data, its Wi-Fi off, opens {NeedWords.Ports(reach)} of the public address and gets to "
                    + $"{design.NameOf(reach.Device)}.",
            FoundByOthers found =>
                $"A device on a cable and one on Wi-Fi at another box find {design.NameOf(found.Device)} by themselves, and use it.",
            LocalServer server => $"A device on a cable and one on Wi-Fi at another box open {design.NameOf(server.Device)}.",
            LittleDelay quick =>
                $"From where {design.NameOf(quick.Device)} stands a ping runs for 5 minutes while another device loads something large: "
                    + "none is lost, and the times stay even.",
            CallsInPlace calls => $"A call over Wi-Fi holds in {design.NameOf(calls.Place)}, and on the way there.",
            GuestsKeptApart =>
                "A phone in the Wi-Fi for guests has the internet, and opens neither the page of a box nor a device of the home. "
                    + "That is said of IPv4 only, until IPv6 is off or was tried too.",
            KeepsNameAndPassword keeps => $"A device that was not touched joins \"{keeps.Name}\" by itself.",
            ServiceLives { Service: LineService.Telephone } => "A call out and a call in go through. The emergency number is never tried.",
            ServiceLives { Service: LineService.Alarm } =>
                "Its centre sees it again: a test alarm arrives there, then it is taken off test.",
            ServiceLives => "A channel plays, and so does a recording.",
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };

    private static IEnumerable<CheckItem> Nat(State planned)
    {
        var design = planned.Design;
        var ways = planned.Seen().Internet.Where(i => i.Answer.IsYes).ToList();
        if (ways.MaxBy(i => i.NatBy.Count(b => b != PortRef.Street)) is not { } longest)
        {
            yield break;
        }
        var own = longest.NatBy.Where(b => b != PortRef.Street).ToList();
        var carrier = longest.NatBy.Contains(PortRef.Street) ? " The provider does NAT as well (CGNAT)." : "";
        yield return new(
            "nat",
            "NAT",
            own.Count switch
            {
                0 => $"No box of the home does NAT.{carrier}",
                1 when carrier.Length > 0 =>
                    $"One NAT in the home: on its page {design.NameOf(own[0])} has an address of the provider on its "
                        + $"WAN side, and no other box does NAT.{carrier}",
                1 => $"One NAT only: on its page {design.NameOf(own[0])} has the public address on its WAN side, "
                    + "the one that a site on the internet sees.",
                _ => $"{own.Count} boxes do NAT one behind the other, as planned: "
                    + $"{string.Join(" behind ", own.Select(design.NameOf))}.{carrier}",
            },
            []
        );
    }

    private static CheckItem Rates(State planned)
    {
        var (design, service) = (planned.Design, planned.Design.Site.Service);
        var run = service.Access is AccessKind.Mobile or AccessKind.Satellite
            ? "one run of 10 seconds each way, noted as such, for it counts against the allowance"
            : "runs of 30 seconds each way";
        var weak = design.Site.Needs.OfType<CallsInPlace>().Select(n => $"in {design.NameOf(n.Place)}").DefaultIfEmpty("at one weak place");
        var at = MainRouter.Of(planned) is { } main ? $"by cable at {design.NameOf(main)}" : "by cable";
        return new(
            "rates",
            "Rate",
            $"Measured as at the start and with the same device, {run}: {at}, and {string.Join(" and ", weak)}.",
            service is { DownMbps: { } down, UpMbps: { } up }
                ? [string.Create(CultureInfo.InvariantCulture, $"the line is sold with {down} Mb/s down, {up} Mb/s up")]
                : []
        );
    }
}
