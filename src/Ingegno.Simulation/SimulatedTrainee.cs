using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Simulation;

/// <summary>
/// A trainee in the machine: true strength that nobody sees, which answers to the stimulus of each set, fades without training
/// and varies from day to day. Does what is written as well as it can and notes what it thinks was left.
/// </summary>
public sealed class SimulatedTrainee
{
    /// <summary>How much poorer the guess of reps in reserve gets with each rep left, as a share (own estimate).</summary>
    private const double GuessFartherOff = 0.25;

    /// <summary>Time constant of fatigue, days. Source: Banister, Calvert, Savage, Bach 1975, a systems model of training; from
    /// memory.</summary>
    private const double FatigueDays = 15;

    /// <summary>Fatigue of a set to failure and of one near it, as shares of strength (own estimates: failure tires about three times as
    /// much).</summary>
    private const double FatigueOfFailure = 0.003;
    private const double FatigueNearFailure = 0.001;

    private readonly DomainRules _domain;
    private readonly DomainRules _costs;
    private readonly TraineeTraits _traits;
    private readonly Noise _noise;
    private readonly ClientStrength _assumed;
    private readonly Dictionary<string, double> _bias = [];
    private readonly Dictionary<string, double> _gained = [];
    private readonly Dictionary<string, (double Share, int Week)> _fatigue = [];

    /// <param name="domain">The domain rules.</param>
    /// <param name="client">The client as a coach knows it.</param>
    /// <param name="traits">How it answers to training.</param>
    /// <param name="seed">Seed of all its noise.</param>
    public SimulatedTrainee(DomainRules domain, ClientProfile client, TraineeTraits traits, int seed)
    {
        ArgumentNullException.ThrowIfNull(domain);
        (_domain, _traits, _noise, _assumed) = (domain, traits, new Noise(seed), new ClientStrength(client, domain.Strength));
        _costs = domain.WithCosts([new LearnedCost(LearnedCost.Rests, traits.RestCost, 0.1, 0, Reason.Text("as made"))]);
    }

    /// <summary>True gain over all exercises trained, as a mean share, as it shows in a week: what was built less the fatigue
    /// left.</summary>
    public double GainIn(int week) => _gained.Count == 0 ? 0 : _gained.Average(g => g.Value - Fatigue(g.Key, week));

    /// <summary>Whether a planned session of a week is done.</summary>
    public bool Comes(int week) => !_traits.AwayInWeeks.Contains(week) && _noise.Chance(_traits.Attendance);

    /// <summary>Does an exercise as written and answers to it.</summary>
    /// <param name="line">Line of the plan.</param>
    /// <param name="home">The exercise as prescribed.</param>
    /// <param name="systemKg">System load at its external load, kg; null where load is not the measure.</param>
    /// <param name="share">Share of straight-set reps that tempo and techniques leave.</param>
    /// <param name="week">Week, 0 first.</param>
    public LoggedExercise Do(LineKey line, HomeExercise home, double? systemKg, double share, int week)
    {
        ArgumentNullException.ThrowIfNull(home);
        var exercise = _domain.Catalogue.Get(home.ExerciseId);
        var sets =
            exercise is { Strength: not null, Measure: Measure.Reps } && systemKg is > 0
                ? Reps(exercise, home, systemKg.Value, share, week)
                : Enumerable
                    .Range(0, home.Dose.Sets)
                    .Select(_ => new LoggedSet { Reps = Math.Max(1, home.Dose.Target.Min), Rir = home.Dose.Rir })
                    .ToImmutableArray();
        var stamp = LogStamps.Of(home.Dose, share, _domain) with { SystemKg = systemKg };
        sets = [.. sets.Select(s => s with { Stamp = stamp, LoadKg = home.ExternalKg > 0 ? home.ExternalKg : null })];
        return new LoggedExercise(line, home.ExerciseId, Hurting(exercise, week, sets));
    }

    /// <summary>A week without training.</summary>
    public void Rest()
    {
        foreach (var id in _gained.Keys.ToList())
        {
            _gained[id] -= _traits.LossPerWeek;
        }
    }

