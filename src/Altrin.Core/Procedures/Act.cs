using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>
/// One thing that a person does on an evening: a pure function from a state to what may come of it. It expands into events and entries of
/// the ledger. The set is closed.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "act")]
[JsonDerivedType(typeof(AskProvider), "askProvider")]
[JsonDerivedType(typeof(Fetch), "fetch")]
[JsonDerivedType(typeof(RecordFacts), "record")]
[JsonDerivedType(typeof(TryLogin), "tryLogin")]
[JsonDerivedType(typeof(Export), "export")]
[JsonDerivedType(typeof(ResetBox), "reset")]
[JsonDerivedType(typeof(PowerOff), "powerOff")]
[JsonDerivedType(typeof(PowerOn), "powerOn")]
[JsonDerivedType(typeof(WaitFor), "wait")]
[JsonDerivedType(typeof(WaitUntilReady), "waitUntilReady")]
[JsonDerivedType(typeof(LaptopToPort), "laptopToPort")]
[JsonDerivedType(typeof(LaptopOutOfPort), "laptopOutOfPort")]
[JsonDerivedType(typeof(LaptopToWifi), "laptopToWifi")]
[JsonDerivedType(typeof(LaptopOffWifi), "laptopOffWifi")]
[JsonDerivedType(typeof(LaptopAddress), "laptopAddress")]
[JsonDerivedType(typeof(ClearTable), "clearTable")]
[JsonDerivedType(typeof(OpenPage), "openPage")]
[JsonDerivedType(typeof(SavePage), "save")]
[JsonDerivedType(typeof(FindPage), "findPage")]
[JsonDerivedType(typeof(SetInApp), "setInApp")]
[JsonDerivedType(typeof(PatchCable), "patch")]
[JsonDerivedType(typeof(UnpatchCable), "unpatch")]
[JsonDerivedType(typeof(CarryBox), "carry")]
[JsonDerivedType(typeof(PutBoxAway), "putAway")]
[JsonDerivedType(typeof(UpdateFirmware), "firmware")]
[JsonDerivedType(typeof(NewLink), "newLink")]
[JsonDerivedType(typeof(DeviceJoins), "deviceJoins")]
[JsonDerivedType(typeof(DeviceTakesAddress), "deviceTakesAddress")]
[JsonDerivedType(typeof(Verify), "verify")]
public abstract record Act
{
    /// <summary>How many outcomes an act has at most.</summary>
    public const int MostOutcomes = 4;

    /// <summary>Which of several outcomes is taken when it is played, from 1; null for the usual one.</summary>
    public int? Outcome { get; init; }

    /// <summary>
    /// What may come of it, the usual first: several only where it is not known what the kind of box does. Or why it cannot be done, in
    /// which case nothing changes.
    /// </summary>
    public abstract Parsed<IReadOnlyList<Outcome>> From(State now);

    /// <summary>The act as an installer would say it, such as "Reset Loft router".</summary>
    public abstract string Describe(Design design);

    /// <summary>What is typed, line by line; empty where the sentence says all of it.</summary>
    public virtual IReadOnlyList<PageField> Lines(Design design) => [];

    /// <summary>The one outcome of an act that takes some time and then is these events, each in the same second.</summary>
    private protected static Parsed<IReadOnlyList<Outcome>> One(State now, Duration takes, params Event[] events) =>
        One(now, takes, l => l, events);

    /// <summary>The same with what the ledger says then.</summary>
    private protected static Parsed<IReadOnlyList<Outcome>> One(
        State now,
        Duration takes,
        Func<Ledger, Ledger> note,
        params Event[] events
    ) => After(now, takes, note, events).Then<IReadOnlyList<Outcome>>(after => new[] { new Outcome(after, takes) });

    /// <summary>The state once the time of hands has passed and these events have happened.</summary>
    private protected static Parsed<State> After(State now, Duration takes, Func<Ledger, Ledger> note, params Event[] events) =>
        now
            .Moment.After([.. takes.Usual > TimeSpan.Zero ? [new Wait(takes.Usual)] : Array.Empty<Event>(), .. events])
            .Then<State>(moment => new State(moment, note(now.Ledger)));

    private protected static Parsed<IReadOnlyList<Outcome>> Refused(string why) => Parsed<IReadOnlyList<Outcome>>.Fail(why);

    /// <summary>The box that is on and in use, or why there is none such.</summary>
    private protected static Parsed<Box> Running(State now, string id) =>
        now.Design.Box(id) is not { } box ? Parsed<Box>.Fail(Missing.Box(now.Design, id))
        : now.Design.Mode(id) is null || now.Moment.Situation.Off.Contains(id) ? Parsed<Box>.Fail($"{box.Name} has no power.")
        : box;
}
