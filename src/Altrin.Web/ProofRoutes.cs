using System.Text;
using System.Text.Json;
using Altrin.Core.Addressing;
using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Core.Trials;
using Altrin.Data;
using Altrin.Formats;
using Altrin.Formats.Printouts;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>What is seen at a seat.</summary>
/// <param name="At">Where.</param>
/// <param name="Name">What that is called.</param>
/// <param name="Addresses">Its own addresses.</param>
/// <param name="Table">Its address table, once it has spoken to everybody.</param>
/// <param name="Trace">A ping and a route; null where none was asked for.</param>
/// <param name="Style">How commands print it.</param>
/// <param name="Printouts">The same as commands print it.</param>
internal sealed record Sight(string At, string Name, IReadOnlyList<AddressFact> Addresses, IReadOnlyList<Neighbour> Table, Trace? Trace, PrintoutStyle Style, IReadOnlyList<Printout> Printouts);

/// <summary>What the home can be taken out as.</summary>
internal enum TakeOut
{
    /// <summary>The address book as CSV.</summary>
    Addresses,
    /// <summary>A hosts file.</summary>
    Hosts,
    /// <summary>The topology of RFC 8345.</summary>
    Topology,
}

/// <summary>The proof of a job's set-up, part by part: each is worked out when it is asked for.</summary>
internal static class ProofRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        var proof = jobs.MapGroup("/{id:long}/proof").ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        proof.MapGet("/addresses", (long id, string setUp, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => (Parsed<IReadOnlyList<BookEntry>>)AddressBook.Of(Seen(d, c)).ToList(), cancel)).WithName("ReadAddressBook");
        proof.MapGet("/address", (long id, string setUp, string address, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => Ipv4Address.Parse(address).Then<IReadOnlyList<AddressStandingFact>>(a => AddressBook.Look(Seen(d, c), a).ToList()), cancel)).WithName("LookAddressUp");
        proof.MapGet("/reach", (long id, string setUp, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => (Parsed<ReachFact>)Seen(d, c).Sheet.Reach, cancel)).WithName("ReadReach");
        proof.MapGet("/path", (long id, string setUp, string from, string to, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => Path(Seen(d, c), from, to), cancel)).WithName("ExplainPath");
        proof.MapGet("/seats", (long id, string setUp, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => (Parsed<IReadOnlyList<Seat>>)Seats.Of(d).ToList(), cancel)).WithName("ListSeats");
        proof.MapGet("/look", (long id, string setUp, string at, string style, JobStore store, Proofs proofs, CancellationToken cancel, string? to = null) => Asked(id, setUp, store, proofs, (d, c) => Look(d, at, to, style, c), cancel)).WithName("LookFromSeat");
        proof.MapGet("/ladder", (long id, string setUp, string kind, string subject, JobStore store, Proofs proofs, CancellationToken cancel, string? to = null) => Asked(id, setUp, store, proofs, (d, c) => Climb(d, kind, subject, to, c).Then<LadderDocument>(l => LadderDocument.Of(l.Seen, l.Ladder)), cancel)).WithName("ReadLadder");
        proof.MapGet("/capture", Capture).WithName("TakeCapture").Produces<byte[]>(StatusCodes.Status200OK, CaptureFile.MediaType);
        proof.MapGet("/trials", (long id, string setUp, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => (Parsed<IReadOnlyList<Trial>>)WhatIf.Of(d).ToList(), cancel)).WithName("ListTrials");
        proof.MapGet("/trial", (long id, string setUp, string trial, JobStore store, Proofs proofs, CancellationToken cancel) => Asked(id, setUp, store, proofs, (d, c) => WhatIf.Try(d, trial, new(c)), cancel)).WithName("TryTrial");
        proof.MapGet("/take-out/{what}", TakenOut).WithName("TakeOut").Produces<string>(StatusCodes.Status200OK, "text/plain");
    }

    private static Observation Seen(Design design, CancellationToken cancel) => Observer.Observe(Compiler.Compile(design, Situation.Settled, new Work(cancel)));

    private static async Task<Results<Ok<T>, ProblemHttpResult>> Asked<T>(long id, string setUp, JobStore store, Proofs proofs, Func<Design, CancellationToken, Parsed<T>> answer, CancellationToken cancel)
    {
        var (design, problem) = await Find(id, setUp, store, cancel);
        if (design is null)
        {
            return problem!;
        }
        var answered = await proofs.Do(id, c => answer(design, c), cancel);
        return answered.Ok ? TypedResults.Ok(answered.Value) : Refused(answered.Error);
    }

    private static async Task<(Design? Design, ProblemHttpResult? Problem)> Find(long id, string setUp, JobStore store, CancellationToken cancel) =>
        await store.Find(id, cancel) is not { } head ? (null, Problems.NoJob(id))
        : head.Home.Design(setUp) is not { } design ? (null, DesignRoutes.NoSetUp(head.Home, setUp))
        : (design, null);

    private static ProblemHttpResult Refused(string why) => Problems.Of(StatusCodes.Status422UnprocessableEntity, "bad-value", "A value cannot be taken.", why);

    private static Parsed<PathFact> Path(Observation seen, string from, string to) =>
        (from == "internet" ? Paths.FromInternet(seen, to) : to == "internet" ? Paths.ToInternet(seen, from) : Paths.Between(seen, from, to)) is { } path
            ? path
            : Parsed<PathFact>.Fail("Two different devices in use are expected; or 'internet' and a need; or a device and 'internet'.");

    private static Parsed<Sight> Look(Design design, string at, string? to, string words, CancellationToken cancel) => Word<PrintoutStyle>(words).Then(style => Seats.Stand(design, at, new(cancel)).Then<Sight>(stand =>
    {
        var (seen, owner) = stand;
        var view = Looking.From(seen, owner)!;
        return to is null ? Sight(null) : Seats.Target(seen, to).Then<Sight>(target => Sight(Looking.To(seen, owner, target)));

        Sight Sight(Trace? trace) => new(at, seen.Network.NameOf(owner), view.Addresses, view.Table, trace, style, Printout.Of(seen, owner, trace, style));
    }));

    /// <summary>A word of a list as it stands in an address: written small there, as in JSON.</summary>
    private static Parsed<T> Word<T>(string text)
        where T : struct, Enum =>
        Enum.TryParse<T>(text, ignoreCase: true, out var word) && Enum.IsDefined(word) && !char.IsAsciiDigit(text[0])
            ? word
            : Parsed<T>.Fail($"One of {string.Join(", ", Enum.GetNames<T>().Select(n => JsonNamingPolicy.CamelCase.ConvertName(n)))} is expected.");

    private static Parsed<(Observation Seen, Ladder Ladder)> Climb(Design design, string word, string subject, string? to, CancellationToken cancel)
    {
        var read = Word<LadderKind>(word);
        if (!read.Ok)
        {
            return Parsed<(Observation, Ladder)>.Fail(read.Error);
        }
        var kind = read.Value;
        var seen = Seen(design, cancel);
        var ladder = kind switch
        {
            LadderKind.Lease => LeaseLadder.Of(seen, subject),
            LadderKind.Connection => ConnectionLadder.Between(seen, subject, to ?? ""),
            LadderKind.Internet => ConnectionLadder.ToInternet(seen, subject),
            LadderKind.Inbound => ConnectionLadder.FromInternet(seen, subject),
            _ => DiscoveryLadder.Of(seen, subject, to ?? ""),
        };
        return ladder is not null ? (seen, ladder) : Parsed<(Observation, Ladder)>.Fail(kind switch
        {
            LadderKind.Lease => "Somebody in use who asks for an address is expected.",
            LadderKind.Inbound => "A need to be reached from outside, of a device in use, is expected.",
            LadderKind.Internet => "A device in use is expected.",
            _ => "Two different devices in use are expected.",
        });
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Capture(long id, string setUp, string kind, string subject, string segment, JobStore store, Proofs proofs, CancellationToken cancel, string? to = null)
    {
        var (design, problem) = await Find(id, setUp, store, cancel);
        if (design is null)
        {
            return problem!;
        }
        var climbed = await proofs.Do(id, c => Climb(design, kind, subject, to, c), cancel);
        return !climbed.Ok ? Refused(climbed.Error)
            : !climbed.Value.Ladder.Segments.Contains(segment) ? Refused($"One can listen in {string.Join(", ", climbed.Value.Ladder.Segments)}.")
            : TypedResults.File(CaptureFile.Write(climbed.Value.Ladder, segment), CaptureFile.MediaType, $"{DesignRoutes.Slug($"{subject} {kind} {segment}")}.pcap");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> TakenOut(long id, string what, string setUp, JobStore store, Proofs proofs, CancellationToken cancel)
    {
        var (design, problem) = await Find(id, setUp, store, cancel);
        if (design is null)
        {
            return problem!;
        }
        var read = Word<TakeOut>(what);
        if (!read.Ok)
        {
            return Refused(read.Error);
        }
        var name = DesignRoutes.Slug(design.Site.Name);
        var (text, type, file) = await proofs.Ask(id, design, seen => read.Value switch
        {
            // A byte order mark lets spreadsheets read names in any language.
            TakeOut.Addresses => ($"\uFEFF{AddressPlanFile.Write(AddressBook.Of(seen))}", "text/csv; charset=utf-8", $"{name}-addresses.csv"),
            TakeOut.Hosts => (HostsFile.Write(design.Site.Name, AddressBook.Of(seen)), "text/plain; charset=utf-8", $"{name}.hosts"),
            _ => (TopologyFile.Write(seen), TopologyFile.MediaType, $"{name}-topology.json"),
        }, cancel);
        return TypedResults.File(Encoding.UTF8.GetBytes(text), type, file);
    }
}
