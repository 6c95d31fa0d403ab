using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>A key or password to be kept.</summary>
/// <param name="Value">Its value; null to have one made that is strong and can be read out.</param>
/// <param name="Name">What to make its reference of, such as "wifi key".</param>
internal sealed record NewSecret(string? Value, string Name);

/// <summary>The value of a reference that has none.</summary>
/// <param name="Value">The value.</param>
internal sealed record TypedSecret(string Value);

/// <summary>A kept secret: its reference, never its value.</summary>
/// <param name="Reference">What designs call it.</param>
internal sealed record KeptSecret(string Reference);

/// <summary>A value that was asked for.</summary>
/// <param name="Value">The value.</param>
internal sealed record ShownSecret(string Value);

/// <summary>A secret in the list of a job.</summary>
/// <param name="Reference">What designs call it.</param>
/// <param name="State">How it stands.</param>
/// <param name="Uses">Where it is used, in words.</param>
internal sealed record SecretView(string Reference, SecretState State, IReadOnlyList<string> Uses);

/// <summary>
/// Keys and passwords of a job. A value is answered by one address only, which must be asked by POST, so that no link and no picture of
/// another page asks for it.
/// </summary>
internal static class SecretRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        jobs.MapGet("/{id:long}/secrets", List).WithName("ListSecrets").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("/{id:long}/secrets", Keep)
            .WithName("KeepSecret")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapPut("/{id:long}/secrets/{reference}", Type)
            .WithName("TypeSecret")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapPost("/{id:long}/secrets/{reference}/shown", Show).WithName("ShowSecret").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("/{id:long}/design/with-secrets", Whole)
            .WithName("ExportWithSecrets")
            .Produces<DesignDocument>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<Results<Ok<IReadOnlyList<SecretView>>, ProblemHttpResult>> List(
        long id,
        JobStore store,
        SecretStore secrets,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var uses = KeyReferences.Of(head.Home);
        var list = await secrets.List(id, uses.Select(u => u.Reference).ToHashSet(StringComparer.Ordinal), cancel);
        return TypedResults.Ok<IReadOnlyList<SecretView>>([
            .. list.Select(s => new SecretView(
                s.Reference,
                s.State,
                [.. uses.Where(u => u.Reference == s.Reference).Select(u => u.Where)]
            )),
        ]);
    }

    private static async Task<Results<Ok<KeptSecret>, ProblemHttpResult>> Keep(
        long id,
        NewSecret secret,
        JobStore store,
        SecretStore secrets,
        CancellationToken cancel
    )
    {
        var value = secret.Value ?? SayableKey.Make(RandomNumberGenerator.GetInt32);
        if (SecretStore.Wrong(value) is { } wrong)
        {
            // What was typed is not repeated: it may be a key.
            return Problems.Field("/value", $"{value.Length} characters", wrong);
        }
        if (JobRoutes.Name(secret.Name) is not { } name)
        {
            return JobRoutes.BadName(secret.Name);
        }
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var used = KeyReferences.Of(head.Home).Select(u => u.Reference).ToHashSet(StringComparer.Ordinal);
        return TypedResults.Ok(new KeptSecret(await secrets.Keep(id, value, name, used, cancel)));
    }

    /// <summary>
    /// Types the value of a reference. Where the job holds that value already under another one, the design is made to use that, since
    /// equal keys must have equal references.
    /// </summary>
    private static async Task<Results<Ok<KeptSecret>, ProblemHttpResult>> Type(
        long id,
        string reference,
        TypedSecret secret,
        [AsParameters] WriteRequest asked
    )
    {
        var (store, secrets, writing, tab, cancel) = asked;
        if (SecretStore.Wrong(secret.Value) is { } wrong)
        {
            return Problems.Field("/value", $"{secret.Value.Length} characters", wrong);
        }
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        if (
            (await secrets.List(id, KeyReferences.Of(head.Home).Select(u => u.Reference).ToHashSet(StringComparer.Ordinal), cancel)).All(
                s => s.Reference != reference
            )
        )
        {
            return NoSecret();
        }
        // The value and the design that speaks of it are one act.
        var (typed, moved) = await writing.Do(
            async () =>
            {
                var kept = await secrets.Type(id, reference, secret.Value, cancel);
                return
                    !kept.Ok
                    || kept.Value == reference
                    || store.Prepare(KeyReferences.Exchange(head.Home, reference, kept.Value)) is not { Ok: true } same
                    ? (kept, null)
                    : (
                        kept,
                        await store.Commit(
                            id,
                            head.Job.Version,
                            new(same.Value, $"{reference} is the same key as {kept.Value}", HeadRoutes.Tab(tab)),
                            cancel
                        )
                    );
            },
            cancel,
            done => done.Item2 is null or HeadMove.Done
        );
        return !typed.Ok ? Problems.Field("reference", reference, typed.Error)
            : moved is not (null or HeadMove.Done)
                ? Problems.Of(
                    StatusCodes.Status409Conflict,
                    "stale",
                    "The job was changed elsewhere at the same moment.",
                    "Type it again; nothing was changed."
                )
            : TypedResults.Ok(new KeptSecret(typed.Value));
    }

    private static async Task<Results<Ok<ShownSecret>, ProblemHttpResult>> Show(
        long id,
        string reference,
        SecretStore secrets,
        CancellationToken cancel
    ) => await secrets.Show(id, reference, cancel) is { } value ? TypedResults.Ok(new ShownSecret(value)) : NoSecret();

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Whole(
        long id,
        JobStore store,
        SecretStore secrets,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is { } head
            ? TypedResults.File(
                Encoding.UTF8.GetBytes(DesignFile.Write(head.Home, await secrets.All(id, cancel))),
                "application/json",
                $"{DesignRoutes.Slug(head.Job.Name)}-with-keys.altrin.json"
            )
            : Problems.NoJob(id);

    private static ProblemHttpResult NoSecret() =>
        Problems.Of(
            StatusCodes.Status404NotFound,
            "no-secret",
            "Nothing is kept under that reference.",
            "Its value was never typed, or the key ring that it was encrypted with is gone; type it again."
        );
}
