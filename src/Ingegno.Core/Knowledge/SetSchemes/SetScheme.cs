using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.SetSchemes;

/// <summary>
/// How the sets of an exercise run when they are not straight: what each asks, how long it lasts, how it is counted, led and written.
/// A scheme is one type that answers for all of that; those that exist stand in <see cref="TryParse"/>.
/// </summary>
[JsonConverter(typeof(SetSchemeConverter))]
public abstract record SetScheme
{
    /// <summary>What it is known by in data and in stored plans; also the key of its technique.</summary>
    public abstract string Key { get; }

    /// <summary>Its key with its own figures, as it is kept: <see cref="TryParse"/> reads it.</summary>
    public virtual string Text => Key;

    /// <summary>Methods of a gym line that it takes up.</summary>
    public virtual ImmutableArray<SetMethod> TakesUp => [];

    /// <summary>Only where the gym line asks for it, then for main lifts and for strength too; no approach brings it in.</summary>
    public virtual bool OnlyAsWritten => false;

    /// <summary>The line keeps to itself: its rest belongs to the scheme, and no other line is done in it.</summary>
    public virtual bool OwnsItsRest => false;

    /// <summary>A set aims at one figure and no range, and no set is added to those it has.</summary>
    public virtual bool OneFigure => false;

    /// <summary>It comes of how a day is laid out, and no exercise chooses it by itself.</summary>
    public virtual bool OfTheDay => false;

    /// <summary>Straight sets that one such set stands for.</summary>
    public virtual int StandsForSets => 1;

    /// <summary>Code of what is told of it, which falls away with it; null for nothing of its own.</summary>
    public virtual string? ToldAs => null;

    /// <summary>Why the dose is as it is, where the scheme makes other sets of it; nothing else.</summary>
    public virtual Reason Because => Reason.None;

    /// <summary>The scheme with the figures of the gym line that it takes up: 2+2+2 of a cluster, 90 s of a set every minute and a half.</summary>
    /// <param name="figures">The method's figures as written; null for none.</param>
    public virtual SetScheme WithFigures(string? figures) => this;

    /// <summary>Whether it makes sense for an exercise.</summary>
    /// <param name="at">The exercise with its straight sets.</param>
    public abstract bool Suits(SchemeFit at);

    /// <summary>What the sets become.</summary>
    /// <param name="straight">The straight sets.</param>
    /// <param name="at">The exercise.</param>
    public virtual SchemeFigures Run(SchemeFigures straight, SchemeFit at) => straight;

    /// <summary>Rest between sets, s.</summary>
    /// <param name="restSeconds">The rest as it is.</param>
    /// <param name="setSeconds">Seconds of the reps of one set, both sides counted.</param>
    public virtual int Rest(int restSeconds, double setSeconds) => restSeconds;

    /// <summary>The scheme with a rest that a coach typed.</summary>
    /// <param name="restSeconds">The rest, s.</param>
    /// <param name="setSeconds">Seconds of the reps of one set, both sides counted.</param>
    public virtual SetScheme ByRest(int restSeconds, double setSeconds) => this;

    /// <summary>Most reps of a set, or seconds of a hold; null where the scheme has no limit.</summary>
    /// <param name="secondsPerRep">Seconds of a rep, both sides counted; 1 for holds.</param>
    public virtual int? MostReps(double secondsPerRep) => null;

    /// <summary>The target of straight sets in its place.</summary>
    /// <param name="target">Its target.</param>
    public virtual SetTarget Straightened(SetTarget target) => target;

    /// <summary>A lighter load or easier version in words with which it goes on; null where it needs none.</summary>
    /// <param name="at">The exercise.</param>
    public virtual string? GoesOnWith(SchemeFit at) => null;

    /// <summary>What is told to the client; nothing where its technique says it all.</summary>
    /// <param name="how">What its technique says.</param>
    /// <param name="target">Target of its sets.</param>
    /// <param name="goesOnWith">Lighter load or easier version; null for none.</param>
    public virtual Reason Told(string how, SetTarget target, string? goesOnWith) => Reason.Text(how);

    /// <summary>What is done one after the other in a set of one side.</summary>
    /// <param name="target">Target of the set; open where it is the open last one.</param>
    /// <param name="last">It is the last set.</param>
    public virtual IEnumerable<SchemePart> Parts(SetTarget target, bool last) => [new SchemePart(SetPartKind.Work, target, 0)];

    /// <summary>Seconds in all sets beside the reps of the straight ones: small sets and rests within sets.</summary>
    /// <param name="sets">Number of sets.</param>
    /// <param name="target">Target of a set.</param>
    /// <param name="setSeconds">Seconds of the reps of one set, both sides counted, s.</param>
    public virtual double SecondsBeside(int sets, SetTarget target, double setSeconds) => 0;

    /// <summary>Reps of a set as they are written: <c>8-12</c>, <c>2+2+2</c>.</summary>
    /// <param name="target">Target of the set.</param>
    public virtual string Reps(SetTarget target) => target.Written;

    /// <summary>What is written behind the sets: <c> + drop</c>; empty for nothing.</summary>
    /// <param name="target">Target of a set.</param>
    public virtual string Behind(SetTarget target) => string.Empty;

    /// <summary>Its method as a table writes it; empty for none.</summary>
    public virtual string InTable => string.Empty;

    /// <summary>Reads a scheme as it is kept.</summary>
    /// <param name="text">Its key, with its own figures behind a space.</param>
    /// <param name="scheme">The scheme.</param>
    public static bool TryParse(string? text, [NotNullWhen(true)] out SetScheme? scheme)
    {
        var at = text?.IndexOf(' ', StringComparison.Ordinal) ?? -1;
        var (key, figures) = at < 0 ? (text, null) : (text![..at], text[(at + 1)..]);
        scheme = All.FirstOrDefault(s => s.Key == key)?.WithFigures(figures);
        return scheme is not null && scheme.Text == text;
    }

    /// <summary>Every scheme, with the figures that it has where nothing else is said.</summary>
    public static ImmutableArray<SetScheme> All { get; } =
    [new RestPause(), new Drop(), new MechanicalDrop(), new PreExhaust(), new Cluster(), new EveryMinute()];
}
