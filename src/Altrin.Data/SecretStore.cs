using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>How a secret stands.</summary>
public enum SecretState
{
    /// <summary>Its value is kept.</summary>
    Held,

    /// <summary>Its value is kept but cannot be read: the key ring that it was encrypted with is gone.</summary>
    Lost,

    /// <summary>A design refers to it, and its value was not typed.</summary>
    NotTyped,
}

/// <summary>A secret without its value.</summary>
/// <param name="Reference">What designs call it.</param>
/// <param name="State">How it stands.</param>
public sealed record SecretInfo(string Reference, SecretState State);

/// <summary>
/// Keys and passwords of jobs, encrypted with the key ring in the data folder. That protects exports, logs and a copied database; who has
/// the whole folder has the ring too. No value is ever logged, and none leaves but by <see cref="Show"/>.
/// </summary>
public sealed class SecretStore(Writing writing, IDataProtectionProvider protection, TimeProvider time)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>The longest value, in characters.</summary>
    public const int Longest = 200;

    private readonly IDataProtector _protector = protection.CreateProtector("Altrin.Secrets");

    /// <summary>Why this is no value of a secret; null where it is one.</summary>
    public static string? Wrong(string value) =>
        value.Length is < 1 or > Longest || value.Any(char.IsControl)
            ? $"A key or password has 1 to {Longest} characters on one line."
            : null;

    /// <summary>Keeps a value and gives its reference. A value that the job holds already has that reference again.</summary>
    /// <param name="job">The job.</param>
    /// <param name="value">The value.</param>
    /// <param name="name">What to make the reference of, such as "wifi key".</param>
    /// <param name="taken">References that designs of the job use.</param>
    /// <param name="cancel">Stops the work.</param>
    public Task<string> Keep(long job, string value, string name, IReadOnlySet<string> taken, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                var hash = await Hash(value, cancel);
                var rows = await context.Secrets.Where(s => s.JobId == job).ToListAsync(cancel);
                if (rows.Find(r => CryptographicOperations.FixedTimeEquals(r.Hash, hash) && Value(r) == value) is { } same)
                {
                    return same.Reference;
                }
                var reference = Slugs.Of(name, id => taken.Contains(id) || rows.Exists(r => r.Reference == id), "key");
                await Add(job, reference, value, hash, cancel);
                return reference;
            },
            cancel
        );

    /// <summary>Types the value of a reference that has none, or whose value is lost. A reference that holds one keeps it.</summary>
    /// <returns>The reference that holds the value now: another one where the job held it already.</returns>
    public Task<Parsed<string>> Type(long job, string reference, string value, CancellationToken cancel) =>
        writing.Do<Parsed<string>>(
            async () =>
            {
                var hash = await Hash(value, cancel);
                var rows = await context.Secrets.Where(s => s.JobId == job).ToListAsync(cancel);
                if (rows.Find(r => CryptographicOperations.FixedTimeEquals(r.Hash, hash) && Value(r) == value) is { } same)
                {
                    return same.Reference;
                }
                if (rows.Find(r => r.Reference == reference) is { } there)
                {
                    if (Value(there) is not null)
                    {
                        return Parsed<string>.Fail("That one is kept already. Another value is another secret.");
                    }
                    context.Secrets.Remove(there);
                }
                await Add(job, reference, value, hash, cancel);
                return reference;
            },
            cancel
        );

    /// <summary>Every secret that is kept for a job or that its designs speak of, in order.</summary>
    public async Task<IReadOnlyList<SecretInfo>> List(long job, IReadOnlySet<string> used, CancellationToken cancel)
    {
        var rows = await context.Secrets.AsNoTracking().Where(s => s.JobId == job).ToListAsync(cancel);
        return
        [
            .. rows.Select(r => new SecretInfo(r.Reference, Value(r) is null ? SecretState.Lost : SecretState.Held))
                .Concat(used.Where(u => rows.TrueForAll(r => r.Reference != u)).Select(u => new SecretInfo(u, SecretState.NotTyped)))
                .OrderBy(s => s.Reference, StringComparer.Ordinal),
        ];
    }

    /// <summary>The value of a reference; null where none is kept, or where it is lost.</summary>
    public async Task<string?> Show(long job, string reference, CancellationToken cancel) =>
        await context.Secrets.AsNoTracking().FirstOrDefaultAsync(s => s.JobId == job && s.Reference == reference, cancel) is { } row
            ? Value(row)
            : null;

    /// <summary>Every value that can be read, by reference: for an export that was asked to hold them.</summary>
    public async Task<IReadOnlyDictionary<string, string>> All(long job, CancellationToken cancel)
    {
        var rows = await context.Secrets.AsNoTracking().Where(s => s.JobId == job).OrderBy(s => s.Reference).ToListAsync(cancel);
        return rows.Select(r => (r.Reference, Value: Value(r)))
            .Where(r => r.Value is not null)
            .ToDictionary(r => r.Reference, r => r.Value!, StringComparer.Ordinal);
    }

    /// <summary>Gives a job the secrets of another one that it was copied from.</summary>
    public Task Copy(long from, long to, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                foreach (var row in await context.Secrets.AsNoTracking().Where(s => s.JobId == from).ToListAsync(cancel))
                {
                    context.Secrets.Add(
                        new()
                        {
                            JobId = to,
                            Reference = row.Reference,
                            Protected = row.Protected,
                            Hash = row.Hash,
                            CreatedAt = row.CreatedAt,
                        }
                    );
                }
            },
            cancel
        );

    private async Task Add(long job, string reference, string value, byte[] hash, CancellationToken cancel)
    {
        context.Secrets.Add(
            new()
            {
                JobId = job,
                Reference = reference,
                Protected = _protector.Protect(Encoding.UTF8.GetBytes(value)),
                Hash = hash,
                CreatedAt = time.GetUtcNow(),
            }
        );
        await context.SaveChangesAsync(cancel);
    }

    private string? Value(SecretEntity row) => Open(row.Protected) is { } bytes ? Encoding.UTF8.GetString(bytes) : null;

    private byte[]? Open(byte[] sealedBytes)
    {
        try
        {
            return _protector.Unprotect(sealedBytes);
        }
        catch (CryptographicException)
        {
            // The ring that it was encrypted with is gone.
            return null;
        }
    }

    private async Task<byte[]> Hash(string value, CancellationToken cancel)
    {
        var rows = await context.HashKeys.AsNoTracking().OrderByDescending(k => k.Id).ToListAsync(cancel);
        var key = rows.Select(r => Open(r.Protected)).FirstOrDefault(k => k is not null);
        if (key is null)
        {
            key = RandomNumberGenerator.GetBytes(32);
            context.HashKeys.Add(new() { Protected = _protector.Protect(key) });
            await context.SaveChangesAsync(cancel);
        }
        return HMACSHA256.HashData(key, Encoding.UTF8.GetBytes(value));
    }
}
