using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>
/// What stands of a week though nobody decided on it: a decision about other lines leaves it as it was, exercise, set-up, load, reps,
/// tempo and rest, whatever the engine would prescribe today.
/// </summary>
public sealed record StandingWeek
{
    /// <summary>Set-up, load and dose of each exercise that stands.</summary>
    public ImmutableArray<HomeEdit> Figures { get; init; } = [];

    /// <summary>Lines that are done in turn.</summary>
    public ImmutableArray<ImmutableArray<LineKey>> InTurn { get; init; } = [];

    /// <summary>Lines that the minutes had no room for: they do not come back by themselves.</summary>
    public ImmutableArray<LineKey> LeftOut { get; init; } = [];

    /// <summary>Sets and rests may still give way to the client's minutes: the coach asked for that.</summary>
    public bool MayGiveWay { get; init; }

    /// <summary>All that stands in a plan.</summary>
    /// <param name="standing">Its lines.</param>
    public static StandingWeek From(ImmutableArray<StandingLine> standing) =>
        new()
        {
            Figures = [.. standing.SelectMany(s => s.Figures)],
            InTurn = [.. standing.Where(s => s.InTurn.Length > 1 && s.InTurn[0] == s.Line).Select(s => s.InTurn)],
            LeftOut = [.. standing.Where(s => s.LeftOut).Select(s => s.Line)],
        };

    /// <summary>The same without lines that were decided on: the engine has them again.</summary>
    /// <param name="gone">Whether a line is one of them.</param>
    public StandingWeek Without(Func<LineKey, bool> gone)
    {
        ArgumentNullException.ThrowIfNull(gone);
        return this with { Figures = [.. Figures.Where(f => !gone(f.Line))], LeftOut = [.. LeftOut.Where(l => !gone(l))] };
    }

    /// <summary>The same, where the log has decided on exercises: when and for how long is for the decision to say.</summary>
    /// <param name="on">Whether it has decided on an exercise of a line.</param>
    public StandingWeek DecidedAnew(Func<LineKey, string, bool> on)
    {
        ArgumentNullException.ThrowIfNull(on);
        return this with
        {
            Figures =
            [
                .. Figures.Select(f =>
                    on(f.Line, f.ExerciseId) ? f with { DecidedAfter = null, CountsAfter = null, BlockWeek = null, SetsBefore = null } : f
                ),
            ],
        };
    }

    /// <summary>The same, but sets and rests may give way to the client's minutes again, and lines are put in turn for them.</summary>
    public StandingWeek GivingWay() => this with { MayGiveWay = true, InTurn = [] };

    /// <summary>The same, but whether last sets are open is the engine's to say.</summary>
    public StandingWeek WithoutOpenSets() =>
        this with
        {
            Figures = [.. Figures.Select(f => f with { LastSetOpen = null, Calibrates = null })],
        };
}
