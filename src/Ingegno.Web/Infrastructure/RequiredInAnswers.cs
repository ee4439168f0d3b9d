using System.Text.Json;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Types that only answers contain always carry all their members that cannot be null; saying so spares the interface
/// from guarding against what never happens.
/// </summary>
public sealed class RequiredInAnswers : IOpenApiSchemaTransformer
{
    private static readonly HashSet<string> AnswerTypes =
    [
        "DecidedPlan", "StandingLine", "KeyedLine", "AcceptedProposal", "Candidate", "HomeExercise", "HomeLine", "HomePlan", "Dose", "RuledOut", "RebuildResult", "HomeDay", "SessionMinutes", "GymLine", "GymDay", "ShorthandResult",
        "ExerciseSummary", "Exercise", "Setup", "Requirement", "KitKind", "BandSetup", "FirstUseStep", "KitEntry", "KitPossibilities", "ThingValue", "SetupRange", "ReachableSetup",
        "LoadGap", "ResistanceRange", "BandForceCurve", "BandRep", "BandBench", "LoadAnswer", "LoadRecipe", "Packing", "PackedPieces", "PouredFiller", "BuiltLoads",
        "ObjectVerdict", "TradeSummary", "ReadProgram", "Finding", "Remedy", "CheckedPlan", "ApproachSummary", "ImportPreview", "ImportColumn", "ImportFault", "WrittenRows", "ProgramFault", "DoseEffect", "RoundGroup", "TechniqueStep", "RewrittenLine", "RepRange", "Approach", "ApproachPhase", "PurchaseGain", "ImprovedLine",
        "ClientTrends", "LiftTrend", "TrendPoint", "WeekTrend", "MuscleCount", "FamilyLadder", "GymReturn", "ReturnWeek", "ReturnLine", "LadderAnswer", "LadderRung", "LadderGap", "Jump", "RepMaxFormula", "NextProposals", "PlannedEntry", "RepAim", "Proposal", "SetAside",
        "LogAnswer", "LogDoubt", "ReadSets", "LogPreview", "LogFault", "AttentionNote", "RosterRow", "ClientStrengthNow",
        "BlockView", "BlockDraft", "Block", "BlockWeek", "BlockCell", "BlockDay", "BlockDates", "DoneWeek", "DoneCell",
    ];

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(schema);
        ArgumentNullException.ThrowIfNull(context);
        if (AnswerTypes.Contains(context.JsonTypeInfo.Type.Name))
        {
            var never = context.JsonTypeInfo.Properties.Where(p => !p.IsGetNullable).Select(p => p.Name).ToHashSet();
            schema.Required = never;

            // A property without a setter is described as if it could be null; what is read from it never is.
            foreach (var property in schema.Properties?.Where(p => never.Contains(p.Key)).Select(p => p.Value).OfType<OpenApiSchema>() ?? [])
            {
                property.Type &= ~JsonSchemaType.Null;
            }
        }

        return Task.CompletedTask;
    }
}
