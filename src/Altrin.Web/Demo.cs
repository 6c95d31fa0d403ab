using System.Security.Cryptography;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>The demo home, put into a data folder that has no job yet.</summary>
internal static class Demo
{
    public static async Task Seed(JobStore store, SecretStore secrets)
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
        var head = await store.Create(home.Site.Name, home, "Demo home", "demo", CancellationToken.None);
        // Nobody's keys: each data folder has others.
        foreach (var reference in KeyReferences.Of(home).Select(u => u.Reference).Distinct())
        {
            await secrets.Type(head.Job.Id, reference, SayableKey.Make(RandomNumberGenerator.GetInt32), CancellationToken.None);
        }
    }
}
