using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What has to be set in one box, whose mode stays.</summary>
internal static class ModeDifference
{
    public static void Of(Steps steps, string box, BoxMode from, BoxMode to)
    {
        switch (from, to)
        {
            case (RouterMode now, RouterMode wanted):
                Router(steps, box, now, wanted);
                break;
            case (AccessPointMode now, AccessPointMode wanted):
                steps.Unless(HostAddress.Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                steps.Unless(
                    now.Guest == wanted.Guest,
                    wanted.Guest is { } guest ? new SetPointGuest(box, Towards(now.Guest, guest)) : new RemovePointGuest(box)
                );
                break;
            case (RepeaterMode now, RepeaterMode wanted):
                steps.Unless(HostAddress.Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                Link(steps, box, now.Link, wanted.Link);
                break;
            case (WirelessBridgeMode now, WirelessBridgeMode wanted):
                steps.Unless(HostAddress.Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                Link(steps, box, now.Link, wanted.Link);
                break;
            case (SatelliteMode now, SatelliteMode wanted):
                steps.Unless(now == wanted, new SetSatellite(box, Partial<SatelliteMode>.Between(now, wanted)));
                break;
            case (SwitchMode now, SwitchMode wanted):
                Switch(steps, box, now, wanted);
                break;
            case (BridgeMode now, BridgeMode wanted):
                steps.Unless(
                    now.Page == wanted.Page,
                    new SetPageAddress(box, wanted.Page is { } page ? new Fixed(page, null, []) : new Automatic())
                );
                break;
        }
        foreach (var radio in to.Radios.OrderBy(r => r.Radio, StringComparer.Ordinal))
        {
            // A radio that the box lacks is refused when it is set, and told so.
            var there = from.Radios.FirstOrDefault(r => r.Radio == radio.Radio);
            steps.Unless(there is not null && there == radio, new SetRadio(box, radio.Radio, Towards(there, radio)));
        }
    }

    private static void Router(Steps steps, string box, RouterMode now, RouterMode to)
    {
        steps.Unless(HostAddress.Same(now.Wan, to.Wan), new SetWan(box, to.Wan));
        // A guest network that could be in the way of the new address goes first; one that stays must not be in its way either.
        if (now.Guest is not null && now.Guest != to.Guest && (to.Guest is null || now.Lan != to.Lan))
        {
            steps.Do(new RemoveGuest(box));
        }
        steps.Unless(now.Lan == to.Lan, new SetLanAddress(box, to.Lan));
        // Pool and reservations may have moved along with the address.
        now = (RouterMode)steps.Design.Mode(box)!;
        steps.Unless(
            now.Guest == to.Guest || to.Guest is null,
            new SetGuest(box, to.Guest is null ? Partial<GuestNetwork>.Nothing : Towards(now.Guest, to.Guest))
        );
        Server(steps, box, now.Server, to.Server);
        if (now.Uplink != to.Uplink)
        {
            steps.Do(to.Uplink is { } link ? new SetUplink(box, Towards(now.Uplink, link)) : new RemoveUplink(box));
        }
        steps.Unless(now.Passing == to.Passing, new SetPassing(box, to.Passing));
        steps.Unless(now.Line == to.Line, new SetLine(box, Partial<LineSetting>.Between(now.Line, to.Line)));
        steps.Unless(now.Nat == to.Nat, new SetNat(box, to.Nat));
        steps.Unless(now.Dmz == to.Dmz, new SetDmz(box, to.Dmz));
        steps.Unless(now.PortRequests == to.PortRequests, new SetPortRequests(box, to.PortRequests));
        foreach (var route in now.Routes.Where(r => to.Routes.All(t => t.To != r.To)).OrderBy(r => r.To))
        {
            steps.Do(new RemoveRoute(box, route.To));
        }
        foreach (var route in to.Routes.Except(now.Routes).OrderBy(r => r.To))
        {
            steps.Do(new AddRoute(box, route));
        }
        foreach (var forward in now.Forwards.Except(to.Forwards).OrderBy(f => f.Key, StringComparer.Ordinal))
        {
            steps.Do(new RemoveForward(box, forward.Protocol, forward.OutsidePort));
        }
        foreach (var forward in to.Forwards.Except(now.Forwards).OrderBy(f => f.Key, StringComparer.Ordinal))
        {
            steps.Do(new AddForward(box, forward));
        }
    }

    private static void Server(Steps steps, string box, DhcpServerSetting now, DhcpServerSetting to)
    {
        steps.Unless(now.On == to.On, new SwitchDhcpServer(box, to.On));
        steps.Unless(
            now.Pool == to.Pool,
            new MovePool(box)
            {
                First = now.Pool.First == to.Pool.First ? null : to.Pool.First,
                Last = now.Pool.Last == to.Pool.Last ? null : to.Pool.Last,
            }
        );
        steps.Unless(
            now.Gateway == to.Gateway && now.LeavesOutGateway == to.LeavesOutGateway,
            new SetServerGateway(box, to.Gateway, to.LeavesOutGateway)
        );
        steps.Unless(
            now.DnsServers.SequenceEqual(to.DnsServers) && now.LeavesOutDns == to.LeavesOutDns,
            new SetDnsServers(box, to.DnsServers, to.LeavesOutDns)
        );
        steps.Unless(now.LeaseMinutes == to.LeaseMinutes, new SetLeaseTime(box, to.LeaseMinutes));
        steps.Unless(now.Domain == to.Domain, new SetServerDomain(box, to.Domain));
        foreach (var kept in now.Reservations.Except(to.Reservations).OrderBy(r => r.Mac))
        {
            steps.Do(new RemoveReservation(box, kept.Mac));
        }
        foreach (var kept in to.Reservations.Except(now.Reservations).OrderBy(r => r.Mac))
        {
            steps.Do(new Reserve(box, kept.Mac, kept.Address));
        }
    }

    private static void Switch(Steps steps, string box, SwitchMode now, SwitchMode to)
    {
        if (to.Page is null && now.Page is not null)
        {
            steps.Refuse($"{steps.Design.NameOf(box)} is to have no page of its own, and no page takes itself away.");
        }
        else
        {
            steps.Unless(
                to.Page is null || (now.Page is not null && HostAddress.Same(now.Page, to.Page)),
                new SetPageAddress(box, to.Page ?? new Automatic())
            );
        }
        foreach (var port in now.Vlans.Where(v => to.Vlans.All(t => t.Port != v.Port)).OrderBy(v => v.Port, StringComparer.Ordinal))
        {
            steps.Do(new SetPortVlans(box, port.Port, 1, []));
        }
        foreach (
            var port in to
                .Vlans.Where(v => now.Vlans.FirstOrDefault(n => n.Port == v.Port) is var there && (there is null ? !v.IsUsual : there != v))
                .OrderBy(v => v.Port, StringComparer.Ordinal)
        )
        {
            steps.Do(new SetPortVlans(box, port.Port, port.Untagged, port.Tagged));
        }
    }

    private static void Link(Steps steps, string box, Uplink now, Uplink to) =>
        steps.Unless(now == to, new SetUplink(box, Partial<Uplink>.Between(now, to)));

    /// <summary>What makes a value into another; all of it where there was none.</summary>
    private static Partial<T> Towards<T>(T? now, T to)
        where T : class => now is null ? Partial<T>.All(to) : Partial<T>.Between(now, to);
}
