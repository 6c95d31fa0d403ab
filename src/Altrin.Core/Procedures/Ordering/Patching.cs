using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>Cables are plugged in, once what is in their way is pulled.</summary>
internal static class Patching
{
    /// <summary>Plugs a cable in, in the way that breaks least: with all on, or with a box off meanwhile.</summary>
    public static bool Plug(Script script, Patch patch)
    {
        // Of a box that joins by radio it is not known whether it stops that beside a cable.
        var boxes = DeviceOf(script.Now.Design, patch) is null
            ? new[] { patch.A.Owner, patch.B.Owner }
                .Where(b => script.Now.Design.Mode(b) is not null && !script.Now.Moment.Situation.Off.Contains(b))
                .OrderByDescending(b => script.Now.Seen().Network.RadioLinks.Any(l => l.Box == b))
                .ThenBy(b => b == Live.Gateway(script.Now.Design)?.Id)
                .ToList()
            : [];
        return script.Best([s => Plug(s, patch, null), .. boxes.Select(b => (Func<Script, bool>)(s => Plug(s, patch, b)))]);
    }

    /// <summary>Whether a cable is in the way of another.</summary>
    public static bool Clash(Cable cable, Patch patch) =>
        cable.A == patch.A || cable.A == patch.B || cable.B == patch.A || cable.B == patch.B || cable.Id == patch.Id;

    /// <summary>The customer's device at an end of a cable; null where it joins two boxes.</summary>
    public static string? DeviceOf(Design design, Patch patch) =>
        design.Device(patch.A.Owner) is not null ? patch.A.Owner
        : design.Device(patch.B.Owner) is not null ? patch.B.Owner
        : null;

    private static bool Plug(Script script, Patch patch, string? off)
    {
        var inTheWay = script.Now.Design.SetUp.Cables.Where(c => Clash(c, patch)).Select(c => c.Id).Order(StringComparer.Ordinal).ToList();
        var laptop = script.Now.Laptop?.Cable?.Port;
        return script.DoIf(laptop is { } port && (port == patch.A || port == patch.B || port.Owner == off), new LaptopOutOfPort())
            && (off is null || script.Ready(off) && script.Do(new PowerOff(off)))
            && inTheWay.TrueForAll(c => script.Do(new UnpatchCable(c)))
            && script.Do(new PatchCable(patch.A, patch.B, patch.Id, patch.Known))
            && (off is null || script.Do(new PowerOn(off)) && script.Ready(off));
    }
}
