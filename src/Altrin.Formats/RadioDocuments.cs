using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>A radio of a box.</summary>
public sealed record RadioDocument
{
    /// <summary>Slug, unique on the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Id { get; init; }

    /// <summary>Where it sends.</summary>
    [Required]
    public required RadioBand Band { get; init; }

    /// <summary>The channels that it can be set to where it stands; not read where left out. Since version 4.</summary>
    [MaxLength(64)]
    public IReadOnlyList<int>? Channels { get; init; }

    /// <summary>The newest protection that it knows as a client; not read where left out. Since version 4.</summary>
    public WifiSecurity? NewestSecurity { get; init; }

    /// <summary>Whether it takes frames with four addresses; not known where left out. Since version 4.</summary>
    public bool? FourAddress { get; init; }

    /// <summary>Its generation; not read where left out. Since version 5.</summary>
    public WifiGeneration? Generation { get; init; }

    /// <summary>How many spatial streams it has. Since version 5.</summary>
    [Range(1, 16)]
    public int? Streams { get; init; }

    /// <summary>The widest channel that it can use, in MHz. Since version 5.</summary>
    [Range(20, 320)]
    public int? WidestMhz { get; init; }
}

/// <summary>How one radio is set.</summary>
public sealed record RadioSettingDocument
{
    /// <summary>Which radio of the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Radio { get; init; }

    /// <summary>Whether it sends.</summary>
    [Required]
    public required bool On { get; init; }

    /// <summary>The network's name (SSID): 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it is protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key; never the key itself.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>The channel that it is fixed to; the box chooses where left out. Since version 4.</summary>
    [Range(1, HeardNetwork.HighestChannel)]
    public int? Channel { get; init; }

    /// <summary>The width of its channel in MHz; the box chooses where left out. Since version 4.</summary>
    [Range(20, 320)]
    public int? WidthMhz { get; init; }

    /// <summary>Whether it leaves its name out of what it announces; no where left out. Since version 4.</summary>
    public bool? Hidden { get; init; }

    /// <summary>Protected management frames; what the security brings along where left out. Since version 4.</summary>
    public FrameProtection? ProtectsFrames { get; init; }

    /// <summary>Boxes whose radio address is typed in for WDS; none where left out. Since version 4.</summary>
    [MaxLength(8)]
    public IReadOnlyList<string>? WdsPeers { get; init; }
}

/// <summary>A radio link by which a box joins another. Since version 4.</summary>
public sealed record UplinkDocument
{
    /// <summary>Which of its radios.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Radio { get; init; }

    /// <summary>The box that it is meant to join.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Box { get; init; }

    /// <summary>The name that it looks for: 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it expects that to be protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key that was typed.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>How frames cross it.</summary>
    [Required]
    public required UplinkFrames Frames { get; init; }

    /// <summary>WDS: the channel that its own radio is fixed to.</summary>
    [Range(1, HeardNetwork.HighestChannel)]
    public int? Channel { get; init; }

    /// <summary>WDS: the width that its own radio is fixed to, in MHz.</summary>
    [Range(20, 320)]
    public int? WidthMhz { get; init; }

    /// <summary>Whether it joins that very radio and no other of the name; no where left out.</summary>
    public bool? Locked { get; init; }
}

/// <summary>Whose satellite a box is. Since version 4.</summary>
public sealed record SatelliteDocument
{
    /// <summary>The main node of its kit.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Main { get; init; }

    /// <summary>The node that it joins for want of a cable; by cable only where left out.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? By { get; init; }
}

/// <summary>To whom a gateway passes its public address. Since version 4.</summary>
public sealed record PassingDocument
{
    /// <summary>By what it knows the box.</summary>
    [Required]
    public required PassKind Kind { get; init; }

    /// <summary>By port: which of its ports.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Port { get; init; }

    /// <summary>By MAC address or mapping: whose.</summary>
    [StringLength(17)]
    public string? To { get; init; }
}

/// <summary>What is typed into a router for its line. Since version 4.</summary>
public sealed record LineSettingDocument
{
    /// <summary>Whether the provider's login is typed in; no where left out.</summary>
    public bool? Login { get; init; }

    /// <summary>The VLAN tag; none where left out.</summary>
    [Range(1, Limits.VlanTag)]
    public int? Tag { get; init; }

    /// <summary>A MAC address that it shows instead of its own.</summary>
    [StringLength(17)]
    public string? Mac { get; init; }
}

/// <summary>What a line asks for. A member left out was not asked. Since version 4.</summary>
public sealed record LineNeedsDocument
{
    /// <summary>Whether it asks for a login (PPPoE).</summary>
    public bool? Login { get; init; }

    /// <summary>Whether it asks for a VLAN tag.</summary>
    public bool? Tagged { get; init; }

    /// <summary>Which tag, where known.</summary>
    [Range(1, Limits.VlanTag)]
    public int? Tag { get; init; }

    /// <summary>Whether it lets only one MAC address on.</summary>
    public bool? Locked { get; init; }

    /// <summary>Which one, where known.</summary>
    [StringLength(17)]
    public string? LockedTo { get; init; }

    /// <summary>The name to log in with. Since version 5.</summary>
    [StringLength(Limits.Name, MinimumLength = 1)]
    public string? Account { get; init; }

    /// <summary>Reference to the password of the login. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }
}

/// <summary>What one port of a managed switch does with VLANs. Since version 4.</summary>
public sealed record PortVlansDocument
{
    /// <summary>Which port.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Port { get; init; }

    /// <summary>The VLAN of frames without a tag; 1 is the home's own.</summary>
    [Required, Range(1, Limits.VlanTag)]
    public required int Untagged { get; init; }

    /// <summary>VLANs that come and go with their tag; none where left out.</summary>
    [MaxLength(64)]
    public IReadOnlyList<int>? Tagged { get; init; }
}
