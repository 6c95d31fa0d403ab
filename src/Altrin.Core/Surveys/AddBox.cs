using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes a piece of gear by its kind on the shelf. A gateway is taken to be in use at the line; anything else is not in use until it
/// is said to be in use, or how it is set or connected is said.
/// </summary>
/// <param name="Name">What the installer calls it.</param>
/// <param name="ShelfId">Its kind.</param>
public sealed record AddBox(string Name, string ShelfId) : Correction
{
    /// <summary>Its id; empty to have one made of its name.</summary>
    public string Id { get; init; } = "";

    /// <summary>MAC address on its label; null where not read.</summary>
    public MacAddress? Mac { get; init; }

    /// <summary>MAC address of its WAN side; null where not read.</summary>
    public MacAddress? WanMac { get; init; }

    /// <summary>Where it stands, or lies while it is not in use; null where not noted.</summary>
    public string? Place { get; init; }

    /// <summary>What lives in it beside the internet.</summary>
    public IReadOnlyList<LineService> Holds { get; init; } = [];

    /// <summary>What stands on its label.</summary>
    public LabelFacts Label { get; init; } = LabelFacts.Empty;

    /// <summary>What it holds where it is not in use.</summary>
    public StoredSettings Stored { get; init; } = StoredSettings.NotKnown;

    /// <summary>Whether it has yet to be bought: it is in no use, and nothing was read on its label.</summary>
    public bool ToBuy { get; init; }

    /// <summary>Whether it is in use; null for what is usual of its kind.</summary>
    public bool? InUse { get; init; }

    /// <summary>What it is set to; null for the first mode in which it connects as was said.</summary>
    public ModeKind? Mode { get; init; }

    /// <summary>How it is connected.</summary>
    public Connection Connection { get; init; } = Connection.NotSaid;

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (shelf.Find(ShelfId) is not { } profile)
        {
            return Parsed<HomeFile>.Fail($"There is no '{Ipv4Address.Shown(ShelfId)}' on the shelf.");
        }
        if (
            (
                Given.WrongName(Name)
                ?? (Id.Length > 0 ? Given.WrongNewId(home.Site, Id) : null)
                ?? Given.WrongPlace(home.Site, Place)
                ?? Given.WrongLabel(Label)
                ?? PageChecks.WrongStored(profile, Stored)
                ?? (
                    Stored != StoredSettings.NotKnown && (InUse == true || Mode is not null || Connection != Connection.NotSaid)
                        ? "What a box was left with is said of one that is not in use; how one in use is set is read on its page."
                        : null
                )
                ?? Given.WrongMac(home.Site, null, Mac, WanMac, Label.RadioMac)
                ?? (
                    InUse == false && (Mode is not null || Connection != Connection.NotSaid)
                        ? "A box that is not in use is neither set nor connected: either leave out 'spare', or how it is connected."
                        : null
                )
                ?? (
                    ToBuy
                    && (
                        InUse == true
                        || Mode is not null
                        || Connection != Connection.NotSaid
                        || Stored != StoredSettings.NotKnown
                        || Label != LabelFacts.Empty
                        || (Mac ?? WanMac) is not null
                    )
                        ? "What has yet to be bought is in no use, and its label was not read: leave out what is said of that."
                        : null
                )
                ?? (home.Site.Boxes.Count >= Site.MostBoxes ? $"At most {Site.MostBoxes:#,0} boxes are kept." : null)
            ) is
            { } wrong
        )
        {
            return Parsed<HomeFile>.Fail(wrong);
        }
        var id = Id.Length > 0 ? Id : Slugs.Of(Name, home.Site.Uses, "box");
        var box = new Box(id, Name.Trim(), profile, Mac, WanMac)
        {
            Holds = [.. Holds.Distinct().Order()],
            Label = Label,
            Place = Place,
            Stored = Stored,
            ToBuy = ToBuy,
        };
        var isHandOff =
            home.Site.Service.HandOff is null
            && !ToBuy
            && InUse != false
            && (profile.Kind == BoxKind.Gateway || Connection.To == PortRef.Street);
        var site = home.Site with
        {
            Boxes = [.. home.Site.Boxes, box],
            Service = isHandOff ? home.Site.Service with { HandOff = box.Id } : home.Site.Service,
        };
        var noted = home.With(site);
        // A gateway behind a box that only bridges is in use on it, as one at the line would be.
        var connection =
            InUse is null
            && !ToBuy
            && Mode is null
            && Connection == Connection.NotSaid
            && profile is { Kind: BoxKind.Gateway, Modes: [ModeKind.Router, ..] }
            && FreeBridge(home) is { } bridge
                ? new Connection(ConnectedBy.Cable, bridge, null)
                : Connection;
        return InUse ?? (isHandOff || Mode is not null || connection != Connection.NotSaid)
            ? noted
                .InEach(d => FirstUse.Of(d, box, Place, Mode, connection), d => FirstUse.Of(d, box, Place, Mode, Connection.NotSaid))
                .Then<HomeFile>(h => h.Assuming(id))
            : noted;
    }

    /// <summary>
    /// The box at the line where that can do nothing but bridge, feeds nothing yet and stands in this building; null where not so.
    /// </summary>
    private string? FreeBridge(HomeFile home) =>
        home.Site.Boxes.FirstOrDefault(b => b.Id == home.Site.Service.HandOff) is { } line
        && line.Profile.Modes.All(m => m == ModeKind.Bridge)
        && home.AsFound() is var found
        && found.SetUp.Boxes.FirstOrDefault(b => b.Box == line.Id) is { } there
        && FreePorts.SameBuilding(home.Site, there.Place, Place)
        && line.Profile.Ports.Where(p => p.Role == PortRole.Lan).Select(p => found.CableAt(new(line.Id, p.Id))).ToList()
            is { Count: > 0 } cables
        && cables.All(c => c is null)
            ? line.Id
            : null;

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Name} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf)
    {
        var id = Id.Length > 0 ? Id : Slugs.Of(Name, home.Site.Uses, "box");
        return
        [
            new(Setting.Box, id),
            new(Setting.InUse, id),
            new(Setting.Service, "", nameof(ServiceFacts.HandOff)),
            .. Given.Connected(home, ApplyTo(home, shelf)),
        ];
    }
}
