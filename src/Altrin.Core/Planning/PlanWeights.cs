namespace Altrin.Core.Planning;

/// <summary>
/// What each shortcoming of an option counts, in points: one point is a minute of work. Options are compared by their sums, the fewest
/// points first. All are common practice, and each can be set, 0 to <see cref="Most"/>.
/// </summary>
public sealed record PlanWeights
{
    /// <summary>What one thing can count at most.</summary>
    public const double Most = 10_000;

    /// <summary>The usual weights.</summary>
    public static PlanWeights Usual { get; } = new();

    /// <summary>Each weight by the name of its member, with what it is counted for in words.</summary>
    public IReadOnlyList<(string Name, string Says, double Points)> Told() =>
        [.. PlanScore.Weighed(this).Select(c => (c.Weight, c.Says, c.Each))];

    /// <summary>A need that is not met, or a device without internet.</summary>
    public double Missed { get; init; } = 1000;

    /// <summary>A finding that means that something will not work, and that follows from no other one.</summary>
    public double WillNotWork { get; init; } = 300;

    /// <summary>A finding that is worth knowing, and that follows from no other one.</summary>
    public double Concern { get; init; } = 15;

    /// <summary>A box that lives on power from the cable and gets too little, beside the finding: an injector is missing.</summary>
    public double Unpowered { get; init; } = 30;

    /// <summary>A place in which Wi-Fi is too weak for pages, where someone may want it.</summary>
    public double WeakPlace { get; init; } = 60;

    /// <summary>A place in which Wi-Fi is good for pages and not for calls.</summary>
    public double PagesPlace { get; init; } = 20;

    /// <summary>A device that gets half of the service, once more for each further half.</summary>
    public double HalfRate { get; init; } = 10;

    /// <summary>A radio link between boxes.</summary>
    public double RadioHop { get; init; } = 15;

    /// <summary>A radio link between boxes that is received below -70 dBm: not to be built on.</summary>
    public double WeakLink { get; init; } = 100;

    /// <summary>A further NAT on the way of a device, or a router behind a router that would be one for what joins it.</summary>
    public double FurtherNat { get; init; } = 20;

    /// <summary>A node of a kit that is used apart from it, so that devices no longer move about by the kit's own means.</summary>
    public double ApartFromKit { get; init; } = 30;

    /// <summary>A departure from the installer's way of working.</summary>
    public double Departure { get; init; } = 30;

    /// <summary>Something that the provider has to say or do first: it is not done tonight.</summary>
    public double ProviderAsked { get; init; } = 40;

    /// <summary>A customer's device that has to be touched.</summary>
    public double DeviceTouched { get; init; } = 10;

    /// <summary>A minute of the hands' work.</summary>
    public double Minute { get; init; } = 1;

    /// <summary>A minute in which the home is offline.</summary>
    public double MinuteOffline { get; init; } = 1;

    /// <summary>A cable that has to be laid from one place to another.</summary>
    public double CableLaid { get; init; } = 60;

    /// <summary>A metre of it.</summary>
    public double CableMetre { get; init; } = 2;

    /// <summary>A box in use: it can fail, and has to be kept up to date.</summary>
    public double BoxInUse { get; init; } = 5;

    /// <summary>A kilowatt-hour that the boxes in use draw in a year.</summary>
    public double KilowattHour { get; init; } = 0.1;

    /// <summary>A box that is in use today and is taken away: what works is not changed without need.</summary>
    public double BoxTakenAway { get; init; } = 40;

    /// <summary>A box that is in use today and is carried to another place.</summary>
    public double BoxMoved { get; init; } = 5;

    /// <summary>A box that has to be bought: it costs, and comes another day.</summary>
    public double BoxToBuy { get; init; } = 60;

    /// <summary>An injector that has to be bought: a small thing, without which a box that is there stays dark.</summary>
    public double InjectorToBuy { get; init; } = 15;
}
