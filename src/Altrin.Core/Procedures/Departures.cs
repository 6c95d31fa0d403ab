using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>Where an act departs from the installer's own way.</summary>
internal static class Departures
{
    /// <summary>Each departure as a sentence; none where it goes the installer's way, or the way says nothing of it.</summary>
    public static IEnumerable<string> Of(State before, Act act, Ways ways)
    {
        var (design, gateway) = (before.Design, Live.Gateway(before.Design)?.Id);
        if (!ways.TouchesGateway && gateway is not null && Live.ChangedBy(act) == gateway)
        {
            yield return $"{design.NameOf(gateway)} is changed, which the gateway should not be.";
        }
        if (!ways.TouchesDevices && Touched(design, act) is { } device)
        {
            yield return $"{design.NameOf(device)} is touched, which the customer's devices should not be.";
        }
        switch (act)
        {
            case LaptopToPort when !ways.Socket:
                yield return "The laptop is plugged in, and has no Ethernet socket.";
                break;
            case ResetBox reset when ways.Reset == ResetSchool.IfLoginUnknown && Known(before, reset.Box):
                yield return $"The login of {design.NameOf(reset.Box)} is known, and it is reset all the same.";
                break;
            case SavePage save when save.Box != gateway:
                foreach (var said in OfFurther(before, save, ways))
                {
                    yield return said;
                }
                break;
        }
    }

    private static IEnumerable<string> OfFurther(State before, SavePage save, Ways ways)
    {
        var (design, name) = (before.Design, before.Design.NameOf(save.Box));
        var factory = before.Ledger.AtFactory.Contains(save.Box);
        var password = save.Changes.Any(c => c is SetPagePassword);
        if (factory && ways.Password == PasswordSchool.First && !password)
        {
            yield return $"{name} is set while it has the password of its factory: the admin password comes first.";
        }
        if (before.Ledger.FromLastHome.Contains(save.Box) && ways.Reset == ResetSchool.Always)
        {
            yield return $"{name} is set with what it holds of its last home: it should be reset first.";
        }
        if (factory && ways.Password == PasswordSchool.Last && password && IsFresh(before, save.Box))
        {
            yield return $"The admin password of {name} is changed before its other settings: it comes last.";
        }
        foreach (var change in save.Changes)
        {
            var typed = change switch
            {
                SetPageAddress { Address: Fixed page } => page.Address.Address,
                SetLanAddress lan => lan.Address.Address,
                _ => (Ipv4Address?)null,
            };
            var pool =
                Live.Gateway(design) is { } gateway && design.Mode(gateway.Id) is RouterMode { Server.On: true } router
                    ? router.Server.Pool
                    : (AddressRange?)null;
            var departs = (ways.Address, typed, pool) switch
            {
                (AddressSchool.Reserved, { } at, _) => $"{name} gets {at} typed in: it should be leased and reserved.",
                (AddressSchool.Low, { } at, { } range) when at > range.First => $"{name} gets {at}, which is not below the pool.",
                (AddressSchool.High, { } at, { } range) when at < range.Last => $"{name} gets {at}, which is not above the pool.",
                (AddressSchool.Low or AddressSchool.High, null, _) when change is SetPageAddress =>
                    $"{name} gets a leased address: it should be typed.",
                _ => null,
            };
            if (departs is not null)
            {
                yield return departs;
            }
        }
    }

    /// <summary>Whether a box has its factory's settings still, each of them.</summary>
    private static bool IsFresh(State now, string box) =>
        Difference.Between(now.Design.Site, now.Design.SetUp, BoxReset.Of(now.Design, box, [])).Changes.Count == 0;

    private static bool Known(State now, string box) => now.Design.Box(box) is { } found && Login.Lacking(now, found) is null;

    private static string? Touched(Design design, Act act) =>
        act switch
        {
            DeviceTakesAddress takes => takes.Device,
            DeviceJoins joins when !joins.MovesByItself(design) => joins.Device,
            _ => null,
        };
}
