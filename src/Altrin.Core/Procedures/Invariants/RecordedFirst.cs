using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>What the gateway holds is written down, and its login tried, before anything of it is changed.</summary>
public static class RecordedFirst
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(1, "recorded-first", "What the gateway holds is written down, and its login tried, before its first change.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        var design = step.Before.Design;
        if (Live.Gateway(design) is not { } gateway || Live.ChangedBy(step.Act) != gateway.Id)
        {
            yield break;
        }
        foreach (var lacking in Wanted(design, gateway).Where(w => !step.Before.Ledger.Recorded.Contains(new(gateway.Id, w))))
        {
            yield return new(
                [gateway.Id, $"{lacking}"],
                $"{gateway.Name} is changed, and this was not written down: {LedgerWords.Of(lacking)}."
            );
        }
        // Once it was reset there is nothing left to lose, and its label says how one gets in.
        var ledger = step.Before.Ledger;
        if (!ledger.Logins.Contains(gateway.Id) && !ledger.AtFactory.Contains(gateway.Id) && !PageAt.HasNone(gateway.Profile))
        {
            yield return new([gateway.Id, "login"], $"{gateway.Name} is changed, and its login was not tried.");
        }
    }

    /// <summary>What has to be written down of a gateway.</summary>
    internal static IEnumerable<Recordable> Wanted(Design design, Box gateway)
    {
        var (line, router) = (design.Site.Service.Line, design.Mode(gateway.Id) as RouterMode);
        yield return Recordable.Pages;
        yield return Recordable.WanMac;
        yield return Recordable.Ipv4Kind;
        yield return Recordable.Ipv6Prefix;
        yield return Recordable.LineRate;
        if (line.Login != Known.No)
        {
            yield return Recordable.WanLogin;
        }
        if (line.Tagged != Known.No)
        {
            yield return Recordable.VlanTag;
        }
        if (line.Locked != Known.No)
        {
            yield return Recordable.MacLock;
        }
        if (router is { Forwards.Count: > 0 })
        {
            yield return Recordable.Forwards;
        }
        if (gateway.Holds.Count > 0)
        {
            yield return Recordable.Telephone;
        }
    }
}
