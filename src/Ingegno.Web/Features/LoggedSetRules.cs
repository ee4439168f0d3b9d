using System.Collections.Immutable;
using System.Linq.Expressions;
using FluentValidation;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Web.Features;

/// <summary>Bounds of logged sets, wherever they come from.</summary>
internal static class LoggedSetRules
{
    private const int MostSets = 30;

    /// <summary>At most thirty sets with figures that can be.</summary>
    public static void HoldsSets<T>(this AbstractValidator<T> exercise, Expression<Func<T, ImmutableArray<LoggedSet>>> sets)
    {
        var of = sets.Compile();
        exercise.RuleFor(sets).Must(s => s is { IsDefault: false, Length: <= MostSets }).WithMessage("An exercise takes at most 30 sets.");
        exercise
            .RuleForEach(e => of(e).IsDefault ? Array.Empty<LoggedSet>() : of(e).AsEnumerable())
            .ChildRules(set =>
            {
                set.RuleFor(s => s.Reps).InclusiveBetween(0, 500).WithMessage("Reps lie between 0 and 500.");
                set.RuleFor(s => s.LoadKg).InclusiveBetween(0, 500).WithMessage("A load lies between 0 and 500 kg.");
                set.RuleFor(s => s.Rir).InclusiveBetween(0, 10).WithMessage("RIR runs from 0 to 10.");
                set.RuleFor(s => s.Pain).InclusiveBetween(0, 10).WithMessage("Pain runs from 0 to 10.");
            })
            .OverridePropertyName("Sets");
    }
}
