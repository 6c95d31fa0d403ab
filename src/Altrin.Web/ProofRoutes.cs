using System.Text;
using System.Text.Json;
using Altrin.Core.Addressing;
using Altrin.Core.Coverage;
using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Sites;
using Altrin.Core.Trials;
using Altrin.Formats;
using Altrin.Formats.Printouts;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>What is seen at a seat.</summary>
/// <param name="At">Where.</param>
/// <param name="Name">What that is called.</param>
/// <param name="Addresses">Its own addresses.</param>
/// <param name="Table">Its address table, once it has reached all.</param>
/// <param name="Trace">A ping and a route; null where none was asked for.</param>
/// <param name="Style">How commands print it.</param>
/// <param name="Printouts">The same as commands print it.</param>
internal sealed record Sight(
    string At,
    string Name,
    IReadOnlyList<AddressFact> Addresses,
    IReadOnlyList<Neighbour> Table,
    Trace? Trace,
    PrintoutStyle Style,
    IReadOnlyList<Printout> Printouts
);

/// <summary>What the home can be taken out as.</summary>
internal enum TakeOut
{
    /// <summary>The address book as CSV.</summary>
    Addresses,

    /// <summary>A hosts file.</summary>
    Hosts,

    /// <summary>The DHCP reservations as configuration of dnsmasq.</summary>
    Reservations,

    /// <summary>The topology of RFC 8345.</summary>
    Topology,
}

