using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Data;

namespace Altrin.Web;

/// <summary>What options are asked for: in the installer's way, with gear that can be had as on the shelf.</summary>
internal sealed class PlanTasks(WaysStore ways, ShelfStore shelf)
{
    /// <summary>Makes the task of each state of a job.</summary>
    public async Task<Func<HomeFile, PlanTask>> Of(long job, CancellationToken cancel)
    {
        var mine = await ways.Of(job, cancel);
        var kinds = (await shelf.Read(cancel)).Profiles;
        return home =>
            new(home.AsFound())
            {
                Ways = mine.Ways,
                Weights = mine.Weights,
                Shelf = kinds,
            };
    }
}
