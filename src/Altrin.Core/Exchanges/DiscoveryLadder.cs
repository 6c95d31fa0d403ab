using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Exchanges;

/// <summary>How one device looks for another by a question to everybody on the link (RFC 6762).</summary>
public static class DiscoveryLadder
{
    /// <summary>The question of one device for another; null where one of both is not in use.</summary>
    public static Ladder? Of(Observation seen, string from, string to)
    {
        if (seen.Network.Find(from, Side.Device) is not { } client || seen.Network.Find(to, Side.Device) is not { } wanted || from == to)
        {
            return null;
        }
        var title = $"{seen.Network.NameOf(from)} looks for {seen.Network.NameOf(to)}";
        var script = new Script(seen.Network);
        if (!client.Linked || seen.Tracer.World.Address(client) is not { } own)
        {
            var lost = seen.Tracer.ToInternet(client).Answer;
            return new(LadderKind.Discovery, title, lost.IsYes ? Answer.Yes : lost, client.Owner, [], [.. lost.Causes.Select(c => c.Text)]);
        }
        var name = $"{to}.local";
        script.Send(
            client.Segment,
            client,
            null,
            new MdnsPayload(own, MdnsPayload.Group, name, null),
            $"{script.Name(client)} asks all on its link for {name}"
        );
        var (question, reply) = Fact(seen, from, to);
        var notes = new List<string>();
        if (question.Kind != AnswerKind.No && seen.Tracer.World.Address(wanted) is { } address)
        {
            // A host that has just been heard is known (RFC 826); an answer goes to its address and needs no further question.
            script.Resolve(wanted, address, own, client);
            script.Send(
                wanted.Segment,
                wanted,
                client,
                new MdnsPayload(address, own, name, address),
                $"{script.Name(wanted)} answers that it is {address}"
            );
        }
        else if (wanted.Segment != client.Segment)
        {
            notes.Add($"{script.Name(wanted)} is in another segment: such a question crosses neither a router nor guest isolation.");
        }
        var hears = seen
            .Network.Segment(client.Segment)
            .Interfaces.Where(i => i.Side == Side.Device && i.Linked && i.Owner != from)
            .Select(i => seen.Network.NameOf(i.Owner))
            .ToList();
        notes.Add(hears.Count == 0 ? "No other device is in its segment." : $"In its segment: {string.Join(", ", hears)}.");
        notes.AddRange(question.And(reply).Causes.Select(c => c.Text));
        var answer = question.Kind == AnswerKind.No ? question : question.And(reply);
        return new(
            LadderKind.Discovery,
            title,
            answer,
            answer.IsYes ? null : answer.Causes.SelectMany(c => c.Subjects).FirstOrDefault() ?? to,
            script.Frames,
            notes
        );
    }

    private static (Answer Question, Answer Reply) Fact(Observation seen, string from, string to)
    {
        string Class(string device) => seen.Sheet.Reach.Classes.First(c => c.Devices.Contains(device)).Id;
        var (asks, found) = (Class(from), Class(to));
        var fact = seen.Sheet.Discovery.FirstOrDefault(d => d.From == asks && d.To == found);
        var apart = Answer.No(
            Cause.Of(CauseCodes.Apart, $"{seen.Network.NameOf(from)} and {seen.Network.NameOf(to)} are not in one network.", from, to)
        );
        return fact is null ? (apart, apart) : (fact.Question, fact.Reply);
    }
}
