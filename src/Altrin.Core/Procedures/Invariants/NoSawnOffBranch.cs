using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>A radio is not switched off by a person whose way to that page uses it.</summary>
public static class NoSawnOffBranch
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(6, "no-sawn-off-branch", "A radio is switched off only from a seat whose way to that page does not use it.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (step.Act is not SavePage { Box: var id } || step.Before.Laptop is not { Wifi: { } wifi })
        {
            yield break;
        }
        var reach = PageOpens.AddressOf(step.Before, id) is { Ok: true, Value: var at } ? PageReach.At(step.Before, at) : null;
        var byAir = Looking.Ways(step.Before.Seen(), step.Before.Laptop, reach?.Address ?? default).Any(w => w.Owner == Laptop.WifiId);
        if (reach is { Answer: AnswerKind.Yes } && byAir && Sends(step.Before, wifi.Join) && !Sends(step.After, wifi.Join))
        {
            yield return new(
                [id, wifi.Join.Box],
                $"The laptop is in \"{wifi.Join.Name}\" of {step.Before.Design.NameOf(wifi.Join.Box)}, which this save takes away: use a cable."
            );
        }
    }

    /// <summary>Whether the box sends the name once all of its work is done.</summary>
    private static bool Sends(State now, WifiJoin join) =>
        Air.Of(now.Design, join.Box).Any(a => a.Setting.Name == join.Name && a.Setting.Password == join.Password);
}
