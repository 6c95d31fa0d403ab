using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>
/// The card of the evening: from the state after a step back to how the home was found. It is the same derivation with the set-up at the
/// start as its plan; boxes that this one does not use are unplugged first.
/// </summary>
/// <param name="Sheet">What is done, step by step.</param>
/// <param name="Differs">What a customer's device has otherwise than in the morning, in sentences: another leased address is none.</param>
public sealed record WayBack(RunSheet Sheet, IReadOnlyList<string> Differs)
{
    /// <summary>How long hands should be busy at the main box at most (common practice).</summary>
    public static TimeSpan MostAtMainBox { get; } = TimeSpan.FromMinutes(5);

    /// <summary>
    /// How long before the evening, or the provider's hotline, ends the step before it has to begin at the latest: as long as the step and
    /// the way back from it can take. Null where that step takes the internet from no device and can be undone by itself.
    /// </summary>
    public TimeSpan? BeginBefore { get; private init; }

    /// <summary>What its length comes to, of each step of the sheets that are still in use.</summary>
    private static readonly ConditionalWeakTable<RunSheet, ConcurrentDictionary<int, BackTimes>> Known = [];

    /// <summary>Whether it leads back to how the home was found, and every device has what it had.</summary>
    public bool IsWhole => Sheet.Missing.Count == 0 && Sheet.Play.Left.Count == 0 && Differs.Count == 0;

    /// <summary>How long hands are busy at the box at the line, waits apart.</summary>
    public TimeSpan AtMainBox =>
        Live.Gateway(Sheet.Aim.Planned.Design) is not { } main
            ? TimeSpan.Zero
            : TimeSpan.FromSeconds(
                Sheet
                    .Play.Steps.Where(s =>
                        Live.ChangedBy(s.Act) == main.Id
                        || s.Act is PatchCable patch && (patch.A.Owner == main.Id || patch.B.Owner == main.Id)
                    )
                    .Sum(s => s.Takes.Usual.TotalSeconds)
            );

    /// <summary>Whether a step takes the internet from a device or cannot be undone by itself: it has a last moment to begin.</summary>
    public static bool IsRisk(SheetStep step) => step.Dips || step.Undo is { Can: false };

    /// <summary>From the state after a step; 0 for before the first.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="number">After which of its steps, from 1.</param>
    /// <param name="cancel">Gives it up.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such step.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static WayBack After(RunSheet sheet, int number, CancellationToken cancel = default)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(number);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(number, sheet.Steps.Count);
        var from = number == 0 ? sheet.Start : sheet.Steps[number - 1].After;
        var found = Secured(sheet, from);
        var back = RunSheet.Derive(from, Ordering.Aim.From(from, found, sheet.Aim.Ways) with { IsBack = true }, cancel);
        var whole = new WayBack(back, [.. Otherwise(State.Morning(sheet.Start.Design), back.Order.End)])
        {
            BeginBefore = number > 0 && sheet.Steps[number - 1] is var step && IsRisk(step) ? step.Takes.Most + back.Takes.Most : null,
        };
        Known.GetOrCreateValue(sheet)[number] = new(whole.AtMainBox, whole.BeginBefore);
        return whole;
    }

    /// <summary>How long the way back from the state after a step is, which is worked out once for a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="number">After which of its steps, from 1.</param>
    /// <param name="cancel">Gives it up.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such step.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static BackTimes TimesAfter(RunSheet sheet, int number, CancellationToken cancel = default)
    {
        if (Known.TryGetValue(sheet, out var steps) && steps.TryGetValue(number, out var times))
        {
            return times;
        }
        var back = After(sheet, number, cancel);
        return new(back.AtMainBox, back.BeginBefore);
    }

    /// <summary>
    /// The set-up at the start. A box of which it records no password keeps the one that was set meanwhile; one that was reset gets that of
    /// the plan, for the factory's must not meet the live network.
    /// </summary>
    private static SetUp Secured(RunSheet sheet, State from)
    {
        var found = sheet.Start.Design.SetUp;
        return found with
        {
            Boxes =
            [
                .. found.Boxes.Select(b =>
                    b.Password is null && (from.Design.Setting(b.Box)?.Password ?? AtFactory(b.Box)) is { } set
                        ? b with
                        {
                            Password = set,
                        }
                        : b
                ),
            ],
        };

        string? AtFactory(string box) => from.Ledger.AtFactory.Contains(box) ? sheet.Aim.Of(box)?.Password : null;
    }

    private static IEnumerable<string> Otherwise(State morning, State now)
    {
        var (was, has) = (morning.Seen(), now.Seen());
        var names = has.Network;
        foreach (var internet in was.Internet)
        {
            if (has.Internet.FirstOrDefault(i => i.Device == internet.Device) is not { } then)
            {
                yield return $"{names.NameOf(internet.Device)} is not in use.";
            }
            else if (then.Answer.Kind != internet.Answer.Kind && internet.Answer.Kind == AnswerKind.Yes)
            {
                yield return $"{names.NameOf(internet.Device)} has no internet as it had: {then.Answer.Why}";
            }
        }
        foreach (var device in was.Sheet.Addresses.Where(a => a.Side == Side.Device))
        {
            var then = has.Sheet.Addresses.FirstOrDefault(a => a.Owner == device.Owner && a.Side == Side.Device);
            if (then is not null && Told(then) != Told(device))
            {
                yield return $"{names.NameOf(device.Owner)} has {Told(then)}, and had {Told(device)}.";
            }
        }
        foreach (var need in was.Sheet.Needs.Where(n => n.Answer.IsYes))
        {
            if (has.Sheet.Needs.FirstOrDefault(n => n.Need == need.Need) is { Answer.IsYes: false } then)
            {
                yield return $"{need.Asked}: {then.Answer.Why}";
            }
        }
    }

    /// <summary>What a device is to have again: gateway, DNS servers, prefix, and its address where that is typed or reserved.</summary>
    private static string Told(AddressFact fact)
    {
        var own =
            fact.Origin is AddressOrigin.Fixed or AddressOrigin.Reserved ? $"{fact.Address}"
            : fact.Origin == AddressOrigin.None ? "no address"
            : "a leased address";
        return $"{own}, prefix {fact.PrefixLength}, gateway {fact.Gateway?.ToString() ?? "none"}, DNS {string.Join(' ', fact.DnsServers)}";
    }
}
