using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Altrin.Formats;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Edits over real HTTP as the forms of the page send them: what was touched changes, and nothing else of the home.</summary>
public sealed class EditApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    // A change as a form sends it, and every value of the design file that it alters.
    [Theory]
    [InlineData(
        """{"kind":"setCable","cable":"hall-gateway-lan1-loft-router-wan","known":{"lengthMetres":12}}""",
        "cables/hall-gateway-lan1-loft-router-wan/lengthMetres"
    )]
    [InlineData(
        """{"kind":"setCable","cable":"hall-gateway-lan1-loft-router-wan","known":{"run":null}}""",
        "cables/hall-gateway-lan1-loft-router-wan/run"
    )]
    [InlineData("""{"kind":"movePool","box":"hall-gateway","last":"192.168.8.150"}""", "boxes/hall-gateway/dhcpServer/pool/last")]
    [InlineData(
        """{"kind":"setRadio","box":"hall-gateway","radio":"r5","setting":{"channel":44}}""",
        "boxes/hall-gateway/radios/r5/channel"
    )]
    [InlineData(
        """{"kind":"setRadio","box":"hall-gateway","radio":"r5","setting":{"password":null}}""",
        "boxes/hall-gateway/radios/r5/password"
    )]
    [InlineData("""{"kind":"setLine","box":"hall-gateway","line":{"tag":7}}""", "boxes/hall-gateway/line/tag")]
    [InlineData("""{"kind":"setServerDomain","box":"hall-gateway","domain":"home.arpa"}""", "boxes/hall-gateway/dhcpServer/domain")]
    [InlineData("""{"kind":"placeBox","box":"loft-router","place":"hall"}""", "boxes/loft-router/place")]
    public async Task A_form_of_the_plan_alters_one_value(string change, params string[] altered) =>
        Assert.Equal(
            altered.Select(a => $"setUps/planned/{a}"),
            await Altered("changes", $$"""{"setUp":"planned","changes":[{{change}}]}""")
        );

    [Theory]
    [InlineData("""{"kind":"setBox","box":"hall-gateway","known":{"name":"Gateway"}}""", "boxes/hall-gateway/name")]
    [InlineData("""{"kind":"setLabel","box":"hall-gateway","label":{"firmware":"9.9"}}""", "boxes/hall-gateway/label/firmware")]
    [InlineData("""{"kind":"setDevice","device":"printer","known":{"place":null}}""", "devices/printer/place")]
    [InlineData("""{"kind":"setPlace","place":"hall","known":{"floor":3}}""", "places/hall/floor")]
    [InlineData("""{"kind":"setService","service":{"upMbps":77}}""", "service/upMbps")]
    [InlineData("""{"kind":"setHome","known":{"naming":"onePerBand"}}""", "naming")]
    public async Task A_form_of_the_survey_alters_one_value(string correction, params string[] altered) =>
        Assert.Equal(
            altered.Select(a => $"site/{a}"),
            await Altered("corrections", $$"""{"setUp":"found","corrections":[{{correction}}]}""")
        );

    // What is absent is not null, what may not be null is not, and nothing unknown is passed over.
    [Theory]
    [InlineData("""{"kind":"setRadio","box":"hall-gateway","radio":"r5","setting":{"name":null}}""", "'name' cannot be null")]
    [InlineData("""{"kind":"setRadio","box":"hall-gateway","radio":"r5","setting":{"radio":"r24"}}""", "'radio' cannot be set here")]
    [InlineData("""{"kind":"setCable","cable":"x","known":{"colour":"red"}}""", "lengthMetres, medium, pairs, run can")]
    [InlineData("""{"kind":"setCable","cable":"x","known":{"pairs":2,"pairs":4}}""", "is given twice")]
    [InlineData("""{"kind":"setCable","cable":"x","known":[]}""", "An object with the members that change")]
    [InlineData("""{"kind":"patch","a":"hall-gateway/lan4","b":"printer","known":{"medium":"cat6"}}""", "lengthMetres")]
    public async Task An_edit_that_is_not_one_is_refused_by_name(string change, string says)
    {
        var (status, body) = await Post($"{await NewJob()}/changes", $$"""{"setUp":"planned","changes":[{{change}}]}""", 1, null);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(says, body!["detail"]!.ToString(), StringComparison.Ordinal);
    }

    // Tab 1 sets the end of the pool, a stale tab 2 its start: both are kept. Where both set the end, the answer says so.
    [Fact]
    public async Task Of_two_tabs_neither_loses_an_edit()
    {
        var job = await NewJob();
        var seen = (long)(await _http.GetFromJsonAsync<JsonObject>(job, Cancel))!["revision"]!;
        static string Pool(string ends) => $$"""{"setUp":"planned","changes":[{"kind":"movePool","box":"hall-gateway",{{ends}}}]}""";
        var first = await Post($"{job}/changes", Pool("\"last\":\"192.168.8.150\""), 1, seen);
        var stale = await Post($"{job}/changes", Pool("\"first\":\"192.168.8.30\""), 1, seen);
        Assert.Equal((HttpStatusCode.PreconditionFailed, 0), (stale.Status, stale.Body!["clashes"]!.AsArray().Count));
        var both = await Post(
            $"{job}/changes",
            Pool("\"first\":\"192.168.8.30\""),
            (long)stale.Body["head"]!["version"]!,
            (long)stale.Body["head"]!["revision"]!
        );
        Assert.Equal(
            "192.168.8.30-192.168.8.150",
            both.Body!["design"]!["setUps"]![0]!["boxes"]!.AsArray().First(b => (string)b!["box"]! == "hall-gateway")!["dhcpServer"]![
                "pool"
            ]!.ToString()
        );
        var same = await Post($"{job}/changes", Pool("\"last\":\"192.168.8.160\""), 1, seen);
        var clash = Assert.Single(same.Body!["clashes"]!.AsArray())!;
        Assert.Equal(
            ("last address of the DHCP pool of Hall gateway", "planned", "192.168.8.160", "192.168.8.150"),
            ((string)clash["what"]!, (string)clash["setUp"]!, (string)clash["yours"]!, (string)clash["theirs"]!)
        );
        // A request that does not say what was seen is not told that nothing clashes.
        Assert.Null((await Post($"{job}/changes", Pool("\"last\":\"192.168.8.160\""), 1, null)).Body!["clashes"]);
        Assert.Equal(HttpStatusCode.OK, first.Status);
    }

    // A device that was added since is spoken of, whichever way round the versions are compared.
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task Versions_are_compared_over_something_that_was_added(bool forward)
    {
        var job = await NewJob();
        var before = (long)(await _http.GetFromJsonAsync<JsonObject>(job, Cancel))!["revision"]!;
        var added = await Post(
            $"{job}/corrections",
            """{"setUp":"found","corrections":[{"kind":"addDevice","device":{"id":"","name":"New tablet","kind":"tablet","mac":null},"address":{"kind":"automatic"},"connection":{"by":"cable","to":null,"port":null}}]}""",
            1,
            null
        );
        var after = (long)added.Body!["revision"]!;
        var (from, to) = forward ? (before, after) : (after, before);
        var compared = await _http.GetFromJsonAsync<JsonObject>(
            $"{job}/compare?before={from}&after={to}&beforeSetUp=found&afterSetUp=found",
            Cancel
        );
        Assert.Contains(compared!["changes"]!.AsArray(), c => ((string)c!["text"]!).Contains("New tablet", StringComparison.Ordinal));
        Assert.Empty(compared["unreachable"]!.AsArray());
    }

    private async Task<string> NewJob()
    {
        using var answer = await _http.PostAsync(
            new Uri("/api/jobs", UriKind.Relative),
            JsonContent.Create(new { name = "A copy", from = 1 }),
            Cancel
        );
        return $"/api/jobs/{(await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel))!["id"]}";
    }

    private async Task<IEnumerable<string>> Altered(string route, string body)
    {
        var job = await NewJob();
        var before = await Values(job);
        var (status, answer) = await Post($"{job}/{route}", body, 1, null);
        Assert.True(status == HttpStatusCode.OK, $"{answer}");
        return HomeValues.Between(before, await Values(job)).Select(p => $"{p}");
    }

    private async Task<IReadOnlyDictionary<ValuePath, string>> Values(string job) =>
        HomeValues.Of(DesignFile.Read(await _http.GetStringAsync(new Uri($"{job}/design", UriKind.Relative), Cancel)).Value!);

    private async Task<(HttpStatusCode Status, JsonObject? Body)> Post(string path, string body, long version, long? seen)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, path)
        {
            Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json"),
        };
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        if (seen is { } revision)
        {
            request.Headers.TryAddWithoutValidation("Altrin-Base", $"{revision}");
        }
        using var answer = await _http.SendAsync(request, Cancel);
        return (answer.StatusCode, await answer.Content.ReadFromJsonAsync<JsonObject>(Cancel));
    }
}
