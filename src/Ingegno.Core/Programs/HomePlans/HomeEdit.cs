using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>
/// A figure of a home line that the coach set, or accepted from a proposal. What is null stays as the engine
/// prescribes it.
/// </summary>
public sealed record HomeEdit
{
    /// <summary>Key of the gym line.</summary>
    public required LineKey Line { get; init; }

    /// <summary>Home exercise the edit belongs to; an edit of an exercise that is no longer taken rests.</summary>
    public required string ExerciseId { get; init; }

    public int? Sets { get; init; }

    public SetTarget? Target { get; init; }

    /// <summary>Zone in which the target moves; null when the target is the zone.</summary>
    public SetTarget? Zone { get; init; }

    /// <summary>Logged day on which the figures were decided; null when a log did not decide them.</summary>
    public DateOnly? DecidedAfter { get; init; }

    /// <summary>Logged day up to which sessions decide nothing more, see <see cref="Dose.CountsAfter"/>; null when all count.</summary>
    public DateOnly? CountsAfter { get; init; }

    /// <summary>Set-up of the exercise; null to leave it to the engine. With <see cref="Spots"/> it says where and on what it is done.</summary>
    public string? SetupId { get; init; }

    /// <summary>Things, and their parts, that play the roles of the set-up (<see cref="HomeExercise.Spots"/>); null to leave them.</summary>
    public string? Spots { get; init; }

    /// <summary>Whether the last set is open; null to leave it.</summary>
    public bool? LastSetOpen { get; init; }

    /// <summary>Whether the open last set is there to find out what the client can do; null to leave it.</summary>
    public bool? Calibrates { get; init; }

    /// <summary>Sets before a lighter week halved them; null outside one.</summary>
    public int? SetsBefore { get; init; }

    /// <summary>First day of the week of a block for which the figures were decided; null outside a block.</summary>
    public DateOnly? BlockWeek { get; init; }

    public Tempo? Tempo { get; init; }

    /// <summary>Ids of technique steps in place of those prescribed; empty for straight sets, null to leave them.</summary>
    public ImmutableArray<string>? Techniques { get; init; }

    public int? RestSeconds { get; init; }

    public int? Rir { get; init; }

    /// <summary>External load in kg; the nearest that can be reached here is taken.</summary>
    public double? ExternalKg { get; init; }

    /// <summary>The last set is open where that is safe, so that the log sets the dose anew: after a long absence what was logged tells little.</summary>
    public bool FindAnew { get; init; }

    /// <summary>Exercise that the figures were typed for before another one took its place; null when it is this one.</summary>
    public string? CarriedFrom { get; init; }

    /// <summary>A coach typed it; a log or a block decided nothing.</summary>
    [JsonIgnore]
    public bool IsTyped => DecidedAfter is null && BlockWeek is null && !FindAnew;

    /// <summary>
    /// The figures for an exercise that takes the place of theirs: sets, reps, rest and reserve go along; load, tempo, techniques and
    /// set-up belong to the exercise. Null where nothing goes along.
    /// </summary>
    /// <param name="exerciseId">The exercise that comes.</param>
    public HomeEdit? CarriedTo(string exerciseId) =>
        !IsTyped || (Sets, Target, RestSeconds, Rir) is (null, null, null, null)
            ? null
            : new HomeEdit
            {
                Line = Line,
                ExerciseId = exerciseId,
                CarriedFrom = CarriedFrom ?? ExerciseId,
                Sets = Sets,
                Target = Target,
                RestSeconds = RestSeconds,
                Rir = Rir,
            };

    /// <summary>Its figures as a coach would type them: <c>3x8-12 @ 16 kg 3-0-1-0 90 s RIR 2</c>; what is left open is not written.</summary>
    [JsonIgnore]
    public string InShorthand =>
        string.Join(
            ' ',
            new[]
            {
                Sets is { } sets ? $"{sets}x{Target?.Written ?? "?"}{(LastSetOpen == true ? " + AMRAP" : string.Empty)}" : Target?.Written,
                ExternalKg is > 0 and var kg ? $"@ {Words.Number(kg)} kg" : null,
                Tempo?.ToString(),
                RestSeconds is { } rest ? $"{rest} s" : null,
                Rir is { } rir ? $"RIR {rir}" : null,
            }.Where(part => !string.IsNullOrEmpty(part))
        );

