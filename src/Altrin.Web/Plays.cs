using Altrin.Core.Procedures;
using Microsoft.Extensions.Caching.Memory;

namespace Altrin.Web;

/// <summary>Run sheets that were played last: a page asks for one step after another, and neither the home nor the sheet changes.</summary>
internal sealed class Plays : IDisposable
{
    /// <summary>How many are remembered. One holds every state of an evening, each with its network.</summary>
    private const int MostRemembered = 6;

    private readonly MemoryCache _played = new(new MemoryCacheOptions { SizeLimit = MostRemembered, CompactionPercentage = 0.5 });

    /// <summary>A sheet played on a revision of its job; played now where it is not remembered.</summary>
    public Play Of(long revision, long sheet, Func<Play> play)
    {
        if (!_played.TryGetValue((revision, sheet), out Play? known))
        {
            known = play();
            _played.Set((revision, sheet), known, new MemoryCacheEntryOptions { Size = 1 });
        }
        return known!;
    }

    /// <inheritdoc/>
    public void Dispose() => _played.Dispose();
}
