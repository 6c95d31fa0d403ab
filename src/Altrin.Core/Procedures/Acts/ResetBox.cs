using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A box is reset, in the way of its kind; it then starts with the settings of the factory.</summary>
/// <param name="Box">Which; it must be on.</param>
public sealed record ResetBox(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Running(now, Box)
            .Then<IReadOnlyList<Outcome>>(box =>
            {
                if (now.Moment.Situation.BusyNow().FirstOrDefault(b => b.Box == Box && b.Kind != BusyKind.Radios) is { } busy)
                {
                    return Refused($"{box.Name} is busy for another {TimeWords.Of(busy.Until - now.Moment.Situation.Memory!.Second)}.");
                }
                var (holds, then) = (Durations.ResetHold(box.Profile), Durations.AfterReset(box.Profile));
                var kept = BoxReset.Kept(box.Profile);
                var outcomes = new List<Outcome>();
                foreach (var keeps in kept)
                {
                    var after = After(
                        now,
                        holds,
                        l =>
                            l with
                            {
                                AtFactory = [.. l.AtFactory.Append(Box).Distinct()],
                                FromLastHome = [.. l.FromLastHome.Where(b => b != Box)],
                                Logins = [.. l.Logins.Where(b => b != Box)],
                            },
                        new Occupy(Box, BusyKind.Starting, then.Usual),
                        new Reset(Box, keeps)
                    );
                    if (!after.Ok)
                    {
                        return Refused(after.Error);
                    }
                    outcomes.Add(
                        new(after.Value, holds)
                        {
                            Then = then,
                            If =
                                kept.Count == 1 ? null
                                : keeps.Count == 0 ? "nothing comes back by itself"
                                : $"{string.Join(", ", keeps.Select(SettingWords.Of))} comes back by itself",
                        }
                    );
                }
                return outcomes;
            });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Reset {design.NameOf(Box)}";
}
