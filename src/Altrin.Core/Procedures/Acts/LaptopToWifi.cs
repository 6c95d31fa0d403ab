using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop joins a Wi-Fi; what is in its socket stays there.</summary>
/// <param name="Box">The box whose radio it hears.</param>
/// <param name="Name">The name.</param>
/// <param name="Password">Reference to the password that is typed; null for an open network.</param>
public sealed record LaptopToWifi(string Box, string Name, string? Password = null) : Act
{
    /// <summary>The laptop, within a sentence.</summary>
    private const string Self = "the laptop";

    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        One(
                now,
                Durations.LaptopSetting,
                l => l with { OffHouseWifi = false },
                new MoveLaptop(new(now.Laptop?.Cable, new(new(Box, Name, Password), new Automatic())))
            )
            .Then<IReadOnlyList<Outcome>>(o => KeptOut(o[0].After) is { } why ? Refused(why) : new[] { o[0] });

    /// <summary>What the laptop says at once where it does not get in; null where it does.</summary>
    private string? KeptOut(State after)
    {
        if (after.Seen().Network.Find(Laptop.WifiId, Side.Laptop) is { Linked: true })
        {
            return null;
        }
        IReadOnlyList<Air> sent = after.Moment.Situation.Silent().Contains(Box) ? [] : Air.Of(after.Design, Box);
        return Association.OfDevice(sent, new(Box, Name, Password), null) is { } why
            ? Sentence(RefusalWords.Of(why, Self, Name, after.Design.NameOf(Box)))
            : $"The laptop does not get into \"{Ipv4Address.Shown(Name)}\".";
    }

    private static string Sentence(string says) => says.StartsWith(Self, StringComparison.Ordinal) ? $"T{says[1..]}." : $"{says}.";

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Join \"{Name}\" of {design.NameOf(Box)} with the laptop";
}
