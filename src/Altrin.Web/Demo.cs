using Altrin.Data;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>The demo home, put into a data folder that has no job yet.</summary>
internal static class Demo
{
    public static async Task Seed(JobStore store)
    {
        var open = await store.List(null, false, 1, 1, CancellationToken.None);
        var away = await store.List(null, true, 1, 1, CancellationToken.None);
        if (open.Total + away.Total > 0)
        {
            return;
        }
        using var stream = typeof(Demo).Assembly.GetManifestResourceStream("demo.json")!;
        using var held = new MemoryStream();
        await stream.CopyToAsync(held);
        var home = DesignFile.Read(held.ToArray()).Value!;
        await store.Create(home.Site.Name, home, "Demo home", "demo", CancellationToken.None);
    }
}
