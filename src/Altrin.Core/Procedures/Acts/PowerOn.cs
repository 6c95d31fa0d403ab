using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>
/// A box or a device gets power. A box from the shelf wakes with what it holds, at the table: no cable is in it yet.
/// </summary>
/// <param name="Id">Box or device.</param>
public sealed record PowerOn(string Id) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now)
    {
        if (now.Design.Box(Id) is not { } box)
        {
            return One(now, Durations.Hand, new GiveBack(Id));
        }
        var starts = Durations.Boot(box.Profile);
        if (now.Design.Mode(Id) is not null)
        {
            return One(now, Durations.Hand, new Occupy(Id, BusyKind.Starting, starts.Usual), new GiveBack(Id))
                .Then<IReadOnlyList<Outcome>>(o => new[] { o[0] with { Then = starts } });
        }
        var outcomes = new List<Outcome>();
        var held = FromShelf.Of(now.Design, box);
        foreach (var (setUp, factory, says) in held)
        {
            var after = After(
                now,
                Durations.Hand,
                l =>
                    factory
                        ? l with
                        {
                            AtFactory = [.. l.AtFactory.Append(Id).Distinct()],
                        }
                        : l with
                        {
                            FromLastHome = [.. l.FromLastHome.Append(Id).Distinct()],
                        },
                new Bring(setUp),
                new Occupy(Id, BusyKind.Starting, starts.Usual)
            );
            if (!after.Ok)
            {
                return Refused(after.Error);
            }
            outcomes.Add(new(after.Value, Durations.Hand) { Then = starts, If = held.Count == 1 ? null : says });
        }
        return outcomes;
    }

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Box(Id) is not null && design.Mode(Id) is null
            ? $"Give {design.NameOf(Id)} power at the table, with no cable in it"
            : $"Switch {design.NameOf(Id)} on";
}
