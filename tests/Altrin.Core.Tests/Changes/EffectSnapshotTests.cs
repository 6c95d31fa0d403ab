using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Changes;

/// <summary>What a reset and a change of mode leave of a box, beside what was asked for, as approved.</summary>
public sealed class EffectSnapshotTests
{
    private static readonly Setting[][] Cleared =
    [
        [],
        [Setting.Uplink],
        [Setting.WifiName, Setting.RadioOn, Setting.Channel],
        [.. ModeSettings.Radio, Setting.AdminPassword, Setting.Uplink],
    ];

    private static readonly Setting[][] Kept =
    [
        [],
        [Setting.Line],
        [Setting.WifiName, Setting.WifiPassword],
        [Setting.LanAddress, Setting.PoolFirst, Setting.PoolLast],
    ];

    [Fact]
    public void What_a_reset_leaves_is_as_approved()
    {
        var text = new StringBuilder();
        foreach (var (seed, design) in Homes(12))
        {
            text.Append($"\n# Home {seed}\n");
            foreach (var box in design.Site.Boxes)
            {
                text.Append($"\n{box.Id} ({box.Profile.Kind}), may keep {Plain.Of(BoxReset.Kept(box.Profile))}\n");
                foreach (var keeps in Kept)
                {
                    text.Append($" keeps {Plain.Of(keeps)}\n");
                    Tell(text, design, BoxReset.Of(design, box.Id, keeps));
                }
            }
        }
        var gateway = Home.WithGateway().Design;
        Assert.Same(gateway.SetUp, BoxReset.Of(gateway, "nothing", []));
        Snapshot.Match(text.ToString(), "Resets");
    }

    [Fact]
    public void What_a_change_of_mode_leaves_is_as_approved()
    {
        var text = new StringBuilder();
        foreach (var (seed, design) in Homes(12))
        {
            text.Append($"\n# Home {seed}\n");
            foreach (var box in design.Site.Boxes)
            {
                foreach (var mode in box.Profile.Modes)
                {
                    text.Append($"\n{box.Id} to {ModeWords.Of(mode)}, usually {Plain.Of(ModeEffects.Of(box.Profile, mode))}\n");
                    foreach (var effects in Cleared.SelectMany(_ => Enum.GetValues<AddressAfter>(), (c, a) => new ModeEffects(c, a)))
                    {
                        var made = effects.Apply(design, box.Id, mode);
                        text.Append($" clears {Plain.Of(effects.Clears)}, address {effects.Address}\n");
                        if (made.Ok)
                        {
                            Tell(text, design, made.Value);
                        }
                        else
                        {
                            text.Append($"  refused: {made.Error}\n");
                        }
                    }
                }
            }
        }
        var missing = new ModeEffects([], AddressAfter.Kept).Apply(Home.WithGateway().Design, "x", ModeKind.Router);
        Assert.Equal("There is no box 'x' in use.", missing.Error);
        Snapshot.Match(text.ToString(), "Modes");
    }

    /// <summary>What a kind says of a change of mode is taken; what it does not say may be either way, at most four ways.</summary>
    [Theory]
    [InlineData(false, false, AddressAfter.Unknown, "Leased, Kept; all Leased, all Kept")]
    [InlineData(true, false, AddressAfter.ItsOwn, "ItsOwn; all ItsOwn")]
    [InlineData(true, true, AddressAfter.Unknown, "Leased, Kept")]
    [InlineData(true, true, AddressAfter.Leased, "Leased")]
    public void What_a_kind_says_of_a_mode_is_taken(bool known, bool clears, AddressAfter address, string expected)
    {
        var box = Home.WithGateway().Design.Box("gw")!.Profile;
        ModeEffect effect = new(ModeKind.AccessPoint, address) { Clears = clears ? [] : null };
        ModeEffect other = new(ModeKind.Repeater, AddressAfter.Kept) { Clears = [Setting.WifiName] };
        var profile = known ? box with { Traits = box.Traits with { Effects = [other, effect] } } : box;
        var told = ModeEffects.Of(profile, ModeKind.AccessPoint).Select(e => $"{(e.Clears.Count > 0 ? "all " : "")}{e.Address}");
        Assert.Equal(expected.Replace(';', ','), string.Join(", ", told));
        Assert.All(ModeEffects.Of(profile, ModeKind.Router), e => Assert.Equal(AddressAfter.Kept, e.Address));
    }

    private static IEnumerable<(int Seed, Design Design)> Homes(int count) =>
        Enumerable
            .Range(1, count)
            .Select(seed => (seed, SurveyGenerator.Survey(DesignGenerator.Make(seed, 5), seed)))
            .Select(h => (h.seed, Labelled(h.Item2)));

    /// <summary>Each box has a password on its label.</summary>
    private static Design Labelled(Design design) =>
        design with
        {
            Site = design.Site with
            {
                Boxes = [.. design.Site.Boxes.Select(b => b with { Label = b.Label with { Password = $"label-{b.Id}" } })],
            },
        };

    private static void Tell(StringBuilder text, Design design, SetUp after)
    {
        foreach (var change in Difference.Between(design.Site, design.SetUp, after).Changes)
        {
            text.Append($"  {change.Describe(design)} | {change}\n");
        }
    }
}
