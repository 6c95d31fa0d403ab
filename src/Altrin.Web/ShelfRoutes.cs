using System.Text;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>One entry of the gear shelf.</summary>
/// <param name="Profile">What that kind can do.</param>
/// <param name="Edition">Its edition.</param>
/// <param name="Own">Whether it was made or edited here.</param>
/// <param name="Shipped">Whether the program brings one of this id.</param>
internal sealed record ShelfEntry(ProfileDocument Profile, int Edition, bool Own, bool Shipped);

/// <summary>Profiles to be taken onto the shelf, as a file of profiles holds them.</summary>
/// <param name="Text">The file.</param>
internal sealed record ProfilesRequest(string Text);

/// <summary>The gear shelf: list, edit, copy, take in and out as a file.</summary>
internal static class ShelfRoutes
{
    public static void Map(RouteGroupBuilder shelf)
    {
        shelf.MapGet("", List).WithName("GetShelf");
        shelf.MapGet("/profiles.json", Export).WithName("ExportProfiles").Produces<ProfilesDocument>();
        shelf.MapPost("", Put).WithName("PutProfiles").UpTo(Bodies.Pasted).ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        shelf.MapDelete("/{shelfId}", Drop).WithName("DropProfile").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<Ok<IReadOnlyList<ShelfEntry>>> List(ShelfStore store, CancellationToken cancel) =>
        TypedResults.Ok(await Entries(store, cancel));

    private static async Task<FileContentHttpResult> Export(ShelfStore store, CancellationToken cancel, string? only = null)
    {
        var shelf = await store.Read(cancel);
        return TypedResults.File(
            Encoding.UTF8.GetBytes(ProfileFile.Write([.. shelf.Profiles.Where(p => only is null || p.ShelfId == only)])),
            "application/json",
            $"{only ?? "shelf"}.profiles.json"
        );
    }

    private static async Task<Results<Ok<IReadOnlyList<ShelfEntry>>, ProblemHttpResult>> Put(
        ProfilesRequest request,
        ShelfStore store,
        CancellationToken cancel
    )
    {
        var read = ProfileFile.Read(Encoding.UTF8.GetBytes(request.Text));
        if (read.Value is not { } profiles)
        {
            return Problems.Of(
                StatusCodes.Status422UnprocessableEntity,
                "bad-profiles",
                "The profiles cannot be read.",
                $"{read.Errors.Count} {(read.Errors.Count == 1 ? "thing is" : "things are")} wrong with them; nothing was taken.",
                read.Errors
            );
        }
        var put = await store.Put(profiles.Profiles, cancel);
        return put.Ok
            ? TypedResults.Ok(await Entries(store, cancel))
            : Problems.Field("/text", $"{profiles.Profiles.Count} profiles", put.Error);
    }

    private static async Task<Results<Ok<IReadOnlyList<ShelfEntry>>, ProblemHttpResult>> Drop(
        string shelfId,
        ShelfStore store,
        CancellationToken cancel
    ) =>
        await store.Drop(shelfId, cancel)
            ? TypedResults.Ok(await Entries(store, cancel))
            : Problems.Of(
                StatusCodes.Status404NotFound,
                "no-profile",
                "There is no such entry of your own on the shelf.",
                "What comes with the program stays there."
            );

    private static async Task<IReadOnlyList<ShelfEntry>> Entries(ShelfStore store, CancellationToken cancel)
    {
        var own = await store.Own(cancel);
        return
        [
            .. (await store.Read(cancel)).Profiles.Select(p => new ShelfEntry(
                ProfileWriter.Document(p),
                p.Edition,
                own.Contains(p.ShelfId),
                ProfileFile.BuiltIn.Find(p.ShelfId) is not null
            )),
        ];
    }
}
