using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>Whether a person can log in to the page of a box.</summary>
public static class Login
{
    /// <summary>
    /// Why a person cannot; null where one can: the password is recorded, was tried in this work, stands on the label, or the box has the
    /// words of every box of its kind, or asks for none.
    /// </summary>
    public static string? Lacking(State now, Box box)
    {
        var habit = box.Profile.Traits.Login;
        var recorded = now.Moment.Design.Setting(box.Id)?.Password is not null || now.Ledger.Logins.Contains(box.Id);
        var factory =
            now.Ledger.AtFactory.Contains(box.Id)
            && (
                habit is LoginHabit.None or LoginHabit.SetAtFirst or LoginHabit.SameForAll
                || box.Label.Password is not null
                || (habit is LoginHabit.OnLabel && now.Ledger.Fetched.Contains(new(box.Id, Fetchable.LabelFacts)))
            );
        return recorded || factory ? null
            : now.Ledger.AtFactory.Contains(box.Id) && habit == LoginHabit.OnLabel ? $"The password on the label of {box.Name} is not read."
            : $"The login of {box.Name} is not known: try it, read its label, or reset the box.";
    }
}
