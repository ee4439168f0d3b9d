using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>What has changed since a plan was made, so that a rebuild could give another one.</summary>
public enum Drift
{
    /// <summary>Things came, went or were measured.</summary>
    Kit,

    /// <summary>The client: joints, minutes, known lifts, wishes, clearance.</summary>
    Profile,

    /// <summary>The approach that the client follows.</summary>
    Approach,

    /// <summary>The text of the gym week.</summary>
    GymWeek,

    /// <summary>What the logs teach of strength.</summary>
    Strength,
}

/// <summary>Compares what a plan was built from with what stands now.</summary>
public static class PlanDrift
{
    /// <summary>A lift that moved by less is the noise of days (Grgic et al. 2020: tests of a maximum vary by some 4 %; figure from memory).</summary>
    public const double LeastChange = 0.1;

    /// <summary>What has changed; empty when nothing has.</summary>
    /// <param name="made">What the plan was built from.</param>
    /// <param name="client">The client now, with what the logs teach; without, strength is left out.</param>
    /// <param name="kit">The kit of its place now; null when the place is gone.</param>
    /// <param name="gymText">The gym week now; null when it is gone.</param>
    public static ImmutableArray<Drift> Compare(RebuildRequest made, ClientProfile client, PlaceKit? kit, string? gymText)
    {
        ArgumentNullException.ThrowIfNull(made);
        ArgumentNullException.ThrowIfNull(client);
        return [.. All()];

        IEnumerable<Drift> All()
        {
            if (kit is not null && Written(kit.Items) != Written(made.Kit.Items))
            {
                yield return Drift.Kit;
            }

            if (Written(Plain(client)) != Written(Plain(made.Client)))
            {
                yield return Drift.Profile;
            }

            if (made.Approach is null && (client.Approach ?? string.Empty) != (made.Client.Approach ?? string.Empty))
            {
                yield return Drift.Approach;
            }

            if (gymText is not null && !Lines(gymText).SequenceEqual(Lines(string.Join('\n', made.GymLines)), StringComparer.Ordinal))
            {
                yield return Drift.GymWeek;
            }

            if (
                client.Learned.Any(l =>
                    made.Client.Learned.FirstOrDefault(m => m.ExerciseId == l.ExerciseId && m.Anchor == l.Anchor) is { } then
                    && Moved(then, l)
                )
            )
            {
                yield return Drift.Strength;
            }
        }
    }

    /// <summary>What has changed, in a sentence; null when nothing has.</summary>
    public static Reason? InWords(ImmutableArray<Drift> drift) =>
        drift.IsDefaultOrEmpty ? null : Reason.Of("drift.changed", ("what", FactList.Of(drift.Select(Named))));

    private static Reason Named(Drift drift) =>
        drift switch
        {
            Drift.Kit => Reason.Of("drift.kit"),
            Drift.Profile => Reason.Of("drift.profile"),
            Drift.Approach => Reason.Of("drift.approach"),
            Drift.GymWeek => Reason.Of("drift.gym-week"),
            _ => Reason.Of("drift.strength"),
        };

    private static bool Moved(LearnedLift then, LearnedLift now) =>
        Math.Abs(now.OneRepMaxKg - then.OneRepMaxKg) >= (LeastChange * then.OneRepMaxKg) - 1e-9;

    /// <summary>The client without what is looked at by itself.</summary>
    private static ClientProfile Plain(ClientProfile client) => client with { Learned = [], Costs = [], Approach = null };

    private static IEnumerable<string> Lines(string text) =>
        text.ReplaceLineEndings("\n").Split('\n').Select(l => l.TrimEnd()).Where(l => l.Length > 0);

    private static string Written<T>(T value) => JsonSerializer.Serialize(value, RulesJson.Lenient);
}
