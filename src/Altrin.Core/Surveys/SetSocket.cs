using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Corrects what is known of a socket in the wall, what is not given stays; or notes one, where no id is given.</summary>
/// <param name="Socket">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name and what it carries.</param>
public sealed record SetSocket(string Socket, Partial<Socket> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Sockets, Socket, IdIn(home), Known, s => s.Id, "socket")
            .Then<HomeFile>(socket =>
                Edit.Unless(
                    Given.WrongName(socket.Name)
                        ?? Given.WrongPlace(home.Site, socket.Place)
                        ?? Given.WrongId(home.Site, socket.Id, [.. home.Site.Sockets.Select(s => s.Id)], Site.MostSockets, "sockets"),
                    home.With(home.Site with { Sockets = Given.With(home.Site.Sockets, socket, s => s.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"Socket {Given.Describe(home.Site.Sockets.FirstOrDefault(s => s.Id == Socket)?.Name, Known)}";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        Given.Touches(Setting.Socket, Socket, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) => Socket.Length > 0 ? Socket : Slugs.Of(Given.NameOf(Known), home.Site.Uses, "socket");
}
