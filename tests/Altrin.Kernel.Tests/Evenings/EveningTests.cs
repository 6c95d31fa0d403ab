using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>
/// Evenings played act by act on namespaces that are changed in place. What Altrin expects of every act is written down before anything is
/// built; what the laptop then prints is read by Altrin's own readers and held to it.
/// </summary>
public sealed class EveningTests
{
    public static TheoryData<string> Names => [.. KernelEvenings.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public async Task An_evening_is_as_Altrin_expects_it(string name)
    {
        Machine.Need();
        var evening = KernelEvenings.All[name];
        var play = evening.Played();
        Walk.None(play.Steps.Where(s => s.Refused is not null).Select(s => $"{s.Says}: {s.Refused}"));
        var foreseen = Foreseen.Of(play);
        var looks = await Walk.Of(evening, play, foreseen);
        Report.Say($"{name}: {play.Steps.Count} acts, {looks.Count} looks, {looks.Sum(l => l.Compared.Certain)} facts compared");
        Walk.None(looks.SelectMany(l => l.Compared.Differences.Select(d => $"{l.Act + 1}. {foreseen[l.Act].Step.Says}: {d}")));
        Assert.True(looks.Count > 5);
    }

    /// <summary>
    /// What wires cannot show of an evening: paper, the provider, applications, and firmware, of which they show a restart.
    /// </summary>
    private static readonly Type[] NotShown =
    [
        typeof(AskProvider),
        typeof(Export),
        typeof(Fetch),
        typeof(RecordFacts),
        typeof(SetInApp),
        typeof(UpdateFirmware),
    ];

    [Fact]
    public void Every_act_is_played_on_the_kernel_or_named_as_one_that_wires_cannot_show()
    {
        var played = KernelEvenings.All.Values.SelectMany(e => e.Acts).Select(a => a.GetType());
        Assert.Equal(
            typeof(Act).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Act))).Select(t => t.Name).Order(StringComparer.Ordinal),
            played.Concat(NotShown).Distinct().Select(t => t.Name).Order(StringComparer.Ordinal)
        );
    }
}
