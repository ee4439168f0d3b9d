using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>Says a band of system load as a coach would: what that is in the hands, or in reps of the bare body.</summary>
public sealed class PlainStrength(ClientProfile client, DomainRules domain)
{
    private readonly ClientStrength _strength = new(client, domain.Strength);

    /// <summary>The band in words.</summary>
    /// <param name="exercise">The exercise.</param>
    /// <param name="lowKg">Lower end of the one-rep maximum, kg of system load.</param>
    /// <param name="highKg">Upper end, kg.</param>
    /// <returns>Null where no one figure holds for all ways of doing it: bands, bodies at heights.</returns>
    public Reason? Of(Exercise exercise, double lowKg, double highKg)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        if (
            FreeWeight.Find(
                exercise.Setups.Select(s => s.Load),
                new BodyShares(BodySegments.ForSex(client.Sex), _strength.StatureCm, domain.Leverage),
                _strength.BodyMassKg
            ) is
            { } weight
        )
        {
            var (low, high) = (Whole(weight.PieceKg(lowKg)), Whole(weight.PieceKg(highKg)));
            return high < 1
                ? null
                : Reason.Of(
                    weight.From switch
                    {
                        LoadSource.Pair => "plainly.each-hand",
                        LoadSource.Bar or LoadSource.TrapBar => "plainly.bar",
                        _ => "plainly.one",
                    },
                    ("low", Math.Max(0, low)),
                    ("high", high)
                );
        }

        return
            Bare(exercise) is { } bodyKg
            && exercise.Strength is { } relation
            && lowKg > bodyKg
            && Reps(bodyKg, highKg, relation.Curve) <= DosePrescriber.MostUsefulReps
            ? Reason.Of("plainly.reps", ("low", Reps(bodyKg, lowKg, relation.Curve)), ("high", Reps(bodyKg, highKg, relation.Curve)))
            : null;
    }

    /// <summary>What the bare body weighs in an exercise whose every set-up moves the same share of it; null for others.</summary>
    private double? Bare(Exercise exercise)
    {
        var shares = exercise.Setups.Select(s => s.Load).ToList();
        return
            shares.Count > 0
            && shares.TrueForAll(l =>
                l is { Leverage: null, BodyShareByHeight: null, AssistedShare: 0, Band: null, External: not { Required: true } }
            )
            && shares.Select(l => l.BodyShare).Distinct().Count() == 1
            && shares[0].BodyShare > 0
            ? shares[0].BodyShare * _strength.BodyMassKg
            : null;
    }

    private static int Reps(double bodyKg, double maxKg, CurveKind curve) => (int)Math.Floor(RepMaxCurve.RepsAt(bodyKg, maxKg, curve));

    private static int Whole(double kg) => (int)Math.Round(kg, MidpointRounding.AwayFromZero);
}