    /// <summary>Belongs to that exercise of that line.</summary>
    public bool IsOf(LineKey line, string exerciseId) => Line == line && ExerciseId == exerciseId;

    /// <summary>
    /// These figures over those set before; what is null stays as it was. Techniques bring a tempo of their own, so that one typed
    /// before gives way to them.
    /// </summary>
    /// <param name="before">What was set before.</param>
    public HomeEdit Over(HomeEdit before)
    {
        ArgumentNullException.ThrowIfNull(before);
        return Replacing(Techniques is null ? before : before with { Tempo = null });
    }

    /// <summary>These figures in place of others, figure by figure; what is null is taken from the others.</summary>
    /// <param name="others">The others.</param>
    public HomeEdit Replacing(HomeEdit others)
    {
        ArgumentNullException.ThrowIfNull(others);
        return this with
        {
            Sets = Sets ?? others.Sets,
            Target = Target ?? others.Target,
            Zone = Zone ?? others.Zone,
            DecidedAfter = DecidedAfter ?? others.DecidedAfter,
            CountsAfter = CountsAfter ?? others.CountsAfter,
            SetupId = SetupId ?? others.SetupId,
            Spots = SetupId is null ? others.Spots : Spots,
            LastSetOpen = LastSetOpen ?? others.LastSetOpen,
            Calibrates = Calibrates ?? others.Calibrates,
            SetsBefore = SetsBefore ?? others.SetsBefore,
            BlockWeek = BlockWeek ?? others.BlockWeek,
            Tempo = Tempo ?? others.Tempo,
            Techniques = Techniques ?? others.Techniques,
            RestSeconds = RestSeconds ?? others.RestSeconds,
            Rir = Rir ?? others.Rir,
            ExternalKg = ExternalKg ?? others.ExternalKg,
        };
    }

    /// <summary>All figures of a dose, so that they stand whatever the engine would prescribe.</summary>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="exerciseId">The home exercise.</param>
    /// <param name="dose">The figures.</param>
    /// <param name="externalKg">External load, kg.</param>
    public static HomeEdit From(LineKey line, string exerciseId, Dose dose, double externalKg)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return new HomeEdit
        {
            Line = line,
            ExerciseId = exerciseId,
            Sets = dose.Sets,
            Target = dose.Target,
            Zone = dose.Zone,
            SetsBefore = dose.SetsBefore,
            DecidedAfter = dose.DecidedAfter,
            CountsAfter = dose.CountsAfter,
            LastSetOpen = dose.LastSetOpen,
            Calibrates = dose.Calibrates,
            BlockWeek = dose.BlockWeek,
            Tempo = dose.Tempo,
            Techniques = dose.Techniques,
            RestSeconds = dose.RestSeconds,
            Rir = dose.Rir,
            ExternalKg = externalKg,
        };
    }

    /// <summary>A home exercise as it stands: its set-up, its load and all figures of its dose.</summary>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="home">The home exercise.</param>
    public static HomeEdit From(LineKey line, HomeExercise home)
    {
        ArgumentNullException.ThrowIfNull(home);
        return From(line, home.ExerciseId, home.Dose, home.ExternalKg) with { SetupId = home.SetupId, Spots = home.Spots };
    }

    /// <summary>The same without what the log and the block know of it: two that ask the same of the client are equal.</summary>
    public HomeEdit AsAsked() =>
        this with
        {
            DecidedAfter = null,
            CountsAfter = null,
            BlockWeek = null,
            CarriedFrom = null,
            Techniques = null, // compared apart: arrays are equal by reference
            Zone = null,
        };

    /// <summary>Asks the same of the client: exercise, set-up, load, sets, reps, tempo, techniques, rest and reserve.</summary>
    /// <param name="other">The other figures.</param>
    public bool AsksTheSameAs(HomeEdit other)
    {
        ArgumentNullException.ThrowIfNull(other);
        // In whichever order the techniques are named.
        return AsAsked() == other.AsAsked()
            && (Techniques ?? []).Order(StringComparer.Ordinal).SequenceEqual((other.Techniques ?? []).Order(StringComparer.Ordinal));
    }
}
