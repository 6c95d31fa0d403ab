using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>
/// What calls out through the line is not cut off before what stands in for it is ready: a mobile phone that made a call from this house,
/// an alarm that its centre has set to test.
/// </summary>
public static class Fallbacks
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            16,
            "telephone-and-alarm",
            "Before telephone or alarm go silent a mobile phone has made a call from this house, and the alarm is set to test.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var (now, design) = (step.After, step.After.Design);
        foreach (var service in Services(design.Site).Where(s => s != LineService.Television))
        {
            var ready = For(service);
            var carrier = design.Site.Boxes.FirstOrDefault(b => b.Holds.Contains(service)) ?? Live.Gateway(design);
            if (now.Ledger.Verified.All(v => v.What != ready) && (carrier is null || !IsOnline(now, carrier.Id)))
            {
                yield return new(
                    [carrier?.Id ?? PortRef.Street, $"{service}"],
                    service == LineService.Alarm
                        ? "The alarm is cut off, and its centre has not set it to test."
                        : "The telephone is cut off, and no mobile phone has made a call from this house yet."
                );
            }
        }
    }

    /// <summary>What has to be ready in a home before anything in it goes silent.</summary>
    internal static IEnumerable<Verifiable> Wanted(Site site) =>
        Services(site).Where(s => s != LineService.Television).Select(For).Distinct();

    private static Verifiable For(LineService service) => service == LineService.Alarm ? Verifiable.AlarmOnTest : Verifiable.MobileCall;

    private static IEnumerable<LineService> Services(Site site) =>
        site.Needs.OfType<ServiceLives>().Select(n => n.Service).Concat(site.Boxes.SelectMany(b => b.Holds)).Distinct().Order();

    private static bool IsOnline(State now, string box) =>
        !now.Moment.Situation.Down().Contains(box)
        && now.Seen().Network.Find(box, Side.Wan) is { Linked: true } wan
        && now.Seen().Tracer.ToInternet(wan).Answer.IsYes;
}
