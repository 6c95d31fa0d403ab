using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class AdminPasswordSharedTests() : RuleTests("admin-password-shared")
{
    private static Home With(string? password) => Home.WithGateway().Wired("a", "gw/lan1").PagePassword("gw", password);

    [Fact]
    public void Triggers_for_the_password_of_any_Wifi() => One(With("key"), Severity.Concern, "gw");

    [Theory]
    [InlineData("another")]
    [InlineData(null)]
    public void Near_miss(string? password) => None(With(password));
}

public sealed class FactoryPasswordTests() : RuleTests("factory-password")
{
    private static Home With(string password, LoginHabit login) =>
        Home.WithGateway()
            .Box("gw", b => b with { Label = b.Label with { Password = "printed" } })
            .Traits("gw", new() { Login = login })
            .PagePassword("gw", password);

    [Fact]
    public void Triggers_where_all_of_the_kind_have_it() => One(With("printed", LoginHabit.SameForAll), Severity.Concern, "gw");

    [Fact]
    public void Near_miss()
    {
        // One that is its own, printed on its label, is no other's.
        None(With("printed", LoginHabit.OnLabel));
        None(With("another", LoginHabit.SameForAll));
    }
}
