using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Altrin.Formats.Printouts;

namespace Altrin.Web;

/// <summary>The demo home, put into a data folder that has no job yet.</summary>
internal static class Demo
{
    /// <summary>Where the demo's readings are taken: a free port of its gateway.</summary>
    private const string Seat = "hall-gateway/lan4";

    /// <summary>Puts it in as one act: a first start that is cut short leaves no demo rather than half of one.</summary>
    public static Task Seed(
        Writing writing,
        JobStore store,
        SecretStore secrets,
        ReadingStore readings,
        SheetStore sheets,
        TimeProvider time
    ) =>
        writing.Do(
            async () =>
            {
                var open = await store.List(null, false, JobOrder.Changed, 1, 1, CancellationToken.None);
                var away = await store.List(null, true, JobOrder.Changed, 1, 1, CancellationToken.None);
                if (open.Total + away.Total > 0)
                {
                    return;
                }
                var home = DesignFile.Read(await Resource("demo.json")).Value!;
                var head = await store.Create(home.Site.Name, new(store.Prepare(home).Value, "Demo home", "demo"), CancellationToken.None);
                // Invented passwords: each data folder has others.
                foreach (var reference in KeyReferences.Of(home).Select(u => u.Reference).Distinct())
                {
                    await secrets.Type(head.Job.Id, reference, SayableKey.Make(RandomNumberGenerator.GetInt32), CancellationToken.None);
                }
                await Readings(head.Job.Id, home.AsFound(), readings, time.GetUtcNow());
                var acts = await Resource("demo-evening.json");
                await sheets.Keep(head.Job.Id, "typed by hand: one network", acts, CancellationToken.None);
            },
            CancellationToken.None
        );

    private static async Task<byte[]> Resource(string name)
    {
        using var stream = typeof(Demo).Assembly.GetManifestResourceStream(name)!;
        using var held = new MemoryStream();
        await stream.CopyToAsync(held);
        return held.ToArray();
    }

    /// <summary>
    /// What a laptop in the hall would have printed, by the program's own simulation; a device list from before the access point was
    /// plugged in; speed runs.
    /// </summary>
    private static async Task Readings(long job, Design found, ReadingStore readings, DateTimeOffset now)
    {
        var (seen, owner) = Seats.At(found, Seat).Value;
        var printed = string.Join(
            '\n',
            Printout
                .Of(seen, owner, Looking.To(seen, owner, Seats.Target(seen, "internet").Value), PrintoutStyle.Ip)
                .Select(p => $"$ {p.Command}\n{p.Text}")
        );
        var listed = found.Site.Devices.Where(d => d.Mac is not null).Take(4).Select((d, i) => $"{d.Name},192.168.8.{i + 21},{d.Mac}");
        double[] measured = [141.2, 139.8, 142.5];
        var runs = measured
            .Select((down, i) => new SpeedRun(0, "", "hall", RunBy.Cable, "browser test", 30, null, down, 47 + i))
            .Append(new(0, "", "loft-room", RunBy.Ghz5, "copy of a file", null, 20, 62, null));
        await Keep("pasted", printed, Seat, "hall", 90);
        await Keep("list-before.csv", string.Join('\n', ["Device,IP address,MAC address", .. listed]), Seat, "hall", 60);
        await Keep("speed runs, typed", TypedReader.WriteRuns([.. runs]), Seat, "hall", 30);

        Task Keep(string name, string text, string seat, string place, int minutesAgo) =>
            readings.Keep(
                new()
                {
                    JobId = job,
                    Name = name,
                    Kinds = ReadingStore.KindsOf(ReadingText.Read(text).Value),
                    TakenAt = now.AddMinutes(-minutesAgo),
                    SetUp = found.SetUp.Name,
                    Seat = seat,
                    SeatName = Seats.Of(found).First(s => s.Id == seat).Name,
                    Place = place,
                    Content = Encoding.UTF8.GetBytes(text),
                },
                CancellationToken.None
            );
    }
}
