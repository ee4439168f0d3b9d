namespace Ingegno.Core.Clients.Profiles;

/// <summary>Behind which short question an answer of the screening is asked.</summary>
public static class ScreeningGates
{
    /// <summary>The gate of an answer.</summary>
    public static ScreeningGate Of(ScreeningAnswer answer) =>
        answer switch
        {
            ScreeningAnswer.HeartOrVascular or ScreeningAnswer.ChestPainOrFainting or ScreeningAnswer.UncontrolledBloodPressure =>
                ScreeningGate.Heart,
            ScreeningAnswer.RecentSurgery
            or ScreeningAnswer.JointUnderTreatment
            or ScreeningAnswer.JointReplacement
            or ScreeningAnswer.DiscOrNerve
            or ScreeningAnswer.DislocationOrHypermobility
            or ScreeningAnswer.Hernia
            or ScreeningAnswer.ThinBones
            or ScreeningAnswer.Concussion => ScreeningGate.Body,
            ScreeningAnswer.PregnancyOrRecentBirth => ScreeningGate.Birth,
            ScreeningAnswer.OnlySupervised or ScreeningAnswer.UnderSixteenWithoutGuardian or ScreeningAnswer.LongInactiveWithRisk =>
                ScreeningGate.HeldBack,
            _ => ScreeningGate.Illness,
        };
}
