using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core;
using Ingegno.Core.Kit;
using Ingegno.Core.Progressing;
using Ingegno.Core.Rebuilding;
using Ingegno.Storage;
using Ingegno.Web.Features;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Demo;

/// <summary>The demo club of <c>data/demo/club.json</c>.</summary>
public sealed record DemoClub(DemoCoach Coach, ImmutableArray<DemoMember> Members);

/// <summary>The demo coach; the password is for the demo alone and is printed at its start.</summary>
public sealed record DemoCoach(string Name, string Email, string Password);

/// <summary>A member with places and gym weeks, and whether a plan is made at the start.</summary>
public sealed record DemoMember(
    ClientRecord Client, ImmutableArray<PlaceKit> Places, ImmutableArray<GymWeek> GymWeeks, bool Planned = false, ImmutableArray<DemoSet> Log = default);

/// <summary>Sets done in the demo session on a gym line, as reps and RIR.</summary>
public sealed record DemoSet(int Line, int Reps, int Rir);

/// <summary>Fills an empty database with the demo club, always with the same data.</summary>
public sealed class DemoSeeder(
    IOptions<IngegnoOptions> options, CoachStore coaches, ClientStore clients, PlaceStore places, GymWeekStore weeks, PlanStore plans,
    LogStore logs, IPasswordHasher<Coach> hasher, TimeProvider clock)
{
    private static readonly Lazy<DemoClub> Club = new(() =>
    {
        using var stream = typeof(DemoSeeder).Assembly.GetManifestResourceStream("demo/club.json")!;
        return JsonSerializer.Deserialize<DemoClub>(stream, TradeJson.Strict)!;
    });

    /// <summary>Seeds when the demo was asked for and nobody has signed up yet.</summary>
    public void SeedIfAsked()
    {
        if (!options.Value.Demo || !coaches.IsEmpty())
        {
            return;
        }

        var club = Club.Value;
        var coach = coaches.AddFirst(club.Coach.Email, club.Coach.Name, hasher.HashPassword(null!, club.Coach.Password))!.Id;
        foreach (var member in club.Members)
        {
            Seed(coach, member);
        }
    }

    /// <summary>How to sign in to the demo; null outside it.</summary>
    public string? Welcome() =>
        options.Value.Demo ? $"Sign in as {Club.Value.Coach.Email} with the password {Club.Value.Coach.Password}" : null;

    private void Seed(long coach, DemoMember member)
    {
        var client = clients.Add(coach, member.Client).Id;
        var placeIds = member.Places.Select(p => places.Add(coach, client, p)!.Id).ToList();
        var weekIds = member.GymWeeks.Select(d => weeks.Add(coach, client, d)!.Id).ToList();
        if (!member.Planned)
        {
            return;
        }

        var request = new RebuildRequest
        {
            Client = member.Client.Profile,
            Kit = member.Places[0],
            GymLines = [.. member.GymWeeks[0].Text.Split('\n')],
        };
        var plan = plans.Add(coach, client, placeIds[0], weekIds[0], PlanEndpoints.Document($"{member.GymWeeks[0].Name}, {member.Places[0].Name}", request, new RebuildEngine(Trade.Shipped)))!;
        if (!member.Log.IsDefaultOrEmpty)
        {
            logs.Add(coach, plan.Id, Session(plan.Value.Document.Plan, member.Log));
        }
    }

    private SessionRecord Session(HomePlan plan, ImmutableArray<DemoSet> log) => new(
        1,
        DateOnly.FromDateTime(clock.GetUtcNow().Date.AddDays(-2)),
        [.. log.GroupBy(s => s.Line).Select(g => new LoggedExercise(
            g.Key,
            plan.Lines.First(l => l.Gym.Line == g.Key).Chosen!.Exercises[0].ExerciseId,
            [.. g.Select(s => new LoggedSet { Reps = s.Reps, Rir = s.Rir, Pain = 0 })]))],
        Effort: 8,
        Minutes: 48);
}
