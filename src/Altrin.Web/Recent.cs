using Microsoft.Extensions.Caching.Memory;

namespace Altrin.Web;

/// <summary>
/// What was worked out last: a page asks for one part of it after another, and neither the home nor what was asked changes. One holds every
/// state of an evening, each with its network.
/// </summary>
/// <param name="most">How many are remembered, two or more; where there is no room, half of them are let go.</param>
internal sealed class Recent<TKey, TValue>(int most) : IDisposable
    where TKey : notnull
    where TValue : class
{
    private readonly MemoryCache _known = new(new MemoryCacheOptions { SizeLimit = most });

    /// <summary>What belongs to a key; worked out now where it is not remembered.</summary>
    public TValue Of(TKey key, Func<TValue> make)
    {
        if (!_known.TryGetValue(key, out TValue? known))
        {
            known = make();
            // A full cache takes nothing in: it would be worked out again at each question.
            if (_known.Count >= most)
            {
                _known.Compact(0.5);
            }
            _known.Set(key, known, new MemoryCacheEntryOptions { Size = 1 });
        }
        return known!;
    }

    /// <summary>Lets go of what belongs to a key.</summary>
    public void Forget(TKey key) => _known.Remove(key);

    /// <inheritdoc/>
    public void Dispose() => _known.Dispose();
}
