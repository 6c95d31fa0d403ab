using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Words for what a cable is made of.</summary>
internal static class MediumWords
{
    public static string Of(Medium medium) =>
        medium switch
        {
            Medium.Cat5 => "Cat 5",
            Medium.Cat5e => "Cat 5e",
            Medium.Cat6 => "Cat 6",
            Medium.Cat6a => "Cat 6A",
            Medium.Fibre => "fibre",
            Medium.Powerline => "powerline",
            Medium.Coax => "coax",
            _ => "not looked at",
        };
}
