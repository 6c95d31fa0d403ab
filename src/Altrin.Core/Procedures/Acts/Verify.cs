using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>Something is looked at before one goes on; it is refused where the simulated network says that it is not so.</summary>
/// <param name="What">What.</param>
/// <param name="Of">Of which box or device; empty for what the laptop sees.</param>
public sealed record Verify(Verifiable What, string Of = "") : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Wrong(now) is { } wrong
            ? Refused(wrong)
            : One(now, Durations.Hand, l => l with { Verified = [.. l.Verified.Append(new(What, Of)).Distinct()] });

    private string? Wrong(State now)
    {
        var seen = now.Seen();
        switch (What)
        {
            case Verifiable.Internet:
                return PageReach.NoInternet(now);
            case Verifiable.Device:
                return seen.Internet.FirstOrDefault(i => i.Device == Of) is not { } internet
                        ? $"There is no device '{Ipv4Address.Shown(Of)}' in use."
                    : internet.Answer.IsYes ? null
                    : $"{now.Design.NameOf(Of)} has no internet: {internet.Answer.Why}";
            case Verifiable.Page:
                return PageOpens.Of(now, Of) is { Ok: false, Error: var error } ? error : null;
            case Verifiable.OneDhcpServer:
                var servers = (now.Laptop?.Adapters() ?? [])
                    .Select(a => seen.Network.Find(a.Owner, Side.Laptop))
                    .Where(i => i is { Linked: true })
                    .Select(i => seen.Network.Segment(i!.Segment).Servers.Count)
                    .ToList();
                return servers.Count == 0 ? "The laptop is connected to nothing."
                    : servers.All(s => s == 1) ? null
                    : $"{servers.First(s => s != 1)} DHCP servers answer where the laptop is.";
            case Verifiable.WifiName:
                return Air.Of(now.Design, Of).Count == 0 || now.Moment.Situation.Down().Contains(Of)
                    ? $"{now.Design.NameOf(Of)} sends no Wi-Fi."
                    : null;
            case Verifiable.MobileCall or Verifiable.AlarmOnTest:
                return Of.Length == 0 ? null : "That is said of the house, not of a box or device.";
            case Verifiable.Ipv6Off or Verifiable.Ipv6Kind:
                // What has no page is looked at in its application.
                return now.Design.Box(Of) is { Profile.Traits.App: not null } && Running(now, Of).Ok ? null
                    : PageOpens.LoggedIn(now, Of) is { Ok: false, Error: var closed } ? closed
                    : null;
            default:
                throw new InvalidOperationException($"{What} is not looked at.");
        }
    }

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        What switch
        {
            Verifiable.Internet => "See that the laptop has the internet",
            Verifiable.Device => $"See that {design.NameOf(Of)} has the internet",
            Verifiable.Page => $"See that the page of {design.NameOf(Of)} opens",
            Verifiable.OneDhcpServer => "See that exactly one DHCP server answers",
            Verifiable.MobileCall => "Make a call from this house with the mobile phone that stands in for the telephone",
            Verifiable.AlarmOnTest => "Ask the centre of the alarm to set it to test",
            Verifiable.Ipv6Off => $"See at {design.NameOf(Of)} that its IPv6 announcements and DHCPv6 server are off",
            Verifiable.Ipv6Kind => $"Tell {design.NameOf(Of)} how IPv6 arrives, as it was written down",
            _ => $"See the Wi-Fi name of {design.NameOf(Of)} on the air",
        };
}
