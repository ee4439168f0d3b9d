using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>What a client's phone knows of signs of danger: those that can be tapped, what is held, and what the coach answered.</summary>
public sealed class ClientAppSafety(DomainRules domain, AlertStore alerts)
{
    /// <summary>Answers that are shown.</summary>
    private const int AnswersShown = 3;

    /// <summary>The stop signs, those of the body first, as they stand in the data.</summary>
    public ImmutableArray<ClientAppStopSign> StopSigns { get; } =
    [
        .. domain
            .Red.Signs.Where(s => s.Tapped)
            .OrderBy(s => s.OfLimb)
            .Select(s => new ClientAppStopSign(s.Id, s.OfLimb, AlertWords.Name(s.Id), AlertWords.ToDo(s))),
    ];

    /// <summary>What is held of the releases of a client; null where nothing is.</summary>
    public ClientAppHold? HoldOf(long coach, long client, ImmutableArray<SentRelease> releases)
    {
        var open = alerts.OfClient(coach, client).Where(a => a.AnsweredAt is null).Select(a => a.Alert).ToList();
        var held = HeldTraining.By(open, domain.Red);
        return held.Any
            ? new ClientAppHold(
                held.All,
                held.All ? [] : Held(held, releases),
                AlertWords.ToDo(open.SelectMany(a => a.Signs), domain.Red),
                AlertWords.Held(held, toCoach: false)
            )
            : null;
    }

    /// <summary>The last answers, newest first.</summary>
    public ImmutableArray<ClientAppAnswer> AnswersTo(long coach, long client) =>
        [
            .. alerts
                .OfClient(coach, client)
                .Where(a => a.AnsweredAt is not null)
                .OrderByDescending(a => a.AnsweredAt)
                .Take(AnswersShown)
                .Select(a => new ClientAppAnswer(a.Answer ?? string.Empty, a.AnsweredAt!.Value)),
        ];

    /// <summary>An exercise that the catalogue does not know is held too: nobody can say what it loads.</summary>
    private ImmutableArray<string> Held(HeldTraining held, ImmutableArray<SentRelease> releases) =>
        [
            .. releases
                .SelectMany(r => r.Release.Days)
                .SelectMany(d => d.Exercises)
                .SelectMany(e => e.Alternatives.Select(a => a.Exercise.ExerciseId).Prepend(e.ExerciseId))
                .Distinct()
                .Where(id => domain.Catalogue.Find(id) is not { } exercise || held.Holds(exercise))
                .Order(StringComparer.Ordinal),
        ];
}