/// <summary>The proof of a job's set-up, part by part: each is worked out when it is asked for.</summary>
internal static class ProofRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        var proof = jobs.MapGroup("/{id:long}/proof")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        proof
            .MapGet("/addresses", ([AsParameters] ProofQuestion q) =>
                q.Seen(seen => (Parsed<IReadOnlyList<BookEntry>>)AddressBook.Of(seen).ToList())
            )
            .WithName("ReadAddressBook");
        proof
            .MapGet("/address", ([AsParameters] ProofQuestion q, string address) =>
                q.Seen(seen => Ipv4Address.Parse(address).Then<IReadOnlyList<AddressStandingFact>>(a => AddressBook.Look(seen, a).ToList()))
            )
            .WithName("LookAddressUp");
        proof
            .MapGet("/device", ([AsParameters] ProofQuestion q, string device) =>
                q.Seen(seen => Known(seen.Sheet.Internet.FirstOrDefault(f => f.Device == device), "A device in use is expected."))
            )
            .WithName("ReadInternetOfDevice");
        proof
            .MapGet("/need", ([AsParameters] ProofQuestion q, string need) =>
                q.Seen(seen => Known(seen.Sheet.Needs.FirstOrDefault(f => f.Need == need), "A need of the customer is expected."))
            )
            .WithName("ReadNeed");
        proof
            .MapGet("/reach", ([AsParameters] ProofQuestion q) => q.Seen(seen => (Parsed<ReachFact>)seen.Sheet.Reach))
            .WithName("ReadReach");
        proof
            .MapGet("/path", ([AsParameters] ProofQuestion q, string from, string to) => q.Seen(seen => Path(seen, from, to)))
            .WithName("ExplainPath");
        proof
            .MapGet("/speed", ([AsParameters] ProofQuestion q) => q.Seen(seen => (Parsed<SpeedAndAir>)SpeedAndAir.Of(seen)))
            .WithName("ReadSpeedAndAir");
        proof
            .MapGet("/channels", ([AsParameters] ProofQuestion q) =>
                q.Seen(seen => (Parsed<ChannelPlan>)ChannelPlan.Of(seen.Network.Design, seen.Rates))
            )
            .WithName("PlanChannels");
        proof
            .MapGet("/rate", ([AsParameters] ProofQuestion q, string from, string to) =>
                q.Seen(seen =>
                    Known(
                        to == "internet" ? seen.Rates.ToInternet(from) : seen.Rates.Between(from, to),
                        "Two devices in use that get to each other are expected, or one and 'internet'."
                    )
                )
            )
            .WithName("ReadRate");
        proof
            .MapGet("/joins", ([AsParameters] ProofQuestion q, string box) =>
                q.Asked(
                    (design, _) =>
                        design.Box(box) is { } there
                            ? (Parsed<JoinChoices>)JoinChoices.Of(design, there)
                            : Parsed<JoinChoices>.Fail("A box of the home is expected.")
                )
            )
            .WithName("ListJoins");
        proof
            .MapGet("/seats", ([AsParameters] ProofQuestion q) =>
                q.Asked((design, _) => (Parsed<IReadOnlyList<Seat>>)Seats.Of(design).ToList())
            )
            .WithName("ListSeats");
        proof
            .MapGet("/look", ([AsParameters] ProofQuestion q, string at, string style, string? to = null) =>
                q.Asked((design, cancel) => Look(design, at, to, style, cancel))
            )
            .WithName("LookFromSeat");
        proof
            .MapGet("/ladder", ([AsParameters] ProofQuestion q, string kind, string subject, string? to = null) =>
                q.Asked(
                    (design, cancel) =>
                        Climb(design, kind, subject, to, cancel).Then<LadderDocument>(l => LadderDocument.Of(l.Seen, l.Ladder))
                )
            )
            .WithName("ReadLadder");
        proof.MapGet("/capture", Capture).WithName("TakeCapture").Produces<byte[]>(StatusCodes.Status200OK, CaptureFile.MediaType);
        proof
            .MapGet("/trials", ([AsParameters] ProofQuestion q) =>
                q.Asked((design, _) => (Parsed<IReadOnlyList<Trial>>)WhatIf.Of(design).ToList())
            )
            .WithName("ListTrials");
        proof
            .MapGet("/trial", ([AsParameters] ProofQuestion q, string trial) =>
                q.Asked((design, cancel) => WhatIf.Try(design, trial, new(cancel)))
            )
            .WithName("TryTrial");
        proof.MapGet("/take-out/{what}", TakenOut).WithName("TakeOut").Produces<string>(StatusCodes.Status200OK, "text/plain");
    }

    private static Parsed<T> Known<T>(T? fact, string expected) => fact is null ? Parsed<T>.Fail(expected) : fact;

    private static Parsed<PathFact> Path(Observation seen, string from, string to) =>
        (
            from == "internet" ? Paths.FromInternet(seen, to)
            : to == "internet" ? Paths.ToInternet(seen, from)
            : Paths.Between(seen, from, to)
        )
            is { } path
            ? path
            : Parsed<PathFact>.Fail("Two different devices in use are expected; or 'internet' and a need; or a device and 'internet'.");

    private static Parsed<Sight> Look(Design design, string at, string? to, string words, CancellationToken cancel) =>
        Word<PrintoutStyle>(words)
            .Then(style =>
                Seats
                    .At(design, at, new(cancel))
                    .Then<Sight>(stand =>
                    {
                        var (seen, owner) = stand;
                        var view = Looking.From(seen, owner)!;
                        return to is null
                            ? Sight(null)
                            : Seats.Target(seen, to).Then<Sight>(target => Sight(Looking.To(seen, owner, target)));

                        Sight Sight(Trace? trace) =>
                            new(
                                at,
                                seen.Network.NameOf(owner),
                                view.Addresses,
                                view.Table,
                                trace,
                                style,
                                Printout.Of(seen, owner, trace, style)
                            );
                    })
            );

    /// <summary>A word of a list as it stands in an address: written small there, as in JSON.</summary>
    private static Parsed<T> Word<T>(string text)
        where T : struct, Enum =>
        Enum.TryParse<T>(text, ignoreCase: true, out var word) && Enum.IsDefined(word) && !char.IsAsciiDigit(text[0])
            ? word
            : Parsed<T>.Fail(
                $"One of {string.Join(", ", Enum.GetNames<T>().Select(n => JsonNamingPolicy.CamelCase.ConvertName(n)))} is expected."
            );

    private static Parsed<(Observation Seen, Ladder Ladder)> Climb(
        Design design,
        string word,
        string subject,
        string? to,
        CancellationToken cancel
    )
    {
        var read = Word<LadderKind>(word);
        if (!read.Ok)
        {
            return Parsed<(Observation, Ladder)>.Fail(read.Error);
        }
        var kind = read.Value;
        var seen = ProofQuestion.Observed(design, cancel);
        var ladder = kind switch
        {
            LadderKind.Lease => LeaseLadder.Of(seen, subject),
            LadderKind.Connection => ConnectionLadder.Between(seen, subject, to ?? ""),
            LadderKind.Internet => ConnectionLadder.ToInternet(seen, subject),
            LadderKind.Inbound => ConnectionLadder.FromInternet(seen, subject),
            _ => DiscoveryLadder.Of(seen, subject, to ?? ""),
        };
        return ladder is not null
            ? (seen, ladder)
            : Parsed<(Observation, Ladder)>.Fail(
                kind switch
                {
                    LadderKind.Lease => "A device or box in use that asks for an address is expected.",
                    LadderKind.Inbound => "A need to be reached from outside, of a device in use, is expected.",
                    LadderKind.Internet => "A device in use is expected.",
                    _ => "Two different devices in use are expected.",
                }
            );
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Capture(
        [AsParameters] ProofQuestion question,
        string kind,
        string subject,
        string segment,
        string? to = null
    )
    {
        var (file, problem) = await question.Answer(
            (design, cancel) =>
                Climb(design, kind, subject, to, cancel)
                    .Then<FileContentHttpResult>(c =>
                        c.Ladder.Segments.Contains(segment)
                            ? TypedResults.File(
                                CaptureFile.Write(c.Ladder, segment),
                                CaptureFile.MediaType,
                                $"{DesignRoutes.Slug($"{subject} {kind} {segment}")}.pcap"
                            )
                            : Parsed<FileContentHttpResult>.Fail($"One can listen in {string.Join(", ", c.Ladder.Segments)}.")
                    )
        );
        return file is not null ? file : problem!;
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> TakenOut(
        [AsParameters] ProofQuestion question,
        string what
    )
    {
        var (file, problem) = await question.Answer(
            (design, cancel) =>
                Word<TakeOut>(what)
                    .Then<FileContentHttpResult>(kind =>
                    {
                        var seen = ProofQuestion.Observed(design, cancel);
                        var name = DesignRoutes.Slug(design.Site.Name);
                        var (text, type, file) = kind switch
                        {
                            // A byte order mark lets spreadsheets read names in any language.
                            TakeOut.Addresses => (
                                $"\uFEFF{AddressPlanFile.Write(AddressBook.Of(seen))}",
                                "text/csv; charset=utf-8",
                                $"{name}-addresses.csv"
                            ),
                            TakeOut.Hosts => (
                                HostsFile.Write(design.Site.Name, AddressBook.Of(seen)),
                                "text/plain; charset=utf-8",
                                $"{name}.hosts"
                            ),
                            TakeOut.Reservations => (
                                ReservationsFile.Write(seen.Network),
                                "text/plain; charset=utf-8",
                                $"{name}-reservations.conf"
                            ),
                            _ => (TopologyFile.Write(seen), TopologyFile.MediaType, $"{name}-topology.json"),
                        };
                        return TypedResults.File(Encoding.UTF8.GetBytes(text), type, file);
                    })
        );
        return file is not null ? file : problem!;
    }
}
