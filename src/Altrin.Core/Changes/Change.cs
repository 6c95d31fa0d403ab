using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// One small act on a set-up. The set is closed: gestures, remedies, undo labels and comparisons all speak it.
/// A change never touches the site, which is given.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SetMode), "setMode")]
[JsonDerivedType(typeof(SetLanAddress), "setLanAddress")]
[JsonDerivedType(typeof(SetPageAddress), "setPageAddress")]
[JsonDerivedType(typeof(SetWan), "setWan")]
[JsonDerivedType(typeof(SetRadio), "setRadio")]
[JsonDerivedType(typeof(SetGuest), "setGuest")]
[JsonDerivedType(typeof(RemoveGuest), "removeGuest")]
[JsonDerivedType(typeof(SetPointGuest), "setPointGuest")]
[JsonDerivedType(typeof(RemovePointGuest), "removePointGuest")]
[JsonDerivedType(typeof(SetUplink), "setUplink")]
[JsonDerivedType(typeof(RemoveUplink), "removeUplink")]
[JsonDerivedType(typeof(SetSatellite), "setSatellite")]
[JsonDerivedType(typeof(SetPortVlans), "setPortVlans")]
[JsonDerivedType(typeof(SetPassing), "setPassing")]
[JsonDerivedType(typeof(SetLine), "setLine")]
[JsonDerivedType(typeof(SetNat), "setNat")]
[JsonDerivedType(typeof(SetDmz), "setDmz")]
[JsonDerivedType(typeof(SetPortRequests), "setPortRequests")]
[JsonDerivedType(typeof(AddRoute), "addRoute")]
[JsonDerivedType(typeof(RemoveRoute), "removeRoute")]
[JsonDerivedType(typeof(SwitchDhcpServer), "switchDhcpServer")]
[JsonDerivedType(typeof(MovePool), "movePool")]
[JsonDerivedType(typeof(SetServerGateway), "setServerGateway")]
[JsonDerivedType(typeof(SetDnsServers), "setDnsServers")]
[JsonDerivedType(typeof(SetLeaseTime), "setLeaseTime")]
[JsonDerivedType(typeof(SetServerDomain), "setServerDomain")]
[JsonDerivedType(typeof(Reserve), "reserve")]
[JsonDerivedType(typeof(RemoveReservation), "removeReservation")]
[JsonDerivedType(typeof(AddForward), "addForward")]
[JsonDerivedType(typeof(RemoveForward), "removeForward")]
[JsonDerivedType(typeof(SetDeviceAddress), "setDeviceAddress")]
[JsonDerivedType(typeof(JoinWifi), "joinWifi")]
[JsonDerivedType(typeof(Patch), "patch")]
[JsonDerivedType(typeof(SetCable), "setCable")]
[JsonDerivedType(typeof(Unpatch), "unpatch")]
[JsonDerivedType(typeof(TakeOutOfUse), "takeOutOfUse")]
[JsonDerivedType(typeof(PlaceBox), "placeBox")]
[JsonDerivedType(typeof(SetPagePassword), "setPagePassword")]
[JsonDerivedType(typeof(AcceptFinding), "acceptFinding")]
[JsonDerivedType(typeof(TakeBackAcceptance), "takeBackAcceptance")]
public abstract record Change
{
    /// <summary>The set-up after the act, or why the boxes would not accept it.</summary>
    public abstract Parsed<SetUp> ApplyTo(Design design);

    /// <summary>The act as an installer would say it, such as "Loft router becomes an access point".</summary>
    public abstract string Describe(Design design);

    /// <summary>Ids of the boxes, devices and cables, and names of the ports, that it is about.</summary>
    public abstract IReadOnlyList<string> Subjects();

    /// <summary>
    /// Every setting that it may alter in a design, what follows from it by itself included; whatever is not covered by these stays as
    /// it is, to the letter.
    /// </summary>
    public abstract IReadOnlyList<Touch> Touches(Design design);
}

/// <summary>Applies changes one after another.</summary>
public static class ChangeList
{
    /// <summary>How many changes one gesture may carry.</summary>
    public const int Most = 200;

    /// <summary>The design after all changes, or the first refusal, which names its place in the list when there are several.</summary>
    public static Parsed<Design> Apply(Design design, IReadOnlyList<Change> changes)
    {
        if (changes.Count > Most)
        {
            return Parsed<Design>.Fail($"{changes.Count} changes at once; at most {Most} are taken.");
        }
        for (var i = 0; i < changes.Count; i++)
        {
            var applied = changes[i].ApplyTo(design);
            if (!applied.Ok)
            {
                return Parsed<Design>.Fail(changes.Count == 1 ? applied.Error : $"Change {i + 1} of {changes.Count}: {applied.Error}");
            }
            design = design with { SetUp = applied.Value };
        }
        return design;
    }

    /// <summary>One label for a list of changes: the first act, and how many follow.</summary>
    public static string Describe(Design design, IReadOnlyList<Change> changes) =>
        changes.Count switch
        {
            0 => "Nothing",
            1 => changes[0].Describe(design),
            _ => $"{changes[0].Describe(design)} and {changes.Count - 1} more",
        };
}