    private ImmutableArray<LoggedSet> Reps(Exercise exercise, HomeExercise home, double systemKg, double share, int week)
    {
        var dose = home.Dose;
        var today = TrueMax(exercise) * Math.Exp(_noise.Normal(_traits.DayToDay) - Fatigue(exercise.Id, week));
        var fresh =
            RepMaxCurve.RepsAt(systemKg, today, exercise.Strength!.Curve) * Math.Max(0.1, 1 - ((1 - share) * _traits.TechniqueCost));
        var sets = ImmutableArray.CreateBuilder<LoggedSet>();
        var (able, stimulus, tired) = (fresh, 0.0, 0.0);
        for (var i = 0; i < dose.Sets; i++)
        {
            var most = (int)Math.Floor(able);
            var wanted = dose.Target.IsOpen || (dose.LastSetOpen && i == dose.Sets - 1) ? most : dose.Target.Max;

            // Stops with the reserve that is asked for, but tries for the least that is written.
            var reps = Math.Clamp(Math.Min(wanted, most - dose.Rir), Math.Min(Math.Max(0, dose.Target.Min), most), Math.Max(0, most));
            var left = most - reps;
            sets.Add(
                new LoggedSet
                {
                    Reps = reps,
                    Rir = Math.Clamp((int)Math.Round(left + _noise.Normal(_traits.Guess * (1 + (GuessFartherOff * left)))), 0, 10),
                }
            );
            stimulus += Stimulus(reps, left);
            tired +=
                left <= 0 ? FatigueOfFailure
                : left <= 3 ? FatigueNearFailure
                : 0;
            able = _costs.Fatigue.BySet(able, 2, dose.RestSeconds, left)[1]; // what was left spares the next set
        }

        Answer(exercise, stimulus, week);
        _fatigue[exercise.Id] = (Fatigue(exercise.Id, week) + tired, week);
        return sets.ToImmutable();
    }

    /// <summary>Near failure counts, far from it hardly; past thirty reps less (docs/domain/prescription).</summary>
    private static double Stimulus(int reps, int left) =>
        (
            reps < 1 ? 0
            : reps > 30 ? 0.4
            : reps < 3 ? 0.7
            : 1
        ) * (left <= 3 ? 1 : Math.Max(0.1, 1 - (0.18 * (left - 3))));

    private void Answer(Exercise exercise, double stimulus, int week)
    {
        var gained = _gained.GetValueOrDefault(exercise.Id);
        var room = _traits.Ceiling / (_traits.Ceiling + Math.Max(0, gained));
        var gain = week >= _traits.StuckFromWeek ? 0 : _traits.GainPerSession * Math.Min(1.3, stimulus / 3) * room;
        _gained[exercise.Id] = gained + gain;
    }

    /// <summary>Fatigue that is left in a week; it fades with a time constant of fifteen days (Banister et al. 1975).</summary>
    private double Fatigue(string exerciseId, int week) =>
        _fatigue.TryGetValue(exerciseId, out var left) ? left.Share * Math.Exp(-7.0 * (week - left.Week) / FatigueDays) : 0;

    private double TrueMax(Exercise exercise)
    {
        if (!_bias.TryGetValue(exercise.Id, out var bias))
        {
            var family = exercise.Strength!.Anchor + "/";
            if (!_bias.TryGetValue(family, out var shared))
            {
                _bias[family] = shared = _noise.Normal(0.08);
            }

            _bias[exercise.Id] = bias = shared + _noise.Normal(0.05);
        }

        // A new exercise of a trained family starts with most of what was gained in it.
        if (!_gained.TryGetValue(exercise.Id, out var gained))
        {
            var relatives = _gained
                .Where(g => _domain.Catalogue.Find(g.Key)?.Strength?.Anchor == exercise.Strength!.Anchor)
                .Select(g => g.Value)
                .ToList();
            _gained[exercise.Id] = gained = relatives.Count == 0 ? 0 : 0.8 * relatives.Max();
        }

        return _assumed.For(exercise)!.OneRepMaxKg * Math.Exp(bias + gained);
    }

    private ImmutableArray<LoggedSet> Hurting(Exercise exercise, int week, ImmutableArray<LoggedSet> sets)
    {
        if (_traits.Hurts is not { } joint || week < _traits.HurtsFromWeek || exercise.Joints.GetValueOrDefault(joint) < 2 || sets.IsEmpty)
        {
            return sets;
        }

        var pain = Math.Clamp(3 + (week - _traits.HurtsFromWeek!.Value) + (int)Math.Round(_noise.Normal(0.5)), 1, 7);
        return sets.SetItem(sets.Length - 1, sets[^1] with { Pain = pain, PainJoint = joint });
    }
}
