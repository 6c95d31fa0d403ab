using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Procedures;

/// <summary>What is done for the evening only, since the straight way would break something.</summary>
public sealed class DetourTests
{
    private static readonly string[] Senders = ["gw", "point"];

    private static Design House(string second) =>
        Home.WithGateway()
            .PagePassword("gw", "page")
            .Point("point", name: second)
            .PagePassword("point", "page")
            .Cable("gw/lan1", "point/wan")
            .Wired("a", "gw/lan2")
            .Wifi("phone", "gw")
            .Design;

    private static RunSheet Sheet(Design from, params Change[] changes) =>
        RunSheet.Derive(
            State.Morning(from),
            ChangeList.Apply(from, changes).Value.SetUp,
            Ways.Usual,
            TestContext.Current.CancellationToken
        );

    private static SetRadio Set(string box, Partial<RadioSetting> radio) => new SetRadio(box, "r5", radio);

    private static Change[] EachGets(Partial<RadioSetting> radio) =>
        [.. Senders.Select(b => Set(b, radio)), new JoinWifi("phone", new("gw", "home", "another"))];

    /// <summary>While two boxes that send one name get another password one after the other, a device would join by luck.</summary>
    [Fact]
    public void A_password_that_two_boxes_share_is_changed_with_one_of_them_silent()
    {
        var sheet = Sheet(House("home"), EachGets(Partial<RadioSetting>.With(r => r.Password, "another")));
        Assert.True(sheet.IsSafe, string.Join('\n', sheet.Unsafe.Select(u => u.Says).Concat(sheet.Missing)));
        var silent = Assert.Single(sheet.Order.Work, w => w.Kind == WorkKind.Silence);
        var step = sheet.Steps.Single(s => s.Acts.Contains(silent.Steps[0]));
        Assert.StartsWith("Switch the radio off at", step.Says);
        Assert.Contains("silent meanwhile", step.Why);
        Assert.All(sheet.Order.End.Design.SetUp.Boxes.SelectMany(b => b.Mode.Radios), r => Assert.True(r.On));
    }

    /// <summary>Where nothing is in the way, nothing is switched off for it.</summary>
    [Theory]
    [InlineData("other", nameof(RadioSetting.Password))]
    [InlineData("home", nameof(RadioSetting.Channel))]
    public void The_straight_way_is_kept_where_it_breaks_nothing(string second, string what)
    {
        var radio =
            what == nameof(RadioSetting.Channel)
                ? Partial<RadioSetting>.With(r => r.Channel, 44)
                : Partial<RadioSetting>.With(r => r.Password, "another");
        var sheet = Sheet(House(second), [.. Senders.Select(b => Set(b, radio))]);
        Assert.DoesNotContain(sheet.Order.Work, w => w.Kind == WorkKind.Silence);
        Assert.Empty(sheet.Missing);
    }
}
