using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// One small act on what is given: the site. The set is closed. Where a <see cref="Changes.Change"/> alters one set-up and never the
/// site, a correction alters the site and with it every set-up that speaks of what it alters.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(SetHome), "setHome")]
[JsonDerivedType(typeof(SetService), "setService")]
[JsonDerivedType(typeof(AddBox), "addBox")]
[JsonDerivedType(typeof(SetBox), "setBox")]
[JsonDerivedType(typeof(SetLabel), "setLabel")]
[JsonDerivedType(typeof(SetStored), "setStored")]
[JsonDerivedType(typeof(SetFound), "setFound")]
[JsonDerivedType(typeof(SetHouseWifi), "setHouseWifi")]
[JsonDerivedType(typeof(UseBox), "useBox")]
[JsonDerivedType(typeof(TakeProfile), "takeProfile")]
[JsonDerivedType(typeof(AddDevice), "addDevice")]
[JsonDerivedType(typeof(SetDevice), "setDevice")]
[JsonDerivedType(typeof(SetBuilding), "setBuilding")]
[JsonDerivedType(typeof(SetPlace), "setPlace")]
[JsonDerivedType(typeof(SetSocket), "setSocket")]
[JsonDerivedType(typeof(SetRun), "setRun")]
[JsonDerivedType(typeof(SetNeed), "setNeed")]
[JsonDerivedType(typeof(KeepSpeed), "keepSpeed")]
[JsonDerivedType(typeof(Remove), "remove")]
[JsonDerivedType(typeof(StartPlan), "startPlan")]
[JsonDerivedType(typeof(RemoveSetUp), "removeSetUp")]
public abstract record Correction
{
    /// <summary>The home after the act, or why it cannot be made.</summary>
    public abstract Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf);

    /// <summary>The act as an installer would say it, such as "Loft router is noted".</summary>
    public abstract string Describe(HomeFile home);

    /// <summary>
    /// Every setting that it may alter in a home, in the survey and in every set-up; whatever is not covered by these stays as it is, to
    /// the letter.
    /// </summary>
    public abstract IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf);
}

/// <summary>Applies corrections one after another.</summary>
public static class CorrectionList
{
    /// <summary>How many corrections can be made at once.</summary>
    public const int Most = 1000;

    /// <summary>The home after all of them, or why one of them cannot be made; then none is.</summary>
    public static Parsed<HomeFile> Apply(HomeFile home, Shelf shelf, IReadOnlyList<Correction> corrections) =>
        corrections.Count > Most
            ? Parsed<HomeFile>.Fail($"At most {Most} corrections are made at once.")
            : corrections.Aggregate((Parsed<HomeFile>)home, (at, c) => at.Then(h => c.ApplyTo(h, shelf)));

    /// <summary>What they do, in words: the first, and how many more.</summary>
    public static string Describe(HomeFile home, IReadOnlyList<Correction> corrections) =>
        corrections switch
        {
            [] => "Nothing",
            [var one] => one.Describe(home),
            _ => $"{corrections[0].Describe(home)}, and {corrections.Count - 1} more",
        };
}
