using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A stretch of words that no figure claimed: a name, or what is said beside it.</summary>
/// <param name="Start">Place in the row.</param>
/// <param name="End">End in the row.</param>
/// <param name="AfterDose">Sets and reps stand before it.</param>
/// <param name="Bracketed">It stands in brackets.</param>
internal sealed record Run(int Start, int End, bool AfterDose, bool Bracketed);

/// <summary>Something that could be meant otherwise, while a line is read.</summary>
internal sealed record DraftDoubt(int Start, int Length, Reason What);

/// <summary>What has been read of a row so far.</summary>
internal sealed class LineDraft
{
    public List<SetGroup> Groups { get; } = [];

    /// <summary>The group that figures after it belong to; null before the first.</summary>
    public SetGroup? Current => Groups.Count > 0 ? Groups[^1] : null;

    public PlannedLoad? Load { get; set; }

    /// <summary>Loads that were given one for each set.</summary>
    public List<PlannedLoad> Loads { get; } = [];

    /// <summary>A load that stands before its reps: 60 kg x 8.</summary>
    public PlannedLoad? LeadLoad { get; set; }

    public LoadWord? LoadWord { get; set; }

    public int? RepMax { get; set; }

    public List<Span> Shares { get; } = [];

    public List<Span> Rpes { get; } = [];

    public List<Span> Rirs { get; } = [];

    public double? OfTop { get; set; }

    /// <summary>Shares are of a training maximum.</summary>
    public bool OfTrainingMax { get; set; }

    /// <summary>What loads without a unit are.</summary>
    public required Habit Habit { get; init; }

    /// <summary>A load without a unit was read.</summary>
    public bool Unitless { get; set; }

    /// <summary>Its load stood before the first sets, so what follows goes the same way.</summary>
    public bool LoadLed { get; set; }

    /// <summary>The load of the sets that come next; null when none stands before them.</summary>
    public PlannedLoad? NextLoad { get; set; }

    /// <summary>A load that has no unit.</summary>
    public PlannedLoad WithoutUnit(double figure, int pieces = 1)
    {
        Unitless = true;
        return new PlannedLoad(Math.Round(figure * Habit.KgOfUnit, 3), pieces) { Pounds = Habit.Pounds };
    }

    public Tempo? Tempo { get; set; }

    public Span? Rest { get; set; }

    public bool PerSide { get; set; }

    public bool LastOpen { get; set; }

    /// <summary>The name says dumbbells or kettlebells.</summary>
    public bool SaysBells { get; set; }

    /// <summary>What is counted are steps, of both legs together.</summary>
    public bool InSteps { get; set; }

    /// <summary>What is counted is the sum of both sides: 3x12 total.</summary>
    public bool InAll { get; set; }

    public SetMethod? Method { get; set; }

    public string? MethodFigures { get; set; }

    /// <summary>Week of a wave over weeks; null when not given.</summary>
    public int? Week { get; set; }

    public List<Duration> Durations { get; } = [];

    /// <summary>Figures without a unit that nothing claimed.</summary>
    public List<BareFigure> Bare { get; } = [];

    public List<Run> Runs { get; } = [];

    public List<string> Notes { get; } = [];

    public List<DraftDoubt> Doubts { get; } = [];

    /// <summary>The words and figures of the row.</summary>
    public IReadOnlyList<LineToken> Tokens { get; set; } = [];

    /// <summary>Which of them belong to which field, in their order; those of the name are found later.</summary>
    public List<Claim> Claims { get; } = [];

    public bool HasDose => Groups.Count > 0;

    /// <summary>Marks something that could be meant otherwise; the same is marked once.</summary>
    public void Doubt(int start, int length, string code, params ReadOnlySpan<Fact> facts)
    {
        var doubt = new DraftDoubt(start, Math.Max(1, length), Reason.Of(code, facts));
        if (!Doubts.Contains(doubt))
        {
            Doubts.Add(doubt);
        }
    }
}

/// <summary>A figure without a unit.</summary>
/// <param name="Value">The figure.</param>
/// <param name="Start">Place in the row.</param>
/// <param name="Length">Length in the row.</param>
/// <param name="Signed">An @ stands before it: a load or a share.</param>
internal readonly record struct BareFigure(Span Value, int Start, int Length, bool Signed);
