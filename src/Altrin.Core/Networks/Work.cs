namespace Altrin.Core.Networks;

/// <summary>
/// The work that proving one network may take: it is counted, not timed, so that the same home is cut at the same place wherever it is
/// proven. The caller may give up at any time.
/// </summary>
/// <param name="most">How many steps are made at most; more are not, and answers that would need them stay open.</param>
/// <param name="cancel">Gives the work up, by an exception.</param>
public sealed class Work(long most, CancellationToken cancel)
{
    /// <summary>
    /// How many steps are made for one proof, its remedies apart: a hop of a packet is one. A home of 50 boxes takes some ten thousand;
    /// this is about three seconds of one core.
    /// </summary>
    public const long Most = 400_000;

    /// <summary>The same for all remedies of a proof together: about one and a half seconds of one core.</summary>
    public const long MostForRemedies = 200_000;

    /// <summary>As much work as one proof may take.</summary>
    public Work(CancellationToken cancel)
        : this(Most, cancel) { }

    /// <summary>Steps that were made.</summary>
    public long Done { get; private set; }

    /// <summary>Whether something was left undone for want of steps.</summary>
    public bool IsCut { get; private set; }

    /// <summary>Makes one step; false where none is left.</summary>
    /// <exception cref="OperationCanceledException">The caller gave up.</exception>
    public bool Step()
    {
        if (Done >= most)
        {
            IsCut = true;
            return false;
        }
        if ((++Done & 63) == 0)
        {
            Check();
        }
        return true;
    }

    /// <summary>Goes on only while the caller waits.</summary>
    /// <exception cref="OperationCanceledException">The caller gave up.</exception>
    public void Check() => cancel.ThrowIfCancellationRequested();

    /// <summary>Gives the work up.</summary>
    public CancellationToken Cancel => cancel;

    /// <summary>As much work again, for a part that is worked out by itself.</summary>
    public Work Again() => new(most, cancel);
}
