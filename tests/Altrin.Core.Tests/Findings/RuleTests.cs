using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

/// <summary>What the tests of single rules share: a rule has one design that triggers it and one near miss that does not.</summary>
public abstract class RuleTests(string code)
{
    /// <summary>The findings of the rule in a home.</summary>
    protected IReadOnlyList<Finding> In(Home home) => [.. Judging.Prove(home.Design).Findings.Where(f => f.Code == code)];

    protected Finding One(Home home, Severity severity, params string[] subjects)
    {
        var finding = Assert.Single(In(home));
        Assert.Equal(subjects, finding.Subjects);
        Assert.Equal(severity, finding.Severity);
        return finding;
    }

    protected void None(Home home) => Assert.Empty(In(home));

    /// <summary>The finding offers a cure whose label begins so, and the cure cures.</summary>
    protected Design Cured(Home home, string label)
    {
        var finding = In(home)[0];
        var remedy = Assert.Single(finding.Remedies, r => r.Label.StartsWith(label, StringComparison.Ordinal));
        var after = ChangeList.Apply(home.Design, remedy.Changes).Value;
        Assert.DoesNotContain(Judging.Prove(after).Findings, f => f.Identity == finding.Identity);
        return after;
    }
}
