using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>Slips of an evening: what is expected disagrees with what is printed once something went otherwise.</summary>
public sealed class SlipTests
{
    /// <summary>
    /// Slips: one act is left out on the kernel and not in what is expected. Nothing differs before it, and something does after.
    /// </summary>
    [Theory]
    [InlineData("an access point, LAN to LAN (T1)", typeof(SwitchDhcpServer))]
    [InlineData("a renumbered main router", typeof(NewLink))]
    [InlineData("a renumbered main router", typeof(DeviceTakesAddress))]
    [InlineData("one subnet on both sides, made flat", typeof(SetLanAddress))]
    public async Task A_slip_on_the_kernel_disagrees(string name, Type leftOut)
    {
        Machine.Need();
        var evening = KernelEvenings.All[name];
        var foreseen = Foreseen.Of(evening.Played());
        var at = evening.Acts.ToList().FindIndex(Slips);
        Assert.True(at > 0);
        var slipped = evening.Without(a => ReferenceEquals(a, evening.Acts[at]));
        var looks = await Walk.Of(slipped, slipped.Played(), [.. foreseen.Where((_, i) => i != at)]);
        Walk.None(looks.Where(l => l.Act < at).SelectMany(l => l.Compared.Differences));
        Assert.NotEmpty(looks.Where(l => l.Act >= at).SelectMany(l => l.Compared.Differences));

        bool Slips(Act act) => act.GetType() == leftOut || (act is SavePage save && save.Changes.Any(c => c.GetType() == leftOut));
    }
}
