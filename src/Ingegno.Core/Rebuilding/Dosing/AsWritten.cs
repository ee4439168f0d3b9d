using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// The exercise and line as the coach wrote them: what the name says beyond the exercise changes which muscles are meant, how many sides
/// work at a time, and the tempo where none is given.
/// </summary>
/// <param name="Line">The line with the tempo and sides that its name says.</param>
/// <param name="Exercise">The exercise as it was named.</param>
public sealed record AsWritten(GymLine Line, Exercise Exercise)
{
    /// <summary>What a line means, name and all.</summary>
    public static AsWritten Read(GymLine line, Exercise exercise, NamingLexicon lexicon)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(lexicon);
        var meant = new AsWritten(line, exercise);
        foreach (var effect in lexicon.EffectsOf(line.Name, line.Modifiers))
        {
            meant = meant.With(effect);
        }

        return meant;
    }

    private AsWritten With(ModifierEffect effect)
    {
        var exercise = Exercise with
        {
            Muscles = effect.Emphasis is null ? Exercise.Muscles : Exercise.Muscles.SetItems(effect.Emphasis),
            Stability = Math.Min(Exercise.Stability, effect.Stability ?? Exercise.Stability),
            Sides = effect.OneSided ? Sides.Unilateral : Exercise.Sides,
        };
        var paced = effect.Eccentric is not null || effect.Pause is not null || effect.Explosive;
        var tempo = Line.Tempo ?? Tempo.Usual;
        return new AsWritten(
            Line with
            {
                Tempo = !paced
                    ? Line.Tempo
                    : tempo with
                    {
                        Eccentric = Math.Max(tempo.Eccentric, effect.Eccentric ?? 0),
                        PauseStretched = Math.Max(tempo.PauseStretched, effect.Pause ?? 0),
                        Explosive = tempo.Explosive || effect.Explosive,
                        Concentric = effect.Explosive ? 0 : tempo.Concentric,
                    },
                PerSide = Line.PerSide || (effect.OneSided && Exercise.Sides == Sides.Bilateral && !Line.Timed),
            },
            exercise
        );
    }

    /// <summary>What a home dose makes of what the line says: kept, or what becomes of it.</summary>
    public static IEnumerable<Reason> Said(GymLine line, Dose home)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(home);
        bool Says(params ReadOnlySpan<string> modifiers)
        {
            foreach (var modifier in modifiers)
            {
                if (line.Modifiers.Any(m => m.Id == modifier))
                {
                    return true;
                }
            }

            return false;
        }

        if (Says("paused", "long-pause", "dead-stop") && line.Tempo is { PauseStretched: > 0 } paused)
        {
            var kept = home.Tempo.PauseStretched >= paused.PauseStretched;
            yield return Reason.Of(kept ? "gym.pause-kept" : "gym.pause-lost", ("pause", Quantity.Seconds(paused.PauseStretched)));
        }

        if (Says("slow", "eccentric") && line.Tempo is { } slow && home.Tempo.Eccentric >= slow.Eccentric)
        {
            yield return Reason.Of("gym.slow-kept", ("down", Quantity.Seconds(slow.Eccentric)));
        }

        if (Says("explosive"))
        {
            yield return Reason.Of(home.Tempo.Explosive ? "gym.explosive-kept" : "gym.explosive-lost");
        }

        if (!line.Each.IsEmpty)
        {
            yield return Reason.Of(
                "gym.sets-differ",
                ("written", Shorthand.Dose(line)),
                ("low", home.Target.Min),
                ("high", home.Target.Max)
            );
        }

        if (line.Metres is { } metres)
        {
            yield return Reason.Of(
                "gym.metres",
                ("metres", metres.InWords),
                ("timed", home.Timed),
                ("low", home.Target.Min),
                ("high", home.Target.Max)
            );
        }

        if (line.Method is { } method)
        {
            var kept = SetSchemeChoice.TakesUp(home.Scheme, method);
            yield return Reason.Of(kept ? "gym.method-kept" : "gym.method-straight", ("method", Term.For(method)), ("sets", home.Sets));
        }

        if (Says("weighted"))
        {
            yield return Reason.Of("gym.weighted");
        }
    }
}
