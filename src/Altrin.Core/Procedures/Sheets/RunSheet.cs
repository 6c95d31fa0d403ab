using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>
/// The work of one evening, derived from two set-ups of a home and played on the simulated network: what is done in which order, what is
/// seen then, how long it takes, and how it is undone. The same input gives the same sheet.
/// </summary>
/// <param name="Start">Where the work begins.</param>
/// <param name="Aim">What it is for.</param>
/// <param name="Order">The order that was found.</param>
/// <param name="Steps">Its steps.</param>
public sealed record RunSheet(State Start, Aim Aim, FoundOrder Order, IReadOnlyList<SheetStep> Steps)
{
    /// <summary>The order as a play, act by act: what is asked of a list of acts can be asked of a sheet.</summary>
    public required Play Play { get; init; }

    /// <summary>Tools and material, in sentences.</summary>
    public required IReadOnlyList<string> Material { get; init; }

    /// <summary>What is broken on the way that is not so in the plan, each once, with what would make it safe.</summary>
    public required IReadOnlyList<Unsafe> Unsafe { get; init; }

    /// <summary>Why it does not lead to the plan; empty where it does.</summary>
    public IReadOnlyList<string> Missing => Order.Stuck;

    /// <summary>Whether it leads to the plan, breaks nothing on the way, and leaves nothing undone.</summary>
    public bool IsSafe => Unsafe.Count == 0 && Missing.Count == 0 && Play.Left.Count == 0 && Undone.Count == 0;

    /// <summary>What is left undone at the end that is not so in the plan.</summary>
    public IReadOnlyList<Broken> Undone => Steps.Count == 0 ? [] : [.. Play.Undone.Where(b => !Aim.IsPlanned(b))];

    /// <summary>How long all of it takes, waits included.</summary>
    public Duration Takes => Steps.Select(s => s.Takes).Aggregate(Duration.None, (sum, d) => sum + d);

    /// <summary>The steps of the window: from the first to the last that leaves a device without internet; empty for none.</summary>
    public IReadOnlyList<SheetStep> Window
    {
        get
        {
            var (first, last) = (-1, -1);
            for (var i = 0; i < Steps.Count; i++)
            {
                if (Steps[i].Offline.Count > 0 || Steps[i].Dips)
                {
                    (first, last) = (first < 0 ? i : first, i);
                }
            }
            return first < 0 ? [] : [.. Steps.Skip(first).Take(last - first + 1)];
        }
    }

    /// <summary>The step with an identity; null where there is none.</summary>
    public SheetStep? Step(string id) => Steps.FirstOrDefault(s => s.Id == id);

    /// <summary>Derives a sheet.</summary>
    /// <param name="start">Where the work begins: the morning of a set-up, or any later state.</param>
    /// <param name="target">The set-up that the home is to have.</param>
    /// <param name="ways">The installer's ways.</param>
    /// <param name="cancel">Gives it up between two pieces of work.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static RunSheet Derive(State start, SetUp target, Ways ways, CancellationToken cancel = default) =>
        Derive(start, Aim.From(start, target, ways), cancel);

    /// <summary>Derives a sheet for an aim.</summary>
    internal static RunSheet Derive(State start, Aim aim, CancellationToken cancel)
    {
        var order = OrderSearch.Find(start, aim, cancel);
        var played = order.Steps.ToList();
        return new(start, aim, order, new SheetSteps(start, aim).Of(order))
        {
            Play = new(played, order.End, Invariant.LeftBy(order.End), order.End.Left(aim.Target)) { Start = start, Target = aim.Target },
            Material = [.. SheetMaterial.Of(start, played)],
            Unsafe = [.. Sheets.Unsafe.Of(aim, played)],
        };
    }
}
