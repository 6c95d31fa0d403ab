using Microsoft.Extensions.Caching.Memory;

namespace Altrin.Web;

/// <summary>
/// What was worked out last: a page asks for one part of it after another, and neither the home nor what was asked changes. One holds every
/// state of an evening, each with its network.
/// </summary>
/// <param name="most">How many are remembered.</param>
internal sealed class Recent<TKey, TValue>(int most) : IDisposable
    where TKey : notnull
    where TValue : class
{
    private readonly MemoryCache _known = new(new MemoryCacheOptions { SizeLimit = most, CompactionPercentage = 0.5 });

    /// <summary>What belongs to a key; worked out now where it is not remembered.</summary>
    public TValue Of(TKey key, Func<TValue> make)
    {
        if (!_known.TryGetValue(key, out TValue? known))
        {
            known = make();
            _known.Set(key, known, new MemoryCacheEntryOptions { Size = 1 });
        }
        return known!;
    }

    /// <summary>Lets go of what belongs to a key.</summary>
    public void Forget(TKey key) => _known.Remove(key);

    /// <inheritdoc/>
    public void Dispose() => _known.Dispose();
}
