using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>No box is on the live network with the password of the factory, and none is set over open Wi-Fi.</summary>
public static class Passwords
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(12, "passwords", "The admin password is changed before a box meets the live network, and never over open Wi-Fi.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        foreach (
            var id in step.After.Ledger.AtFactory.Where(b => step.After.Design.Box(b) is { } box && Weak(box) && Live.Has(step.After, b))
        )
        {
            yield return new([id], $"{step.After.Design.NameOf(id)} is on the live network with the password of its factory.");
        }
        if (
            step is { Act: SavePage save, Before.Laptop: { Cable: null, Wifi.Join: { Password: null } open } }
            && save.Changes.Any(c => c is SetPagePassword)
        )
        {
            yield return new([save.Box, open.Name], $"The admin password goes over \"{open.Name}\", which is open: use a cable.");
        }
    }

    /// <summary>One whose page answers at no address of its own can be set on the live network only.</summary>
    private static bool Weak(Box box) =>
        !PageAt.HasNone(box.Profile)
        && box.FactoryAddress is not null
        && box.Profile.Traits.Login is LoginHabit.SameForAll or LoginHabit.None or LoginHabit.SetAtFirst;
}
