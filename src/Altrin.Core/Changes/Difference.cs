using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What has to be done to make one set-up of a site into another: the changes, in an order in which they can be made.</summary>
public static class Difference
{
    /// <summary>
    /// The changes from one set-up to the other; none where they are alike. Ids of cables and the order of lists do not count.
    /// Applied to the first they give the second.
    /// </summary>
    public static IReadOnlyList<Change> Between(Site site, SetUp from, SetUp to)
    {
        var steps = new Steps(new(site, from));
        foreach (var gone in from.Boxes.Select(b => b.Box).Except(to.Boxes.Select(b => b.Box)).Concat(from.Devices.Select(d => d.Device).Except(to.Devices.Select(d => d.Device))))
        {
            steps.Do(new PutAway(gone));
        }
        foreach (var cable in steps.SetUp.Cables.Where(c => !to.Cables.Any(t => SameEnds(c, t))).ToList())
        {
            steps.Do(new Unpatch(cable.Id));
        }
        foreach (var box in to.Boxes)
        {
            Box(steps, box.Box, box.Mode);
            var now = steps.SetUp.Boxes.FirstOrDefault(b => b.Box == box.Box);
            steps.Unless(now?.Place == box.Place, new StandIn(box.Box, box.Place));
            steps.Unless(now?.Password == box.Password, new SetPagePassword(box.Box, box.Password));
        }
        foreach (var device in to.Devices)
        {
            Device(steps, device);
        }
        // A run in the walls is let go before another cable takes it.
        foreach (var cable in steps.SetUp.Cables.Where(c => c.Run is not null && to.Cables.Any(t => SameEnds(c, t) && t.Run != c.Run)).ToList())
        {
            steps.Do(new SetCable(cable.Id, cable.Medium, cable.LengthMetres) { Pairs = cable.Pairs });
        }
        foreach (var cable in to.Cables)
        {
            Cable(steps, cable);
        }
        foreach (var accepted in from.Accepted.Where(a => to.Accepted.All(t => t.Finding != a.Finding)))
        {
            steps.Do(new TakeBackAcceptance(accepted.Finding));
        }
        foreach (var accepted in to.Accepted.Except(from.Accepted))
        {
            steps.Do(new AcceptFinding(accepted.Finding, accepted.Severe, accepted.Reason, accepted.By));
        }
        return steps.Done;
    }

    /// <summary>Ids of the boxes, devices and cables that a change is about, in the design that it is made in.</summary>
    public static IReadOnlyList<string> Subjects(Change change) => change switch
    {
        SetMode c => [c.Box],
        SetLanAddress c => [c.Box],
        SetPageAddress c => [c.Box],
        SetWan c => [c.Box],
        SetRadio c => [c.Box],
        SetGuest c => [c.Box],
        SetPointGuest c => [c.Box],
        SetUplink c => [c.Box],
        SetSatellite c => [c.Box],
        SetVlans c => [c.Box],
        SetPassing c => [c.Box],
        SetLine c => [c.Box],
        SetTranslation c => [c.Box],
        SetDmz c => [c.Box],
        SetPortRequests c => [c.Box],
        AddRoute c => [c.Box],
        RemoveRoute c => [c.Box],
        SetLeaseTime c => [c.Box],
        SetServerDomain c => [c.Box],
        SwitchAddressServer c => [c.Box],
        MovePool c => [c.Box],
        SetServerGateway c => [c.Box],
        SetServerNames c => [c.Box],
        Reserve c => [c.Box],
        RemoveReservation c => [c.Box],
        AddForward c => [c.Box],
        RemoveForward c => [c.Box],
        SetDeviceAddress c => [c.Device],
        JoinWifi c => [c.Device],
        Patch c => [c.A.ToString(), c.B.ToString()],
        SetCable c => [c.Cable],
        Unpatch c => [c.Cable],
        PutAway c => [c.Id],
        StandIn c => [c.Box],
        SetPagePassword c => [c.Box],
        _ => [],
    };

    private static bool SameEnds(Cable a, Cable b) => (a.A == b.A && a.B == b.B) || (a.A == b.B && a.B == b.A);

