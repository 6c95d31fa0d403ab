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
    private const int Most = 64;

    /// <summary>What goes at once when it is full: while it is, nothing new is remembered, and each home would be read anew.</summary>
    private const double Share = 0.5;

    private readonly MemoryCache _homes = new(new MemoryCacheOptions { SizeLimit = Most, CompactionPercentage = Share });

    /// <summary>The home that a text holds, or what is wrong with it.</summary>
    public FileRead<HomeFile> Read(string design) => _homes.GetOrCreate(design, entry =>
        {
            entry.Size = 1;
            return DesignFile.Read(design);
        })!;

    /// <summary>The home that a revision holds.</summary>
    /// <param name="revision">The revision.</param>
    /// <param name="whole">The one that it differs from; null where it is whole.</param>
    /// <exception cref="InvalidDataException">The revision cannot be read.</exception>
    public HomeFile Of(RevisionEntity revision, RevisionEntity? whole)
    {
        var read = Read(TextOf(revision, whole));
        return read.Value
            ?? throw new InvalidDataException($"Revision {revision.Id} of job {revision.JobId} cannot be read: {read.Errors[0]}");
    }

    /// <inheritdoc/>
    public void Dispose() => _homes.Dispose();

    private static string TextOf(RevisionEntity revision, RevisionEntity? whole) =>
        revision.Packed is { } packed ? PackedDesign.Unpack(packed, whole is null ? null : TextOf(whole, null)) : revision.Design;
}
