using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>What the choice of a set scheme looks at.</summary>
/// <param name="Line">What is asked for under the approach.</param>
/// <param name="Role">What the line is for.</param>
/// <param name="Home">The home exercise.</param>
/// <param name="Fit">What a scheme looks at.</param>
public sealed record SetSchemeQuestion(GymLine Line, LineRole Role, Exercise Home, SchemeFit Fit);

/// <summary>
/// How the sets run, where the gym line or the approach asks for something other than straight sets: rest-pause for light work, a drop in
/// the last set, clusters and sets every minute as they were written. What an approach brings in leaves main lifts, heavy sets and strength
/// work straight.
/// </summary>
public static class SetSchemeChoice
{
    /// <summary>The technique of the scheme, or null for straight sets.</summary>
    public static Technique? For(SetSchemeQuestion at, ClientProfile client, Approach approach, ImmutableArray<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(at);
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(approach);
        return at.Role == LineRole.Activation || client.NeedsClearance || at.Line.Sets < 2 || at.Line.Target.IsOpen
            ? null
            : all.Where(t => t.Scheme is { OfTheDay: false } scheme && IsOpenTo(scheme, t, at, client, approach) && scheme.Suits(at.Fit))
                .OrderBy(t => TakesUp(t.Scheme, at.Line.Method) ? 0 : 1)
                .ThenBy(t => approach.RankOf(t.Of))
                .FirstOrDefault();
    }

    private static bool IsOpenTo(SetScheme scheme, Technique technique, SetSchemeQuestion at, ClientProfile client, Approach approach) =>
        scheme.OnlyAsWritten
            ? TakesUp(scheme, at.Line.Method) && client.Level >= technique.From
            : at.Role != LineRole.Main
                && client.Goal != Goal.Strength
                && (approach.Prefers.Contains(technique.Of) || TakesUp(scheme, at.Line.Method))
                && technique.Fits(at.Home, client);

    /// <summary>Whether a scheme takes up the method of a gym line.</summary>
    public static bool TakesUp(SetScheme? scheme, SetMethod? method) => method is { } asked && scheme?.TakesUp.Contains(asked) == true;

    /// <summary>The dose with its sets run that way.</summary>
    /// <param name="dose">Straight sets.</param>
    /// <param name="technique">The technique of the scheme.</param>
    /// <param name="at">What the scheme looks at.</param>
    /// <param name="figures">The method's figures of the gym line; null for none.</param>
    public static Dose Apply(Dose dose, Technique technique, SchemeFit at, string? figures = null)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(technique);
        var scheme = technique.Scheme!.WithFigures(figures);
        var straight = new SchemeFigures(dose.Sets, dose.Target, dose.Rir, dose.RestSeconds);
        var run = scheme.Run(straight, at);
        return dose with
        {
            Sets = run.Sets,
            Target = run.Target,
            Rir = run.Rir,
            RestSeconds = run.RestSeconds,
            Zone = run.Target == straight.Target ? dose.Zone : null,
            Scheme = scheme,
            LastSetOpen = false,
            Techniques = dose.Techniques.Add(technique.Id),
            Instructions = dose.Instructions.Add(scheme.Told(technique.How, run.Target, scheme.GoesOnWith(at))),
            Reason = scheme.Because == Reason.None ? dose.Reason : dose.Reason.Then(scheme.Because),
        };
    }

    /// <summary>The dose with the rest that its scheme leaves, or the scheme that a typed rest makes.</summary>
    /// <param name="dose">The dose with the figures that were typed or proposed.</param>
    /// <param name="typedRest">Rest that a coach typed, s; null where none was.</param>
    public static Dose Settled(Dose dose, int? typedRest)
    {
        ArgumentNullException.ThrowIfNull(dose);
        if (dose is not { Scheme: { OwnsItsRest: true } scheme, Target.IsOpen: false })
        {
            return dose;
        }

        var seconds = dose.Target.Max * SecondsPerRep(dose);
        var by = typedRest is { } rest ? scheme.ByRest(rest, seconds) : scheme;
        return dose with { Scheme = by, RestSeconds = by.Rest(dose.RestSeconds, seconds) };
    }

    /// <summary>Seconds of a rep, both sides counted where one works at a time; 1 for holds.</summary>
    public static double SecondsPerRep(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return (dose.Timed ? 1 : Math.Max(1, dose.Tempo.SecondsPerRep)) * (dose.PerSide ? 2 : 1);
    }

    /// <summary>The dose with its small sets said as its target has them: figures that were typed bring others with them.</summary>
    public static Dose SaidAnew(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose is not { Scheme: { ToldAs: { } code } scheme, Target.IsOpen: false }
            ? dose
            : dose with
            {
                Instructions =
                [
                    .. dose.Instructions.Select(i =>
                        i.Code == code ? scheme.Told(i["how"] as string ?? string.Empty, dose.Target, i["with"] as string) : i
                    ),
                ],
            };
    }
}
