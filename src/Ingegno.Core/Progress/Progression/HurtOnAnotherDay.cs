using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// An exercise that hurt on one day of the week is not done unchanged on another: what was stopped is stopped there, too, and nothing steps up
/// where it has to be eased (common practice). What was done there since, without pain, has its own answer.
/// </summary>
internal static class HurtOnAnotherDay
{
    /// <summary>One exercise of the plan with what was logged of it and what that asks for.</summary>
    public readonly record struct Said(ProgressionContext Context, LineHistory History, Proposal Proposal);

    /// <summary>The proposals in the same order, with the pain of the same exercise on other lines heard.</summary>
    public static ImmutableArray<Proposal> Heard(IReadOnlyList<Said> week) =>
        [.. week.Select(one => Worst(one, week) is { } hurt ? Answer(one, hurt) : one.Proposal)];

    /// <summary>What is said because of pain on another day; there it is said as well.</summary>
    public static bool Is(Reason reason) => reason.Parts.Any(p => p.Code == Code);

    private const string Code = "pain.other-day";

    private static Said? Worst(Said one, IReadOnlyList<Said> week) =>
        IsForPain(one.Proposal)
            ? null
            : week.Where(other =>
                    other.Proposal.Line != one.Proposal.Line
                    && other.Proposal.ExerciseId == one.Proposal.ExerciseId
                    && IsForPain(other.Proposal)
                    && Day(other) is var day
                    && !(LastDone(one) > day)
                    && !(one.Context.Home.Dose.DecidedAfter >= day)
                )
                .OrderByDescending(other => other.Proposal.Decision)
                .Select(other => (Said?)other)
                .FirstOrDefault();

    private static Proposal Answer(Said one, Said hurt)
    {
        var stops = hurt.Proposal.Decision == Decision.Swap;
        if (!stops && !StepsUp(one.Proposal.Decision))
        {
            return one.Proposal; // what gets lighter, or no harder, stands
        }

        var sets = one.History.Days.IsEmpty ? [] : one.History.Days[0].Sets;
        var reason = Reason.Of(Code, ("what", DoubleProgression.PainOf(hurt.History.Days[0])), ("stops", stops));
        var said = new ProposalWriter(one.Proposal.Line, one.Context, sets).Keep(
            stops ? Decision.Swap : Decision.Repeat,
            reason,
            flag: stops
        );
        return said with { Joint = hurt.Proposal.Joint, Dose = said.Dose with { DecidedAfter = Day(hurt) } };
    }

    private static bool StepsUp(Decision decision) =>
        decision
            is Decision.MoreLoad
                or Decision.MoreReps
                or Decision.MoreSets
                or Decision.NextRung
                or Decision.TechniqueOn
                or Decision.ShorterRest
                or Decision.AsPlanned
                or Decision.Change;

    private static bool IsForPain(Proposal proposal) => proposal.Decision is Decision.Swap or Decision.Ease;

    private static DateOnly Day(Said said) => said.History.Days[0].Day;

    private static DateOnly? LastDone(Said said) => said.History.Days.IsEmpty ? null : Day(said);
}
