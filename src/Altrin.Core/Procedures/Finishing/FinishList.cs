using Altrin.Core.Procedures.Sheets;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>
/// What has to be proven before the work on a home is done, derived for this very home: only what its plan has is asked. What it asks is
/// common practice.
/// </summary>
public static class FinishList
{
    /// <summary>The list of a sheet; empty where there is nothing to do.</summary>
    public static IReadOnlyList<CheckItem> Of(RunSheet sheet)
    {
        if (sheet.Steps.Count == 0)
        {
            return [];
        }
        var planned = sheet.Aim.Planned;
        return
        [
            .. FinishService.Of(planned),
            .. FinishAddresses.Of(planned),
            .. FinishLinks.Of(sheet.Start.Design, planned),
            .. FinishSafety.Of(planned),
            .. FinishLeaving.Of(sheet),
        ];
    }
}
