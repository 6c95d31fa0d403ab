using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>The cure of a channel that does not suit: another one.</summary>
internal static class OtherChannel
{
    /// <summary>
    /// The radio of a box set to the channel that suits it best; none where that is the one it has, or a kit chooses for it.
    /// </summary>
    public static IEnumerable<Remedy> For(Evidence e, Air? air)
    {
        if (
            air is not null
            && air.SetAt.Box == air.Box
            && ChannelChoice.Best(e.Design, e.Rates.Signals, e.Rates.Airs, air) is { } best
            && best != air.Setting.Channel
        )
        {
            yield return Cures.Hopeful(
                $"Set {BandWords.Of(air.Radio.Band)} of {e.Name(air.Box)} to channel {best}",
                new SetRadio(air.Box, air.Radio.Id, Partial<RadioSetting>.With(r => r.Channel, best))
            );
        }
    }
}
