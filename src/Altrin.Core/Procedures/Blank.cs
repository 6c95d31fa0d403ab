using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What can be blank on a sheet: asked for by one step, and referred to by later ones.</summary>
public enum BlankKind
{
    /// <summary>The address that a box's page was leased.</summary>
    PageAddress,

    /// <summary>The MAC address on the label of a box.</summary>
    MacAddress,

    /// <summary>The password on the label of a box.</summary>
    LabelPassword,

    /// <summary>The login of a box that was set up before.</summary>
    Login,
}

/// <summary>A value that is not known yet: until it is filled it is a line to write on.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Box">Of which box.</param>
/// <param name="Example">What the simulated network has in its place, to be marked as an example; null where it has none.</param>
public sealed record Blank(BlankKind Kind, string Box, string? Example)
{
    /// <summary>The blanks of a state that are not filled, by box.</summary>
    public static IReadOnlyList<Blank> Of(State now) =>
        [.. now.Design.SetUp.Boxes.Select(b => now.Design.Box(b.Box)!).Where(b => !PageAt.HasNone(b.Profile)).SelectMany(b => Of(now, b))];

    /// <summary>It in words, such as "address of the page of Loft router".</summary>
    public string Says(Design design) =>
        Kind switch
        {
            BlankKind.PageAddress => $"address of the page of {design.NameOf(Box)}",
            BlankKind.MacAddress => $"MAC address on the label of {design.NameOf(Box)}",
            BlankKind.LabelPassword => $"password on the label of {design.NameOf(Box)}",
            _ => $"login of {design.NameOf(Box)}",
        };

    private static IEnumerable<Blank> Of(State now, Box box)
    {
        if (box.Mac is null && box.WanMac is null)
        {
            yield return new(BlankKind.MacAddress, box.Id, null);
        }
        var factory = now.Ledger.AtFactory.Contains(box.Id);
        if (Login.Lacking(now, box) is not null)
        {
            yield return new(
                factory && box.Profile.Traits.Login == LoginHabit.OnLabel ? BlankKind.LabelPassword : BlankKind.Login,
                box.Id,
                null
            );
        }
        if (LeasedPage(now, box.Id) is { } address)
        {
            yield return new(BlankKind.PageAddress, box.Id, $"{address}");
        }
    }

    /// <summary>The address that the page of a box was leased and at which it was not found yet; null where its address is known.</summary>
    internal static Ipv4Address? LeasedPage(State now, string box)
    {
        var (network, leasing) = (now.Seen().Network, now.Seen().Leasing);
        return
            network.Find(box, Side.Page) is { Setting: Automatic, Linked: true } page
            && leasing.Holdings(page) is [{ Exact: { } address }]
            // A reservation says what it is, once it was asked for anew.
            && network.Segment(page.Segment).Servers.All(s => s.Reservations.All(r => r.Mac != page.Mac || r.Address != address))
            && now.Ledger.Found.All(f => f.Box != box || f.Address != address)
            ? address
            : null;
    }
}
