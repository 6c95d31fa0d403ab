using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What a line asks for.</summary>
internal static class InternetLine
{
    /// <summary>
    /// What the line wants and does not get; null where it lets it on, or where it is not known better. The provider's own gateway brings
    /// it all along.
    /// </summary>
    /// <param name="design">The design.</param>
    /// <param name="owner">Box or device at the street.</param>
    public static LineFault? Keeps(Design design, string owner)
    {
        var (needs, box) = (design.Site.Service.Line, design.Box(owner));
        // A gateway that passes its address on goes on telling the line.
        if (box?.Profile.Kind == BoxKind.Gateway || Passer.HandsTo(design, owner))
        {
            return null;
        }
        var typed = (design.Mode(owner) as RouterMode)?.Line ?? LineSetting.None;
        var shown = typed.Mac ?? box?.WanMac ?? design.Device(owner)?.Mac;
        return needs.Login == Known.Yes && !typed.Login ? LineFault.Login
            : needs.Tagged == Known.Yes && (typed.Tag is null || (needs.Tag is { } tag && typed.Tag != tag)) ? LineFault.Tag
            : needs.Locked == Known.Yes && needs.LockedTo is { } only && shown is { } own && own != only ? LineFault.Lock
            : null;
    }
}