    private static void Box(Steps steps, string box, BoxMode to)
    {
        if (steps.Design.Mode(box)?.Kind != to.Kind)
        {
            steps.Do(new SetMode(box, to.Kind));
        }
        switch (steps.Design.Mode(box), to)
        {
            case (RouterMode now, RouterMode wanted):
                Router(steps, box, now, wanted);
                break;
            case (AccessPointMode now, AccessPointMode wanted):
                steps.Unless(Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                steps.Unless(now.Guest == wanted.Guest, new SetPointGuest(box, wanted.Guest));
                break;
            case (RepeaterMode now, RepeaterMode wanted):
                steps.Unless(Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                steps.Unless(now.Link == wanted.Link, new SetUplink(box, wanted.Link));
                break;
            case (WirelessBridgeMode now, WirelessBridgeMode wanted):
                steps.Unless(Same(now.Page, wanted.Page), new SetPageAddress(box, wanted.Page));
                steps.Unless(now.Link == wanted.Link, new SetUplink(box, wanted.Link));
                break;
            case (SatelliteMode now, SatelliteMode wanted):
                steps.Unless(now == wanted, new SetSatellite(box, wanted.Main, wanted.By));
                break;
            case (SwitchMode { Page: { } now } before, SwitchMode { Page: { } wanted } after):
                steps.Unless(Same(now, wanted), new SetPageAddress(box, wanted));
                steps.Unless(before.Vlans.SequenceEqual(after.Vlans), new SetVlans(box, after.Vlans));
                break;
            case (BridgeMode now, BridgeMode wanted):
                steps.Unless(now.Page == wanted.Page, new SetPageAddress(box, wanted.Page is { } page ? new Fixed(page, null, []) : new Automatic()));
                break;
        }
        foreach (var radio in to.Radios.Where(r => steps.Design.Mode(box)!.Radios.All(n => n != r)))
        {
            steps.Do(new SetRadio(box, radio));
        }
    }

    private static void Router(Steps steps, string box, RouterMode now, RouterMode to)
    {
        steps.Unless(Same(now.Wan, to.Wan), new SetWan(box, to.Wan));
        steps.Unless(now.Guest is null || now.Guest == to.Guest, new SetGuest(box, null));
        steps.Unless(now.Lan == to.Lan, new SetLanAddress(box, to.Lan));
        // Pool and reservations may have moved along with the address.
        now = (RouterMode)steps.Design.Mode(box)!;
        steps.Unless(now.Guest == to.Guest, new SetGuest(box, to.Guest));
        steps.Unless(now.Server.On == to.Server.On, new SwitchAddressServer(box, to.Server.On));
        steps.Unless(now.Server.Pool == to.Server.Pool, new MovePool(box, to.Server.Pool));
        steps.Unless(
            now.Server.Gateway == to.Server.Gateway && now.Server.LeavesOutGateway == to.Server.LeavesOutGateway,
            new SetServerGateway(box, to.Server.Gateway) { LeftOut = to.Server.LeavesOutGateway });
        steps.Unless(
            now.Server.NameServers.SequenceEqual(to.Server.NameServers) && now.Server.LeavesOutNames == to.Server.LeavesOutNames,
            new SetServerNames(box, to.Server.NameServers) { LeftOut = to.Server.LeavesOutNames });
        steps.Unless(now.Server.LeaseMinutes == to.Server.LeaseMinutes, new SetLeaseTime(box, to.Server.LeaseMinutes));
        steps.Unless(now.Server.Domain == to.Server.Domain, new SetServerDomain(box, to.Server.Domain));
        steps.Unless(now.Uplink == to.Uplink, new SetUplink(box, to.Uplink));
        steps.Unless(now.Passing == to.Passing, new SetPassing(box, to.Passing));
        steps.Unless(now.Line == to.Line, new SetLine(box, to.Line));
        steps.Unless(now.Translates == to.Translates, new SetTranslation(box, to.Translates));
        steps.Unless(now.Dmz == to.Dmz, new SetDmz(box, to.Dmz));
        steps.Unless(now.PortRequests == to.PortRequests, new SetPortRequests(box, to.PortRequests));
        foreach (var route in now.Routes.Where(r => to.Routes.All(t => t.To != r.To)))
        {
            steps.Do(new RemoveRoute(box, route.To));
        }
        foreach (var route in to.Routes.Except(now.Routes))
        {
            steps.Do(new AddRoute(box, route));
        }
        foreach (var kept in now.Server.Reservations.Except(to.Server.Reservations))
        {
            steps.Do(new RemoveReservation(box, kept.Hardware));
        }
        foreach (var kept in to.Server.Reservations.Except(now.Server.Reservations))
        {
            steps.Do(new Reserve(box, kept.Hardware, kept.Address));
        }
        foreach (var forward in now.Forwards.Except(to.Forwards))
        {
            steps.Do(new RemoveForward(box, forward.Protocol, forward.OutsidePort));
        }
        foreach (var forward in to.Forwards.Except(now.Forwards))
        {
            steps.Do(new AddForward(box, forward));
        }
    }

    private static void Device(Steps steps, DeviceSetting to)
    {
        var now = steps.SetUp.Devices.FirstOrDefault(d => d.Device == to.Device);
        steps.Unless(now is not null && Same(now.Address, to.Address), new SetDeviceAddress(to.Device, to.Address));
        steps.Unless(now?.Wifi == to.Wifi, new JoinWifi(to.Device, to.Wifi));
    }

    private static void Cable(Steps steps, Cable to)
    {
        if (steps.SetUp.Cables.FirstOrDefault(c => SameEnds(c, to)) is not { } there)
        {
            steps.Do(Patch.Moved(to, to.A, to.B));
        }
        else
        {
            steps.Unless(there with { Id = to.Id, A = to.A, B = to.B } == to, new SetCable(there.Id, to.Medium, to.LengthMetres) { Pairs = to.Pairs, Run = to.Run });
        }
    }

    private static bool Same(HostAddress a, HostAddress b) => (a, b) switch
    {
        (Fixed x, Fixed y) => x.Address == y.Address && x.Gateway == y.Gateway && x.NameServers.SequenceEqual(y.NameServers),
        _ => a.GetType() == b.GetType(),
    };

    /// <summary>Changes made one after another, each on what the ones before left.</summary>
    private sealed class Steps(Design design)
    {
        private readonly List<Change> _done = [];

        public Design Design { get; private set; } = design;

        public SetUp SetUp => Design.SetUp;

        public IReadOnlyList<Change> Done => _done;

        public void Unless(bool alike, Change change)
        {
            if (!alike)
            {
                Do(change);
            }
        }

        public void Do(Change change)
        {
            // What no page would take cannot have been made by changes either.
            if (change.ApplyTo(Design) is { Ok: true } applied)
            {
                _done.Add(change);
                Design = Design with { SetUp = applied.Value };
            }
        }
    }
}
