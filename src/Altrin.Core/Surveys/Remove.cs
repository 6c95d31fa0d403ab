using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Takes something out of the survey, and out of every set-up. What leaned on it is let go: a box that joined it by radio goes on the
/// shelf, a device that was on its Wi-Fi forgets that, a need that was about it is gone.
/// </summary>
public sealed record Remove(string Id) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (!home.Site.Uses(Id))
        {
            return Parsed<HomeFile>.Fail($"There is nothing called '{Ipv4Address.Shown(Id)}'.");
        }
        if (home.Site.Buildings is [var main, _, ..] && main.Id == Id)
        {
            return Parsed<HomeFile>.Fail($"{main.Name} is the main house; it stays while another building is noted.");
        }
        var site = home.Site;
        var runs = site.Runs.Where(r => r.Id != Id && r.A != Id && r.B != Id).ToList();
        var left = site with
        {
            Service = site.Service.HandOff == Id ? site.Service with { HandOff = null } : site.Service,
            Boxes = [.. site.Boxes.Where(b => b.Id != Id).Select(b => b.Place == Id ? b with { Place = null } : b)],
            Devices = [.. site.Devices.Where(d => d.Id != Id).Select(d => d.Place == Id ? d with { Place = null } : d)],
            Needs = [.. site.Needs.Where(n => n.Id != Id && n.About != Id)],
            Buildings = [.. site.Buildings.Where(b => b.Id != Id)],
            Places = [.. site.Places.Where(p => p.Id != Id).Select(p => p.Building == Id ? p with { Building = null } : p)],
            Sockets = [.. site.Sockets.Where(s => s.Id != Id).Select(s => s.Place == Id ? s with { Place = null } : s)],
            Runs = runs,
            Speeds =
            [
                .. site
                    .Speeds.Where(s => s.Id != Id && s.Box != Id && s.From != Id && s.To != Id)
                    .Select(s => s with { Place = s.Place == Id ? null : s.Place, StoodIn = s.StoodIn == Id ? null : s.StoodIn }),
            ],
        };
        return home.InEach(d => LetGo(d, runs)).With(left);
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{new Design(home.Site, home.Foremost).NameOf(Id)} is taken out of the survey";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => Removal.Touches(home, Id);

    private SetUp LetGo(Design design, List<CableRun> runs)
    {
        var gone =
            design.Box(Id) is null && design.Device(Id) is null ? [] : Removal.Leaning(design.SetUp, Id).Append(Id).Distinct().ToList();
        var setUp = gone.Aggregate(design.SetUp, (at, id) => new TakeOutOfUse(id).ApplyTo(design with { SetUp = at }).Value);
        return setUp with
        {
            Boxes = [.. setUp.Boxes.Select(b => b with { Place = b.Place == Id ? null : b.Place, Mode = Free(b.Mode) })],
            Devices = [.. setUp.Devices.Select(d => d.Wifi?.Box == Id ? d with { Wifi = null } : d)],
            Cables =
            [
                .. setUp.Cables.Select(c =>
                    c.Run is { } run && runs.All(r => r.Id != run) ? c with { Known = c.Known with { Run = null } } : c
                ),
            ],
        };
    }

    private BoxMode Free(BoxMode mode) =>
        mode switch
        {
            RouterMode router => router with { Uplink = router.Uplink?.Box == Id ? null : router.Uplink, Wifi = Untold(router.Wifi) },
            SatelliteMode satellite when satellite.By == Id => satellite with { By = null },
            _ => mode.WithRadios(Untold(mode.Radios)),
        };

    private IReadOnlyList<RadioSetting> Untold(IReadOnlyList<RadioSetting> radios) =>
        radios.Any(r => r.WdsPeers.Contains(Id))
            ? [.. radios.Select(r => r with { WdsPeers = [.. r.WdsPeers.Where(p => p != Id)] })]
            : radios;
}
