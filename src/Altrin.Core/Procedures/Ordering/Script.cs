using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>Acts done one after another from a state, until one cannot be done.</summary>
/// <param name="start">The state before the first.</param>
/// <param name="aim">What they are for.</param>
internal sealed class Script(State start, Aim aim)
{
    private readonly List<PlayedStep> _done = [];

    /// <summary>What the acts are for.</summary>
    public Aim Aim => aim;

    /// <summary>The state after the last of them.</summary>
    public State Now { get; private set; } = start;

    /// <summary>What was done.</summary>
    public IReadOnlyList<PlayedStep> Done => _done;

    /// <summary>Why it goes no further; null where it does.</summary>
    public string? Stuck { get; private set; }

    /// <summary>Does one more act. False once one was refused: nothing is done any more then.</summary>
    public bool Do(Act act)
    {
        if (Stuck is not null)
        {
            return false;
        }
        var step = PlayedStep.Of(Now, act, aim.Ways);
        if (step.Refused is { } why)
        {
            return Fail($"{step.Says}: {why}");
        }
        _done.Add(step);
        Now = step.After;
        return true;
    }

    /// <summary>Does an act where it is needed.</summary>
    public bool DoIf(bool needed, Act act) => Stuck is null && (!needed || Do(act));

    /// <summary>Waits for a box that is at work on itself.</summary>
    public bool Ready(string box) => DoIf(PageOpens.IsBusy(Now, box), new WaitUntilReady(box));

    /// <summary>What was broken that is not so in the plan.</summary>
    public int Breaks => _done.Sum(s => s.Broken.Count(b => !aim.IsPlanned(b)));

    /// <summary>Does one thing in one of several ways: the first that breaks nothing, else the one that breaks least.</summary>
    public bool Best(IEnumerable<Func<Script, bool>> ways)
    {
        Script? best = null;
        foreach (var way in Stuck is null ? ways : [])
        {
            var tried = new Script(Now, aim);
            way(tried);
            if (best is null || (tried.Stuck is null && (best.Stuck is not null || tried.Breaks < best.Breaks)))
            {
                best = tried;
            }
            if (best is { Stuck: null, Breaks: 0 })
            {
                break;
            }
        }
        return best is null ? Stuck is null : Take(best);
    }

    /// <summary>Takes over what another script did from where this one stands.</summary>
    public bool Take(Script other)
    {
        _done.AddRange(other._done);
        (Now, Stuck) = (other.Now, other.Stuck);
        return Stuck is null;
    }

    /// <summary>Goes no further.</summary>
    public bool Fail(string why)
    {
        Stuck ??= why;
        return false;
    }
}
