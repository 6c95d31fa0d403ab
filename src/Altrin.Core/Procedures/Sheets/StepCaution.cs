using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>
/// What to take care of where the work can hurt someone (common practice). It gives no rules of its own: local code and licensed persons
/// decide.
/// </summary>
internal static class StepCaution
{
    /// <summary>The cautions of a step.</summary>
    public static IEnumerable<string> Of(IReadOnlyList<PlayedStep> acts, PlayedStep main)
    {
        var design = main.After.Design;
        var boxes = acts.SelectMany(a => Boxes(a.Act)).Distinct().Select(design.Box).OfType<Box>().ToList();
        if (
            acts.Any(a => a.Act is PatchCable { Known.Medium: Medium.Powerline })
            || main.Act is PowerOn && boxes.Exists(b => b.Profile.Kind == BoxKind.Powerline)
        )
        {
            yield return "It is plugged straight into a wall socket, never into an extension lead. "
                + "Work on the mains wiring itself is for a licensed electrician.";
        }
        foreach (var carry in acts.Select(a => a.Act).OfType<CarryBox>())
        {
            switch (design.Site.Place(carry.Place)?.Kind)
            {
                case PlaceKind.Loft:
                    yield return "In a loft stand on joists or boards only, with a ladder that is held, a lamp, "
                        + "and a way for someone to hear you.";
                    break;
                case PlaceKind.Outdoors:
                    yield return "Outdoors: no ladder alone, in wind or in wet; keep clear of power lines. "
                        + "Fixing, earthing and lightning protection follow local code.";
                    break;
            }
        }
        if (
            main.Act is SavePage save
            && save.Changes.Any(c => c is Changes.SetDmz { To: not null } or Changes.SetPassing { Passing: not null } or Changes.AddForward)
        )
        {
            yield return "What is let in from the internet reaches the home: only what is needed, "
                + "to a box or device whose firmware is kept up, its remote administration off.";
        }
        if (main.Act is SavePage radio && radio.Changes.OfType<Changes.SetRadio>().Any(r => r.Setting.Gives(nameof(RadioSetting.Channel))))
        {
            yield return "Channels and power follow the radio law of the country that the box is set to: "
                + "never another one for the sake of a channel.";
        }
        if (main.Act is UpdateFirmware)
        {
            yield return "Leave its power on until it is done: it may not start again otherwise.";
        }
    }

    private static IEnumerable<string> Boxes(Act act) =>
        act switch
        {
            PowerOn on => [on.Id],
            PatchCable patch => [patch.A.Owner, patch.B.Owner],
            _ => [],
        };
}
