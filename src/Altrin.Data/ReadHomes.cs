using Altrin.Core.Sites;
using Altrin.Formats;
using Microsoft.Extensions.Caching.Memory;

namespace Altrin.Data;

/// <summary>
/// Homes that were read lately, by their text: a page asks for the same revision with every key that is pressed, and checking
/// a file against its schema costs as much as proving it.
/// </summary>
public sealed class ReadHomes : IDisposable
{
    private const int Most = 16;

    private readonly MemoryCache _homes = new(new MemoryCacheOptions { SizeLimit = Most });

    /// <summary>The home that a revision holds.</summary>
    /// <exception cref="InvalidDataException">The revision cannot be read.</exception>
    public HomeFile Of(RevisionEntity revision) => _homes.GetOrCreate(revision.Design, entry =>
    {
        entry.Size = 1;
        var read = DesignFile.Read(revision.Design);
        return read.Value ?? throw new InvalidDataException($"Revision {revision.Id} of job {revision.JobId} cannot be read: {read.Errors[0]}");
    })!;

    /// <inheritdoc/>
    public void Dispose() => _homes.Dispose();
}
