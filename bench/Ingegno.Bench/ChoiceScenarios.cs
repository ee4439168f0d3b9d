using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Rebuilding.Weeks.Choosing;
using Ingegno.Core.Tests.Rebuilding.Weeks.Choosing;

namespace Ingegno.Bench;

/// <summary>The joint choice for a week, beside a constraint solver on the same problem.</summary>
internal static class ChoiceScenarios
{
    private const int OptionsInJointChoice = 8;

    public static IEnumerable<Scenario> All
    {
        get
        {
            var problem = Problem();
            yield return new Scenario("joint choice of a four-day week of 28 lines", 200, () => ChoiceSolver.Solve(problem));
            yield return new Scenario("the same problem for CP-SAT, one worker", 10, () => ChoiceByCpSat.Solve(problem));
        }
    }

    /// <summary>How far the solver's answer lies from the optimum that CP-SAT proves, and whether it proved its own.</summary>
    public static string Gap()
    {
        var problem = Problem();
        var found = ChoiceSolver.Solve(problem);
        return FormattableString.Invariant(
            $"worth {found.Worth:0.0000}, CP-SAT {ChoiceByCpSat.Solve(problem):0.0000}, {(found.Proven ? "proven" : "not proven")} by the joint choice itself"
        );
    }

    private static ChoiceProblem Problem()
    {
        var lines = new RebuildEngine(DomainRules.Shipped).Rebuild(Scenarios.Week(Scenarios.OrdinaryHome)).Plan.Lines;
        ImmutableArray<LineOptions> options =
        [
            .. lines.Select(l => new LineOptions(l.Gym, l.Role, [.. l.Candidates.Take(OptionsInJointChoice)])),
        ];
        return new WeekChoice(DomainRules.Shipped).Problem(options, 60);
    }
}
