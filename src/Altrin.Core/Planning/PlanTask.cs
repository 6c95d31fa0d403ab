using Altrin.Core.Planning.Moves;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What options are asked for.</summary>
/// <param name="Found">The home as it was found.</param>
public sealed record PlanTask(Design Found)
{
    /// <summary>
    /// What a box that is not what was asked of it counts in a search, in points: more than all that can speak against an option.
    /// </summary>
    internal const double NotAsWanted = 1e7;

    /// <summary>How many set-ups are proven at most where nothing is said: a home of twelve boxes takes some thousands.</summary>
    public const int UsualProofs = 6000;

    /// <summary>The installer's way of working.</summary>
    public Ways Ways { get; init; } = Ways.Usual;

    /// <summary>What counts how much.</summary>
    public PlanWeights Weights { get; init; } = PlanWeights.Usual;

    /// <summary>Kinds of boxes that can be had where needs are not met with what is there; empty where nothing is to be bought.</summary>
    public IReadOnlyList<Profile> Shelf { get; init; } = [];

    /// <summary>How many set-ups are proven at most.</summary>
    public int MostProofs { get; init; } = UsualProofs;

    /// <summary>What some boxes have to become, by id, whatever speaks against it; empty where the search is free.</summary>
    public IReadOnlyDictionary<string, RoleKind> Wanted { get; init; } = new Dictionary<string, RoleKind>();

    /// <summary>What the home's Wi-Fi is called.</summary>
    internal HomeName? Name { get; init; } = HomeName.Of(Found);

    /// <summary>Whether a router may be put behind a router on purpose: only where that is the way, or is asked for.</summary>
    internal bool Cascades => Ways.WantsRouters || Wanted.Values.Contains(RoleKind.Cascade);

    /// <summary>The same for the home with its Wi-Fi named by the installer's way, where that says more than the survey.</summary>
    internal PlanTask Named() =>
        Ways.Names switch
        {
            NamesSchool.OneName => Named(NamingSchool.OneName),
            NamesSchool.OnePerBox => Named(NamingSchool.OnePerBox),
            NamesSchool.OnePerBand => Named(NamingSchool.OnePerBand),
            _ => this,
        };

    private PlanTask Named(NamingSchool naming) => this with { Found = Found with { Site = Found.Site with { Naming = naming } } };

    /// <summary>What routers in use that are not at the line become by the installer's way; none where it says nothing of them.</summary>
    internal IEnumerable<KeyValuePair<string, RoleKind>> InMyWay()
    {
        RoleKind? kind = Ways.Further switch
        {
            FurtherSchool.LanToLan => RoleKind.LanToLan,
            FurtherSchool.AccessPointMode => RoleKind.AccessPoint,
            FurtherSchool.Cascade => RoleKind.Cascade,
            _ => null,
        };
        var line = GatewayMoves.LineBox(Found)?.Id;
        return kind is not { } way
            ? []
            : Found
                .SetUp.Boxes.Where(b => b.Box != line && Found.Box(b.Box)!.Profile is { Kind: BoxKind.Router or BoxKind.Gateway })
                .Select(b => KeyValuePair.Create(b.Box, way));
    }

    /// <summary>How many boxes are not what was asked of them.</summary>
    internal int Unmet(IReadOnlyList<BoxRole> roles) => Wanted.Count(w => roles.First(r => r.Box == w.Key).Kind != w.Value);
}
