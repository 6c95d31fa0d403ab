using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>Settings are typed into a box and saved, page by page.</summary>
internal static class Saving
{
    /// <summary>How often a box is saved at most on the way to one goal: what comes out otherwise each time never ends.</summary>
    private const int MostSaves = 30;

    /// <summary>One trip to one page, with the wait that follows.</summary>
    public static bool Save(Script script, string box, PageWork work)
    {
        if (work.Area == PageWork.InApp)
        {
            return script.Ready(box) && script.Do(new SetInApp(box, work.Changes)) && script.Ready(box);
        }
        return (!Moves(work) || PageWay.PlugIntoBox(script, box))
            && PageWay.Open(script, box)
            && (Live.Gateway(script.Now.Design) is not { } gateway || gateway.Id != box || Opening.Record(script, gateway))
            && KeepAddress(script, box, work)
            && script.Do(new SavePage(box, work.Changes))
            && script.Ready(box);
    }

    /// <summary>All that differs of a box from a goal, which is worked out anew after every save.</summary>
    public static bool Towards(Script script, string box, Func<State, BoxSetting> goal)
    {
        for (var saves = 0; saves < MostSaves; saves++)
        {
            // What has to wait for a lease is set once the box is part of the network.
            var now = script.Now;
            var away = !PageOpens.IsBusy(now, box) && !PageOpens.AddressOf(now, box).Ok;
            if (PageWork.Of(now.Design, goal(now), script.Aim.Ways).FirstOrDefault(w => !away || w.Area == PageWork.InApp) is not { } next)
            {
                return script.Stuck is null;
            }
            if (!Save(script, box, next))
            {
                return false;
            }
        }
        return script.Fail($"{script.Now.Design.NameOf(box)} does not keep what is typed into it.");
    }

    /// <summary>Whether the page is elsewhere afterwards, so that it is best set from a port of the box itself.</summary>
    private static bool Moves(PageWork work) => work.Changes.Any(c => c is SetLanAddress or SetMode or SwitchDhcpServer);

    /// <summary>A laptop that has its address of that very box types one before the box stops handing it out.</summary>
    private static bool KeepAddress(Script script, string box, PageWork work)
    {
        var now = script.Now;
        if (
            now.Design.Mode(box) is not RouterMode router
            || now.Laptop?.Cable is not { Address: Automatic } cable
            || !work.Changes.Any(c =>
                c is SetLanAddress lan && lan.Address.Subnet != router.Lan.Subnet || c is SwitchDhcpServer { On: false } or SetMode
            )
            || now.Moment.Situation.Memory?.Of(Laptop.CableId, Side.Laptop)?.Leases is not [{ Server: var server }, ..]
            || server != box
        )
        {
            return script.Stuck is null;
        }
        return FreeAddress.In(now.Design, router.Lan.Subnet) is { } typed
            ? PageWay.PlugIn(script, cable.Port, typed)
            : script.Fail($"There is no free address in {router.Lan.Subnet} for the laptop.");
    }
}
