using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Procedures;

/// <summary>Random acts: most of them possible, some not.</summary>
internal static class ActGenerator
{
    public static Act Make(Random dice, State now)
    {
        var (design, set) = (now.Design, now.Design.SetUp);
        string Box() => Of([.. set.Boxes.Select(b => b.Box)]);
        string Device() => Of([.. set.Devices.Select(d => d.Device)]);
        string Of(IReadOnlyList<string> ids) => ids.Count == 0 ? "none" : ids[dice.Next(ids.Count)];
        PortRef Port() => PortRef.Read($"{Box()}/lan{dice.Next(1, 5)}");
        var change = ChangeGenerator.Make(dice, design);
        var box = change.Subjects() is [var subject, ..] ? subject : Box();
        return dice.Next(20) switch
        {
            0 or 1 => new LaptopToPort(Port()),
            2 => new LaptopToWifi(Box(), "home", "key"),
            3 => new LaptopOffWifi(dice.Next(2) == 0),
            4 => new PowerOff(dice.Next(2) == 0 ? Box() : Device()),
            5 or 6 => new PowerOn(Of(now.Moment.Situation.Off)),
            7 => new WaitFor(dice.Next(1, 600)),
            8 => new WaitUntilReady(Of([.. now.Moment.Situation.BusyNow().Select(b => b.Box)])),
            9 => new ResetBox(Box()),
            10 => new OpenPage(Box()),
            11 => new PatchCable(Port(), Port()),
            12 => new UnpatchCable(Of([.. set.Cables.Select(c => c.Id)])),
            13 => new NewLink(Device()),
            14 => new TryLogin(Box()),
            15 => new LaptopAddress(dice.Next(2) == 0 ? new Automatic() : new Fixed(Home.Own("192.168.8.9/24"), null, [])),
            16 => new PutBoxAway(Box()),
            _ => new SavePage(box, [change]),
        };
    }
}
