using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>A word for each sort of need, for ids.</summary>
internal static class NeedKindWords
{
    public static string Of(Need need) =>
        need switch
        {
            ReachFromOutside => "outside",
            FoundByOthers => "found",
            LocalServer => "server",
            LittleDelay => "delay",
            StaysOnline => "online",
            CallsInPlace => "calls",
            GuestsKeptApart => "guests",
            KeepsNameAndPassword => "name",
            ServiceLives lives => LineServiceWords.Of(lives.Service),
            _ => "need",
        };
}
