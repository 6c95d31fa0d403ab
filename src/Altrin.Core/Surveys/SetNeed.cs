using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Notes or corrects something that the customer asked for; an empty id is made anew.</summary>
public sealed record SetNeed(Need Need) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var need = Need with { Id = IdIn(home) };
        return
            (Wrong(home.Site, need) ?? Given.WrongId(home.Site, need.Id, [.. home.Site.Needs.Select(n => n.Id)], Site.MostNeeds, "needs"))
                is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Needs = Given.With(home.Site.Needs, need, n => n.Id) });
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        NeedWords.Of(new(home.Site, home.Foremost), Need) is var (subject, asked) ? $"Asked for: {subject} {asked}" : "";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.Need, IdIn(home))];

    private string IdIn(HomeFile home) =>
        Need.Id.Length > 0 ? Need.Id : Slugs.Of($"{NeedKindWords.Of(Need)} {Need.About}", home.Site.Uses, "need");

    private static string? Wrong(Site site, Need need) =>
        site.Needs.Any(n => n.Id != need.Id && n with { Id = need.Id } == need)
            ? "That is asked for already."
            : need switch
            {
                DeviceNeed { Device: var device } when site.Devices.All(d => d.Id != device) =>
                    $"There is no device '{Ipv4Address.Shown(device)}'.",
                ReachFromOutside reach => PageChecks.WrongTransportPort(reach.Port) ?? WrongOutside(reach),
                CallsInPlace calls => Given.WrongPlace(site, calls.Place),
                KeepsNameAndPassword keeps => PageChecks.WrongNetworkName(keeps.Name) ?? PageChecks.WrongKeyReference(keeps.Password),
                _ => null,
            };

    private static string? WrongOutside(ReachFromOutside reach) =>
        reach.OutsidePort is not { } outside ? null
        : PageChecks.WrongTransportPort(outside) is { } wrong ? wrong
        : outside == reach.Port ? "Outside and on the device it is one port: leave the outside port out."
        : reach.AsksItself ? "A device that asks its router for a port itself asks for its own."
        : null;
}
